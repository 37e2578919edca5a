import { evaluate } from '../core/evaluation/evaluate'
import type { Dinner } from '../core/planning/dinner'
import { USUAL_EQUIPMENT, type Dish, type Stage } from '../core/planning/tasks'
import type { Recipe } from '../core/recipe/document'
import type { ReferenceData } from '../core/tables/referenceData'
import { METHOD_OF } from '../core/tray/making'
import { planPieces } from '../core/tray/plan'

/** A recipe as a dish of a dinner, its pieces made as is usual for its shape. */
export function dishOf(recipe: Recipe, reference: ReferenceData, stage: Stage = 'fresh'): Dish {
  const evaluation = evaluate(recipe, reference)
  const plan = { method: METHOD_OF[recipe.shape], startC: stage === 'from-frozen' ? -18 : 20 }
  return { recipe, evaluation, planned: planPieces(recipe, evaluation, plan, reference), stage }
}

export const ME = { name: 'Me', from: null, does: 'everything' } as const

/** A dinner of one cook in a usual kitchen at 26 °C, where nothing else is said. */
export const dinnerOf = (dishes: readonly Dish[], more: Partial<Dinner> = {}): Dinner => ({
  dishes,
  people: [ME],
  equipment: USUAL_EQUIPMENT,
  roomC: 26,
  burnerW: 2000,
  availableMinutes: null,
  night: null,
  backAt: null,
  keepApart: false,
  edits: {},
  begun: {},
  now: null,
  givenUp: [],
  ...more,
})
