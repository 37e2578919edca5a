import { asksOfServing, withoutImplied } from '../diet/diets'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import type { ReferenceData } from '../tables/referenceData'
import { foodsIn, type Made } from './candidates'
import type { Guest } from './guest'
import { wishesOn } from './plates'

/** What keeps a guest from eating a plate of one kind: reasons, and what packets have to be read. */
export interface Against {
  reasons: string[]
  /** How much is against it: 1 for each food or diet, less for a figure that is only just missed. */
  weight: number
  toCheck: string[]
}

/** How each candidate stands to each guest, judged over a plate of as many pieces as the guest eats. */
export class Fits {
  private readonly plates = new Map<string, Evaluation>()
  constructor(
    private readonly made: readonly Made[],
    private readonly reference: ReferenceData,
  ) {}

  /** A candidate as a guest has it: with a serving of as many pieces, where a serving counts. */
  private plate(at: number, { pieces, diets }: Guest): Evaluation {
    const ofServing = this.reference.diets.some((diet) => diets.includes(diet.id) && asksOfServing(diet))
    if (!ofServing) return this.made[at]!.evaluation
    return this.ofPieces(at, pieces)
  }

  private ofPieces(at: number, pieces: number): Evaluation {
    const key = `${at}:${pieces}`
    const serve = (recipe: Recipe): Recipe => ({
      ...recipe,
      servings: recipe.pieces / pieces,
      servingsStated: true,
    })
    const known = this.plates.get(key)
    if (known) return known
    const original = at === 0 ? null : this.ofPieces(0, pieces)
    const own = evaluate(serve(this.made[at]!.recipe), this.reference, original)
    this.plates.set(key, own)
    return own
  }

  against(guest: Guest, at: number): Against {
    const { recipe } = this.made[at]!
    const { foods } = this.reference
    const held = foodsIn(recipe)
    const reasons = guest.avoid.filter((id) => held.has(id)).map((id) => `${foods.get(id)!.name} is in it`)
    const toCheck: string[] = []
    let weight = reasons.length
    const { diets } = this.plate(at, guest)
    for (const id of guest.diets) {
      const own = diets.find(({ diet }) => diet === id)!
      // A recipe held against itself cannot be a third lighter: that is no reason, it does not fit.
      if (own.verdict !== 'fits') {
        reasons.push(`${own.name}: ${own.reasons.join('; ')}`)
        weight += own.lineIds.length ? 1 : this.missedBy(at, guest.pieces, id)
      }
      toCheck.push(...own.toCheck)
    }
    return { reasons, weight, toCheck: [...new Set(toCheck)] }
  }

  private missedBy(at: number, pieces: number, diet: string): number {
    const [own, asItIs] = [this.made[at]!.evaluation, this.made[0]!.evaluation]
    const asked = this.reference.diets.filter(({ id }) => id === diet)
    return Math.max(0, ...wishesOn([{ evaluation: own, pieces }], asked, asItIs).map((one) => one.missedBy))
  }

  /** What of their diets it was made otherwise for, of some guests who eat it; what another of these implies is not said. */
  madeFor(at: number, eaters: readonly Guest[]): string[] {
    const ids = new Set(
      eaters.flatMap((guest) =>
        guest.diets.filter((id) => {
          const fits = (one: number) =>
            this.plate(one, guest).diets.find(({ diet }) => diet === id)?.verdict === 'fits'
          return fits(at) && !fits(0)
        }),
      ),
    )
    const own = this.reference.diets.filter(({ id }) => ids.has(id))
    return withoutImplied(own, this.reference.foods).map(({ id }) => id)
  }
}
