import { NUMBER_PATTERN, readNumber } from './readNumber'
import { UNIT_PATTERN, unitById, unitByName } from './units'

export type Size = 'small' | 'medium' | 'large'
export type Heap = 'heaped' | 'level' | 'scant' | 'rounded' | 'generous'
/** One amount with its unit; `unitId` is null for a bare count ("2 onions"). */
export interface Term {
  low: number
  high: number
  unitId: string | null
  heap: Heap | null
  size: Size | null
}

/** One way in which the line states its amount; several terms add up ("1 kg 100 g", "1 cup + 2 tbsp"). */
export type Measure = readonly Term[]

/** "About", "roughly" in front of an amount. */
export const APPROXIMATE =
  /^(?:(?:about|approx(?:imately)?|around|roughly|circa|ca|nearly|up to|maybe|say)(?![a-zß-öø-ɏ\d])\.?|c\.(?=\s*\d)|~|≈)\s*/i

/** Where a word for a container is the beginning of a food's name. */
const NAME_NOT_UNIT = /^bottle[- ]gourds?\b/i

/** "a little less than 1 tbsp" is a scant one, "just over" a generous one. */
const LESS =
  /^(?:(?:a (?:little|bit|touch)|slightly|just) (?:less than|under)|just short of|barely|not quite)\s+/i
const MORE =
  /^(?:(?:a (?:little|bit|touch)|slightly|just) (?:more than|over)|a good|at least)\s+(?=[\d¼½¾⅓⅔⅛]|an? |one |two )/i
const HEAP = /^(heaped|heaping|level|scant|rounded|generous|good|big|lightly packed|firmly packed)\s+/i
const SIZE =
  /^(extra[- ]large|small|sm|medium(?:[- ]sized)?|med|large|lge|lrg|lg|big|fat|thick|(?:paper[- ]|wafer[- ]|very )?thin(?= (?:slices?|rashers?|rounds?)\b)|thumb[- ]sized)\.?(?:\s+|$)/i
const UNIT = new RegExp(`^(?:-\\s?)?(${UNIT_PATTERN})(?![a-zß-öø-ɏ\\d])\\.?`, 'i')
const CASE_UNIT = /^([tT])(?![\p{L}\d])/u

const HEAPS: Readonly<Record<string, Heap>> = {
  heaped: 'heaped',
  heaping: 'heaped',
  level: 'level',
  scant: 'scant',
  rounded: 'rounded',
  generous: 'generous',
  good: 'generous',
  big: 'generous',
  'lightly packed': 'level',
  'firmly packed': 'heaped',
}

/**
 * What heaping does to a spoon or cup. Common practice, no source.
 */
export const HEAP_FACTOR: Readonly<Record<Heap, number>> = {
  heaped: 1.5,
  rounded: 1.25,
  generous: 1.15,
  level: 1,
  scant: 0.9,
}

/** What a word in front of a spoon does to it ("heaping": 1.5); 1 where it says nothing of its height. */
export const heapFactor = (word: string | undefined): number => {
  const heap = word ? HEAPS[word.toLowerCase()] : undefined
  return heap ? HEAP_FACTOR[heap] : 1
}

const sizeOf = (word: string): Size =>
  /^sm|thin$/i.test(word) ? 'small' : /^med/i.test(word) ? 'medium' : 'large'

interface TermRead {
  term: Term
  rest: string
}

function readTerm(text: string): TermRead | null {
  let rest = text.replace(APPROXIMATE, '')
  const nearly: Heap | null = LESS.test(rest) ? 'scant' : MORE.test(rest) ? 'generous' : null
  if (nearly) rest = rest.replace(nearly === 'scant' ? LESS : MORE, '')
  const number = readNumber(rest)
  if (!number) return null
  const article = /^an?$/i.test(rest.slice(0, number.length))
  rest = rest.slice(number.length).trimStart()
  let heap: Heap | null = nearly
  let size: Size | null = null

  const heapMatch = HEAP.exec(rest)
  if (heapMatch && UNIT.test(rest.slice(heapMatch[0].length))) {
    heap = HEAPS[heapMatch[1]!.toLowerCase()] ?? null
    rest = rest.slice(heapMatch[0].length)
  }
  const sizeMatch = SIZE.exec(rest)
  if (sizeMatch) {
    size = sizeOf(sizeMatch[1]!)
    rest = rest.slice(sizeMatch[0].length)
  }
  const unitMatch = NAME_NOT_UNIT.test(rest) ? null : (CASE_UNIT.exec(rest) ?? UNIT.exec(rest))
  // A bare "c" or "in" after "a" is not a unit but the start of a word; the boundary check settles the rest.
  const unit = unitMatch ? unitByName(unitMatch[1]!) : null
  if (unit && unitMatch) rest = rest.slice(unitMatch[0].length)
  else if (article && !size) return { term: { ...number, unitId: null, heap, size }, rest }
  const { low, high } = number
  return { term: { low, high, unitId: unit?.id ?? null, heap, size }, rest: rest.trimStart() }
}

interface MeasureRead {
  measure: Term[]
  rest: string
}

/** "900 g - 1 kg", "50 ml to 1 dl": a range whose ends have units of their own. */
function readAcross(measure: readonly Term[], rest: string): MeasureRead | null {
  if (measure.length !== 1) return null
  const join = /^(?:-|–|—|to\b)\s*(?=[\d¼½¾⅓⅔⅛])/.exec(rest)
  const second = join && readTerm(rest.slice(join[0].length))
  const from = measure[0]!
  if (!second?.term.unitId || !from.unitId) return null
  const [low, high] = [unitById(from.unitId), unitById(second.term.unitId)]
  if (low.kind !== high.kind || low.kind === 'count') return null
  const [lowest, highest] = [from.low * low.factor, second.term.high * high.factor]
  if (!(highest > lowest && highest < lowest * 4)) return null
  const unitId = low.kind === 'mass' ? 'g' : 'ml'
  return { measure: [{ low: lowest, high: highest, unitId, heap: null, size: null }], rest: second.rest }
}

/** Terms that add up: "1 kg 100 g", "1 cup plus 2 tbsp", "1 cup + 2 tbsp". */
export function readMeasure(text: string): MeasureRead | null {
  const first = readTerm(text)
  if (!first) return null
  const measure = [first.term]
  let rest = first.rest
  while (measure.at(-1)!.unitId) {
    const across = readAcross(measure, rest)
    if (across) return across
    const join = /^(?:,?\s*(?:\+|plus|and|&)\s*(?:another |an extra |a further )?)?\s*/i.exec(rest)!
    const next = readTerm(rest.slice(join[0].length))
    if (!next || !next.term.unitId || /^an?\s/i.test(rest.slice(join[0].length))) break
    measure.push(next.term)
    rest = next.rest
  }
  return { measure, rest }
}

/** "2 x 400 g cans", "2 400-g cans", "2 (400 g) cans", "a 400 g can": so many containers of a stated weight. */
const CONTAINERS = new RegExp(
  String.raw`^(?:(${NUMBER_PATTERN})(?:\s*[x×]\s*|\s+|\s*(?=\()))?\(?\s*(\d+(?:[.,]\d+)?)\s*-?\s*(g|gr|gm|grams?|kg|oz|ounces?|ml|lb|l)\.?\s*\)?[\s-]*(cans?|tins?|jars?|packets?|packs?|packages?|blocks?|bags?|sachets?|sheets?|envelopes?|bottles?|tubs?|pots?|balls?|cartons?|tubes?|pouch(?:es)?|containers?|boxe?s?|logs?|trays?)\b(?!\s+gourds?)(?:\s*\([^)]*\))?`,
  'i',
)

const CONTAINER_WORD =
  /\b(?:cans?|tins?|jars?|packets?|packs?|packages?|blocks?|bags?|sachets?|sheets?|envelopes?|bottles?|tubs?|pots?|balls?|cartons?|tubes?|pouch(?:es)?|containers?|boxe?s?|logs?|trays?)\b/i

/** "1 x 375 g puff pastry", "3 × 50 g balls": so many of a stated weight. */
const SO_MANY_OF = /^(\d{1,2})\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*-?\s*(g|gr|gm|grams?|kg|oz|ml|lb)\b(?!\s*[x×/])/i

function readContainers(text: string): MeasureRead | null {
  const many = CONTAINER_WORD.test(text) ? null : SO_MANY_OF.exec(text)
  if (many) {
    const [count, size] = [Number(many[1]), readNumber(many[2]!)!]
    return {
      measure: [
        {
          low: count * size.low,
          high: count * size.high,
          unitId: unitByName(many[3]!)!.id,
          heap: null,
          size: null,
        },
      ],
      rest: text.slice(many[0].length).trimStart(),
    }
  }
  if (!CONTAINER_WORD.test(text)) return null
  const match = CONTAINERS.exec(text)
  if (!match) return null
  const count = match[1] ? readNumber(match[1]) : { low: 1, high: 1 }
  const size = readNumber(match[2]!)
  const unit = unitByName(match[3]!)
  if (!count || !size || !unit) return null
  return {
    measure: [
      { low: count.low * size.low, high: count.high * size.high, unitId: unit.id, heap: null, size: null },
    ],
    rest: text.slice(match[0].length).trimStart(),
  }
}

/** Whether a measure is stated in weight. */
export const isMass = (measure: Measure) =>
  measure.every((term) => /^(mg|g|kg|oz|lb)$/.test(term.unitId ?? ''))

/** Every way in which the beginning of a text states its amount, and what is left of the text. */
export function readMeasures(text: string): { measures: Measure[]; rest: string; container: boolean } {
  const containers = readContainers(text)
  // "4 x 120 g salmon fillets" come out of no can.
  if (containers)
    return { measures: [containers.measure], rest: containers.rest, container: CONTAINER_WORD.test(text) }
  const first = readMeasure(text)
  if (!first) return { measures: [], rest: text, container: false }
  const measures: Measure[] = [first.measure]
  let rest = first.rest
  for (;;) {
    const slash = /^(?:\/|or|=|,)\s*(?=[\d¼½¾⅓⅔⅛.~])/i.exec(rest)
    const bracket = /^[([]\s*([^)\]]*)[)\]]\s*/.exec(rest)
    if (slash) {
      const next = readMeasure(rest.slice(slash[0].length))
      if (!next?.measure[0]?.unitId) break
      measures.push(next.measure)
      rest = next.rest
      continue
    }
    if (bracket) {
      const many = MANY_INSIDE.exec(bracket[1]!)
      if (many && isContainer(measures[0]![0]!)) {
        const each = readNumber(many[2]!)!
        const inside = { ...each, unitId: unitByName(many[3]!)!.id, heap: null, size: null }
        measures.push(
          times(times([inside], { low: Number(many[1]), high: Number(many[1]) }), measures[0]![0]!),
        )
        rest = rest.slice(bracket[0].length)
        continue
      }
      const found = measuresIn(bracket[1]!)
      if (!found) break
      // "1 can (400 g)", "2 cans (400 g each)": the weight is of one container, so it is multiplied.
      const outer = measures[0]![0]!
      // "1/2 block (200 g)" is what goes in; of a can the bracket says how large it is.
      const isOfUsualCan = found.some(
        ([term]) => term!.unitId === 'g' && term!.low === outer.low * USUAL_CAN_GRAMS,
      )
      const isPart = outer.low < 1 && (outer.unitId !== 'can' || isOfUsualCan)
      const each = /\beach\b/i.test(bracket[1]!) || (isContainer(outer) && outer.low !== 1 && !isPart)
      measures.push(...found.map((measure) => (each ? times(measure, outer) : measure)))
      rest = rest.slice(bracket[0].length)
      continue
    }
    break
  }
  return { measures, rest, container: isContainer(measures[0]![0]!) }
}

/** Half of a tin that is called 200 g is half of the usual one. Common practice, no source. */
const USUAL_CAN_GRAMS = 400
/** "1 pack (2 x 320 g sheets)": so many of a weight, all of them in it. */
const MANY_INSIDE = /^\(?\s*(\d{1,2})\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*-?\s*(g|kg|oz|ml|lb)\b[^)]*/i

const isContainer = (term: Term) => /^(can|jar|packet|tub|block|ball|bottle)$/.test(term.unitId ?? '')
/** The measure as many times. */
export const times = (measure: Measure, by: { low: number; high: number }): Measure =>
  measure.map((term) => ({ ...term, low: term.low * by.low, high: term.high * by.high }))

/** The measures inside brackets, or null when the brackets hold anything that is not an amount. */
export function measuresIn(text: string): Measure[] | null {
  const found: Measure[] = []
  for (const piece of text.replace(/\beach\b|\?+\s*$/gi, '').split(/\/|;|,(?=\s)|\bor\b/)) {
    const read = readMeasure(piece.trim())
    if (
      !read ||
      !read.measure[0]!.unitId ||
      !/^(?:total|in all|net|(?:prepared |peeled |trimmed |drained |net |total )?weight|(?:of )?(?:picked )?(?:meat|flesh)|drained|cooked(?: weight)?|raw(?: weight)?|prepared|once [a-zß-öø-ɏ]+|when [a-zß-öø-ɏ]+|after [a-zß-öø-ɏ]+)?\.?\s*$/i.test(
        read.rest,
      )
    )
      return null
    found.push(read.measure)
  }
  return found.length ? found : null
}
