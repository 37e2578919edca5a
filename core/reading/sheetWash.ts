import { foodIs } from '../food/groups'
import { MIXES } from './brushing'
import { finishOf, isFat, shareOnTop, THINS_GRAMS, type Draft } from './drafts'
import { recalled } from './matches'
import { normaliseName } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'
import { withDigits } from './readNumber'
import { EGGS, GREASES, isNamed, isRunny, ofThem } from './tossed'

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
  /\b(?:brush|spread|moisten|wet|drizzl|sprinkl)\w*\b[^.;]{0,40}\b(?:mixture|mix|liquid|(?:oil|butter|milk|egg|yogh?urt)[-/+ ]+(?:and )?(?:oil|butter|milk|egg|water|yogh?urt)(?: mix(?:ture)?)?)\b(?! (?:of )?(?:filling|cheese))/i,
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

const SAYS_PASTE = recalled(/\b(?:slurry|paste|glue)\b/i)
const COATS_OR_SEALS = recalled(/\b(?:coat|dip|seal|stick|glue|edges?)\b/i)
/** "2 tbsp flour + 4 tbsp water slurry" at the end of what goes into bread or sheets: it seals or coats them. */
export function pasteBesideBread(drafts: Draft[], clauses: readonly Clause[]): void {
  const holds = drafts.some(
    ({ kind, lines }) =>
      kind === 'shell' && lines.some(({ food }) => foodIs(food, 'bought-dough') || food?.group === 'bread'),
  )
  const seals = clauses.some(({ text }) => SAYS_PASTE.test(text) && COATS_OR_SEALS.test(text))
  for (const draft of holds && seals ? [...drafts] : []) {
    const paste = draft.kind === 'filling' && !draft.into ? pasteOf(draft) : []
    if (!paste.some(({ line }) => SAYS_PASTE.test(line.raw)) || paste.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !paste.includes(item))
    finishOf(drafts).lines.push(...paste)
  }
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

/** "The other egg", "the remaining 2 eggs". */
const EGGS_LEFT = /\b(?:the )?(?:other|remaining|rest of the|last|second) (?:(\d) )?(?:beaten )?eggs?\b/i

/**
 * "Whisk the other egg with the milk and oil … brush each sheet with the mixture": what is listed with the filling,
 * stirred apart from it and brushed on sheets. Of several eggs as many as are said, of two lines of a food the second.
 */
function mixedForSheets(drafts: Draft[], clauses: readonly Clause[]): void {
  const brushes = clauses.findIndex(({ text }) => BRUSHES_MIXTURE.test(text))
  for (const draft of brushes < 0 ? [] : [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const namedIn = (text: string) => draft.lines.filter((item) => isNamed(text, item))
    const stirs = ({ text, closed }: Clause): boolean => {
      const named = namedIn(text)
      return !closed && MIXES.test(text) && named.length > 1 && named.every(isRunny)
    }
    // "Brush with the egg-milk mix" is stirred before, if it was.
    const before = clauses.slice(0, brushes).findLastIndex(stirs)
    const at = before < 0 && stirs(clauses[brushes]!) ? brushes : before
    if (at < 0) continue
    const said = withDigits(clauses[at]!.text)
    const others = clauses.filter(
      ({ text }, other) => other !== at && !BRUSHES_MIXTURE.test(text) && !GREASES.test(text),
    )
    for (const item of namedIn(said)) {
      const same = draft.lines.filter(({ food }) => food === item.food)
      const isElsewhere = item === same[0] && others.some(({ text }) => isNamed(text, item))
      const all = item.read.measures[0]?.find(({ unitId }) => unitId === null)?.low ?? 0
      const left = EGGS_LEFT.exec(said)
      const many = Number(
        left?.[1] ?? EGGS.exec(said)?.[1] ?? (left && /eggs\b/i.test(left[0]) ? all - 1 : 1),
      )
      if (isElsewhere && item.food?.group === 'egg' && same.length === 1 && many < all)
        shareOnTop(drafts, item, many / all, { onTop: ofThem(many, all), left: ofThem(all - many, all) })
      else if (!isElsewhere && draft.lines.length > 1) {
        draft.lines = draft.lines.filter((one) => one !== item)
        finishOf(drafts).lines.push(item)
      }
    }
    return
  }
}
