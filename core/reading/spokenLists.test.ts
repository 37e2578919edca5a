import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { DOUGH, eachOf, parts, read, recipe } from '../../test/readText'
import { unmarkedRow } from './unmarkedRow'

// Lines: lists that are spoken with their amounts now in front and now behind, and what a line holds besides its food.

/** A row cut into its lines. */
const cut = (row: string) => unmarkedRow(row, foods)?.map(({ text }) => text)

/** The foods of a part of some kind, each with its grams in whole numbers. */
const inPart = (text: string, kind: string) =>
  recipe(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId, grams }) => [foodId, grams && Math.round(grams)]))

describe('a spoken row', () => {
  it.each<[string, string[]]>([
    [
      'one capsicum chopped ginger garlic paste one teaspoon half a teaspoon turmeric',
      ['one capsicum chopped', 'ginger garlic paste one teaspoon', 'half a teaspoon turmeric'],
    ],
    [
      'cumin powder half a teaspoon chilli powder one teaspoon garam masala half a teaspoon',
      ['cumin powder half a teaspoon', 'chilli powder one teaspoon', 'garam masala half a teaspoon'],
    ],
    [
      'two chicken breasts about three hundred and fifty grams a punnet of mushrooms two fifty grams a leek',
      [
        'two chicken breasts about three hundred and fifty grams',
        'a punnet of mushrooms two fifty grams',
        'a leek',
      ],
    ],
    [
      'a roll of puff pastry the three hundred and twenty gram one a hundred mil of double cream',
      ['a roll of puff pastry the three hundred and twenty gram one', 'a hundred mil of double cream'],
    ],
  ])('%s', (row, lines) => {
    expect(cut(row)).toEqual(lines)
  })
  it('is not cut where a liquid fills up to a weight', () => {
    expect(eachOf('1 egg + milk to make 160g')).toEqual([
      ['egg', 50],
      ['milk', 110],
    ])
  })
  it('is a list behind what it is for, and a glaze at its end is the glaze alone', () => {
    const told =
      'so for these chicken parcels what you need is a roll of puff pastry two chicken breasts a leek some thyme and an egg for the glaze. fry the leek in butter for ten minutes. cut the pastry into six squares, fill, fold and bake at 200C for 25 minutes'
    expect(parts(told)).toEqual([
      'shell: puff-pastry',
      'filling: chicken-breast leek thyme butter',
      'finish: egg',
    ])
  })
  it.each<[string, [string, number][]]>([
    ['two onions around three hundred grams', [['onion', 300]]],
    ['a punnet of mushrooms two fifty grams', [['mushroom', 250]]],
    ['a roll of puff pastry the 320 gram one', [['puff-pastry', 320]]],
    ['50 mil water', [['water', 50]]],
  ])('%s', (line, grams) => {
    expect(eachOf(line)).toEqual(grams)
  })
  it('keeps the sour cream in the dough where the method tells what goes in', () => {
    const told =
      'Pierogi. The dough is 3 cups flour, 1 egg, 1/2 cup sour cream and a tsp of salt. Mix it, let it sit half an hour. For the inside boil 2 lbs potatoes mash them with 8 oz farmers cheese a fried onion salt and pepper. Fill, pinch. Boil till they float.'
    expect(parts(told)).toEqual([
      'shell: plain-flour egg sour-cream salt',
      'filling: potato twarog fried-onion black-pepper salt',
    ])
  })
})

describe('a line', () => {
  it.each(['salt & loads of white pepper', 'salt and a ton of white pepper', 'salt, masses of white pepper'])(
    'has its salt and its pepper: %s',
    (line) => {
      expect(eachOf(line).map(([food]) => food)).toEqual(['salt', 'white-pepper'])
    },
  )
  it.each<[string, [string | undefined, number | null][]]>([
    ['chives, big bunch', [['chives', 30]]],
    ['coriander - a large bunch', [['coriander-leaf', 81]]],
    [
      'Green chilli ginger paste - 1 tsp',
      [
        ['green-chilli', 2],
        ['ginger', 2],
      ],
    ],
    [
      '2 tsp chilli, ginger and garlic paste',
      [
        ['green-chilli', 2],
        ['ginger', 2],
        ['garlic', 3],
      ],
    ],
    ['1 tsp ginger garlic paste', [['ginger-garlic-paste', 5]]],
    [
      'two tablespoons soy and one sesame oil',
      [
        ['soy-sauce', 32],
        ['sesame-oil', 14],
      ],
    ],
    [
      '2 tbsp soy sauce and 2 eggs',
      [
        ['soy-sauce', 32],
        ['egg', 100],
      ],
    ],
    ['pack of 8 frankfurters', [['smoked-sausage', 400]]],
    ['1 1/2 cups leftover chili, thick', [['chilli-con-carne', 375]]],
    ['1 cup leftover veggie chili', [['bean-chilli', 250]]],
    ['60 zorblax pieces', [[undefined, null]]],
    [
      '2 green chillies, ginger garlic paste 1 tsp',
      [
        ['green-chilli', 16],
        ['ginger-garlic-paste', 5],
      ],
    ],
    ['some leftover roast lamb maybe 250 grams', [['cooked-lamb', 250]]],
    ['a bit of feta like 80 grams', [['feta', 80]]],
    [
      'paste of 2 tbsp flour and 3 tbsp water',
      [
        ['plain-flour', 16],
        ['water', 45],
      ],
    ],
    ['2 chillies, chopped', [['green-chilli', 16]]],
    ['Patti - 12 nos', [['samosa-strip', 108]]],
    ['1/2 tsp green chilli', [['green-chilli', 2]]],
    ['1 tsp chilli', [['chilli-powder', 2]]],
    ['100 zorblax', [[undefined, 100]]],
    ['12 zorblaxes', [[undefined, null]]],
  ])('%s', (line, grams) => {
    expect(eachOf(line)).toEqual(grams)
  })
  it.each(['s+p, bit of thyme', 'salt & pepper, thyme'])(
    'has what stands behind its seasoning: %s',
    (line) => {
      expect(eachOf(line).map(([food]) => food)).toEqual(['salt', 'black-pepper', 'thyme'])
    },
  )
  it.each(['2 leeks, 100 ml double cream and an egg for the glaze', '1 leek, thyme and egg to glaze'])(
    'glazes with the egg alone: %s',
    (line) => {
      const own = read(`300 g mince\n${line}`, 'Fill, fold. Bake at 200C for 20 minutes.')
      const finish = own.parts.filter(({ kind }) => kind === 'finish').flatMap(({ lines }) => lines)
      expect(finish.map(({ foodId }) => foodId)).toEqual(['egg'])
    },
  )
  it.each(['24g protein | 310 kcal', 'Makes 12 | 24g protein | 310 cal', '310 kcal / 24P / 30C / 8F'])(
    'of figures lists nothing: %s',
    (figures) => {
      const own = recipe(`Turkey pockets\n${figures}\n\nDough\n${DOUGH}\n\nFilling\n300 g turkey mince`)
      expect(own.parts.flatMap(({ lines }) => lines).map(({ foodId }) => foodId)).not.toContain(null)
    },
  )
  it.each([
    'to serve - fried onions & sour cream',
    'To serve – fried onions and sour cream',
    'to serve: fried onions, sour cream',
  ])('%s', (line) => {
    const text = `Varenyky\n\ndough - 500 g flour, 250 ml water\nfilling - 800 g potatoes\n${line}\n\nFill, fold. Boil 4 min.`
    expect(inPart(text, 'dip').map(([food]) => food)).toEqual(['fried-onion', 'sour-cream'])
  })
})
