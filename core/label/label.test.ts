import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { roundEu, roundUs } from './rounding'
import { euEnergyKj, labelOf, usCalories } from './label'
import { zeroFigures } from '../nutrition/figures'

describe('EU rounding (Commission guidance of December 2012, table 4, from memory)', () => {
  it.each([
    ['energy', 261.4, 'kcal', '261 kcal'],
    ['energy', 0.4, 'kJ', '0 kJ'],
    ['macro', 24.5, 'g', '25 g'],
    ['macro', 10, 'g', '10 g'],
    ['macro', 9.96, 'g', '10.0 g'],
    ['macro', 6.34, 'g', '6.3 g'],
    ['macro', 0.51, 'g', '0.5 g'],
    ['macro', 0.5, 'g', '< 0.5 g'],
    ['macro', 0, 'g', '0 g'],
    ['saturates', 0.11, 'g', '0.1 g'],
    ['saturates', 0.1, 'g', '< 0.1 g'],
    ['saturates', 11.6, 'g', '12 g'],
    ['salt', 1.26, 'g', '1.3 g'],
    ['salt', 0.904, 'g', '0.90 g'],
    ['salt', 0.0126, 'g', '0.01 g'],
    ['salt', 0.0125, 'g', '< 0.01 g'],
    ['salt', 0, 'g', '0 g'],
  ] as const)('%s %d %s is %s', (kind, value, unit, text) => {
    expect(roundEu(kind, value, unit).text).toBe(text)
  })
})

describe('US rounding (21 CFR 101.9(c), from memory)', () => {
  it.each([
    ['calories', 4.9, '0 kcal'],
    ['calories', 47, '45 kcal'],
    ['calories', 50, '50 kcal'],
    ['calories', 53, '50 kcal'],
    ['calories', 267, '270 kcal'],
    ['fat', 0.49, '0 g'],
    ['fat', 0.6, '0.5 g'],
    ['fat', 2.8, '3 g'],
    ['fat', 4.7, '4.5 g'],
    ['fat', 5.4, '5 g'],
    ['carbohydrate', 0.49, '0 g'],
    ['carbohydrate', 0.7, '< 1 g'],
    ['carbohydrate', 23.6, '24 g'],
    ['sodium', 4, '0 mg'],
    ['sodium', 138, '140 mg'],
    ['sodium', 143, '140 mg'],
    ['sodium', 396, '400 mg'],
  ] as const)('%s %d is %s', (kind, value, text) => {
    expect(roundUs(kind, value).text).toBe(text)
  })
})

it('never writes a figure far from the one it rounds', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 500, noNaN: true }), (value) => {
      expect(Math.abs(roundEu('macro', value, 'g').value - value)).toBeLessThanOrEqual(0.5)
      expect(Math.abs(roundUs('fat', value).value - value)).toBeLessThanOrEqual(0.5)
      expect(Math.abs(roundUs('calories', value).value - value)).toBeLessThanOrEqual(5)
    }),
  )
})

describe('energy by either convention', () => {
  const figures = { ...zeroFigures(), proteinG: 10, fatG: 5, carbohydrateG: 40, fibreG: 6, polyolsG: 4 }
  it('uses the EU kJ factors: 30 × 17 + 6 × 8 + 4 × 10 + 10 × 17 + 5 × 37', () => {
    expect(euEnergyKj({ ...figures, energyKcal: 30 * 4 + 6 * 2 + 4 * 2.4 + 10 * 4 + 5 * 9 })).toBeCloseTo(
      510 + 48 + 40 + 170 + 185,
      9,
    )
  })
  it('uses 4, 4 and 9 on total carbohydrate in the US: 40 + 160 + 45', () => {
    expect(usCalories(figures)).toBe(245)
  })
})

describe('the card', () => {
  const recipe = recipeOf(
    {
      shell: [
        ['plain-flour', 500],
        ['water', 250],
        ['butter', 100],
      ],
      filling: [
        ['leek', 600],
        ['butter', 20],
      ],
      pan: [['sunflower-oil', 1000]],
    },
    { pieces: 12, servings: 6, way: 'deep-fry' },
  )
  const evaluation = evaluate(recipe, reference)
  const eu = labelOf(recipe, evaluation, foods, 'eu')
  const us = labelOf(recipe, evaluation, foods, 'us')

  it('lists ingredients by weight, the same food once, frying oil as far as it is eaten', () => {
    expect(eu.ingredients.map((one) => one.name)).toEqual([
      'Leek',
      'Plain wheat flour',
      'Water',
      'Butter',
      'Sunflower oil',
    ])
    expect(eu.ingredients[3]?.grams).toBe(120)
    expect(eu.ingredients[4]!.grams).toBeLessThan(150)
    expect(eu.ingredients[1]?.allergens).toEqual(['Cereals containing gluten'])
  })

  it('declares carbohydrate without fibre in the EU and with it in the US, salt against sodium', () => {
    const value = (label: typeof eu, key: string) => label.rows.find((row) => row.key === key)?.per100g.value
    expect(value(eu, 'carbohydrateG')!).toBeLessThan(value(us, 'carbohydrateG')!)
    expect(value(eu, 'saltG')).toBeDefined()
    expect(value(us, 'sodiumMg')).toBeDefined()
    expect(value(us, 'saltG')).toBeUndefined()
  })

  it('gives the share of a day of a serving', () => {
    const row = eu.rows.find((one) => one.key === 'fatG')!
    expect(row.servingPct).toBe(Math.round((100 * evaluation.perServing.fatG) / 70))
    expect(us.rows.find((one) => one.key === 'sodiumMg')?.servingPct).toBe(
      Math.round((100 * evaluation.perServing.sodiumMg) / 2300),
    )
  })

  it('says that it is an estimate, and "at least" when a line is not counted', () => {
    expect(eu.basis).toMatch(/estimate for a home kitchen/)
    const open = structuredClone(recipe)
    open.parts[1]!.lines[0]!.grams = null
    expect(labelOf(open, evaluate(open, reference), foods, 'eu').basis).toMatch(/at least: Leek/)
  })
})
