import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const DOUGH = '300 g plain flour\n160 ml water'
const read = (steps: string, dough = DOUGH, filling = '300 g cheddar\n1 onion', head = 'Cheese pockets') =>
  readRecipe(`${head}\n\nDough\n${dough}\n\nFilling\n${filling}\n\nMethod\n${steps}`, foods).recipe

describe('how many, as it is said behind the work', () => {
  it.each([
    ['Mix. Roll, cut, fill, fold, seal (48).', 48],
    ['Mix. Roll, cut, fill, fold and seal. Bake 190C 20 min.\n24 or so.', 24],
    ['Mix. Roll, cut, fill, fold and seal. Bake 190C 20 min.\n48 cookies', 48],
    ['Mix. 15 balls each. Stuff, roll out, fry.', 15],
    [
      'Mix. Roll, cut 16 discs. Heap filling on 8. Cut slits in the other 8 and lay on top, fork the edges. Bake.',
      8,
    ],
    ['Mix. Roll, cut 16 discs. A disc of cheese on half of them, cover, seal with a fork. Fry.', 8],
    ['Mix. 8 loi. Fill, seal, roll. Tawa 4 min.', 8],
  ])('%s', (steps, pieces) => {
    expect(read(steps).pieces).toBe(pieces)
  })

  it('takes no time and no forgotten line for a count', () => {
    expect(read('Mix. Divide into 12, fill, fold and seal. Bake 190C.\n25 minutes').pieces).toBe(12)
    expect(read('Mix. Divide into 12, fill, fold and seal. Bake 190C 20 min.\n2 eggs').pieces).toBe(12)
  })

  it.each([
    ['1 (17.3-ounce) package puff pastry', 'Cut each sheet into 4 squares, fill, fold and seal. Bake.', 8],
    ['Puff pastry sheets - 2 (each makes 4)', 'Cut into rectangles, fill, fold, press the edges. Bake.', 8],
    ['Puff pastry sheet 1 (makes 8 squares 9 cm)', 'Fill the squares, fold into triangles, fork. Bake.', 8],
    ['2 pie crusts, bought', 'Cut 4-inch rounds, I get 5 from each. Fill, fold, fork. Bake.', 10],
    ['1 pack 6 flatbread dough balls (bought, 6 x 90g)', 'Roll each to an oval, fill, fold, pinch. Bake.', 6],
  ])('of what is bought: %s', (dough, steps, pieces) => {
    expect(read(steps, dough).pieces).toBe(pieces)
  })

  it('weighs what the bracket says of bought balls', () => {
    const [line] = read('Fill, fold, pinch. Bake.', '1 pack 6 flatbread dough balls (bought, 6 x 90g)')
      .parts[0]!.lines
    expect([line!.foodId, line!.grams]).toEqual(['pizza-dough', 540])
  })
})

describe('what a time is of', () => {
  const times = (steps: string) =>
    read(steps, DOUGH, '300 g cheddar\n1 onion', 'Cheese buns\nMakes 12')
      .facts.filter(({ kind }) => /-minutes$/.test(kind))
      .map(({ kind, low }) => `${kind.replace('-minutes', '')} ${low}`)
  it.each([
    [
      'Mix everything but the butter 8 mins, rest 1 min. 5 mins more till glossy.',
      ['knead 8', 'rest 1', 'knead 5'],
    ],
    ['Stir the filling in a double boiler for 15 mins.', []],
    ['Knead the dough. Let the balls warm up 1 h.', ['rest 60']],
    ['Stir the cheddar and onion 3-4 min, add the jelly, chill 30 min.', ['chill 30']],
    ['Make the dough, 3 folds over 2 hours.', ['rise 120']],
    ['Fill, fold and seal. Freeze 10 mins. Bake 20 min.', ['chill 10']],
    ['Fill, fold and seal. Fry on low heat 10 min. Raise heat at the end for 1 min.', []],
    ['Fill, fold and seal. Steam 12 min. Rest 3 mins with the lid ajar.', ['rest-before-eating 3']],
    ['Fill, fold and seal. 220C 18-20 min, rest 8 min.', ['rest-before-eating 8']],
  ])('%s', (steps, said) => {
    expect(times(steps)).toEqual(said)
  })
})

describe('what goes into each', () => {
  const spoons = (steps: string) =>
    read(steps).facts.find(({ kind }) => kind === 'filling-tbsp-per-piece')?.low ?? null
  it('adds up what is put in by the spoon of each food', () => {
    expect(spoons('Divide into 12, put a tsp each of cheese, onion and beans, close.')).toBe(1)
  })
  it('is no cup of what the filling is made of', () => {
    expect(
      spoons('Now for the filling take half cup of onion and mix. Divide into 12, fill and fold.'),
    ).toBeNull()
  })
  it('is no butter that they are fried in', () => {
    expect(
      spoons('Divide into 36, fill and fold. Fry them in butter (2 tbsp per dozen) with filling left over.'),
    ).toBeNull()
  })
})

describe('a recipe that somebody tells', () => {
  it('is read as told, though one of its sentences has no mark', () => {
    const { recipe } = readRecipe(
      "ok so this is my neighbour's aloo paratha, two cups atta, half teaspoon salt, one teaspoon oil and water as needed to make a soft dough cover and keep it for twenty minutes. for the stuffing four medium potatoes boiled peeled and mashed one green chilli chopped fine half teaspoon cumin powder two tablespoons coriander leaves salt to taste mix it nicely. make eight balls of the dough and eight of the stuffing. roll a little, put the stuffing, close it, flatten and roll it gently. hot tawa, when bubbles come flip, half teaspoon ghee, flip again, half teaspoon ghee on the other side, two minutes in all.",
      foods,
    )
    expect(recipe.pieces).toBe(8)
    expect(
      recipe.parts.map(({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`),
    ).toEqual([
      'shell: atta salt sunflower-oil water',
      'filling: boiled-potato green-chilli cumin coriander-leaf salt',
      'pan: ghee',
    ])
  })
})

describe('rows of the work', () => {
  it('keeps what is put in between two sentences of work out of the list', () => {
    const { recipe } = readRecipe(
      'Pizza pockets\nMakes 4\n\n200 g pizza dough\n\n20 slices pepperoni\n60 g marinara\n60 g mozzarella\nparm for top\n\ndivide 4, roll each into a circle.\n1 T sauce, 5 pepperonis, 2 T cheese. fold, pinch, fork.\nparm on top.\nbake 400 x 16-18 min.',
      foods,
    )
    expect(recipe.parts.flatMap(({ lines }) => lines.map(({ foodId }) => foodId))).toEqual([
      'pizza-dough',
      'pepperoni',
      'marinara',
      'mozzarella',
      'parmesan',
    ])
  })

  it('buys nothing of what a list says it has not', () => {
    const { recipe } = readRecipe(
      'Keto pockets\nMakes 4\n\n170 g mozzarella\n80 g almond flour\n(no egg)\n200 g sausage meat\n\nMelt, knead. Fill, fold. Bake 200C 14 min.',
      foods,
    )
    expect(recipe.parts.flatMap(({ lines }) => lines).every(({ foodId }) => foodId !== null)).toBe(true)
  })
})
