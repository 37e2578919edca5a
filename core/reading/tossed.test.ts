import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { Part } from '../recipe/document'
import { readRecipe } from './readRecipe'

const DOUGH = 'Dough\n300 g flour\n160 ml water\n1 tsp salt\n'
const partsOf = (filling: string, method: string, more = ''): readonly Part[] =>
  readRecipe(`Dumplings\nMakes 20\n\n${DOUGH}\nFilling\n${filling}\n\n${more}Method\n${method}`, foods).recipe
    .parts
/** Grams of a food in the parts of a kind; null where it is not there. */
const gramsIn = (parts: readonly Part[], kind: Part['kind'], id: string): number | null => {
  const found = parts
    .filter((part) => part.kind === kind && part.into === null)
    .flatMap(({ lines }) => lines)
    .filter(({ foodId }) => foodId === id)
  return found.length ? found.reduce((sum, { grams }) => sum + (grams ?? 0), 0) : null
}
const ROLL = 'Roll the dough, cut 20 rounds, fill and seal. Boil for 4 minutes.'

describe('what the method puts half in and half over', () => {
  const FILLING = '500 g potatoes\n200 g onions\n60 g butter\n150 g curd cheese'
  it.each([
    ['add half to the potatoes', 0.5],
    ['stir most of it into the potatoes', 0.75],
    ['mix a third of it with the potatoes', 1 / 3],
  ])('"%s": that share fills, and the rest is on top', (said, share) => {
    const parts = partsOf(
      FILLING,
      `Boil the potatoes 20 minutes and mash. Fry the onions in the butter 10 minutes, ${said} with the cheese. ${ROLL} Top with the rest of the onions and butter.`,
    )
    expect(gramsIn(parts, 'filling', 'onion')).toBeCloseTo(200 * share, 0)
    expect(gramsIn(parts, 'finish', 'onion')).toBeCloseTo(200 * (1 - share), 0)
    expect(gramsIn(parts, 'finish', 'butter')).toBeCloseTo(60 * (1 - share), 0)
    expect(gramsIn(parts, 'filling', 'potato')).toBe(500)
  })

  it('stays where it is when the method keeps nothing back, or serves with something else', () => {
    for (const end of ['', 'Top with the rest of the sour cream.']) {
      const parts = partsOf(
        FILLING,
        `Boil the potatoes 20 minutes and mash. Fry the onions in the butter 10 minutes, add half to the potatoes, then the other half. ${ROLL} ${end}`,
      )
      expect(gramsIn(parts, 'filling', 'onion')).toBe(200)
      expect(gramsIn(parts, 'finish', 'onion')).toBeNull()
    }
  })

  it('asks the cook to look it over', () => {
    const parts = partsOf(
      FILLING,
      `Boil the potatoes and mash. Fry the onions in the butter, add half to the potatoes. ${ROLL} Serve with the remaining onions.`,
    )
    const onions = parts.flatMap(({ lines }) => lines).filter(({ foodId }) => foodId === 'onion')
    expect(onions).toHaveLength(2)
    for (const line of onions)
      expect(line.notes.some(({ code, level }) => code === 'divided' && level === 'check')).toBe(true)
  })
})

describe('what ends a filling and goes over the pieces', () => {
  it('is the crumbs that are browned in butter, though the sugar in the fruit has the same name', () => {
    const parts = partsOf(
      '12 plums\n12 tsp sugar\n80 g butter\n100 g breadcrumbs\n2 tbsp sugar',
      'Stone the plums and put a spoon of sugar into each. Divide the dough in 12, wrap the plums. Boil for 12 minutes. Brown the breadcrumbs in the butter with the sugar.',
    )
    expect(gramsIn(parts, 'finish', 'breadcrumbs')).toBe(100)
    expect(gramsIn(parts, 'finish', 'butter')).toBe(80)
    expect(gramsIn(parts, 'finish', 'sugar')).toBeCloseTo(25, 0)
    expect(gramsIn(parts, 'filling', 'sugar')).toBeCloseTo(50.4, 0)
  })
})

describe('a sauce under a heading of its own', () => {
  const SAUCE = 'Sauce\n200 g passata\n1 clove garlic\n\n'
  const inside = (method: string) =>
    partsOf('250 g mozzarella\n150 g ham', method, SAUCE).find(({ name }) => name === 'Sauce')!

  it('is made for the filling when it is put in before the piece is closed', () => {
    const sauce = inside(
      'Divide in 10, flatten, 1 tbsp sauce, some ham and mozzarella, fold, seal. Bake at 220C for 15 minutes.',
    )
    expect(sauce.kind).toBe('filling')
    expect(sauce.into).not.toBeNull()
  })

  it.each([
    'Divide in 10, flatten, fill with ham and mozzarella, fold, seal. Bake at 220C for 15 minutes. Serve with the sauce.',
    'Simmer the sauce 10 minutes. Divide in 10, fill, fold, seal. Bake at 220C for 15 minutes.',
  ])('stands beside the dish otherwise: %s', (method) => {
    const sauce = inside(method)
    expect(sauce.kind).toBe('dip')
    expect(sauce.into).toBeNull()
  })
})

describe('what is brushed on and stands in no list', () => {
  const brushed = (said: string, id: string) =>
    gramsIn(
      partsOf('300 g leeks\n100 g cheddar', `Roll, cut 20 rounds, fill and seal. ${said}`),
      'finish',
      id,
    )
  // Of what is not measured, small pieces take 2 g each.
  it.each([
    ['Brush with 2 tbsp milk, bake at 200C for 20 minutes (about 45 g each).', 'milk', 30.6],
    ['Bake at 200C for 20 minutes. Butter on top when hot (20 g).', 'butter', 20],
    ['Brush with milk, bake 20 minutes at 200C (250 g of pieces a tray).', 'milk', 40],
  ])('%s', (said, id, grams) => {
    expect(brushed(said, id)).toBeCloseTo(grams, 0)
  })
})
