/** A variable of a mixed-integer linear programme; from 0 up. */
export interface Variable {
  name: string
  /** An amount of a line as it is, which stays by itself. */
  keeps: boolean
  /** What one unit of it adds to the distance. */
  cost: number
  /** 0 or 1 only. */
  binary: boolean
  upper: number | null
  /** What it stands for in the distance, in words; '' for nothing that is told apart. */
  term: string
}

/** What a limit is about, where it is asked which of them hold a recipe. */
export type ConstraintKind = 'target' | 'softer' | 'firmer' | 'strength' | 'swaps' | 'model'

export interface Constraint {
  /** For reading a programme; nothing is told by it. */
  name: string
  kind: ConstraintKind
  /** The key of the wish that it writes down; null for a limit that nobody wished. */
  wish: string | null
  /** Index of the variable and its coefficient. */
  terms: [number, number][]
  min: number | null
  max: number | null
}

/** Minimise the cost of the variables within the constraints. Free of any solver's own form. */
export interface Program {
  variables: Variable[]
  constraints: Constraint[]
}

export interface Solution {
  /** timedOut: the best found in time; it holds, but a nearer one may exist. */
  status: 'optimal' | 'timedOut' | 'infeasible'
  distance: number
  values: number[]
}

/** A programme under construction. */
export class ProgramBuilder {
  readonly variables: Variable[] = []
  readonly constraints: Constraint[] = []

  variable(name: string, fields: Partial<Omit<Variable, 'name'>> = {}): number {
    return (
      this.variables.push({ name, keeps: false, cost: 0, binary: false, upper: null, term: '', ...fields }) -
      1
    )
  }

  /** Adds a constraint; one without terms or bounds is left out. */
  constrain(
    name: string,
    terms: [number, number][],
    bounds: { min?: number; max?: number },
    about: { kind: ConstraintKind; wish?: string } = { kind: 'model' },
  ): void {
    const own = terms.filter(([, coefficient]) => coefficient !== 0)
    if (!own.length) {
      // Nothing can change it: it either holds or the programme has no solution.
      const holds = (bounds.min ?? -Infinity) <= 0 && (bounds.max ?? Infinity) >= 0
      if (holds) return
    }
    this.constraints.push({
      name,
      kind: about.kind,
      wish: about.wish ?? null,
      terms: own,
      min: bounds.min ?? null,
      max: bounds.max ?? null,
    })
  }
}

/**
 * A programme in the LP text format that solvers read, for checking it with another one.
 *
 * @returns the text; variables are called v0, v1, ... in their order
 */
export function toLpText({ variables, constraints }: Program): string {
  const number = (value: number) => (value < 0 ? `- ${-value}` : `+ ${value}`)
  const sum = (terms: readonly [number, number][]) =>
    terms.length ? terms.map(([at, value]) => `${number(value)} v${at}`).join(' ') : '0 v0'
  const rows = constraints.flatMap(({ terms, min, max }, at) => {
    if (min !== null && min === max) return [`c${at}: ${sum(terms)} = ${min}`]
    return [
      ...(min === null ? [] : [`c${at}a: ${sum(terms)} >= ${min}`]),
      ...(max === null ? [] : [`c${at}b: ${sum(terms)} <= ${max}`]),
    ]
  })
  const bounds = variables.flatMap(({ upper, binary }, at) =>
    upper === null || binary ? [] : [`0 <= v${at} <= ${upper}`],
  )
  const binaries = variables.flatMap(({ binary }, at) => (binary ? [`v${at}`] : []))
  return [
    'Minimize',
    `obj: ${sum(variables.map(({ cost }, at) => [at, cost]))}`,
    'Subject To',
    ...rows,
    'Bounds',
    ...bounds,
    ...(binaries.length ? ['Binary', binaries.join(' ')] : []),
    'End',
    '',
  ].join('\n')
}
