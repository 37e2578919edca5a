import type { RecipeNote } from '../recipe/document'
import { isDoughBase, newDraft, type Draft } from './drafts'
import { recalled } from './matches'
import { normaliseName } from './match'
import type { OutlineStep } from './outlineState'
import { sentencesOfStep } from './sentences'

// A dough of mashed roots or fruit: no flour leads it, and only the method calls it a dough.

const MASHED_TO_DOUGH = recalled(
  /\b(?:mash|knead|grind|blend|pound|grate|rice|mix|work|combine)\w*\b[^.;]*\bdough\b/i,
)
/** What is mashed to a dough by itself. Common practice, no source. */
const ROOTS = /^(?:plantain|potato|boiled-potato|sweet-potato|cassava|yam|pumpkin|butternut|cauliflower)$/

/**
 * Takes the foods that the method mashes to a dough out of a filling that has it all: those at the head of the list, as
 * far as the sentences up to that dough name them.
 */
export function mashIntoDough(drafts: Draft[], notes: RecipeNote[], steps: readonly OutlineStep[]): void {
  if (drafts.some(({ lines }) => lines.some(({ food }) => isDoughBase(food)))) return
  const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
  const sentences = steps.flatMap(({ text }) => sentencesOfStep(text))
  const at = sentences.findIndex((sentence) => MASHED_TO_DOUGH.test(sentence))
  if (!filling || at < 0 || !ROOTS.test(filling.lines[0]?.food?.id ?? '')) return
  const said = new Set(normaliseName(sentences.slice(0, at + 1).join(' ')).split(' '))
  const isNamed = (name: string) => said.has(normaliseName(name).split(' ').at(-1)!)
  const end = filling.lines.findIndex(({ read }) => !isNamed(read.name))
  if (end < 1) return
  drafts.unshift(newDraft('shell', { lines: filling.lines.splice(0, end) }))
  notes.push({
    code: 'no-headings',
    level: 'check',
    text: 'There were no headings: the dough was taken to be what the method mashes',
  })
}
