import { describe, expect, it } from 'vitest'
import { food, foods, reference } from '../../test/helpers'
import rows from '../../data/states.csv'
import { yieldOf } from '../cooking/cookingTables'
import { withStates } from './states'

const reckoned = [...foods.values()].filter(
  (one) => one.source.startsWith('reckoned from') && !one.homemade && one.figuresOf,
)
const dryOf = (one: { per100g: { waterG: number } }) => 100 - one.per100g.waterG

describe('states that are reckoned', () => {
  it('are there for every kind of food that is sold in several', () => {
    expect(reckoned.length).toBeGreaterThan(150)
    for (const id of [
      'chickpeas-canned',
      'white-fish-cooked',
      'mushroom-dried',
      'brown-rice-cooked',
      'pigeon-peas-cooked',
    ])
      expect(foods.has(id), id).toBe(true)
  })

  it('keep what is dry: nothing but water and the fat that runs out is lost or taken up', () => {
    for (const one of reckoned) {
      const from = food(one.figuresOf!)
      const factor = from.per100g.carbohydrateG + from.per100g.proteinG
      const kept = one.per100g.carbohydrateG + one.per100g.proteinG
      if (factor < 1) continue
      // Protein and carbohydrate of what one gram became are those of the gram.
      const gramsOfOne = factor / kept
      expect(from.per100g.proteinG / gramsOfOne, one.id).toBeCloseTo(one.per100g.proteinG, 6)
      expect(from.per100g.fibreG / gramsOfOne, one.id).toBeCloseTo(one.per100g.fibreG, 6)
      expect(one.per100g.fatG * gramsOfOne, one.id).toBeLessThanOrEqual(from.per100g.fatG + 1e-6)
      // What it weighs more or less than before is water, and the fat that ran out.
      const waterAfter = one.per100g.waterG * gramsOfOne
      const fatOut = from.per100g.fatG - one.per100g.fatG * gramsOfOne
      expect(waterAfter - from.per100g.waterG, one.id).toBeCloseTo(100 * (gramsOfOne - 1) + fatOut, 4)
      expect(one.per100g.waterG, one.id).toBeGreaterThanOrEqual(0)
      expect(one.per100g.waterG, one.id).toBeLessThan(100)
    }
  })

  it('hold what they are made of: no allergen comes or goes', () => {
    for (const one of reckoned) {
      const from = food(one.figuresOf!)
      expect(one.allergens, one.id).toEqual(from.allergens)
      expect(one.origins, one.id).toEqual(from.origins)
    }
  })

  // USDA SR Legacy, from memory, rows that this table does not hold: protein, fat and water in 100 g.
  it.each([
    ['white-fish-cooked', 22.8, 0.9, 76],
    ['turkey-cooked', 29, 3.5, 66],
    ['brown-rice-cooked', 2.6, 0.9, 70],
    ['pigeon-peas-cooked', 6.8, 0.4, 68.5],
    ['kale-cooked', 2.9, 1.2, 89],
    ['broccoli-cooked', 2.4, 0.4, 89],
    ['carrot-cooked', 0.8, 0.2, 90],
    ['minced-lamb-cooked', 24.8, 19.7, 55],
    ['minced-pork-cooked', 25.7, 20.8, 53],
  ])('%s is near the measured food', (id, proteinG, fatG, waterG) => {
    const { per100g } = food(id)
    expect(Math.abs(per100g.proteinG - proteinG)).toBeLessThan(Math.max(2.6, proteinG * 0.15))
    expect(Math.abs(per100g.fatG - fatG)).toBeLessThan(Math.max(1.5, fatG * 0.3))
    expect(Math.abs(per100g.waterG - waterG)).toBeLessThan(8)
  })

  it('brine leaves salt: drained cans hold 200 to 280 mg of sodium', () => {
    for (const id of ['chickpeas-canned', 'kidney-beans-canned', 'lentils-canned']) {
      expect(food(id).per100g.sodiumMg, id).toBeGreaterThanOrEqual(200)
      expect(food(id).per100g.sodiumMg, id).toBeLessThanOrEqual(280)
    }
  })

  it('cooked once, a food does not lose its water again', () => {
    const raw = yieldOf(food('chicken'), 'simmer', reference.cooking)!
    const cooked = yieldOf(food('cooked-chicken'), 'simmer', reference.cooking)!
    expect(raw.factor).toBeLessThan(0.8)
    expect(cooked.factor).toBe(1)
    expect(yieldOf(food('turkey-cooked'), 'fry', reference.cooking)!.factor).toBeGreaterThan(0.9)
  })

  it('dried foods are drier than what they come from', () => {
    for (const one of reckoned.filter((made) => made.state === 'dried'))
      expect(dryOf(one), one.id).toBeGreaterThan(dryOf(food(one.figuresOf!)))
  })

  it.each([
    [{ ...rows[0]!, from: 'rawish' }, /rawish/],
    [{ ...rows[0]!, factor: '0', to_water_g: '' }, /factor/],
    [{ ...rows[0]!, fat_kept: '2' }, /fat_kept/],
    [{ ...rows[0]!, applies: 'group:moons' }, /no food is turned/],
  ])('name what is wrong in a row', (bad, message) => {
    expect(() => withStates(foods, [bad], reference.cooking)).toThrow(message)
  })
})
