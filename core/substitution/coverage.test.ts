import { describe, expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import { foodAgainstDiet } from '../diet/diets'
import type { Food } from '../food/food'
import { readRecipe } from '../reading/readRecipe'
import { adapt } from '../adaptation/adapt'
import { candidatesFor, standsForAll, type Standing } from './catalogue'

// What a cook is told when nothing stands in is the truth about the table, not about a gap in it.
const ASKED = [
  ['gluten-free'],
  ['vegan'],
  ['vegetarian'],
  ['pescatarian'],
  ['dairy-free'],
  ['lactose-free'],
  ['egg-free'],
  ['nut-free'],
  ['soy-free'],
  ['sesame-free'],
  ['no-pork'],
  ['no-alcohol'],
  ['no-onion-garlic'],
  ['vegan', 'gluten-free'],
  ['vegan', 'soy-free'],
  ['vegan', 'nut-free'],
  ['vegan', 'gluten-free', 'soy-free', 'nut-free'],
]
/** Nothing has the pop of roe; a bought lard crust is a dough and not a filling. */
const NOTHING_STANDS_IN = new Set(['fish-roe', 'lard-pastry'])
const STANDING: Standing[] = ['main', 'minor']

describe('every food that breaks a diet has a stand-in that keeps it', () => {
  it.each(ASKED.map((ids) => [ids.join(', '), ids] as const))('%s', (_, ids) => {
    const diets = reference.diets.filter((diet) => ids.includes(diet.id))
    const breaks = (food: Food) => diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)
    const breaking = [...foods.values()].filter(breaks)
    expect(breaking.length).toBeGreaterThan(5)
    const without = breaking.filter(
      (food) =>
        !STANDING.some((one) =>
          candidatesFor(
            food,
            'filling',
            { way: 'bake', shape: 'half-moon' },
            reference.swaps,
            new Set([one]),
          ).some((swap) => standsForAll(swap) && swap.to.every(({ foodId }) => !breaks(foods.get(foodId)!))),
        ),
    )
    expect(without.map(({ id }) => id).filter((id) => !NOTHING_STANDS_IN.has(id))).toEqual([])
  })
})

describe('a line that stands for a part made elsewhere', () => {
  it('is no food that nobody knows', () => {
    const { recipe } = readRecipe(
      'Buns\nMakes 8\nDough\n400 g flour\n220 g water\nFilling\n300 g mushrooms\nthe gravy\nFor the gravy\n30 g butter\n30 g flour\n300 ml stock\nBake 20 min',
      foods,
    )
    expect(recipe.parts.flatMap((part) => part.lines).some((line) => line.componentId !== null)).toBe(true)
    const made = adapt(recipe, ['vegan'], reference)
    expect(made.unmet).toEqual([])
    expect(made.evaluation.diets.find(({ diet }) => diet === 'vegan')!.fits).toBe(true)
  })
})
