import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods, recipeOf } from '../../test/helpers'
import { newLine } from '../recipe/document'
import { FOOD_GROUPS } from '../food/groups'
import type { Price } from '../cost/costOf'
import { shoppingList, type ShoppingItem } from './list'
import { SECTIONS, sectionOf } from './sections'
import { takenBy } from './stock'

const pies = recipeOf({
  shell: [
    ['plain-flour', 500],
    ['butter', 200],
    ['water', 100],
  ],
  filling: [
    ['onion', 300],
    ['butter', 50],
  ],
})
const NONE = { stock: [], prices: new Map<string, Price>(), today: null }
const price = (foodId: string, packGrams: number, cost: number): [string, Price] => [
  foodId,
  { foodId, price: cost, packGrams, note: '', date: '2026-11-01' },
]
const itemsOf = (list: ReturnType<typeof shoppingList>) => list.sections.flatMap((one) => one.items)
const item = (list: ReturnType<typeof shoppingList>, id: string): ShoppingItem =>
  itemsOf(list).find((one) => one.foodId === id)!

describe('the shopping list', () => {
  it('adds up what several recipes and parts take, and leaves the tap out', () => {
    const list = shoppingList([{ recipe: pies, times: 2 }], foods, NONE)
    expect(item(list, 'butter').neededGrams).toBe(500)
    expect(item(list, 'plain-flour').buyGrams).toBe(1000)
    expect(item(list, 'water')).toBe(undefined)
  })

  it('buys what the larder lacks, in packs of the price book, and says what each leaves', () => {
    const list = shoppingList([{ recipe: pies, times: 1 }], foods, {
      stock: [
        { foodId: 'plain-flour', grams: 800, keepsUntil: null, note: '' },
        { foodId: 'butter', grams: 60, keepsUntil: '2026-12-24', note: '' },
      ],
      prices: new Map([price('butter', 125, 1.5)]),
      today: '2026-11-26',
    })
    expect(list.have.map(({ foodId }) => foodId)).toEqual(['plain-flour'])
    expect(item(list, 'butter')).toMatchObject({
      haveGrams: 60,
      buyGrams: 190,
      packs: { number: 2, grams: 125, cost: 3, leftGrams: 60 },
    })
    expect(list.cost).toBe(3)
    expect(list.withoutPrice).toEqual(['Onion'])
  })

  it('does not count on what keeps no longer than the dinner', () => {
    const old = shoppingList([{ recipe: pies, times: 1 }], foods, {
      ...NONE,
      stock: [{ foodId: 'butter', grams: 500, keepsUntil: '2026-11-25', note: '' }],
      today: '2026-11-26',
    })
    expect(item(old, 'butter')).toMatchObject({ haveGrams: 0, buyGrams: 250, old: true })
  })

  it('keeps alternatives and what is only for who has it apart, and what is unclear as it is written', () => {
    const [shell, filling] = pies.parts
    const recipe = {
      ...pies,
      parts: [
        shell!,
        {
          ...filling!,
          lines: [
            {
              ...filling!.lines[0]!,
              choices: [{ ...newLine({}), raw: '300 g leeks', name: 'leeks', grams: 300, handling: '' }],
            },
            newLine({ id: 'x1', raw: 'a handful of something', name: 'something' }),
            newLine({ id: 'x2', raw: 'nutmeg', name: 'nutmeg', optional: true, foodId: 'nutmeg', grams: 1 }),
          ],
        },
      ],
    }
    const list = shoppingList([{ recipe, times: 1 }], foods, NONE)
    expect(item(list, 'onion').or).toEqual(['300 g leeks'])
    expect(list.unclear.map(({ text }) => text)).toEqual(['a handful of something'])
    expect(list.onlyIfYouHave.map(({ name }) => name)).toEqual(['nutmeg'])
    expect(item(list, 'plain-flour').allergens).toEqual(['Cereals containing gluten'])
  })

  it('of every demo recipe buys what it takes, to the gram, and more only for peel', () => {
    for (const { recipe } of demo) {
      const list = shoppingList([{ recipe, times: 1 }], foods, NONE)
      for (const { foodId, grams } of takenBy([{ recipe, times: 1 }], foods))
        expect(item(list, foodId).buyGrams, foodId).toBeCloseTo(
          grams / Math.min(1, foods.get(foodId)!.unitGrams.edible ?? 1),
          6,
        )
    }
  })

  it('knows where every group of foods is found', () => {
    for (const group of FOOD_GROUPS) expect(SECTIONS).toContain(sectionOf({ group }))
    expect(sectionOf({ group: 'of a measured table' })).toBe('Somewhere else')
  })
})
