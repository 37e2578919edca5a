import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { eachOf } from '../../test/readText'
import { readIngredients } from './readIngredient'

// Lines of a list as cooks write them on an ordinary day.

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
  it.each<[string, string]>([
    ['1 tbsp fennel coarse', 'fennel-seed'],
    ['fennel 1 tbsp', 'fennel-seed'],
    ['1 tbsp fennel, chopped', 'fennel'],
    ['1 fennel', 'fennel'],
  ])('%s', (text, id) => expect(eachOf(text)[0]![0]).toBe(id))
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
  it('say so on each line', () =>
    expect(
      readIngredients('flour 400, yeast 5, sugar 40, warm milk 220', foods).map(({ line }) =>
        line.notes.map(({ code }) => code).includes('bare-number'),
      ),
    ).toEqual([true, true, true, true]))
  it('count cups where the flour would be a spoon', () =>
    expect(eachOf('flour 2, water 150, sugar 2, oil 3')[0]![1]).not.toBe(2))
  it('are counts, where none of them is', () =>
    expect(eachOf('carrot 2, onion 12, potato 3, leek 1')).toEqual([
      ['carrot', 140],
      ['onion', 1320],
      ['potato', 510],
      ['leek', 150],
    ]))
})

describe('sheets by their size', () => {
  it.each<[string, string, number]>([
    ['25 spring roll pastry sheets (small, 12.5 cm)', 'spring-roll-wrapper', 135],
    ['10 spring roll wrappers, 20 cm', 'spring-roll-wrapper', 160],
    ['8 flour tortillas (6 inch)', 'tortilla', 228],
    ['12 empanada discs 15 cm', 'empanada-disc', 619],
    ['4 low carb tortillas (large, 60g each)', 'low-carb-tortilla', 240],
    ['2 lavash breads', 'lavash', 140],
  ])('%s', (text, id, grams) => expect(eachOf(text)).toEqual([[id, grams]]))
})

describe('water that goes', () => {
  it.each<[string, number | undefined]>([
    ['280 g frozen spinach, thawed, water squeezed out', 280],
    ['300 g tofu, water pressed out', 300],
  ])('%s is one line', (text, grams) => expect(eachOf(text).map(([, each]) => each)).toEqual([grams]))
  it('what is thawed and drained loses less than what is squeezed', () => {
    const lost = (text: string) => -readIngredients(text, foods)[0]!.line.waterChangeGrams
    const [drained, squeezed] = [
      lost('280 g frozen spinach, thawed, drained well'),
      lost('280 g frozen spinach, thawed and squeezed dry'),
    ]
    expect(drained).toBeGreaterThan(0)
    expect(squeezed).toBeGreaterThan(drained)
  })
  it.each([
    '2 tins tuna in spring water (145 g each, drained weight 102 g)',
    '2 tins tuna (145 g each, 102 g drained)',
  ])('%s: what comes out of the tins', (text) => expect(eachOf(text)).toEqual([['tuna-can', 204]]))
})

describe('from the shop', () => {
  it.each<[string, [string, number][]]>([
    ['1 box (2) refrigerated pie crusts', [['pie-crust', 400]]],
    ['2 pie crusts', [['pie-crust', 400]]],
    ['1 can (10.5 oz) cream of chicken soup', [['cream-soup-chicken', 298]]],
    ['1/2 tsp poultry seasoning', [['dried-herbs', 1]]],
    ['2 tbsp honey mustard', [['honey-mustard', 32]]],
    ['50 g preserved radish', [['preserved-radish', 50]]],
    ['300ml vegan gravy (made from granules)', [['vegan-gravy', 300]]],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
})

describe('so many, and what they weigh', () => {
  it.each<[string, string, number]>([
    ['1 white cabbage about 1.2 kg', 'cabbage', 1200],
    ['2 leeks about 300 g', 'leek', 300],
    ['1 butternut squash around 1kg, peeled', 'butternut', 1000],
    ['1 can black soybeans', 'black-soybeans', 240],
  ])('%s', (text, id, grams) => expect(eachOf(text)).toEqual([[id, grams]]))
})

describe('what a row is for', () => {
  it.each([
    '300 g flour + 150 g boiling water + pinch of salt for the skins',
    '300 g flour + 150 g boiling water + pinch of salt for the dough',
  ])('%s', (text) => expect(eachOf(text).map(([id]) => id)).toEqual(['plain-flour', 'water', 'salt']))
})

describe('a choice', () => {
  it.each<[string, string, number]>([
    ['250 g fresh pecorino (or a mild young cheese), grated', 'cheddar', 250],
    ['200 g feta or a soft goat cheese', 'goat-cheese', 200],
    ['2 tbsp butter or 1 tbsp oil', 'sunflower-oil', 14],
  ])('%s', (text, id, grams) => {
    const [choice] = readIngredients(text, foods)[0]!.line.choices
    expect([choice?.foodId, Math.round(choice?.grams ?? 0)]).toEqual([id, grams])
  })
})
