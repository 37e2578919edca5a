import { recalled } from './matches'
import { finishOf, isFat, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'

/** What is done with cooked pieces: "toss in the butter", "melt the butter with the sage". */
const OVER_PIECES = recalled(/\b(?:toss|melt|brown|drizzle|dress|coat|spoon over|pour over)\b/i)
/** So many lines of a filling have to be named while it is made, for the silence on others to say something. */
const MIN_TOLD = 2

const COMMON = recalled(/^(?:leaf|leaves|fresh|large|small|sprig|oil)$/)
const names = (text: string, { read }: ReadIngredient): boolean => {
  const said = plainWords(text)
  return normaliseName(read.name)
    .split(' ')
    .some((word) => word.length > 2 && !COMMON.test(word) && said.has(word))
}

/**
 * Butter and sage that end a filling's list, and of which the method speaks only once the pieces are closed: they go
 * over the pieces. With them a fat; a filling of which nobody tells what goes in keeps all it has.
 */
export function tossOver(drafts: Draft[], clauses: readonly Clause[]): void {
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into || draft.lines.length < MIN_TOLD + 1) continue
    const before = clauses.filter(({ closed }) => !closed)
    const over = clauses.filter(({ closed, text }) => closed && OVER_PIECES.test(text))
    const told = draft.lines.filter((item) => before.some(({ text }) => names(text, item)))
    if (!over.length || told.length < MIN_TOLD) continue
    const isOver = (item: ReadIngredient) =>
      !told.includes(item) && over.some(({ text }) => names(text, item))
    const from = draft.lines.findLastIndex((item) => !isOver(item)) + 1
    const moved = draft.lines.slice(from)
    if (!moved.some(({ food }) => isFat(food)) || from < MIN_TOLD) continue
    draft.lines = draft.lines.slice(0, from)
    finishOf(drafts).lines.push(...moved)
  }
}
