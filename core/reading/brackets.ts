import { APPROXIMATE, measuresIn, times, type Measure } from './measures'
import { readNumber } from './readNumber'

// What stands in brackets on an ingredient line: another amount, or what the food is like.

const USED_OF_IT =
  /\b(?:won['’]?t|will not|don['’]?t|do not|didn['’]?t) (?:use|need) (?:it |them )?all\b|\bonly (?:use|need)\b|\buse (?:only|just|about)\b/i
/** What is sold by the pack. */
const PACKED = /^(?:can|jar|packet|tub|block|sheet|tube|bottle|ball)$/
/** What is printed on tins with their liquid; what is drained weighs less. From memory of tins. */
const CAN_SIZE = /^(?:14|14\.5|15|15\.5|16|28|29)[- ]?(?:oz|ounces?)\.?$|^(?:39\d|4[0-2]\d|800) ?g$/i
const WEIGHED_AND_SAID =
  /^(?:net |weighing |about |approx\.? )?(\d[\d.,]* ?(?:g|kg|ml|oz|lb))\b\.?\s*([^\d]*)$/i

/** Takes brackets out of a rest: amounts go to the measures, remarks to the preparation, alternatives stay. */
export function withoutBrackets(text: string, measures: Measure[], prep: string[]): string {
  // A bracket that is not an amount is a remark on how the food is prepared.
  const rest = text.replace(/[([]([^)\]]*)[)\]]/g, (_, inside: string, at: number) => {
    // "Tamari (or soy sauce)" allows either.
    if (/^or (?!so\b|more\b|less\b|to\b|as\b)[a-zß-öø-ɏ][^\d]{2,40}$/i.test(inside.trim()))
      return ` ${inside.trim()} `
    // "1 can pie filling (you won't use it all, about 1 cup)": as much as is used.
    const used = USED_OF_IT.test(inside) ? measuresIn(inside.replace(/^.*?(?=\d|half\b|an? cup)/i, '')) : null
    if (used) {
      measures.splice(0, measures.length, ...used)
      return ' '
    }
    // "(450 g, 12 sheets or so)", "(2 large, peeled)": amounts and remarks in one bracket.
    for (const piece of measures.length ? inside.split(/[,;]\s+/) : [inside]) {
      const dual = measures.length
        ? measuresIn(
            piece
              .replace(APPROXIMATE, '')
              .replace(/ or so\W*$/i, '')
              // "1 pack puff pastry (500 g block)".
              .replace(
                /(?<=\d ?(?:g|kg|oz|lb|ml)) (?:blocks?|packs?|packets?|sheets?|tins?|cans?|jars?|tubs?|bags?|pouch|balls?)$/i,
                '',
              ),
          )
        : null
      const outer = measures[0]?.[0]
      // "2 sheets pastry (each 320 g)": the weight is of one.
      const each = outer !== undefined && /\beach\b/i.test(piece)
      // "(1 kg, 600 g once peeled)": what is left of it goes in.
      // "500 g cottage cheese drained overnight (~380 g)": what is left is what goes in.
      const isLeft = dual && /\b(drained|squeezed|strained|pressed)\b[^(]*$/i.exec(text.slice(0, at))
      // "1 can chickpeas, drained (15 oz)": that is what the can is called by.
      const isCanSize = outer?.unitId === 'can' && outer.low === 1 && CAN_SIZE.test(piece.trim())
      if (isLeft && !isCanSize) {
        measures.splice(0)
        // "2 tins tuna, drained (112 g)": as it comes out of its liquid.
        if (/drained/i.test(isLeft[1]!)) prep.push('drained weight')
      }
      // "1 tin beans (240 g drained)": that much goes in.
      // "(in brine, drained, about 450 g)": as well.
      const upTo = inside.slice(0, inside.indexOf(piece) + piece.length)
      if (dual && /\bdrained\b/i.test(upTo)) {
        measures.splice(0)
        prep.push('drained weight')
      }
      if (
        dual &&
        /\b(?:cooked|poached|shredded)\b/i.test(text.slice(0, at) + piece) &&
        /\bcooked\b/i.test(piece)
      )
        measures.splice(0)
      if (dual && measures.length > 1 && /\b(?:prepared|once|peeled|trimmed|after)\b/i.test(piece))
        measures.splice(1)
      if (dual) measures.push(...dual.map((measure) => (each ? times(measure, outer) : measure)))
      else if (piece.trim()) {
        // "1 pack puff pastry (375 g ready rolled)": what it weighs, and what it is like.
        const inPack = outer?.unitId && PACKED.test(outer.unitId) ? WEIGHED_AND_SAID.exec(piece.trim()) : null
        const weighed = inPack ? measuresIn(/\p{L}/u.test(inPack[1]!) ? inPack[1]! : `${inPack[1]!} g`) : null
        if (weighed) measures.push(...weighed.map((measure) => (each ? times(measure, outer!) : measure)))
        const said = weighed ? inPack![2]!.trim() : piece.trim()
        if (said) prep.push(said)
      }
    }
    return ' '
  })
  if (!measures.length) {
    const inside = prep.map(measuresIn).findIndex(Boolean)
    const bare = prep.findIndex((word) => /^(?:about |approx\.? |~)?\d{2,4}$/i.test(word))
    if (inside >= 0) measures.push(...measuresIn(prep.splice(inside, 1)[0]!)!)
    else if (bare >= 0) {
      const number = readNumber(prep.splice(bare, 1)[0]!.replace(APPROXIMATE, ''))!
      measures.push([{ low: number.low, high: number.high, unitId: null, heap: null, size: null }])
    }
  }
  return rest
}
