import type { Diet } from '../diet/diets'
import { foodAgainstDiet } from '../diet/diets'
import { lacksAnew } from '../dough/abilities'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { Food } from '../food/food'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { applyFormula, type Reformed } from '../substitution/applyFormula'
import type { Change } from '../substitution/applySwap'
import type { Formula } from '../substitution/formulas'
import { formulaMark } from '../substitution/formulas'
import { BROUGHT_COST, LOST_COST, NEW_THING_COST, SWAP_COST } from './options'
import { purposesOf } from './purposes'
import { dietKey, familyOfShell, keptDiets } from './question'
import type { Context, Term } from './searchOnce'

/** The recipe with another dough, and what that counts for before anything else is changed. */
export interface OtherDough {
  recipe: Recipe
  base: Evaluation
  change: Change
  cost: number
  terms: Term[]
}

/** Of several doughs the nearest ones are looked at, and of those the ones that can do what is asked. */
const MAX_LOOKED_AT = 10
const MAX_DOUGHS = 5
/** A dough that was whole-grain and is so no longer. Our own choice. */
const WHOLE = ['whole-grain']
const LESS_WHOLE_COST = 8
/** With less flour than this share of its weight a dough is of what the flour binds. Our own choice. */
const MIN_FLOUR_SHARE = 0.22
/** A dough that has to be made where it was bought. Our own choice. */
const MAKE_COST = 12

const holdsWheat = ({ recipe, reference }: Context) =>
  allLines(recipe).some(
    ({ part, line }) =>
      part.kind === 'shell' && reference.foods.get(line.foodId ?? '')?.allergens.includes('gluten'),
  )

/** The formulas that hold for a dough of this family, closed and cooked like this, for what is asked. */
function formulasFor(context: Context): Formula[] {
  const { base, recipe, reference, wishes } = context
  const purposes = purposesOf(wishes)
  const wheat = holdsWheat(context)
  // Nobody gives up wheat who is not asked to: whole grain of a wheat dough is whole wheat.
  const keepsWheat = wheat && !purposes.has('gluten-free') && !purposes.has('keto')
  // What is bought is nearest to what it would be if it were made.
  const family = familyOfShell(base, recipe, reference.foods)
  return reference.formulas.filter(
    (formula) =>
      formula.families.includes(family) &&
      (formula.ways === null || formula.ways.includes(recipe.cooking.way)) &&
      (formula.closings === null || formula.closings.includes(recipe.shape)) &&
      formula.serves.some((purpose) => purposes.has(purpose)) &&
      !(keepsWheat && formula.serves.includes('gluten-free')) &&
      // A dough of maize or rice is no wheat dough with another flour.
      (wheat || formula.serves.includes('gluten-free') || formula.serves.includes('keto')) &&
      !wishes.locks.refused.includes(formulaMark(formula)),
  )
}

/**
 * The recipe with each dough that experienced cooks would make for what is asked, the nearest first: whole formulas,
 * not flour for flour. None where a line of the dough is locked, or where the dough already is what is asked for.
 */
export function otherDoughs(context: Context): OtherDough[] {
  const { recipe, base, before, reference, wishes } = context
  const dough = base.dough
  const lockedDough = allLines(recipe).some(
    ({ part, line }) => part.kind === 'shell' && wishes.locks.lineIds.includes(line.id),
  )
  if ((!dough.ready && dough.flourGrams <= 0) || lockedDough) return []
  // Of mashed potato or curd with a little flour that binds it, only the flour is another.
  if (!dough.ready && dough.flourGrams < MIN_FLOUR_SHARE * dough.grams) return []
  const { weights, locks } = wishes
  const breaks = (food: Food, diets: readonly Diet[]) =>
    diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)
  const have = locks.have === null ? null : new Set(['water', ...locks.have])
  const there = new Set(allLines(recipe).flatMap(({ line }) => (line.foodId ? [line.foodId] : [])))
  const atHand = (food: Food) => have === null || have.has(food.id) || there.has(food.id)
  const asked = wishes.diets.filter((diet) => !context.without.has(dietKey(diet)))
  const kept = keptDiets(context)
  const sweet = !purposesOf(wishes).has('keto')
  const make = (formula: Formula, diets: readonly Diet[]) =>
    applyFormula(recipe, formula, reference.foods, {
      fits: (food) => atHand(food) && !breaks(food, diets),
      target: dough.softness,
      sweet,
    })
  const total = base.parts.reduce((sum, part) => sum + (part.kind === 'pan' ? 0 : part.grams), 0)
  const had = new Set(before.allergens)
  const doughs = formulasFor(context)
    .flatMap((formula): { formula: Formula; made: Reformed; cost: number; terms: Term[] }[] => {
      // Where its fat or yogurt can be one that keeps what the recipe keeps, it is.
      const made = make(formula, [...asked, ...kept]) ?? make(formula, asked)
      if (!made) return []
      const loses = kept.filter((diet) => made.fresh.some((food) => breaks(food, [diet])))
      const brings = made.change.allergensAdded.filter((allergen) => !had.has(allergen))
      const terms: Term[] = [
        {
          text: `${formula.name.toLowerCase()} for the dough as written`,
          distance:
            weights.swaps * SWAP_COST +
            (weights.moved * 100 * made.flourGrams * (1 - formula.likeness)) / Math.max(total, 1),
        },
        {
          text: 'new things to buy',
          distance: weights.newThings * NEW_THING_COST * made.fresh.filter(({ id }) => id !== 'water').length,
        },
        ...(dough.ready
          ? [{ text: 'a dough to make that was bought', distance: weights.swaps * MAKE_COST }]
          : []),
        ...loses.map((diet) => ({
          text: `no longer ${diet.name.toLowerCase()}`,
          distance: weights.kept * LOST_COST,
        })),
        ...brings.map((name) => ({
          text: `brings ${name.toLowerCase()}`,
          distance: weights.kept * BROUGHT_COST,
        })),
      ].filter(({ distance }) => distance > 0)
      return [{ formula, made, terms, cost: terms.reduce((sum, { distance }) => sum + distance, 0) }]
    })
    .sort((a, b) => a.cost - b.cost)
    .slice(0, MAX_LOOKED_AT)
    .map(({ made, cost, terms }): OtherDough => {
      const own = evaluate(made.recipe, reference, before)
      const noLonger = WHOLE.filter((id) => fits(before, id) && !fits(own, id))
      const less = noLonger.map(() => ({
        text: 'less whole grain',
        distance: weights.figures * LESS_WHOLE_COST,
      }))
      return {
        recipe: made.recipe,
        change: made.change,
        cost: cost + less.reduce((sum, { distance }) => sum + distance, 0),
        terms: [...terms, ...less],
        base: own,
      }
    })
  // A dough that is too weak for its shape is offered only where there is no other.
  const able = doughs.filter((one) => !lacksAnew(base, one.base).length)
  return (able.length ? able : doughs).sort((a, b) => a.cost - b.cost).slice(0, MAX_DOUGHS)
}

const fits = (evaluation: Evaluation, diet: string) =>
  evaluation.diets.some((verdict) => verdict.diet === diet && verdict.fits)
