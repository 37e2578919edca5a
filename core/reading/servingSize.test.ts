import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { servingSizeIn } from './servingSize'

const made = (row: string) =>
  readRecipe(
    `Keto pockets\n\nDough\n170 g mozzarella\n85 g almond flour\n1 egg\n\nFilling\n150 g ham\n100 g cheddar\n\nMelt, mix, roll, fill, seal. Cut 12. Bake at 190C 18 min.\n\n${row}`,
    foods,
  ).recipe

describe('what one serving is', () => {
  it.each([
    ['Per serving (1 pocket): 310 kcal, 24g fat, 3g net carbs', 12],
    ['Per serving: 2 pockets. 310 kcal, protein 20 g', 6],
    ['Serving size: 3', 4],
    ['1 serving = 2 pockets', 6],
    ['A serving is 2 pockets', 6],
    ['Each serving (3 pockets) has 310 kcal', 4],
    ['Per portion (3 pieces) 400 kcal', 4],
    ['310 kcal per serving (2 pockets)', 6],
    ['Nutrition (per 2 pockets): 310 kcal', 6],
    ['one each', 12],
    ['2 each for lunch', 6],
    ['Nutrition per serving (serves 4): 310 kcal, 20 g protein', 4],
  ])('%s', (row, servings) => {
    const recipe = made(row)
    expect([recipe.pieces, recipe.servings, recipe.servingsStated]).toEqual([12, servings, true])
    expect(recipe.parts.flatMap(({ lines }) => lines)).toHaveLength(5)
  })

  it.each([
    'Per serving: 310 kcal',
    'Per serving: 4 g net carbs',
    'Serving size: 60 g',
    'For serving: 1 onion',
    'Serving: 4 people (approx 32 pierogi)',
  ])('%s: counts no pieces', (text) => {
    expect(servingSizeIn(text)).toBeNull()
  })
})
