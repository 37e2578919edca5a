import { costOf, type PriceBook } from '../cost/costOf'
import type { UsualTimes } from '../planning/times'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import { PART_NAMES } from '../recipe/vocabulary'
import type { Made } from './candidates'
import { eatersOf, piecesEaten, type Cover } from './cover'
import type { Against, Fits } from './fits'
import type { Guest } from './guest'
import { cleaningMinutes, type Handwork } from './handwork'

/** What a guest eats otherwise than what is nearest the recipe and suits. */
export interface GivenUp {
  guestId: string
  /** Foods that go. */
  foods: string[]
}

/** A way to set the table with so many doughs and fillings: for comparing. */
export interface TableOption {
  kinds: number
  doughs: number
  fillings: number
  madeFor: string[][]
  /** Minutes of hands by the Clock's tasks, what kinds share counted once. */
  handsMinutes: number
  /** Beyond the option with the least work. */
  extraMinutes: number
  /** What it costs, in the price book's currency; null without a price. */
  cost: number | null
  /** Foods without a price: with any, the cost is "at least". */
  costUnknown: string[]
  /** How far from the recipe what the guests eat is, added up over their pieces. */
  distance: number
  givesUp: GivenUp[]
  /** The table is set this way. */
  isSet: boolean
}

/** So many options are shown beside one another. */
const MAX_OPTIONS = 6

/** The foods of a recipe by the kind of part they are in. */
const foodsByPart = ({ parts }: Recipe) =>
  new Map(
    parts.flatMap(({ kind, lines }) =>
      lines.flatMap(({ foodId }) =>
        foodId === null ? [] : [[`${kind}:${foodId}`, { foodId, part: PART_NAMES[kind] }] as const],
      ),
    ),
  )

/** What a dough or a filling costs at all: as little as with any candidate that is made of it. */
export function costsBy(
  key: 'dough' | 'filling',
  made: readonly Made[],
  work: readonly Handwork[],
): number[] {
  const costs: number[] = []
  made.forEach((one, at) => {
    costs[one[key]] = Math.min(costs[one[key]] ?? Infinity, work[at]![key].fixed)
  })
  return costs
}

/** What could be made, what it is in work, and how it stands to each guest. */
export interface Weighed {
  made: readonly Made[]
  work: readonly Handwork[]
  /** Minutes of each dough and of each filling, made once. */
  doughCost: readonly number[]
  fillingCost: readonly number[]
  guests: readonly Guest[]
  against: readonly (readonly Against[])[]
  fits: Fits
}

/**
 * The choices beside one another: by doughs and fillings, those with least to set them off against first.
 *
 * @param choice the way the table is set: it is among them, whatever sets it off
 * @param seated numbers of the guests that the covers are for, in their order
 */
export function optionsOf(
  covers: readonly Cover[],
  choice: Cover | null,
  seated: readonly number[],
  { made, work, doughCost, fillingCost, guests, against, fits }: Weighed,
  reference: ReferenceData,
  times: UsualTimes,
  prices: PriceBook | undefined,
): TableOption[] {
  const had = foodsByPart(made[0]!.recipe)
  const found = covers.map((cover): TableOption => {
    const own = cover.open.map((at) => made[at]!)
    const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0)
    const handsMinutes =
      sum([...new Set(own.map(({ dough }) => dough))].map((one) => doughCost[one]!)) +
      sum([...new Set(own.map(({ filling }) => filling))].map((one) => fillingCost[one]!)) +
      (cover.open.length - 1) * cleaningMinutes(times) +
      sum(
        cover.open.map((at) => {
          const { dough, filling, pieces } = work[at]!
          return pieces.fixed + piecesEaten(cover, at) * (dough.perPiece + filling.perPiece + pieces.perPiece)
        }),
      )
    const costs = prices?.size
      ? cover.open.map((at) => {
          const { recipe, evaluation } = made[at]!
          const cost = costOf(recipe, evaluation.working.lines, reference.foods, prices)
          return { batch: (cost.batch * piecesEaten(cover, at)) / recipe.pieces, unknown: cost.unknown }
        })
      : null
    return {
      kinds: cover.open.length,
      doughs: cover.doughs,
      fillings: cover.fillings,
      madeFor: cover.open.map((at) =>
        fits.madeFor(
          at,
          eatersOf(cover, at, seated).map((seat) => guests[seat]!),
        ),
      ),
      handsMinutes: Math.round(handsMinutes),
      extraMinutes: 0,
      cost: costs ? sum(costs.map(({ batch }) => batch)) : null,
      costUnknown: [...new Set(costs?.flatMap(({ unknown }) => unknown))],
      distance: sum(cover.eats.flat().map((one) => made[one.at]!.distance * one.pieces)),
      givesUp: seated.flatMap((seat, n): GivenUp[] => {
        const suiting = made.filter((_, at) => !against[seat]![at]!.reasons.length)
        if (!suiting.length) return []
        const nearest = suiting.reduce((best, one) => (one.distance < best.distance ? one : best))
        const eaten = cover.eats[n]!.map(({ at }) => made[at]!)
        if (eaten.some((one) => one.distance <= nearest.distance)) return []
        const eats = new Map(eaten.flatMap((one) => [...foodsByPart(one.recipe)]))
        const anywhere = new Set([...eats.values()].map(({ foodId }) => foodId))
        const foods = [...foodsByPart(nearest.recipe)].flatMap(([key, { foodId, part }]) => {
          if (!had.has(key) || eats.has(key)) return []
          const name = reference.foods.get(foodId)?.name ?? foodId
          // What stays elsewhere goes here: butter of the dough, not that of the filling.
          return [anywhere.has(foodId) ? `${name} (${part.toLowerCase()})` : name]
        })
        return foods.length ? [{ guestId: guests[seat]!.id, foods: [...new Set(foods)] }] : []
      }),
      isSet: cover === choice,
    }
  })
  const rank = (a: TableOption, b: TableOption) =>
    a.kinds - b.kinds || a.doughs - b.doughs || a.fillings - b.fillings
  const least = Math.min(...found.map(({ handsMinutes }) => handsMinutes))
  // What is more work and further from the recipe than another is not worth a look.
  return found
    .filter(
      (one) =>
        !found.some(
          (other) =>
            other !== one &&
            other.handsMinutes <= one.handsMinutes &&
            other.distance <= one.distance &&
            (other.handsMinutes < one.handsMinutes ||
              other.distance < one.distance ||
              other.kinds < one.kinds),
        ) ||
        one.kinds === 1 ||
        one.isSet,
    )
    .map((one) => ({ ...one, extraMinutes: one.handsMinutes - least }))
    .sort((a, b) => Number(b.isSet) - Number(a.isSet) || rank(a, b))
    .slice(0, MAX_OPTIONS)
    .sort(rank)
}
