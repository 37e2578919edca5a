import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { recipe } from '../../test/readText'
import { readIngredients } from './readIngredient'

// Lines as cooks put them under a picture of the dish: plain talk, in any order.

const said = (raw: string) =>
  readIngredients(raw, foods)
    .map(({ line }) => `${line.foodId ?? `?${line.name}`} ${Math.round((line.grams ?? 0) * 10) / 10}`)
    .join(' | ')

describe('an ingredient line', () => {
  it.each([
    ['Kaju 10-12 broken (optional)', 'cashews 17.6'],
    ['Dhania (coriander seeds) 2 tbsp', 'coriander-seed 10.8'],
    ['Dhania (coriander leaves) 2 tbsp', 'coriander-leaf 2'],
    ['1 tsp cornflour mixed with 2 tbsp of the mushroom water', 'cornstarch 2.7 | water 30'],
    ['milk 270 warm', 'milk 270'],
    ['butter 60 soft', 'butter 60'],
    ['water 200 boiling', 'water 200'],
    ['1 packet of 40 spring roll sheets', 'spring-roll-wrapper 640'],
    ['spring roll pastry - one packet of twenty', 'spring-roll-wrapper 320'],
    ['1 can chickpeas, drained (15 oz)', 'chickpeas-canned 255.1'],
    ['1 tin chickpeas, drained (240 g)', 'chickpeas-canned 240'],
    ['1 tbsp caster sugar + extra for the tops', 'sugar 12.5 | sugar 5'],
    ['250g cabbage, blitzed, salted (1 tsp) & squeezed', 'cabbage 250 | salt 6'],
    ['500 g sour cherries without stones', 'sour-cherries 500'],
    ['cornmeal for dusting the pan', 'degermed-cornmeal 10'],
    ['flour for dusting the board', 'plain-flour 10'],
    ['2 and half cups maida', 'plain-flour 312.5'],
    ['1 tbsp fennel, crushed', 'fennel-seed 5.8'],
    ['1 tbsp fennel, chopped', 'fennel 5.6'],
    ['100g dark choc (dairy free)', 'vegan-chocolate 100'],
    // Oils by their Hindi names: none hides what it is pressed of.
    ['tel 2 tbsp', 'sunflower-oil 27.2'],
    ['til ka tel 2 tbsp', 'sesame-oil 27.2'],
    ['sarson ka tel 2 tbsp', 'mustard-oil 28'],
    ['mungfali tel 1 tbsp', 'groundnut-oil 13.6'],
    ['soya tel 1 tbsp', '?soya tel 0'],
    ['luke warm water to knead', 'water 30'],
    ['3 tbsp sugar free passata with oregano', 'tomato-can 45 | dried-herbs 1'],
    ['passata with oregano 100 g', 'tomato-can 100 | dried-herbs 1'],
    ['40g mozzarella per 4 pockets', 'mozzarella 40'],
    ['1 clementine, zest only', 'orange-zest 5'],
    ['2 clementines', 'orange 262'],
    [
      'maida 3 cup, pani 1 cup, noon half chamcha, tel 1 tbsp',
      'plain-flour 375 | water 240 | ?noon half chamcha 0 | sunflower-oil 13.6',
    ],
    ['1 can (13.8 oz) refrigerated pizza crust', 'pizza-dough 391.2'],
    ['1 tsp crushed red pepper', 'chilli-powder 1.8'],
    ['1 tsp red pepper', 'chilli-powder 1.8'],
    ['1 red pepper', 'red-pepper 119'],
    ['300 g cold turkey chopped', 'turkey-cooked 300'],
    ['200 g cold butter', 'butter 200'],
    ['8 small cubes of brie', 'soft-ripened-cheese 80'],
    ['2 cans of green jackfruit (in brine, drained, about 450 g total)', 'jackfruit-can 450'],
    ['one and half cup atta', 'atta 180'],
    ['Eggs: 2 (one for the filling, one for the glaze)', 'egg 50 | egg 50'],
    [
      '1 tsp coriander; 1/2 tsp fenugreek if you have it; salt',
      'coriander-seed 1.8 | fenugreek-seed 1.9 | salt 4',
    ],
    // What is only left out or swapped by others is still what it is.
    ['1 egg (skip for vegan)', 'egg 50'],
    ['60 g feta (omit for dairy free)', 'feta 60'],
    ['2 tbsp butter (vegan butter to make vegan)', 'butter 28.4'],
    ['60 g grated cheddar (leave out if vegan and use soy yogurt)', 'cheddar 60'],
  ])('%s', (raw, expected) => expect(said(raw)).toBe(expected))
})

it('keeps of a row of several foods what was written of each', () => {
  const { parts: made } = recipe(
    'Kachori\n\nDough: wheat flour 1.5 cup, maida half cup, oil 3 tbsp, water 120 ml\nFilling: 1 cup mashed potato, 1 tsp salt\n\nFill and fry.',
  )
  expect(made[0]!.lines.map(({ raw }) => raw)).toEqual([
    'wheat flour 1.5 cup',
    'maida half cup',
    'oil 3 tbsp',
    'water 120 ml',
  ])
})
