import { useLocalStorage } from '@vueuse/core'
import type { Closing } from '~~/core/piece/closures'
import { COOKWARE_KINDS, COOKWARE_OF, USUAL_COOKWARE, type Cookware } from '~~/core/tray/batches'
import type { MakingMethod } from '~~/core/tray/making'
import { planPieces } from '~~/core/tray/plan'
import type { PiecePlan, PlannedPieces } from '~~/core/tray/pieces'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { RecipeProblem, type FieldProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import type { Shape } from '~~/core/recipe/vocabulary'

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
  closing?: Closing
}

/** How a shape is usually made. */
const METHOD_OF: Readonly<Record<Shape, MakingMethod>> = {
  'half-moon': 'cut-sheet',
  pleated: 'balls',
  bun: 'balls',
  disc: 'balls',
  parcel: 'squares',
  cone: 'halved-rounds',
  roll: 'squares',
  coil: 'rope',
  'lidded-pie': 'lined-dish',
}

const MAX_KEPT = 60

/** Plans by recipe, and the cook's own cookware, kept in this browser. */
const plans = useLocalStorage<Record<string, TypedPlan>>('swap-pocket:tray', {})
const cookware = useLocalStorage<Cookware[]>(
  'swap-pocket:cookware',
  COOKWARE_KINDS.map((kind) => ({ kind, ...USUAL_COOKWARE[kind] })),
)

const numberOf = (text: string | undefined): number | undefined => {
  const plain = (text ?? '').trim().replace(',', '.')
  return plain === '' ? undefined : Number(plain)
}

/** The plan of the recipe on the bench, what comes of it, and which field cannot be. */
export function useTrayPlan(
  recipe: () => Recipe | null,
  evaluation: () => Evaluation | null,
  key: () => string,
) {
  const shelves = useLarderStore()
  const typed = computed<TypedPlan>({
    get: () =>
      plans.value[key()] ?? {
        method: METHOD_OF[recipe()?.shape ?? 'half-moon'],
        typed: {},
        startC: 20,
      },
    set: (value) => {
      const others = Object.entries(plans.value).filter(([id]) => id !== key())
      plans.value = Object.fromEntries([...others.slice(-MAX_KEPT), [key(), value]])
    },
  })
  const usual = computed(() => (recipe() ? COOKWARE_OF[recipe()!.cooking.way] : 'tray'))
  const chosen = computed(() => cookware.value.filter((ware) => ware.kind === usual.value))

  const plan = computed<{ plan: PiecePlan; problems: FieldProblem[] }>(() => {
    const { method, startC, closing } = typed.value
    const made: PiecePlan = { method, startC, closing }
    const problems: FieldProblem[] = []
    for (const field of PLAN_FIELDS) {
      const value = numberOf(typed.value.typed[field])
      if (value === undefined) continue
      const zeroIsFine = field === 'rerolls' || field === 'fillingGramsPerPiece'
      const whole = field === 'pieces' || field === 'rerolls'
      if (!(zeroIsFine ? value >= 0 : value > 0) || value > 50_000 || (whole && !Number.isInteger(value)))
        problems.push({
          field: `plan.${field}`,
          message: whole ? 'a whole number is expected' : 'a number above 0 is expected',
        })
      else made[field] = value
    }
    if (chosen.value.length) made.cookware = chosen.value
    return { plan: made, problems }
  })

  const result = computed<{ planned: PlannedPieces | null; problems: FieldProblem[] }>(() => {
    const { plan: asked, problems } = plan.value
    if (problems.length || !recipe() || !evaluation()) return { planned: null, problems }
    try {
      return { planned: planPieces(recipe(), evaluation(), asked, shelves.reference), problems: [] }
    } catch (error) {
      if (error instanceof RecipeProblem) return { planned: null, problems: error.problems }
      throw error
    }
  })
  /** What was last possible: it stays in sight while a field cannot be. */
  const last = shallowRef<PlannedPieces | null>(null)
  watch(
    () => result.value.planned,
    (planned) => {
      if (planned) last.value = planned
    },
    { immediate: true },
  )
  return {
    typed,
    cookware,
    usual,
    planned: computed(() => result.value.planned ?? last.value),
    problems: computed(() => result.value.problems),
  }
}
