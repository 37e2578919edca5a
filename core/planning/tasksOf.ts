import type { ReferenceData } from '../tables/referenceData'
import { doughTasks } from './doughTasks'
import { fillingTasks } from './fillingTasks'
import type { Holding } from './cookingTasks'
import { shapingTasks } from './shapingTasks'
import { TaskBook, type Dish, type Surroundings, type Task, type TaskKind } from './tasks'
import type { UsualTimes } from './times'

export interface DishTasks {
  tasks: Task[]
  /** What is ready at the end, and how long it may stand. */
  holdings: Holding[]
  warnings: string[]
}

const BEFORE_SHAPING: ReadonlySet<TaskKind> = new Set([
  'weigh',
  'dough',
  'soak',
  'chop',
  'cook-filling',
  'filling',
  'cool',
])
const STEP_HANDS = /^(?!.*\b(?:rest|wait|leave|stand|overnight)\b)/i

/**
 * The work of one dish: what its text says, and from the technique what it is silent about.
 *
 * @param at its place in the dinner; ids begin with it
 */
export function tasksOf(
  dish: Dish,
  at: number,
  around: Surroundings,
  reference: ReferenceData,
  times: UsualTimes,
): DishTasks {
  const book = new TaskBook(dish, at, around, reference, times)
  const frozen = dish.stage === 'from-frozen'
  const dough = frozen ? { id: null, row: undefined, leavened: null } : doughTasks(book)
  const fillings = frozen ? new Map<string, string>() : fillingTasks(book)
  const holdings = shapingTasks(book, dough, fillings)
  if (dish.stage !== 'freeze') {
    for (const part of dish.recipe.parts)
      if (part.kind === 'dip' && part.lines.length)
        holdings.push({
          id: book.add(
            `Make the ${/^(?:to |for )/i.test(part.name) || !part.name ? 'dip' : part.name.toLowerCase()}`,
            {
              id: `dip.${part.id}`,
              time: 'dip',
              times: Math.max(2, part.lines.length),
              kind: 'dip',
              hands: true,
              partId: part.id,
              ahead: dish.stage === 'night-before',
            },
          ),
          mostMinutes: null,
          why: '',
        })
    if (!frozen) uncoveredSteps(book)
  }
  return { tasks: book.tasks, holdings, warnings: book.warnings }
}

/** Steps of the method that no task speaks of are tasks of their own, in their order. */
function uncoveredSteps(book: TaskBook): void {
  const { method } = book.dish.recipe
  const covered = new Set(book.tasks.map((task) => task.step))
  const bound = (step: number) => book.tasks.find((task) => task.step === step)
  method.forEach((text, step) => {
    if (covered.has(step) || text.trim().split(/\s+/).length < 4) return
    if (/\b(?:serve|enjoy|store|keeps?|freez\w+)\b/i.test(text)) return
    const before = [...Array(step).keys()].reverse().map(bound).find(Boolean)
    // What only says more of work that is planned already adds nothing of its own.
    if (!before || !BEFORE_SHAPING.has(before.kind) || !STEP_HANDS.test(text)) return
    const short = text.length > 44 ? `${text.slice(0, 42).replace(/\s+\S*$/, '')} …` : text
    const id = book.add(short, {
      id: `step.${step + 1}`,
      time: 'step',
      kind: 'step',
      hands: true,
      after: book.after(before.id),
      step,
      partId: before.partId,
      ahead: before.ahead,
    })
    const next = book.tasks.find(({ kind }) => kind === 'shape')
    next?.after.push(...book.after(id))
  })
}
