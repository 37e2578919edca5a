import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const liquidOf = (lines: string) =>
  readRecipe(
    `Parathas\nMakes 8\n\nDough\n240 g atta\n${lines}\n\nFilling\n200 g paneer\n\nKnead a soft dough. Divide in 8, stuff, roll and cook on a tawa.`,
    foods,
  ).recipe.parts[0]!.lines.find(({ toFeel }) => toFeel)!

describe('a liquid that is left to feel', () => {
  it('is less where a purée wets the flour', () => {
    const plain = liquidOf('water if needed').grams!
    const green = liquidOf('120 g spinach puree\nwater if needed').grams!
    // Raw spinach is 91 % water (US Department of Agriculture, FoodData Central), of which seven tenths are free.
    expect(plain - green).toBeGreaterThan(0.6 * 120)
    expect(plain - green).toBeLessThan(0.8 * 120)
  })

  it('is as wet, whichever of two is taken', () => {
    const line = liquidOf('milk/water to knead')
    const [water] = line.choices
    expect([line.foodId, water!.foodId]).toEqual(['milk', 'water'])
    const wet = (id: string, grams: number) => (grams * foods.get(id)!.per100g.waterG) / 100
    expect(wet('milk', line.grams!) / wet('water', water!.grams!)).toBeCloseTo(1, 1)
  })
})

it('one calzone is a meal for one', () => {
  const { recipe } = readRecipe(
    'Protein calzone\nfor 1\n\n60 g self-raising flour\n80 g Greek yogurt\n\n50 g mozzarella\n\nMix, knead, roll 20 cm. Cheese on half, fold, seal. Bake at 190 °C for 10 min.',
    foods,
  )
  expect([recipe.pieces, recipe.servings]).toEqual([1, 1])
})
