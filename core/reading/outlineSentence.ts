import { recalled } from './matches'
import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { readHeading, type Heading } from './headings'
import { startsLikeStep } from './stepWords'
import { listBehindLead } from './leadsList'
import { matchFood } from './match'
import type { OutlineState } from './outlineState'
import { timeOfWhole } from './headRow'
import { isAboutKeeping, saysNothing } from './page'
import { readLine } from './readLine'
import {
  amountBehind,
  doneBehind,
  inlineList,
  isStep,
  matchedIngredient,
  spokenPart,
  wordsOf,
  BALLS_ALONE,
  STARTS_WITH_AMOUNT,
} from './rows'
import { PIECES, readYields, saysMore } from './servings'
import { NUMBER_PATTERN } from './readNumber'
import { sentencesOf } from './sentenceEnds'
import type { Row } from './tidy'
import { isCooked, saysSomething, standsBetweenWork } from './behindWork'
import { isHeatOrTime } from './time'
import { foodsTold } from './toldFoods'
import { capital } from './talk'
import { PORTIONS_OF_DOUGH } from './promises'
import { UNIT_PATTERN } from './units'

const COUNT_IN_FRONT = /^\W*(?:\d{1,3}\s*(?:x\s+)?|(?:a|one|two|half a) dozen\s+)/i
const METHOD_WORDS = recalled(
  /^(?:the )?(?:cooking |baking )?(?:method|instructions?|directions?|steps?|procedure|preparation(?: method)?|how to(?: (?:make|do|cook)(?: (?:it|them))?)?|making (?:it|them)|how|what (?:to|you|i|we) do|to do)$/i,
)
const SO_MANY_MADE = new RegExp(String.raw`^\W*\d{1,3} (?:(?:small|large|big) )?${PIECES}\W*$`, 'i')
const CUT_SO_MANY = recalled(
  /^\W*\d{1,3} (?:circles|rounds|dis[ck]s|squares|ovals)(?: of)? \d{1,2}(?:\.\d)? ?-?(?:cm|mm|inch(?:es)?|in\b|")(?=\W|$)|^\W*\d{1,3}\s*(?:[x×]|of)?\s*\d{1,2}(?:\.\d)?\s*-?(?:cm|mm|inch(?:es)?|in|")\s*(?:circles|rounds|dis[ck]s|squares|rectangles|triangles|ovals)\b/i,
)
/** A part named in a sentence, with its list behind it in brackets. */
const NAMED_LIST = recalled(
  /\b((?:pizza |bread |bun )?(?:dough|pastry|filling|stuffing)|(?:flour |sealing )?paste|egg wash|glaze)\s*\(([^()]{12,200})\)/i,
)
/** "Sweet chilli sauce for dipping, 1/2 cup". */
const AT_TABLE = recalled(
  new RegExp(
    String.raw`^(?<name>[a-zß-öø-ɏ][^,.;:()\d]{2,40}?),? (?:to serve|for serving|to dip|for dipping|on the side|alongside)(?:(?:\s*[,:–-]\s*|\s*\()(?:about )?(?<amount>(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN}))\)?)?\W*$`,
    'i',
  ),
)
/** "Serve with soured cream" in a list is what stands beside the dish. */
const SERVED_WITH = recalled(/^(?:serve|serving|eat)(?: (?:it|them|hot|warm|cold))* with (.+)$/i)
/** Nothing but what a wash is of. */
const WASH_ALONE = recalled(
  /^(?:beaten )?(?:egg|yolk|egg yolk|milk)(?: ?wash)?(?:\s*(?:\+|and|&|,)\s*(?:\d [a-zß-öø-ɏ]+ )?(?:milk|cream|water|salt|sugar|oil|seeds|sesame|yolk))*\.?$/i,
)
/** What a cook says between the lines and what buys nothing. */
const AFTERTHOUGHT = recalled(
  /^(?:that'?s (?:it|all)|that is all|easy|done|so good|yum(?:my)?|enjoy|you can'?t go wrong|nothing else|as simple as that)\W*$/i,
)

/** "30 corn husks, soaked": what the pieces are wrapped or held in, and nobody eats. */
const NOT_EATEN = recalled(
  /^\W*(?:about )?(?:\d{1,3} |some |a few )?(?:(?:dried|large|small|fresh|frozen|wooden|pieces of|squares of|sheets of) )*(?:corn ?husks|banana leaves|bamboo leaves|muffin (?:cases|cups|liners)|paper cases|(?:baking|parchment|greaseproof) (?:paper|squares)|parchment|cocktail sticks|tooth ?picks|skewers|kitchen string|foil)(?=\W*(?:$|[,(;]| for\b| to\b))/i,
)

/** Begins what a heading leads, and reads what stands behind it on its row. */
export function enter(state: OutlineState, row: Row, heading: Heading): void {
  // "Pan: 1 T oil, flat side down 2 min, 80 ml water, lid on, 7 min" is work, whatever it lists.
  if (heading.kind === 'pan' && heading.rest.split(/,\s+/).some((one) => /\d\s*min/i.test(one))) {
    state.mode = 'method'
    return state.step(row, `${heading.name}: ${heading.rest}`)
  }
  // "Gobi paratha - makes 8. Knead …" below a table: what the dish is called, and the work.
  if (!state.out.title && NAMES_PIECE.test(heading.name) && COUNTS_FIRST.test(heading.rest)) {
    state.out.title = heading.name
    state.mode = 'method'
    return countedStep(state, row, heading.rest)
  }
  const isForEach = FOR_EACH.test(heading.name) && saysNothing(heading.rest).nutrition === null
  if (isForEach && state.goOnForEach(row)) {
    for (const one of heading.rest.replace(/\.$/, '').split(/,\s+(?:and\s+)?/)) if (one) state.item(row, one)
    return
  }
  state.is(row, 'heading')
  if (heading.kind === 'method') {
    state.mode = 'method'
    state.explicitMethod = true
    state.emptyHeading()
    state.under = METHOD_WORDS.test(heading.name) ? '' : heading.name
    state.section = null
    if (heading.rest) state.step(row, heading.rest)
  } else if (heading.kind === 'remarks' && heading.rest && !isCooked(state.out.steps)) {
    // "Note: use strong flour" before the pieces are cooked says something, and the list or the work goes on.
    state.remark(row, row.text)
  } else if (heading.kind === 'noise' && standsBetweenWork(state.out.steps, heading.name, heading.rest)) {
    // "Advertisement", "Related: ten ways with leftovers" between two steps: a row of the page, and the work goes on.
    state.is(row, 'left-out')
  } else if (heading.kind === 'remarks' || heading.kind === 'noise') {
    state.mode = heading.kind
    state.section = null
    if (heading.rest && heading.kind === 'remarks') state.remark(row, row.text)
    else if (heading.rest) state.is(row, 'left-out')
  } else if (heading.kind === 'ingredients') {
    state.mode = 'lines'
    state.section = null
    // "Ingredients (10 buns)" counts as "for 10 buns" does.
    const pieces = heading.pieces ?? readYields(heading.name)?.pieces
    if (pieces) state.count(row, `makes ${pieces}`)
    // "To assemble the parcels" over a list says more than that a list follows.
    if (ASSEMBLES_SOMETHING.test(heading.name)) state.out.remarks.push({ text: heading.name, at: row.at })
    if (heading.rest) readText(state, row, heading.rest)
  } else {
    state.mode = 'lines'
    state.section = state.open(heading)
    // "Syrup: 800 ml water, 80 g sugar - simmer 10 min": a list, and what is done with it.
    const behind = heading.rest ? doneBehind(heading.rest, state.foods) : null
    const told = behind ? [] : toldBehind(heading.rest, state.foods)
    if (behind) {
      readText(state, row, behind.list)
      state.step(row, `${heading.name}: ${behind.done}`)
    } else if (told.length) {
      for (const one of told) state.item(row, one)
      state.step(row, `${heading.name}: ${heading.rest}`)
    } else if (EQUAL_PARTS.test(heading.rest)) state.item(row, heading.rest)
    else if (heading.rest) readText(state, row, heading.rest)
    // "Pastry: 1 lb store-bought puff" over the apples: the dough is bought, and nothing below goes into it.
    if (heading.kind === 'shell' && heading.rest && isBoughtDough(heading.rest, state.foods))
      state.section = null
  }
}

const EQUAL_PARTS = /^equal parts \S+ (?:\S+ )*and /i
/** "Each one gets", "per empanada": what goes into every piece besides the filling. */
const FOR_EACH = new RegExp(
  String.raw`^(?:and )?(?:(?:(?:in|into|on|for|to) )?(?:each|every)(?: (?:one|piece|${PIECES}))?(?: (?:gets|has|takes|needs|holds))?|per (?:piece|${PIECES}))(?: (?:also|as well|you need))?$`,
  'i',
)
const NAMES_PIECE = new RegExp(String.raw`\b${PIECES}$`, 'i')
const COUNTS_FIRST = /^(?:makes|yields?|serves) (?:about )?\d{1,3}[.,] [a-zß-öø-ɏ]/i

/** "5 potatoes boiled and mashed with 200 g cheese, and one onion that I fry": a list told with what is done to it. */
function toldBehind(rest: string, foods: Foods): string[] {
  if (!STARTS_WITH_AMOUNT.test(rest) || !isStep(rest, foods)) return []
  const told = foodsTold(rest, foods)
  return told.length > 1 ? told.map(({ text }) => text) : []
}

const ASSEMBLES_SOMETHING = /\b(?:assembl|shap)[a-zß-öø-ɏ]+ +[a-zß-öø-ɏ]/i

const isBoughtDough = (text: string, foods: Foods): boolean =>
  foodIs(matchFood(readLine(text).name, foods)?.food ?? null, 'bought-dough')

/** One sentence or one line outside the method. */
function readText(state: OutlineState, row: Row, text: string): void {
  const { foods, out } = state
  const bare = text
    .replace(
      /^(?:(?:so|well|okay|now|and|then),?\s+)*(?:(?:i|you|we)(?:'ll| will)? (?:use|take|need|want|add|have)\s+)?(?=\d|an? |about |half|some)/i,
      '',
    )
    .replace(/^(?:and|then)\s+/i, '')
    .replace(/(\p{L}{2})\.$/u, '$1')
  const over =
    /^(?:brush|glaze|gild|finish|top|sprinkle|dust|coat)(?: it| them)? with ((?:\d|an? |[¼½¾]).*)$/i.exec(
      text,
    )
  // "Brush with 1 egg" in a list of ingredients is what to finish with.
  if (over && state.mode !== 'method' && wordsOf(text) <= 9) {
    return state.itemOf('finish', row, over[1]!)
  }
  const served = SERVED_WITH.exec(text)
  if (
    served &&
    state.mode !== 'method' &&
    state.mode !== 'start' &&
    wordsOf(text) <= 9 &&
    !startsLikeStep(served[1]!)
  ) {
    return state.itemOf('dip', row, served[1]!)
  }
  // "… Proof 20 min. Yolk + milk.": behind the work of a row it is what is brushed on.
  if (state.mode !== 'method' && WASH_ALONE.test(text) && out.steps.at(-1)?.at === row.at) {
    // What is listed already is brushed on; what is not is said here for the first time.
    const word = /\b(?:egg|yolk|milk)\b/i.exec(text)?.[0] ?? ''
    const listed = out.sections.some(({ items }) =>
      items.some((item) => new RegExp(`\\b${word}s?\\b`, 'i').test(item.text)),
    )
    return word && listed ? state.step(row, text) : state.itemOf('finish', row, text)
  }
  if (AFTERTHOUGHT.test(text) || NOT_EATEN.test(text)) return state.remark(row, text)
  // "Make 4 balls.": work, and not what the recipe makes.
  if (state.section?.items.length && BALLS_ALONE.test(text)) return state.step(row, text)
  const found = readYields(text)
  // "1 packet filo (270 g)" is bought, "12 buns" are made.
  const bought =
    /^\W*\d/.test(text) &&
    !/^\W*\d+\s+(?:servings?|portions?|people)/i.test(text) &&
    // "8 puffs" below the work are made.
    !(out.steps.length > 0 && SO_MANY_MADE.test(text)) &&
    matchFood(readLine(text).name, foods)?.how === 'exact'
  // "Dumpling skins: 40 bought ones" are bought as well.
  if (found?.whole && !bought && !amountBehind(text, foods)) {
    state.count(row, text)
    // "12 pork buns" above everything is what the recipe is called.
    const named = text.replace(COUNT_IN_FRONT, '')
    if (named !== text && state.mode === 'start' && !out.title && !out.sections.length && wordsOf(named) >= 2)
      out.title = capital(named)
    if (saysMore(found.rest)) {
      if (wordsOf(found.rest) > 2 && isStep(found.rest, foods)) state.step(row, text)
      else state.remark(row, text)
    }
    return
  }
  if (isAboutKeeping(text) || /^(?:no|without) [a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?\W*$/i.test(text))
    return state.remark(row, text)
  // "36 pcs, 7 cm, 14 g dough + 11 g filling each".
  const each = /^\W*(\d{1,3})\s*(?:pcs|pieces|nos)\b.*\b(?:dough|filling|each)\b/i.exec(text)
  if (each) {
    out.counts.push({ pieces: Number(each[1]), servings: null, perServing: null, text })
    return state.step(row, text)
  }
  // "6 x 22cm circles" is cut and not bought.
  if (CUT_SO_MANY.test(text)) return state.step(row, text)
  // "Sugar 30g" among the lines of a dough goes into the bowl.
  const among =
    state.mode === 'lines' &&
    state.section?.items.length &&
    matchFood(readLine(text).name, foods)?.how === 'exact'
  if (saysNothing(text).nutrition !== null && !among && !matchedIngredient(text, foods))
    return state.is(row, 'left-out')
  // "I take 3 glasses of flour, half a glass of oil": told, and a list all the same.
  if (bare !== text && state.mode !== 'method' && /^(?:i|we|you)\b/i.test(text) && inlineList(bare, foods))
    return state.item(row, bare)
  // "Egg wash." said again among the steps is done, not bought twice.
  if (
    out.sections.some(({ items }) => items.some((one) => one.text.toLowerCase() === bare.toLowerCase())) &&
    /\b(?:wash|glaze)\b/i.test(bare)
  )
    return state.step(row, text)
  if (isStep(text, foods)) return state.step(row, text)
  // "…, lid on, 6 min. Lid off till crisp.": behind the work of its row, what names no food goes on with it.
  if (
    !found &&
    out.steps.at(-1)?.at === row.at &&
    // "… until crisp. Dip: soy + vinegar": what a label has just opened is its list.
    !(state.section?.heading && !state.section.items.length) &&
    !STARTS_WITH_AMOUNT.test(text) &&
    !inlineList(text, foods) &&
    matchFood(readLine(text).name, foods) === null
  )
    return state.step(row, text)
  if (
    found &&
    !/\b(?:g|kg|cups?|tbsp|tsp|ml)\b/i.test(text) &&
    matchFood(readLine(text).name, foods)?.how !== 'exact'
  ) {
    state.count(row, text)
    return state.remark(row, text)
  }
  // "More like mini calzone." behind the name of the dish lists nothing.
  if (state.isAtStart && out.title && !/\d/.test(text) && matchFood(readLine(text).name, foods) === null)
    return state.remark(row, text)
  if (saysSomething(state, row, text)) return state.remark(row, text)
  state.item(row, bare)
}

/** "Fry in oil 15 min, salt pepper dill": words and nothing else behind the time. */
const SEASONED_BEHIND = /^(.*\d ?min\w*),\s+([a-zß-öø-ɏ]+(?:(?:,\s*|\s+(?:and |& )?)[a-zß-öø-ɏ]+){0,4})\W*$/i
/** What is done in the pot before anything is filled. */
export const COOKS_FIRST =
  /^\W*(?:cook|(?:stir[- ]?)?fry|blanch|saut[eé]|sweat|soften|brown|simmer|boil|roast|stew)\b/i
/** So many of something that hold a list. */
const HELD =
  /^(?:[^\d:]{0,40}[,:] )?(?<bread>(?:about )?(?:\d{1,2}|an?|one|two|three|four|six|eight|ten|twelve) [a-zß-öø-ɏ -]{3,40}?)(?: pockets?)?,? (?:are |each )?(?:filled|stuffed) with (?<list>.+)$/i
/** Bread, or rounds that are bought: what holds a filling as it is. */
const holdsIt = (text: string, foods: Foods): boolean => {
  const match = matchFood(readLine(text).name, foods)
  return match?.how === 'exact' && /^(?:bread|wrapper)$/.test(match.food.group)
}

/** Takes a row below the work that lists what is eaten with the dish; false where it is no such row. */
export function isForTable(state: OutlineState, row: Row, text: string): boolean {
  const beside = state.out.steps.length > 0 && row.number === null ? AT_TABLE.exec(text)?.groups : undefined
  if (!beside || startsLikeStep(text)) return false
  if (matchFood(readLine(beside.name!).name, state.foods)?.how !== 'exact') return false
  state.itemOf('dip', row, [beside.amount, beside.name].filter(Boolean).join(' '))
  return true
}

/** One sentence outside the method: a part's name with its list, a time, or what a line says. */
export function readSentence(state: OutlineState, row: Row, sentence: string): void {
  const { foods, out } = state
  const list = state.mode === 'method' ? null : listBehindLead(sentence, foods)
  if (list) return state.item(row, list)
  // "8 mini pittas filled with 2 tins of tuna, 100 g sweetcorn": what holds it, and what goes in.
  const held = state.mode === 'method' ? null : HELD.exec(sentence)?.groups
  if (held && holdsIt(held.bread!, foods) && inlineList(held.list!, foods)) {
    state.itemOf('shell', row, held.bread!)
    return readSentence(state, row, `Filling: ${held.list!}`)
  }
  const behind = state.mode === 'method' ? null : doneBehind(sentence, foods)
  if (behind) {
    // "… 1 carrot - fry in oil 15 min, salt, dill": what seasons behind the work is listed as well.
    const seasoned = SEASONED_BEHIND.exec(behind.done)
    const names = seasoned?.[2]!.split(/,\s*(?:and )?|\s+(?:and|&)\s+|\s+/) ?? []
    const isSeasoned =
      names.length > 0 && names.every((name) => foodIs(matchFood(name, foods)?.food, 'seasons'))
    readSentence(state, row, isSeasoned ? `${behind.list}, ${names.join(', ')}` : behind.list)
    const done = isSeasoned ? seasoned![1]! : behind.done
    const part = state.section?.heading
    // "Filling: 600 g cabbage, 1 onion - fry 15 min": it is the filling that is fried.
    return state.step(
      row,
      part?.kind === 'filling' && COOKS_FIRST.test(done) ? `${part.name}: ${done}` : done,
    )
  }
  const whole = state.mode === 'method' ? null : timeOfWhole(sentence)
  if (whole && !whole.isTold) {
    if (whole.kind) out.times.push({ kind: whole.kind, minutes: whole.minutes, text: sentence })
    return state.is(row, 'left-out')
  }
  // "I use my usual pizza dough (500g tipo 00, 325g water, 24h in the fridge)".
  const bracketed =
    state.mode === 'method' ? null : STARTS_WITH_AMOUNT.test(sentence) ? null : NAMED_LIST.exec(sentence)
  // "Filo pastry (1 pack, 270 g)": how much it is, and nothing that goes in.
  const namesFood = (piece: string) => matchFood(readLine(piece).name, foods)?.how === 'exact'
  if (bracketed && inlineList(bracketed[2]!, foods) && bracketed[2]!.split(/,\s+/).some(namesFood)) {
    const list = bracketed[2]!.split(/,\s+/)
    state.count(row, sentence)
    enter(state, row, {
      kind: /filling|stuffing/i.test(bracketed[1]!)
        ? 'filling'
        : /paste|wash|glaze/i.test(bracketed[1]!)
          ? 'finish'
          : 'shell',
      name: bracketed[1]!,
      rest: list.filter((piece) => !isHeatOrTime(piece)).join(', '),
      pieces: null,
    })
    state.section = null
    return state.step(row, sentence)
  }
  const spoken = state.mode === 'method' ? null : spokenPart(sentence, foods)
  if (spoken) return readSentence(state, row, spoken)
  // "Paneer parcels: for the dough 2 cups atta …".
  const leads =
    !out.title && state.mode === 'start'
      ? /^([^:.\d]{3,50}):\s+((?:for|the) (?:the )?(?:dough|pastry|filling)\b.+)$/i.exec(sentence)
      : null
  if (leads) {
    out.title = leads[1]!
    return readSentence(state, row, leads[2]!)
  }
  const heading = readHeading(sentence, { foods, next: null })
  // "Pierogi: dough 300 g flour, …": what the dish is called, and its parts behind it.
  if (heading?.kind === 'unknown' && heading.rest && !out.title && state.mode === 'start') {
    out.title = heading.name
    return readSentence(state, row, heading.rest)
  }
  if (heading && heading.rest) {
    // "The filling is 500 g mushrooms fried in butter" says what and how at once.
    if (
      /\b(?:fried|cooked|saut[eé]ed|simmered|boiled|roasted|stirred)\s+(?:in|with|until|till|for)\b/i.test(
        heading.rest,
      )
    )
      state.step(row, sentence)
    return enter(state, row, heading)
  }
  // "… crimp. Egg wash. Bake": behind the work of its row it leads nothing.
  const washes = heading?.kind === 'finish' && WASH_ALONE.test(sentence) && out.steps.at(-1)?.at === row.at
  if (heading && !washes && !startsLikeStep(sentence) && heading.kind !== 'unknown')
    return enter(state, row, heading)
  readText(state, row, sentence)
}

/** A step, with what its sentences count: "… crimp. Makes 16." */
export function countedStep(state: OutlineState, row: Row, text: string): void {
  // "10 portions. Roll thin": what is done next says that nobody eats them yet.
  for (const sentence of sentencesOf(text.replace(PORTIONS_OF_DOUGH, '$1 pieces')))
    if (!BALLS_ALONE.test(sentence)) state.count(row, sentence)
  state.step(row, text)
}
