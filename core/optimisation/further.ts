import { foodIs } from '../food/groups'
import type { Food } from '../food/food'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { CRAFT_RANGE, MIN_SHELL } from './craft'
import { MAX_CONCENTRATE } from './limits'
import { likenessOf } from '../substitution/likeness'

/** Rounding to what a kitchen weighs goes this much beyond a limit without a word. */
const ROUNDING = 0.02
/** A line of a filling below this share of it is not what it is made of. Our own choice. */
const COUNTED_SHARE = 0.08
const MAX_NAMED = 3
/** A stand-in less like than this is quite another thing. Our own choice. */
const LIKE = 0.6

const percent = (share: number) => `${Math.round(100 * share)} %`

/** The share of a dough's flours that foods of some groups are, 0 to 1; 0 without flours. */
function doughShare(recipe: Recipe, { foods }: ReferenceData, groups: ReadonlySet<string>): number {
  let flours = 0
  let counted = 0
  for (const { part, line } of allLines(recipe)) {
    const food = part.kind === 'shell' && line.foodId !== null ? foods.get(line.foodId) : undefined
    if (!food || !foodIs(food, 'flour')) continue
    flours += line.grams ?? 0
    if (groups.has(food.group)) counted += line.grams ?? 0
  }
  return flours > 0 ? counted / flours : 0
}

/**
 * Where a recipe goes further than most cooks would, in words, with its numbers: gluten and isolates in the dough,
 * and what the filling is made of that falls below six tenths. '' where it does not.
 *
 * @param mustGo whether a food breaks what is asked, so that whatever stands in for it will do
 */
export function furtherThanCooks(
  original: Recipe,
  made: Recipe,
  reference: ReferenceData,
  mustGo: (food: Food) => boolean,
): string {
  const said: string[] = []
  const share = (groups: string[]) => {
    const now = doughShare(made, reference, new Set(groups))
    return now > doughShare(original, reference, new Set(groups)) + 0.001 ? now : 0
  }
  const gluten = share(['gluten'])
  if (gluten > MAX_CONCENTRATE.protein.gluten + ROUNDING)
    said.push(`${percent(gluten)} of the flours is gluten`)
  const isolates = share(['protein-powder', 'fibre'])
  if (isolates > MAX_CONCENTRATE.protein.isolates + ROUNDING)
    said.push(`${percent(isolates)} of the flours is protein powder and fibre`)

  const shellGrams = (recipe: Recipe) =>
    allLines(recipe).reduce((sum, { part, line }) => sum + (part.kind === 'shell' ? (line.grams ?? 0) : 0), 0)
  const shell = shellGrams(made) / Math.max(1, shellGrams(original))
  const bought = allLines(original).some(
    ({ part, line }) =>
      part.kind === 'shell' && foodIs(reference.foods.get(line.foodId ?? ''), 'bought-dough'),
  )
  if (!bought && shell < MIN_SHELL - ROUNDING) said.push(`${percent(shell)} of the dough is left`)

  const now = new Map<string, number>()
  for (const { part, line } of allLines(made)) {
    const from = line.cameFrom?.foodId ? reference.foods.get(line.cameFrom.foodId) : undefined
    const food = foodOf(line, reference.foods)
    // What is quite another thing does not keep a filling what it was, unless the old one had to go.
    if (
      from &&
      food &&
      from.id !== food.id &&
      !mustGo(from) &&
      likenessOf(from, food, { part: part.kind, family: 'firm' }, reference.likeness) < LIKE
    )
      continue
    const id = line.id.replace(/-s?\d+(?:-\d+)?$/, '')
    for (const key of new Set([line.id, id]))
      now.set(key, (now.get(key) ?? 0) + (line.grams ?? 0) + line.waterChangeGrams)
  }
  const named = original.parts
    .filter((part) => part.kind === 'filling')
    .flatMap((part) => {
      const total = part.lines.reduce((sum, line) => sum + (line.grams ?? 0), 0)
      return part.lines.flatMap((line) => {
        if (!line.grams || line.grams < COUNTED_SHARE * total) return []
        const kept = (now.get(line.id) ?? 0) / line.grams
        const food = foodOf(line, reference.foods)
        return kept < CRAFT_RANGE.main[0] && food
          ? [{ kept, text: `${food.name.toLowerCase()} falls to ${percent(kept)}` }]
          : []
      })
    })
    .sort((a, b) => a.kept - b.kept)
  said.push(...named.slice(0, MAX_NAMED).map(({ text }) => text))
  return said.length ? `Further than most cooks would go: ${said.join('; ')}` : ''
}
