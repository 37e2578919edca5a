import { adapt, type AdaptOptions } from '../../core/adaptation/adapt'
import { OutOfTime } from '../../core/optimisation/solve'
import type { Price } from '../../core/cost/costOf'
import { evaluate } from '../../core/evaluation/evaluate'
import { importRecipes, type ToImport } from '../../core/exchange/importRecipe'
import type { Food } from '../../core/food/food'
import type { TaughtName } from '../../core/tables/taughtNames'
import { withFoods, withNames, withSwaps } from '../../core/tables/referenceData'
import { readRecipe } from '../../core/reading/readRecipe'
import { RecipeProblem, type FieldProblem } from '../../core/recipe/problem'
import type { Guest } from '../../core/table/guest'
import { setTable, type TableOptions } from '../../core/table/setTable'
import type { Recipe } from '../../core/recipe/document'
import type { OwnSwap } from '../../core/substitution/catalogue'
import { reference } from '../../data/reference'
import { timeTable } from '../../data/timeTable'
import type { ScheduleAsked } from '~~/shared/api/requests'
import { scheduleFor } from './scheduleFor'

/** Work that may take long enough for others to notice, as it is sent to a thread of its own. */
export type Job =
  | {
      kind: 'adapt'
      recipe: Recipe
      diets: string[]
      /** Foods beside those of the tables. */
      foods: Food[]
      swaps: OwnSwap[]
      options: Omit<AdaptOptions, 'prices' | 'progress' | 'expired'> & { prices: [string, Price][] }
      /** The search takes what it has after so long. */
      searchMilliseconds: number
    }
  | { kind: 'evaluate'; recipe: Recipe; foods: Food[] }
  | { kind: 'read'; text: string; foods: Food[]; names: TaughtName[] }
  | { kind: 'import'; given: ToImport; foods: Food[]; names: TaughtName[] }
  | {
      kind: 'table'
      recipe: Recipe
      guests: Guest[]
      options: Omit<TableOptions, 'prices' | 'expired'>
      prices: [string, Price][]
      foods: Food[]
      searchMilliseconds: number
    }
  | {
      kind: 'schedule'
      asked: ScheduleAsked
      foods: Food[]
      searchMilliseconds: number
    }

export interface JobAnswer {
  made?: unknown
  problems?: FieldProblem[]
  outOfTime?: true
  failure?: string
}

const larderOf = ({ foods, names }: { foods: Food[]; names: TaughtName[] }) =>
  withNames(withFoods(reference, foods), names).foods

function work(job: Job): unknown {
  switch (job.kind) {
    case 'adapt': {
      const own = withSwaps(withFoods(reference, job.foods), job.swaps)
      const end = Date.now() + job.searchMilliseconds
      return adapt(job.recipe, job.diets, own, {
        ...job.options,
        prices: new Map(job.options.prices),
        expired: () => Date.now() > end,
      })
    }
    case 'evaluate':
      return evaluate(job.recipe, withFoods(reference, job.foods))
    case 'schedule': {
      const end = Date.now() + job.searchMilliseconds
      return scheduleFor(job.asked, withFoods(reference, job.foods), () => Date.now() > end)
    }
    case 'table': {
      const end = Date.now() + job.searchMilliseconds
      return setTable(job.recipe, job.guests, withFoods(reference, job.foods), timeTable, {
        ...job.options,
        prices: new Map(job.prices),
        expired: () => Date.now() > end,
      })
    }
    case 'read':
      return readRecipe(job.text, larderOf(job))
    case 'import':
      return importRecipes(job.given, larderOf(job))
  }
}

/** Does a job and says how it went; never throws. */
export function doJob(job: Job): JobAnswer {
  try {
    return { made: work(job) }
  } catch (error) {
    if (error instanceof RecipeProblem) return { problems: error.problems }
    if (error instanceof OutOfTime) return { outOfTime: true }
    return { failure: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}
