import { describe, expect, it } from 'vitest'
import rows from '../../data/likeness.csv'
import leverRows from '../../data/levers.csv'
import { food, foods, reference } from '../../test/helpers'
import { likenessFromRows, likenessOf, likenessOfMix } from './likeness'
import { leverFactor, leverOfLess, leverOfMore, leversFromRows, leverOfSwap } from './levers'

const filling = { part: 'filling', family: 'firm' } as const
const of = (from: string, to: string, place: Parameters<typeof likenessOf>[2] = filling) =>
  likenessOf(food(from), food(to), place, reference.likeness)

describe('likeness', () => {
  it('is 1 of a food to itself and lies between 0 and 1 otherwise', () => {
    const some = [...foods.values()].filter((_, at) => at % 23 === 0)
    for (const from of some)
      for (const to of some) {
        const found = likenessOf(from, to, filling, reference.likeness)
        if (from.id === to.id) expect(found).toBe(1)
        else {
          expect(found).toBeGreaterThanOrEqual(0)
          expect(found).toBeLessThan(1)
        }
      }
  })

  it('follows what a cook tastes: the near before the far (common practice, no source)', () => {
    expect(of('minced-beef', 'lean-minced-beef')).toBeGreaterThan(of('minced-beef', 'turkey-breast'))
    expect(of('minced-beef', 'turkey-breast')).toBeGreaterThan(of('minced-beef', 'lentils-cooked'))
    expect(of('feta', 'light-feta')).toBeGreaterThan(of('feta', 'firm-tofu'))
    expect(of('paneer', 'firm-tofu')).toBeGreaterThan(of('cheddar', 'firm-tofu'))
    expect(of('soy-sauce', 'tamari')).toBeGreaterThan(0.9)
  })

  it('hangs on the place: oil is no butter in what is rubbed in, and will do in the pan', () => {
    const butter = (part: 'shell' | 'pan', family: 'short' | 'yeast') =>
      of('butter', 'olive-oil', { part, family })
    expect(butter('shell', 'short')).toBeLessThan(0.3)
    expect(butter('shell', 'yeast')).toBeGreaterThan(butter('shell', 'short'))
    expect(butter('pan', 'short')).toBeGreaterThan(0.8)
    expect(of('plain-flour', 'rye-flour', { part: 'shell', family: 'stretched' })).toBeLessThan(
      of('plain-flour', 'rye-flour', { part: 'shell', family: 'yeast' }),
    )
  })

  it('of a mix goes by weight, water apart: a spoon of concentrate is no smaller change', () => {
    const mix = (...to: [string, number][]) =>
      likenessOfMix(
        food('plain-flour'),
        to.map(([id, grams]) => ({ food: food(id), grams })),
        { part: 'shell', family: 'yeast' },
        reference.likeness,
      )
    expect(mix(['vital-wheat-gluten', 50], ['oat-fibre', 30])).toBeLessThan(mix(['atta', 100]))
    expect(mix(['atta', 100], ['water', 900])).toBe(mix(['atta', 100]))
    expect(mix(['vital-wheat-gluten', 5])).toBe(mix(['vital-wheat-gluten', 500]))
  })

  it('refuses a row that is not understood', () => {
    const row = rows[0]!
    for (const wrong of [
      { ...row, from: 'group:clouds' },
      { ...row, to: 'food:moon' },
      { ...row, family: 'odd' },
      { ...row, likeness: '1' },
      { ...row, why: '' },
    ])
      expect(() => likenessFromRows([wrong], foods)).toThrow(/Likeness/)
  })
})

describe('levers', () => {
  it('know what a change is', () => {
    expect(leverOfLess('filling', food('sunflower-oil'))).toBe('fat-less')
    expect(leverOfLess('shell', food('butter'))).toBe('dough-fat-less')
    expect(leverOfMore('filling', food('cabbage'))).toBe('vegetable-more')
    expect(leverOfMore('filling', food('minced-beef'))).toBe('protein-more')
    expect(leverOfSwap('filling', food('minced-beef'), [food('turkey-breast')])).toBe('leaner')
    expect(leverOfSwap('shell', food('plain-flour'), [food('vital-wheat-gluten')])).toBe('isolate')
    expect(leverOfSwap('filling', food('potato'), [food('cauliflower')])).toBe('starch-out')
    expect(leverOfSwap('filling', food('prawns'), [food('soy-drink')])).toBeNull()
  })

  it('come in the order that cooks use them: lighter begins with fat and ends with isolates', () => {
    const factor = (lever: Parameters<typeof leverFactor>[0]) =>
      leverFactor(lever, new Set(['lighter']), reference.levers)
    expect(factor('fat-less')).toBeLessThan(factor('dough-fat-less'))
    expect(factor('dough-fat-less')).toBeLessThan(factor('flour'))
    expect(factor('flour')).toBeLessThan(factor('isolate'))
    expect(factor(null)).toBe(1)
    // Of two ends the readiest counts.
    expect(leverFactor('isolate', new Set(['lighter', 'high-protein']), reference.levers)).toBe(
      leverFactor('isolate', new Set(['high-protein']), reference.levers),
    )
  })

  it('refuse a row that is not understood', () => {
    const row = leverRows[0]!
    for (const wrong of [
      { ...row, purpose: 'fun' },
      { ...row, lever: 'crowbar' },
      { ...row, factor: '0' },
    ])
      expect(() => leversFromRows([wrong])).toThrow(/Lever/)
  })
})
