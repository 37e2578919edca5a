import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

// One thing of a recipe told in every way that it is told, all else being the same.

const DOUGH = 'Dough\n300 g plain flour\n160 ml water\n1 tsp salt'
const FILLING = 'Filling\n300 g leeks\n1 onion\n100 g cheddar'
const whole = (method: string, title = 'Sunday supper') =>
  readRecipe(
    `${title}\n\n${DOUGH}\n\n${FILLING}\n\nMethod\nMix the dough and rest 30 minutes. Mix the filling. ${method}`,
    foods,
  ).recipe

describe('the shape, by what the hands do', () => {
  it.each([
    ['half-moon', 'bring one side over to meet the other and pinch shut'],
    ['half-moon', 'fold across to make a D shape and seal'],
    ['disc', 'gather the edges, pinch to close and roll out gently to 15 cm'],
    ['disc', 'enclose the filling, pat flat to a 12 cm disc'],
    ['disc', 'cover with a second round and seal the edges'],
    ['bun', 'pinch the edges closed and turn over, seam underneath'],
    ['bun', 'draw up the edges around the filling and twist to close'],
    ['pleated', 'gather into a money bag and tie with a chive'],
    ['roll', 'fold in the sides and roll up'],
    ['roll', 'fold the sides over the filling and roll up into cylinders'],
    ['parcel', 'fold two sides over the filling, then the other two, to make a square'],
    ['coil', 'roll into a long rope and coil into a spiral'],
    ['lidded-pie', 'line the tins with the larger rounds, fill and cover with the smaller ones'],
    ['lidded-pie', 'press into a tin, fill, lay the lid on top and crimp the edges'],
    ['lidded-pie', 'fit two thirds of the pastry into the tin, fill and cover with the rest'],
  ])('%s: %s', (shape, closing) => {
    for (const title of ['Sunday supper', 'Leek and cheese', 'My favourite snack'])
      expect(
        whole(
          `Divide into 10, roll out, put filling in the middle, ${closing}. Bake at 200C for 20 minutes.`,
          title,
        ).shape,
      ).toBe(shape)
  })

  it('is a parcel of squares with lids, and two rounds count once', () => {
    const squares = whole(
      'Cut the pastry into 8 rectangles, filling on 4, lids on, seal with a fork. Bake 20 min at 200C.',
    )
    expect([squares.shape, squares.pieces]).toEqual(['parcel', 4])
    const rounds = whole(
      'Cut 10 cm circles (about 20). Put filling on half of them, top with the remaining circles, crimp. Bake 20 min at 200C.',
      'Leek hand pies',
    )
    expect([rounds.shape, rounds.pieces]).toEqual(['disc', 10])
    expect(rounds.notes.map(({ text }) => text).join()).not.toMatch(/also gives/)
  })
})

describe('fat that a step gives', () => {
  it.each([
    ['Cook on a hot tava 2 minutes a side, spread half a teaspoon of ghee on each side', 'ghee', 34],
    ['Cook on a tawa with 1 tsp ghee per paratha, 2 min a side', 'ghee', 34],
    ['Cook on a tava, 2 min a side, applying 1 tsp ghee to each side', 'ghee', 69],
    ['Fry each in 1 tsp of butter for 2 minutes a side', 'butter', 38],
    ['Fry in 1 tbsp butter per batch of 4, 2 minutes a side', 'butter', 28],
    ['Cook in a pan with a knob of butter, 2 min a side', 'butter', 14],
    ['Heat a tablespoon of olive oil in a pan; cook 2 min a side', 'olive-oil', 13.5],
    ['Griddle 2 minutes a side, brushing with 1 tsp oil each', 'sunflower-oil', 36],
  ])('%s: %s', (work, id, grams) => {
    const { parts } = whole(
      `Divide the dough into 8 balls, fill, seal and roll out to 18 cm. ${work}.`,
      'Leek parathas',
    )
    const fats = parts
      .filter(({ kind }) => kind === 'pan' || kind === 'finish')
      .flatMap(({ lines }) => lines.map((line) => [line.foodId, Math.round(line.grams!)]))
    expect(fats).toHaveLength(1)
    expect(fats[0]![0]).toBe(id)
    expect(Number(fats[0]![1])).toBeGreaterThan(grams * 0.9)
    expect(Number(fats[0]![1])).toBeLessThan(grams * 1.1)
  })
})

describe('rows whose first word is work or a noun', () => {
  it.each([
    ['Flour wholemeal 300 g', 'wholemeal-flour'],
    ['Flour strong white 300g', 'strong-flour'],
    ['Flour plain, 300g', 'plain-flour'],
    ['Cream double 100ml', 'double-cream'],
    ['Roast chicken 300g', 'cooked-chicken'],
    ['Oil olive 2 tbsp', 'olive-oil'],
    ['Onion red 1', 'red-onion'],
    ['Stock veg 200ml', 'vegetable-stock'],
    ['Mushrooms chestnut 250g', 'mushroom'],
  ])('"%s" is a line', (line, id) => {
    const { parts } = readRecipe(
      `Pasties\nMakes 10\n\nPastry\n300 g rye flour\n150 g butter\n80 ml water\n\nFilling\n1 courgette\n${line}\n100 g feta\n\nMethod\nMix. Bake at 200C for 20 minutes.`,
      foods,
    ).recipe
    const filling = parts.find(({ kind }) => kind === 'filling')!
    expect(filling.lines.map(({ foodId }) => foodId)).toEqual(['courgette', id, 'feta'])
  })
})

describe('two fillings', () => {
  const LEEKS = ['300 g leeks', '100 g cheddar']
  const BEANS = ['1 tin kidney beans', '1 red pepper']
  const LAYOUTS = {
    block: (first: string, second: string) =>
      `${first}\n${LEEKS.join('\n')}\n\n${second}\n${BEANS.join('\n')}`,
    colon: (first: string, second: string) =>
      `${first}:\n${LEEKS.join('\n')}\n\n${second}:\n${BEANS.join('\n')}`,
    inline: (first: string, second: string) =>
      `${first}: ${LEEKS.join(', ')}\n${second}: ${BEANS.join(', ')}`,
  }
  it.each([
    ['Filling 1', 'Filling 2'],
    ['Filling #1', 'Filling #2'],
    ['Filling no. 1', 'Filling no. 2'],
    ['1st filling', '2nd filling'],
    ['Filling (1)', 'Filling (2)'],
    ['Option 1', 'Option 2'],
    ['Leek filling (for 6)', 'Bean filling (for 6)'],
    ['Leek & cheddar', 'Spiced bean'],
    ['Leek mix', 'Bean mix'],
  ])('%s and %s', (first, second) => {
    for (const layout of Object.values(LAYOUTS)) {
      const text = layout(first, second)
      const { parts } = readRecipe(
        `Two pasties\nMakes 12\n\n${DOUGH}\n\n${text}\n\nMethod\nMix the dough and rest 30 minutes. Divide the dough into 12, roll out, fill 6 with each, fold over and seal. Bake at 200C for 20 minutes.`,
        foods,
      ).recipe
      const fillings = parts
        .filter(({ kind }) => kind === 'filling')
        .map(({ lines }) => lines.map(({ foodId }) => foodId).join())
      expect(fillings.sort(), text).toEqual(['kidney-beans-canned,red-pepper', 'leek,cheddar'])
    }
  })
})

describe('lists side by side', () => {
  it('are read one after the other', () => {
    const { parts, method } = readRecipe(
      `Kulchas\n\n| DOUGH | | FILLING | |\n|---|---|---|---|\n| Plain flour | 300 g | Cabbage, grated | 250 g |\n| Yogurt | 80 g | Paneer | 100 g |\n| Warm water | 120 ml | Green chilli | 2 |\n| Salt | 1 tsp | | |\n\nDivide in 6, fill, roll to 16 cm. Cook on a hot tawa 2 min per side.`,
      foods,
    ).recipe
    expect(
      parts
        .filter(({ kind }) => /shell|filling/.test(kind))
        .map(({ kind, lines }) => [kind, lines.map(({ foodId }) => foodId)]),
    ).toEqual([
      ['shell', ['plain-flour', 'yogurt', 'water', 'salt']],
      ['filling', ['cabbage', 'paneer', 'green-chilli']],
    ])
    expect(method).toHaveLength(1)
  })

  it('are no lists where the columns are names and amounts', () => {
    const { parts } = readRecipe(
      `Pies\n\n| Dough | Amount |\n|---|---|\n| Plain flour | 300 g |\n| Water | 160 ml |\n\n| Filling | Amount |\n|---|---|\n| Leeks | 300 g |\n| Cheddar | 100 g |\n\nFill, fold. Bake 20 min at 200C.`,
      foods,
    ).recipe
    expect(parts.filter(({ kind }) => /shell|filling/.test(kind)).map(({ lines }) => lines.length)).toEqual([
      2, 2,
    ])
  })
})

describe('how the pieces are cooked', () => {
  it('is by nothing that is done when they come out', () => {
    for (const after of [
      'Brush with olive oil when they come out.',
      'Dust with sugar as soon as they come off the tray.',
    ]) {
      const { cooking } = whole(`Divide into 10, fill, fold over. Bake at 200C for 15 minutes. ${after}`)
      expect([cooking.way, cooking.minutes, cooking.andThen]).toEqual(['bake', 15, null])
    }
  })
})
