import { foodIs } from '../food/groups'
import { MIXES } from './brushing'
import { finishOf, isFat, THINS_GRAMS, type Draft } from './drafts'
import { recalled } from './matches'
import { normaliseName } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'

// What is brushed on bought sheets, wherever the list has it.

/** Whether the method stirs it into something before any piece is closed. */
const isMixedIn = (name: string, clauses: readonly Clause[]) => {
  const word = normaliseName(name).split(' ').at(-1)!
  return clauses.some(
    ({ text, closed }) =>
      !closed &&
      /\b(?:mix|beat|stir|combine|whisk|blend|bind|add|cook|simmer|thicken|warm|heat)\b/i.test(text) &&
      normaliseName(text).split(' ').includes(word),
  )
}

/** "Brush with the oil mixture". */
const BRUSHES_MIXTURE = recalled(
  /\b(?:brush|spread|moisten|wet|drizzle)\w*\b[^.;]{0,40}\b(?:mixture|mix|liquid|(?:oil|butter|milk|egg|yogh?urt)[-/+ ]+(?:and )?(?:oil|butter|milk|egg|water|yogh?urt)(?: mix(?:ture)?)?)\b(?! (?:of )?(?:filling|cheese))/i,
)

/** More flour than this seals no edges. Common practice, no source. */
const MOST_PASTE_GRAMS = 30
/** "1 tbsp flour mixed with 2 tbsp water" beside wrappers: a paste that seals them. */
function pasteOf({ lines }: Draft): ReadIngredient[] {
  const isLittle = ({ line }: ReadIngredient) => line.grams !== null && line.grams <= 2 * MOST_PASTE_GRAMS
  const at = lines.findIndex(
    (item, n) =>
      /^(?:flour|starch)$/.test(item.food?.group ?? '') &&
      (item.line.grams ?? Infinity) <= MOST_PASTE_GRAMS &&
      lines[n + 1]?.food?.id === 'water' &&
      isLittle(lines[n + 1]!),
  )
  return at < 0 ? [] : lines.slice(at, at + 2)
}

/** Egg, milk and seeds in the list of a bought sheet are brushed on it: there is no dough for them to go into. */
export function washBesideSheet(drafts: Draft[], clauses: readonly Clause[]): void {
  if (
    drafts.some(({ kind, lines }) => kind === 'shell' && lines.some(({ food }) => food?.group === 'pastry'))
  )
    mixedForSheets(drafts, clauses)
  for (const draft of [...drafts]) {
    const isSheet = draft.lines.some(({ food }) => foodIs(food, 'bought-dough'))
    if (draft.kind !== 'shell' || !isSheet) continue
    const paste = pasteOf(draft)
    if (draft.lines.some((item) => item.food?.group === 'flour' && !paste.includes(item))) continue
    // "Whisk oil, milk and egg … brush each sheet with the mixture": it is mixed to be brushed on.
    const forSheets = clauses.some(({ text }) => BRUSHES_MIXTURE.test(text))
    const isEgg = (at: number) => draft.lines[at]?.food?.group.startsWith('egg') === true
    const wash = draft.lines.filter((item, at) => {
      const { food, read, line } = item
      if (!food) return false
      if (paste.includes(item)) return true
      // "1 egg, beaten with a splash of water".
      if (food.id === 'water' && isEgg(at - 1) && (line.grams ?? 0) <= THINS_GRAMS) return true
      if (food.group === 'seed') return true
      if (forSheets && (isFat(food) || /^(?:yogurt|plant-yogurt)$/.test(food.group))) return true
      return (
        /^(?:egg|egg-yolk|egg-white|milk|plant-milk)$/.test(food.group) &&
        (forSheets || !isMixedIn(read.name, clauses))
      )
    })
    if (!wash.length) continue
    draft.lines = draft.lines.filter((item) => !wash.includes(item))
    finishOf(drafts).lines.push(...wash)
  }
}

/** "Whisk the milk, oil and second egg, brush each sheet with the mixture": what stands together in a filling's list. */
function mixedForSheets(drafts: Draft[], clauses: readonly Clause[]): void {
  const brushes = clauses.findIndex(({ text }) => BRUSHES_MIXTURE.test(text))
  const mixes = clauses.slice(0, brushes + 1).findLast(({ text }) => MIXES.test(text))
  if (brushes < 0 || !mixes) return
  for (const draft of drafts) {
    if (draft.kind !== 'filling' || draft.into) continue
    const said = normaliseName(mixes.text).split(' ')
    const isWet = (at: number) =>
      said.includes(normaliseName(draft.lines[at]!.read.name).split(' ').at(-1)!) &&
      (isFat(draft.lines[at]!.food) ||
        /^(?:egg|egg-yolk|egg-white|milk|plant-milk|yogurt|plant-yogurt|liquid)$/.test(
          draft.lines[at]!.food?.group ?? '',
        ))
    const last = draft.lines.findLastIndex((_, at) => isWet(at))
    let first = last
    while (first > 0 && isWet(first - 1)) first--
    if (last - first < 1 || last - first + 1 === draft.lines.length) continue
    finishOf(drafts).lines.unshift(...draft.lines.splice(first, last - first + 1))
    return
  }
}
