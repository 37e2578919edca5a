import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const DOUGH = 'Dough\n300 g flour\n150 g water'
const FILLING = 'Filling\n300 g spinach\n150 g feta'

/** A recipe of which nothing but what is given says how many pieces there are. */
const counted = (parts: { title?: string; rows?: string; dough?: string; filling?: string; steps: string }) =>
  readRecipe(
    [
      parts.title ?? 'Cheese pockets',
      parts.rows ?? '',
      parts.dough ?? DOUGH,
      parts.filling ?? FILLING,
      `Method\n${parts.steps}`,
    ].join('\n\n'),
    foods,
  ).recipe
const BAKE = 'Fold and seal. Bake at 200 °C for 20 minutes.'

describe('what says how many pieces there are', () => {
  it.each([
    ['a promise', { rows: 'Makes 14', steps: BAKE }, 14, true],
    ['so many each for so many', { rows: 'Serves 4, 3 per person', steps: BAKE }, 12, true],
    [
      'two fillings that count their own',
      {
        filling: 'Spinach filling (for 6)\n200 g spinach\n\nCheese filling (makes 4)\n150 g feta',
        steps: BAKE,
      },
      10,
      true,
    ],
    ['how the dough is divided', { steps: `Divide into 9 balls, roll and fill. ${BAKE}` }, 9, true],
    [
      'halves of what it is divided into',
      { steps: `Divide into 5 balls, roll, cut each in half. Fill. ${BAKE}` },
      10,
      true,
    ],
    ['balls by weight', { steps: `Make balls of 45 g, roll and fill. ${BAKE}` }, 10, true],
    ['balls by a word', { steps: `Make golf-ball-sized balls, roll and fill. ${BAKE}` }, 10, true],
    [
      'wrappers that the larder lacks',
      { dough: 'Dough\n21 cassava skins', steps: `Fill the skins. ${BAKE}` },
      21,
      true,
    ],
    ['wrappers that it has', { dough: 'Dough\n24 dumpling wrappers', steps: `Fill. ${BAKE}` }, 24, false],
    [
      'breads cut in half',
      { dough: 'Dough\n3 pitta breads', steps: `Halve the pittas, open up and fill. ${BAKE}` },
      6,
      true,
    ],
    [
      'sheets of which two are a parcel',
      { dough: 'Dough\n12 sheets filo', steps: `Brush 2 sheets, fill, wrap up. Repeat. ${BAKE}` },
      6,
      true,
    ],
    [
      'rounds from each sheet',
      {
        dough: 'Dough\n3 sheets shortcrust pastry',
        steps: `Cut 4 circles from each sheet, fill. ${BAKE}`,
      },
      12,
      true,
    ],
  ] as const)('%s', (_, parts, pieces, stated) => {
    expect(counted(parts)).toMatchObject({ pieces, piecesStated: stated })
  })

  it('slices are what one pie is cut into', () => {
    expect(
      counted({
        title: 'Spinach pie',
        rows: 'For 8 slices',
        steps: 'Line a tin with half the dough, fill, put on a lid. Bake at 190 °C for 40 minutes.',
      }),
    ).toMatchObject({ pieces: 1, servings: 8 })
  })

  it('the most specific is believed, and the others are told', () => {
    const { pieces, notes } = counted({ rows: 'Makes 12', steps: `Divide into 17 balls and fill. ${BAKE}` })
    expect(pieces).toBe(12)
    expect(notes.find(({ code }) => code === 'pieces-differ')?.text).toContain('17')
  })

  it('a dough in two sheets, and balls of nearly the weight, contradict nobody', () => {
    for (const steps of [
      `Divide the dough in two. Roll each half out and cut rounds. ${BAKE}`,
      `Make balls of 36 g, roll and fill. ${BAKE}`,
    ])
      expect(counted({ rows: 'Makes 12', steps }).notes.map(({ code }) => code)).not.toContain(
        'pieces-differ',
      )
  })
})

describe('how much dough a piece has where only its size is told', () => {
  it('a square has all of its corners, a round has not', () => {
    const of = (form: string) => counted({ steps: `Roll 2 mm thick. Cut 6 cm ${form}, fill. ${BAKE}` }).pieces
    expect(of('rounds') / of('squares')).toBeCloseTo(4 / Math.PI, 1)
  })

  it('small squares are many', () => {
    const { pieces, notes } = counted({
      title: 'Manti',
      steps: 'Roll thin, cut into 3 cm squares. Fill, pinch the four corners together. Boil 8 minutes.',
    })
    expect(pieces).toBeGreaterThan(150)
    expect(notes.find(({ code }) => code === 'pieces-assumed')?.level).toBe('check')
  })
})

describe('logs that are cut', () => {
  const SHARES: readonly (readonly [string, number])[] = [
    ['Divide the dough in 2.', 2],
    ['Halve the dough.', 2],
    ['Make 4 balls.', 4],
    ['Work with half the dough at a time.', 2],
  ]
  const CUTS: readonly (readonly [string, number])[] = [
    ['Cut each roll into 6.', 6],
    ['Cut into 2 inch pieces, about 6 from each roll.', 6],
    ['Cut - 6 from each roll.', 6],
    ['Cut each into 5 cm pieces (6 per roll).', 6],
    ['Chop with the side of your hand, 5 per log.', 5],
    ['Cut off 2 inch lengths - you get 7 from each.', 7],
    ['Cut, 8 to a roll.', 8],
  ]
  const ROLL = 'Roll each piece out thin, lay the filling along the edge and roll up.'
  it.each(SHARES)('%s', (share, logs) => {
    for (const [cut, each] of CUTS)
      expect(counted({ steps: `${share} ${ROLL} ${cut} Bake at 190 °C for 40 minutes.` }).pieces, cut).toBe(
        logs * each,
      )
  })

  it('are cut in the sentence that rolls them', () => {
    const steps =
      'Divide in 2. Roll each out, fill along one side, roll up like a strudel and cut into 8 pieces.'
    expect(counted({ steps: `${steps} Bake at 190 °C for 40 minutes.` }).pieces).toBe(16)
  })

  it('are work where balls are made', () => {
    expect(counted({ steps: `Make 4 balls. Roll, fill. ${BAKE}` }).method[0]).toMatch(/^Make 4 balls/)
  })
})
