import type { Evaluation } from '../evaluation/evaluate'
import { foodIs, isFlour } from '../food/groups'
import { SALT_PER_SODIUM } from '../food/nutrients'
import { computeBatch } from '../nutrition/contributions'
import { bodyOfPiece } from '../piece/geometry'
import type { Recipe } from '../recipe/document'
import type { PlannedPieces } from '../tray/pieces'
import type { ReferenceData } from '../tables/referenceData'
import { familyOf } from '../dough/family'
import type { Expected } from './record'

/**
 * What the model expects of a session before it begins: weights, water, oil, and the findings that a diagnosis asks
 * for. Kept with the record, so that what happened is held against what was predicted then.
 */
export function expectedOf(
  recipe: Recipe,
  evaluation: Evaluation,
  planned: PlannedPieces,
  reference: ReferenceData,
  closeMinutesPerPiece: number | null,
): Expected {
  const batch = computeBatch(recipe, reference.foods, reference.cooking)
  const shell = batch.shell
  const flours = shell.filter(({ food }) => isFlour(food) && food.waterDemand !== null)
  const main = [...flours].sort((a, b) => b.grams - a.grams)[0] ?? null
  const flourGrams = flours.reduce((sum, { grams }) => sum + grams, 0)
  // The liquid that is held back and added by feel: water, or milk where that is what there is.
  const liquid =
    shell.filter(({ food }) => foodIs(food, 'pours')).sort((a, b) => b.grams - a.grams)[0] ?? null
  const share = (
    of: 'shell' | 'filling',
    value: (contribution: (typeof batch.contributions)[number]) => number,
  ) => batch.contributions.filter(({ part }) => part === of).reduce((sum, one) => sum + value(one), 0)
  const fillingGrams = share('filling', ({ grams }) => grams)
  const oil = batch.contributions
    .filter(({ part, foodId }) => part === 'pan' && reference.foods.get(foodId)?.softeningFat != null)
    .reduce((sum, { grams }) => sum + grams, 0)
  const wash = batch.contributions
    .filter(({ part }) => part === 'finish')
    .reduce((sum, { grams }) => sum + grams, 0)
  const body = bodyOfPiece(recipe.shape, planned.doughGramsPerPiece, planned.fillingGramsPerPiece)
  const fact = (kind: string) => recipe.facts.find((one) => one.kind === kind)?.low
  const gluten = shell
    .filter(({ food }) => food.group === 'gluten')
    .reduce((sum, { grams }) => sum + grams, 0)
  const batchCooked = planned.batches[0]
  const findings: Record<string, number | string> = {
    softness: evaluation.dough.softness ?? 1,
    family: familyOf(shell, {
      ready: shell.some(({ food }) => foodIs(food, 'bought-dough')),
      fatPct: evaluation.dough.fatPct ?? 0,
      way: recipe.cooking.way,
      shape: recipe.shape,
    }),
    'dough-fat-pct': evaluation.dough.fatPct ?? 0,
    'wall-mm': body.wallMm,
    'half-mm': Math.min(body.heightMm, body.widthMm) / 2,
    'filling-to-dough': planned.fillingGramsPerPiece / Math.max(planned.doughGramsPerPiece, 0.1),
    'wash-grams-per-piece': wash / recipe.pieces,
  }
  if (evaluation.abilities.strength !== null) findings.holds = evaluation.abilities.strength
  if (planned.fillingCapacityGrams > 0)
    findings.overfull = planned.fillingGramsPerPiece / planned.fillingCapacityGrams
  if (fillingGrams > 0) {
    findings['loose-water-pct'] = evaluation.filling.moisture.loosePct
    findings['filling-fat-pct'] = (100 * share('filling', ({ nutrients }) => nutrients.fatG)) / fillingGrams
    findings['filling-salt-pct'] =
      (100 * share('filling', ({ nutrients }) => (nutrients.sodiumMg * SALT_PER_SODIUM) / 1000)) /
      fillingGrams
  }
  if (flourGrams > 0) findings['gluten-pct'] = (100 * gluten) / flourGrams
  const rest = fact('rest-minutes')
  if (rest !== undefined) findings['rest-minutes'] = rest
  const knead = fact('knead-minutes')
  if (knead !== undefined) findings['knead-minutes'] = knead
  if (!shell.some(({ food }) => food.allergens.includes('gluten'))) findings['gluten-free'] = 'yes'
  if (batchCooked?.litres && recipe.cooking.way === 'deep-fry')
    findings['batch-grams-per-litre'] =
      (batchCooked.perBatch * (planned.doughGramsPerPiece + planned.fillingGramsPerPiece)) /
      batchCooked.litres
  return {
    pieces: planned.pieces,
    liquidGrams: liquid && liquid.grams > 0 ? liquid.grams : null,
    liquidLineId: liquid?.line.id ?? null,
    freeWaterGrams:
      evaluation.dough.hydrationPct === null
        ? null
        : (evaluation.dough.hydrationPct * evaluation.dough.flourGrams) / 100,
    flourId: main?.food.id ?? null,
    flourName: main?.food.name ?? '',
    way: recipe.cooking.way,
    closing: planned.closing,
    oilGramsPerPiece: oil > 0 ? oil / recipe.pieces : null,
    fillingGrams: fillingGrams > 0 ? fillingGrams : null,
    closeMinutesPerPiece,
    cookMinutes: recipe.cooking.minutes,
    mediumC: recipe.cooking.temperatureC,
    findings,
  }
}
