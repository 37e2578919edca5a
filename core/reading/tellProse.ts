import type { Foods } from '../food/food'
import { isDoughBase, type Placed } from './drafts'
import type { Outline } from './outlineState'
import { placeLines } from './placeLines'
import { linesFromProse, toldFilling } from './prose'

/** A recipe told in sentences has its ingredients in them. */
export function tellProse(outline: Outline, placed: Placed, foods: Foods): void {
  const hasShell = placed.drafts.some(
    (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => isDoughBase(food)),
  )
  if (!outline.steps.length) return
  if (hasShell) return tellFilling(outline, placed, foods)
  const bare = !placed.drafts.some((draft) => draft.lines.length)
  const told = linesFromProse(outline.steps, foods, bare ? null : 'shell')
  if (!told.some((section) => section.items.length)) return
  const more = placeLines({ ...outline, sections: told }, foods)
  if (!bare && !more.drafts.some((draft) => draft.lines.some(({ food }) => isDoughBase(food)))) return
  // Bought dough that is no flour of ours is still the dough: only an empty shell is filled.
  const own = placed.drafts.find((draft) => draft.kind === 'shell')
  if (own) return
  placed.drafts.push(...more.drafts)
  placed.notes.push({
    code: 'from-prose',
    level: 'check',
    text: 'The amounts were read out of the sentences of the method: look them over',
  })
}

/** "For the filling boil 500 g potatoes …" beside a dough that is listed: what goes in stands in the sentences alone. */
function tellFilling(outline: Outline, placed: Placed, foods: Foods): void {
  if (placed.drafts.some(({ kind, lines }) => kind !== 'shell' && kind !== 'pan' && lines.length)) return
  const told = toldFilling(outline, foods)
  if (!told) return
  placed.drafts.push(...placeLines({ ...outline, sections: told }, foods).drafts)
  placed.notes.push({
    code: 'from-prose',
    level: 'check',
    text: 'The filling was read out of the sentences of the method: look its amounts over',
  })
}
