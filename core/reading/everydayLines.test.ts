import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'

// Lines of a list as cooks write them on an ordinary day.

const eachOf = (text: string) =>
  readIngredients(text, foods).map(({ food, line }) => [food?.id, line.grams && Math.round(line.grams)])

describe('half of this and half of that', () => {
  it.each<[string, [string, number][]]>([
    [
      '350g flour (half wholemeal)',
      [
        ['plain-flour', 175],
        ['wholemeal-flour', 175],
      ],
    ],
    [
      '300g plain flour (half of it wholemeal)',
      [
        ['plain-flour', 150],
        ['wholemeal-flour', 150],
      ],
    ],
    [
      '300 g half wholemeal half plain flour',
      [
        ['wholemeal-flour', 150],
        ['plain-flour', 150],
      ],
    ],
    [
      '400 g half-and-half white and wholemeal flour',
      [
        ['plain-flour', 200],
        ['wholemeal-flour', 200],
      ],
    ],
    [
      '500 g strong flour (half white half wholemeal)',
      [
        ['strong-flour', 250],
        ['wholemeal-flour', 250],
      ],
    ],
    [
      '2 cups half atta half maida',
      [
        ['atta', 120],
        ['plain-flour', 125],
      ],
    ],
    [
      '2 cups flour (half atta, half maida)',
      [
        ['atta', 120],
        ['plain-flour', 125],
      ],
    ],
    [
      '500 g mince (half pork, half beef)',
      [
        ['minced-pork', 250],
        ['minced-beef', 250],
      ],
    ],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('what is done with half of a food leaves it whole', () =>
    expect(eachOf('1 onion (half chopped)')).toEqual([['onion', 110]]))
})

describe('salted before it goes in', () => {
  it.each([
    '150 g napa cabbage (salted with 1/2 tsp salt & squeezed)',
    '150 g napa cabbage, salted with 1/2 tsp salt',
  ])('%s', (text) =>
    expect(eachOf(text)).toEqual([
      ['napa-cabbage', 150],
      ['salt', 3],
    ]),
  )
})

describe('spices', () => {
  it('tikka masala by the spoon is a spice', () =>
    expect(eachOf('tikka masala 1 tsp')).toEqual([['curry-powder', 2]]))
})

describe('rows in which nobody writes a unit', () => {
  it('are weights, where one of them is beyond doubt', () =>
    expect(
      eachOf('pork belly mince 300, spring onion 40, ginger 10, light soy 20, baking powder 4, egg 1'),
    ).toEqual([
      ['minced-pork', 300],
      ['spring-onion', 40],
      ['ginger', 10],
      ['soy-sauce', 20],
      ['baking-powder', 4],
      ['egg', 50],
    ]))
  it('are counts, where none of them is', () =>
    expect(eachOf('carrot 2, onion 12, potato 3, leek 1').map(([, grams]) => grams)).not.toContain(12))
})

describe('from the shop', () => {
  it.each<[string, [string, number][]]>([
    ['1 box (2) refrigerated pie crusts', [['pie-crust', 400]]],
    ['2 pie crusts', [['pie-crust', 400]]],
    ['1 can (10.5 oz) cream of chicken soup', [['cream-soup-chicken', 298]]],
    ['1/2 tsp poultry seasoning', [['dried-herbs', 1]]],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
})
