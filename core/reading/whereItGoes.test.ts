import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const read = (text: string) => readRecipe(text, foods).recipe
/** The foods of a part, by their ids. */
const foodsOf = (text: string, kind: string) =>
  read(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId }) => foodId))

describe('what goes into a dough that is bought', () => {
  it('is nothing, though the list goes on below its heading', () => {
    const text =
      'Leek gyoza\n\nwrappers - about 30, shop bought (gyoza skins)\nchicken mince 400 g\ncabbage 200 g\nsoy sauce 2 tbsp\n\nMix, fill, steam 8 minutes.'
    expect(foodsOf(text, 'shell')).toEqual(['dumpling-wrapper'])
    expect(foodsOf(text, 'filling')).toEqual(
      expect.arrayContaining(['minced-chicken', 'cabbage', 'soy-sauce']),
    )
  })

  it('may be whole breads, each half a pocket where they are halved', () => {
    const text = (method: string) =>
      read(`Lamb pockets\n\n4 pita breads\n\n400 g lamb mince\n1 onion\n1 tsp salt\n\n${method}`)
    const halved = text('Mix. Halve the pitas and spread the mixture inside. Griddle 4 minutes each side.')
    expect(halved.pieces).toBe(8)
    expect(halved.parts.find(({ kind }) => kind === 'shell')?.lines.map(({ foodId }) => foodId)).toEqual([
      'pita',
    ])
    expect(text('Mix. Stuff the pitas. Griddle 4 minutes each side.').pieces).toBe(4)
  })
})

describe('what is not eaten in the filling', () => {
  const list = 'Dough\n300 g flour\n160 ml water\n\nFilling\n300 g leeks\n200 g feta\n'
  const work = 'Method\nMix the filling. Divide the dough in 10, fill and seal.'

  it('is the soda of a bath', () => {
    const text = `Leek buns\n\n300 g flour\n160 ml water\n\n300 g leeks\n200 g feta\n\n2 l water + 60 g baking soda\n\nMix the filling. Divide in 10, fill and seal. Boil 30 seconds, bake at 220C for 15 minutes.`
    expect(foodsOf(text, 'pan')).toEqual(['water', 'baking-soda'])
    expect(foodsOf(text, 'filling')).toEqual(['leek', 'feta'])
  })

  it('is butter that is only brushed on, though nobody says what it is for', () => {
    const text = `Leek pies\n\n${list}\n20 g butter, melted\n\n${work} Brush with butter. Bake at 200C for 20 minutes.`
    expect(foodsOf(text, 'finish')).toEqual(['butter'])
    expect(foodsOf(text, 'pan')).toEqual([])
  })

  it('is butter that a step tosses them in: it is counted, and said to be in no line', () => {
    const text = `Leek ravioli\n\n${list}\n${work} Boil 4 minutes. Toss in 40 g melted butter.`
    const [line] = read(text)
      .parts.filter(({ kind }) => kind === 'finish')
      .flatMap(({ lines }) => lines)
    expect([line?.foodId, line?.grams]).toEqual(['butter', 40])
    expect(line?.notes.map(({ text: says }) => says).join()).toContain('no line lists')
  })

  it('is a sauce that is laid between sheets', () => {
    const text =
      'Tray pie\n\n10 sheets yufka\n\nFilling\n400 g leeks\n200 g feta\n\nSauce\n2 eggs\n200 ml milk\n\nMix the filling. Lay 5 sheets in an oiled tray, with some of the sauce on each, spread the filling, then the other sheets with sauce. Bake at 180C for 40 minutes.'
    expect(foodsOf(text, 'finish')).toEqual(['egg', 'milk'])
    expect(foodsOf(text, 'filling')).toEqual(['leek', 'feta'])
  })
})

describe('what a sentence means by a food', () => {
  const ways = (lines: string, method: string) =>
    Object.fromEntries(
      read(`Pockets\nMakes 10\n\nDough\n300 g flour\n160 ml water\n\nFilling\n${lines}\n\nMethod\n${method}`)
        .parts.filter(({ kind }) => kind === 'filling')
        .flatMap((part) => part.lines.map((line) => [line.foodId, line.cookedBy ?? part.cookedBy])),
    )

  it('is the chestnuts and not the chestnut mushrooms', () => {
    expect(
      ways(
        '400 g chestnut mushrooms\n180 g cooked chestnuts\n1 tbsp oil',
        'Fry the mushrooms in the oil for 10 minutes. Blitz the chestnuts, mix with the mushrooms. Fill, seal.',
      ),
    ).toMatchObject({ mushroom: 'fry', chestnuts: 'raw' })
  })

  it('is the pepper that is a vegetable and not the spice', () => {
    const cooked = ways(
      '500 g cottage cheese\n1 onion\n1 red pepper\n2 tbsp oil\nsalt\npepper',
      'Sauté the onion and pepper in the oil for 8 minutes. Mix with the cheese. Fill, seal.',
    )
    expect(cooked['red-pepper']).toBe('fry')
    expect(cooked['black-pepper']).not.toBe('fry')
  })

  it('is the mince, whatever it was minced of', () => {
    expect(
      ways(
        '400 g ground turkey\n1 onion\n300 g ricotta',
        'Brown the mince and the onion 8 minutes. Cool, mix with the ricotta. Fill, seal.',
      ),
    ).toMatchObject({ 'minced-turkey': 'fry', ricotta: 'raw' })
  })

  it('is no flour that is called after it', () => {
    const own = read(
      'Pasties\n\nPastry\n200 g wholemeal flour\n100 g barley flour\n120 g butter\n50 ml water\n\nFilling\n100 g pearl barley\n200 g feta\n\nMethod\nBoil the barley for 30 minutes, drain. Mix with the feta. Cut 6 rounds, fill, fold, crimp. Bake at 190C for 30 minutes.',
    )
    const barley = own.parts.find(({ kind }) => kind === 'filling')!
    expect(barley.lines[0]!.cookedBy ?? barley.cookedBy).toBe('simmer')
    expect(own.cooking.andThen).toBeNull()
  })
})

describe('how long what goes in is cooked', () => {
  const filling = (lines: string, method: string) =>
    read(
      `Pockets\nMakes 10\n\nDough\n300 g flour\n160 ml water\n\nFilling\n${lines}\n\nMethod\n${method} Fill, seal. Bake at 200C for 20 minutes.`,
    ).parts.find(({ kind }) => kind === 'filling')!

  it('counts no hour after which something is added', () => {
    const part = filling(
      '400 g beef, diced\n200 ml coconut milk\n1 potato',
      'Simmer the beef in the coconut milk for 1 1/2 hours, add the potato after 1 hour.',
    )
    expect([part.cookedBy, part.cookedMinutes]).toEqual(['simmer', 90])
  })

  it('goes on when the lid comes off', () => {
    const part = filling(
      '600 g pork belly\n2 tbsp hoisin',
      'Roast the pork and hoisin at 160C for 2 hours covered, then 30 minutes uncovered.',
    )
    expect([part.cookedBy, part.cookedMinutes]).toEqual(['roast', 150])
  })

  it('leaves the minutes of what was boiled apart where they were spent', () => {
    const part = filling(
      '150 g brown lentils\n200 g bacon, diced\n2 onions',
      'Cook the lentils 25 minutes, drain. Fry the bacon and onions until golden, mix with the lentils.',
    )
    expect(part.lines[0]!.cookedBy).toBe('simmer')
    expect([part.cookedBy, part.cookedMinutes]).toEqual(['fry', null])
  })
})
