import { foodIs } from '../food/groups'
import type { Recipe } from '../recipe/document'
import { foodOf } from '../recipe/lines'
import type { ReferenceData } from '../tables/referenceData'
import type { Dish, Task } from './tasks'
import { gramsOf, inSentence } from './fillingTasks'
import { coolingMinutes, HOT_C, spreadInFridge, type Cooling } from './warmth'

/** US FDA Food Code 2022, 3-501.19 (B): food may be out of temperature control for 4 h at most, then it is thrown away. */
export const LIMIT_MINUTES = 240
/** 3-501.14 (A): cooked food cools from 57 to 21 °C within 2 h, and to 5 °C within 6 h in all. */
export const TO_21C_MINUTES = 120
export const TO_5C_MINUTES = 360
const DANGER_FROM_C = 57
const DANGER_UNTIL_C = 5

/** A filling's time between 5 and 57 °C along a plan. */
export interface WarmFood {
  food: string
  /** Index of its dish. */
  dish: number
  partId: string
  minutesWarm: number
  limitMinutes: number
  /** What the minutes are made of. */
  terms: { says: string; minutes: number }[]
  /** What is beyond a limit, with its number and source; '' where nothing is. */
  caution: string
}

interface Timed {
  task: Task
  start: number
  end: number
}

/** Food that has to be kept hot or cold: of animals, or a plant food that was cooked. After the Food Code's own definition (1-201.10). */
function needsKeeping(recipe: Recipe, partId: string, reference: ReferenceData): boolean {
  return recipe.parts
    .filter((part) => part.id === partId || part.into === partId)
    .some(
      (part) =>
        part.cookedBy !== null ||
        part.lines.some((line) => {
          const food = foodOf(line, reference.foods)
          return (
            foodIs(food, 'flesh') ||
            foodIs(food, 'egg') ||
            foodIs(food, 'dairy') ||
            foodIs(food, 'plant-protein') ||
            food?.state === 'cooked' ||
            food?.state === 'canned'
          )
        }),
    )
}

/** Minutes of a stretch of cooling in which the food is between 57 and 5 °C. */
function coolingWarm(minutes: number, cooling: Cooling): number {
  const from = coolingMinutes(HOT_C, DANGER_FROM_C, cooling)
  const until = coolingMinutes(HOT_C, DANGER_UNTIL_C, cooling)
  return Math.max(0, Math.min(minutes, until) - from)
}

/**
 * Adds up for each filling how long a plan leaves it between 5 and 57 °C: raw on the board, while it cools, and from
 * the first piece that is closed to the last that goes into the heat. Start and end are minutes before serving.
 */
export function foodSafetyOf(
  dishes: readonly Dish[],
  timed: readonly Timed[],
  reference: ReferenceData,
): WarmFood[] {
  return dishes.flatMap((dish, at) =>
    dish.recipe.parts.flatMap((part): WarmFood[] => {
      if (part.kind !== 'filling' || part.into !== null || !needsKeeping(dish.recipe, part.id, reference))
        return []
      const own = timed.filter(({ task }) => task.dish === at)
      const of = (kind: Task['kind']) =>
        own.filter(({ task }) => task.kind === kind && task.partId === part.id)
      const shaped = of('shape')
      if (!shaped.length) return []
      const terms: WarmFood['terms'] = []
      const chopped = of('chop')[0]
      const cooked = of('cook-filling')[0]
      const stirred = of('filling')[0]
      const raw = cooked ?? stirred
      if (chopped && raw)
        terms.push({
          says: 'raw on the board',
          // It is back in the fridge where it waits longer.
          minutes: chopped.start - chopped.end + (cooked ? 0 : raw.start - raw.end),
        })
      const firstShaped = Math.max(...shaped.map(({ start }) => start))
      let slow = false
      if (cooked) {
        const minutes = cooked.end - firstShaped
        const cooling = spreadInFridge(gramsOf({ dish }, part.id))
        terms.push({ says: 'while it cools', minutes: coolingWarm(minutes, cooling) })
        const to21 = coolingMinutes(DANGER_FROM_C, 21, cooling)
        const to5 = coolingMinutes(DANGER_FROM_C, DANGER_UNTIL_C, cooling)
        slow = to21 > TO_21C_MINUTES || (minutes > TO_5C_MINUTES && to5 > TO_5C_MINUTES)
      }
      const batches = new Set(shaped.map(({ task }) => task.batch))
      const heat = own.filter(
        ({ task }) =>
          (task.kind === 'cook' || task.id.endsWith('.freeze')) &&
          (task.batch === null || batches.has(task.batch)),
      )
      const lastHeat = Math.min(...heat.map(({ start }) => start), firstShaped)
      terms.push({
        says: 'from the first piece closed to the last in the heat',
        minutes: firstShaped - lastHeat,
      })
      const minutesWarm = Math.round(terms.reduce((sum, term) => sum + term.minutes, 0))
      const over = minutesWarm > LIMIT_MINUTES
      return [
        {
          food: inSentence(part.name).replace(/^./, (first) => first.toUpperCase()),
          dish: at,
          partId: part.id,
          minutesWarm,
          limitMinutes: LIMIT_MINUTES,
          terms: terms.map(({ says, minutes }) => ({ says, minutes: Math.round(minutes) })),
          caution: [
            over &&
              `${minutesWarm} min between 5 and 57 °C, more than the ${LIMIT_MINUTES} of FDA Food Code 3-501.19: keep part of it in the fridge until it is closed in`,
            slow &&
              `it cools too slowly, spread it flatter: 57 to 21 °C within ${TO_21C_MINUTES} min, to 5 °C within ${TO_5C_MINUTES} (FDA Food Code 3-501.14)`,
          ]
            .filter(Boolean)
            .join('; '),
        },
      ]
    }),
  )
}
