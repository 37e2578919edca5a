import { planDinner, type Person } from '../../core/planning/dinner'
import { readMoment, type Written } from '../../core/planning/localTime'
import { EQUIPMENT, makeDish, USUAL_EQUIPMENT, type Equipment } from '../../core/planning/tasks'
import { conflictOf, waitWishes, type Conflict } from '../../core/schedule/conflict'
import type { ScheduleProblem } from '../../core/schedule/problem'
import { schedule } from '../../core/schedule/schedule'
import { withIds } from '../../core/recipe/document'
import { RecipeProblem } from '../../core/recipe/problem'
import type { ReferenceData } from '../../core/tables/referenceData'
import { timeTable } from '../../data/timeTable'
import type { ScheduleAsked } from '~~/shared/api/requests'
import type { ScheduleAnswer } from '~~/shared/api/schedule'

const NOT_A_TIME = 'a time is expected, such as "2026-11-26T19:30", "19:30", or minutes as a number'

/** Times of the request, as minutes before serving. */
function clockOf(asked: ScheduleAsked) {
  const zone = asked.timeZone ?? null
  const read = (given: string | number, field: string): Written => {
    const moment = readMoment(given, zone)
    if (!moment) throw new RecipeProblem([{ field, message: NOT_A_TIME }])
    return moment
  }
  const serve = read(asked.serveAt, 'serveAt')
  const before = (given: string | number, field: string): number => {
    const { at } = read(given, field)
    // An evening before a dinner at "19:30" that ends at "22:30" was a day earlier.
    const bare = typeof given === 'string' && /^\d{1,2}:\d{2}$/.test(given.trim())
    return serve.at - at + (bare && at > serve.at && field.startsWith('night.') ? 1440 : 0)
  }
  return { serve, before }
}

const sayConflict = (conflict: Conflict | null, serve: Written) =>
  conflict && {
    wishes: conflict.wishes,
    earliestServeAt: conflict.laterMinutes === null ? null : serve.write(serve.at + conflict.laterMinutes),
  }

/**
 * Answers a request for a schedule: of recipes, or of tasks as they stand.
 *
 * @throws RecipeProblem naming the field that cannot be
 */
export function scheduleFor(
  asked: ScheduleAsked,
  reference: ReferenceData,
  expired: () => boolean,
): ScheduleAnswer {
  const { serve, before } = clockOf(asked)
  const availableMinutes = asked.from === null ? null : before(asked.from, 'from')
  if (availableMinutes !== null && availableMinutes <= 0)
    throw new RecipeProblem([
      {
        field: 'serveAt',
        message: 'the dinner would be over before anybody may begin; serve later, or begin sooner',
      },
    ])
  const at = (minutesBefore: number) => serve.write(serve.at - minutesBefore)
  if (asked.tasks.length) return ofTasks(asked, { availableMinutes, serve, at }, expired)
  return ofRecipes(asked, { availableMinutes, serve, at, before }, reference, expired)
}

interface Clock {
  availableMinutes: number | null
  serve: Written
  at: (minutesBefore: number) => string | number
}

function ofTasks(
  asked: ScheduleAsked,
  { availableMinutes, serve, at }: Clock,
  expired: () => boolean,
): ScheduleAnswer {
  const problem: ScheduleProblem = {
    jobs: asked.tasks,
    capacity: { hands: asked.hands ?? 1, ...asked.capacity, ...(asked.hands ? { hands: asked.hands } : {}) },
    away: [],
    availableMinutes,
  }
  const found = schedule(problem, { expired })
  const byId = new Map(found.placed?.map((one) => [one.id, one]))
  const wishes = waitWishes(problem)
  if (availableMinutes !== null)
    wishes.push({
      id: 'from',
      says: 'nothing begins before "from"',
      without: (whole) => ({ ...whole, availableMinutes: null }),
    })
  return {
    tasks: found.placed
      ? asked.tasks.map(({ id, name, uses }) => {
          const one = byId.get(id)!
          return { id, name: name ?? id, start: at(one.start), end: at(one.end), uses }
        })
      : [],
    makespanMinutes: found.makespanMinutes,
    boundMinutes: found.boundMinutes,
    proven: found.proven,
    warnings: [],
    foodSafety: [],
    conflict: found.placed ? null : sayConflict(conflictOf(problem, wishes, expired), serve),
  }
}

function ofRecipes(
  asked: ScheduleAsked,
  {
    availableMinutes,
    serve,
    at,
    before,
  }: Clock & { before: (given: string | number, field: string) => number },
  reference: ReferenceData,
  expired: () => boolean,
): ScheduleAnswer {
  const dishes = asked.recipes.map(({ recipe, plan, stage }) =>
    makeDish(withIds(recipe), stage, plan ?? null, reference),
  )
  const people = asked.people?.length
    ? asked.people.map(({ name, from, does }, n): Person => ({
        name,
        does,
        from: from === null ? null : before(from, `people[${n}].from`),
      }))
    : Array.from({ length: asked.hands ?? asked.capacity.hands ?? 1 }, (_, n): Person => ({
        name: `${n + 1}`,
        from: null,
        does: 'everything',
      }))
  const equipment = Object.fromEntries(
    EQUIPMENT.map((one) => [one, asked.capacity[one] ?? USUAL_EQUIPMENT[one]]),
  ) as Record<Equipment, number>
  const { night } = asked
  const plan = planDinner(
    {
      dishes,
      people,
      equipment,
      roomC: asked.roomC,
      burnerW: asked.burnerW,
      availableMinutes,
      night: night && {
        from: before(night.from, 'night.from'),
        until: before(night.until, 'night.until'),
        backAt: before(night.backAt, 'night.backAt'),
      },
      keepApart: asked.keepApart,
      edits: Object.fromEntries(Object.entries(asked.minutes).map(([id, minutes]) => [id, { minutes }])),
      begun: {},
      now: null,
      givenUp: [],
    },
    reference,
    timeTable,
    { expired },
  )
  return {
    tasks: (plan.tasks ?? []).map((task) => ({
      id: task.id,
      name: task.name,
      start: at(task.start),
      end: at(task.end),
      uses: { ...(task.hands ? { hands: 1 } : {}), ...task.uses },
      ...(task.step === null ? {} : { step: task.step }),
      recipe: task.dish,
      why: task.why,
      source: task.source,
    })),
    makespanMinutes: plan.makespanMinutes,
    boundMinutes: plan.boundMinutes,
    proven: plan.proven,
    warnings: plan.warnings,
    foodSafety: plan.foodSafety.map(({ food, dish, minutesWarm, limitMinutes, terms, caution }) => ({
      food: dishes.length > 1 ? `${food} (${dishes[dish]!.recipe.title})` : food,
      minutesWarm,
      limitMinutes,
      terms,
      caution,
    })),
    conflict: sayConflict(plan.conflict, serve),
  }
}
