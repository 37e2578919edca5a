import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const FILLING = '400 g spinach\n200 g feta\n1 egg'
const counted = (line: string, work: string) =>
  readRecipe(
    `Spinach pockets\n\n${line}\n\n${FILLING}\n\nMix the filling. ${work}. Bake at 190C for 25 minutes.`,
    foods,
  ).recipe

/** How so many sheets are written down. */
const SHEETS: readonly ((sheets: number) => string)[] = [
  (sheets) => `${sheets} sheets filo`,
  (sheets) => `1 pack filo pastry (${sheets} sheets)`,
  (sheets) => `1 packet yufka (about ${sheets} sheets)`,
  (sheets) => `Filo pastry - ${sheets} sheets`,
  (sheets) => `270 g filo (${sheets} sheets)`,
]
/** How each is cut, and in how many. */
const CUTS: readonly [work: string, perSheet: number][] = [
  ['Cut each sheet in 4 squares, fill, fold over', 4],
  ['Brush each sheet with oil, cut in 8 triangles, put a spoon of filling at the wide end and roll', 8],
  ['Cut each into 6. Fill and fold over', 6],
  ['Cut the sheets in half. Fill and roll up', 2],
  ['Quarter the sheets. Fill and fold', 4],
  ['Take a sheet, cut it into 3 strips. Fill, fold up. Repeat with the rest', 3],
  ['Cut every sheet into four, fill and fold', 4],
  ['Put some filling on each sheet, fold in the sides and roll up', 1],
]
/** Two sheets on one another. */
const LAYERED: readonly [work: string, perPair: number][] = [
  [
    'Brush a sheet with butter, lay another on top, cut into 4 strips. Fill and fold. Repeat with the rest',
    4,
  ],
  ['Take 2 sheets, brush with butter, cut into 3 strips, fill and fold up. Repeat', 3],
  ['Stack two sheets and cut into six squares. Fill, gather up. Repeat with the remaining sheets', 6],
  ['Use 2 sheets per parcel, brush with oil, fill and wrap', 1],
  ['Cut each sheet in half, lay one on top of the other, butter between, fill and gather', 2],
]

describe('pieces from sheets', () => {
  it('are as many as the sheets times what each is cut into', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom(...SHEETS),
        fc.constantFrom(...CUTS),
        (sheets, line, [work, perSheet]) => {
          expect(counted(line(sheets), work).pieces).toBe(sheets * perSheet)
        },
      ),
      { numRuns: 60 },
    )
  })

  it.each(LAYERED)('%s: from every two', (work, perPair) => {
    for (const sheets of [4, 6, 12])
      expect(counted(`${sheets} sheets filo`, work).pieces).toBe((sheets / 2) * perPair)
  })

  it('are what the text promises, whatever the sheets give', () => {
    const { pieces, notes } = counted(
      '6 sheets filo',
      'Makes 20. Cut each sheet in 4 squares, fill, fold over',
    )
    expect(pieces).toBe(20)
    expect(notes.find(({ code }) => code === 'pieces-differ')?.text).toContain('24')
  })

  it('are not counted where all sheets lie in one tray', () => {
    const { pieces } = counted(
      '10 sheets yufka',
      'Oil a tray. Lay 5 sheets, spread the filling, then the other sheets. Cut into 20 squares',
    )
    expect(pieces).toBe(20)
  })

  it('are not multiplied by what is cut once they are baked', () => {
    const { pieces } = readRecipe(
      `Cheese rolls\n\n2 sheets puff pastry\n\n200 g feta\n1 egg\n\nPut the cheese on each sheet and roll up. Bake at 200C for 25 minutes. Cut each into 4 to serve.`,
      foods,
    ).recipe
    expect(pieces).toBe(2)
  })
})

describe('what a packet of wrappers holds', () => {
  it.each([
    ['1 packet gyoza wrappers (about 40)', 40],
    ['1 pkt wonton skins, about 50', 50],
    ['1 packet of dumpling wrappers (36 pieces)', 36],
    ['dumpling wrappers (you need about 40)', 40],
    ['1 x 40 pack wonton wrappers', 40],
    ['2 packs gyoza wrappers (30 each)', 60],
  ])('%s', (line, many) => {
    const { pieces, parts } = counted(line, 'Put a teaspoon of filling in each wrapper, fold over')
    expect(pieces).toBe(many)
    const wrapper = parts[0]!.lines[0]!
    // A wrapper weighs 8 to 9 g (typical label, from memory).
    expect(wrapper.grams! / many).toBeGreaterThanOrEqual(8)
    expect(wrapper.grams! / many).toBeLessThanOrEqual(9)
  })
})
