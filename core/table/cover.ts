/** Something that can be on the table, and whom it suits. */
export interface Candidate {
  /** By guest, in the order of the guests. */
  suits: readonly boolean[]
  /** What it costs to make it at all. */
  openCost: number
  /** What it costs for each guest to eat this one. */
  eatCost: readonly number[]
}

export interface Cover {
  /** Indices of candidates that are made, rising. */
  open: number[]
  /** By guest, which of them. */
  eats: number[]
  cost: number
}

/** Subsets of so many candidates are tried one by one: 65,536 of them. */
export const MAX_CANDIDATES = 16

const bitsOf = (set: number) => {
  let bits = 0
  for (let rest = set; rest; rest &= rest - 1) bits++
  return bits
}

/**
 * The cheapest choice of what to make so that everybody has something: the cost of making each, and of what each
 * guest gives up. Exact: every subset of candidates is weighed, those first that cannot be better left out.
 *
 * @param exactly so many kinds; null for any number
 * @returns null where somebody has nothing, or there are fewer candidates than kinds
 * @throws RangeError for more than 16 candidates
 */
export function cheapestCover(
  candidates: readonly Candidate[],
  guests: number,
  exactly: number | null = null,
): Cover | null {
  if (candidates.length > MAX_CANDIDATES) throw new RangeError(`at most ${MAX_CANDIDATES} candidates`)
  let best: Cover | null = null
  for (let set = 1; set < 1 << candidates.length; set++) {
    if (exactly !== null && bitsOf(set) !== exactly) continue
    let cost = 0
    for (let at = 0; at < candidates.length; at++) if (set & (1 << at)) cost += candidates[at]!.openCost
    if (best && cost >= best.cost) continue
    const eats: number[] = []
    for (let guest = 0; guest < guests; guest++) {
      let chosen = -1
      for (let at = 0; at < candidates.length; at++) {
        if (!(set & (1 << at)) || !candidates[at]!.suits[guest]) continue
        if (chosen < 0 || candidates[at]!.eatCost[guest]! < candidates[chosen]!.eatCost[guest]!) chosen = at
      }
      if (chosen < 0) break
      cost += candidates[chosen]!.eatCost[guest]!
      eats.push(chosen)
    }
    if (eats.length < guests || (best && cost >= best.cost)) continue
    // What nobody eats is not made: such a set is weighed without it.
    if (exactly !== null && new Set(eats).size !== exactly) continue
    best = { open: candidates.flatMap((_, at) => (set & (1 << at) ? [at] : [])), eats, cost }
  }
  return best
}
