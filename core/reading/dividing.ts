import { recalled } from './matches'
import type { Shape } from '../recipe/vocabulary'
import { fromArea, fromRope } from './bySize'
import { CROSSWISE, inNumbers, mentionsIn, SPLITS } from './mentions'
import type { Clause } from './method'
import { readNumber } from './readNumber'
import { remember } from './remember'
import { halvedEach, partings } from './partings'
import { PIECES } from './servings'

const GRID = recalled(
  /\b(?:cut|slice|divide|score|mark)\b[^.;\d]{0,24}(\d)\s*(?:by|x|×)\s*(\d)(?=\W*(?:$|[.,;)]|grid))(?!\s*(?:cm|mm|inch|in\b|"))/i,
)
/** "Cut like a pizza into 8" is a number; "roll half the dough, cut 8, repeat with the other half" is twice that. */
const A_SHARE = recalled(
  /\b(?:(?:(?<whole>half)|(?<third>(?:a|one|1) third|1\/3)|(?<quarter>(?:a|one|1) quarter|1\/4)) (?:of )?(?:the |your )?(?:dough|pastry)|(?:roll|take|use|shape) (?:out )?(?<bare>half)(?= (?:in)?to \d)|(?:one|1|the first|first) (?<one>half|piece|portion|part|ball|third|quarter|lump|disc|block)(?: of (?:the )?(?:dough|pastry))?(?! with| over| on)|(?<first>the first(?: one)?)(?= (?:in)?to \d))\b/i,
)
const AGAIN = recalled(
  /\b(?:repeat|do the same|same again|likewise)\b(?![^.;]{0,30}\b(?:fold|turn|process until)\b)/i,
)
const BOTH = recalled(/\bboth (?:of the )?(?:sheets|halves|pieces|rolls|blocks|lots|doughs)\b/i)
const IN_BATCHES = recalled(/\bin (\d|half|halves) (?:batches|lots|goes|halves)\b/i)
/** "Roll each half to a rectangle and cut into 6": each of them is cut. */
const EACH_IN_TURN = recalled(
  /\b(?:roll|take|pat|stretch|flatten|shape|press)\b(?: out)?\s(?:out )?(?:each|every|one at a time)\b[^.;]*\b(?:and|then|,)\s+(?:cut|slice|divide|stamp)\b[^.;,]*$/i,
)
/** "Roll each out, fill, roll up like a strudel and cut into 8": each of the logs is cut. */
const LOGS_IN_TURN = recalled(
  /\b(?:each|every)\b[^.;]*\broll(?:ed)? (?:it |them )?(?:up|into an? (?:[a-zß-öø-ɏ]+ )?(?:log|roll|cigar|sausage|strudel))\b[^.;]*\b(?:cut|slice|chop)\b(?: (?:it|them))?[^.;\d]{0,16}\d/i,
)
const MOST_SHARES = 6
/** "Re-roll the scraps for 2 more". */
const MORE_OF_SCRAPS = recalled(
  /\b(?:re-?roll\w*|scraps|trimmings|offcuts)\b[^.;\d]*?(?:\b(?:another|extra)\s+(\d{1,2})\b|\b(\d{1,2}) (?:more|extra)\b)/i,
)
const MOST_MENTIONS = 8
/** "7 circles from each half": so near behind its number a word belongs to it. */
const NEAR = 24

/** "Cut 12 x 9 cm + 12 x 6 cm lids": as many of one size as of the other. */
const TWO_SIZES =
  /\bcut(?: out)? (\d{1,2}) ?[x×] ?\d+(?:[.,]\d)? ?cm (?:[a-zß-öø-ɏ]+ )?(?:\+|and|&) \1 ?[x×] ?\d+/i
/** "Cut 3 inch circles, about 50": the number stands behind. */
const SO_MANY = new RegExp(
  String.raw`\b${PIECES}\s*(?:[,(:–-]\s*|\s)(?:about|around|roughly|approx\.?|~|makes|(?:you(?:'ll| will| should)? )?get)\s*(?:about )?(\d{1,3})(?!\d|[/.,]\d|\s*(?:cm|mm|g\b|inch|in\b|"|min))|\b${PIECES}\s*[,(–-]\s*(\d{1,3})(?: or so\b|(?=\s*\)?\W*$))|[,(–-]\s*(?:about|around|roughly|approx\.?|~)\s*(\d{1,3})(?: or so)?\)?\W*$|\b(?:cutter|ring|glass|saucer|cup)\s*[,(–-]\s*(?:about |around |~)?(\d{1,3})(?: or so)?\)?\W*$`,
  'i',
)
/** "Stretch each of the 4 balls". */
const EACH_OF =
  /\b(?:each|every one|all) of (?:the |your |these |those )?(\d{1,2}) (?:[a-zß-öø-ɏ]+ )?(?:balls|pieces|rounds|circles|dis[ck]s|squares|portions|lumps|buns|ovals)\b/i
/** "6 cm rounds x 24". */
const SIZED_TIMES =
  /\b(?:rounds|circles|dis[ck]s|squares|ovals)\s*[x×]\s*(\d{1,3})\b(?!\s*(?:cm|mm|g\b|inch))/i
/** "6 for bases, 6 for lids": as many as there are bases. */
export const BASES =
  /\b(\d{1,2}) (?:(?:of them )?(?:for|as|are) (?:the )?)?(?:bases?|bottoms?|undersides)\b[^.;]*\b(?:lids?|tops?)\b/i
/** "Squares 10 x 10 cm (40-45)": what comes of it, in brackets. */
const IN_BRACKETS =
  /\b(?:circles|rounds|dis[ck]s|squares|balls|wrappers|pieces)\b[^.;()]{0,24}\(\s*(?:about |approx\.? |~|makes |you(?:'ll| will)? (?:need|get|have) (?:about )?)?(\d{1,3})(?:\s*(?:[-–]|to)\s*\d{1,3})?(?:\s+(?:of them|in all|altogether|or so|with re-?roll\w*))?\s*\)/i
/** "Pipe 24 teaspoons of filling", "dot 30 blobs over the sheet": each is a piece's. */
const MOUNDS = recalled(
  /\b(?:pipe|place|put|dot|drop|dollop|spoon)\b[^.;\d]{0,20}(\d{2,3}) (?:(?:heaped|small|little|level|even) )*(?:tea)?(?:spoons?|tsps?|spoonfuls?|dollops|mounds|blobs|heaps|dots)\b(?! (?:of )?(?:water|oil|salt))/i,
)
/** "In 4 rows of 5". */
const ROWS_OF = recalled(/\b(\d) rows of (?:about )?(\d{1,2})\b/i)
/** "Cook 6 thin crepes": as many as are filled. */
const CREPES = recalled(
  /\b(?:cook|fry|bake|make)\b[^.;\d]{0,20}(\d{1,2}) (?:[a-zß-öø-ɏ]+ ){0,3}(?:cr[eê]pes|pancakes)\b/i,
)
/** "Repeat = 18", "so 18 in all": what comes of it, said after the work. */
const RESULT =
  /(?:\brepeat\b[^.;]{0,30}|\bso |\bgives? )(?:=|→|makes?)\s*(?:about )?(\d{1,3})(?=\W*(?:in all|in total|altogether)?\W*$)|\brepeat\b\s*[=:–-]\s*(\d{1,3})|\bper (?:sheet|strip|roll|round|circle)\s*(?:=|→|makes?|so)\s*(\d{1,3})/i
/** "Each sheet in 2 → 4 rectangles": what comes of it stands behind the arrow. */
const ARROW = new RegExp(
  String.raw`(?:→|->|=>|=)\s*(?:about )?(\d{1,3})(?:\s+(?:[a-zß-öø-ɏ]+ )?(?:rectangles?|strips?|${PIECES})|(?:\s*[-–]\s*\d{1,3})?\W*$)`,
  'i',
)
/** "Line 6 individual tins": each tin is a piece. */
const TINS =
  /\b(?:line|fill|into|in|between|for)\s+(?:the )?(\d{1,2})(?! ?(?:cm|mm|inch)\b)\s+(?:\d{1,4}\s*(?:ml|cm|mm|g|oz)\s+)?(?:[a-zß-öø-ɏ]+[- ]?){0,5}?(?:basins?|tins?|moulds?|molds?|ramekins?|pie dishes|dishes|tartlet cases|(?:muffin |tart )?(?:holes|wells|cases)|muffin cups)\b/i
const LINES_TRAY = recalled(
  /\bline (?:a|an|the|your) (?:[a-zß-öø-ɏ\d-]+ ){0,4}(?:tray|tin|dish|pan)\b(?! with (?:baking |greaseproof |non-?stick )?(?:paper|parchment|foil|silicone))/i,
)
/** "Lay one sheet in an oiled pan": the other covers it. */
export const LAYS_IN_TRAY = recalled(
  /\broll(?: out)? (?:one|1|the first|the larger|the bigger)(?: (?:sheet|half|piece|part))?\b[^.;]{0,30}\b(?:lay|put|place|line)\b[^.;]{0,14}\b(?:in|into|on|the|a) [^.;]{0,20}\b(?:tray|tin|dish|pan)\b|\b(?:lay|put|place) (?:one|1|half|a|the first)(?: (?:sheet|half|piece|layer))? [^.;]{0,6}\b(?:in|into|on) [^.;]{0,30}\b(?:tray|tin|dish|pan)\b/i,
)
/** Two rounds make one piece. */
export const PAIRS = recalled(
  /\b(?:top|cover|lid)\b[^.]{0,30}\bwith (?:the )?(?:bigger|larger|large)(?: (?:ones?|pieces?|sheets?|rectangles?|rounds?|squares?|half))?(?=\W*(?:$|[.,]))|(?<!\bfold[^.]{0,40})\b(?:top|cover|lid)\b[^.]{0,20}\bwith (?:the )?(?:other|second|remaining) (?:\d+(?! sheets?| layers?| leaves)|half|rounds|circles|dis[ck]s)|\b(?:on|onto|over|fill) half\b[^.;]*\b(?:top|cover)(?: (?:them|each))? with the (?:rest|others)(?=\W*(?:$|[.,;]|and\b))|\bin pairs\b|\bbetween two\b/i,
)
/** "Filling on 4, lids on": the other four cover them. */
const FILLS_SOME = recalled(
  /(?:\b(?:filling|mixture|mix|spoon\w*|divide\w*|put|place|(?:dis[ck]|slice|piece|ball|cube) of \w+)\b[^.;]{0,30}?\b(?:on|onto|over|between|among)|\bfill)\s+(?:the )?(half(?: of)?(?: (?:them|the))?|\d{1,2}|two|three|four|five|six)\b(?=[^.]*(?:,| and| then)[^.]*\b(?:lids?|cover|top (?:with|them|each)|remaining|other|lay the (?:rest|others)|the rest (?:on|over)))/i,
)
const FOLDED_OVER = recalled(/\bhalf\b[^.;]*\bfold(?:ed|ing)?\b(?! (?:the )?edges?\b)/i)
/** "Heap fruit on 8", "cut slits in the other 8 and lay on top". */
const ON_SO_MANY = recalled(/\b(?:on|onto|over) (?:the )?(\d{1,2})\b/i)
const LAYS_OTHERS = recalled(/\b(?:other|remaining) (\d{1,2})\b[^]*\b(?:top|lids?|cover|over)\b/i)
/** "Fill half, cover with another", "fill the first half of the rounds". */
const FILLS_HALF = recalled(/\bfill (?:the first |one )?half\b[^.]*\b(?:lids?|cover|top) /i)
/** "Fill 8, top with 8". */
const FILLS_AND_TOPS = recalled(
  /\bfill (\d{1,2})\b[^.;]{0,24}\b(?:top|cover|lid)(?: (?:them|each))? with (?:the other |another )?\1\b/i,
)
/** "12 for the tops". */
const FOR_TOPS = recalled(/\b(\d{1,2}) (?:of them )?(?:for|as|are) (?:the )?(?:tops?|lids?)\b/i)
/** "You need 2 rounds per pasty". */
const SO_MANY_EACH = recalled(
  /\b([23]) (?:(?:rounds|circles|dis[ck]s|sheets|squares|wrappers|of them) )?(?:per|for each|to each|for one|to make one|make one)\b(?! (?:person|serving|side|sheet|tray))/i,
)
/** "Into one big spiral": all of it. */
const ONE_OF_ALL = recalled(
  /\bcoil\b[^.;]{0,40}\bfrom the (?:centre|center|middle)\b[^.;]{0,20}\b(?:tin|tray|pan|dish)\b|\bcoil\b[^.;]{0,60}\b(?:(?:one|1) (?:roll |rope )?(?:following|after|joined to|behind) (?:the other|another|one)|end to end|joining (?:the )?ends|continu(?:e|ing) with the (?:next|others?))\b|\b(?:into|to|as|form) (?:one|1|a single) (?:(?:big|large|long|giant|continuous|huge) )*(?:spiral|coil|snail|ring|wreath|strudel|plait)\b/i,
)
/** "One slightly bigger … cover": a base and its lid. */
export const isBaseAndLid = (method: string): boolean =>
  ONE_LARGER.test(method) && /\b(?:cover|top with|lid|lay (?:it |the other )?over)\b/i.test(method)
const ONE_LARGER =
  /\b(?:the|a) (?:larger|bigger) (?:one|piece|half|part|portion|ball)?\b[^.;]{0,40}\b(?:tray|tin|dish|pan)\b|\b(?:one|1)(?: of (?:them|the [a-zß-öø-ɏ]+))?,? (?:(?:a )?(?:slightly|bit|little|somewhat) )?(?:bigger|larger|smaller)\b|\b(?:bigger|larger|smaller) (?:than the other|one)\b/i
const MAKES_PIECES = new RegExp(String.raw`\b(?:${SPLITS}|shape|form|roll|fill|${PIECES})\b`, 'i')

/** A number of pieces that the text gives. */
export interface Found {
  pieces: number
  /** How sure: a larger number wins. */
  weight: number
  says: string
}

/** "The dough was enough for 11". */
const ENOUGH_FOR =
  /\b(?:dough|pastry|amount|quantity|filling|batch)\b[^.;\d]{0,24}\b(?:enough|plenty|sufficient) (?:for|to make) (?:about )?(\d{1,3})(?=\W*$)/i
/** "Lay out the 16 wrappers", "put the 8 pies on a tray". */
const LAID_OUT = new RegExp(
  String.raw`\b(?:lay out|lay|spread out|take|use|fill|arrange|place|put|set|space|transfer) (?:the |all (?:the )?|your )(\d{1,3}) (?:[a-zß-öø-ɏ]+ )?(?:${PIECES}|skins)(?! ?(?:of|plain|sheets))`,
  'i',
)
/** Of "14-16" the smaller is a promise that can be kept. */
const OF_TWO_NUMBERS =
  /(?<![\d.,/½¼¾])\b(\d{1,3})\s?(?:-|–|to|or)\s?\d{1,3}\b(?![./,]\d|\s?(?:cm|mm|g|kg|ml|inch|in|min|hours?|°|deg|tbsp|tsp|cups?)\b|["°])/gi
/** "6 triangles per circle, 2 circles". */
const PER_ROUND = recalled(
  /(\d{1,2}) [a-zß-öø-ɏ]+ (?:per|from (?:each|every|a)) (circle|round|dis[ck]|sheet|strip|log)\b[^.;\d]{0,12}(\d{1,2}) \2s\b/i,
)
/** "Until all 21 are done". */
const ALL_DONE =
  /\b(?:all|the) (\d{1,3}) (?:of them )?(?:are|is|have been) (?:done|made|filled|shaped|closed|sealed|used)\b/i

/** How many there are by what is said in passing: in brackets, behind an arrow, by tins. */
const saidInPassing: (text: string) => { at: number; count: number } | null = remember((told) => {
  const text = told.replace(OF_TWO_NUMBERS, '$1')
  // "Rest, about 30." counts minutes: a bare number behind a comma is of pieces only where something is cut or shaped.
  const makesPieces = MAKES_PIECES.test(text) || /\bdough (?:is|has|gets|runs)\b/i.test(text)
  for (const pattern of [
    BASES,
    EACH_OF,
    ARROW,
    RESULT,
    SO_MANY,
    IN_BRACKETS,
    SIZED_TIMES,
    TINS,
    TWO_SIZES,
    ENOUGH_FOR,
    ALL_DONE,
    LAID_OUT,
  ]) {
    const match = pattern.exec(text)
    const stated = match?.slice(1).find((group) => group !== undefined)
    if (pattern === SO_MANY && match?.[3] && !makesPieces) continue
    if (match && stated) return { at: match.index + match[0].length, count: Number(stated) }
  }
  return null
})

/** Whether a clause may speak of the dough or of what becomes of it. */
const mayCount = ({ text, about }: Clause): boolean =>
  about === null ||
  about === 'pieces' ||
  about.kind === 'shell' ||
  /\b(?:dough|pastry|flour|both|balls|rounds|circles|dis[ck]s|wrappers|sheets?|rotis?|buns|saucers|squares|rectangles|ovals|pieces(?= \(\d{1,3}(?: of them)?\))|(?:form|roll|shape)\b[^.;]{0,16}\b(?:a|one) (?:roll|log|rope|sausage))\b/i.test(
    text,
  ) ||
  /^\W*(?:divide|portion|split) (?:it |them |all )?(?:in|into) \d|^\W*\d{1,3} (?:equal )?(?:pieces|pcs),? (?:roll|flatten|press|pat|shape|stretch|stuff|fill)\b/i.test(
    text,
  )

const CUTS_ROUNDS = recalled(/\b(?:rounds|circles|dis[ck]s|squares|balls|strips|pieces|wrappers)\b/i)
/** Dough that is parted, whichever way. */
export const CUTS = recalled(/\b(?:divide|cut|slice|split|halve|portion)\b/i)
/** So long, in the oven. */
export const BAKED = recalled(
  /\bbake\b[^.;]*\d ?min|\b\d{2} ?min\w*[^.;]*\b(?:oven|\d{3} ?°?C)|\b\d{3} ?(?:°?[CF]\b|fan\b)[^.;]*\d ?min/i,
)
/** "Score into 12": what is still one pie is marked for the table. */
const SCORED = recalled(/\bscore\b[^.;]{0,30}\b(?:in(?:to)?|to) \d/i)
/** "Cut in 8" behind the oven. */
const EATEN_IN = recalled(/^\W*(?:cut|slice|divide|portion)\b/i)
/** "Cut each into 4 and serve". */
const SERVED_CUT = recalled(/^\W*(?:cut|slice|halve|quarter)\b[^.;]*\b(?:serve|serving|eat)\b/i)
/** What is bought in sheets or rounds, and cut. */
const OF_BOUGHT = recalled(
  /\beach (?:[a-zß-öø-ɏ]+ )?(?:tortilla|wrapper|yufka|sheet|slice|roll|wrap|roti|pitt?a|block|pack|disc|round)\b|\b(?:sheets|rolls|blocks|packs|tortillas|wraps)\b[^.;]*\binto \d{1,2} (?:[a-zß-öø-ɏ]+ ){0,2}each(?=\W|$)/i,
)

/**
 * Pieces by dividing: "divide into 7 balls, … cut each in half" makes 14.
 *
 * @param bought how many sheets or rounds are bought, where they are counted
 */
export function byDividing(
  clauses: readonly Clause[],
  shape: Shape | null,
  bought: number | null = null,
): Found | null {
  let pieces: number | null = null
  let says = ''
  /** Into how many the dough was parted of which one is worked at a time. */
  let shares = 1
  /** … and each of them was one piece. */
  let repeated = 1
  let repeatSays = ''
  let ropeCm: number | null = null
  let sheetCm: readonly [number, number] | null = null
  let sentence = ''
  let tail = ''
  let rounds = 0
  // "Bake, pour over, bake again. Cut in 8": what one coil or pie is eaten in.
  const baked =
    shape === 'coil' || shape === 'lidded-pie'
      ? clauses.findIndex(
          ({ text, closed }) => (closed && /\bbake\b|\boven\b/i.test(text)) || BAKED.test(text),
        )
      : -1
  for (const [at, clause] of clauses.entries()) {
    if (baked >= 0 && at > baked && EATEN_IN.test(clause.text)) continue
    if (shape === 'lidded-pie' && SCORED.test(clause.text)) continue
    if (clause.closed && SERVED_CUT.test(clause.text)) continue
    const text = inNumbers(clause.text)
    const ahead = clause.sentence === sentence ? tail : ''
    sentence = clause.sentence
    tail = text
    if (!/\d|half|halve|third|fourth|two|quarter|repeat|same|rest/i.test(text)) continue
    const mounds = MOUNDS.exec(text) ?? CREPES.exec(text)
    const rows = /\b(?:spoon|tsp|tbsp|dot|pipe|place|put|filling|mound)/i.test(text)
      ? ROWS_OF.exec(text)
      : null
    if ((mounds ?? rows) && pieces === null) {
      pieces = mounds ? Number(mounds[1]) : Number(rows![1]) * Number(rows![2])
      says = text
      continue
    }
    if (!mayCount(clause)) continue
    const share = A_SHARE.exec(text)?.groups
    if (share)
      shares = share.third
        ? 3
        : share.quarter
          ? 4
          : share.whole || share.bare || share.one === 'half'
            ? 2
            : pieces !== null && pieces <= 4
              ? pieces
              : 1
    const seen = [...mentionsIn(ahead)(text)]
    const batches = seen.some(({ each }) => each) ? IN_BATCHES.exec(text) : null
    if (batches) pieces ??= Number(batches[1]) || 2
    // "One third of the dough at a time, cutting 5 from each", "both sheets, cut each in 6".
    if (seen.some(({ each }) => each)) {
      if (share && shares > 1) pieces ??= shares
      else if (BOTH.test(text)) pieces ??= 2
      // "Work with half the dough at a time … cut each roll into 6".
      else if (shares > 1 && pieces === null) {
        pieces = shares
        shares = 1
      }
    }
    const product = GRID.exec(text) ?? PER_ROUND.exec(text)
    if (product)
      seen.splice(0, seen.length, {
        at: product.index,
        count: Number(product[1]) * Number(product.at(-1)),
        each: false,
        result: false,
      })
    seen.splice(0, seen.length, ...halvedEach(text, seen))
    seen.push(...partings(text, seen))
    if (!seen.length || BASES.test(text)) {
      const passing = saidInPassing(text)
      if (passing) seen.splice(0, seen.length, { ...passing, each: false, result: true })
    }
    const rope = fromRope(text, ropeCm)
    ropeCm = rope.ropeCm
    if (rope.pieces !== null && !seen.some(({ result }) => result))
      seen.push({ at: text.length, count: rope.pieces * (pieces ?? 1), each: false, result: false })
    const area = fromArea(text, sheetCm)
    sheetCm = area.sheetCm
    if (area.pieces !== null && !seen.length)
      seen.push({ at: text.length, count: area.pieces * (pieces ?? 1), each: false, result: false })
    seen.sort((a, b) => a.at - b.at)
    const more = MORE_OF_SCRAPS.exec(text)
    if (more && pieces !== null) {
      pieces += Number(more[1] ?? more[2])
      continue
    }
    for (const { at, count, each, result } of seen) {
      const inTurn = clause.closed
        ? LOGS_IN_TURN.test(inNumbers(clause.sentence))
        : EACH_IN_TURN.test(text.slice(0, at))
      const crosswise = CROSSWISE.test(text.slice(at).replace(/^\d+/, ''))
      if (result) pieces = count
      else if ((each || crosswise) && pieces !== null) pieces *= count
      else if (inTurn && pieces !== null && pieces <= MOST_SHARES) pieces *= count
      // "Cut each tortilla in half": of those that were bought.
      else if (each && pieces === null && bought !== null && OF_BOUGHT.test(text)) pieces = bought * count
      // "Cut each half into 6" where nobody said that it was cut in two.
      else if (each && /\beach half\b/i.test(text.slice(0, at + NEAR))) pieces = 2 * count
      else if (pieces === null || count > pieces) pieces = count
      rounds++
      says ||= text
      if (rounds > MOST_MENTIONS) break
    }
    // "… the other half gives 10 more".
    const besides =
      /\b(?:other|second|remaining) half\b[^.;\d]{0,20}(\d{1,3}) (?:more|too|as well|again)\b/i.exec(text)
    if (besides && pieces !== null) {
      pieces += Number(besides[1])
      continue
    }
    // "Roll half into 6, then do the other 6".
    const others: RegExpExecArray | null =
      pieces !== null && shares > 1 ? /\bthe (?:other|remaining|next) (\d{1,2})\b/i.exec(text) : null
    if (others && Number(others[1]) === pieces) {
      pieces *= shares
      shares = 1
    }
    const again = AGAIN.exec(text)
    if (again && shares > 1 && pieces === null) {
      repeated = shares
      repeatSays = text
    }
    if (again && shares > 1 && pieces !== null && !seen.some(({ at }) => at > again.index)) {
      pieces *= shares
      shares = 1
    }
  }
  // "Coil all 4 ropes into one big spiral".
  const one = clauses.find(({ text }) => ONE_OF_ALL.test(text) && !/\b(?:each|every)\b/i.test(text))
  if (one) return { pieces: 1, weight: 60, says: one.text }
  // "Roll half of the dough to 7 inch, fill, fold. Repeat": as many as there are shares.
  if (pieces === null && repeated > 1 && !clauses.some(({ text }) => CUTS_ROUNDS.test(text)))
    return { pieces: repeated, weight: 60, says: repeatSays }
  if (pieces === null) return null
  const half = pieces / 2
  const isLidded = clauses.some(({ text, sentence }) => {
    // "Spread filling on half, top with cheese, fold and crimp": each is folded, and none is a lid.
    if (FOLDED_OVER.test(sentence)) return false
    const on = FILLS_SOME.exec(text)?.[1]
    const tops = FOR_TOPS.exec(text)?.[1]
    if ((tops !== undefined && Number(tops) === half) || FILLS_HALF.test(text)) return true
    if (Number(FILLS_AND_TOPS.exec(text)?.[1]) === half) return true
    return on !== undefined && (/^half/i.test(on) || Math.floor(readNumber(on)?.low ?? 0) === half)
  })
  // "Heap fruit on 8. Cut slits in the other 8 and lay on top".
  const others = clauses.flatMap(({ sentence }) => LAYS_OTHERS.exec(sentence)?.[1] ?? [])
  const isTopped =
    others.some((many) => Number(many) === half) &&
    clauses.some(({ text }) => Number(ON_SO_MANY.exec(text)?.[1]) === half)
  if (pieces % 2 === 0 && (isLidded || isTopped || clauses.some(({ sentence }) => PAIRS.test(sentence))))
    pieces = half
  const perPiece = clauses.map(({ text }) => SO_MANY_EACH.exec(inNumbers(text))).find(Boolean)
  if (perPiece && pieces % Number(perPiece[1]) === 0) pieces /= Number(perPiece[1])
  if (shape === 'lidded-pie' && pieces <= 3) return null
  // "2 rectangles, one slightly bigger … cover": a base and a lid.
  if (pieces === 2 && isBaseAndLid(clauses.map(({ text }) => text).join('. ')))
    return { pieces: 1, weight: 60, says }
  // "Divide in two … line a tray": the bottom and the lid of one.
  if (pieces === 2 && clauses.some(({ text }) => LINES_TRAY.test(text) || LAYS_IN_TRAY.test(text)))
    return { pieces: 1, weight: 60, says }
  return pieces < 2 ? null : { pieces, weight: 60, says }
}
