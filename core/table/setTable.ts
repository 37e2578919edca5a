import { adapt, type Adaptation } from '../adaptation/adapt'
import { foodIs } from '../food/groups'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { Figures } from '../nutrition/figures'
import { scaleFigures, addFigures, zeroFigures } from '../nutrition/figures'
import { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { scaleRecipe } from '../recipe/scale'
import { heldBy, marksOf, type Mark } from '../tray/apart'
import type { ReferenceData } from '../tables/referenceData'
import { cheapestCover, MAX_CANDIDATES, type Candidate } from './cover'

export interface Guest {
  id: string
  diets: readonly string[]
  /** Foods by their ids that this guest leaves out. */
  avoid: readonly string[]
  pieces: number
}

/** One kind of piece on the table. */
export interface Kind {
  id: string
  recipe: Recipe
  pieces: number
  mark: Mark | null
  suits: string[]
  /** Diets it was made for; none for the recipe as it is. */
  madeFor: string[]
  allergens: string[]
  mayContain: string[]
}

export interface Plate {
  guestId: string
  kinds: { id: string; pieces: number }[]
  perPlate: Figures
}

/** A way to set the table with so many kinds: for comparing. */
export interface TableOption {
  kinds: number
  madeFor: string[][]
  extraMinutes: number
  /** How far from the recipe what the guests eat is, added up over their pieces. */
  distance: number
  /** Guests who eat something else than the recipe though it would suit them. */
  givesUp: string[]
}

export interface Table {
  kinds: Kind[]
  plates: Plate[]
  /** Kinds in the order in which they are worked and cooked: what holds least first. */
  order: string[]
  apart: string[]
  options: TableOption[]
  /** True when no cheaper choice exists among all that could be made. */
  proven: boolean
  conflict: { guestIds: string[]; diets: string[]; why: string } | null
}

export interface TableOptions {
  /** So many kinds at most; null for what is cheapest. */
  kinds?: number | null
  expired?: () => boolean
}

/** One more dough, or one more filling, in minutes of work: our own choice, until the Clock has planned it. */
const DOUGH_MINUTES = 30
const FILLING_MINUTES = 20
/** A step away from the recipe, for one piece, weighs as so many minutes of work. Our own choice. */
const DISTANCE_MINUTES = 0.08
/** A change whose distance nobody weighed counts as so many steps. Our own choice. */
const STEPS_A_CHANGE = 4

interface Made {
  recipe: Recipe
  evaluation: Evaluation
  diets: string[]
  distance: number
  minutes: number
}

const keyOf = ({ diets, avoid }: Pick<Guest, 'diets' | 'avoid'>) =>
  [...new Set(diets)].sort().join() + '|' + [...new Set(avoid)].sort().join()

/** What the guests ask for, and what unites some of them: singles, all together, then pairs and triples. */
function asked(guests: readonly Guest[]): { diets: string[]; avoid: string[] }[] {
  const distinct = [...new Map(guests.map((guest) => [keyOf(guest), guest])).values()].filter(
    ({ diets, avoid }) => diets.length || avoid.length,
  )
  const union = (some: readonly Guest[]) => ({
    diets: [...new Set(some.flatMap(({ diets }) => diets))],
    avoid: [...new Set(some.flatMap(({ avoid }) => avoid))],
  })
  const found = new Map<string, { diets: string[]; avoid: string[] }>()
  const add = (some: readonly Guest[]) => {
    const one = union(some)
    if (some.length && found.size < MAX_CANDIDATES - 1) found.set(keyOf(one), one)
  }
  for (const one of distinct) add([one])
  add(distinct)
  for (let a = 0; a < distinct.length; a++)
    for (let b = a + 1; b < distinct.length; b++) add([distinct[a]!, distinct[b]!])
  for (let a = 0; a < distinct.length; a++)
    for (let b = a + 1; b < distinct.length; b++)
      for (let c = b + 1; c < distinct.length; c++) add([distinct[a]!, distinct[b]!, distinct[c]!])
  return [...found.values()]
}

const linesOf = (recipe: Recipe, shell: boolean) =>
  JSON.stringify(
    recipe.parts
      .filter(({ kind }) => (kind === 'shell') === shell)
      .flatMap(({ lines }) => lines.map(({ foodId, grams }) => [foodId, grams])),
  )

const MAX_TITLE = 200
/** A spice or a herb that somebody avoids and nothing stands in for is left out, as a cook would; a main food is not. */
function withoutSpices(
  adapted: Adaptation,
  avoid: readonly string[],
  reference: ReferenceData,
): Pick<Adaptation, 'recipe' | 'evaluation' | 'changes' | 'distance' | 'unmet' | 'conflict' | 'compromise'> {
  const left = new Set(adapted.unmet.map(({ lineId }) => lineId))
  const goes = ({ id, foodId }: { id: string; foodId: string | null }) => {
    const food = foodId === null ? undefined : reference.foods.get(foodId)
    return left.has(id) && food !== undefined && avoid.includes(food.id) && foodIs(food, 'seasons')
  }
  if (!adapted.recipe.parts.some(({ lines }) => lines.some(goes))) return adapted
  const recipe: Recipe = {
    ...adapted.recipe,
    parts: adapted.recipe.parts.map((part) => ({ ...part, lines: part.lines.filter((line) => !goes(line)) })),
  }
  return { ...adapted, recipe, evaluation: evaluate(recipe, reference) }
}

/** What it was made for stands in its title: two kinds of one recipe are told apart everywhere. */
function titled(recipe: Recipe, diets: readonly string[], reference: ReferenceData): Recipe {
  const names = diets.map((id) => reference.diets.find((one) => one.id === id)!.name.toLowerCase())
  return names.length
    ? { ...recipe, title: `${recipe.title}, ${names.join(', ')}`.slice(0, MAX_TITLE) }
    : recipe
}

/** Whether a guest may eat it: every diet fits, and nothing that is avoided is in it. */
function suits(guest: Guest, { recipe, evaluation }: Made): boolean {
  const held = new Set(allLines(recipe).map(({ line }) => line.foodId))
  if (guest.avoid.some((id) => held.has(id))) return false
  return guest.diets.every((id) => evaluation.diets.find(({ diet }) => diet === id)?.verdict === 'fits')
}

/**
 * Sets a table: the fewest and nearest kinds of one recipe so that every guest has something to eat, which piece is
 * whose, and what each has on the plate.
 *
 * @param recipe a document that has passed `recipeSchema`, ids given
 * @throws RecipeProblem for a diet or food that is not known, or a recipe that cannot be reckoned
 */
export function setTable(
  recipe: Recipe,
  guests: readonly Guest[],
  reference: ReferenceData,
  { kinds = null, expired = () => false }: TableOptions = {},
): Table {
  guests.forEach((guest, at) => {
    const strange = guest.avoid.findIndex((id) => !reference.foods.has(id))
    if (strange >= 0)
      throw new RecipeProblem([
        { field: `guests[${at}].avoid[${strange}]`, message: `no food has the id "${guest.avoid[strange]}"` },
      ])
    const diet = guest.diets.findIndex((id) => !reference.diets.some((one) => one.id === id))
    if (diet >= 0)
      throw new RecipeProblem([
        {
          field: `guests[${at}].diets[${diet}]`,
          message: `"${guest.diets[diet]}" is not a diet here; use one of ${reference.diets.map(({ id }) => id).join(', ')}`,
        },
      ])
  })
  const made: Made[] = [
    { recipe, evaluation: evaluate(recipe, reference), diets: [], distance: 0, minutes: 0 },
  ]
  let complete = true
  const reasons = new Map<string, string>()
  for (const { diets, avoid } of asked(guests)) {
    if (expired()) {
      complete = false
      break
    }
    const adapted = withoutSpices(
      adapt({ ...recipe, avoid: [...new Set([...recipe.avoid, ...avoid])] }, diets, reference, {
        expired,
      }),
      avoid,
      reference,
    )
    reasons.set(
      keyOf({ diets, avoid }),
      adapted.conflict.join(', ') ||
        adapted.unmet.map(({ reason }) => reason).join('; ') ||
        adapted.compromise,
    )
    made.push({
      recipe: titled(adapted.recipe, diets, reference),
      evaluation: adapted.evaluation,
      diets,
      distance: adapted.distance ?? adapted.changes.length * STEPS_A_CHANGE,
      minutes:
        (linesOf(adapted.recipe, true) === linesOf(recipe, true) ? 0 : DOUGH_MINUTES) +
        (linesOf(adapted.recipe, false) === linesOf(recipe, false) ? 0 : FILLING_MINUTES),
    })
  }
  const fits = made.map((one) => guests.map((guest) => suits(guest, one)))
  const without = guests.filter((_, at) => !fits.some((own) => own[at]))
  const seated = guests.filter((guest) => !without.includes(guest))
  const seats = guests.flatMap((guest, at) => (seated.includes(guest) ? [at] : []))
  const candidates: Candidate[] = made.map((one, at) => ({
    suits: seats.map((seat) => fits[at]![seat]!),
    openCost: Math.max(one.minutes, 1),
    eatCost: seats.map((seat) => guests[seat]!.pieces * one.distance * DISTANCE_MINUTES),
  }))
  const choice =
    cheapestCover(candidates, seats.length, kinds) ??
    (kinds === null ? null : cheapestCover(candidates, seats.length))
  const options = [1, 2, 3].flatMap((number): TableOption[] => {
    const cover = seats.length ? cheapestCover(candidates, seats.length, number) : null
    if (!cover) return []
    const own = cover.open.map((at) => made[at]!)
    return [
      {
        kinds: number,
        madeFor: own.map(({ diets }) => diets),
        // One kind is made in any case: what the others take comes on top.
        extraMinutes:
          own.reduce((sum, { minutes }) => sum + minutes, 0) - Math.min(...own.map(({ minutes }) => minutes)),
        distance: cover.eats.reduce((sum, at, n) => sum + made[at]!.distance * seated[n]!.pieces, 0),
        givesUp: seated.filter((_, n) => cover.eats[n] !== 0 && fits[0]![seats[n]!]).map(({ id }) => id),
      },
    ]
  })
  const open = choice?.open ?? []
  const marks = marksOf(open)
  const piecesOf = (at: number) =>
    seated.reduce((sum, guest, n) => sum + (choice!.eats[n] === at ? guest.pieces : 0), 0)
  const onTable: Kind[] = open.map((at, n) => {
    const { recipe: own, evaluation, diets } = made[at]!
    const pieces = piecesOf(at)
    return {
      id: `k${n + 1}`,
      recipe: pieces > 0 ? scaleRecipe(own, pieces / own.pieces) : own,
      pieces,
      mark: marks[n]?.mark ?? null,
      suits: guests.filter((_, seat) => fits[at]![seat]).map(({ id }) => id),
      madeFor: diets,
      allergens: evaluation.allergens,
      mayContain: evaluation.mayContain,
    }
  })
  const plates = seated.map((guest, n): Plate => {
    const at = choice!.eats[n]!
    const perPlate = zeroFigures()
    addFigures(perPlate, scaleFigures(made[at]!.evaluation.perPiece, guest.pieces))
    return {
      guestId: guest.id,
      kinds: [{ id: onTable[open.indexOf(at)]!.id, pieces: guest.pieces }],
      perPlate,
    }
  })
  const held = new Map(
    onTable.map((one) => [
      one.id,
      heldBy(
        allLines(one.recipe).map(({ line }) => line),
        reference.foods,
      ),
    ]),
  )
  const inOrder = [...onTable].sort((a, b) => held.get(a.id)!.size - held.get(b.id)!.size)
  return {
    kinds: onTable,
    plates,
    order: inOrder.map(({ id }) => id),
    apart: apartOf(inOrder, held),
    options,
    proven: complete,
    conflict: without.length
      ? {
          guestIds: without.map(({ id }) => id),
          diets: [...new Set(without.flatMap(({ diets }) => diets))],
          why: without.map((guest) => reasons.get(keyOf(guest)) ?? '').find(Boolean) || whyNot(recipe),
        }
      : null,
  }
}

/** Without a word of the search: what is not known cannot fit, and a figure may be out of reach. */
const whyNot = (recipe: Recipe) =>
  allLines(recipe).some(({ line }) => line.foodId === null)
    ? 'Of some lines it is not known what they are: choose foods for them first'
    : 'The recipe does not reach what is asked, or it is only known by the packet'

/** What is kept apart, in plain words: what each later kind brings, and what a home kitchen cannot promise. */
function apartOf(inOrder: readonly Kind[], held: ReadonlyMap<string, ReadonlySet<string>>): string[] {
  if (inOrder.length < 2) return []
  const had = new Set<string>(held.get(inOrder[0]!.id))
  const words = [
    `Work and cook ${nameOf(inOrder[0]!)} first: clean board, bowl, spoon, oil, water, steamer and serving plate`,
  ]
  for (const kind of inOrder.slice(1)) {
    const brings = [...held.get(kind.id)!].filter((one) => !had.has(one))
    for (const one of held.get(kind.id)!) had.add(one)
    words.push(
      brings.length
        ? `${nameOf(kind)} brings ${brings.join(', ')}: after the others, or in a pot and with a spoon of its own`
        : `${nameOf(kind)} brings nothing that the ones before it do not hold`,
    )
  }
  words.push('A home kitchen cannot promise that nothing is carried over: ask whoever reacts to traces')
  return words
}
const nameOf = (kind: Kind) =>
  kind.madeFor.length ? `the ${kind.madeFor.join(' and ')} kind` : 'the kind as it is'
