import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const panOf = (list: string, step: string) =>
  readRecipe(
    `Stuffed parathas\n\n240 g atta\n150 ml water\n200 g paneer\n${list}\n\nKnead, divide into 7, stuff and roll.\n${step}`,
    foods,
  ).recipe.parts.find(({ kind }) => kind === 'pan')!.lines

describe('fat that ends the list without an amount', () => {
  it.each([
    'Cook on a hot tava, apply ghee on each side.',
    'Cook on a tawa with a little ghee.',
    'Cook on a griddle, dabbing ghee on both sides.',
  ])('is what the pieces are cooked in: %s', (step) => {
    expect(panOf('Ghee', step).map(({ foodId }) => foodId)).toEqual(['ghee'])
  })

  it('weighs what the method says of each piece, and so does what may be taken for it', () => {
    const [line] = panOf('Ghee or oil', 'Cook on a hot tava, apply 1/2 tsp ghee on each side.')
    // Seven pieces, two sides, half of a teaspoon of 4.3 g (the larder's row of ghee, from memory).
    expect(line!.grams).toBeCloseTo(7 * 4.3, 1)
    expect(line!.choices.map(({ foodId, grams }) => [foodId, grams])).toEqual([
      ['sunflower-oil', line!.grams],
    ])
  })
})
