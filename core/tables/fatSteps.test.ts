import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import steps from '../../data/fat-steps.csv'
import { COMPOSITION_KEYS } from '../food/composition'
import { withFatSteps } from './fatSteps'

describe('shares of fat between two rows', () => {
  it('lie half-way where the fat does: minced beef of 10 % between 5 and 15', () => {
    const [low, high, made] = ['lean-minced-beef', 'minced-beef', 'minced-beef-10-fat'].map((id) =>
      foods.get(id)!,
    )
    expect(made!.per100g.fatG).toBeCloseTo(10, 9)
    expect(made!.per100g.proteinG).toBeCloseTo((low!.per100g.proteinG + high!.per100g.proteinG) / 2, 9)
    expect(made!.per100g.waterG).toBeCloseTo((low!.per100g.waterG + high!.per100g.waterG) / 2, 9)
    // USDA SR Legacy, ground beef of 10 % fat, from memory: 20 g protein, 176 kcal.
    expect(Math.abs(made!.per100g.proteinG - 20)).toBeLessThan(0.5)
    expect(Math.abs(made!.energyKcal - 176)).toBeLessThan(8)
  })

  it('every one has the fat it names, and stays between its neighbours in everything', () => {
    const made = [...foods.values()].filter((food) => food.source.startsWith('reckoned between'))
    expect(made.length).toBeGreaterThan(50)
    for (const food of made) {
      expect(food.per100g.fatG, food.id).toBeCloseTo(Number(/([\d.]+) % fat/.exec(food.name)![1]), 9)
      const kin = [...foods.values()].filter(
        (one) => one.kind === food.kind && one.state === food.state && one.figuresOf === null,
      )
      for (const key of COMPOSITION_KEYS) {
        const values = kin.map((one) => one.per100g[key])
        expect(food.per100g[key], `${food.id} ${key}`).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9)
        expect(food.per100g[key], `${food.id} ${key}`).toBeLessThanOrEqual(Math.max(...values) + 1e-9)
      }
    }
  })

  it('keep the mass: all parts together weigh what their neighbours do', () => {
    const weight = (food: { per100g: Record<string, number> }) =>
      ['waterG', 'proteinG', 'fatG', 'carbohydrateG'].reduce((sum, key) => sum + food.per100g[key]!, 0)
    const [low, high] = ['lean-minced-pork', 'minced-pork'].map((id) => foods.get(id)!)
    fc.assert(
      fc.property(fc.constantFrom(5, 7, 8, 10, 12, 15, 18, 20), (fat) => {
        const own = weight(foods.get(`minced-pork-${fat}-fat`)! as never)
        const ends = [weight(low as never), weight(high as never)]
        expect(own).toBeGreaterThan(Math.min(...ends) - 1e-6)
        expect(own).toBeLessThan(Math.max(...ends) + 1e-6)
      }),
    )
  })

  it.each([
    [{ ...steps[0]!, kind: 'moon' }, /moon/],
    [{ ...steps[0]!, fats_g: '90' }, /90 g does not lie/],
    [{ ...steps[0]!, name: 'Beef' }, /\{fat\}/],
  ])('name what is wrong in a row', (bad, message) => {
    const bare = new Map([...foods].filter(([, food]) => food.figuresOf === null))
    expect(() => withFatSteps(bare, [bad])).toThrow(message)
  })
})
