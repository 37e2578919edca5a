import type { PriceBook } from '../cost/costOf'
import type { Figures } from '../nutrition/figures'
import type { UsualTimes } from '../planning/times'
import { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { scaleRecipe } from '../recipe/scale'
import { heldBy, marksOf, type Mark } from '../tray/apart'
import type { ReferenceData } from '../tables/referenceData'
import { candidatesFor, fewerPieces, foodsIn } from './candidates'
import { coversSeating, eatersOf, piecesEaten, type Candidate, type CoverQuestion, type Form } from './cover'
import { dishesOf, type TableDish } from './dishes'
import type { Guest } from './guest'
import { Fits } from './fits'
import { cleaningMinutes, handworkOf, NO_HANDWORK } from './handwork'
import { costsBy, optionsOf, type TableOption, type Weighed } from './options'
import { apartOf } from './keptApart'
import { plateFigures, wishesOn, type PlateWish } from './plates'

/** One kind of piece on the table. */
export interface Kind {
  id: string
  recipe: Recipe
  pieces: number
  mark: Mark | null
  suits: string[]
  /** What of its eaters' diets it is made otherwise for; none for what suits them as it is. */
  madeFor: string[]
  allergens: string[]
  mayContain: string[]
}

export interface Plate {
  guestId: string
  kinds: { id: string; pieces: number }[]
  perPlate: Figures
  /** What the guest's diets ask of figures, over the whole plate. */
  wishes: PlateWish[]
  /** Foods on it that the guest likes. */
  liked: string[]
  /** What has to be read on packets before this guest eats of it. */
  toCheck: string[]
  /** What of a preference had to be passed over, for nothing suited. */
  passedOver: string[]
}

export interface Table {
  kinds: Kind[]
  plates: Plate[]
  /** Kinds in the order in which they are worked and cooked: what holds least first. */
  order: string[]
  apart: string[]
  /** What is made in one go: kinds of one dough together. */
  dishes: TableDish[]
  options: TableOption[]
  /**
   * True when every wish and every few of them were looked for, each answer is the nearest, and no choice among these
   * and their doughs and fillings put together anew is cheaper.
   */
  proven: boolean
  /** What was asked of the table and could not be, and whom it has nothing for that they like. */
  remarks: string[]
  conflict: {
    guestIds: string[]
    diets: string[]
    why: string
    /** For whom fewer pieces could be made to fit, and how many. */
    fewer: { guestId: string; pieces: number }[]
  } | null
}

export interface TableOptions {
  /** So many kinds, doughs, fillings; null for what is cheapest. */
  kinds?: number | null
  doughs?: number | null
  fillings?: number | null
  /** Each guest has of every kind that suits. */
  mixed?: boolean
  prices?: PriceBook
  expired?: () => boolean
}

/** A step away from the recipe, for one piece, weighs as so many minutes of work. Our own choice. */
const DISTANCE_MINUTES = 0.08
/** A piece of a plate that holds nothing its guest likes weighs as so many minutes of work. Our own choice. */
const NOT_LIKED_MINUTES = 4
/** A diet that is only a preference and passed over weighs, for one piece, as so many minutes of work. Our own choice. */
const PASSED_OVER_MINUTES = 30
const MAX_TITLE = 200
/** What it was made for stands in its title: two kinds of one recipe are told apart everywhere. */
function titled(recipe: Recipe, diets: readonly string[], reference: ReferenceData): Recipe {
  const names = diets.map((id) => reference.diets.find((one) => one.id === id)!.name.toLowerCase())
  return names.length
    ? { ...recipe, title: `${recipe.title}, ${names.join(', ')}`.slice(0, MAX_TITLE) }
    : recipe
}

/** @throws RecipeProblem naming the guest's field that is not known */
function checkGuests(guests: readonly Guest[], { foods, diets }: ReferenceData): void {
  guests.forEach((guest, at) => {
    for (const field of ['avoid', 'likes'] as const) {
      const strange = guest[field].findIndex((id) => !foods.has(id))
      if (strange >= 0)
        throw new RecipeProblem([
          {
            field: `guests[${at}].${field}[${strange}]`,
            message: `no food has the id "${guest[field][strange]}"`,
          },
        ])
    }
    const diet = guest.diets.findIndex((id) => !diets.some((one) => one.id === id))
    if (diet >= 0)
      throw new RecipeProblem([
        {
          field: `guests[${at}].diets[${diet}]`,
          message: `"${guest.diets[diet]}" is not a diet here; use one of ${diets.map(({ id }) => id).join(', ')}`,
        },
      ])
  })
}

/**
 * Sets a table: the fewest and nearest kinds of one recipe so that every guest has enough and, where it can be,
 * something to like; which piece is whose, and what each has on the plate.
 *
 * @param recipe a document that has passed `recipeSchema`, ids given
 * @throws RecipeProblem for a diet or food that is not known, or a recipe that cannot be reckoned
 */
export function setTable(
  recipe: Recipe,
  guests: readonly Guest[],
  reference: ReferenceData,
  times: UsualTimes,
  options: TableOptions = {},
): Table {
  checkGuests(guests, reference)
  const expired = options.expired ?? (() => false)
  const { made, reasonFor, complete } = candidatesFor(recipe, guests, reference, expired)
  const fits = new Fits(made, reference)
  const against = guests.map((guest) => made.map((_, at) => fits.against(guest, at)))
  const nothing = guests.map((_, seat) => against[seat]!.every((one) => one.reasons.length > 0))
  // Nobody goes hungry for a preference: where nothing suits, what goes least against it is passed over.
  const hungry = guests.flatMap((guest, seat) =>
    !nothing[seat] || guest.strength === 'preference' ? [seat] : [],
  )
  const total = Math.max(
    1,
    hungry.reduce((sum, seat) => sum + guests[seat]!.pieces, 0),
  )
  const work = made.map((one) => handworkOf(one.recipe, total, reference, times) ?? NO_HANDWORK)
  const likes = made.map((one) => foodsIn(one.recipe))
  const weighed: Weighed = {
    made,
    work,
    doughCost: costsBy('dough', made, work),
    fillingCost: costsBy('filling', made, work),
    guests,
    against,
    fits,
  }
  const questionFor = (seats: readonly number[]): CoverQuestion => ({
    candidates: made.map((one, at): Candidate => ({
      dough: one.dough,
      filling: one.filling,
      suits: seats.map((seat) => nothing[seat]! || !against[seat]![at]!.reasons.length),
      openCost: work[at]!.pieces.fixed + cleaningMinutes(times),
      eatCost: seats.map(
        (seat) =>
          one.distance * DISTANCE_MINUTES +
          work[at]!.dough.perPiece +
          work[at]!.filling.perPiece +
          work[at]!.pieces.perPiece +
          (nothing[seat] ? PASSED_OVER_MINUTES * against[seat]![at]!.weight : 0),
      ),
      liked: seats.map(
        (seat) => !guests[seat]!.likes.length || guests[seat]!.likes.some((id) => likes[at]!.has(id)),
      ),
    })),
    doughCost: weighed.doughCost,
    fillingCost: weighed.fillingCost,
    pieces: seats.map((seat) => guests[seat]!.pieces),
    notLikedCost: NOT_LIKED_MINUTES,
    mixed: options.mixed ?? false,
  })
  const form = {
    kinds: options.kinds ?? null,
    doughs: options.doughs ?? null,
    fillings: options.fillings ?? null,
  }
  const { covers, choice, asAsked, proven, seated } = coversSeating(hungry, questionFor, form, expired)
  const without = guests.filter((_, seat) => !seated.includes(seat))
  const remarks = choice && !asAsked ? [notOfForm(form)] : []

  const open = choice?.open ?? []
  const marks = marksOf(open)
  const kinds = open.map((at, n): Kind => {
    const { recipe: own, evaluation } = made[at]!
    const count = piecesEaten(choice!, at)
    const eaters = eatersOf(choice!, at, seated).map((seat) => guests[seat]!)
    const madeFor = fits.madeFor(at, eaters)
    return {
      id: `k${n + 1}`,
      recipe: {
        ...scaleRecipe(titled(own, madeFor, reference), count / own.pieces),
        servings: eaters.length,
        servingsStated: true,
      },
      pieces: count,
      mark: marks[n]?.mark ?? null,
      suits: guests.filter((_, seat) => !against[seat]![at]!.reasons.length).map(({ id }) => id),
      madeFor,
      allergens: evaluation.allergens,
      mayContain: evaluation.mayContain,
    }
  })
  const plates = seated.map((seat, n): Plate => {
    const guest = guests[seat]!
    const eats = choice!.eats[n]!
    const onPlate = eats.map((one) => ({ evaluation: made[one.at]!.evaluation, pieces: one.pieces }))
    const foods = new Set(eats.flatMap(({ at }) => [...likes[at]!]))
    return {
      guestId: guest.id,
      kinds: eats.map((one) => ({ id: kinds[open.indexOf(one.at)]!.id, pieces: one.pieces })),
      perPlate: plateFigures(onPlate),
      wishes: wishesOn(
        onPlate,
        reference.diets.filter(({ id }) => guest.diets.includes(id)),
        made[0]!.evaluation,
      ),
      liked: guest.likes.filter((id) => foods.has(id)).map((id) => reference.foods.get(id)!.name),
      toCheck: [...new Set(eats.flatMap(({ at }) => against[seat]![at]!.toCheck))],
      passedOver: [...new Set(eats.flatMap(({ at }) => against[seat]![at]!.reasons))],
    }
  })
  const held = new Map(
    kinds.map((one) => [
      one.id,
      heldBy(
        allLines(one.recipe).map(({ line }) => line),
        reference.foods,
      ),
    ]),
  )
  const inOrder = [...kinds].sort((a, b) => held.get(a.id)!.size - held.get(b.id)!.size)
  return {
    kinds,
    plates,
    order: inOrder.map(({ id }) => id),
    apart: apartOf(inOrder, held),
    dishes: dishesOf(
      inOrder.map((one) => ({ ...one, name: one.madeFor.join(', ') || 'as it is' })),
      recipe.title,
    ),
    options: optionsOf(covers, choice, seated, weighed, reference, times, options.prices),
    proven: complete && proven,
    remarks,
    conflict: without.length
      ? {
          guestIds: without.map(({ id }) => id),
          diets: [...new Set(without.flatMap(({ diets }) => diets))],
          why:
            (seated.length < hungry.length
              ? 'More than four kinds would be needed, and no more marks tell their pieces apart'
              : without.map(reasonFor).find(Boolean)) || whyNot(recipe),
          fewer: without.flatMap((guest) => {
            const fewer = fewerPieces(recipe, guest, reference, expired)
            return fewer === null ? [] : [{ guestId: guest.id, pieces: fewer }]
          }),
        }
      : null,
  }
}

/** What is said where no table has the numbers that were asked for. */
function notOfForm(form: Form): string {
  const asked = (['kinds', 'doughs', 'fillings'] as const).flatMap((what) => {
    const number = form[what]
    return number === null ? [] : [`${number} ${number === 1 ? what.slice(0, -1) : what}`]
  })
  return `No table has ${asked.join(' and ')} that somebody eats: this is the one with least work that suits`
}

/** Without a word of the search: what is not known cannot fit, and a figure may be out of reach. */
const whyNot = (recipe: Recipe) =>
  allLines(recipe).some(({ line }) => line.foodId === null)
    ? 'Of some lines it is not known what they are: choose foods for them first'
    : 'The recipe does not reach what is asked, or it is only known by the packet'
