import type { Food } from '~~/core/food/food'
import { learntTimes, type Factors } from '~~/core/log/apply'
import { planDinner, type Dinner, type PlannedDinner } from '~~/core/planning/dinner'
import { makeDish, type Stage } from '~~/core/planning/tasks'
import type { Recipe } from '~~/core/recipe/document'
import { RecipeProblem, type FieldProblem } from '~~/core/recipe/problem'
import { withFoods } from '~~/core/tables/referenceData'
import type { PiecePlan } from '~~/core/tray/pieces'
import { table } from '~~/data/table'
import { timeTable } from '~~/data/timeTable'

export interface ClockQuestion {
  /** Answers carry it, so that an earlier one is known for what it is. */
  number: number
  dinner: Omit<Dinner, 'dishes'>
  dishes: { recipe: Recipe; stage: Stage; plan: PiecePlan }[]
  /** Foods the recipes use that the tables do not hold. */
  foods: Food[]
  /** What the cook's own bakes have taught. */
  factors: Factors
  searchMilliseconds: number
}

export type ClockReply = { number: number } & (
  { kind: 'plan'; plan: PlannedDinner; last: boolean } | { kind: 'problem'; problems: FieldProblem[] }
)

const say = (reply: ClockReply) => postMessage(reply)

onmessage = ({ data }: MessageEvent<ClockQuestion>) => {
  const { number, searchMilliseconds } = data
  const reference = withFoods(table, data.foods)
  const end = Date.now() + searchMilliseconds
  let told = 0
  try {
    const dishes = data.dishes.map(({ recipe, stage, plan }) => makeDish(recipe, stage, plan, reference))
    const plan = planDinner({ ...data.dinner, dishes }, reference, learntTimes(timeTable, data.factors), {
      expired: () => Date.now() > end,
      better: (better) => {
        // The first at once, others not more often than can be looked at.
        if (Date.now() - told < 200) return
        told = Date.now()
        say({ number, kind: 'plan', plan: better, last: false })
      },
    })
    say({ number, kind: 'plan', plan, last: true })
  } catch (error) {
    if (!(error instanceof RecipeProblem)) throw error
    say({ number, kind: 'problem', problems: error.problems })
  }
}
