/** Something that can be on the table, and whom it suits. */
export interface Candidate {
  /** Which dough and which filling it is made of: what two of them share is made once. */
  dough: number
  filling: number
  /** By guest, in the order of the guests. */
  suits: readonly boolean[]
  /** What it costs to make it at all, beside its dough and its filling. */
  openCost: number
  /** What it costs, for each guest, to eat one piece of it. */
  eatCost: readonly number[]
  /** Whether there is something in it that the guest likes. */
  liked: readonly boolean[]
}

export interface CoverQuestion {
  candidates: readonly Candidate[]
  /** What each dough and each filling costs, made once. */
  doughCost: readonly number[]
  fillingCost: readonly number[]
  /** How many pieces each guest eats. */
  pieces: readonly number[]
  /** What it costs, a piece, to have nothing on the plate that one likes. */
  notLikedCost: number
  /** Each guest has of every kind that suits; else each has one kind. */
  mixed: boolean
}

export interface Eaten {
  at: number
  pieces: number
}

export interface Cover {
  /** Indices of candidates that are made, rising. */
  open: number[]
  /** By guest, of which of them how many pieces. */
  eats: Eaten[][]
  doughs: number
  fillings: number
  cost: number
}

/** So many kinds at a time are weighed: no more can be told apart by their marks. */
export const MAX_KINDS = 4
/** Sets of up to four out of so many are tried one by one: 12,950 of them. Of more, only the cheapest is looked for. */
export const MAX_WEIGHED = 24
/** The cheapest is looked for among so many. */
export const MAX_CANDIDATES = 256

/** Sets of up to `most` out of `count`, smaller ones first. */
export function* setsOf(count: number, most: number): Generator<number[]> {
  const of = function* (size: number, from: number): Generator<number[]> {
    if (size === 0) yield []
    else
      for (let at = from; at <= count - size; at++)
        for (const rest of of(size - 1, at + 1)) yield [at, ...rest]
  }
  for (let size = 1; size <= Math.min(most, count); size++) yield* of(size, 0)
}

/** The pieces of one guest, out of what is made: the nearest kind, or of every kind some, the odd piece of the nearest. */
function plateOf(
  { candidates, pieces, mixed }: CoverQuestion,
  set: readonly number[],
  guest: number,
): Eaten[] {
  const own = set
    .filter((at) => candidates[at]!.suits[guest])
    .sort((a, b) => candidates[a]!.eatCost[guest]! - candidates[b]!.eatCost[guest]! || a - b)
  const of = mixed ? own.slice(0, pieces[guest]) : own
  if (!mixed) return of.map((at) => ({ at, pieces: pieces[guest]! }))
  const each = Math.floor(pieces[guest]! / of.length)
  const odd = pieces[guest]! - each * of.length
  return of.map((at, n) => ({ at, pieces: each + (n < odd ? 1 : 0) }))
}

function priceOf(
  { candidates, pieces, notLikedCost }: CoverQuestion,
  plate: readonly Eaten[],
  guest: number,
) {
  const eaten = plate.reduce((sum, one) => sum + one.pieces * candidates[one.at]!.eatCost[guest]!, 0)
  return eaten + (plate.some(({ at }) => candidates[at]!.liked[guest]) ? 0 : notLikedCost * pieces[guest]!)
}

/** What a set costs with everybody's best plate of it; null where somebody has nothing, or something is not eaten. */
function weigh(question: CoverQuestion, set: readonly number[]): Cover | null {
  const { candidates, doughCost, fillingCost, pieces, mixed } = question
  const doughs = new Set(set.map((at) => candidates[at]!.dough))
  const fillings = new Set(set.map((at) => candidates[at]!.filling))
  let cost = 0
  for (const at of set) cost += candidates[at]!.openCost
  for (const dough of doughs) cost += doughCost[dough]!
  for (const filling of fillings) cost += fillingCost[filling]!
  const eats: Eaten[][] = []
  const eaten = new Set<number>()
  for (let guest = 0; guest < pieces.length; guest++) {
    const plate = plateOf(question, set, guest)
    if (!plate.length) return null
    // One kind a guest: the one that costs least with what is liked.
    const chosen = mixed
      ? plate
      : [
          plate.reduce((best, one) =>
            priceOf(question, [one], guest) < priceOf(question, [best], guest) ? one : best,
          ),
        ]
    cost += priceOf(question, chosen, guest)
    for (const { at } of chosen) eaten.add(at)
    eats.push(chosen)
  }
  // What nobody eats is not made: such a set is weighed without it.
  if (eaten.size < set.length) return null
  return { open: [...set], eats, doughs: doughs.size, fillings: fillings.size, cost }
}

/** What is asked of the numbers of a cover; null where anything will do. */
export interface Form {
  kinds: number | null
  doughs: number | null
  fillings: number | null
}

export const hasForm = ({ open, doughs, fillings }: Cover, form: Form): boolean =>
  (form.kinds ?? open.length) === open.length &&
  (form.doughs ?? doughs) === doughs &&
  (form.fillings ?? fillings) === fillings

/**
 * For each number of kinds, doughs and fillings the cheapest choice of what to make so that everybody has something:
 * the work of each dough, filling and kind, and of what each guest gives up. Every set of up to four of the first 24
 * candidates is weighed.
 *
 * @returns the cheapest first; empty where somebody has nothing
 */
export function coversOf(question: CoverQuestion): Cover[] {
  const best = new Map<string, Cover>()
  for (const set of setsOf(Math.min(question.candidates.length, MAX_WEIGHED), MAX_KINDS)) {
    const cover = weigh(question, set)
    if (!cover) continue
    const form = `${set.length}:${cover.doughs}:${cover.fillings}`
    const had = best.get(form)
    if (!had || cover.cost < had.cost) best.set(form, cover)
  }
  return [...best.values()].sort((a, b) => a.cost - b.cost || a.open.length - b.open.length)
}

/**
 * The cheapest choice of a form among all candidates, exactly: a set is not added to where what it costs to make it
 * and what everybody would eat if anything were made are together no less than the cheapest that is known.
 *
 * @param known the cheapest of that form so far, null for none
 * @param expired says when to stop
 * @returns the cheapest; null where somebody has nothing; and whether it is known that nothing is cheaper
 * @throws RangeError for more than 256 candidates
 */
export function cheapestOf(
  question: CoverQuestion,
  known: Cover | null,
  form: Form,
  expired: () => boolean,
): { cover: Cover | null; proven: boolean } {
  const { candidates, doughCost, fillingCost, pieces, notLikedCost } = question
  if (candidates.length > MAX_CANDIDATES) throw new RangeError(`at most ${MAX_CANDIDATES} candidates`)
  const least = pieces.map((count, guest) => {
    const own = candidates.filter(({ suits }) => suits[guest])
    const liked = own.some((one) => one.liked[guest])
    return count * (Math.min(...own.map(({ eatCost }) => eatCost[guest]!)) + (liked ? 0 : notLikedCost))
  })
  const eating = least.reduce((sum, one) => sum + one, 0)
  let best = known
  let proven = true
  let steps = 0
  const most = Math.min(MAX_KINDS, form.kinds ?? MAX_KINDS)
  const visit = (set: readonly number[], from: number, making: number) => {
    for (let at = from; at < candidates.length && proven; at++) {
      if (++steps % 1000 === 0 && expired()) proven = false
      const { dough, filling, openCost } = candidates[at]!
      const had = (key: 'dough' | 'filling', one: number) =>
        set.some((other) => candidates[other]![key] === one)
      const makingIt =
        making +
        openCost +
        (had('dough', dough) ? 0 : doughCost[dough]!) +
        (had('filling', filling) ? 0 : fillingCost[filling]!)
      if (best && makingIt + eating >= best.cost) continue
      const own = [...set, at]
      const cover = weigh(question, own)
      if (cover && hasForm(cover, form) && (!best || cover.cost < best.cost)) best = cover
      if (own.length < most) visit(own, at + 1, makingIt)
    }
  }
  if (Number.isFinite(eating)) visit([], 0, 0)
  return { cover: best, proven }
}

/** How many pieces of a candidate are eaten. */
export const piecesEaten = ({ eats }: Cover, at: number): number =>
  eats.flat().reduce((sum, one) => sum + (one.at === at ? one.pieces : 0), 0)

/** Of some who sit at a cover in its order, who eats of a candidate. */
export const eatersOf = <T>({ eats }: Cover, at: number, seated: readonly T[]): T[] =>
  seated.filter((_, n) => eats[n]!.some((one) => one.at === at))

/** As many of the guests of a question as any four of its candidates can feed. */
function mostFed({ candidates, pieces }: CoverQuestion): number[] {
  const guestsOf = ({ suits }: Candidate) => pieces.flatMap((_, guest) => (suits[guest] ? [guest] : []))
  const groups = new Map(candidates.map((one) => [guestsOf(one).join(), guestsOf(one)]))
  // What feeds only some of those whom another feeds as well is not needed.
  const widest = [...groups.values()].filter(
    (own) =>
      ![...groups.values()].some(
        (other) => other.length > own.length && own.every((guest) => other.includes(guest)),
      ),
  )
  let fed: number[] = []
  for (const set of setsOf(widest.length, MAX_KINDS)) {
    const own = new Set(set.flatMap((at) => widest[at]!))
    if (own.size > fed.length) fed = [...own].sort((a, b) => a - b)
    if (fed.length === pieces.length) break
  }
  return fed
}

const ANY_FORM: Form = { kinds: null, doughs: null, fillings: null }

/** What can be made for those who are seated. */
export interface Seating {
  /** The cheapest by numbers of kinds, doughs and fillings, for comparing. */
  covers: Cover[]
  /** The cheapest of the form that was asked for, else the cheapest there is; null for nobody. */
  choice: Cover | null
  /** Whether the choice has the form that was asked for. */
  asAsked: boolean
  /** Whether it is known that nothing of its form is cheaper. */
  proven: boolean
  /** Numbers of the guests, in the order of the covers. */
  seated: number[]
}

/**
 * The covers for all of some guests, or where four kinds cannot feed them all, for as many as any four can.
 *
 * @param seats numbers of the guests
 * @param questionFor the question for some of them, its guests in their order
 */
export function coversSeating(
  seats: readonly number[],
  questionFor: (seats: readonly number[]) => CoverQuestion,
  form: Form = ANY_FORM,
  expired: () => boolean = () => false,
): Seating {
  if (!seats.length) return { covers: [], choice: null, asAsked: true, proven: true, seated: [] }
  const question = questionFor(seats)
  const covers = coversOf(question)
  const cheapest = (wanted: Form) =>
    cheapestOf(question, covers.find((cover) => hasForm(cover, wanted)) ?? null, wanted, expired)
  const asked = cheapest(form)
  const { cover, proven } = asked.cover ? asked : cheapest(ANY_FORM)
  if (cover) {
    const sameForm = (one: Cover) => hasForm(one, { ...cover, kinds: cover.open.length })
    return {
      covers: [cover, ...covers.filter((one) => !sameForm(one))].sort((a, b) => a.cost - b.cost),
      choice: cover,
      asAsked: hasForm(cover, form),
      proven,
      seated: [...seats],
    }
  }
  const fed = mostFed(question).map((guest) => seats[guest]!)
  if (fed.length === seats.length) return { covers, choice: null, asAsked: true, proven, seated: [] }
  return coversSeating(fed, questionFor, form, expired)
}
