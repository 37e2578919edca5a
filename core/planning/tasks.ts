import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import type { FactKind } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'
import { METHOD_OF } from '../tray/making'
import type { PiecePlan, PlannedPieces } from '../tray/pieces'
import { planPieces } from '../tray/plan'
import { timeOf, type UsualTime, type UsualTimes } from './times'
import { stepOf } from './steps'

/** What of a dish is done now: all of it, with what can be the evening before; up to the freezer; or out of it. */
export const STAGES = ['fresh', 'night-before', 'freeze', 'from-frozen'] as const
export type Stage = (typeof STAGES)[number]

export const TASK_KINDS = [
  'weigh',
  'dough',
  'rest',
  'rise',
  'soak',
  'chop',
  'cook-filling',
  'cool',
  'filling',
  'divide',
  'shape',
  'proof',
  'coat',
  'dip',
  'preheat',
  'load',
  'cook',
  'freeze',
  'clean',
  'step',
  'serve',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]

/** What a kitchen has of which only so much is in use at once. */
export const EQUIPMENT = ['board', 'burner', 'oven', 'steamer', 'fridge', 'freezer'] as const
export type Equipment = (typeof EQUIPMENT)[number]

/** What a home kitchen has where nothing is said. Common practice, no source. */
export const USUAL_EQUIPMENT: Readonly<Record<Equipment, number>> = {
  board: 2,
  burner: 4,
  oven: 1,
  steamer: 1,
  fridge: 20,
  freezer: 10,
}

export interface TaskWait {
  id: string
  minMinutes: number
  maxMinutes: number | null
  /** Why it may not wait longer; '' where it may. */
  why: string
}

/** A piece of work with its reasons. */
export interface Task {
  id: string
  /** Index of its dish in the dinner. */
  dish: number
  name: string
  kind: TaskKind
  minutes: number
  /** What is usual, from and to. */
  lowMinutes: number
  highMinutes: number
  hands: boolean
  uses: Partial<Record<Equipment, number>>
  after: TaskWait[]
  /** Index into the recipe's method; null where the text is silent. */
  step: number | null
  /** Why so long, and where that comes from. */
  why: string
  source: string
  /** The part whose food it handles; null for none. */
  partId: string | null
  /** Counted from 0; null for what is not of a batch. */
  batch: number | null
  /** It belongs to the evening before. */
  ahead: boolean
}

export interface Dish {
  recipe: Recipe
  evaluation: Evaluation
  planned: PlannedPieces
  stage: Stage
}

/** Of what is cooked from the freezer, and of what comes from the board. */
const FROZEN_C = -18
const BOARD_C = 20

/**
 * A recipe as a dish of a dinner: judged, and divided into pieces as is usual for its shape where a plan says nothing.
 *
 * @throws RecipeProblem for a recipe or plan that cannot be
 */
export function makeDish(
  recipe: Recipe,
  stage: Stage,
  plan: Partial<PiecePlan> | null,
  reference: ReferenceData,
): Dish {
  const evaluation = evaluate(recipe, reference)
  const usual = { method: METHOD_OF[recipe.shape], startC: BOARD_C }
  const pieces = { ...usual, ...plan, ...(stage === 'from-frozen' ? { startC: FROZEN_C } : {}) }
  return { recipe, stage, evaluation, planned: planPieces(recipe, evaluation, pieces, reference) }
}

/** A time that is reckoned for these amounts, instead of a row of the table. */
export interface Reckoned {
  minutes: number
  /** How far off it may be, as shares of it. */
  low: number
  high: number
  why: string
  source: string
}

/** The room and the fire. */
export interface Surroundings {
  roomC: number
  burnerW: number
}

/** Collects the tasks of one dish. */
export class TaskBook {
  readonly tasks: Task[] = []
  readonly warnings: string[] = []

  constructor(
    readonly dish: Dish,
    readonly at: number,
    readonly around: Surroundings,
    readonly reference: ReferenceData,
    readonly times: UsualTimes,
  ) {}

  time(id: string): UsualTime {
    return timeOf(this.times, id)
  }

  /** Minutes of every fact of a kind, in the order of the text. */
  everyStated(kind: FactKind): { minutes: number; text: string }[] {
    return this.dish.recipe.facts
      .filter((fact) => fact.kind === kind)
      .map(({ low, high, text }) => ({ minutes: (low + high) / 2, text }))
  }

  /** Minutes that the text gives for a kind of fact; null where it is silent. */
  stated(kind: FactKind, partId?: string | null): number | null {
    const found =
      this.dish.recipe.facts.find((fact) => fact.kind === kind && fact.partId === (partId ?? null)) ??
      (partId === undefined ? this.dish.recipe.facts.find((fact) => fact.kind === kind) : undefined)
    return found ? (found.low + found.high) / 2 : null
  }

  /**
   * Adds a task. How long it takes says the recipe, or else a row of the times, so often; or it is reckoned.
   *
   * @returns its id
   */
  add(
    name: string,
    {
      id,
      time,
      kind,
      times = 1,
      stated = null,
      ...more
    }: Pick<Task, 'kind'> &
      Partial<Omit<Task, 'name' | 'dish' | 'minutes' | 'lowMinutes' | 'highMinutes' | 'source'>> & {
        id: string
        time: string | Reckoned
        times?: number
        stated?: number | null
      },
  ): string {
    const own = `${this.at + 1}.${id}`
    this.tasks.push({
      id: own,
      dish: this.at,
      name,
      kind,
      ...this.lasting(time, times, stated),
      hands: false,
      uses: {},
      after: [],
      step: stepOf(kind, this.dish.recipe, more.partId ?? null),
      partId: null,
      batch: null,
      ahead: false,
      ...more,
    })
    return own
  }

  private lasting(time: string | Reckoned, times: number, stated: number | null) {
    const whole = (minutes: number) => Math.max(1, Math.round(minutes))
    const usual = typeof time === 'string' ? this.time(time) : null
    const [minutes, low, high] =
      typeof time === 'string'
        ? [usual!.minutes * times, usual!.low * times, usual!.high * times]
        : [time.minutes, time.minutes * time.low, time.minutes * time.high]
    const { why, source } = usual ?? (time as Reckoned)
    if (stated === null)
      return { minutes: whole(minutes), lowMinutes: whole(low), highMinutes: whole(high), why, source }
    return {
      minutes: whole(stated),
      lowMinutes: whole(Math.min(stated, low)),
      highMinutes: whole(Math.max(stated, high)),
      why: 'the recipe says so',
      source: 'the recipe',
    }
  }

  /** The wait after a task: as long as a row of the times lets it. */
  after(id: string | null, row?: string, minMinutes = 0): TaskWait[] {
    if (id === null) return []
    const time = row === undefined ? null : this.time(row)
    return [
      { id, minMinutes, maxMinutes: time?.mostWait ?? null, why: time?.mostWait == null ? '' : time.why },
    ]
  }

  get(id: string): Task {
    return this.tasks.find((task) => task.id === id)!
  }
}
