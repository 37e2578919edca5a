import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { reference } from '../../test/helpers'
import { faultTable } from '../../data/faultTable'
import { evaluate } from '../evaluation/evaluate'
import { METHOD_OF } from '../tray/making'
import type { Recipe } from '../recipe/document'
import { planPieces } from '../tray/plan'
import { calibrate, factorOf } from './calibrate'
import { diagnose, FINDING_NAMES } from './diagnose'
import { expectedOf } from './expected'
import { tastingResult } from './experiment'
import { findingsOf } from './findings'
import { recordSchema, type CookRecord } from './record'
import { afterOvershoot, pouring, spoonsOf, usedOf, type ToWeigh } from './weighing'

const expectedFor = (word: string) => expectedOfRecipe(demo.find(({ name }) => name.includes(word))!.recipe)
const expectedOfRecipe = (recipe: Recipe) => {
  const evaluation = evaluate(recipe, reference)
  const planned = planPieces(recipe, evaluation, { method: METHOD_OF[recipe.shape] }, reference)
  return expectedOf(recipe, evaluation, planned, reference, 0.8)
}
const record = (word: string, more: Partial<CookRecord> = {}, at = 1): CookRecord => ({
  ...recordSchema.parse({ title: word, startedAt: at, finishedAt: at + 1, expected: expectedFor(word) }),
  ...more,
})

describe('what is expected of a session', () => {
  it.each(demo.map(({ name }) => name))(
    '%s: passes the schema, with findings that a diagnosis asks for',
    (name) => {
      const one = record(name)
      expect(recordSchema.safeParse(one).success).toBe(true)
      for (const [key, value] of Object.entries(one.expected.findings)) {
        expect(Object.keys(FINDING_NAMES)).toContain(key)
        if (typeof value === 'number') expect(Number.isFinite(value), key).toBe(true)
      }
    },
  )

  it('gives every finding that a cause asks for, but three that only the question can tell', () => {
    const given = new Set(
      demo.flatMap(({ name }) => {
        const one = record(name, {
          readings: (['oil', 'oven', 'middle', 'filling', 'room', 'liquid'] as const).map((what) => ({
            what,
            celsius: 60,
            at: 1,
          })),
          rolls: 2,
          liquidGrams: 100,
          batches: [{ pieces: 4, minutes: 5, at: 1 }],
        })
        return Object.entries(findingsOf(one)).flatMap(([key, value]) => (value === undefined ? [] : [key]))
      }),
    )
    // No demo dish is without gluten: the dough of the first, of rice flour alone.
    const [{ recipe }] = demo as [(typeof demo)[number]]
    const parts = recipe.parts.map((part) =>
      part.kind === 'shell'
        ? { ...part, lines: part.lines.map((line) => ({ ...line, foodId: 'rice-flour' })) }
        : part,
    )
    for (const key of Object.keys(expectedOfRecipe({ ...recipe, parts }).findings)) given.add(key)
    const asked = new Set(faultTable.flatMap(({ evidence }) => evidence.map(({ key }) => key)))
    expect([...asked].filter((key) => !given.has(key)).sort()).toEqual([
      'proof-over-pct',
      'start-c',
      'wait-minutes',
    ])
  })
})

describe('what a device or a slip of the hand says', () => {
  it.each([
    [{ readings: [{ what: 'oil', celsius: 400, at: 1 }] }, 'readings.0.celsius', /between 10 and 260/],
    [
      { weights: [{ lineId: 'a', name: 'flour', plannedGrams: 100, grams: -5, at: 1 }] },
      'weights.0.grams',
      /below 0 g/,
    ],
    [{ made: 2.5 }, 'made', /whole pieces/],
    [{ judgement: { taste: 9 } }, 'judgement.taste', /one of five/],
    [{ startedAt: -5 }, 'startedAt', /./],
  ])('%j is not stored as truth, and is said', (fields, path, message) => {
    const parsed = recordSchema.safeParse({ ...record('cabbage'), ...fields })
    expect(parsed.success).toBe(false)
    const issue = parsed.error!.issues.find((one) => one.path.join('.') === path)
    expect(issue?.message).toMatch(message)
  })
})

describe('a record as evidence', () => {
  it('goes before what was predicted: cool oil, a warm filling, a slack dough', () => {
    const plain = findingsOf(record('plantain'))
    const found = findingsOf(
      record('plantain', {
        readings: [
          { what: 'oil', celsius: 176, at: 1 },
          { what: 'oil', celsius: 158, at: 2 },
          { what: 'filling', celsius: 41, at: 1 },
        ],
        judgement: { ...record('plantain').judgement, feel: 5 },
      }),
    )
    expect(found['oil-c']).toBe(158)
    expect(found['filling-c']).toBe(41)
    expect(Number(found.softness)).toBeGreaterThan(Number(plain.softness))
    expect(plain['oil-c']).toBeUndefined()
    expect(diagnose(faultTable, 'greasy', ['deep-fry'], found)!.causes[0]!.cause).toBe('cool-oil')
  })
})

describe('what bakes teach', () => {
  const thirsty = (more: number, at: number) => {
    const one = record('cabbage', {}, at)
    return { ...one, liquidGrams: one.expected.liquidGrams! + more * one.expected.freeWaterGrams! }
  }
  it('moves a flour towards what it drank, and is surer with every bake', () => {
    const id = `flour:${record('cabbage').expected.flourId}`
    const after = [1, 2, 3, 4, 5].map((n) => {
      const all = Array.from({ length: n }, (_, at) => thirsty(0.08, at + 1))
      return calibrate(all).find((one) => one.id === id)!
    })
    after.reduce((before, one) => {
      expect(one.learnt.mean).toBeGreaterThan(before)
      return one.learnt.mean
    }, 1)
    expect(after[4]!.learnt.sd).toBeLessThan(after[0]!.learnt.sd)
    expect(after[4]!.learnt.mean).toBeGreaterThan(1.06)
    expect(after[4]!.learnt.mean).toBeLessThan(1.08)
    expect(after[4]!.bakes).toHaveLength(5)
    expect(factorOf(after.slice(4), id)).toEqual({ factor: after[4]!.learnt.mean, bakes: 5 })
    expect(factorOf(after.slice(4), id, [id])).toEqual({ factor: 1, bakes: 0 })
  })
  it('learns nothing of a flour from a dough that did not feel as wanted, or a session that is not finished', () => {
    const one = thirsty(0.08, 1)
    expect(calibrate([{ ...one, judgement: { ...one.judgement, feel: 5 } }])).toEqual([])
    expect(calibrate([{ ...one, finishedAt: null }])).toEqual([])
  })
  it('learns oil, fillings and hands where they were weighed and timed', () => {
    const base = record('plantain')
    const { expected } = base
    const all = calibrate([
      {
        ...base,
        oilBeforeGrams: 1000,
        oilAfterGrams: 1000 - 1.5 * expected.oilGramsPerPiece! * expected.pieces,
        finishedFillingGrams: expected.fillingGrams! * 0.95,
        closeMinutes: expected.pieces * expected.closeMinutesPerPiece! * 1.4,
      },
    ])
    const of = (kind: string) => all.find(({ id }) => id.startsWith(kind))!.learnt.mean
    expect(of('oil')).toBeGreaterThan(1.2)
    expect(of('filling')).toBeLessThan(1)
    expect(of('closing')).toBeGreaterThan(1.2)
  })
})

describe('weighing as one goes', () => {
  const lines: ToWeigh[] = [
    { lineId: 'f', partId: 'd', name: 'flour', plannedGrams: 500, grams: 512 },
    { lineId: 'w', partId: 'd', name: 'water', plannedGrams: 250, grams: null },
    { lineId: 's', partId: 'd', name: 'salt', plannedGrams: 10, grams: 10 },
    { lineId: 'o', partId: 'x', name: 'onion', plannedGrams: 200, grams: null },
  ]
  it('says what is missing until it is there', () => {
    expect(pouring(500, 100)).toEqual({ missingGrams: 400, state: 'pour' })
    expect(pouring(500, 460).state).toBe('nearly')
    expect(pouring(500, 497).state).toBe('there')
    expect(pouring(500, 512)).toEqual({ missingGrams: -12, state: 'over' })
  })
  it('12 g too much of 500 g of flour wants 6 g of water and 0.2 g of salt, and no onion', () => {
    const { more, factor } = afterOvershoot(lines, 'f')!
    expect(factor).toBeCloseTo(1.024, 6)
    expect(
      more.map(({ name, moreGrams, weighed }) => [name, Math.round(moreGrams * 100) / 100, weighed]),
    ).toEqual([
      ['water', 6, false],
      ['salt', 0.24, true],
    ])
    expect(afterOvershoot(lines, 's')).toBeNull()
    expect(afterOvershoot([{ ...lines[0]!, grams: 900 }], 'f')).toBeNull()
  })
  it('takes what was left from what there was, and counts spoons', () => {
    expect(usedOf(1000, 612)).toBe(388)
    expect(usedOf(100, 120)).toBeNull()
    expect(spoonsOf(45, 30, 70)).toEqual({ spoons: 3, expectedFrom: 2, expectedTo: 5 })
  })
})

describe('a blind tasting', () => {
  // Beta(1 + k, 1 + n − k): P(p > ½) of Beta(7, 1) is 1 − 2^-7. Source: Gelman et al., "Bayesian Data Analysis", section 2.4.
  it('says how sure it is', () => {
    expect(tastingResult(6, 0, ['A', 'B']).firstIsBetter).toBeCloseTo(1 - 0.5 ** 7, 3)
    expect(tastingResult(6, 0, ['A', 'B']).says).toMatch(/as good as sure.*A/)
    expect(tastingResult(3, 3, ['A', 'B']).says).toMatch(/nothing either way/)
    expect(tastingResult(4, 2, ['A', 'B']).says).toMatch(/nothing either way/)
    expect(tastingResult(1, 4, ['A', 'B']).says).toMatch(/leans to B/)
    expect(tastingResult(0, 0, ['A', 'B']).says).toBe('Nobody has tasted yet')
  })
})
