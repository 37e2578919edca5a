import { foodIs } from '../food/groups'
import type { Food } from '../food/food'
import type { Diet } from '../diet/diets'
import type { Verdict } from '../diet/verdict'
import type { Recipe } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'

export interface Caution {
  code: string
  text: string
  source: string
}

interface Facts {
  recipe: Recipe
  foods: readonly Food[]
  verdicts: readonly Verdict[]
  diets: readonly Diet[]
  /** Polyols in % of the piece's weight. */
  polyolsPct: number
}

interface Rule extends Caution {
  /** The middle has to reach it, in °C. */
  middleC?: number
  when: (facts: Facts) => boolean
}

const has = (facts: Facts, test: (food: Food) => boolean) => facts.foods.some(test)
const isId =
  (...ids: string[]) =>
  (food: Food) =>
    ids.includes(food.id)

const cookedBy = ({ cooking }: Recipe, ...ways: CookingWay[]) =>
  ways.includes(cooking.way) || (cooking.andThen !== null && ways.includes(cooking.andThen.way))

const RULES: readonly Rule[] = [
  {
    code: 'hot-oil',
    text: 'Hot oil: fill the pan half at most, lower pieces in dry, keep a lid by, never put water on an oil fire, never leave it',
    source: 'common practice, no source',
    when: ({ recipe }) => cookedBy(recipe, 'deep-fry', 'shallow-fry'),
  },
  {
    code: 'steam',
    text: 'Steam and boiling water scald: lift the lid away from you',
    source: 'common practice, no source',
    when: ({ recipe }) => cookedBy(recipe, 'steam', 'boil', 'brown-and-steam'),
  },
  {
    code: 'hot-filling',
    text: 'The filling stays hotter than the crust: rest the pieces 5 min before biting',
    source: 'common practice, no source',
    when: () => true,
  },
  {
    code: 'poultry',
    middleC: 74,
    text: 'Poultry: 74 °C (165 °F) in the middle, by thermometer',
    source: 'US FSIS safe minimum internal temperatures, from memory',
    when: (facts) =>
      has(facts, (food) => food.group === 'poultry' || food.id === 'minced-chicken' || food.id === 'liver'),
  },
  {
    code: 'mince',
    middleC: 71,
    text: 'Minced beef, pork or lamb: 71 °C (160 °F) in the middle, by thermometer',
    source: 'US FSIS safe minimum internal temperatures, from memory',
    when: (facts) => has(facts, (food) => food.group === 'minced-meat' && food.id !== 'minced-chicken'),
  },
  {
    code: 'fish',
    middleC: 63,
    text: 'Fish and shellfish: 63 °C (145 °F) in the middle, by thermometer',
    source: 'US FSIS safe minimum internal temperatures, from memory',
    when: (facts) => has(facts, (food) => food.group === 'fish' || food.group === 'shellfish'),
  },
  {
    code: 'cooling',
    text: 'Leftovers and cooked filling: from 57 °C to 21 °C within 2 h and to 5 °C within 6 h in all; reheat to 74 °C. Local rules come first',
    source: 'US FDA Food Code 3-501.14 and US FSIS, from memory',
    when: (facts) =>
      has(
        facts,
        (food) => food.origins.length > 0 || foodIs(food, 'plant-protein') || food.id === 'cooked-rice',
      ),
  },
  {
    code: 'raw-flour',
    text: 'Raw flour and raw dough are not for tasting',
    source: 'US FDA advice on raw flour, from memory',
    when: (facts) => has(facts, (food) => food.group === 'flour'),
  },
  {
    code: 'kidney-beans',
    text: 'Dry kidney beans must boil hard for at least 10 min after soaking; slow cooking does not make them harmless',
    source: 'US FDA Bad Bug Book, from memory',
    when: (facts) => has(facts, isId('kidney-beans-cooked')),
  },
  {
    code: 'lupin',
    text: 'Lupin: people allergic to peanut may react to it. Use only sweet lupin',
    source: 'Regulation (EU) No 1169/2011 Annex II; cross-reaction from memory of EFSA opinion 2005',
    when: (facts) => has(facts, (food) => food.allergens.includes('lupin')),
  },
  {
    code: 'wheat-gluten',
    text: 'Vital wheat gluten and seitan are gluten itself: never for people with coeliac disease',
    source: 'Codex Standard 118-1979, from memory',
    when: (facts) => has(facts, (food) => food.id === 'vital-wheat-gluten' || food.id === 'seitan'),
  },
  {
    code: 'polyols',
    text: 'More than 10 % polyols: excessive consumption may produce laxative effects',
    source: 'Regulation (EU) No 1169/2011 Annex III',
    when: ({ polyolsPct }) => polyolsPct > 10,
  },
  {
    code: 'xylitol',
    text: 'Xylitol is poisonous to dogs, in small amounts too',
    source: 'US FDA consumer update on xylitol, from memory',
    when: (facts) => has(facts, isId('xylitol')),
  },
  {
    code: 'honey',
    text: 'No honey for children under 12 months',
    source: 'US CDC advice on infant botulism, from memory',
    when: (facts) => has(facts, isId('honey')),
  },
  {
    code: 'home-kitchen',
    text: 'A home kitchen cannot promise "free from": traces travel on boards, oil and hands. Read every packet',
    source: 'common practice, no source',
    when: ({ recipe }) => recipe.diets.length > 0,
  },
]

/** Where the warnings of diets stand among the cautions: before what is said of every diet. */
const BEFORE = 'home-kitchen'

/**
 * What diets themselves warn of, as `data/diets.csv` says: of those the recipe is made for, and of those it fits
 * unasked, for who eats little carbohydrate need not have meant to.
 */
function dietCautions({ recipe, verdicts, diets }: Facts): Caution[] {
  const found = new Map<string, Caution>()
  for (const { id, caution, warning } of diets) {
    const fits = verdicts.some((verdict) => verdict.diet === id && verdict.fits)
    if (caution && (recipe.diets.includes(id) || fits))
      found.set(caution, { code: caution, text: warning, source: 'common clinical advice, from memory' })
  }
  return [...found.values()]
}

/** The cautions that matter for a recipe, each with its number and source. */
export function cautionsFor(facts: Facts): Caution[] {
  const ofDiets = dietCautions(facts)
  return RULES.flatMap((rule) => {
    const { code, text, source } = rule
    const own = rule.when(facts) ? [{ code, text, source }] : []
    return code === BEFORE ? [...ofDiets, ...own] : own
  })
}

/** What the middle of a piece has to reach, and who says so. */
export interface MiddleLimit {
  celsius: number
  text: string
  source: string
}

/** Of a filling that was cooked before: as leftovers are reheated. */
const REHEATED: MiddleLimit = {
  celsius: 74,
  text: 'Cooked filling is made hot again: 74 °C (165 °F) in the middle, by thermometer',
  source: 'US FSIS safe minimum internal temperatures, from memory',
}

/** The strictest limit for the middle that the foods of a recipe ask for; what is cooked anyway is reheated. */
export function middleLimit(facts: Pick<Facts, 'recipe' | 'foods'>): MiddleLimit {
  const asked = RULES.filter(
    ({ middleC, when }) =>
      middleC !== undefined && when({ ...facts, verdicts: [], diets: [], polyolsPct: 0 }),
  )
  const strictest = asked.sort((a, b) => b.middleC! - a.middleC!)[0]
  return strictest
    ? { celsius: strictest.middleC!, text: strictest.text, source: strictest.source }
    : REHEATED
}
