import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import type { RecipeNote } from '../recipe/document'
import type { Draft } from './drafts'
import { matchFood, normaliseName } from './match'
import type { Clause } from './method'
import { recalled } from './matches'
import { NUMBER_PATTERN } from './readNumber'
import { rememberWith } from './remember'
import { UNIT_PATTERN } from './units'

/** "½ tsp of turmeric" in a sentence. */
const MENTION = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d.,/])((?:about )?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d])\s*(?:of\s+)?)(?:the\s+)?((?:[a-zß-öø-ɏ][a-zß-öø-ɏ'-]*\s?){1,3})`,
  'gi',
)
const SEASONS = recalled(
  /\bseason(?:ed)?\b(?! (?:salt|it with the|with the)| (?:it )?with (?!(?:[a-zß-öø-ɏ\d/.½¼¾]+ ){0,4}(?:salt|seasoning)\b))|\b(?:add|with|some|and) salt\b|\bsalt (?:and pepper )?to taste\b/i,
)
/** "A knob of butter on top", "a squeeze of lemon": by the hand, without a number. */
const BY_HAND =
  /\b((?:good |big |small |little |generous )?(?:knob|dab|dot|drizzle|splash|glug|squeeze|handful|sprinkling|dash|dollop)s? of )((?:[a-zß-öø-ɏ][a-zß-öø-ɏ'-]*\s?){1,3})/gi
/** A sauce with so much sodium in 100 g salts what it is stirred into. Our own choice. */
const SALTY_SODIUM_MG = 3000
/** Water is nothing, fat that something is fried in is counted where it fries, and dough is what the pieces are made of. */
const NOT_MISSED = /^(?:liquid|oil|solid-fat|flour|starch|pastry|wrapper|bread)$/
/** Of these one stands for another where the words are short: "add 200 g meat", "100 ml stock". */
const CALLED_BY_GROUP =
  /^(?:meat|fish|seafood|stock|sauce|pulse|milk|plant-milk|cream|yogurt|sweetener|nut|seed)$/

/** "Top with ½ tbsp jam", and sugar-free jam is listed. */
const callsIt = (name: string, food: Food): boolean =>
  normaliseName(name).split(' ').at(-1) === normaliseName(food.name.split(',')[0]!).split(' ').at(-1)

/** Oil that is splashed into a pan is seen to where it is fried in, and water is nothing. */
const isByHand = (food: Food): boolean => !/^(?:oil|liquid)$/.test(food.group)

/** A food with the amount that a sentence gives of it, and the words that name it. */
export interface AmountSaid {
  amount: string
  name: string
  food: Food
}

/** The foods that a sentence gives an amount of: "½ tsp of turmeric", "2 tbsp of the oil". */
export const amountsSaid: (text: string, foods: Foods) => readonly AmountSaid[] = rememberWith(
  (text, foods) =>
    [...text.matchAll(MENTION)].flatMap(([, amount, words]) => foodBehind(amount!, words!, foods)),
)
/** "Serve with warm marinara (1/2 cup)": the amount stands in brackets behind. */
const SERVED_BEHIND = new RegExp(
  String.raw`\b(?:serve|dip|eat)\b[^.;()]*?\b(?:with|in|w) (?:(?:warm|hot|cold|some|plenty of) )*((?:[a-zß-öø-ɏ][a-zß-öø-ɏ'-]*\s?){1,3})\(((?:about )?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN}))\)`,
  'gi',
)
/** "Bind with 1 egg": counted, and an allergen. */
const EGGS =
  /(?<![\d./-])\b(\d) (?:(?:large|small|medium|beaten|whole|raw|whisked) )*(eggs?(?: yolks?| whites?)?)\b/gi
/** What a cook adds by the spoon while cooking. */
const BY_THE_SPOON = /^(?:spice|herb|salt|seasoning|sauce|sweetener)$/
/** A spoon of "the meat" or "beans" for each piece is a spoon of the filling. */
const ADDS_NEW =
  /\b(?:add|mix|stir|beat|whisk|bind|fold|blend|knead|serve|dip|eat)\b(?![^.;]*\b(?:each|every|per)\b)/i
const BY_ITS_CLASS = /^(?:meat|mince|beef|beans?|stock|broth|custard|fruit|veg\w*|cheese|chicken|pork)$/i
/** What a sentence adds, each with its amount. */
const addedIn: (text: string, foods: Foods) => readonly AmountSaid[] = rememberWith((text, foods) => [
  ...amountsSaid(text, foods).filter(
    ({ food, name }) =>
      BY_THE_SPOON.test(food.group) ||
      (!NOT_MISSED.test(food.group) && ADDS_NEW.test(text) && !BY_ITS_CLASS.test(name)),
  ),
  ...[...text.matchAll(SERVED_BEHIND)].flatMap(([, name, amount]) => foodBehind(amount!, name!, foods)),
  ...(ADDS_NEW.test(text)
    ? [...text.matchAll(EGGS)].flatMap(([, amount, words]) => foodBehind(amount!, words!, foods))
    : []),
  ...[...text.matchAll(BY_HAND)]
    .flatMap(([, amount, words]) => foodBehind(amount!, words!, foods))
    .filter(({ food }) => isByHand(food)),
])

/** The food that stands behind an amount; none where the larder has none of that name. */
function foodBehind(amount: string, words: string, foods: Foods): AmountSaid[] {
  // "1 tbsp stuffing" is none to serve beside a roast.
  if (/^(?:stuffing|filling|mixture|dough|batter|paste)\b/i.test(words)) return []
  const parts = words.trim().split(/\s+/)
  for (let length = parts.length; length > 0; length--) {
    const name = parts.slice(0, length).join(' ')
    const match = name.length > 2 ? matchFood(name, foods) : null
    if (match?.how === 'exact') return [{ amount: amount.trim(), name, food: match.food }]
  }
  return []
}

/**
 * Says what the method adds with an amount, or seasons with, though no line lists it: no line is made of a step, and what is not counted is not
 * passed over in silence.
 */
export function tellUnlisted(
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  foods: Foods,
  notes: RecipeNote[],
): void {
  const listed = drafts.flatMap(({ lines }) => lines)
  /** What is missing by what it is, and as it is said first. */
  const missing = new Map<string, string>()
  for (const { text, about, closed } of clauses) {
    // The egg that was counted as the wash is none that is stirred into the filling.
    const isInside = !closed && about !== null && about !== 'pieces' && about.kind === 'filling'
    const there = isInside ? listed.filter(({ line }) => line.raw !== '') : listed
    for (const { amount, food } of text.length > 400 ? [] : addedIn(text, foods))
      if (
        !there.some(
          (one) =>
            one.food?.id === food.id ||
            one.food?.kind === food.kind ||
            callsIt(one.read.name, food) ||
            (one.food?.group === food.group && CALLED_BY_GROUP.test(food.group)) ||
            (foodIs(food, 'egg') && foodIs(one.food, 'egg')) ||
            // "A dollop of cheese" is the feta, "a dot of carrot" what the line allows instead.
            (foodIs(food, 'cheese') && foodIs(one.food, 'cheese')) ||
            one.line.choices.some(({ foodId }) => foodId === food.id),
        )
      )
        missing.set(food.id, missing.get(food.id) ?? `${amount} ${food.name.toLowerCase()}`)
  }
  const isSalted = listed.some(({ food }) => food?.group === 'salt')
  // "Season" where soy sauce is listed means that; "add salt" means salt.
  const isSauced = (about: Clause['about']) =>
    (about && about !== 'pieces' ? about.lines : listed).some(
      ({ food }) => food?.group === 'sauce' && food.per100g.sodiumMg >= SALTY_SODIUM_MG,
    )
  const wantsSalt = ({ text, about }: Clause) =>
    about !== 'pieces' && SEASONS.test(text) && (/\bsalt/i.test(text) || !isSauced(about))
  if (!isSalted && clauses.some(wantsSalt)) missing.set('salt', 'salt')
  // The salt of the dough salts no filling.
  const unsalted = clauses.flatMap((clause) =>
    isSalted &&
    clause.about &&
    clause.about !== 'pieces' &&
    clause.about.kind === 'filling' &&
    !clause.about.lines.some(({ food }) => food?.group === 'salt') &&
    wantsSalt(clause)
      ? [clause.about]
      : [],
  )
  for (const draft of unsalted) missing.set(`salt ${draft.name}`, `salt in “${draft.name}”`)
  if (missing.size)
    notes.push({
      code: 'unlisted',
      level: 'check',
      text: `The method uses ${[...missing.values()].slice(0, 6).join(', ')}, which no line lists: it is not counted. Add it to the lines of its part`,
    })
}
