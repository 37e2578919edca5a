import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { seeded } from '../../test/seeded'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import { NUTRIENTS } from '../food/nutrients'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { readRecipe } from '../reading/readRecipe'

const read = (text: string) => readRecipe(text, foods).recipe
const cups = read(
  'Pies\nMakes 8, serves 4\nDough\n2 cups plain flour\n120 ml water\n100 g butter\nFilling\n2 medium onions\n150 g cheddar\n2 to 4 tbsp olive oil',
)
const weighed = recipeOf(
  {
    shell: [
      ['plain-flour', 250],
      ['water', 120],
      ['butter', 100],
    ],
    filling: [
      ['onion', 220],
      ['cheddar', 150],
      ['olive-oil', 40],
    ],
  },
  { pieces: 8, servings: 4 },
)

/** Energies of a piece when every weight is drawn evenly between its ends and every food varies normally. */
function monteCarlo(recipe: Recipe, runs: number): number[] {
  const next = seeded(7)
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
  const { working } = evaluate(recipe, reference)
  const lines = new Map(allLines(recipe).map(({ line }) => [line.id, line]))
  const OFF = { scale: 0.02, about: 0.1, volume: 0.1, count: 0.2 } as const
  return Array.from({ length: runs }, () => {
    let kcal = 0
    for (const one of working.lines) {
      const line = lines.get(one.lineId)!
      const share = OFF[line.measuredBy]
      const low = Math.min(line.gramsLow ?? line.grams!, line.grams! * (1 - share))
      const high = Math.max(line.gramsHigh ?? line.grams!, line.grams! * (1 + share))
      const grams = (low + (high - low) * next()) / line.grams!
      // The band is centred on the stated weight; the draw is moved to the same centre.
      const centred = grams - (low + high) / 2 / line.grams! + 1
      kcal += one.nutrients.energyKcal * centred * (1 + 0.08 * normal())
    }
    return kcal / recipe.pieces
  }).sort((a, b) => a - b)
}

describe('the likely band', () => {
  it.each([
    ['weighed', weighed],
    ['in cups and counts', cups],
  ])('agrees with a Monte Carlo run of 20,000 batches, %s', (_, recipe) => {
    const { low, high } = evaluate(recipe, reference).spread.perPiece.energyKcal
    const drawn = monteCarlo(recipe, 20_000)
    const width = high - low
    expect(Math.abs(low - drawn[1000]!)).toBeLessThan(width * 0.06)
    expect(Math.abs(high - drawn[19_000]!)).toBeLessThan(width * 0.06)
  })

  it('holds the figure, for every nutrient', () => {
    const { perPiece, spread } = evaluate(cups, reference)
    for (const key of NUTRIENTS) {
      expect(spread.perPiece[key].low).toBeLessThanOrEqual(perPiece[key] + 1e-9)
      expect(spread.perPiece[key].high).toBeGreaterThanOrEqual(perPiece[key] - 1e-9)
      expect(spread.perPiece[key].low).toBeGreaterThanOrEqual(0)
    }
  })

  it('is narrower for weighed lines than for cups, spoons and counts', () => {
    const width = (recipe: Recipe) => {
      const { low, high } = evaluate(recipe, reference).spread.perPiece.energyKcal
      return (high - low) / (high + low)
    }
    expect(width(weighed)).toBeLessThan(width(cups))
  })

  it('names the measurement that would narrow it most', () => {
    const fried = read(
      'Pockets\nMakes 8\nDough\n200 g flour\n110 g water\nFilling\n100 g spinach\nTo fry\n1 litre sunflower oil\nMethod\nDeep-fry at 175 °C.',
    )
    expect(evaluate(fried, reference).spread.narrow?.advice).toBe('weigh the oil before and after')
    fried.parts.find((part) => part.kind === 'pan')!.lines[0]!.eatenGrams = 30
    expect(evaluate(fried, reference).spread.narrow?.advice ?? '').not.toMatch(/oil before/)
    const spoons = read(
      'Pies\nMakes 8\nDough\n200 g flour\n100 g water\nFilling\n300 g leeks\n4 to 12 tbsp olive oil',
    )
    expect(evaluate(spoons, reference).spread.narrow).toMatchObject({
      name: 'Olive oil',
      advice: 'weigh the olive oil',
    })
  })

  it('stays as wide when a cup of something is swapped for as much of another', () => {
    const milk = readRecipe('Dough\n500 g flour\n1 cup milk\n\nFilling\n300 g spinach', foods).recipe
    const line = allLines(milk).find(
      ({ line: one }) => one.foodId === 'whole-milk' || /milk/.test(one.raw),
    )!.line
    expect(line.measuredBy).toBe('volume')
    const made = adapt(milk, ['vegan'], reference).recipe
    expect(allLines(made).find(({ line: one }) => one.id === line.id)!.line).toMatchObject({
      measuredBy: 'volume',
      cameFrom: { foodId: line.foodId },
    })
  })
})
