import type { Draft } from './drafts'
import { recalled } from './matches'

const FOR_DOUGH = recalled(/\b(?:for|in(?:to)?) (?:the |my |your )?(?:dough|pastry|crust)\)?\W*$/i)
const FOR_FILLING = recalled(/\b(?:for|in(?:to|side)?) (?:the |my |your )?(?:filling|stuffing)\)?\W*$/i)
/** "Save the water for the dough": what comes of the food goes there, and not the food. */
const KEEPS = recalled(/\b(?:save|saving|keep|keeping|reserve|reserving|use|using|left)\b/i)

/**
 * "2 eggs, for the dough" below the heading of the filling, "2 tbsp oil for the filling" below that of the dough: a
 * line goes where it says that it goes, if there is such a part, and one only.
 */
export function moveSaidFor(drafts: readonly Draft[]): void {
  const only = (kind: 'shell' | 'filling') => {
    const all = drafts.filter((draft) => draft.kind === kind && !draft.into)
    return all.length === 1 ? all[0]! : null
  }
  const [shell, filling] = [only('shell'), only('filling')]
  if (!shell || !filling) return
  const move = (from: Draft, to: Draft, says: { test: (text: string) => boolean }) => {
    const own = from.lines.filter(({ line }) => says.test(line.raw) && !KEEPS.test(line.raw))
    // A part of which every line says so is called by another name.
    if (!own.length || own.length === from.lines.length) return
    from.lines = from.lines.filter((item) => !own.includes(item))
    to.lines.push(...own)
  }
  move(filling, shell, FOR_DOUGH)
  move(shell, filling, FOR_FILLING)
}
