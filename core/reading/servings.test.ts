import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { readYields } from './servings'

describe('readYields', () => {
  it.each([
    ['makes 16, serves 8', 16, 8],
    ['Makes about 20 dumplings', 20, null],
    ['Makes 16–18 pies', 16, null],
    ['Yield: 2 dozen', 24, null],
    ['Serves 4 (about 30 dumplings)', 30, 4],
    ['For 6 people', null, 6],
    ['Servings: 4', null, 4],
    ['12 buns', 12, null],
    ['Serves 6, makes 6 pieces', 6, 6],
  ])('reads "%s"', (text, pieces, servings) => {
    expect(readYields(text)).toMatchObject({ pieces, servings })
  })
  it.each([
    '500 g flour',
    '2 rolls of puff pastry, thawed and cut into twelve squares',
    'Divide into 12 balls and rest for ten minutes',
  ])('finds none in "%s"', (text) => {
    expect(readYields(text)).toBeNull()
  })
})

describe('a count that a title carries', () => {
  const body = '\nDough\n300 g plain flour\n150 ml water\nFilling\n200 g leek\nBake 20 min at 190'
  it.each([
    ['Cheese-filled boat breads, 6 pieces', 'Cheese-filled boat breads', 6],
    ['Chicken momo 30 pieces', 'Chicken momo', 30],
    ['Apple hand pies, 8', 'Apple hand pies', 8],
    ['Steamed pork buns - 12', 'Steamed pork buns', 12],
    ['Lamb samosas: 20', 'Lamb samosas', 20],
    ['12 pork buns', 'Pork buns', 12],
    ['Potato knishes makes 12', 'Potato knishes', 12],
  ])('%s', (text, title, pieces) => {
    const { recipe } = readRecipe(text + body, foods)
    expect([recipe.title, recipe.pieces]).toEqual([title, pieces])
    expect(recipe.parts.map(({ lines }) => lines.length)).toEqual([2, 1])
  })
})

describe('what is eaten of', () => {
  const read = (title: string, method: string) =>
    readRecipe(
      `${title}\n\nDough\n300 g flour\n160 ml water\n\nFilling\n300 g leeks\n\nMethod\n${method}`,
      foods,
    ).recipe

  it.each([
    ['Boil for 4 minutes, divide among 4 bowls.', 4, true],
    ['Divide the dough between 2 bowls. Fill, boil for 4 minutes.', 2, false],
    [
      'Line 4 individual pie dishes with the dough, fill, put the lids on. Bake at 200C for 25 minutes.',
      4,
      false,
    ],
  ])('%s', (method, servings, stated) => {
    const own = read('Leek supper', method)
    if (stated) expect(own.servings).toBe(servings)
    expect(own.servingsStated).toBe(stated)
    if (!stated && /individual/.test(method)) expect(own.servings).toBe(servings)
  })

  it('guesses nothing from individual leaves', () => {
    const one = read(
      'Leek supper',
      'Separate the leeks into individual leaves. Divide the dough into 12, fill. Boil for 4 minutes.',
    )
    expect(one.servingsStated).toBe(false)
    expect(one.servings).toBeLessThan(12)
  })

  it('cuts one coil in a tin, and leaves coils on a tray as they are', () => {
    const coil = (said: string) =>
      readRecipe(
        `Leek coil\n\n400 g filo\n300 g leeks\n200 g feta\n60 g butter\n\nMix leeks and feta. ${said}`,
        foods,
      ).recipe
    const one = coil(
      'Roll the sheets up with the filling and coil in a round tin of 28 cm. Bake 35 minutes at 190. Cut in 8.',
    )
    expect([one.pieces, one.servings, one.shape]).toEqual([1, 8, 'coil'])
    const many = coil(
      'Roll up with the filling, coil each into a snail, put in a greased tray. Bake 25 minutes at 190.',
    )
    expect(many.pieces).toBeGreaterThan(1)
  })
})
