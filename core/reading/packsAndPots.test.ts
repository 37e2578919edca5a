import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { eachOf, lineOf, parts, read, recipe } from '../../test/readText'
import { readIngredients } from './readIngredient'

// What packs hold, pieces named by what they were cut from, pots beside one another, and parts that begin a dough.

const prepOf = (text: string) => readIngredients(text, foods).map(({ line }) => line.prep.join(', '))

describe('lines', () => {
  it.each<[string, [string, number][]]>([
    ["a pack of puff pastry, that's 375 grams", [['puff-pastry', 375]]],
    ['1 pack of yufka, five sheets, 500 grams', [['yufka', 500]]],
    ["1 can chickpeas, that's 400 g", [['chickpeas-canned', 240]]],
    ['1 store-bought pie crust (2 crusts)', [['pie-crust', 400]]],
    ['1 package refrigerated pie crust (2 crusts)', [['pie-crust', 400]]],
    ['one 15 oz container ricotta', [['ricotta', 425]]],
    ['a fifteen-ounce can of black beans, drained', [['black-beans-canned', 255]]],
    ['4 oz log of goat cheese', [['goat-cheese', 113]]],
    ['1/2 a tin of sweetcorn', [['sweetcorn-canned', 170]]],
    ['a 2-inch piece of fresh ginger', [['ginger', 24]]],
    ['a two inch piece of ginger', [['ginger', 24]]],
    ['a 3cm piece of ginger', [['ginger', 15]]],
    ['1.5 kg King Edward potatoes', [['potato', 1500]]],
    ['3 medium carrots, about 2 cups grated', [['carrot', 210]]],
    ['6 dill pickle slices', [['gherkin', 36]]],
    ['6 slices tomato', [['tomato', 120]]],
    ['4 turkey rashers', [['turkey-bacon', 56]]],
    ['6 thin slices ham', [['ham', 118]]],
    ['150 g mung sprouts', [['bean-sprouts', 150]]],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('thin slices weigh less than slices, and thick ones more', () => {
    const [thin, usual, thick] = ['thin ', '', 'thick '].map((size) => eachOf(`4 ${size}slices ham`)[0]![1]!)
    expect(thin).toBeLessThan(Number(usual))
    expect(thick).toBeGreaterThan(Number(usual))
  })
  it.each<[string, [string, number][]]>([
    [
      'half a teaspoon of salt and around half a cup of cold water',
      [
        ['salt', 3],
        ['water', 120],
      ],
    ],
    [
      'zest of 1 lemon and juice of half',
      [
        ['lemon-zest', 5],
        ['lemon-juice', 23],
      ],
    ],
    [
      '1 lemon, zest and half the juice',
      [
        ['lemon-zest', 5],
        ['lemon-juice', 23],
      ],
    ],
    [
      '1 tbsp lemon juice + 1 tsp zest',
      [
        ['lemon-juice', 15],
        ['lemon-zest', 2],
      ],
    ],
    [
      '50 g butter, plus 20 g melted',
      [
        ['butter', 50],
        ['butter', 20],
      ],
    ],
  ])('%s is two', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('a pinch each of several is listed, and pinching the corners is work', () => {
    const made = recipe(
      'Buns\n\nDough\n300 g flour\n160 ml water\n\nFilling\n300 g cabbage\npinch each of salt, sugar and pepper\n\nMethod\nFill.\nPinch each of the corners shut.',
    )
    expect(made.parts[1]!.lines.map(({ foodId }) => foodId)).toEqual([
      'cabbage',
      'salt',
      'sugar',
      'black-pepper',
    ])
    for (const { grams } of made.parts[1]!.lines) expect(grams).toBeGreaterThan(0)
    expect(made.method).toEqual(['Fill.', 'Pinch each of the corners shut.'])
  })
  it('burrito wraps are large ones', () =>
    expect(eachOf('8 burrito tortillas')).toEqual(eachOf('8 large tortillas')))
  it('what is rolled out to about so much is one food', () =>
    expect(eachOf('1 kg puff pastry, rolled to about 3mm')).toEqual([['puff-pastry', 1000]]))
  it.each([['224 g jackfruit, 225 drained'], ['150 g leek greens, 2 cups chopped']])(
    '%s is weighed once',
    (text) => expect(eachOf(text).filter(([, grams]) => grams)).toHaveLength(1),
  )
  it('what is done with several is done with each', () =>
    expect(prepOf('handful each parsley and dill, chopped')).toEqual(['chopped', 'chopped']))
  it('how warm milk is belongs to its making ready', () =>
    expect(eachOf('1 cup milk warmed to 40C')).toEqual([['milk', 244]]))
  it('what an egg for the wash is beaten with is for the wash as well, and so is the egg', () =>
    expect(
      readIngredients('1 egg beaten with 1 tbsp milk for the wash', foods).map(
        ({ read: { purpose } }) => purpose,
      ),
    ).toEqual(['finish', 'finish']))
  it('a single row with a stroke lists two foods; in a table the stroke parts a food from its amount', () => {
    const wrapped =
      'Crab parcels\n24 wonton wrappers | cooking spray\nFilling: 200 g crab\nFill. Bake 12 minutes.'
    expect(lineOf(recipe(wrapped), 'wonton-wrapper')!.grams).toBeGreaterThan(100)
    const table = 'Buns\n\nDough\n300 g | plain flour\n160 ml | water\n\nFilling\n300 g | cabbage'
    expect(parts(table)).toEqual(['shell: plain-flour water', 'filling: cabbage'])
  })
})

describe('parts', () => {
  const REST =
    'Dough\n200 g flour\n50 ml milk\n\nFilling\n200 g jam\n\nKnead it all, divide into 12, fill.\nBake at 190C for 20 minutes.'
  it.each([
    ['Starter'],
    ['Sponge'],
    ['Tangzhong'],
    ['Poolish for the dough'],
    ['Preferment (night before)'],
    ['Yeast mixture'],
  ])('%s over its flour or yeast goes into the dough', (name) => {
    const buns = recipe(`Buns\n\n${name}\n100 g flour\n100 g milk\n1 tsp yeast\n\n${REST}`)
    const shell = buns.parts.find(({ kind, into }) => kind === 'shell' && into === null)!
    expect(buns.parts.find(({ lines }) => lines.some(({ foodId }) => foodId === 'instant-yeast'))!.into).toBe(
      shell.id,
    )
    expect(buns.parts.filter(({ kind, into }) => kind === 'filling' && into === null)).toHaveLength(1)
  })
  it('a starter that is bought is a line', () =>
    expect(
      parts(
        'Buns\n\nDough\n300 g flour\n150 ml water\nsourdough starter\n5 g salt\n\nFilling\n200 g jam\n\nFill.',
      ),
    ).toEqual(['shell: plain-flour water sourdough-starter salt', 'filling: jam']))
  it('what is brushed between the layers finishes them', () =>
    expect(
      parts(
        'Börek\n5 sheets yufka (500 g)\n\nFilling\n300 g feta\n\nFor the sauce between the layers\n200 ml milk\n2 eggs\n\nBrush every sheet, roll up. Bake at 190C for 35 minutes.',
      ),
    ).toEqual(['shell: yufka', 'filling: feta', 'finish: milk egg']))
  it('what a told pack weighs behind a comma is its weight', () => {
    const told = recipe(
      "I take one pack of yufka, that's five sheets, 500 grams. For the filling three leeks, about 300 grams, two hundred grams of feta and one egg. Roll up. Into the oven at 190 for 35 minutes. You get five.",
    )
    expect(lineOf(told, 'yufka')!.grams).toBe(500)
    expect(lineOf(told, 'leek')!.grams).toBe(300)
  })
  it.each([['leftover mashed potato'], ['mashed potato'], ['mashed sweet potato']])(
    '%s that is mixed with the flour to a dough is dough',
    (mash) => {
      const [shell, filling] = parts(
        `Cakes\n450 g ${mash}\n150 g plain flour\n1/2 tsp salt\n100 g cheddar\nMix the mash, flour and salt to a dough. Divide in 8, put cheese in the middle, close up. Fry in butter 4 min each side.`,
      )
      expect(shell).toMatch(/^shell: plain-flour salt (?:creamy-mash|boiled-potato|sweet-potato-cooked)$/)
      expect(filling).toBe('filling: cheddar')
    },
  )
  it('potatoes that are mashed for the filling stay there', () =>
    expect(
      parts(
        'Parathas\n300 g atta\n160 ml water\n450 g boiled potatoes\n1 green chilli\nKnead a dough of flour and water. Mash the potatoes with the chilli. Divide in 8, stuff. Cook on a tawa 4 min each side.',
      )[1],
    ).toMatch(/^filling: boiled-potato/))
  it('butter for layering is the dough’s, wherever it is listed', () =>
    expect(
      parts(
        'Pasties\n500 g flour\n220 ml water\n500 g lamb, chopped\n250 g butter, for lamination\nMake dough. Laminate. Fill. Bake 200 C 30 min. Makes 12',
      )[0],
    ).toBe('shell: plain-flour water butter'))
  it('oil listed with the water that is poured in is the pan’s', () => {
    const buns = recipe(
      'Pan buns\n300 g flour\n165 g water\n\n250 g pork mince\n3 scallions\n\n2 T oil\n150 ml water\nsesame seeds\n\nKnead, rest 40 min. Divide dough in 16, fill, pleat. Heat oil in pan, add buns, fry 2 min till bottoms golden, pour in water, cover, 8 min. Sesame on top.',
    )
    const pan = buns.parts.find(({ kind }) => kind === 'pan')!
    expect(pan.lines.map(({ foodId }) => foodId)).toEqual(['sunflower-oil', 'water'])
    expect(pan.lines[0]!.grams).toBeCloseTo(27.2, 1)
  })
  it('a part of no known name that the pieces are filled with is a filling', () => {
    const doughnuts = recipe(
      'Doughnuts\nFor 15\n500g strong flour, 7g yeast, 4 eggs, 150g water\noil for frying\nCustard: 500ml milk, 6 egg yolks, 125g sugar\nRhubarb: 400g rhubarb, 80g sugar\n\nMix the dough. Roll into balls. Fry 2 mins a side at 180C. Fill with custard and a spoon of rhubarb.',
    )
    expect(
      doughnuts.parts.filter(({ kind, into }) => kind === 'filling' && into === null).map(({ name }) => name),
    ).toEqual(['Custard', 'Rhubarb'])
    expect(doughnuts.shape).toBe('bun')
  })
})

describe('what is spread, rolled and folded', () => {
  it('a batter without flour is what is folded, and the oil of each is the pan’s', () =>
    expect(
      parts(
        'Lentil pancakes\nMakes 6\nBatter: 1 cup moong dal, 1 green chilli, 1/2 cup water\nStuffing: 200 g paneer crumbled, 1 onion\nOil 1/2 tsp per chilla\nGrind the dal with chilli and water. Pour a ladle on a hot tawa, spread, drizzle oil, put stuffing on half, fold.',
      ),
    ).toEqual(['shell: split-mung-dry green-chilli water', 'filling: paneer onion', 'pan: sunflower-oil']))
  it('a batter beside a dough is none', () =>
    expect(
      parts(
        'Buns\n\nDough\n300 g flour\n160 ml water\n\nFilling\n300 g cabbage\n\nBatter:\n100 g chickpea flour\n120 ml water\n\nFill, dip in the batter, fry.',
      )[0],
    ).toBe('shell: plain-flour water'))
  it.each([
    ['Separate into 8 triangles. Spoon filling on the wide end, roll up.', 'roll'],
    ['Cut into 8 triangles, fill, fold to cones and seal.', 'cone'],
  ])('%s', (steps, shape) =>
    expect(
      recipe(
        `Cheese bites\n1 can crescent roll dough\n100 g cream cheese\n50 g cheddar\n${steps} Bake at 190C for 14 min.`,
      ).shape,
    ).toBe(shape),
  )
})

const filled = (list: string, steps: string) => {
  const part = read(
    list,
    `${steps}\nDivide the dough into 12, fill, seal.\nBake at 200C for 20 min.`,
  ).parts.find(({ kind }) => kind === 'filling')!
  return { ...part, raw: part.lines.filter(({ cookedBy }) => cookedBy === 'raw').map(({ foodId }) => foodId) }
}

describe('pots', () => {
  it.each<[string, string, number]>([
    [
      'Boil the potatoes 20 minutes, drain and mash. Simmer the lentils in the stock 25 minutes.',
      '500 g potatoes\n150 g red lentils\n600 ml stock',
      25,
    ],
    [
      'Fry the aubergine 10 minutes, set aside. Fry the onion and the mince 8 minutes.',
      '100 g aubergine\n1 onion\n500 g beef mince',
      8,
    ],
    [
      'Boil the barley in the water for 15 minutes, add the milk and simmer for 45 minutes.',
      '150 g pearl barley\n400 ml water\n600 ml milk',
      60,
    ],
    [
      'Fry the chorizo for 5 minutes, drain, add the onion and cook for a further 10 minutes.',
      '150 g chorizo\n2 onions',
      15,
    ],
  ])('%s', (steps, list, minutes) => expect(filled(list, steps).cookedMinutes).toBe(minutes))
  it('mushrooms that are cooked dry count their own minutes, and not those of the meat that is seared', () =>
    expect(
      filled(
        '250 g mushrooms, chopped\n400 g beef fillet\n1 tbsp oil',
        'Fry the mushrooms 10 minutes until dry, set aside. Sear the beef in the oil 1 minute.',
      ).cookedMinutes,
    ).toBe(10))
  it('what is mixed beside the pan stays raw', () => {
    expect(
      filled(
        '4 onions\n1 tbsp oil\n100 g ricotta\n1 egg',
        'Fry the onions in the oil 8 minutes. Mix the ricotta and egg. Stir in the onions.',
      ).raw,
    ).toEqual(['ricotta', 'egg'])
    expect(
      filled(
        '1 onion\n300 g peas\n1 tsp cumin\n1 tsp salt',
        'Fry the onion 5 minutes. Mix the cumin and salt, cook 1 minute. Add the peas, 3 minutes.',
      ).raw,
    ).toEqual([])
  })
  it.each([
    [
      'Fry the onion 8 minutes. Chop the mushrooms and add them to the pan, cook 10 minutes.',
      ['onion', 'mushroom'],
    ],
    ['Fry the onion 8 minutes. Blitz the mushrooms, add to pan, cook 10 minutes.', ['onion', 'mushroom']],
    ['Fry the onion 8 minutes. Chop the mushrooms. Mix with the cheese.', ['onion']],
  ])('%s', (steps, fried) => {
    const { cookedBy, lines } = filled('1 onion\n250 g mushrooms\n100 g cheddar', steps)
    const isFried = ({ cookedBy: own }: (typeof lines)[number]) => (own ?? cookedBy) === 'fry'
    expect(lines.filter(isFried).map(({ foodId }) => foodId)).toEqual(fried)
  })
  it('starch that is stirred into water beside the pot is cooked in it', () =>
    expect(
      filled(
        '2 apples, chopped\n50 g sugar\n1 tsp cornflour',
        'Cook the apples with the sugar for 8 minutes. Mix the cornflour with 1 tbsp water, stir in, cook 1 minute.',
      ).lines.find(({ foodId }) => foodId === 'cornstarch')!.cookedBy,
    ).toBeNull())
})

describe('heat', () => {
  const baked = (steps: string) => read('300 g pork mince', `Fill and seal.\n${steps}`).cooking
  it.each([
    ['Bake 20 min at 200C, remove the top tray, bake 15 more until crisp.', 200, 35],
    ['Bake for 12 minutes at 200C, rotate the tray, then another 8 minutes.', 200, 20],
    ['Bake 25 min at 190C, then take off the lid and give it another 10.', 190, 35],
    ['Bake covered at 180C for 30 min then uncovered for 15.', 180, 45],
    ['Bake 8 minutes on the bottom rack, then 4 minutes on the top rack at 230C.', 230, 12],
  ])('%s', (steps, temperatureC, minutes) =>
    expect(baked(steps)).toMatchObject({ way: 'bake', temperatureC, minutes, andThen: null }),
  )
  it.each([
    ['Shallow fry in a few tbsp of oil, 3 mins per side.', 41],
    ['Fry in a couple of tablespoons of oil, 3 mins per side.', 27],
  ])('%s', (steps, grams) =>
    expect(
      Math.round(lineOf(read('300 g pork mince', `Fill and seal.\n${steps}`), 'sunflower-oil')!.grams!),
    ).toBe(grams),
  )
})
