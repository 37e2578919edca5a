import { createRequire } from 'node:module'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demo, modelOf } from '../../test/demo'
import { ProgramBuilder, toLpText, type Program } from './program'
import { solveProgram } from './solve'

// The independent check: HiGHS, a solver of its own, in WebAssembly (npm "highs", MIT), reads the LP text.
interface Highs {
  solve: (text: string, options?: Record<string, unknown>) => { Status: string; ObjectiveValue: number }
}
const highs = await (createRequire(import.meta.url)('highs') as () => Promise<Highs>)()
const byHighs = (program: Program) => {
  const { Status, ObjectiveValue } = highs.solve(toLpText(program), { mip_rel_gap: 0 })
  return { feasible: Status === 'Optimal', distance: ObjectiveValue }
}

/** A small mixed programme of random numbers that is often, not always, feasible. */
const randomProgram = fc
  .tuple(
    fc.integer({ min: 2, max: 5 }),
    fc.integer({ min: 1, max: 4 }),
    fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 120, maxLength: 120 }),
  )
  .map(([continuous, binary, numbers]) => {
    let at = 0
    const next = () => numbers[at++ % numbers.length]!
    const builder = new ProgramBuilder()
    for (let n = 0; n < continuous; n++)
      builder.variable(`x${n}`, { cost: Math.abs(next()) + 0.5, upper: 10 + Math.abs(next()) })
    for (let n = 0; n < binary; n++) builder.variable(`y${n}`, { cost: Math.abs(next()) + 1, binary: true })
    for (let row = 0; row < 4; row++) {
      const terms = builder.variables.map((_, index): [number, number] => [index, next()])
      builder.constrain(`row ${row}`, terms, { min: Math.abs(next()) * 2 })
    }
    return builder as Program
  })

describe('the solver against HiGHS', () => {
  it('comes to the same optimum on 200 generated programmes', () => {
    let feasible = 0
    fc.assert(
      fc.property(randomProgram, (program) => {
        const ours = solveProgram(program, { tolerance: 0, timeoutMilliseconds: 5000 })
        const theirs = byHighs(program)
        expect(ours.status !== 'infeasible').toBe(theirs.feasible)
        if (!theirs.feasible) return
        feasible++
        expect(ours.distance).toBeCloseTo(theirs.distance, 5)
      }),
      { numRuns: 200, seed: 11 },
    )
    expect(feasible).toBeGreaterThan(60)
  })

  it('and to the cheapest of all yes-or-no choices, tried one by one', () => {
    fc.assert(
      fc.property(randomProgram, (program) => {
        const binaries = program.variables.flatMap(({ binary }, at) => (binary ? [at] : []))
        let best = Infinity
        for (let mask = 0; mask < 2 ** binaries.length; mask++) {
          const fixed: Program = {
            variables: program.variables.map((one) => ({ ...one, binary: false })),
            constraints: [
              ...program.constraints,
              ...binaries.map((at, bit) => {
                const value = (mask >> bit) & 1
                return {
                  name: `fix ${at}`,
                  kind: 'model' as const,
                  wish: null,
                  terms: [[at, 1]] as [number, number][],
                  min: value,
                  max: value,
                }
              }),
            ],
          }
          best = Math.min(best, solveProgram(fixed, { tolerance: 0 }).distance)
        }
        const { distance } = solveProgram(program, { tolerance: 0 })
        if (Number.isFinite(best)) expect(distance).toBeCloseTo(best, 5)
        else expect(distance).toBe(Infinity)
      }),
      { numRuns: 40, seed: 12 },
    )
  })

  const sets = [
    ['keto'],
    ['high-protein'],
    ['lighter'],
    ['whole-grain'],
    ['vegan', 'keto'],
    ['vegan', 'high-protein'],
  ]
  it.each(
    demo.flatMap(({ name, recipe }) => sets.map((ids) => [name, ids.join(' and '), recipe, ids] as const)),
  )('on %s made %s', (_, __, recipe, ids) => {
    const { program } = modelOf(recipe, ids)
    const ours = solveProgram(program, { tolerance: 0, timeoutMilliseconds: 8000 })
    const theirs = byHighs(program)
    expect(ours.status !== 'infeasible').toBe(theirs.feasible)
    if (theirs.feasible) expect(ours.distance).toBeCloseTo(theirs.distance, 3)
  })
})
