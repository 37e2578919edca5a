import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods, reference } from '../../test/helpers'
import { surfaceTable } from '../../data/surfaceTable'
import { evaluate } from '../evaluation/evaluate'
import { pieceGrams } from '../evaluation/pieceGrams'
import { readRecipe } from '../reading/readRecipe'
import type { Recipe } from '../recipe/document'
import { heatPiece, type PieceToHeat } from './pieceHeat'

const heat = (recipe: Recipe, more: Partial<PieceToHeat> = {}) => {
  const { doughGrams, fillingGrams } = pieceGrams(evaluate(recipe, reference))
  return heatPiece(
    recipe,
    { doughGrams, fillingGrams, startC: 20, targetC: null, thickness: 1, warmerC: 0, ...more },
    reference,
    surfaceTable,
  )
}
const read = (text: string) => readRecipe(text, foods).recipe
const bun = (more = '') =>
  read(
    `Meat buns\nMakes 8\nDough\n300 g flour\n160 ml water\n5 g instant yeast\nFilling\n250 g minced pork\n60 g spring onions\nSteam 14 minutes${more}`,
  )

describe('the middle of a piece', () => {
  it('of every demo passes its limit within what the recipe cooks it, or within twice of it', () => {
    for (const { recipe } of demo) {
      const { minutesToTarget, band } = heat(recipe)
      const told = (recipe.cooking.minutes ?? 0) + (recipe.cooking.andThen?.minutes ?? 0)
      expect(minutesToTarget, recipe.title).toBeGreaterThan(0.5)
      expect(band.low!, recipe.title).toBeLessThanOrEqual(minutesToTarget!)
      if (band.high !== null) expect(band.high, recipe.title).toBeGreaterThanOrEqual(minutesToTarget!)
      if (told > 0) expect(band.low!, recipe.title).toBeLessThan(2 * told)
    }
  })

  it('follows the foods: poultry 74 °C, mince 71 °C, fish 63 °C, what is cooked already 74 °C', () => {
    expect(heat(bun()).targetC).toBe(71)
    expect(heat(bun()).limit?.source).toContain('FSIS')
    const of = (food: string) =>
      heat(
        read(
          `Pies\nMakes 8\nDough\n300 g flour\n160 g butter\n60 ml water\nFilling\n300 g ${food}\nBake 25 min at 190 C`,
        ),
      ).targetC
    expect([of('minced chicken'), of('salmon'), of('cooked lentils')]).toEqual([74, 63, 74])
  })

  it('takes longer from the fridge and much longer from frozen, longer in a cooler oven and when thicker', () => {
    const pie = read(
      'Pies\nMakes 8\nDough\n300 g flour\n160 g butter\n60 ml water\nFilling\n400 g minced beef\nBake 25 min at 190 C',
    )
    const minutes = (more: Partial<PieceToHeat>) => heat(pie, more).minutesToTarget!
    expect(minutes({ startC: 5 })).toBeGreaterThan(minutes({}))
    expect(minutes({ startC: -18 })).toBeGreaterThan(1.3 * minutes({ startC: 5 }))
    expect(minutes({ warmerC: -20 })).toBeGreaterThan(minutes({}))
    expect(minutes({ thickness: 1.2 })).toBeGreaterThan(1.15 * minutes({}))
  })

  it('lies between slab and ball, and says how it was reckoned', () => {
    for (const { recipe } of demo) {
      const { dimensions, layers, halfThicknessMm, working, profileC, energyKJ } = heat(recipe)
      expect(dimensions, recipe.title).toBeGreaterThanOrEqual(1)
      expect(dimensions, recipe.title).toBeLessThanOrEqual(3)
      expect(layers.reduce((sum, one) => sum + one.thicknessMm, 0)).toBeCloseTo(halfThicknessMm, 6)
      expect(working.join(' ')).toContain('Choi and Okos 1986')
      expect(profileC.at(-1)![1]).toBeGreaterThan(profileC[0]![1])
      expect(energyKJ).toBeGreaterThan(1)
    }
  })

  it('in steam never gets hotter than the steam; in an oven its crust does', () => {
    expect(Math.max(...heat(bun()).profileC.map(([, celsius]) => celsius))).toBeLessThanOrEqual(100)
    const fried = read(
      'Cones\nMakes 12\nDough\n250 g flour\n20 g oil\n110 ml water\nFilling\n300 g boiled potato\nDeep fry at 175 C for 5 minutes\n1 l oil for deep frying',
    )
    expect(Math.max(...heat(fried).profileC.map(([, celsius]) => celsius))).toBeGreaterThan(100)
  })

  it('with two cookings goes through both', () => {
    const two = read(
      'Dumplings\nMakes 20\nDough\n250 g flour\n125 ml water\nFilling\n250 g minced pork\nBoil 3 minutes, then fry 5 minutes in 2 tbsp oil',
    )
    expect(heat(two).stages).toHaveLength(2)
  })

  it('asks for a dough', () => {
    const none = read('Soup\nFilling\n200 g carrots')
    expect(() =>
      heatPiece(
        none,
        { doughGrams: 0, fillingGrams: 20, startC: 20, targetC: null, thickness: 1, warmerC: 0 },
        reference,
        surfaceTable,
      ),
    ).toThrow(/dough/)
  })
})
