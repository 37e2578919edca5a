import type { Draft } from './drafts'
import type { OutlineStep } from './outlineState'
import type { ReadIngredient } from './readIngredient'

const SCRAMBLES = /\bscrambl\w*\b[^.;]*\b(?:eggs?|whites?)\b|\b(?:eggs?|whites?)\b[^.;]{0,30}\bscrambl/i
const IN_DOUGH = /\b(?:dough|pastry|knead|crust)\b[^.;]*\b(?:eggs?|whites?|yolks?)\b/i

/** Whether a line is of raw eggs that the method scrambles, whatever else is done in one breath. */
export const areScrambled = (
  { food }: Pick<ReadIngredient, 'food'>,
  clauses: readonly { text: string }[],
): boolean =>
  /^(?:egg|egg-white)$/.test(food?.group ?? '') && clauses.some(({ text }) => SCRAMBLES.test(text))

/**
 * Eggs that the method scrambles go in, though they stand among a dough's lines and no heading parts them.
 */
export function fillWithScrambled(
  drafts: readonly Draft[],
  steps: readonly Pick<OutlineStep, 'text'>[],
): void {
  const told = steps.filter(({ text }) => text.length < 2000)
  if (!told.some(({ text }) => SCRAMBLES.test(text)) || told.some(({ text }) => IN_DOUGH.test(text))) return
  const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
  const shell = drafts.find(({ kind }) => kind === 'shell')
  if (!filling || !shell) return
  const eggs = shell.lines.filter(({ food }) => /^(?:egg|egg-white)$/.test(food?.group ?? ''))
  if (eggs.length === shell.lines.length) return
  shell.lines = shell.lines.filter((item) => !eggs.includes(item))
  filling.lines.unshift(...eggs)
}
