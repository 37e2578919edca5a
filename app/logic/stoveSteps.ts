import { timesIn } from '~~/core/reading/time'
import type { PlannedTask } from '~~/core/planning/dinner'
import type { Recipe } from '~~/core/recipe/document'

/** One thing to do, as it is shown at the stove. */
export interface StoveStep {
  text: string
  /** What runs by itself from here on: named, in minutes. */
  timers: { name: string; minutes: number }[]
  /** When the Clock has it, in minutes since 1970; null without a plan. */
  at: number | null
  why: string
}

/** A sentence shorter than this stays with the one before it. */
const SHORT = 14
const MAX_NAME = 48

/** What a time belongs to: the words before it, from the last comma or "and" on. */
function nameOf(text: string, index: number): string {
  const before = text.slice(0, index).replace(/[\s,]*(?:(?:for|about|around|approx\.?|another|in)\s*)*$/i, '')
  const name =
    before
      .split(/[.,;]\s+|\band (?:then )?(?=\p{L})/u)
      .at(-1)!
      .trim() || text.trim()
  const own = name[0]!.toUpperCase() + name.slice(1)
  return own.length > MAX_NAME ? `${own.slice(0, MAX_NAME - 1)}…` : own
}

/** The method's own sentences, each with the times that it states. */
export function stepsOfMethod(recipe: Recipe): StoveStep[] {
  return recipe.method.flatMap((step) => {
    const sentences = step.split(/(?<=[.!?])\s+(?=\p{Lu})/u)
    const joined: string[] = []
    for (const sentence of sentences)
      if (joined.length && sentence.length < SHORT) joined[joined.length - 1] += ` ${sentence}`
      else joined.push(sentence)
    return joined.map((text) => ({
      text,
      timers: timesIn(text).map(({ lowMinutes, perSide, index }) => ({
        name: nameOf(text, index),
        minutes: perSide ? lowMinutes * 2 : lowMinutes,
      })),
      at: null,
      why: '',
    }))
  })
}

/**
 * The steps of a plan: work in the order of its beginning, with what goes by itself as timers of the work before it.
 *
 * @param serve when it is on the table, in minutes since 1970
 */
export function stepsOfPlan(
  tasks: readonly PlannedTask[],
  recipes: readonly Recipe[],
  serve: number,
): StoveStep[] {
  // Counted in minutes before serving: what begins first has the largest number.
  const inOrder = [...tasks].sort((a, b) => b.start - a.start || Number(b.hands) - Number(a.hands))
  const steps: StoveStep[] = []
  for (const task of inOrder) {
    const told = task.step === null ? '' : (recipes[task.dish]?.method[task.step] ?? '')
    const name = recipes.length > 1 ? `${task.dish + 1} · ${task.name}` : task.name
    if (task.hands) {
      steps.push({ text: name, timers: [], at: serve - task.start, why: told || task.why })
      continue
    }
    if (task.minutes <= 0) continue
    const timer = { name, minutes: task.minutes }
    const before = steps.at(-1)
    if (before) before.timers.push(timer)
    else steps.push({ text: name, timers: [timer], at: serve - task.start, why: told || task.why })
  }
  return steps
}
