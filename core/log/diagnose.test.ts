import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { faultTable } from '../../data/faultTable'
import { COOKING_WAYS, type CookingWay } from '../recipe/vocabulary'
import { diagnose, FINDING_NAMES, symptomsFor, type Findings } from './diagnose'
import { faultsFromRows } from './faults'

const first = (symptom: string, ways: CookingWay[], findings: Findings, answers = {}) =>
  diagnose(faultTable, symptom, ways, findings, answers)!.causes[0]!.cause

describe('the table of faults', () => {
  it('has at least 40 causes over 25 symptoms, each with a remedy now, one next time, and a source', () => {
    expect(new Set(faultTable.map(({ symptom }) => symptom)).size).toBeGreaterThanOrEqual(25)
    expect(
      new Set(faultTable.map(({ symptom, cause, ways }) => `${symptom} ${cause} ${ways.join()}`)).size,
    ).toBe(faultTable.length)
    expect(new Set(faultTable.map(({ cause }) => cause)).size).toBeGreaterThanOrEqual(40)
  })

  it('asks for no finding that nobody records, and every question can be answered', () => {
    for (const { evidence, ask, yes, no } of faultTable) {
      for (const { key } of evidence) expect(Object.keys(FINDING_NAMES)).toContain(key)
      expect(ask).toMatch(/\?$/)
      // An answer that speaks for a cause when it is yes speaks against it when it is no.
      expect((yes - 1) * (no - 1)).toBeLessThan(0)
    }
  })

  it('is read row by row, or says which row is wrong', () => {
    const row = {
      symptom: 's',
      name: 'S',
      ways: 'bake',
      cause: 'c',
      because: 'b',
      often: '1',
      evidence: '',
      ask: 'A?',
      yes: '2',
      no: '0.5',
      now: 'n',
      next: 'x',
      source: 'y',
    }
    expect(faultsFromRows([row])).toHaveLength(1)
    expect(() => faultsFromRows([{ ...row, ways: 'braise' }])).toThrow(/s \/ c.*braise/)
    expect(() => faultsFromRows([{ ...row, evidence: 'much water' }])).toThrow(/no evidence/)
    expect(() => faultsFromRows([{ ...row, often: '0' }])).toThrow(/above 0/)
    expect(() => faultsFromRows([{ ...row, now: '' }])).toThrow(/remedy/)
  })
})

describe('a diagnosis', () => {
  // What practice says of each, and the figure in the record that shows it.
  it.each([
    ['burst-steam', ['steam'], { 'loose-water-pct': 14, 'wall-mm': 3, overfull: 1 }, 'loose-water'],
    ['burst-steam', ['steam'], { 'loose-water-pct': 3, 'wall-mm': 1.1, overfull: 1 }, 'too-thin'],
    ['burst-steam', ['steam'], { 'loose-water-pct': 3, 'wall-mm': 3, overfull: 1.35 }, 'overfilled'],
    ['leaks', ['deep-fry'], { 'oil-c': 140, 'filling-c': 18, overfull: 1 }, 'cool-oil'],
    ['leaks', ['bake'], { 'filling-c': 38, overfull: 1, 'loose-water-pct': 2 }, 'warm-filling'],
    [
      'greasy',
      ['deep-fry'],
      { 'oil-c': 155, softness: 0.8, 'dough-fat-pct': 12, 'batch-grams-per-litre': 90 },
      'cool-oil',
    ],
    [
      'greasy',
      ['deep-fry'],
      { 'oil-c': 178, softness: 0.8, 'dough-fat-pct': 12, 'batch-grams-per-litre': 210 },
      'crowded',
    ],
    ['collapsed', ['steam'], { 'proof-over-pct': 80, softness: 1 }, 'overproofed'],
    ['tough', ['bake'], { family: 'firm', rolls: 3, softness: 0.85 }, 'rerolled'],
    ['springs-back', ['griddle'], { 'rest-minutes': 5, softness: 0.9 }, 'not-rested'],
    ['soggy-lid', ['bake'], { 'filling-c': 60, 'loose-water-pct': 3 }, 'hot-filling'],
    ['puddled-wash', ['bake'], { 'wash-grams-per-piece': 6 }, 'thick-wash'],
    ['cold-middle', ['bake'], { 'start-c': -18, 'middle-c': 40 }, 'from-frozen'],
  ] as [string, CookingWay[], Findings, string][])(
    '%s, cooked by %j, with %j, comes from %s',
    (symptom, ways, findings, cause) => {
      expect(first(symptom, ways, findings)).toBe(cause)
    },
  )

  it('gives probabilities that add up, with something else among them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...new Set(faultTable.map(({ symptom }) => symptom))),
        fc.constantFrom(...COOKING_WAYS),
        fc.dictionary(fc.constantFrom(...Object.keys(FINDING_NAMES)), fc.double({ min: -50, max: 250 })),
        (symptom, way, findings) => {
          const found = diagnose(faultTable, symptom, [way], findings)
          if (!found) return
          const sum =
            found.causes.reduce((total, { probability }) => total + probability, 0) + found.somethingElse
          expect(sum).toBeCloseTo(1, 9)
          expect(found.causes.every(({ probability }) => probability > 0)).toBe(true)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('moves with an answer: yes speaks for what is asked, no against it', () => {
    const ask = (answers: Record<string, boolean>) =>
      diagnose(faultTable, 'collapsed', ['steam'], {}, answers)!
    const { question } = ask({})
    const share = (answers: Record<string, boolean>) =>
      ask(answers).causes.find(({ cause }) => cause === question!.cause)!.probability
    expect(share({ [question!.cause]: true })).toBeGreaterThan(share({}))
    expect(share({ [question!.cause]: false })).toBeLessThan(share({}))
    expect(ask({ [question!.cause]: true }).question?.cause).not.toBe(question!.cause)
  })

  it('asks nothing when one cause is clear, and only of the first two', () => {
    const clear = diagnose(
      faultTable,
      'cold-middle',
      ['bake'],
      { 'start-c': -18 },
      { 'from-frozen': true, 'short-time': false },
    )!
    expect(clear.question).toBeNull()
    const open = diagnose(faultTable, 'leaks', ['bake'], {})!
    expect(open.causes.slice(0, 2).map(({ cause }) => cause)).toContain(open.question!.cause)
  })

  it('says what speaks for a cause and against it, with the number', () => {
    const { causes } = diagnose(faultTable, 'greasy', ['deep-fry'], { 'oil-c': 158 })!
    expect(causes[0]!.reasons[0]).toEqual({ text: 'oil, °C: 158; below 165 speaks for it', speaks: 'for' })
  })

  it('knows which symptoms a way of cooking can have', () => {
    const names = (way: CookingWay) => symptomsFor(faultTable, [way]).map(({ id }) => id)
    expect(names('steam')).toContain('burst-steam')
    expect(names('bake')).not.toContain('burst-steam')
    expect(diagnose(faultTable, 'burst-steam', ['bake'], {})).toBeNull()
  })
})
