import type { Evaluation } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import type { FactKind } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'
import type { PlannedPieces } from '../tray/pieces'
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
   * Adds a task by a row of the times: so often its minutes, unless the recipe says how long.
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
      Partial<Omit<Task, 'name' | 'dish'>> & {
        id: string
        time: string
        times?: number
        stated?: number | null
      },
  ): string {
    const usual = this.time(time)
    const whole = (minutes: number) => Math.max(1, Math.round(minutes))
    const own = `${this.at + 1}.${id}`
    this.tasks.push({
      id: own,
      dish: this.at,
      name,
      kind,
      minutes: whole(stated ?? usual.minutes * times),
      lowMinutes: whole(stated === null ? usual.low * times : Math.min(stated, usual.low * times)),
      highMinutes: whole(stated === null ? usual.high * times : Math.max(stated, usual.high * times)),
      hands: false,
      uses: {},
      after: [],
      step: stepOf(kind, this.dish.recipe, more.partId ?? null),
      why: stated === null ? usual.why : 'the recipe says so',
      source: stated === null ? usual.source : 'the recipe',
      partId: null,
      batch: null,
      ahead: false,
      ...more,
    })
    return own
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
