import { allLines } from '../recipe/lines'
import type { ReferenceData } from '../tables/referenceData'
import { heldBy } from '../tray/apart'
import type { Dish, Task } from './tasks'
import { timeOf, type UsualTimes } from './times'

const holds = ({ recipe }: Dish, { foods }: ReferenceData): Set<string> =>
  heldBy(
    allLines(recipe).map(({ line }) => line),
    foods,
  )

/** More dishes than this are put in one order only. */
const MAX_PERMUTED = 4

function permutations(items: readonly number[]): number[][] {
  if (items.length < 2) return [[...items]]
  return items.flatMap((first, at) =>
    permutations([...items.slice(0, at), ...items.slice(at + 1)]).map((rest) => [first, ...rest]),
  )
}

/** What one dish holds that must not get into the next. */
const carried = (from: ReadonlySet<string>, to: ReadonlySet<string>) =>
  [...from].filter((one) => !to.has(one))

/** Orders in which dishes can be worked apart: that in which least is carried over first. */
export function ordersApart(dishes: readonly Dish[], reference: ReferenceData): number[][] {
  const held = dishes.map((dish) => holds(dish, reference))
  const all = dishes.map((_, at) => at)
  const strictest = [...all].sort((a, b) => held[a]!.size - held[b]!.size)
  if (dishes.length > MAX_PERMUTED) return [strictest]
  const dirt = (order: readonly number[]) =>
    order.slice(1).reduce((sum, at, n) => sum + (carried(held[order[n]!]!, held[at]!).length ? 1 : 0), 0)
  return permutations(strictest)
    .map((order, n) => ({ order, dirt: dirt(order), n }))
    .sort((a, b) => a.dirt - b.dirt || a.n - b.n)
    .map(({ order }) => order)
}

const ON_THE_BOARD: ReadonlySet<Task['kind']> = new Set(['divide', 'shape'])
const KNEADING: ReadonlySet<Task['kind']> = new Set(['dough'])
const COOKING: ReadonlySet<Task['kind']> = new Set(['cook'])

/**
 * Puts the work of one dish before that of the next, in the bowl, on the board and where they share a pot, with
 * cleaning between where the earlier one holds what the later must not get: tasks get waits, and the cleaning is
 * added to them.
 *
 * @returns what is done to keep them apart, and that it cannot be promised
 */
export function orderDishes(
  dishes: readonly Dish[],
  order: readonly number[],
  tasks: Task[],
  reference: ReferenceData,
  times: UsualTimes,
): string[] {
  const warnings: string[] = []
  const usual = timeOf(times, 'clean')
  const wait = ({ id }: Task) => ({ id, minMinutes: 0, maxMinutes: null, why: '' })
  for (let n = 1; n < order.length; n++) {
    const [earlier, at] = [order[n - 1]!, order[n]!]
    const of = (dish: number, kinds: ReadonlySet<Task['kind']>) =>
      tasks.filter((task) => task.dish === dish && kinds.has(task.kind))
    const dirt = carried(holds(dishes[earlier]!, reference), holds(dishes[at]!, reference))
    for (const kinds of [KNEADING, ON_THE_BOARD]) {
      const done = of(earlier, kinds)
      const begins = of(at, kinds)
      if (!done.length || !begins.length) continue
      let before = done.map(wait)
      if (dirt.length) {
        const clean: Task = {
          id: `${at + 1}.clean.${kinds === KNEADING ? 'bowl' : 'board'}`,
          dish: at,
          name: `Wash board, pins and hands for ${dishes[at]!.recipe.title}`,
          kind: 'clean',
          minutes: Math.round(usual.minutes),
          lowMinutes: Math.round(usual.low),
          highMinutes: Math.round(usual.high),
          hands: true,
          uses: { board: 1 },
          after: before,
          step: null,
          why: `${usual.why}: ${dirt.slice(0, 4).join(', ')} lay there before`,
          source: usual.source,
          partId: null,
          batch: null,
          ahead: false,
        }
        tasks.push(clean)
        before = [wait(clean)]
      }
      for (const task of begins) task.after.push(...before)
    }
    if (dishes[earlier]!.recipe.cooking.way === dishes[at]!.recipe.cooking.way)
      for (const task of of(at, COOKING)) task.after.push(...of(earlier, COOKING).map(wait))
    warnings.push(
      `${dishes[earlier]!.recipe.title} is worked before ${dishes[at]!.recipe.title}${dirt.length ? `, with cleaning between (${dirt.slice(0, 4).join(', ')})` : ', which holds more'}; own oil, water and spoons for each. A home kitchen cannot promise that nothing travels`,
    )
  }
  return warnings
}
