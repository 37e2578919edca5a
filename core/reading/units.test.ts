import { describe, expect, it } from 'vitest'
import { FALLBACK_UNIT_GRAMS, UNIT_PATTERN, unitById, unitByName, UNITS } from './units'

describe('units', () => {
  // NIST Handbook 44, appendix C: exact or rounded there to the digits given.
  it.each([
    ['oz', 28.349523125],
    ['lb', 453.59237],
  ])('a %s is %d g', (id, grams) => {
    expect(unitById(id).factor).toBeCloseTo(grams, 5)
  })
  it.each([
    ['fl-oz', 29.5735295625],
    ['pint', 473.176473],
    ['quart', 946.352946],
    ['imperial-pint', 568.26125],
    // 21 CFR 101.9(b)(5)(viii)
    ['cup', 240],
    ['tbsp', 15],
    ['tsp', 5],
    ['metric-cup', 250],
  ])('a %s is %d ml', (id, ml) => {
    expect(unitById(id).factor).toBeCloseTo(ml, 4)
  })

  it('keeps its own proportions: 16 oz a pound, 16 fl oz a pint, 2 pints a quart', () => {
    expect(unitById('lb').factor / unitById('oz').factor).toBeCloseTo(16, 6)
    expect(unitById('pint').factor / unitById('fl-oz').factor).toBeCloseTo(16, 5)
    expect(unitById('quart').factor / unitById('pint').factor).toBeCloseTo(2, 6)
  })

  it('knows every spelling once', () => {
    const names = UNITS.flatMap((unit) => unit.names)
    expect(new Set(names).size).toBe(names.length)
    for (const unit of UNITS) for (const name of unit.names) expect(unitByName(name)?.id, name).toBe(unit.id)
  })

  it('tells a tablespoon from a teaspoon by the capital, and ignores case elsewhere', () => {
    expect(unitByName('T')?.id).toBe('tbsp')
    expect(unitByName('t')?.id).toBe('tsp')
    expect(unitByName('TBSP')?.id).toBe('tbsp')
    expect(unitByName('Grams')?.id).toBe('g')
    expect(unitByName('furlong')).toBeNull()
  })

  it('makes one pattern of all spellings, the longest first', () => {
    const pattern = new RegExp(`^(?:${UNIT_PATTERN})$`, 'iu')
    for (const name of UNITS.flatMap((unit) => unit.names)) expect(pattern.test(name), name).toBe(true)
    expect(UNIT_PATTERN.indexOf('tablespoons')).toBeLessThan(UNIT_PATTERN.indexOf('|tbsp|'))
  })

  it('has a weight for what has no unit of its own', () => {
    for (const [id, grams] of Object.entries(FALLBACK_UNIT_GRAMS)) {
      expect(unitById(id).kind).toBe('count')
      expect(grams).toBeGreaterThan(0)
      expect(grams).toBeLessThan(50)
    }
  })

  it('throws on an id that is not in the table', () => {
    expect(() => unitById('stone')).toThrow('stone')
  })
})
