import { PART_NAMES } from '../recipe/vocabulary'
import { newDraft, type Draft } from './drafts'
import { normaliseName } from './match'
import type { Clause } from './method'

const SERVED = /\b(?:serve[ds]?|serving|eat|eaten)\b[^.;]*?\b(?:with|alongside|in)\b([^.;]*)/iu

/**
 * "Serve with sour cream and chives": what the list has last, and the method names for nothing but the table, stands
 * beside the dish, though no heading says so.
 */
export function standsBeside(drafts: Draft[], clauses: readonly Clause[]): void {
  const served = clauses.flatMap(({ text }) => SERVED.exec(text)?.[1] ?? [])
  if (!served.length) return
  const wordsOf = (texts: readonly string[]) =>
    new Set(texts.flatMap((text) => normaliseName(text).split(' ')))
  const atTable = wordsOf(served)
  const atWork = wordsOf(clauses.map(({ text }) => text.replace(SERVED, ' ')))
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const last: typeof draft.lines = []
    // Only from the end of the list: what goes in stands above what is put beside.
    for (const item of [...draft.lines].reverse()) {
      const word = normaliseName(item.read.name).split(' ').at(-1) ?? ''
      if (word.length < 3 || !atTable.has(word) || atWork.has(word)) break
      last.unshift(item)
    }
    if (!last.length || last.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !last.includes(item))
    const dip = drafts.find(({ kind }) => kind === 'dip')
    if (dip) dip.lines.push(...last)
    else drafts.push(newDraft('dip', { name: PART_NAMES.dip, lines: last }))
  }
}
