import { describe, expect, it } from 'vitest'
import { diets } from '../../test/demo'
import { foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { readRecipe } from '../reading/readRecipe'
import { search } from './search'
import { wishesFor } from './wishes'

// What goes out where few carbohydrates are asked. Common practice, no source.
const patties = readRecipe(
  'Patties\nMakes 10\nPastry\n400 g plain flour\n150 g shortening\n120 ml water\nFilling\n400 g minced beef\n110 g onion\n50 g breadcrumbs\n100 ml beef stock\nBake 190 C, 30 min',
  foods,
).recipe

describe('starch where few carbohydrates are asked', () => {
  const made = adapt(patties, ['keto'], reference)
  const filling = made.recipe.parts.find((part) => part.kind === 'filling')!
  it('goes out whole, and is put aside where the cook can put it back', () => {
    expect(made.conflict).toEqual([])
    expect(filling.lines.some((line) => line.foodId === 'breadcrumbs')).toBe(false)
    expect(filling.setAside.map((line) => line.foodId)).toContain('breadcrumbs')
    expect(made.changes.some((change) => change.from === 'Breadcrumbs, dry' && change.gramsAfter === 0)).toBe(
      true,
    )
  })
  it('counts for nothing once the recipe keeps the diet', () => {
    const again = search(made.recipe, wishesFor(diets('keto')), reference)
    expect(again.best!.distance).toBeLessThan(0.6)
  })
  it('stays where nobody asked', () => {
    const lines = adapt(patties, ['vegan'], reference).recipe.parts.flatMap((part) => part.lines)
    expect(lines.some((line) => line.foodId === 'breadcrumbs')).toBe(true)
  })
})

describe('a dough of maize', () => {
  it('is not made into one of wheat for its protein', () => {
    const cakes = {
      ...recipeOf(
        {
          shell: [
            ['masa-harina', 400],
            ['water', 560],
          ],
          filling: [
            ['black-beans-cooked', 250],
            ['mozzarella', 200],
          ],
        },
        { way: 'griddle' },
      ),
      shape: 'disc' as const,
    }
    const shell = adapt(cakes, ['high-protein'], reference).recipe.parts.find(
      (part) => part.kind === 'shell',
    )!
    for (const line of shell.lines)
      expect(foods.get(line.foodId!)!.allergens, line.raw).not.toContain('gluten')
  })
})
