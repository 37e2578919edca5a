import { recalled } from './matches'
import { foodIs } from '../food/groups'
import type { RecipeNote } from '../recipe/document'
import { withoutExcepted } from './asides'
import { BRUSHES, brushingsOf } from './brushing'
import { finishOf, shareOnTop, type Draft } from './drafts'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'
import { KEPT_BACK } from './readLine'

/** "Beat the other egg … and brush": of several eggs one is for on top. */
const OTHER_EGG = recalled(
  /\b(?:other|remaining|second|third|last|spare|reserved|extra|rest of the) (?:beaten )?egg\b/i,
)

/** One of several eggs goes on top where the method says "the other egg", and the rest stay where they are. */
export function oneEggOnTop(drafts: Draft[], clauses: readonly Clause[]): void {
  const isKept = drafts.some(({ lines }) =>
    lines.some((item) => isWholeEgg(item) && KEPT_BACK.test(item.line.raw)),
  )
  const onTop =
    isKept ||
    clauses.some(({ sentence }) => OTHER_EGG.test(sentence) && BRUSHES.test(sentence)) ||
    brushingsOf(clauses).some(({ mixed }) => OTHER_EGG.test(mixed))
  if (!onTop || drafts.some(({ kind, lines }) => kind === 'finish' && lines.some(isWholeEgg))) return
  // "Brush the edges with egg … the tops with the remaining egg": all of it is brushed on.
  const isUsed = clauses.some(({ text }) => {
    const plain = withoutExcepted(text.replace(/\([^()]*\)/g, ''))
    return /\beggs?\b/i.test(plain) && !BRUSHES.test(plain)
  })
  if (!isKept && !isUsed) return
  const onlyOne = drafts.flatMap(({ lines }) => lines).filter(isWholeEgg).length === 1
  for (const draft of drafts) {
    const item = draft.lines.find(
      (one) => isWholeEgg(one) && ((eggsOf(one) ?? 0) >= 2 || (onlyOne && eggsOf(one) === 1)),
    )
    if (!item) continue
    const own = eggsOf(item)!
    // "Half of the egg … the remaining egg": one is used twice.
    const [share, says] =
      own === 1
        ? SOME_KEPT.test(item.line.raw)
          ? [0.25, aLittle]
          : [0.5, inHalves]
        : [1 / own, ofSeveral(1, own)]
    shareOnTop(drafts, item, share, { onTop: says, left: own === 1 ? says : ofSeveral(own - 1, own) })
    return
  }
}

const isWholeEgg = ({ food }: ReadIngredient) => foodIs(food, 'whole-egg')
/** How many eggs a line counts; null where it weighs them. */
const eggsOf = ({ read }: ReadIngredient): number | null => {
  const term = read.measures[0]?.[0]
  return term && term.unitId === null && Number.isInteger(term.low) ? term.low : null
}
const SOME_KEPT = recalled(/\b(?:a little|a bit|some|a spoonful|a tablespoon|a tbsp)\b/i)
/** Of an egg, where a little of it is kept for the tops. Common practice, no source. */
const aLittle: RecipeNote = {
  code: 'divided',
  level: 'note',
  text: 'A little of the egg is kept for the tops: a quarter is taken; common practice, no source',
}
const inHalves: RecipeNote = {
  code: 'divided',
  level: 'note',
  text: 'Half of the egg: the method brushes with the rest of it',
}
const ofSeveral = (some: number, all: number): RecipeNote => ({
  code: 'divided',
  level: 'note',
  text: `${some} of the ${all} eggs of the line: the method brushes with the other`,
})

/** "1 egg (for dipping)": nobody dips into a raw egg at the table; the pieces are dipped before they are cooked. */
export function coatFromDip(drafts: Draft[]): void {
  for (const draft of drafts) {
    if (draft.kind !== 'dip' || draft.into) continue
    const eggs = draft.lines.filter(
      ({ food, read }) =>
        /^egg(?:-yolk|-white)?$/.test(food?.group ?? '') && food?.state === 'raw' && /\bdip/i.test(read.raw),
    )
    if (!eggs.length) continue
    draft.lines = draft.lines.filter((item) => !eggs.includes(item))
    finishOf(drafts).lines.push(...eggs)
  }
}
