import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'
import { turnedRound } from './turnedRound'

describe('a name with its kind behind it', () => {
  it.each([
    ['100 g flour, rice', '100 g rice flour'],
    ['1 tin beans, kidney', '1 tin kidney beans'],
    ['1 stock cube, beef', '1 beef stock cube'],
  ])('"%s" is turned round', (raw, expected) => {
    expect(turnedRound(raw, foods)).toBe(expected)
  })

  it.each([
    // What is done with it here makes no other food of it.
    '1 onion, fried',
    '500 g potatoes, mashed',
    '200 g tofu, pressed and crumbled',
    // Two foods are two.
    'salt, pepper',
    'Soya milk to glaze, seeds',
    '2 eggs, beaten',
  ])('"%s" stays as it is', (raw) => {
    expect(turnedRound(raw, foods)).toBeNull()
  })

  it('keeps the line as it was written, and makes one line of it', () => {
    const read = readIngredients("100 g cheese, goat's", foods)
    expect(read.map(({ line }) => [line.raw, line.foodId, line.grams])).toEqual([
      ["100 g cheese, goat's", 'goat-cheese', 100],
    ])
  })
})
