import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import type { PrecookingWay } from '../recipe/precookingWays'

const moisture = (filling: readonly (readonly [string, number])[], cookedBy: PrecookingWay | null = null) => {
  const recipe = recipeOf({ shell: [['plain-flour', 300]], filling })
  const parts = recipe.parts.map((part) => (part.kind === 'filling' ? { ...part, cookedBy } : part))
  return evaluate({ ...recipe, parts }, reference).filling.moisture
}

describe('how wet a filling is (common practice, no source)', () => {
  it.each([
    [
      'potato and pea',
      [
        ['boiled-potato', 400],
        ['peas', 100],
      ],
      'dry',
    ],
    [
      'cheddar and leek, raw',
      [
        ['cheddar', 200],
        ['leek', 200],
      ],
      'dry',
    ],
    [
      'minced meat and onion',
      [
        ['minced-beef', 400],
        ['onion', 100],
      ],
      'moist',
    ],
    ['raw mushrooms', [['mushroom', 500]], 'wet'],
    [
      'tomato',
      [
        ['tomato-can', 400],
        ['onion', 100],
      ],
      'wet',
    ],
    [
      'mince in stock',
      [
        ['minced-beef', 300],
        ['bone-broth', 300],
      ],
      'wet',
    ],
  ] as const)('%s is %s', (_, filling, found) => {
    expect(moisture(filling).class).toBe(found)
  })

  it('gets drier when it is cooked first or squeezed', () => {
    expect(moisture([['mushroom', 500]], 'fry').loosePct).toBeLessThan(
      moisture([['mushroom', 500]]).loosePct / 2,
    )
  })

  it('is held by a binder: 30 g of flour holds a good part of the stock', () => {
    const loose = moisture([
      ['minced-beef', 300],
      ['bone-broth', 200],
    ])
    const bound = moisture([
      ['minced-beef', 300],
      ['bone-broth', 200],
      ['plain-flour', 30],
    ])
    expect(bound.boundGrams).toBe(150)
    expect(bound.looseGrams).toBeLessThan(loose.looseGrams - 140)
  })

  it('says what to cook off in grams, from what, and what would bind it instead', () => {
    const found = moisture([
      ['mushroom', 500],
      ['cheddar', 50],
    ])
    expect(found.toCookOffGrams).toBeGreaterThan(50)
    expect(found.from[0]).toMatchObject({ name: 'Mushrooms' })
    expect(found.suggestions[0]).toContain(
      `about ${Math.round(found.toCookOffGrams)} g of water, most of it from the mushrooms`,
    )
    expect(found.suggestions[1]).toMatch(/\d+ g breadcrumbs, or \d+ g cornflour/)
    expect(moisture([['cheddar', 200]]).suggestions).toEqual([])
  })

  it('is dry when what it asks to be cooked off is gone', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('mushroom', 'onion', 'tomato', 'cheddar', 'quark', 'spinach'),
            fc.integer({ min: 20, max: 600 }),
          ),
          { minLength: 1, maxLength: 6 },
        ),
        (filling) => {
          const { looseGrams, toCookOffGrams } = moisture(filling)
          const grams = filling.reduce((sum, [, own]) => sum + own, 0)
          expect(toCookOffGrams).toBeLessThanOrEqual(looseGrams + 1e-9)
          expect((looseGrams - toCookOffGrams) / (grams - toCookOffGrams)).toBeLessThan(0.0801)
        },
      ),
    )
  })
})
