import type { RecipeNote } from '../recipe/document'
import { isDoughBase, newDraft, type Draft } from './drafts'
import { recalled } from './matches'
import { normaliseName } from './match'
import type { OutlineStep } from './outlineState'
import type { ReadIngredient } from './readIngredient'
import { sentencesOfStep } from './sentences'

// A dough of mashed roots or fruit: only the method says that they go into it, with a flour or by themselves.

const MASHED_TO_DOUGH = recalled(
  /\b(?:mash|knead|grind|blend|pound|grate|rice|mix|work|combine|bring)\w*\b[^.;]*\bdough\b/i,
)
const KNEADS_FLOUR = recalled(/\bknead\w*\b[^.;]*\bflour\b|\bflour\b[^.;]*\bknead/i)
/** What is mashed to a dough by itself. Common practice, no source. */
const ROOTS =
  /^(?:plantain|potato|boiled-potato|creamy-mash|sweet-potato|sweet-potato-cooked|cassava|yam|pumpkin|butternut|cauliflower)$/

/**
 * Takes the foods that the method mashes to a dough out of a filling that has them: those at the head of the list, as
 * far as the sentences up to that dough name them. Where a flour leads a dough they go to it.
 */
export function mashIntoDough(drafts: Draft[], notes: RecipeNote[], steps: readonly OutlineStep[]): void {
  const doughs = drafts.filter(({ lines }) => lines.some(({ food }) => isDoughBase(food)))
  const [shell] = doughs
  // Under headings the cook has said what is in the dough.
  if (
    shell &&
    (doughs.length > 1 || shell.kind !== 'shell' || !notes.some(({ code }) => code === 'no-headings'))
  )
    return
  const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
  if (!filling || !ROOTS.test(filling.lines[0]?.food?.id ?? '')) return
  const sentences = steps.flatMap(({ text }) => sentencesOfStep(text))
  const at = sentences.findIndex(
    (sentence) =>
      (MASHED_TO_DOUGH.test(sentence) && (!shell || /\bflour\b/i.test(sentence))) ||
      (shell !== undefined && KNEADS_FLOUR.test(sentence)),
  )
  if (at < 0) return
  const wordsUpTo = wordsIn(sentences.slice(0, at + 1))
  const words = shell ? wordsIn(sentences.slice(at, at + 1)) : wordsUpTo
  const isNamed = ({ read, food }: ReadIngredient) =>
    isSaid(read.name, ROOTS.test(food?.id ?? '') ? wordsUpTo : words)
  const end = filling.lines.findIndex((item) => !isNamed(item))
  if (end < 1) return
  const mashed = filling.lines.splice(0, end)
  if (shell) {
    shell.lines.push(...mashed)
    notes.push({
      code: 'no-headings',
      level: 'check',
      text: 'There were no headings: what the method works into the flour was taken to be in the dough',
    })
    return
  }
  drafts.unshift(newDraft('shell', { lines: mashed }))
  notes.push({
    code: 'no-headings',
    level: 'check',
    text: 'There were no headings: the dough was taken to be what the method mashes',
  })
}

const wordsIn = (sentences: readonly string[]): ReadonlySet<string> =>
  new Set(normaliseName(sentences.join(' ')).split(' '))
/** "Mashed potato" is said with "mash" as well as with "potatoes". */
const isSaid = (name: string, words: ReadonlySet<string>): boolean => {
  const own = normaliseName(name).split(' ')
  return words.has(own.at(-1)!) || (own.some((word) => /^mash/.test(word)) && words.has('mash'))
}
