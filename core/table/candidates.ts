import { adapt, type Adaptation } from '../adaptation/adapt'
import { asksOfServing, foodAgainstDiet, withoutImplied, type Diet } from '../diet/diets'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import { foodIs } from '../food/groups'
import { adviceOn, withAdvice } from '../method/advice'
import type { Part, Recipe } from '../recipe/document'
import { allLines, hostOf } from '../recipe/lines'
import type { ReferenceData } from '../tables/referenceData'
import { MAX_CANDIDATES, setsOf } from './cover'
import type { Guest } from './guest'

/** A recipe that could be on the table. */
export interface Made {
  recipe: Recipe
  evaluation: Evaluation
  /** How far from the recipe as it is. */
  distance: number
  /** Which of the distinct doughs, and which of the distinct rests, counted from 0. */
  dough: number
  filling: number
}

/** Ids of the foods in a recipe. */
export const foodsIn = (recipe: Recipe): Set<string> =>
  new Set(allLines(recipe).flatMap(({ line }) => (line.foodId === null ? [] : [line.foodId])))

/** What some guests ask for together: no diet in it that another of its diets implies. */
interface Asked {
  diets: readonly string[]
  avoid: readonly string[]
  /** The largest plate among those for whom a serving counts: what is asked of a serving has to hold on it. */
  pieces: number
}

/**
 * So many recipes are looked for by search; what is left of the candidates are doughs and fillings put together anew.
 * Five wishes of which none implies another make 31, with every few of them.
 */
const MAX_ASKED = 31
/** A change whose distance nobody weighed counts as so many steps. Our own choice. */
const STEPS_A_CHANGE = 4

const keyOf = ({ diets, avoid }: Pick<Asked, 'diets' | 'avoid'>) =>
  [...new Set(diets)].sort().join() + '|' + [...new Set(avoid)].sort().join()

/** Wishes by what they come to: who is vegan need not also be looked for as vegetarian and without milk. */
class Wishes {
  constructor(private readonly reference: ReferenceData) {}

  private readonly dietsOf = (ids: readonly string[]): Diet[] =>
    this.reference.diets.filter(({ id }) => ids.includes(id))

  /** What some ask for together, in the fewest words. */
  together(some: readonly Asked[]): Asked {
    const { foods } = this.reference
    const diets = withoutImplied(this.dietsOf(some.flatMap((one) => one.diets)), foods)
    const avoid = [...new Set(some.flatMap((one) => one.avoid))].filter(
      (id) => !diets.some((diet) => foodAgainstDiet(foods.get(id)!, diet).breaks.length),
    )
    const served = some.filter((one) => this.aServing(one.diets))
    const plates = served.length ? served : some
    return {
      diets: diets.map(({ id }) => id),
      avoid,
      pieces: Math.max(...plates.map(({ pieces }) => pieces)),
    }
  }

  aServing(ids: readonly string[]): boolean {
    return this.dietsOf(ids).some(asksOfServing)
  }

  /** What the guests ask for, and what unites some of them: each, all together, then every two, three and so on. */
  of(guests: readonly Guest[]): { asked: Asked[]; all: boolean } {
    const found = new Map<string, Asked>()
    const add = (some: readonly Asked[]): boolean => {
      const one = this.together(some)
      const had = found.get(keyOf(one))
      if (!had && found.size >= MAX_ASKED) return false
      found.set(keyOf(one), { ...one, pieces: Math.max(one.pieces, had?.pieces ?? 0) })
      return true
    }
    const picky = guests.filter(({ diets, avoid }) => diets.length || avoid.length)
    let all = picky.every((guest) => add([guest]))
    const own = [...found.values()]
    if (own.length > 1) all = add(own) && all
    for (const few of all ? setsOf(own.length, own.length) : [])
      if (!add(few.map((at) => own[at]!))) {
        all = false
        break
      }
    return { asked: [...found.values()], all }
  }
}

/** The recipe as a guest is served it: without what is avoided, a plate a serving. */
const servedIn = (recipe: Recipe, avoid: readonly string[], pieces: number): Recipe => ({
  ...recipe,
  avoid: [...new Set([...recipe.avoid, ...avoid])],
  servings: recipe.pieces / pieces,
  servingsStated: true,
})

/** So many fewer pieces are tried for whom nothing suits. */
const FEWER = 4

/** How many pieces there could be for a guest for whom nothing of as many as were asked suits; null for none. */
export function fewerPieces(
  recipe: Recipe,
  { diets, avoid, pieces }: Guest,
  reference: ReferenceData,
  expired: () => boolean,
): number | null {
  if (!new Wishes(reference).aServing(diets)) return null
  for (let fewer = pieces - 1; fewer >= Math.max(1, pieces - FEWER) && !expired(); fewer--) {
    const { conflict, unmet, evaluation } = adapt(servedIn(recipe, avoid, fewer), diets, reference, {
      expired,
    })
    const fits = diets.every((id) => evaluation.diets.find(({ diet }) => diet === id)?.verdict === 'fits')
    if (!conflict.length && !unmet.length && fits) return fewer
  }
  return null
}

const ofShell = (recipe: Recipe, part: Part): boolean => hostOf(recipe, part).kind === 'shell'

const wordsOf = (recipe: Recipe, shell: boolean) =>
  JSON.stringify([
    recipe.parts
      .filter((part) => ofShell(recipe, part) === shell)
      .flatMap(({ lines }) => lines.map(({ foodId, raw, grams }) => [foodId ?? raw, grams])),
    // The same dough, baked or fried, is the same dough; a filling goes with how its pieces are cooked.
    shell ? null : recipe.cooking,
  ])

/** A spice or a herb that somebody avoids and nothing stands in for is left out, as a cook would; a main food is not. */
function withoutSpices(
  adapted: Adaptation,
  avoid: readonly string[],
  reference: ReferenceData,
): Pick<Adaptation, 'recipe' | 'evaluation'> {
  const left = new Set(adapted.unmet.map(({ lineId }) => lineId))
  const goes = ({ id, foodId }: { id: string; foodId: string | null }) => {
    const food = foodId === null ? undefined : reference.foods.get(foodId)
    return left.has(id) && food !== undefined && avoid.includes(food.id) && foodIs(food, 'seasons')
  }
  if (!adapted.recipe.parts.some(({ lines }) => lines.some(goes))) return adapted
  const recipe: Recipe = {
    ...adapted.recipe,
    parts: adapted.recipe.parts.map((part) => ({ ...part, lines: part.lines.filter((line) => !goes(line)) })),
  }
  return { recipe, evaluation: evaluate(recipe, reference, adapted.before) }
}

/** Steps of a recipe's distance that lie in its dough: as many of them as of its changed lines. */
function doughShare({ recipe, distance }: Made, was: Recipe): number {
  const had = new Map(was.parts.flatMap(({ lines }) => lines.map((line) => [line.id, line])))
  let dough = 0
  let all = 0
  for (const part of recipe.parts)
    for (const { id, foodId, grams } of part.lines) {
      if (had.get(id)?.foodId === foodId && had.get(id)?.grams === grams) continue
      all++
      if (ofShell(recipe, part)) dough++
    }
  return all ? (distance * dough) / all : 0
}

/** The dough of one and the filling of another; null where they are not cooked or shaped alike. */
function joined(dough: Made, filling: Made, was: Made, reference: ReferenceData): Made | null {
  const [a, b] = [dough.recipe, filling.recipe]
  if (JSON.stringify([a.shape, a.cooking]) !== JSON.stringify([b.shape, b.cooking])) return null
  const parts = [
    ...a.parts.filter((part) => ofShell(a, part)),
    ...b.parts.filter((part) => !ofShell(b, part)),
  ]
  const plain: Recipe = { ...b, parts, diets: was.recipe.diets }
  const after = evaluate(plain, reference, was.evaluation)
  const asked = [...new Set([...a.diets, ...b.diets])]
  const kept = asked.filter((id) => after.diets.find(({ diet }) => diet === id)?.verdict === 'fits')
  const meant = { ...plain, diets: [...new Set([...plain.diets, ...kept])] }
  const recipe = withAdvice(meant, adviceOn(meant, reference, { before: was.evaluation, after }))
  const inDough = doughShare(dough, was.recipe)
  return {
    recipe,
    evaluation: evaluate(recipe, reference, was.evaluation),
    distance: inDough + filling.distance - doughShare(filling, was.recipe),
    dough: dough.dough,
    filling: filling.filling,
  }
}

/**
 * The recipes that could be on the table: as it is, as each guest and each few of them ask for it, and the doughs and
 * fillings of these put together anew, for one filling in two doughs and two fillings in one.
 *
 * @returns what is distinct, the recipe as it is first; why a guest's wish was not reached, '' for reached; whether nothing
 *   was left out for want of time or of room, and every answer is known to be the nearest
 */
export function candidatesFor(
  recipe: Recipe,
  guests: readonly Guest[],
  reference: ReferenceData,
  expired: () => boolean,
): { made: Made[]; reasonFor: (guest: Guest) => string; complete: boolean } {
  const doughs = new Map<string, number>()
  const fillings = new Map<string, number>()
  const numberIn = (known: Map<string, number>, words: string) => {
    if (!known.has(words)) known.set(words, known.size)
    return known.get(words)!
  }
  const wishes = new Wishes(reference)
  const { asked, all } = wishes.of(guests)
  let complete = all
  const made: Made[] = []
  const reasons = new Map<string, string>()
  const add = ({ recipe: own, evaluation, distance }: Omit<Made, 'dough' | 'filling'>) => {
    const one = { recipe: own, evaluation, distance }
    if (made.length >= MAX_CANDIDATES) {
      complete = false
      return
    }
    const dough = numberIn(doughs, wordsOf(one.recipe, true))
    const filling = numberIn(fillings, wordsOf(one.recipe, false))
    const same = made.find((had) => had.dough === dough && had.filling === filling)
    if (!same) made.push({ ...one, dough, filling })
  }
  add({ recipe, evaluation: evaluate(recipe, reference), distance: 0 })
  const was = made[0]!
  for (const { diets, avoid, pieces } of asked) {
    if (expired()) {
      complete = false
      break
    }
    const served = servedIn(recipe, avoid, pieces)
    const adapted = adapt(served, diets, reference, { expired })
    if (!adapted.proven) complete = false
    const why =
      adapted.conflict.join(', ') ||
      adapted.unmet.map(({ reason }) => reason).join('; ') ||
      adapted.compromise
    reasons.set(keyOf({ diets, avoid }), why)
    const asIs = { servings: recipe.servings, servingsStated: recipe.servingsStated }
    const { recipe: own, evaluation } = withoutSpices(adapted, avoid, reference)
    const distance = adapted.distance ?? adapted.changes.length * STEPS_A_CHANGE
    add({ recipe: { ...own, ...asIs }, evaluation, distance })
    // Where nothing reaches it, what comes nearest is for those who only prefer it.
    if (adapted.conflict.length)
      for (const near of adapted.alternatives) add({ ...near, recipe: { ...near.recipe, ...asIs } })
  }
  const searched = [...made]
  const firstWith = (key: 'dough' | 'filling', number: number) =>
    searched
      .filter((one) => one[key] === number)
      .reduce((near, one) => (one.distance < near.distance ? one : near))
  const pairs = [...doughs.values()]
    .flatMap((dough) => [...fillings.values()].map((filling) => ({ dough, filling })))
    .filter((pair) => !searched.some((one) => one.dough === pair.dough && one.filling === pair.filling))
    .map(({ dough, filling }) => ({
      dough: firstWith('dough', dough),
      filling: firstWith('filling', filling),
    }))
    .sort((a, b) => a.dough.distance + a.filling.distance - b.dough.distance - b.filling.distance)
  for (const { dough, filling } of pairs) {
    if (made.length >= MAX_CANDIDATES || expired()) {
      complete = false
      break
    }
    const one = joined(dough, filling, was, reference)
    if (one) made.push(one)
  }
  const reasonFor = (guest: Guest) => reasons.get(keyOf(wishes.together([guest]))) ?? ''
  return { made, reasonFor, complete }
}
