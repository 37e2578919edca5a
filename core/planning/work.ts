import type { ReferenceData } from '../tables/referenceData'
import type { Dinner } from './dinner'
import { USUAL_OVEN_C } from './cookingTasks'
import { orderDishes } from './keepApart'
import type { Dish, Task } from './tasks'
import { tasksOf, type DishTasks } from './tasksOf'
import { timeOf, type UsualTimes } from './times'

/** The task that everything is counted from. */
export const SERVE = 'serve'

/** The work of a dinner: every dish's tasks, what keeps dishes apart, and serving. */
export interface Work {
  tasks: Task[]
  warnings: string[]
}

/** An oven that is hot already is at another heat so near in a few minutes. Common practice, no source. */
const NEAR_C = 25
const RESET_MINUTES = 4
const RESET_WAITS = 30

/** What bakes at nearly the same heat goes in one after another, into the oven that is hot. */
function shareOven(dishes: readonly Dish[], tasks: readonly Task[]): void {
  let before: { at: number; celsius: number } | null = null
  dishes.forEach(({ recipe }, at) => {
    const hot = tasks.find((task) => task.id === `${at + 1}.cook.hot` && task.uses.oven)
    const celsius = recipe.cooking.temperatureC ?? USUAL_OVEN_C
    if (!hot) return
    if (before && Math.abs(celsius - before.celsius) <= NEAR_C) {
      const last = tasks.filter((task) => task.dish === before!.at && task.kind === 'cook').at(-1)!
      hot.name = `Set the oven to ${Math.round(celsius)} °C`
      hot.minutes = hot.lowMinutes = hot.highMinutes = RESET_MINUTES
      hot.why = 'it is hot already from what was baked before'
      hot.after.push({ id: last.id, minMinutes: 0, maxMinutes: RESET_WAITS, why: 'it is still hot' })
    }
    before = { at, celsius }
  })
}

/**
 * All the work, with the cook's own minutes.
 *
 * @param order indices of the dishes as they are worked when they are kept apart; null where they are not
 */
export function workOf(
  dinner: Dinner,
  reference: ReferenceData,
  times: UsualTimes,
  order: readonly number[] | null = null,
): Work {
  const around = { roomC: dinner.roomC, burnerW: dinner.burnerW }
  const dishes = dinner.dishes.map((dish, at): DishTasks => tasksOf(dish, at, around, reference, times))
  const tasks = dishes.flatMap((dish) => dish.tasks)
  const warnings = dishes.flatMap((dish) => dish.warnings)
  shareOven(dinner.dishes, tasks)
  if (order) warnings.push(...orderDishes(dinner.dishes, order, tasks, reference, times))
  const rest = timeOf(times, 'rest-eating')
  const stood = new Map(dishes.flatMap((dish) => dish.holdings).map((one) => [one.id, one]))
  const followed = new Set(tasks.flatMap((task) => task.after.map(({ id }) => id)))
  tasks.push({
    id: SERVE,
    dish: 0,
    name: 'On the table',
    kind: 'serve',
    minutes: 0,
    lowMinutes: 0,
    highMinutes: 0,
    hands: false,
    uses: {},
    after: tasks.flatMap((task) => {
      const holding = stood.get(task.id)
      if (!holding && followed.has(task.id)) return []
      const hot = task.kind === 'cook'
      const most = holding?.mostMinutes ?? null
      return [
        {
          id: task.id,
          minMinutes: hot ? rest.minutes : 0,
          maxMinutes: most === null ? null : Math.max(most, rest.minutes),
          why: holding?.why ?? '',
        },
      ]
    }),
    step: null,
    why: rest.why,
    source: rest.source,
    partId: null,
    batch: null,
    ahead: false,
  })
  const edited = tasks.map((task): Task => {
    const minutes = dinner.edits[task.id]?.minutes
    return minutes === undefined ? task : { ...task, minutes, why: 'your own minutes', source: 'yours' }
  })
  return { tasks: edited, warnings }
}
