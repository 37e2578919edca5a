import { describe, expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import rows from '../../data/foods.csv'
import { foodsFromRows } from './food'
import { MICRONUTRIENT_KEYS } from './micronutrients'
import { normaliseName } from '../reading/match'

const all = [...foods.values()]
/** Rows with figures of their own; what is reckoned from them is held to laws further down. */
const stated = all.filter((food) => food.figuresOf === null)
const each = stated.map((food) => [food.id, food] as const)

describe('the food table', () => {
  it('holds at least 650 foods with figures of their own', () => {
    expect(stated.length).toBeGreaterThanOrEqual(650)
  })

  // Ash is not a column; salt is most of it where it matters. Spices, leavening and seaweed are ash-rich.
  const ASH_RICH = new Set(['spice', 'leavening', 'salt', 'seasoning', 'gum'])
  it.each(each)('%s adds up to about 100 g', (_, food) => {
    const c = food.per100g
    const sum = c.waterG + c.proteinG + c.fatG + c.carbohydrateG + c.alcoholG + (c.sodiumMg * 2.54) / 1000
    const low = food.id === 'msg' ? 30 : ASH_RICH.has(food.group) || food.state === 'dried' ? 59 : 93
    expect(sum).toBeGreaterThan(low)
    if (food.id !== 'msg') expect(sum).toBeLessThan(102.5)
  })

  it.each(each)('%s has its parts within their wholes', (_, food) => {
    const c = food.per100g
    expect(c.saturatedFatG).toBeLessThanOrEqual(c.fatG + 0.01)
    // Sugars and fibre are measured apart from carbohydrate, which is a difference: small overlaps are in the source.
    expect(c.sugarsG + c.fibreG + c.polyolsG).toBeLessThanOrEqual(c.carbohydrateG * 1.05 + 0.6)
  })

  // Published energies use factors of their own for spices, pulses, fruit and fibre-rich foods; either general
  // factors with fibre at 4 (Atwater) or at 2 (EU) must come near.
  const OWN_FACTORS = new Set(['spice', 'leavening', 'seasoning', 'gum', 'fibre', 'mushroom', 'stock-cube'])
  const KNOWN = new Set([
    'vinegar',
    'seaweed-nori',
    'soy-protein-isolate',
    'nigella',
    'lemon-zest',
    'amchur',
    // Vinegars hold acetic acid, which no column has; soy sprouts and allulose have factors of their own.
    'malt-vinegar',
    'balsamic-vinegar',
    'soy-sprouts',
    'allulose',
    'oat-bran',
  ])
  it.each(each.filter(([id, food]) => !OWN_FACTORS.has(food.group) && !KNOWN.has(id)))(
    '%s has the energy its parts make',
    (_, food) => {
      const c = food.per100g
      const polyols = c.polyolsG * (food.id === 'erythritol' ? 4 : 1.6)
      const general = 4 * c.proteinG + 9 * c.fatG + 4 * c.carbohydrateG + 7 * c.alcoholG - polyols
      const off = Math.min(
        Math.abs(general - food.statedEnergyKcal),
        Math.abs(food.energyKcal - food.statedEnergyKcal),
      )
      expect(off).toBeLessThanOrEqual(Math.max(14, food.statedEnergyKcal * 0.12))
    },
  )

  it.each(each)('%s names its source, a density and sane spoons', (_, food) => {
    expect(food.source).toMatch(/from memory|published|practice|reckoned|measured/)
    expect(food.gramsPerMl).toBeGreaterThan(0.05)
    expect(food.gramsPerMl).toBeLessThan(1.6)
    const { tsp, tbsp, cup } = food.unitGrams
    if (tsp && tbsp) expect(tbsp / tsp).toBeGreaterThan(2)
    if (tsp && tbsp) expect(tbsp / tsp).toBeLessThan(4)
    if (tbsp && cup) expect(cup / tbsp).toBeGreaterThan(7)
    if (tbsp && cup) expect(cup / tbsp).toBeLessThan(26)
  })

  it('gives every name to one food', () => {
    const owner = new Map<string, string>()
    for (const food of all) {
      for (const name of food.synonyms) {
        const key = normaliseName(name)
        expect(owner.get(key) ?? food.id, `"${name}" of ${food.id}`).toBe(food.id)
        owner.set(key, food.id)
      }
    }
  })

  it('marks as animal every food whose allergen comes from an animal', () => {
    const from = { egg: 'egg', milk: 'dairy', fish: 'fish', crustaceans: 'fish', molluscs: 'fish' } as const
    for (const food of all) {
      for (const [allergen, origin] of Object.entries(from)) {
        if (food.allergens.includes(allergen as keyof typeof from))
          expect(food.origins, food.id).toContain(origin)
        if (food.possibleAllergens.includes(allergen as keyof typeof from)) {
          expect([...food.possibleOrigins, ...food.origins], food.id).toContain(origin)
        }
      }
    }
  })

  // Minerals and vitamins taken from another food show: nothing but the same food has four of them alike.
  const SAME_FOOD = [
    'oat-flour gf-oat-flour',
    'rolled-oats gf-oats',
    'ground-almonds almonds',
    'wonton-wrapper egg-roll-wrapper',
    'butter unsalted-butter',
    'semi-skimmed-milk lactose-free-milk',
    'ground-flax flax-flour',
    'flax-flour flaxseed',
    'red-lentils-dry red-lentil-flour',
    'split-mung-dry moong-flour',
    'split-mung-dry mung-dry',
    'moong-flour mung-dry',
    'urad-dal-dry urad-flour',
    'quinoa-flour quinoa-dry',
    'chives garlic-chives',
    'salt kosher-salt',
    'salt-pork back-fat',
  ]
  it('takes the minerals and vitamins of a row from the food of that row', () => {
    const alike = stated.flatMap((one, at) =>
      stated.slice(at + 1).flatMap((other) => {
        if (one.kind === other.kind) return []
        const same = MICRONUTRIENT_KEYS.filter(
          (key) =>
            (one.micronutrients[key] ?? 0) > 0 && one.micronutrients[key] === other.micronutrients[key],
        )
        return same.length >= 4 ? [`${one.id} ${other.id}`] : []
      }),
    )
    expect(alike.filter((pair) => !SAME_FOOD.includes(pair))).toEqual([])
  })

  it('gives every flour a water demand', () => {
    for (const food of all) {
      if (
        ['flour', 'starch', 'gluten', 'protein-powder'].includes(food.group) &&
        /flour|starch|gluten|protein/.test(food.id)
      ) {
        expect(food.waterDemand, food.id).toBeGreaterThan(0)
      }
    }
  })
})

describe('foodsFromRows', () => {
  const row = rows[0]!
  it.each([
    [{ ...row, protein_g: '' }, /protein_g/],
    [{ ...row, fat_g: '-1' }, /fat_g/],
    [{ ...row, allergens: 'glutn' }, /glutn/],
    [{ ...row, origin: 'bird' }, /bird/],
    [{ ...row, unit_weights: 'cup=' }, /cup=/],
    [{ ...row, source: '' }, /source/],
  ])('names what is wrong in a row', (bad, message) => {
    expect(() => foodsFromRows([bad])).toThrow(message)
  })
  it('refuses a row that stands there twice', () => {
    expect(() => foodsFromRows([row, row])).toThrow(/twice/)
  })
})

it('has diets and swaps beside it', () => {
  expect(reference.diets.map((diet) => diet.id)).toContain('vegan')
  expect(reference.swaps.length).toBeGreaterThan(60)
})
