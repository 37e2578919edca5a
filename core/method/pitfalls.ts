import { foodIs } from '../food/groups'
import type { Evaluation } from '../evaluation/evaluate'
import type { Foods } from '../food/food'

/** Shares from which a part of the piece is worth a word. Common practice, no source. */
const OIL_SHARE = 0.2
const DIP_SHARE = 0.2
const ONE_CHEESE_SHARE = 0.5
const PLANT_CHEESE_SHARE = 0.15

/**
 * What undoes the point of an adaptation: a lighter or whole-grain piece drowned in oil, a dip that eats the gain,
 * protein that is all one slice of cheese, a plant cheese that is fat and starch.
 */
export function pitfallsOf(evaluation: Evaluation, diets: readonly string[], foods: Foods): string[] {
  const found: string[] = []
  const kcal = evaluation.perPiece.energyKcal
  if (!diets.length || kcal <= 0) return found
  const wants = (...ids: string[]) => diets.some((id) => ids.some((one) => id.startsWith(one)))
  const share = (part: 'pan' | 'dip') =>
    evaluation.parts
      .filter((one) => one.kind === part)
      .reduce((sum, one) => sum + one.perPiece.energyKcal, 0) / kcal
  const percent = (value: number) => `${Math.round(100 * value)} %`
  const oil = share('pan')
  if (oil >= OIL_SHARE && wants('whole', 'lighter', 'less-fat', 'fewer', 'high-protein', 'protein'))
    found.push(
      `Fat from the pan brings ${percent(oil)} of the energy: it eats the gain. Bake, steam or griddle instead`,
    )
  const dip = share('dip')
  if (dip >= DIP_SHARE && wants('lighter', 'less-fat', 'fewer', 'keto'))
    found.push(`The dip brings ${percent(dip)} of the energy`)
  let protein = 0
  for (const line of evaluation.working.lines) protein += line.nutrients.proteinG
  for (const line of evaluation.working.lines) {
    const food = foods.get(line.foodId)
    if (!food) continue
    if (
      wants('high-protein', 'protein') &&
      foodIs(food, 'cheese') &&
      line.nutrients.proteinG > ONE_CHEESE_SHARE * protein
    )
      found.push(`More than half of the protein is ${food.name.toLowerCase()}`)
    const energy = line.nutrients.energyKcal / (kcal * evaluation.pieces)
    if (food.group === 'plant-cheese' && food.per100g.proteinG < 5 && energy >= PLANT_CHEESE_SHARE)
      found.push(
        `${food.name} brings ${percent(energy)} of the energy and hardly any protein: it is mostly fat and starch`,
      )
  }
  return [...new Set(found)]
}
