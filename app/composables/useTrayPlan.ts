import { useLocalStorage } from '@vueuse/core'
import { COOKWARE_KINDS, COOKWARE_OF, USUAL_COOKWARE, type Cookware } from '~~/core/tray/batches'
import { planPieces } from '~~/core/tray/plan'
import type { PlannedPieces } from '~~/core/tray/pieces'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { RecipeProblem, type FieldProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import { planOfTyped, untypedPlan, type TypedPlan } from '~/logic/trayPlan'

const MAX_KEPT = 60

/** Plans by recipe, and the cook's own cookware, kept in this browser. */
const plans = useLocalStorage<Record<string, TypedPlan>>('swap-pocket:tray', {})
const cookware = useLocalStorage<Cookware[]>(
  'swap-pocket:cookware',
  COOKWARE_KINDS.map((kind) => ({ kind, ...USUAL_COOKWARE[kind] })),
)

/** The plan of the pieces of any recipe, as it stands on the tray; what cannot be is left to be computed. */
export const trayPlanOf = (key: string, recipe: Recipe) =>
  planOfTyped(plans.value[key] ?? untypedPlan(recipe), recipe, cookware.value).plan

/** The plan of the recipe on the bench, what comes of it, and which field cannot be. */
export function useTrayPlan(
  recipe: () => Recipe | null,
  evaluation: () => Evaluation | null,
  key: () => string,
) {
  const shelves = useLarderStore()
  const typed = computed<TypedPlan>({
    get: () => plans.value[key()] ?? untypedPlan(recipe()),
    set: (value) => {
      const others = Object.entries(plans.value).filter(([id]) => id !== key())
      plans.value = Object.fromEntries([...others.slice(-MAX_KEPT), [key(), value]])
    },
  })
  const usual = computed(() => (recipe() ? COOKWARE_OF[recipe()!.cooking.way] : 'tray'))
  const plan = computed(() => planOfTyped(typed.value, recipe(), cookware.value))

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
