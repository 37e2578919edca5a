import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

// Fillings put together from what they are of, what is fried beside it and what is stirred in, each cooked in many ways
// and told in many words: every line has to have been cooked the way that was told.

interface Main {
  line: string
  id: string
  called: readonly string[]
  cooked: readonly Way[]
}
type Way = 'fried' | 'stewed' | 'raw' | 'boiled' | 'roasted' | 'blanched' | 'wilted' | 'salted'
/** What a filling is told to be done with, and the ways of its main food, of what is fried beside it and of the rest. */
interface Told {
  says: (main: string, beside: string, rest: string) => string
  ways: readonly [RegExp, RegExp, RegExp]
}

const MAINS: readonly Main[] = [
  {
    line: '400 g minced beef',
    id: 'minced-beef',
    called: ['the mince', 'the meat'],
    cooked: ['fried', 'stewed', 'raw'],
  },
  {
    line: '400 g chicken breast',
    id: 'chicken-breast',
    called: ['the chicken'],
    cooked: ['fried', 'stewed', 'roasted'],
  },
  {
    line: '300 g mushrooms',
    id: 'mushroom',
    called: ['the chopped mushrooms'],
    cooked: ['fried', 'roasted'],
  },
  { line: '500 g potatoes', id: 'potato', called: ['the potatoes'], cooked: ['boiled', 'roasted'] },
  {
    line: '400 g white cabbage',
    id: 'cabbage',
    called: ['the shredded cabbage'],
    cooked: ['fried', 'blanched', 'salted'],
  },
  { line: '300 g spinach', id: 'spinach', called: ['the spinach'], cooked: ['wilted', 'blanched'] },
  { line: '300 g firm tofu', id: 'firm-tofu', called: ['the tofu'], cooked: ['fried', 'raw'] },
]
const BESIDE = [
  { line: '1 onion', id: 'onion', called: 'the chopped onion' },
  { line: '2 leeks', id: 'leek', called: 'the leeks' },
] as const
const REST = [
  { line: '80 g feta', id: 'feta', called: 'the feta' },
  { line: '2 tbsp parsley', id: 'parsley', called: 'the parsley' },
] as const

const FRY = /^fry$/
const RAW = /^(?:raw|none)$/
const WET = /^(?:simmer|boil)$/
const DRY_HEAT = /^(?:roast|bake)$/
const TOLD: Readonly<Record<Way, readonly Told[]>> = {
  fried: [
    {
      says: (main, beside, rest) =>
        `Fry ${beside} in the oil for 5 minutes, add ${main} and the cumin and cook for 8 minutes. Take off the heat and stir in ${rest}.`,
      ways: [FRY, FRY, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Fry ${main} in the oil over a high heat for 6 minutes, set aside. In the same pan fry ${beside} for 5 minutes. Combine both with the cumin and ${rest}.`,
      ways: [FRY, FRY, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Heat oil in a pan, add ${beside}, cook 5 min, add ${main}, cook 8 min, add cumin, cool, add ${rest}.`,
      ways: [FRY, FRY, RAW],
    },
  ],
  stewed: [
    {
      says: (main, beside, rest) =>
        `Soften ${beside} in oil, add ${main} and cumin, pour in the stock, cover and cook gently for 25 minutes. Leave to go cold, add ${rest}.`,
      ways: [WET, WET, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Fry ${beside} in the oil. Add ${main} and stock, cook covered for 20 minutes until soft and dry. Cool and stir in ${rest}.`,
      ways: [WET, WET, RAW],
    },
  ],
  raw: [
    {
      says: (main, beside, rest) => `Put ${main}, ${beside}, cumin, oil and ${rest} in a bowl and mix well.`,
      ways: [RAW, RAW, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Soften ${beside} in the oil, 5 minutes. When cold, mix into the raw filling: ${main}, cumin and ${rest}.`,
      ways: [RAW, FRY, RAW],
    },
  ],
  boiled: [
    {
      says: (main, beside, rest) =>
        `Boil ${main} for 20 minutes, drain and mash. Fry ${beside} in the oil for 5 minutes with the cumin. Mix together with ${rest}.`,
      ways: [WET, FRY, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Simmer ${main} in plenty of water for 20 minutes, drain. Stir in ${beside} (raw), the cumin, the oil and ${rest}.`,
      ways: [WET, RAW, RAW],
    },
  ],
  roasted: [
    {
      says: (main, beside, rest) =>
        `Roast ${main} with the oil at 200C for 25 minutes. Cool and mix with ${beside}, the cumin and ${rest}.`,
      ways: [DRY_HEAT, RAW, RAW],
    },
    {
      says: (main, beside, rest) =>
        `Put ${main} on a tray with ${beside}, drizzle with the oil, sprinkle over the cumin and roast for 25 minutes at 200C. Leave to cool and stir in ${rest}.`,
      ways: [DRY_HEAT, DRY_HEAT, RAW],
    },
  ],
  blanched: [
    {
      says: (main, beside, rest) =>
        `Blanch ${main} for 2 minutes, drain, squeeze dry and chop. Mix with ${beside}, the cumin, the oil and ${rest}.`,
      ways: [WET, RAW, RAW],
    },
  ],
  wilted: [
    {
      says: (main, beside, rest) =>
        `Fry ${beside} in the oil for 5 minutes, add ${main} and cook until wilted, 3 minutes. Squeeze out the liquid, add the cumin and ${rest}.`,
      ways: [FRY, FRY, RAW],
    },
  ],
  salted: [
    {
      says: (main, beside, rest) =>
        `Sprinkle ${main} with salt, leave 20 minutes and squeeze out the water. Mix with ${beside}, the cumin, the oil and ${rest}.`,
      ways: [RAW, RAW, RAW],
    },
  ],
}

describe('fillings put together', () => {
  for (const main of MAINS)
    for (const cooked of main.cooked)
      it.each(TOLD[cooked])(`${main.id} ${cooked} %#`, ({ says, ways }) => {
        for (const called of main.called)
          for (const beside of BESIDE)
            for (const rest of REST) {
              const work = says(called, beside.called, rest.called)
              const stock = cooked === 'stewed' ? '200 ml stock\n' : ''
              const { parts, cooking } = readRecipe(
                `Pockets\nMakes 10\n\nDough\n300 g flour\n160 ml water\n1 tsp salt\n\nFilling\n${main.line}\n${beside.line}\n1 tbsp oil\n1 tsp cumin\n${stock}${rest.line}\n\nMethod\nMix the dough and rest 30 minutes. ${work} Divide the dough into 10, roll out, fill, fold over and seal. Bake at 200C for 20 minutes.`,
                foods,
              ).recipe
              const fillings = parts.filter(({ kind }) => kind === 'filling')
              expect(fillings, work).toHaveLength(1)
              const wayOf = (id: string) =>
                fillings[0]!.lines.find(({ foodId }) => foodId === id)?.cookedBy ??
                fillings[0]!.cookedBy ??
                'none'
              expect(wayOf(main.id), work).toMatch(ways[0])
              expect(wayOf(beside.id), work).toMatch(ways[1])
              expect(wayOf(rest.id), work).toMatch(ways[2])
              // What is done to the filling is no cooking of the pieces.
              expect(`${cooking.way} ${cooking.minutes} ${cooking.andThen?.way ?? ''}`.trim(), work).toBe(
                'bake 20',
              )
            }
      })
})
