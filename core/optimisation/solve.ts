import { solve as solveWithYalps, type Model } from 'yalps'
import type { Program, Solution } from './program'

export interface SolveOptions {
  /** Stop here and take the best found. */
  timeoutMilliseconds?: number
  /** Says that the time of the whole search is up; asked before every solving. */
  expired?: () => boolean
  /** How far from the nearest the answer may be, as a share of its distance. */
  tolerance?: number
}

/** Thrown when the time of a whole search is up. */
export class OutOfTime extends Error {
  constructor() {
    super('The time given to the search is up')
    this.name = 'OutOfTime'
  }
}

/**
 * Solves a programme with yalps.
 *
 * @throws OutOfTime when the time of the whole search is up
 */
export function solveProgram(program: Program, options: SolveOptions = {}): Solution {
  if (options.expired?.()) throw new OutOfTime()
  const { variables, constraints } = program
  const columns: [string, number][][] = variables.map(({ cost }) => [['cost', cost]])
  constraints.forEach(({ terms }, at) => {
    for (const [variable, value] of terms) columns[variable]!.push([`c${at}`, value])
  })
  const bounds: [string, { min?: number; max?: number; equal?: number }][] = constraints.map(
    ({ min, max }, at) => [
      `c${at}`,
      min !== null && min === max
        ? { equal: min }
        : { ...(min === null ? {} : { min }), ...(max === null ? {} : { max }) },
    ],
  )
  variables.forEach(({ upper, binary }, at) => {
    if (upper === null || binary) return
    columns[at]!.push([`u${at}`, 1])
    bounds.push([`u${at}`, { max: upper }])
  })
  const model: Model<string, string> = {
    direction: 'minimize',
    objective: 'cost',
    constraints: bounds,
    variables: columns.map((column, at): [string, [string, number][]] => [String(at), column]),
    binaries: variables.flatMap(({ binary }, at) => (binary ? [String(at)] : [])),
  }
  const answer = solveWithYalps(model, {
    timeout: options.timeoutMilliseconds ?? 400,
    tolerance: options.tolerance ?? 0.005,
    maxIterations: 200_000,
    includeZeroVariables: true,
  })
  const found =
    answer.status === 'optimal' || (answer.status === 'timedout' && Number.isFinite(answer.result))
  const values = variables.map(() => 0)
  if (found) for (const [name, value] of answer.variables) values[Number(name)] = value
  return {
    status: !found ? 'infeasible' : answer.status === 'timedout' ? 'timedOut' : 'optimal',
    distance: found ? answer.result : Infinity,
    values,
  }
}
