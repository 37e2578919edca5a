import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { scaleRecipe } from '../recipe/scale'
import { costOf, type Price, type PriceBook } from './costOf'

const price = (foodId: string, cost: number, packGrams: number): [string, Price] => [
  foodId,
  { foodId, price: cost, packGrams, note: 'market', date: '2026-11-24' },
]
const book: PriceBook = new Map([
  price('plain-flour', 1.5, 1000),
  price('cheddar', 4, 400),
  price('sunflower-oil', 3, 1000),
])
const pies = recipeOf(
  {
    shell: [
      ['plain-flour', 400],
      ['water', 200],
    ],
    filling: [['cheddar', 200]],
  },
  { pieces: 8, servings: 4 },
)
const cost = (recipe = pies, prices = book) =>
  costOf(recipe, evaluate(recipe, reference).working.lines, foods, prices)

describe('cost', () => {
  it('is reckoned by hand: 400 g at 1.50 a kilo and 200 g at 4.00 for 400 g', () => {
    expect(cost().batch).toBeCloseTo(0.6 + 2, 9)
    expect(cost().perPiece).toBeCloseTo(2.6 / 8, 9)
    expect(cost().perServing).toBeCloseTo(2.6 / 4, 9)
    expect(cost().unknown).toEqual([])
  })

  it('is "at least" without a price, naming the food; tap water is free', () => {
    const some = cost(pies, new Map([price('plain-flour', 1.5, 1000)]))
    expect(some.batch).toBeCloseTo(0.6, 9)
    expect(some.unknown).toEqual(['Cheddar'])
    expect(some.lines.map((line) => line.name)).not.toContain('Water')
  })

  it('counts a line without a weight or a food as unknown', () => {
    const open = structuredClone(pies)
    open.parts[0]!.lines[0]!.grams = null
    open.parts[1]!.lines[0]!.foodId = null
    expect(cost(open).unknown).toHaveLength(2)
    expect(cost(open).batch).toBe(0)
  })

  it('charges frying oil as far as it is taken up, and a wash in full', () => {
    const fried = recipeOf(
      { shell: [['plain-flour', 300]], pan: [['sunflower-oil', 1000]] },
      { way: 'deep-fry', usualLeft: true },
    )
    const evaluation = evaluate(fried, reference)
    const oil = evaluation.parts.find((part) => part.kind === 'pan')!.grams
    expect(cost(fried).batch).toBeCloseTo(0.3 * 1.5 + (oil / 1000) * 3, 9)
  })

  it('scales with the batch and stays the same for a piece', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 20, noNaN: true }), (factor) => {
        const scaled = scaleRecipe(pies, factor)
        const evaluated = costOf(scaled, evaluate(scaled, reference).working.lines, foods, book)
        expect(evaluated.batch / cost().batch).toBeCloseTo(factor, 3)
      }),
      { numRuns: 30 },
    )
  })
})
