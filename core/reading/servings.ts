import { DIGIT_NUMBER, readNumber, withDigits } from './readNumber'
import { ONE_DISH, ONE_LARGE, ONE_TRAY, SINGLE_SERVE } from './oneDish'
import { withoutPortions, withPlainPromise } from './promises'
import { remember } from './remember'
import { SERVING_LABEL, servingSizeIn } from './servingSize'
import { UNIT_PATTERN } from './units'

export interface Yields {
  pieces: number | null
  servings: number | null
  /** "2 per person": pieces in a serving. */
  perServing: number | null
  /** True when the line says nothing but how many it makes. */
  whole: boolean
  /** What the line says besides. */
  rest: string
}

const ABOUT = String.raw`(?:about |maybe |like |abt\.? |ca\.? |approx(?:imately|\.)? |around |roughly |up to |~ ?){0,2}`
const N = String.raw`${ABOUT}(${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*\d{1,4})?(?:\s+doz(?:en|\.)?)?)`
const PEOPLE = String.raw`(?:servings?|portions?|people|persons?|guests|hungry people|adults|eaters)`
/** Words for pieces of filled dough. */
export const PIECES = String.raw`(?:pieces?|pcs?\b|units?\b|buns?|dumplings?|pies?|hand pies|turnovers?|pockets?|parcels?|rolls?|breads?|flatbreads?|pasty|pasties|pastries|patties|wrappers?|dis[ck]s?|rounds?|circles?|cones?|triangles?|half[- ]?moons?|semi-?circles?|half[- ]circles?|coils?|balls?|loi|pedas?|lechi|samosas?|empanad(?:it|ill)?as?|pierogi(?:es)?|piroz?s?h?ki|vareniki|varenyk[iy]|gyoza|potstickers?|momos?|parathas?|paranthas?|kachoris?|kulchas?|puris?|theplas?|gujiyas?|khinkali|ravioli|tortellini|pelmeni|mandu|crepes?|blintzes|pancakes?|modaks?|wontons?|bao|baozi|manti|crescents?|squares?|boats?|ovals?|slices?|cakes?|nos\b\.?|pupusas?|arepas?|calzones?|knishes|rotis?|twists|bites|puffs?|saucers?|snails|spirals|envelopes|purses|pinwheels|minis|in all\b|altogether|in total|ones\b|uns\b)`
const QUALITY = String.raw`(?:(?:small|medium|large|mini|little|big|good[- ]sized|generous|bite[- ]sized|individual|hand|filled|stuffed|steamed|fried|baked)\s+)*`

const makes = new RegExp(
  String.raw`\b(?:makes?|yields?|gives|quantity|batch of|number of [a-zß-öø-ɏ]+|gets? you|cuts (?:in)?to|(?<!\b(?:if|when|once|since|as|what|whatever) )you(?:'ll| will| should)? (?:get|have)(?= (?:about |around |like |roughly |approx\.? |~)?\d)|(?:you(?:'ll| will| should)?|(?:i|we)) (?:usually )?end up with|(?<=^|\bi |[(,;–-] ?)got|(?:i|we) (?:usually |always |normally )?(?:get|had(?= (?:about |around )?\d{1,3}\W*$))|came out (?:at|as)|comes? (?:out )?(?:to|at|as)?(?= ?(?:about|around|roughly|\d)))\s*:?\s*(?:enough (?:for|to make) )?(?:a (?:big |large |good |small )?batch(?: of|,| [-–])? )?${N}(?!\s*(?:g|kg|ml|minutes?|mins?|cm|mm|inch(?:es)?)\b|\s*(?:(?:or|to|-|–) ?\d+\s*)?(?:[a-zß-öø-ɏ]+ )?(?:slits?|holes?|cuts?|vents?|incisions?|slashes|snips|pleats?|folds?|layers?)\b)\s*(${PEOPLE})?`,
  'i',
)
const serves = new RegExp(
  String.raw`(?<!\bfor )\b(?:serves|served|feeds|servings?|portions?)(?! size)\s*:?\s*${N}`,
  'i',
)
const forBracket = new RegExp(
  String.raw`\((?:serves|feeds|(?:(?:a )?(?:dinner|supper|lunch|tea|meal|snack|starter|enough|plenty) )?for)\s+${N}\)`,
  'i',
)
/** "Makes 30, enough for 4": who eats them. */
const enoughFor = new RegExp(String.raw`\b(?:enough|plenty) for\s+${N}(?!\s*(?:${PIECES}))`, 'i')
/** "For 8": a few are eaters, many are pieces. */
const MAX_EATERS = 10
/** So many may eat of one batch; more are pieces. */
const fewIn = (found: RegExpExecArray | null) =>
  found && (count(found[1]!) ?? 0) <= MAX_EATERS ? found : null
const forBare = new RegExp(String.raw`^\W*(?:enough )?for\s+${N}\W*$`, 'i')
/** "Divide among 4 bowls". */
const amongBowls = new RegExp(
  String.raw`\b(?:divide\w*|ladle|share|serve|spoon|pour)\b(?:(?!\b(?:dough|pastry|flour|filling|mixture|batter)\b)[^.;])*\b(?:among|between|into|in|over) ${N} (?:[a-zß-öø-ɏ]+ )?(?:bowls|plates)\b`,
  'i',
)
const forPeople = new RegExp(String.raw`\b(?:for\s+)?${N}\s+${PEOPLE}\b`, 'i')
const SERVED_PIECES = new RegExp(
  String.raw`^\W*(?:(?:recipe|no\.? of|number of|total) )?(?:serves|servings?|portions?)\s*[:=–-]?\s*${N}\s+${QUALITY}${PIECES}\W*$`,
  'i',
)
const perPerson = new RegExp(
  String.raw`\b${N}\s+(?:${PIECES}\s+)?(?:per (?:person|serving|serve|head|portion)|each person|a head|each(?=\W*$))\b`,
  'i',
)
/** "We eat two each with yoghurt", "allow 3 each for lunch". */
const eatenEach = new RegExp(
  String.raw`\b(?:(?:we|you|they|i|people)(?: (?:usually|normally|always|generally|will|can|would))? (?:eat|have|get through|need|want|manage)|allow|reckon on|count on|figure on|serve|plan on)\s+${N}\s+(?:${PIECES}\s+)?(?:each|a head|per person|apiece)\b(?! (?:day|time))`,
  'i',
)
const eachServes = new RegExp(
  String.raw`\beach (?:(?:one|1|${PIECES}) )?(?:serves|feeds|is enough for|does for|(?:cuts?|is cut|slices?) (?:in)?to)\s+${N}(?:\s+(?:${PEOPLE}|(?:big |small |large |good )?(?:slices|wedges|pieces)))?`,
  'i',
)
const anyPieces = new RegExp(
  String.raw`(?:^\W*|[(,;–-]\s*)(?:makes |about |~)*${N}\s+${QUALITY}${PIECES}(?![a-zß-öø-ɏ])`,
  'i',
)
const forSome = new RegExp(String.raw`\bfor\s+${N}\s+${QUALITY}${PIECES}(?![a-zß-öø-ɏ])`, 'i')
const times = new RegExp(String.raw`[(]\s*[x×]\s*(\d{1,3})\s*[)]|(?:^|\s)[x×]\s?(\d{1,3})$`, 'i')
const ofPieces = new RegExp(
  String.raw`^\W*${N}\s+${QUALITY}(?:(?!(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d])|(?:fillings?|ways?|kinds?|types?|doughs?|versions?)\b)[a-zß-öø-ɏ]+\s+)?${PIECES}(?![a-zß-öø-ɏ])`,
  'i',
)
/** "Ravioli for 4": at the end of a title they are eaters. */
const FOR_AT_END = /\sfor (\d{1,2})(?:\s*(?:-|–|to)\s*\d{1,2})?\)?$/i
/** "… float + 2 min. About 45.": a sentence that is a number and nothing else. */
const aboutSo =
  /(?:^\(?|[.!?,]\s+)(?:(?:so )?(?:about|abt\.?|approx\.?|around|roughly|~)\s*)(\d{1,3})\s*(?:or so)?\W*$|^\W*(\d{1,3}) or so\W*$/i
/** "Milk buns (12)": only a title counts so. */
const inTitle = /\((?:makes |about )?(\d{1,3}(?: doz(?:en)?)?)(?:-?ish)?\)\s*$/i

/** "Apple hand pies, 8", "Chicken momo 30 pieces", "Pork buns 12": how many, at the end of a title. */
const atTitleEnd = new RegExp(
  String.raw`^(.*[a-zß-öø-ɏ].*?)(?:\s*[,:]\s*|\s+[–—-]\s*|(?<=[s)])\s+|\s+(?=\d+ ${PIECES}$))(?:about |makes )?(\d{1,3}(?: doz(?:en)?)?)(?:\s*-?ish)?(?:\s+${QUALITY}(?:pieces|pcs\.?|nos?\.?|of them|${PIECES})|\s+(?:small|large|mini|big|medium)(?: ones)?)?\W*$`,
  'i',
)

// "Makes 16–18": the smaller number is the promise one can keep.
const count = (text: string) => Math.floor(readNumber(text)?.low ?? 0) || null

/**
 * Reads how many pieces and servings a line promises: "Makes 16, serves 8", "Yield: 2 dozen", "feeds four",
 * "(x8)", "2 per person". A range gives its lower end.
 *
 * @returns null when the line says nothing of the kind
 */
export const readYields: (line: string) => Yields | null = remember(yieldsOf)

const AND_PIECES = new RegExp(String.raw`\b(?:and|about|${PIECES})\b`, 'gi')
/** Words without which a line counts nothing. */
const COUNTS =
  /\([^)]*\bfor|^\W*for\b|enough|serv|mak|yield|batch|number|dozen|gives|feed|portion|cuts|people|person|guest|quantity|gets? you|get|got|have|end up|came out|comes|eater|adult|\beat\b|allow|apiece|reckon|head\b|bowls|plates|\bx ?\d|×/i

/** "Roll into ropes, 12 pieces each": of a rope, and not of a person. */
const OF_ROPES =
  /\b(?:cut|divide|roll|make|shape|split)\b[^.]*\b(?:ropes?|logs?|sausages?|quarters|halves|strips?|snakes?)\b/i
/** "22 small or 11 large; I make the large". */
const CHOSEN_SIZE =
  /\b(?:makes?|yields?|gives)\b[^.;\d]{0,20}(\d{1,3}) (small|large|big|medium|mini)\b[^.;\d]{0,16}\bor (?:about )?(\d{1,3}) (small|large|big|medium|mini)\b[^.]*?\bi (?:usually |always )?(?:make|made|do|did|go for|went for) (?:the )?(small|large|big|medium|mini)(?: ones)?/i
/** "Each half makes 9": of a share, and not of the whole. */
const SHARE_GIVES =
  /\b(?:each|every|the other|the second) (?:half|third|quarter|sheet|log|roll|rope|strip|disc|block)\b[^.;]{0,20}\b(?:makes?|gives?|yields?)\b/i
/** "2 tubes crescent dough (8 each)" are bought. */
const BOUGHT_SO =
  /^\W*(?:\d{1,2}|an?|one|two) (?:tubes?|cans?|tins?|packs?|packets?|packages?|pkgs?|boxe?s?|bags?|jars?)\b/i

/** "320 g pack puff pastry x 2", "filo 270 g x 2", "1 egg x 2". */
const BOUGHT_TIMES =
  /^\W*(?:\d[\d.]*\s?(?:g|kg|ml|l|oz|lb)\b|(?:1|one|an?) (?:large |medium |small )?(?:eggs?|packs?|packets?|tins?|cans?|sheets?|jars?|tubs?)\b).*\s[x×]\s?\d{1,2}$|\d\s?(?:g|kg|ml|oz|lb)\s*[x×]\s*\d{1,2}$/i

/** "No. of pieces: 12", "Batch: 12 pockets": a label in front of how many. */
const COUNT_LABEL = new RegExp(
  String.raw`^\W*(?:no\.? of [a-zß-öø-ɏ]+|number of [a-zß-öø-ɏ]+|qty|count|(?:amount|batch(?: size)?|portions?|quantity)(?=\W+${ABOUT}[a-zß-öø-ɏ\d–-]+(?: [a-zß-öø-ɏ]+)? ${PIECES}(?![a-zß-öø-ɏ])))\s*[:=–-]\s*(?=\S)`,
  'i',
)
/** "Persons: 4", "Dinner for 4". */
const EATERS_LABEL =
  /^\W*(?:(?:persons?|people|guests|diners|eaters)\s*[:=–-]\s*|(?:a )?(?:dinner|supper|lunch|tea|meal|snack|starter|serving size)(?:\s*[:=–-])? for\s+)(?=(?:about )?(?:\d|one|two|three|four|five|six|eight|ten|twelve))/i
/** "12 pockets for 4": so many, and who eats them. */
const SO_MANY_FOR = new RegExp(
  String.raw`^(\W*${N}\s+${QUALITY}${PIECES})\s+for\s+(${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*\d{1,2})?)(?:\s+${PEOPLE})?\W*$`,
  'i',
)

/** A longer row is told without a full stop. */
const MOST_CHARACTERS = 400
/** "… for my lentil fatayer it makes about twenty you take four cups …": how many, said in passing. */
const IN_SPEECH =
  /\b(?:(?:it|this|that|which|recipe|dough) (?:makes?|gives?|yields?)|(?:you|i|we)(?:'ll)? (?:should |usually |normally )?(?:get|end up with)|serves|feeds) (?:you |me )?(?:about |around |roughly |like |maybe )?(?!a\b|an\b)(?:\d{1,3}|[a-zß-öø-ɏ-]+)(?: (?:or so|of them|pieces|people|[a-zß-öø-ɏ]+s))?/i
function promisedInSpeech(line: string): Yields | null {
  const said = IN_SPEECH.exec(line)?.[0]
  const found = said ? promisedIn(said) : null
  return found && { ...found, whole: false, rest: line }
}

function yieldsOf(said: string): Yields | null {
  const stated = said.replace(SERVING_LABEL, 'serves $1')
  const size = stated.length <= MOST_CHARACTERS ? servingSizeIn(stated) : null
  if (!size) return promisedIn(stated)
  const left = stated.replace(size.says, ' ')
  const found = promisedIn(left)
  const perServing = found?.perServing ?? (found?.servings ? null : size.pieces)
  return found
    ? { ...found, perServing }
    : { pieces: null, servings: null, perServing, whole: !/\p{L}{3}/u.test(left), rest: left.trim() }
}

function promisedIn(stated: string): Yields | null {
  const line = withoutPortions(withPlainPromise(stated))
    // "Serves: 3 Pieces: 6", "Yield: 6 Servings: 3": labels one behind the other.
    .replace(/(?<=^|[\d,;|.]\s*)(?:pieces|pcs)\s*[:=]\s*(?=(?:about |~)?\d)/gi, ', makes ')
    .replace(/(?<=\d)\s+(?=(?:servings?|portions?|serves)\s*[:=]\s*(?:about |~)?\d)/gi, ', ')
    // "(50ish)", "16-20ish".
    .replace(/(?<![\d.,/])(?<range>[-–]\s?)?(?<many>\d{1,3})\s?-?ish\b/gi, (...found) => {
      const { range, many } = found.at(-1) as { range?: string; many: string }
      return range ? `${range}${many}` : `about ${many}`
    })
    // "6 pockets - approx 290 kcal each".
    .replace(/\b(?:approx\.?|about|around|roughly|~)\s*(?=\d{2,4} ?k?cal)/gi, '')
    .replace(CHOSEN_SIZE, (whole, many: string, size: string, more: string, other: string, mine: string) =>
      mine.toLowerCase() === size.toLowerCase()
        ? `makes ${many}`
        : mine.toLowerCase() === other.toLowerCase()
          ? `makes ${more}`
          : whole,
    )
    .replace(COUNT_LABEL, 'makes ')
    .replace(EATERS_LABEL, 'serves ')
    // "Makes 4 big or 8 small (I did 8)": the cook's own number is the one the rest speaks of.
    .replace(/\bmakes?\b[^.]*\b(?:i|we) (?:did|made) (\d{1,3})\b[^.]*/i, 'makes $1')
  if (line.length > MOST_CHARACTERS) return promisedInSpeech(line)
  if (BOUGHT_SO.test(line) || SHARE_GIVES.test(line)) return null
  const dozens =
    /^\W*(?:(?:about|approx\.?|around|roughly|makes) )?((?:\d(?:\.5|½)?|an?|one|two|three|four|five|six|half a) doz)(?:en|\.)?(?: or so)?\W*$/i.exec(
      line,
    )
  if (dozens)
    return {
      pieces: count(withDigits(`${dozens[1]!}en`)),
      servings: null,
      perServing: null,
      whole: true,
      rest: '',
    }
  const alone = aboutSo.exec(line)
  if (alone)
    return { pieces: Number(alone[1] ?? alone[2]), servings: null, perServing: null, whole: false, rest: '' }
  if (!COUNTS.test(line) && !speaksOfPieces.test(line)) return null
  const text = withDigits(line.replace(/[*_#]/g, '').trim()).replace(SO_MANY_FOR, '$1, serves $3')
  if (!/\d|dozen|half|couple|few/i.test(text)) return null
  const per = OF_ROPES.test(text) ? null : (perPerson.exec(text) ?? eatenEach.exec(text))
  // "Each serves one", "each feeds 2".
  const each = eachServes.exec(text)
  const plain = per ? text.replace(per[0], ' ') : each ? text.replace(eachServes, ' ') : text
  const making = makes.exec(plain)
  // "Make a stiff dough" counts nothing.
  const made = making && !/^an?$/i.test(making[1]!.trim()) ? making : null
  const served =
    serves.exec(plain) ??
    forPeople.exec(plain) ??
    amongBowls.exec(plain) ??
    forBracket.exec(plain) ??
    forBare.exec(plain) ??
    (made && !made[0].includes('nough') ? fewIn(enoughFor.exec(plain)) : null)
  // "Serves 3 (6 chillas)": so many of what nobody else calls a piece.
  const called = SERVES_AND_CALLED.exec(plain)
  if (called && !speaksOfPieces.test(called[2]!))
    return { pieces: Number(called[3]), servings: count(called[1]!), perServing: null, whole: true, rest: '' }
  // "Servings: 8 puffs": each eats one of them.
  const servedPieces = SERVED_PIECES.exec(plain)
  if (servedPieces) {
    const many = count(servedPieces[1]!)
    return { pieces: many, servings: many, perServing: null, whole: true, rest: '' }
  }
  // "One strudel = 6 portions": one is made.
  const single =
    /^\W*(?:one|1) (?!batch|recipe|quantity|of\b)[a-zß-öø-ɏ]+ (?:=|serves|feeds|is enough for)/i.test(plain)
  const batch = BOUGHT_TIMES.test(plain) ? null : times.exec(plain)
  const inPassing =
    made && !made[2]
      ? null
      : served || per || made
        ? (anyPieces.exec(plain) ?? (served ? bareBracket.exec(plain) : null))
        : /\(/.test(plain)
          ? (bracketed(plain) ?? forSome.exec(plain))
          : forSome.exec(plain)
  const pieces =
    made && !made[2]
      ? count(made[1]!)
      : inPassing
        ? count(inPassing[1]!)
        : batch
          ? Number(batch[1] ?? batch[2])
          : single
            ? 1
            : null
  const eaters =
    forBare.exec(plain) ??
    (served === null || forPeople.test(plain) || serves.test(plain) ? null : forBracket.exec(plain))
  if (eaters && (count(eaters[1]!) ?? 0) > MAX_EATERS)
    return { pieces: count(eaters[1]!), servings: null, perServing: null, whole: true, rest: '' }
  const servings = made?.[2] ? count(made[1]!) : served ? count(served[1]!) : null
  const fed = each ? count(each[1]!) : null
  const perServing = per ? (readNumber(per[1] ?? per[2]!)?.low ?? null) : fed ? 1 / fed : null
  // "12 dumpling wrappers" are bought, not made.
  const bare =
    pieces === null && servings === null && !/\b(?:wrappers?|skins?|sheets?|dis[ck]s|pastry)\b/i.test(plain)
      ? ofPieces.exec(plain)
      : null
  // "16 slices turkey breast" goes in.
  const sliced = bare && /slices?$/i.test(bare[0].trim()) && plain.replace(ofPieces, '').trim()
  if (bare && !sliced && plain.split(/\s+/).length <= 6)
    return {
      pieces: count(bare[1]!),
      servings: null,
      perServing,
      whole: true,
      rest: plain.replace(ofPieces, '').trim(),
    }
  if (pieces === null && servings === null && perServing === null) return null
  const rest = [makes, serves, forPeople, anyPieces, forSome, times]
    .reduce((left, pattern) => left.replace(pattern, ' '), plain)
    .replace(AND_PIECES, ' ')
    .replace(/[()|,;]/g, ' ')
    .trim()
  const whole =
    /^\W*(?:makes?|yields?|gives|serves|servings?|portions?|feeds|quantity|recipe (?:makes|yields?)|for\b)/i.test(
      text,
    ) || /^\W*(?:\d+|[a-zß-öø-ɏ]+)\s+(?:servings?|portions?|people|persons?)/i.test(text)
  // "Make 16 balls, roll, stuff and pleat" is work.
  const isWork = IS_WORK.test(text)
  return { pieces, servings, perServing, whole: whole && !isWork && text.split(/\s+/).length <= 18, rest }
}

const SERVES_AND_CALLED = new RegExp(
  String.raw`^\W*(?:serves|servings?|feeds)\s*:?\s*${N}\s*\(((\d{1,2}) (?!(?:adults?|people|persons?|kids|children|hungry|generous|big|large|small|portions?|servings?|cups?|weeks?|days?|hours?|mins?|minutes?|points?|pts|kcals?|calories|g|ml|oz|lbs?)\b)[a-zß-öø-ɏ]+s)\)\W*$`,
  'i',
)
const IS_WORK =
  /^\W*make\b[^.]*(?:[,;]|\band\b|\bthen\b)\s*(?:roll|flatten|press|stuff|fill|pleat|fold|seal|shape|rest|cover)\b/i
const inBrackets = new RegExp(
  String.raw`\((?:makes |about |approx\.? |~)*${N}\s+${QUALITY}${PIECES}(?![a-zß-öø-ɏ])[^)]*\)`,
  'i',
)
/** "make patties (about 16 - 20)". */
const bareBracket = new RegExp(
  String.raw`\(\s*(?:about|approx\.?|around|roughly|~|makes|gives)\s*${N}\s*\)`,
  'i',
)
const speaksOfPieces = new RegExp(String.raw`\b${PIECES}(?![a-zß-öø-ɏ])`, 'i')
const bracketed = (text: string) =>
  inBrackets.exec(text) ?? (speaksOfPieces.test(text) || serves.test(text) ? bareBracket.exec(text) : null)

/** Pieces that a title promises: what any line may say, and "Milk buns (12)". */
export function titleYields(title: string): Yields | null {
  const eaters = FOR_AT_END.exec(withDigits(title))
  // What stands behind a mark and only counts is read by itself: "Leek pockets - 16-18 pieces".
  const behind = readYields(countTail(title, countBehind(title)))
  // "Calzone (single serve)" is one, for one; of pies each is for one.
  if (SINGLE_SERVE.test(title)) {
    const own = titleYields(title.replace(SINGLE_SERVE, ''))
    const none = { pieces: null, servings: null, perServing: null, whole: false, rest: '' }
    return !own?.pieces && ONE_DISH.test(withoutYields(title))
      ? { ...none, pieces: 1, servings: 1 }
      : { ...(own ?? none), perServing: 1 }
  }
  const whole = readYields(title)
  const said =
    behind?.pieces || behind?.servings
      ? {
          ...(whole ?? behind),
          pieces: behind.pieces ?? whole?.pieces ?? null,
          servings: behind.servings ?? whole?.servings ?? null,
        }
      : whole
  const found =
    said || !eaters
      ? said
      : Number(eaters[1]) > MAX_EATERS
        ? { pieces: Number(eaters[1]), servings: null, perServing: null, whole: false, rest: '' }
        : { pieces: null, servings: Number(eaters[1]), perServing: null, whole: false, rest: '' }
  const isOne =
    !found?.pieces &&
    (ONE_LARGE.test(title) || (found?.servings === 1 && ONE_DISH.test(withoutYields(title))))
  const bare = isOne ? '1' : found?.pieces ? null : (inTitle.exec(title)?.[1] ?? atTitleEnd.exec(title)?.[2])
  if (!bare || (found?.servings && !isOne)) return found
  return { servings: null, perServing: null, whole: false, rest: '', ...found, pieces: count(bare) }
}

/** Words that a count may be told in, beside its numbers. */
const COUNT_WORDS = new RegExp(
  String.raw`\b(?:${PEOPLE}|${PIECES}|makes?|yields?|gives|serves?|serving|feeds|quantity|amount|batch|number|no|of|recipe|this|you|get|about|approx|around|roughly|enough|for|to|and|or|so|as|an?|main|starter|snack|light|lunch|dinner|supper|hungry|depending|on|size|small|medium|large|big|mini|hand|sized|time|prep|cook|total|min(?:ute)?s?|hrs?|hours?|dozen|couple|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|eighteen|twenty|thirty)\b`,
  'gi',
)
const SIZES = /\b\d{1,2}[- ]?(?:cm|inch(?:es)?|in)\b ?/gi
/** Whether a text says anything besides how many there are, how big, and for whom. */
export const saysMore = (text: string): boolean =>
  /\d/.test(text) || /\p{L}{2}/u.test(text.replace(COUNT_WORDS, ' '))
/** What stands behind a mark in a title and says how many, and nothing else: " - makes 12 (serves 4)". */
function countBehind(title: string): number {
  for (const { index } of title.matchAll(/\s+[-–—|•]\s+|[,;:(]\s*|(?<=\p{L})[-–—]\s+/gu)) {
    if (index < 3) continue
    const tail = countTail(title, index)
    if (readYields(tail) && !/\p{L}/u.test(tail.replace(COUNT_WORDS, ' '))) {
      // What an open bracket says in front of the count is no part of it.
      const opens = title.lastIndexOf('(', index)
      return opens > title.lastIndexOf(')', index) && !saysMore(title.slice(opens + 1, index)) ? opens : index
    }
  }
  return title.length
}

const countTail = (title: string, from: number): string =>
  title
    .slice(from)
    .replace(/^[\s\p{Pd},;:(|•]+|\)$/gu, '')
    // "Pork pies - two 15 cm pies".
    .replace(SIZES, '')

/** A title without the counts it carries: "Pies (x8)", "Half-moons - serves 4 (12 pieces)". */
export function withoutYields(title: string): string {
  const cut = title
    .slice(0, countBehind(title))
    .replace(/\s*[([][^)\]]*(?:\d|serves|makes|for|single)[^)\]]*[)\]]/gi, (bracket) =>
      inTitle.test(bracket) ||
      SINGLE_SERVE.test(bracket) ||
      ONE_LARGE.test(bracket) ||
      readYields(bracket.replace(/[()[\]]/g, ' ')) ||
      times.test(bracket) ||
      inBrackets.test(bracket)
        ? ''
        : bracket,
    )
    // "Lamb cigars - makes 24 - party food".
    .replace(/\s*[-–—|]\s*(?:serves|makes|feeds|yields?) (?:about |around )?\d{1,3}(?=\s*[-–—|])/i, '')
    .replace(/\s*[-–—,;:|]\s*(?:serves|makes|feeds|for \d|yields?)\b.*$/i, (tail) =>
      // What the tail says besides stays in the title.
      /\p{L}{2}/u.test(readYields(tail)?.rest ?? tail) ? tail : '',
    )
    .replace(/\s+[x×]\s?\d{1,3}$/i, '')
    .replace(/(?<=\S)\s+for one$/i, '')
    .replace(ONE_TRAY, '')
    .replace(/\s+(?:makes|serves|feeds|yields?)\s+(?:about |around |roughly )?\d{1,3}$/i, '')
    .replace(forSome, '')
    .replace(atTitleEnd, '$1')
    .replace(/[\s,;(~–-]+(?:(?:per )?(?:circa|ca\.?)|approx\.?|about|around|roughly|makes|for)?\s*$/i, '')
    .trim()
  return cut.length > 2 ? cut : title
}
