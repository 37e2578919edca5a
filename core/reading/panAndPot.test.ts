import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const read = (list: string, steps: string, head = 'Potato parathas\nMakes 8') =>
  readRecipe(
    `${head}\n\nDough\n240 g atta\n150 ml water\n\nFilling\n400 g potatoes\n1 tsp salt\n${list}\n\nMethod\n${steps}`,
    foods,
  ).recipe
const pan = (list: string, steps: string, head?: string) =>
  read(list, steps, head).parts.find(({ kind }) => kind === 'pan')?.lines ?? []
const SHAPED = 'Knead, divide into 8, fill, close and roll out.'

describe('the fat of the pan', () => {
  it('is what a pan of 24 cm holds, where the depth of the oil is told, in the step or on its line', () => {
    // 450 cm² of pan, 0.92 g to a millilitre: 414 g for a centimetre, told to ten grams.
    expect(pan('', `${SHAPED} Shallow fry in 1 cm oil, 3 minutes a side.`)[0]!.grams).toBe(410)
    expect(pan('', `${SHAPED} Shallow fry in 2 cm oil, 3 minutes a side.`)[0]!.grams).toBe(830)
    const onLine = read(
      '\nTo fry\nOil for shallow frying (2 cm in pan)',
      `${SHAPED} Shallow fry 3 minutes a side.`,
    )
    expect(onLine.parts.find(({ kind }) => kind === 'pan')!.lines[0]!.grams).toBe(830)
  })

  it('is the lard that the step names', () => {
    const [line] = pan('', `${SHAPED} Fry in 1/2 inch hot lard in an iron skillet, 3 minutes a side.`)
    expect(line!.foodId).toBe('lard')
  })

  it('is each one’s own, where each is turned and gets a spoon again', () => {
    const [line] = pan(
      '',
      `${SHAPED} Cook on a hot tawa, half teaspoon ghee, flip, half teaspoon ghee on the other side, 3 minutes in all.`,
    )
    // Two halves of a teaspoon of 4.3 g for each of eight (the larder's row of ghee, from memory).
    expect([line!.foodId, Math.round(line!.grams!)]).toEqual(['ghee', 34])
  })

  it('is so much for each dozen', () => {
    const [line] = pan(
      '',
      'Knead, roll, cut 36 rounds, fill, fold and seal. Boil 3 minutes. Then fry them in butter (2 tablespoons per dozen).',
      'Dumplings\nMakes 36',
    )
    // Six tablespoons of 14.2 g (the larder's row of butter, from memory).
    expect(line!.grams).toBeCloseTo(85.2, 1)
  })

  it('is none, where a dry tawa is used and butter brushed on what is done', () => {
    const recipe = read(
      '\nTopping\nbutter',
      `${SHAPED} Cook on a hot tawa 2 minutes a side. Brush with butter.`,
    )
    expect(recipe.parts.map(({ kind }) => kind)).toEqual(['shell', 'filling', 'finish'])
    // Never nothing in silence: the cook is told what was taken.
    expect(recipe.parts.at(-1)!.lines[0]!.notes.map(({ code }) => code)).toContain('pan-fat')
  })

  it('is a film on the hands, where that is what the oil is for', () => {
    const [line] = pan('\noil for your hands', `${SHAPED} Cook on a hot griddle 4 minutes a side.`)
    expect(line!.grams).toBe(10)
  })

  it('is the oil and the water that the method pours on', () => {
    const lines = pan(
      '\nTo cook: oil, water',
      `${SHAPED} Skillet with 2 tbsp oil, fry 2 min. Add 1/2 cup water, lid, 7 min.`,
      'Potstickers\nMakes 32',
    )
    expect(lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)])).toEqual([
      ['sunflower-oil', 27],
      ['water', 120],
    ])
  })
})

describe('the way and the minutes', () => {
  const cook = (steps: string, head = 'Cheese pies\nMakes 8') => {
    const { way, temperatureC, minutes, andThen } = read('', `${SHAPED} ${steps}`, head).cooking
    return `${way} ${temperatureC ?? '-'} ${minutes ?? '-'}${andThen ? ` then ${andThen.way} ${andThen.temperatureC ?? '-'} ${andThen.minutes ?? '-'}` : ''}`
  }
  it.each([
    ['Bake 230C for 13 min. Drop in a yolk, back in the oven 2 min.', 'bake 230 15'],
    ['Preheat oven 375F. Bake 20-22 mins. (Air fryer: 325, 12 mins)', 'bake 190 21'],
    [
      'Roast on a hot tava with ghee on both sides until brown spots appear, around 2 minutes.',
      'griddle - 2',
    ],
    ['Cook on a hot tava, 2 minutes on both sides.', 'griddle - 4'],
    ['Slap on a hot tawa. Cover & cook 2 min, then turn the tawa over the flame 1 min.', 'griddle - 3'],
    [
      'Heat 1 tbsp oil in a large skillet over medium heat. Fry each 2 to 3 minutes per side.',
      'shallow-fry - 5',
    ],
    ['Fry in 1/2 inch hot lard in an iron skillet till brown on both sides, 3 min each.', 'shallow-fry - 6'],
    [
      'Fry flat side down 2 minutes. Pour in water, cover, 4 mins. Uncover and let the water boil off.',
      'brown-and-steam - 6',
    ],
    [
      'Toast in a lightly oiled pan 3 mins per side, then 3 tbsp water, lid, 5 mins steam.',
      'brown-and-steam - 11',
    ],
    ['220 C 15 min, 160 C 40 min.', 'bake 220 15 then bake 160 40'],
    ['Oven + stone max (250+) for 45 min. 8-10 min.', 'bake 250 9'],
    ['Choose: steam 8 min / boil 4 min / pan fry 3 min.', 'steam - 8'],
  ])('%s', (steps, said) => {
    expect(cook(steps)).toBe(said)
  })
})

describe('what is in the pot', () => {
  const ways = (list: string, steps: string) => {
    const filling = readRecipe(
      `Pockets\nMakes 8\n\nDough\n250 g flour\n130 ml water\n\nFilling\n${list}\n\nMethod\n${steps} Fill, fold and seal. Bake 200C 20 min.`,
      foods,
    ).recipe.parts.find(({ kind }) => kind === 'filling')!
    return [
      `${filling.cookedBy ?? 'raw'} ${filling.cookedMinutes ?? '-'}`,
      ...filling.lines.flatMap(({ foodId, cookedBy }) => (cookedBy ? [`${foodId} ${cookedBy}`] : [])),
    ]
  }

  it('leaves raw what goes into the processor with it', () => {
    expect(
      ways(
        '1 tbsp oil\n400 g mushrooms\n100 g cooked chestnuts\n1 tbsp soy sauce',
        'Fry the mushrooms in the oil 10 min. Tip into a food processor with the chestnuts and soy sauce and pulse.',
      ),
    ).toEqual(['fry 10', 'chestnuts raw', 'soy-sauce raw'])
  })

  it('leaves raw what is stirred in last, when it cools', () => {
    expect(
      ways(
        '1 tbsp oil\n400 g minced turkey\n50 g peas\n40 g chutney',
        'Fry the turkey in the oil 10 min. Stir through the peas and chutney, set aside to cool.',
      ),
    ).toEqual(['fry 10', 'peas raw', 'chutney raw'])
    expect(
      ways(
        '1 tbsp oil\n400 g mushrooms\n100 g cooked lentils',
        'Fry the mushrooms in the oil 10 min. Stir in the lentils. Season and cool.',
      ),
    ).toEqual(['fry 10', 'lentils-cooked raw'])
  })

  it('goes on cooking what is stirred in and cooked', () => {
    expect(
      ways(
        '1 tbsp oil\n400 g mushrooms\n1 tbsp tomato paste',
        'Fry the mushrooms in the oil 10 min. Stir in the tomato paste, cook 2 more minutes, take off the heat.',
      ),
    ).toEqual(['fry 12'])
  })

  it('fries the paste that was ground', () => {
    expect(
      ways(
        '300 g peas\n2 green chillies\n2 tbsp oil',
        'Grind the peas with the chillies to a smooth paste. Heat the oil, then the paste, cook 11 min on low.',
      ),
    ).toEqual(['fry 11'])
  })

  it('simmers under water that nobody lists', () => {
    expect(
      ways(
        '300 g prunes\n50 g sugar',
        'Cover the prunes with water and cook low until soft, 20 minutes. Add the sugar.',
      )[0],
    ).toBe('simmer 20')
  })

  it('counts the minutes behind a bracket', () => {
    expect(ways('200 g potatoes', 'Boil the potatoes till just done (holds shape) 15 min.')[0]).toBe(
      'simmer 15',
    )
  })

  it('fries in oil that was heated in a sentence of its own', () => {
    expect(ways('400 g cabbage\n1 onion\n1 tbsp oil', 'Heat oil. Add cabbage, onion, saute 4 min.')).toEqual([
      'fry 4',
    ])
  })
})
