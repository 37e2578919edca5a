import { adapt, type AdaptOptions } from '~~/core/adaptation/adapt'
import { tradeOff, type CurvePoint } from '~~/core/optimisation/tradeOff'
import { wishesFor, type Locks, type Weights } from '~~/core/optimisation/wishes'
import type { Price } from '~~/core/cost/costOf'
import type { Target } from '~~/core/diet/target'
import type { Food } from '~~/core/food/food'
import { withFoods, withSwaps } from '~~/core/tables/referenceData'
import type { OwnSwap } from '~~/core/substitution/catalogue'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import { reference as table } from '~~/data/reference'

export interface Question {
  kind: 'adapt' | 'curve'
  recipe: Recipe
  diets: string[]
  targets: Target[]
  locks: Locks
  weights: Weights
  prices: Price[]
  /** Foods the tables do not hold, and flours of theirs as they drink in this kitchen. */
  foods: Food[]
  /** The cook's own swaps. */
  swaps: OwnSwap[]
  /** For a curve: the figure to go along. */
  figure: Target | null
}

export type Reply =
  | { kind: 'progress'; share: number; doing: string }
  | { kind: 'adapt'; answer: ReturnType<typeof adapt> }
  | { kind: 'curve'; points: Omit<CurvePoint, 'candidate'>[]; recipes: Recipe[] }
  | { kind: 'problem'; message: string }

const say = (reply: Reply) => postMessage(reply)

onmessage = ({ data }: MessageEvent<Question>) => {
  const reference = withSwaps(withFoods(table, data.foods), data.swaps)
  const options: AdaptOptions = {
    locks: data.locks,
    weights: data.weights,
    targets: data.targets,
    prices: new Map(data.prices.map((price) => [price.foodId, price])),
    progress: (share, doing) => say({ kind: 'progress', share, doing }),
  }
  try {
    if (data.kind === 'adapt' || !data.figure) {
      say({ kind: 'adapt', answer: adapt(data.recipe, data.diets, reference, options) })
      return
    }
    const diets = reference.diets.filter((diet) => data.diets.includes(diet.id))
    const wishes = wishesFor(diets, {
      targets: data.targets,
      locks: data.locks,
      weights: data.weights,
      prices: options.prices,
    })
    const points = tradeOff(data.recipe, wishes, data.figure, reference, 25, options)
    say({
      kind: 'curve',
      points: points.map(({ limit, distance, value, swaps }) => ({ limit, distance, value, swaps })),
      recipes: points.map((point) => point.candidate.recipe),
    })
  } catch (error) {
    if (!(error instanceof RecipeProblem)) throw error
    say({ kind: 'problem', message: error.problems.map((one) => one.message).join('; ') })
  }
}
