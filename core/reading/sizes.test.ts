import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { FactKind } from '../recipe/vocabulary'
import { withDigits } from './readNumber'
import { readRecipe } from './readRecipe'
import { sizesNamed } from './sizes'
import { SIZES } from './sizeTable'
import { withPlainSizes } from './sizesSpelt'

describe('what a measure is of', () => {
  it.each(Object.entries(SIZES).map(([name, { says }]) => [says, name]))('%s: %s', (says, name) => {
    expect(sizesNamed(withPlainSizes(says)).map((one) => one.name)).toEqual([name])
  })
})

describe('lengths in one form', () => {
  it.each([
    ['a six-inch round', 'a 6 inch round'],
    ['half a centimetre thick', '1/2 cm thick'],
    ['an eighth of an inch thick', '1/8 inch thick'],
    ['a quarter-inch thick', '1/4 inch thick'],
    ['an inch and a half wide', '1 1/2 inch wide'],
    ['2 and a half inches', '2 1/2 inches'],
    ['inch-thick slices', '1 inch-thick slices'],
    ['12cm (5in) rounds', '12cm rounds'],
    ['5-inch (12 cm) circles', '5-inch circles'],
    ['10cm/4" rounds', '10cm rounds'],
    ['12 cm (5 inch round)', '12 cm (5 inch round)'],
    ['20 centimeters across', '20 cm across'],
    ['bake 12 in the tin', 'bake 12 in the tin'],
    ['cut in 2 half-inch slices', 'cut in 2 half-inch slices'],
  ])('%s', (said, plain) => {
    expect(withPlainSizes(withDigits(said))).toBe(plain)
    expect(withPlainSizes(plain)).toBe(plain)
  })
})

type Said = readonly [said: string, low: number, high?: number]
const LENGTHS: readonly Said[] = [
  ['12 cm', 12],
  ['12-centimetre', 12],
  ['5-inch', 12.7],
  ['5"', 12.7],
  ['12 to 13 cm', 12, 13],
  ['12cm (5in)', 12],
  ['about 12 cm', 12],
  ['six-inch', 15.24],
]
const THIN: readonly Said[] = [
  ['3 mm', 3],
  ['1/8-inch', 3.18],
  ['⅛ inch', 3.18],
  ['2-3 mm', 2, 3],
  ['half a centimetre', 5],
  ['a quarter inch', 6.35],
]
const WEIGHTS: readonly Said[] = [
  ['30 g', 30],
  ['25-30 grams', 25, 30],
  ['1 oz', 28.35],
]
const MINUTES: readonly Said[] = [
  ['30 minutes', 30],
  ["30'", 30],
  ['half an hour', 30],
  ['1-2 hours', 60, 120],
]
const ROLL = 'Divide into 10.'
/** What cooks say of each size, % standing for it, with what stands before it. */
const WAYS: readonly [FactKind, readonly Said[], string, string[]][] = [
  [
    'disc-cm',
    LENGTHS,
    ROLL,
    [
      'Roll each piece out to a % round.',
      'Roll each to a thin, even circle of %.',
      'Cut it into squares measuring % on each side.',
      'Roll each to a diameter of %.',
      'On a floured board roll each one to %.',
      'Press each out until it is % across.',
      'Roll each ball into a circle (%).',
    ],
  ],
  [
    'thickness-mm',
    THIN,
    ROLL,
    [
      'Roll the dough out % thick.',
      'Roll it thinly (%).',
      'Roll to no thicker than %.',
      'Roll to a thickness of % and cut rounds.',
      'Roll out as thin as you can, % is ideal.',
    ],
  ],
  [
    'cutter-cm',
    LENGTHS,
    ROLL,
    [
      'Stamp out with a % pastry cutter.',
      'Cut circles with a cutter about % across.',
      'Cut rounds with a glass, %.',
      'Cut out discs (% cutter).',
    ],
  ],
  [
    'ball-grams',
    WEIGHTS,
    '',
    [
      'Divide the dough into 10 pieces of %.',
      'Make 10 balls, each weighing %.',
      'Scale the dough at % (10 pieces).',
    ],
  ],
  [
    'filling-grams-per-piece',
    WEIGHTS,
    `${ROLL} Roll out.`,
    ['Put % of filling in each.', 'Divide the filling into % portions.', 'Fill each with % of the leek mix.'],
  ],
  ['rest-minutes', MINUTES, '', ['Put it aside, covered, for %. Divide into 10.', 'Rest %. Divide into 10.']],
]

describe('every size in every way of telling it', () => {
  it.each(
    WAYS.flatMap(([kind, sizes, before, ways]) =>
      ways.flatMap((way) => sizes.map((size) => [way.replace('%', size[0]), kind, before, size] as const)),
    ),
  )('%s: %s', (sentence, kind, before, [, low, high = low]) => {
    const { facts, pieces } = readRecipe(
      `Leek pockets\n\nDough\n300 g flour\n160 ml water\n1 tsp salt\n\nFilling\n300 g leeks\n1 onion\n100 g cheddar\n\nMethod\nMix the dough. ${before} ${sentence} Fill and seal. Bake at 200C for 20 minutes.`,
      foods,
    ).recipe
    expect(facts.map((fact) => [fact.kind, fact.low, fact.high])).toEqual([[kind, low, high]])
    expect(pieces).toBe(10)
  })
})
