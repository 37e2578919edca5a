import type { Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import { limit, type ReadIngredient } from './readIngredient'

// What the method says of single lines: that they are squeezed, and what hangs on a choice.

/** "Salt the cabbage and squeeze it": what the method presses out. */
export function squeezeByMethod(draft: Draft, clauses: readonly Clause[]): void {
  const watery = draft.lines.filter(({ food }) => food?.unitGrams.squeezed)
  const wordOf = ({ read }: ReadIngredient) => read.name.toLowerCase().split(' ').at(-1)!.replace(/s$/, '')
  for (const [at, clause] of clauses.entries()) {
    if (clause.about !== draft || !/\b(?:squeeze|wring|press (?:it )?out)\b/i.test(clause.text)) continue
    // "Grate the courgettes and the cabbage. Squeeze out the juice": those that were spoken of.
    const own = clause.sentence.toLowerCase()
    const said = watery.some((item) => own.includes(wordOf(item)))
      ? own
      : (clauses[at - 1]?.sentence.toLowerCase() ?? '')
    for (const item of draft.lines) {
      const { line, food } = item
      const share = food?.unitGrams.squeezed
      if (!share || !line.grams || line.waterChangeGrams !== 0) continue
      if (!said.includes(wordOf(item)) && watery.length > 1) continue
      line.waterChangeGrams = -line.grams * (1 - share)
      line.notes.push({
        code: 'squeezed',
        level: 'note',
        text: `The method has it squeezed: that is taken to press out ${Math.round(-line.waterChangeGrams)} g of water`,
      })
    }
  }
}

/** What the method says of an alternative hangs on it. */
export function handleChoices(draft: Draft, outline: Outline): void {
  for (const { line } of draft.lines) {
    for (const choice of line.choices) {
      const word = choice.name.toLowerCase()
      const step = outline.steps.find(
        ({ text }) =>
          text.length < 500 && /\b(?:if|when|for)\b/i.test(text) && text.toLowerCase().includes(word),
      )
      if (step) choice.handling = limit(step.text, 600)
    }
  }
}
