import type { Evaluation } from '../evaluate'
import type { Recipe, RecipeNote } from '../recipe/document'

/** In the steamer a whole-grain dough takes about half as long again. Common practice, no source. */
const WHOLE_GRAIN_STEAMING = 1.5
/** Protein and milk sugar brown early: so much lower, in °C. Common practice, no source. */
const BROWNS_EARLY_C = 15
/** From these changes on a hand at the dough notices. Common practice, no source. */
const NOTICED = {
  wholeGrainPoints: 25,
  strength: 0.3,
  proteinPoints: 4,
  sugarPoints: 5,
  saltG: 1,
  saltShare: 0.25,
} as const
/** A dough below this strength does not stretch. Common practice, no source. */
const WEAK = 0.35

const round5 = (value: number) => Math.round(value / 5) * 5

/** Protein of the dough in % of its weight. */
function doughProteinPct(evaluation: Evaluation): number {
  let protein = 0
  for (const line of evaluation.working.lines) if (line.part === 'shell') protein += line.nutrients.proteinG
  return evaluation.dough.grams > 0 ? (100 * protein) / evaluation.dough.grams : 0
}

/** Salt in the fillings of the whole batch. */
const fillingSaltG = ({ parts }: Evaluation): number =>
  parts.filter((one) => one.kind === 'filling').reduce((sum, one) => sum + one.perPiece.saltG * one.pieces, 0)

/** What else in the fillings is salty and was so before, for a cook who has too much of it; '' for nothing. */
function saltiest(before: Evaluation, after: Evaluation): string {
  const were = new Set(before.working.lines.map((line) => `${line.lineId} ${line.foodId}`))
  const found = after.working.lines
    .filter((line) => line.part === 'filling' && were.has(`${line.lineId} ${line.foodId}`))
    .sort((a, b) => b.nutrients.saltG - a.nutrients.saltG)[0]
  return found && found.nutrients.saltG >= NOTICED.saltG
    ? `${found.name.toLowerCase()} (${found.nutrients.saltG.toFixed(1)} g of salt)`
    : ''
}

/**
 * What the cook has to do otherwise, with numbers, from how dough and filling have changed: kneading, rest,
 * steaming and oven. Common practice, no source.
 */
export function methodChanges(recipe: Recipe, before: Evaluation, after: Evaluation): RecipeNote[] {
  const notes: RecipeNote[] = []
  const say = (text: string) => notes.push({ code: 'handling', level: 'note', text })
  const { way, minutes, temperatureC } = recipe.cooking
  if (after.dough.ready || before.dough.ready) return notes

  const whole = (after.dough.wholeGrainPct ?? 0) - (before.dough.wholeGrainPct ?? 0)
  if (whole >= NOTICED.wholeGrainPoints) {
    say('More whole grain: knead 10 min instead of 6 and let it rest 30 min; expect a browner skin')
    if (way === 'steam' && minutes)
      say(
        `Steam about ${Math.round(minutes * WHOLE_GRAIN_STEAMING)} min instead of ${minutes}: whole grain takes half as long again`,
      )
  }
  const strength = (after.abilities.strength ?? 0) - (before.abilities.strength ?? 0)
  if (after.abilities.strength !== null) {
    if (after.abilities.strength < WEAK && (before.abilities.strength ?? 0) >= WEAK)
      say(
        'Hardly any gluten is left: do not expect it to stretch. Press it together, roll it 3 mm between papers, patch what cracks',
      )
    else if (strength > NOTICED.strength)
      say('The dough is stronger: it springs back. Let it rest 1 h before rolling, and roll in two goes')
    else if (strength < -NOTICED.strength)
      say('The dough is weaker: knead it less, roll it no thinner than 2 mm, and seal the edge with water')
  }
  const browning =
    doughProteinPct(after) - doughProteinPct(before) > NOTICED.proteinPoints ||
    (after.dough.sugarPct ?? 0) - (before.dough.sugarPct ?? 0) > NOTICED.sugarPoints
  if (browning && way === 'bake') {
    say(
      temperatureC
        ? `It browns early: oven at ${round5(temperatureC - BROWNS_EARLY_C)} °C instead of ${temperatureC} °C, and a few minutes longer`
        : `It browns early: oven ${BROWNS_EARLY_C} °C lower, and a few minutes longer`,
    )
  }
  const yeast = recipe.parts.some(
    (part) => part.kind === 'shell' && part.lines.some((line) => /yeast/.test(line.foodId ?? '')),
  )
  if (yeast && (before.dough.sugarPct ?? 0) > 1 && (after.dough.sugarPct ?? 0) < 0.3)
    say('No sugar is left for the yeast: stir a teaspoon of it into the warm liquid first; the yeast eats it')
  const lostSaltG = fillingSaltG(before) - fillingSaltG(after)
  if (lostSaltG >= NOTICED.saltG && lostSaltG > NOTICED.saltShare * fillingSaltG(before))
    say(
      `With what was swapped out the filling has lost ${Math.round(lostSaltG)} g of salt: taste it, and add at most that`,
    )
  if (-lostSaltG >= NOTICED.saltG && -lostSaltG > NOTICED.saltShare * fillingSaltG(before)) {
    const salty = saltiest(before, after)
    say(
      `What was swapped in brings the filling ${Math.round(-lostSaltG)} g of salt: taste before you salt${salty ? `, and use less of the ${salty}` : ''}`,
    )
  }
  const { moisture } = after.filling
  if (moisture.class !== 'dry' && moisture.looseGrams > before.filling.moisture.looseGrams + 5)
    for (const text of moisture.suggestions.slice(0, 1)) say(`The filling is wetter than it was. ${text}`)
  return notes
}
