import { foodAgainstDiet, type Diet } from '../diet/diets'
import type { Foods } from '../food/food'
import { printLine } from '../recipe/printLine'
import { newLine, type Recipe } from '../recipe/document'
import { takeChoice } from '../recipe/edit'
import { allLines, foodOf } from '../recipe/lines'
import { allergensAdded, type Change } from './applySwap'
import { rebalanceDough } from './rebalance'

/** The mark in a line's `cameFrom` of an alternative that the recipe itself names. */
const writtenMark = (foodId: string): string => `written:${foodId}`

/**
 * Takes the alternatives that a recipe names itself where what stands first breaks a diet: "butter or oil" is oil for
 * a vegan. Nobody's stand-in is nearer than what was written.
 *
 * @param locked ids of lines that stay as they are
 * @param refused marks of alternatives the cook does not want
 */
export function takeWritten(
  recipe: Recipe,
  diets: readonly Diet[],
  foods: Foods,
  { locked, refused }: { locked: readonly string[]; refused: readonly string[] },
): { recipe: Recipe; changes: Change[] } {
  const breaks = (foodId: string | null) => {
    const food = foods.get(foodId ?? '')
    return !food || diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)
  }
  let next = recipe
  const changes: Change[] = []
  for (const { part, line } of allLines(recipe)) {
    const from = foodOf(line, foods)
    if (!from || locked.includes(line.id) || !breaks(from.id)) continue
    const at = line.choices.findIndex(
      ({ foodId, grams }) =>
        grams !== 0 &&
        // What nobody has weighed stands for nothing that is.
        (grams !== null || line.grams === null) &&
        !breaks(foodId) &&
        !refused.includes(writtenMark(foodId!)),
    )
    const to = foods.get(line.choices[at]?.foodId ?? '')
    if (!to) continue
    const why = 'The recipe itself names it as the other choice'
    const mark = writtenMark(to.id)
    const raw = line.raw || printLine(line, from)
    next = takeChoice(next, line.id, at)
    const now = allLines(next).find((one) => one.line.id === line.id)!.line
    next = {
      ...next,
      parts: next.parts.map((one) => ({
        ...one,
        lines: one.lines.map((own) =>
          own.id === line.id
            ? newLine({
                ...now,
                raw: printLine(now, to),
                cameFrom: {
                  ...(line.cameFrom ?? { raw, foodId: line.foodId, name: from.name, grams: line.grams }),
                  why,
                  swapId: mark,
                },
              })
            : own,
        ),
      })),
    }
    changes.push({
      kind: 'swap',
      line: line.raw,
      lineId: line.id,
      part: part.kind,
      from: from.name,
      to: to.name,
      gramsBefore: line.grams,
      gramsAfter: now.grams,
      why,
      roles: [],
      rolesLost: [],
      handling: line.choices[at]!.handling,
      cooking: '',
      allergensAdded: allergensAdded([from], [to]),
      swapId: mark,
      source: 'the recipe as written',
    })
  }
  // Butter holds water that shortening lacks: what is kneaded is as soft as it was.
  const balanced = changes.some(({ part }) => part === 'shell')
    ? rebalanceDough(recipe, next, foods)
    : { recipe: next, changes: [] }
  return { recipe: balanced.recipe, changes: [...changes, ...balanced.changes] }
}
