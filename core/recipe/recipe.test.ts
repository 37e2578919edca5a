import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { NUTRIENTS } from '../food/nutrients'
import { checkRecipe } from './check'
import { scaleRecipe } from './scale'
import { withIds } from './document'
import { recipeSchema } from './schema'

const plain = recipeOf({
  shell: [
    ['plain-flour', 500],
    ['water', 280],
  ],
  filling: [['leek', 400]],
})

describe('the schema', () => {
  it.each([
    [{ ...plain, pieces: 0 }, 'pieces'],
    [{ ...plain, pieces: 2.5 }, 'pieces'],
    [{ ...plain, servings: 0 }, 'servings'],
    [{ ...plain, parts: [] }, 'parts'],
    [{ ...plain, parts: [{ kind: 'sauce', lines: [] }] }, 'parts.0.kind'],
    [{ ...plain, parts: [{ kind: 'shell', lines: [{ grams: -1 }] }] }, 'parts.0.lines.0.grams'],
    [{ ...plain, parts: [{ kind: 'shell', lines: [{ grams: 1e9 }] }] }, 'parts.0.lines.0.grams'],
    [{ ...plain, parts: [{ kind: 'shell', lines: [{ grams: Number.NaN }] }] }, 'parts.0.lines.0.grams'],
  ])('names the field of bad input %#', (bad, field) => {
    const parsed = recipeSchema.safeParse(bad)
    expect(parsed.success).toBe(false)
    expect(parsed.error!.issues.map((issue) => issue.path.join('.'))).toContain(field)
  })

  it('fills in what a hand-written document leaves out', () => {
    const short = withIds(
      recipeSchema.parse({
        pieces: 4,
        parts: [{ kind: 'shell', lines: [{ foodId: 'plain-flour', grams: 100 }] }],
      }),
    )
    expect(short).toMatchObject({
      version: 1,
      servings: 1,
      parts: [{ id: 'p1', lines: [{ id: 'p1l1', notes: [] }] }],
    })
  })

  it('gives ids of their own to lines that share one', () => {
    const twice = withIds(
      recipeSchema.parse({ pieces: 1, parts: [{ kind: 'shell', lines: [{ id: 'a' }, { id: 'a' }, {}] }] }),
    )
    expect(new Set(twice.parts[0]!.lines.map((line) => line.id)).size).toBe(3)
  })
})

describe('checkRecipe', () => {
  it('names an unknown food and a missing dough', () => {
    expect(checkRecipe(recipeOf({ shell: [['moon-dust', 10]] }), foods)[0]?.field).toBe(
      'recipe.parts[0].lines[0].foodId',
    )
    expect(checkRecipe(recipeOf({ filling: [['leek', 10]] }), foods)).toMatchObject([
      { field: 'recipe.parts' },
    ])
    expect(checkRecipe(plain, foods)).toEqual([])
  })

  it('does not let a line give off more water than it holds', () => {
    const dry = structuredClone(plain)
    dry.parts[1]!.lines[0]!.waterChangeGrams = -399
    expect(checkRecipe(dry, foods)[0]?.field).toBe('recipe.parts[1].lines[0].waterChangeGrams')
  })
})

describe('scaling', () => {
  it('scales every part and leaves 100 g alone', () => {
    const before = evaluate(plain, reference)
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (factor) => {
        const after = evaluate(scaleRecipe(plain, factor), reference)
        after.parts.forEach((part, at) => expect(part.grams).toBeCloseTo(before.parts[at]!.grams * factor, 6))
        for (const key of NUTRIENTS) expect(after.per100g[key]).toBeCloseTo(before.per100g[key], 6)
        expect(after.dough.softness).toBeCloseTo(before.dough.softness!, 9)
      }),
      { numRuns: 50 },
    )
  })
  it('refuses a factor that makes no batch', () => {
    expect(() => scaleRecipe(plain, 0)).toThrow(RangeError)
    expect(() => scaleRecipe(plain, Infinity)).toThrow(RangeError)
  })
})
