import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

/** Grams of what is brushed on one piece, where no line lists it. */
const brushed = (pieces: number, with_: string, size = 1) => {
  const { recipe } = readRecipe(
    `Leek pasties\nMakes ${pieces}\n\nDough\n${300 * size} g flour\n${160 * size} ml water\n\nFilling\n${340 * size} g leeks\n\nMix, chill. Fill, fold, crimp. Brush with ${with_}. Bake at 200C for 30 minutes.`,
    foods,
  )
  const line = recipe.parts.find(({ kind }) => kind === 'finish')?.lines[0]
  expect(line?.notes.map(({ code }) => code)).toContain('unlisted')
  return (line?.grams ?? 0) / pieces
}

describe('what is brushed on and no line lists', () => {
  it('is a thinner film of oil than of egg', () => {
    expect(brushed(10, 'a little oil')).toBeLessThan(brushed(10, 'beaten egg'))
  })

  it('grows with the surface: eight times the piece has four times as much', () => {
    const small = brushed(10, 'beaten egg')
    expect(brushed(10, 'beaten egg', 8) / small).toBeCloseTo(4, 0)
  })

  it('is about an egg for twenty hand pies', () => {
    const grams = 20 * brushed(10, 'beaten egg')
    expect(grams).toBeGreaterThan(40)
    expect(grams).toBeLessThan(70)
  })
})
