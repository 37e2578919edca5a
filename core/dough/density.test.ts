import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { newLine } from '../recipe/document'
import { doughDensity } from './density'

const lines = (...amounts: [string, number][]) =>
  amounts.map(([id, grams]) => ({ food: foods.get(id)!, grams, waterChangeGrams: 0, line: newLine({}) }))

describe('density of a dough, from its formula', () => {
  it('is that of kneaded wheat dough: 1.1 to 1.2 (from memory of cereal science)', () => {
    const bread = doughDensity(lines(['plain-flour', 500], ['water', 300], ['salt', 9]))!
    expect(bread).toBeGreaterThan(1.1)
    expect(bread).toBeLessThan(1.22)
  })

  it('makes the discs of practice: 12 cm × 2.5 mm about 33 g, 9 cm × 2 mm about 15, 8 cm × 2 mm about 12', () => {
    const density = doughDensity(lines(['plain-flour', 500], ['water', 250]))!
    const grams = (cm: number, mm: number) => ((Math.PI / 4) * cm ** 2 * mm * density) / 10
    expect(grams(12, 2.5)).toBeCloseTo(33, -0.5)
    expect(Math.abs(grams(12, 2.5) - 33)).toBeLessThan(1.5)
    expect(Math.abs(grams(9, 2) - 15)).toBeLessThan(0.8)
    expect(Math.abs(grams(8, 2) - 12)).toBeLessThan(0.7)
  })

  it('is less of a dough with more fat, and nothing without anything in it', () => {
    const lean = doughDensity(lines(['plain-flour', 500], ['water', 250]))!
    const short = doughDensity(lines(['plain-flour', 500], ['butter', 250], ['water', 60]))!
    expect(short).toBeLessThan(lean)
    expect(doughDensity([])).toBeNull()
  })
})
