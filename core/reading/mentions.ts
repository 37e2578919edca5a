import { recalled } from './matches'
import { remember } from './remember'
import { PIECES } from './servings'

// The numbers of a clause that count pieces: each is a measure, a size or a count, led by a verb, of each or in all.

/** "Fold in 3, do that twice": layers. */
const FOLDED = /\bfold(?:ed|ing)?(?: (?:it|them|the|dough|pastry|sheet|over|up))* (?:in|into)\s*$/i
/** Verbs that make many of one, and verbs that say what comes of it. */
export const SPLITS =
  'divide|split|cut|cutting|portion|separate|break|tear|chop|slice|stamp|pinch|pull|nip|snip|pluck|rip|weigh|scale|score|(?<!gas )mark'
const SHAPES =
  'shape|form|make|roll|pat|press|take|fills?|get|gets|got|assemble|yields?|gives?|giving|makes|making|manage|have|having|serve|portioned|divided'
const VERB = new RegExp(String.raw`\b(${SPLITS}|${SHAPES})\b`, 'gi')
const SPLIT_VERB = new RegExp(`^(?:${SPLITS}|portioned|divided)$`, 'i')
/** "Get 10": a number behind these is a number of pieces only where pieces are named. */
const NAMES_PIECES = /^(?:make|get|gets|got|take|have|having|fills?|gives?|yields?|makes|manage|assemble)$/i
export const MOST_PIECES = 400
const NUMBER =
  /(?<![\d.,/½¼¾⅓⅔]|\d\s?[x×]\s?)(\d{1,3})(?:\s*(?:-|–|to|or)\s*\d{1,3})?(?![\d%°½¼¾]|\s*\/\s*\d|[.,]\d|\s\d\/\d)/gu
/** What is measured, and no count: "10 cm", "3 minutes", "2 layers". */
const MEASURE =
  /^\s*[-–]?\s*(?:(?:g|gms?|grams?|kg|ml|l|oz|lbs?|cm|mm|inch|inches|min\w*|hours?|hrs?|secs?|seconds|deg\w*|[cf](?=\W|$)|tsp|tbsp|teaspoons?|tablespoons?|cups?|spoons?|spoonfuls?|times?|sides?(?![- ]plate)|layers?|batches|goes|turns|pleats?|folds?|corners|edges|points|slits?|steps?|days?|people|servings?)(?![a-zß-öø-ɏ])|in\b(?=\s*(?:\.|thick|wide|long|across|diameter|square|round|circle|disc))|["”″'’°%])/i
/** "12 x 16 rectangle", "30 x 40 cm": a size. */
const SIZE_AFTER =
  /^\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:(?:cm|mm|inch(?:es)?|in\b|["”″])[^.;]{0,12}?)?(?=\W*(?:$|[.,;)]|rectangle|square\b|sheet|oblong|slab|tin\b|tray|and\b))/i
/** "12 x 50 g", "16 x 9 cm rounds": so many, each of that size. */
const OF_SIZE = String.raw`(?:[x×]\s*)?(?:~|≈|about |approx\.? )?\s*\d+(?:[.,/]\d+|\s\d\/\d|\s?[½¼¾])?(?:\s*[-–]\s*\d+)?\s*-?\s*(?:g|gm|grams?|oz|cm|mm|inch(?:es)?|in\b\.?|["”″])[- ]*`
const BITS = String.raw`(?:${PIECES}|portions?|parts?|bits?|equal|lumps?|lids|sections?|lengths?|chunks?|knobs?|nuggets?|wedges?|strips?|logs?|ropes?|sausages?|snakes?|halves|quarters|diamonds?|oblongs?|fingers|bars|rectangles?|squares?|cases)`
const BETWEEN_STOPS =
  'mm|kg|ml|of|and|with|the|then|in|into|to|on|onto|for|from|or|at|each|every|until|till|by|per|using|over|min|mins|minutes|cm|inch|g'
/** The things that are counted, behind their number: "thin even circles", "10 cm rounds". */
const THINGS = new RegExp(
  String.raw`^\s+(?:x\s+)?(?:${OF_SIZE})?(?:(?!(?:${BETWEEN_STOPS})\b)[a-zß-öø-ɏ’'-]+\s+){0,4}?${BITS}(?![a-zß-öø-ɏ-])`,
  'i',
)
const WEIGHED_EACH = /^\s*[x×]\s*(?:~|≈|about |approx\.? )?\s*\d{1,3}\s*(?:g|gm|grams?|oz|ounces?)\b/i
/** "16 x 50 g." between two sentences of work. */
const WEIGHED_ALONE =
  /^\W*(?:about )?\d{1,3}\s*[x×]\s*(?:~|≈|about |approx\.? )?\s*\d{1,3}\s*(?:g|gm|grams?)(?: (?:dough|each))?\W*$/i
/** Behind a bare number the phrase is at its end: "divide into 8, roll", "cut 6 using a plate". */
const ENDS =
  /^\s*(?:$|[.,;:)(–+&-]|(?:and|of|each(?! time)|then|or so|ways?|using|with|from|out of|round|around|so|for|rounds?|altogether|in all|in total|equally|evenly|again|lengthw(?:ays|ise)|across|crosswise|down|[x×]\s*(?:~|≈|about |approx\.? )?\s*\d+ ?g)\b)/i
const INTO =
  /\b(?:in|into|to|by|out|between|among)\s+(?:about |approx\.? |around |roughly |maybe |another |some |~ ?)*$/i
/** What is shared out once more: each of what there is. */
const EACH =
  /\b(?:each|every|both|apiece|those|all) (?:of )?(?:the |them |these |those )?[^.;,]{0,20}$|\b(?:each|every)\b[^.;,]{0,32}$|\b(?:halves|quarters|strips|ropes|logs|sausages)\b[^.;,]{0,12}\binto\s*$/i
const FROM_EACH =
  /^[^.;]{0,40}?\b(?:from|out of|off|in|per) (?:each|every)(?! \d)\b|^[^.;]{0,24}?\b(?:a|per) (?:rope|log|strip|half|quarter|sheet|batch|sausage|dis[ck]|block|portion|piece of dough)\b/i
/** "Cut each in half so 12 triangles": twelve is what comes of it. */
const COMES_OF_IT =
  /(?:\bso\b|\bgiving\b|\bgives?(?: you)?\b|\bmak(?:es|ing)\b|\bto (?:get|make|give|end up with)\b|\bthere(?:['’]ll| will| should| may)? be\b|\byou(?:'ll| will| should)? (?:get|have|need|end up with|manage)\b|\bshould (?:get|have|make|makes|give|yield|be enough for)\b|\bthat(?:['’]?s| is| makes| gives)\b|\b(?:mine|this|it) (?:made|makes|gave|gives)\b|\bi (?:usually )?(?:get|got|end up with)\b|=|→|->)\s*(?:you |me )?(?:have |get |a total of |about |around |roughly |some |approx\.? |~ ?)*$/i
const IN_ALL = /^\s*(?:[a-zß-öø-ɏ-]+\s+){0,3}?\(?(?:in all|in total|altogether|all told|total)\b/i
const OPENS = /\(\s*(?:(?:about|so|makes|giving|~|=) ?)*$/i
const CLOSES = /^[^()\d]{0,24}\)/u
/** "5 strips lengthwise and 2 across": the one times the other. */
export const CROSSWISE = recalled(
  /^\s*(?:strips |columns |rows |cuts )?(?:across|crosswise|widthways|the other way|down|columns)\b/i,
)

/** ", 6 balls": what becomes of the dough stands in the row of work without a verb. */
const LISTED = /[,–-]\s+(?:about |~)*$/u
const ROUND_THINGS = /\b(?:buns|saucers|balls|pieces|rounds|circles|dis[ck]s|squares|portions)$/i

/** "Each half should give you 7": of each, though it is what comes of it. */
const EACH_GIVES =
  /\b(?:each|every) (?:[a-zß-öø-ɏ]+ )?(?:(?:will|should|can|may) )?(?:makes?|gives?|yields?)(?: you| me)? (?:about |around |roughly |~ ?)*$|\bfrom (?:each|every) (?:half|third|quarter|sheet|log|roll|rope|strip|disc|block)\b[^.;\d]{0,20}\b(?:get|make|cut|have) (?:about |around |roughly |~ ?)*$/i

/** A number of pieces in a clause: said once for all, or of each of what was there. */
export interface Mention {
  at: number
  count: number
  each: boolean
  /** It is what comes of the work, and no step of it. */
  result: boolean
}

const DOZENS: readonly [RegExp, (many: string) => string][] = [
  [/\b(?:a|one|1) dozen and a half\b|\b1\.5 dozen\b|\b1 ?½ dozen\b/gi, () => '18'],
  [/\bhalf a dozen\b|\b(?:0\.5|½|1\/2) (?:a )?dozen\b/gi, () => '6'],
  [/\b(?:a )?baker['’]s dozen\b/gi, () => '13'],
  [/\b(\d)(?:\.0)? ?doz(?:en|\.)?\b/gi, (many) => String(12 * Number(many))],
  [/\b(?:a |one )?dozen\b/gi, () => '12'],
]
/** "Into eighths". */
const FRACTIONS: readonly (readonly [RegExp, number])[] = [
  [/\binto fifths\b/gi, 5],
  [/\binto sixths\b/gi, 6],
  [/\binto eighths\b/gi, 8],
  [/\binto tenths\b/gi, 10],
  [/\binto twelfths\b/gi, 12],
]
/** Dozens and parts as numbers, and "30ish" as the number it is about. */
export const inNumbers: (text: string) => string = remember((text) => {
  const plain = text.replace(/(\d) ?-?ish\b/gi, '$1')
  const counted = /doz/i.test(plain)
    ? DOZENS.reduce((one, [word, made]) => one.replace(word, (_, many: string) => made(many)), plain)
    : plain
  return /ths\b/i.test(counted)
    ? FRACTIONS.reduce((one, [word, parts]) => one.replace(word, `into ${parts}`), counted)
    : counted
})

/** What is cut up and is no piece. */
export const NOT_PIECES =
  /\b(?:onions?|carrots?|potato(?:es)?|cabbage|leeks?|tofu|cheese|apples?|celery|peppers?|squash|pumpkin|mushrooms?|steps?|minutes?|layers?|slits?|meat|chicken|vegetables?)\b/i

/** "Between two pieces of parchment". */
const OF_PAPER =
  /^\s+(?:pieces|sheets|layers|bits) of (?:[a-zß-öø-ɏ]+[- ]){0,2}(?:paper|parchment|film|foil|cling ?film|plastic)\b/i
/** "6 from each roll", "5 per log", "6 to a rope", "8 slices from each": so many of each share of the dough. */
const PER_SHARE = new RegExp(
  String.raw`^\s*(?:(?:${PIECES}|slices|lengths|bits) )?(?:(?:per|to (?:an?|each|every)|(?:from|out of|off|in) (?:an?|each|every|one)) (?:rolls?|ropes?|logs?|sausages?|cylinders?|half|third|quarter|sheet|strip|dis[ck]|block|portion|length|strudel)\b|(?:from|out of|off) (?:each|every)(?: one)?(?=\W*(?:$|[.,;)])))`,
  'i',
)
const EACH_BEHIND =
  /^\s*(?:(?:equal |even )?(?:pieces|rolls|slices|portions|squares|rectangles|rounds|circles|dis[ck]s|strips) )?each(?=\W*(?:$|[.,;]))/i
const LOGS = /\b(?:logs?|sausages?|cylinders?|ropes?|rolls?)$/i
const OF_FILLING = /\b(?:filling|stuffing|mixture|meat|mince|sausage ?meat)\b/i

/** "25 x 12 cm ovals", "12 x 12 cm squares" are sizes; "16 x 9 cm rounds", "12 x 8 cm squares" so many. */
function isSize(first: string, after: string): boolean {
  const found =
    /^\s*[x×]\s*(\d+(?:[.,]\d)?)\s*(?:cm|mm|inch(?:es)?|in\b|["”″])?[- ]*(squares?|rectangles?|ovals?|oblongs?|sheets?|strips?)\b/i.exec(
      after,
    )
  return found !== null && (!/^square/i.test(found[2]!) || found[1] === first)
}

/** "Cut 6 x 7 inch": so many, each so wide, where no side of a sheet is meant. */
function isCutOfSize(text: string, at: number, after: string): boolean {
  const size = /^\s*[x×]\s*(\d{1,2})(?:\.\d)?\s*(cm|inch(?:es)?|in\b|["”″])\W*(?:$|[.,;)])/i.exec(after)
  if (!size || !/\bcut (?:out )?(?:about )?$/i.test(text.slice(0, at))) return false
  const wide = Number(size[1])
  return /cm/i.test(size[2]!) ? wide >= 6 && wide <= 24 : wide >= 3 && wide <= 9
}

/** The last verb before a place, and what stands between the two. */
function verbBefore(text: string, at: number): { verb: string; between: string } | null {
  const from = Math.max(0, at - 70)
  const before = text.slice(from, at)
  let found: RegExpExecArray | null = null
  for (const one of before.matchAll(VERB)) found = one
  if (!found) return null
  const between = before.slice(found.index + found[0].length)
  return /[.;]\s/.test(between) ? null : { verb: found[1]!, between }
}

/** The numbers of a clause that count pieces, in order. `ahead` is what its sentence says before it. */
export const mentionsIn: (ahead: string) => (text: string) => readonly Mention[] = remember((ahead) =>
  remember((text) => findMentions(text, ahead)),
)

function findMentions(text: string, ahead: string): Mention[] {
  const found: Mention[] = []
  for (const match of text.matchAll(NUMBER)) {
    const at = match.index
    const end = at + match[0].length
    const before = text.slice(0, at)
    const after = text.slice(end)
    const count = Number(match[1])
    if (count < 2 || count > MOST_PIECES) continue
    const things = THINGS.exec(after)
    const isCut = isCutOfSize(text, at, after)
    const weighed = WEIGHED_EACH.test(after)
    if (
      !weighed &&
      (MEASURE.test(after) || isSize(match[1]!, after) || (!things && SIZE_AFTER.test(after) && !isCut))
    )
      continue
    if (/[x×]\s*$/.test(before)) continue
    const led = verbBefore(text, at)
    // "Divide the dough and the cheese into 3" is of the dough as well.
    if (led && NOT_PIECES.test(led.between) && !/\b(?:dough|pastry)\b/i.test(led.between)) continue
    if (things && NOT_PIECES.test(things[0])) continue
    if (!things && FOLDED.test(before)) continue
    if (OF_PAPER.test(after)) continue
    // "6 portions" by itself counts who eats.
    if (led === null && /^\s*portions$/i.test(things?.[0] ?? '')) continue
    // "Mix the filling and roll into 2 logs" shapes what goes in.
    if (things && LOGS.test(things[0]) && OF_FILLING.test(before) && !/\b(?:dough|pastry)\b/i.test(before))
      continue
    const perShare = PER_SHARE.test(after)
    const ofEach = EACH_GIVES.test(before) || perShare
    const result =
      !ofEach &&
      (COMES_OF_IT.test(before) ||
        IN_ALL.test(after) ||
        // "Cut each sheet into 9 squares (18 puffs)".
        (things !== null &&
          OPENS.test(before) &&
          CLOSES.test(after) &&
          count > (found.at(-1)?.count ?? MOST_PIECES)))
    const splits = led !== null && SPLIT_VERB.test(led.verb)
    const bare = ENDS.test(after)
    const counts =
      (led !== null &&
        (things !== null || weighed) &&
        (splits ||
          INTO.test(before) ||
          NAMES_PIECES.test(led.verb) ||
          /^(?:shape|form|roll|pat|press|making)$/i.test(led.verb))) ||
      (weighed && WEIGHED_ALONE.test(text)) ||
      (led !== null && INTO.test(before) && bare && !NAMES_PIECES.test(led.verb)) ||
      (splits &&
        bare &&
        /^\s*(?:the |it |them |dough |pastry |out |off |into |in |to |:|about |up )*$/i.test(led.between)) ||
      (things !== null && /^\W*(?:about |makes |~)*$/i.test(before)) ||
      (things !== null && LISTED.test(before) && ROUND_THINGS.test(things[0])) ||
      (INTO.test(before) && (bare || things !== null) && EACH.test(before)) ||
      (ofEach && bare) ||
      // "Cut into 6-inch rounds, 4 per disc".
      perShare ||
      isCut ||
      (splits && CROSSWISE.test(after)) ||
      (result && (things !== null || bare || IN_ALL.test(after)))
    if (!counts) continue
    const own = (at < 16 ? `${ahead} ` : '').slice(-30) + text.slice(Math.max(0, at - 40), at)
    found.push({
      at,
      count,
      result,
      // "Cut into 8 each": of each of the rolls.
      each:
        !result && (ofEach || EACH.test(own) || FROM_EACH.test(after) || (splits && EACH_BEHIND.test(after))),
    })
  }
  return found
}
