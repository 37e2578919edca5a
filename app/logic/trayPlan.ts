import type { Closing } from '~~/core/piece/closures'
import type { FieldProblem } from '~~/core/recipe/problem'
import { COOKWARE_OF, type Cookware } from '~~/core/tray/batches'
import { METHOD_OF, type MakingMethod } from '~~/core/tray/making'
import type { PiecePlan } from '~~/core/tray/pieces'
import type { Recipe } from '~~/core/recipe/document'

/** Numbers as they are typed; '' leaves one to be computed. */
const PLAN_FIELDS = [
  'pieces',
  'ballGrams',
  'thicknessMm',
  'diameterMm',
  'dishHeightMm',
  'sheetWidthMm',
  'sheetLengthMm',
  'rerolls',
  'fillingGramsPerPiece',
] as const
export type PlanField = (typeof PLAN_FIELDS)[number]

/** A plan as it is typed, for one recipe. */
export interface TypedPlan {
  method: MakingMethod
  typed: Partial<Record<PlanField, string>>
  startC: number
  parCooked?: boolean
  closing?: Closing
}

/** The plan of a recipe of which nothing has been typed. */
export const untypedPlan = (recipe: Pick<Recipe, 'shape'> | null): TypedPlan => ({
  method: METHOD_OF[recipe?.shape ?? 'half-moon'],
  typed: {},
  startC: 20,
})

const numberOf = (text: string | undefined): number | undefined => {
  const plain = (text ?? '').trim().replace(',', '.')
  return plain === '' ? undefined : Number(plain)
}

/** What was typed as a plan, with the cook's own cookware for the way of cooking; fields that cannot be are named. */
export function planOfTyped(
  { method, startC, parCooked, closing, typed }: TypedPlan,
  recipe: Pick<Recipe, 'cooking'> | null,
  cookware: readonly Cookware[],
): { plan: PiecePlan; problems: FieldProblem[] } {
  const plan: PiecePlan = { method, startC, closing, ...(parCooked ? { parCooked } : {}) }
  const problems: FieldProblem[] = []
  for (const field of PLAN_FIELDS) {
    const value = numberOf(typed[field])
    if (value === undefined) continue
    const zeroIsFine = field === 'rerolls' || field === 'fillingGramsPerPiece'
    const whole = field === 'pieces' || field === 'rerolls'
    if (!(zeroIsFine ? value >= 0 : value > 0) || value > 50_000 || (whole && !Number.isInteger(value)))
      problems.push({
        field: `plan.${field}`,
        message: whole ? 'a whole number is expected' : 'a number above 0 is expected',
      })
    else plan[field] = value
  }
  const kind = recipe ? COOKWARE_OF[recipe.cooking.way] : 'tray'
  const own = cookware.filter((ware) => ware.kind === kind)
  if (own.length) plan.cookware = [...own]
  return { plan, problems }
}
