import { UNIT_NAMES } from './amountWords'
import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { PREP_WORDS } from './lineName'
import { both, shareOut, type LinePart } from './lineParts'
import { matchFood, type FoodMatch } from './match'
import { readLine } from './readLine'
import { DIGIT_NUMBER } from './readNumber'
import { unitById } from './units'

// One amount for several foods: "100 g ham and cheddar, mixed" shares it out, "ham and cheddar, 100 g of each" says it
// for both, "100 g ham and as much cheddar" says it twice.

const UNIT = String.raw`(?:${UNIT_NAMES}|handfuls?|pinch(?:es)?|bunch(?:es)?|sprigs?|dash|parts?)(?![a-zß-öø-ɏ])`
const AMOUNT = String.raw`(?<amount>(?:about |approx\.? |~ ?)?(?:(?:${DIGIT_NUMBER})(?: ?(?:-|–|to) ?(?:${DIGIT_NUMBER}))?|an?) ?${UNIT})`
const NAME = String.raw`[a-zß-öø-ɏ][a-zß-öø-ɏ'’ -]{1,40}?`
const JOINT = String.raw`(?:,? (?:and|&|\+|n) |, |(?: ?[/+] ?))`
const LIST = String.raw`(?<list>${NAME}(?:${JOINT}${NAME}){1,7})`
/** Words that say the foods make up the amount together. */
const TOGETHER = String.raw`(?:mixed(?: together)?|combined|together|altogether|(?:in )?total|in all|half (?:and|&|n) half|half ?\/ ?half|half half|50 ?[/:-] ?50|half (?:of )?each|(?:in )?equal (?:parts|amounts|quantities|measures)|mix|mixture|blend)`
/** Words in front of the foods that say so. */
const A_MIX = String.raw`(?:of )?(?:an? |the )?(?:mix(?:ed|ture)?|blend|combination)(?: of)?`
const BETWEEN = '(?:split|shared|divided) between'

interface Wording {
  like: string
  /** Whether each food gets all of it. */
  each: boolean
  pattern: RegExp
}
const wording = (like: string, each: boolean, source: string): Wording => ({
  like,
  each,
  pattern: new RegExp(`^${source}$`, 'i'),
})

const A_UNIT_EACH =
  /([,:(–-]\s*)(?=(?:(?:small|large|big|good|generous) )?(?:handful|pinch|bunch|sprig|dash|splash|knob|drizzle|tin|can) (?:of )?each\b)/i

/** Every wording by which one amount is of several foods. */
export const ONE_AMOUNT: readonly Wording[] = [
  wording('1 tsp each of cumin and paprika', true, String.raw`${AMOUNT} (?:each|apiece)(?: of)?:? ${LIST}`),
  wording('1 tsp cumin and paprika each', true, String.raw`${AMOUNT} (?:of )?${LIST},? each`),
  wording(
    'cumin and paprika (1 tsp of each)',
    true,
    String.raw`${LIST}(?:,|:| [-–]| ?\(| )\s*${AMOUNT} (?:of )?each\)?`,
  ),
  wording('100 g of both ham and cheddar', true, String.raw`${AMOUNT} of both ${LIST}`),
  wording(
    'equal amounts of ham and cheddar, 100 g each',
    true,
    String.raw`equal [a-zß-öø-ɏ]+ (?:of )?${LIST}(?:,|:| [-–]| ?\()\s*${AMOUNT} (?:of )?each\)?`,
  ),
  wording(
    '100 g ham and cheddar, half and half',
    false,
    String.raw`${AMOUNT} (?:(?:${A_MIX}|of both|of|${BETWEEN}) )?${LIST}(?: mix(?:ture)?)?(?:,? | ?\()${TOGETHER}\)?`,
  ),
  wording(
    '100 g half ham, half cheddar',
    false,
    String.raw`${AMOUNT} (?:of )?half (?<list>${NAME}(?:,| and|, and| &|\/) ?half ${NAME})`,
  ),
  wording(
    '100 g of a mix of ham and cheddar',
    false,
    String.raw`${AMOUNT} (?:${A_MIX}|of both|${BETWEEN}) ${LIST}`,
  ),
  wording(
    'a mix of ham and cheddar (100 g in total)',
    false,
    String.raw`(?:(?:${A_MIX}|${BETWEEN}) )?${LIST}(?:,|:| [-–]| ?\()\s*${AMOUNT}(?: ${TOGETHER})?\)?`,
  ),
  wording('parsley and mint 30 g in all', false, String.raw`${LIST} ${AMOUNT} ${TOGETHER}`),
]
/** "100 g ham and the same of cheddar". */
const THE_SAME = new RegExp(
  String.raw`^${AMOUNT} (?:of )?(?<first>${NAME})(?:,| and|, and| &| \+| plus) (?:(?:about )?(?:the |an )?(?:same|equal|equivalent)(?: (?:amount|weight|quantity|volume|again))?(?: of)?|as much|ditto(?: of)?) (?<list>${NAME}(?:${JOINT}${NAME})*)$`,
  'i',
)
const BARE = new RegExp(String.raw`^${AMOUNT} (?:of )?${LIST}$`, 'i')

const SAYS_SHARED = new RegExp(String.raw`${TOGETHER}|\b(?:half|blend|combination|both|split|shared)\b`, 'i')
const MAY_HOLD = /\d|[¼½¾⅓⅔⅛]|\b(?:an?|half|one|two|three|four|few)\b/i
const MAX_CHARACTERS = 140

/** The foods of a list, and what is done to all of them, said at its end. */
interface Listed {
  names: string[]
  found: FoodMatch[]
}

/** The foods of a list; null where one of them is none, or where the whole is the name of one food. */
function foodsOf(list: string, foods: Foods, each = false): Listed | null {
  if (!each && matchFood(list, foods)?.how === 'exact' && !/[,/]/.test(list)) return null
  // "Swede + potato mix, diced": what is done to them follows behind the last comma.
  const [, bare, prep] = DONE_BEHIND.exec(list) ?? [null, list, '']
  const names = bare!
    .split(/,? (?:and|&|\+|n) |, | ?[/+] ?/i)
    .map((name) => name.replace(/^half | mix(?:ture)?$/gi, '').trim())
    .filter(Boolean)
    .map(asGround(foods))
  const found = names.map((name) => matchFood(readLine(name).name, foods))
  if (names.length < 2 || !found.every((match) => match?.how === 'exact')) return null
  // "1 tbsp oil and water as needed": what has its own amount, and what is poured to another food, is weighed apart;
  // "spinach, kale or chard" is a choice.
  const read = names.map((name) => readLine(name))
  if (read.some(({ measures, unmeasured, alternative }) => measures.length || unmeasured || alternative))
    return null
  const poured = found.filter((match) => foodIs(match?.food, 'pours')).length
  if (!each && poured > 0 && poured < found.length) return null
  return { names: prep ? names.map((name) => `${name}, ${prep}`) : names, found: found as FoodMatch[] }
}
/** "Ground pork and beef": both are. What an item of a list is called by the word in front of the first. */
export const asGround =
  (foods: Foods) =>
  (name: string, at: number, all: readonly string[]): string => {
    const [ground] = GROUND.exec(all[0]!) ?? ['']
    return at > 0 && ground && matchFood(`${ground}${readLine(name).name}`, foods)?.how === 'exact'
      ? `${ground}${name}`
      : name
  }
const GROUND = /\b(?:ground|minced) /i
const DONE_BEHIND = new RegExp(
  `^(.*), (${PREP_WORDS}(?: (?:and |& )?${PREP_WORDS})?(?: small| fine(?:ly)?| together)?)$`,
  'i',
)

const GOES_ON = /\s(?:and|&|\+)\s[^,]+,\s/i
/** Whether a cook weighs them as one: three herbs, two nuts, vegetables. Not salt or spices. Common practice, no source. */
const isWeighedTogether = (found: readonly FoodMatch[]): boolean =>
  (['vegetable', 'cheese', 'flesh'] as const).some((trait) =>
    found.every(({ food }) => foodIs(food, trait)),
  ) ||
  (/^(?:herb|nut|seed|fruit|pulse)$/.test(found[0]!.food.group) &&
    found.every(({ food }) => food.group === found[0]!.food.group))

/**
 * The parts of a line that says one amount of several foods, or null. Only where the larder knows every one of them.
 *
 * @param raw an ingredient line
 */
export function oneAmountForSeveral(raw: string, foods: Foods): LinePart[] | null {
  const text = raw
    .trim()
    .replace(/\.$/, '')
    // "Coriander & mint - handful each".
    .replace(A_UNIT_EACH, '$1a ')
  if (text.length > MAX_CHARACTERS || !MAY_HOLD.test(text) || !/\band\b|[,&+/]| n |half/i.test(text))
    return null
  const same = THE_SAME.exec(text)?.groups
  if (same) {
    const listed = foodsOf(`${same.first!}, ${same.list!}`, foods)
    if (listed) return both(listed.names.map((name) => `${same.amount!} ${name}`))
  }
  // "100 g spinach/kale" is either, "225 g butter/lard mix" some of both.
  const isChoice = text.includes('/') && !SAYS_SHARED.test(text)
  for (const { each, pattern } of ONE_AMOUNT) {
    if (!each && isChoice) continue
    const { amount, list } = pattern.exec(text)?.groups ?? {}
    // "1 tsp each cumin and coriander, salt": the list of each ends behind its "and".
    if (each && list && GOES_ON.test(list) && !DONE_BEHIND.test(list)) continue
    const listed = amount && list ? foodsOf(list, foods, each) : null
    if (!listed) continue
    return each
      ? both(listed.names.map((name) => `${amount!} ${name}`))
      : shareOut(raw, listed.names, `${amount!} salt`)
  }
  const bare = isChoice ? undefined : BARE.exec(text)?.groups
  const listed = bare ? foodsOf(bare.list!, foods) : null
  if (!listed || listed.names.length < 3) return null
  const unitId = readLine(`${bare!.amount!} salt`).measures[0]?.[0]?.unitId
  const isWeighed = unitId && unitById(unitId).kind !== 'count'
  if (!isWeighed || !isWeighedTogether(listed.found)) return null
  return shareOut(raw, listed.names, `${bare!.amount!} salt`)
}
