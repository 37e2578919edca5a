import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import { NUTRIENTS } from '../food/nutrients'
import { bodyOfPiece, surfaceCm2 } from '../piece/geometry'
import { COOKING_WAYS } from '../recipe/vocabulary'
import { PRECOOKING_WAYS } from '../recipe/precookingWays'

const sum = (rows: { grams: number }[]) => rows.reduce((total, row) => total + row.grams, 0)
const unbalanced = ({ asEaten: { balance } }: Evaluation) =>
  balance.madeGrams + sum(balance.gained) - balance.eatenGrams - sum(balance.left) - sum(balance.lost)

const fried = recipeOf(
  {
    shell: [
      ['plain-flour', 300],
      ['water', 160],
    ],
    filling: [['potato', 400]],
    finish: [['egg', 50]],
    pan: [['sunflower-oil', 1000]],
    dip: [['yogurt', 100]],
  },
  { pieces: 10, way: 'deep-fry' },
)

describe('as eaten', () => {
  it('takes a tenth off a fried piece and leaves the oil in the pan', () => {
    const { asEaten, perPiece } = evaluate(fried, reference)
    const taken = 10 * 0.045 * surfaceCm2(bodyOfPiece(fried.shape, 46, 40))
    expect(asEaten.balance.lost[0]?.grams).toBeCloseTo(86, 9)
    expect(asEaten.balance.left).toMatchObject([{ what: 'left in the pan: Sunflower oil' }])
    expect(asEaten.balance.left[0]?.grams).toBeCloseTo(1000 - taken, 6)
    expect(asEaten.gramsPerPiece).toBeCloseTo((300 + 160 + 400 + 50 + 100 + taken - 86) / 10, 6)
    // The same nutrients in less weight.
    expect(asEaten.per100g.energyKcal).toBeCloseTo((perPiece.energyKcal / asEaten.gramsPerPiece) * 100, 6)
  })

  it('lets a boiled or steamed piece gain weight', () => {
    for (const way of ['boil', 'steam'] as const) {
      const { asEaten, perPiece } = evaluate(
        recipeOf(
          {
            shell: [
              ['plain-flour', 300],
              ['water', 150],
            ],
            filling: [['quark', 300]],
          },
          { way },
        ),
        reference,
      )
      expect(asEaten.gramsPerPiece).toBeGreaterThan(perPiece.grams)
      expect(asEaten.balance.gained).toHaveLength(1)
    }
  })

  it('believes a cooked piece that was weighed', () => {
    const weighed = { ...fried, cooking: { ...fried.cooking, cookedGramsPerPiece: 80 } }
    const { asEaten } = evaluate(weighed, reference)
    expect(asEaten.gramsPerPiece).toBe(80)
    expect(asEaten.balance.lost[0]?.why).toBe('a cooked piece was weighed')
    expect(Math.abs(unbalanced(evaluate(weighed, reference)))).toBeLessThan(1e-6)
  })

  it('names the wash that stayed in the bowl', () => {
    const half = structuredClone(fried)
    half.parts.find((part) => part.kind === 'finish')!.lines[0]!.eatenGrams = 20
    const { asEaten, parts } = evaluate(half, reference)
    expect(
      asEaten.balance.left.find((row) => row.what === 'left in the bowl: Egg, whole')?.grams,
    ).toBeCloseTo(30, 9)
    expect(parts.find((part) => part.kind === 'finish')?.grams).toBeCloseTo(20, 9)
  })

  it('balances to the gram, whatever is in the recipe and however it is cooked', () => {
    const lines = fc.array(
      fc.tuple(fc.constantFrom(...foods.keys()), fc.double({ min: 0, max: 2000, noNaN: true })),
      { maxLength: 6 },
    )
    fc.assert(
      fc.property(
        lines,
        lines,
        lines,
        lines,
        lines,
        fc.constantFrom(...COOKING_WAYS),
        fc.constantFrom(null, ...PRECOOKING_WAYS),
        fc.option(fc.double({ min: 1, max: 3000, noNaN: true })),
        fc.option(fc.double({ min: 0, max: 3000, noNaN: true })),
        (shell, filling, marinade, finish, pan, way, cookedBy, finishedGrams, leftGrams) => {
          const recipe = recipeOf(
            { shell: [['plain-flour', 100], ...shell], filling, marinade, finish, pan },
            { way, usualLeft: true },
          )
          const part = recipe.parts.find((one) => one.kind === 'filling')!
          Object.assign(part, { cookedBy, finishedGrams, leftGrams })
          const evaluation = evaluate(recipe, reference)
          expect(Math.abs(unbalanced(evaluation))).toBeLessThan(0.006 * 40)
          expect(evaluation.asEaten.balance.eatenGrams).toBeGreaterThan(0)
          for (const key of NUTRIENTS) expect(Number.isFinite(evaluation.asEaten.per100g[key])).toBe(true)
        },
      ),
      { numRuns: 150 },
    )
  })
})
