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
    'Brush a frypan with ghee. Cook 3 minutes each side.',
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

it("stock in which only the pieces are cooked is the pot's, whatever it is listed with", () => {
  const { recipe } = readRecipe(
    `Dumplings\nMakes 12\n\nDough\n250 g flour\n2 eggs\n\nFilling\n200 g minced beef\n1 onion\n1.5 l broth\n\nKnead. Mix the filling. Fill and fold. Simmer in the broth for 12 minutes.`,
    foods,
  )
  expect(recipe.parts.map(({ kind, lines }) => [kind, lines.length])).toEqual([
    ['shell', 2],
    ['filling', 2],
    ['pan', 1],
  ])
})
