import type { Evaluation } from '../evaluation/evaluate'
import { speaksOf } from '../reading/heatWays'
import type { Recipe, RecipeNote } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'

/** In the steamer a whole-grain dough takes about half as long again, half of one a fifth. Common practice, no source. */
const WHOLE_GRAIN_STEAMING = { whole: 1.5, half: 1.2 } as const
/** From this much more whole grain, in points of the flours, all of it is. Our own choice. */
const WHOLE_POINTS = 70
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
  shellShare: 0.93,
} as const
/** A dough below this strength does not stretch. Common practice, no source. */
const WEAK = 0.35
/** Minutes of kneading and resting that bran asks for beside what refined flour does. Common practice, no source. */
const BRAN_KNEADS = { usual: 6, more: 4 } as const

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

/** Minutes as the recipe states them: the range its step gives, or its one number; null when it gives none. */
function statedMinutes(recipe: Recipe): readonly [number, number] | null {
  const { minutes, way } = recipe.cooking
  for (const step of recipe.method) {
    if (!speaksOf(way, step)) continue
    const [, low, high] = /(\d+)\s*(?:-|–|to)\s*(\d+)\s*min/i.exec(step) ?? []
    if (low && high && (minutes === null || (minutes >= Number(low) && minutes <= Number(high))))
      return [Number(low), Number(high)]
  }
  return minutes === null ? null : [minutes, minutes]
}

const sayMinutes = ([low, high]: readonly [number, number]) =>
  Math.round(low) === Math.round(high) ? String(Math.round(low)) : `${Math.round(low)}–${Math.round(high)}`
const times = ([low, high]: readonly [number, number], factor: number): readonly [number, number] => [
  low * factor,
  high * factor,
]

const DRY_HEAT: ReadonlySet<CookingWay> = new Set(['bake', 'griddle', 'shallow-fry', 'deep-fry'])

/** What more whole grain asks for, by what kind of dough it is and how it is cooked. */
function wholeGrain(recipe: Recipe, points: number, after: Evaluation): string[] {
  const { family } = after.abilities
  const { way } = recipe.cooking
  const said: string[] = []
  const knead = recipe.facts.find((fact) => fact.kind === 'knead-minutes')
  const stated = knead ? (knead.low + knead.high) / 2 : BRAN_KNEADS.usual
  if (family === 'short' || family === 'flaky')
    said.push(
      'More whole grain: let it drink 10 min before you judge the water, press it together without kneading, chill it an hour',
    )
  else if (family === 'yogurt' || family === 'griddle')
    said.push('More whole grain: mix it, let it rest 30 min before rolling: bran drinks slowly')
  else
    said.push(
      `More whole grain: knead ${Math.round(stated + BRAN_KNEADS.more)} min instead of ${Math.round(stated)} and let it rest 30 min`,
    )
  if (DRY_HEAT.has(way)) said.push('Expect a browner skin: go by the time, not by the colour')
  const minutes = way === 'steam' ? statedMinutes(recipe) : null
  if (minutes) {
    const whole = points >= WHOLE_POINTS
    const longer = times(minutes, whole ? WHOLE_GRAIN_STEAMING.whole : WHOLE_GRAIN_STEAMING.half)
    said.push(
      `Steam about ${sayMinutes(longer)} min instead of ${sayMinutes(minutes)}: whole grain takes ${whole ? 'half as long again' : 'a little longer'}`,
    )
  }
  return said
}

/** What a dough that holds or springs back otherwise asks for. */
function otherStrength(before: Evaluation, after: Evaluation): string[] {
  const { strength: holds, springs, family } = after.abilities
  if (holds === null || springs === null || before.abilities.strength === null) return []
  const short = family === 'short' || family === 'flaky'
  if (holds < WEAK && before.abilities.strength >= WEAK && !short)
    return [
      'It hardly holds together: do not expect it to stretch. Press it together, roll it 3 mm between papers, patch what cracks',
    ]
  if (short) return []
  if (springs - (before.abilities.springs ?? 0) > NOTICED.strength)
    return ['The dough is stronger: it springs back. Let it rest 1 h before rolling, and roll in two goes']
  if (holds - before.abilities.strength < -NOTICED.strength)
    return ['The dough is weaker: knead it less, roll it no thinner than 2 mm, and seal the edge with water']
  return []
}

/** What a dough of another kind asks for; one made by a formula has its own method and is not spoken of here. */
function doughChanges(recipe: Recipe, before: Evaluation, after: Evaluation): string[] {
  const { way, temperatureC } = recipe.cooking
  const said: string[] = []
  const whole = (after.dough.wholeGrainPct ?? 0) - (before.dough.wholeGrainPct ?? 0)
  if (whole >= NOTICED.wholeGrainPoints) said.push(...wholeGrain(recipe, whole, after))
  said.push(...otherStrength(before, after))
  const browning =
    doughProteinPct(after) - doughProteinPct(before) > NOTICED.proteinPoints ||
    (after.dough.sugarPct ?? 0) - (before.dough.sugarPct ?? 0) > NOTICED.sugarPoints
  if (browning && way === 'bake')
    said.push(
      temperatureC
        ? `It browns early: oven at ${round5(temperatureC - BROWNS_EARLY_C)} °C instead of ${temperatureC} °C, and a few minutes longer`
        : `It browns early: oven ${BROWNS_EARLY_C} °C lower, and a few minutes longer`,
    )
  else if (browning && DRY_HEAT.has(way)) said.push('It browns early: a lower heat, and a minute longer')
  return said
}

/** What a thinner shell and a fuller piece ask for. */
function shellChanges(recipe: Recipe, before: Evaluation, after: Evaluation): string[] {
  const share = after.dough.gramsPerPiece / before.dough.gramsPerPiece
  if (!(share < NOTICED.shellShare)) return []
  const thickness = recipe.facts.find((fact) => fact.kind === 'thickness-mm')
  const rolled = thickness
    ? `roll it ${(thickness.low * share).toFixed(1)} mm instead of ${thickness.low} mm`
    : `roll it about ${Math.round(100 * (1 - share))} % thinner at the same size`
  return [
    `Less dough, more filling: ${Math.round(after.dough.gramsPerPiece)} g of dough a piece instead of ${Math.round(before.dough.gramsPerPiece)} g; ${rolled}, and press the air out`,
  ]
}

/**
 * What the cook has to do otherwise, with numbers, from how dough and filling have changed: kneading, rest,
 * steaming and oven, by the kind of dough and the way it is cooked. Common practice, no source.
 *
 * @param formed the dough was made by a formula, which says itself how it is made
 */
export function methodChanges(
  recipe: Recipe,
  before: Evaluation,
  after: Evaluation,
  formed = false,
): RecipeNote[] {
  const notes: RecipeNote[] = []
  const say = (text: string) => notes.push({ code: 'handling', level: 'note', text })
  if (!after.dough.ready && !before.dough.ready) {
    if (!formed) doughChanges(recipe, before, after).forEach(say)
    shellChanges(recipe, before, after).forEach(say)
    const yeast = recipe.parts.some(
      (part) => part.kind === 'shell' && part.lines.some((line) => /yeast/.test(line.foodId ?? '')),
    )
    if (yeast && (before.dough.sugarPct ?? 0) > 1 && (after.dough.sugarPct ?? 0) < 0.3)
      say(
        'No sugar is left for the yeast: stir a teaspoon of it into the warm liquid first; the yeast eats it',
      )
  }
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
