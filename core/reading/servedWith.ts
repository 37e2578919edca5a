import { PART_NAMES } from '../recipe/vocabulary'
import { newDraft, type Draft } from './drafts'
import { normaliseName } from './match'
import { recalled } from './matches'
import type { Clause } from './method'

const SERVED = /\b(?:serve[ds]?|serving|eat|eaten)\b[^.;]*?\b(?:with|alongside|in)\b([^.;]*)/i

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
      if (item.food?.group === 'spice' || item.food?.group === 'seasoning') break
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

const OVER_OR_BESIDE = recalled(
  /\b(?:pour|drizzle|spoon|ladle|serve\w*|top|dress|scatter|sprinkle|over|dip\w*|on the side|alongside)\b/i,
)
/** What is drizzled over stands in a sentence of its own; with this share of its lines named there a block is meant. */
const NAMED_SHARE = 0.5

/**
 * Yogurt and garlic below a blank line, which the method names only once the pieces are cooked and pours over them: a
 * sauce, though no heading says so.
 */
export function pourBlocksOver(drafts: Draft[], clauses: readonly Clause[]): void {
  if (!drafts.some(({ apart }) => apart)) return
  const wordsOf = (said: readonly Clause[]) =>
    new Set(said.flatMap(({ text }) => normaliseName(text).split(' ')))
  const before = wordsOf(clauses.filter(({ closed }) => !closed))
  const over = wordsOf(clauses.filter(({ closed, text }) => closed && OVER_OR_BESIDE.test(text)))
  for (const draft of [...drafts]) {
    for (const block of draft.kind === 'filling' && !draft.into ? (draft.apart ?? []) : []) {
      const there = block.filter((item) => draft.lines.includes(item))
      const named = (said: ReadonlySet<string>) =>
        there.filter(({ read }) =>
          normaliseName(read.name)
            .split(' ')
            .some((word) => word.length > 2 && said.has(word)),
        )
      if (there.length < 2 || there.length === draft.lines.length) continue
      if (named(before).length || named(over).length < NAMED_SHARE * there.length) continue
      draft.lines = draft.lines.filter((item) => !there.includes(item))
      const isSauce = there.some(({ food }) =>
        /^(?:yogurt|sauce|stock|liquid|cream)$/.test(food?.group ?? ''),
      )
      const kind = isSauce ? 'dip' : 'finish'
      const home = drafts.find((one) => one.kind === kind && !one.into) ?? newDraft(kind)
      home.lines.push(...there)
      if (!drafts.includes(home)) drafts.push(home)
    }
  }
}

const SAUCE = recalled(/\b(sauce|salsa|pesto|gravy|relish|jam|paste)$/i)

/**
 * "Flatten, 1 tbsp sauce, some ham, fold": what a heading calls a sauce, and what the method puts in before it closes a
 * piece and nowhere serves, is made for the filling.
 */
export function goesInside(drafts: readonly Draft[], clauses: readonly Clause[]): void {
  const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
  if (!filling) return
  for (const draft of drafts) {
    const word = draft.kind === 'dip' && !draft.into ? SAUCE.exec(draft.name.trim())?.[1] : undefined
    if (!word) continue
    const put = new RegExp(
      `\\b(?:tbsps?|tablespoons?|tsps?|teaspoons?|spoon(?:ful)?s?|spread|smear|dollop|layer|cover|top|some)\\b[^.;]{0,30}\\b${word}\\b`,
      'i',
    )
    const served = new RegExp(
      `\\b(?:serve\\w*|dip\\w*|side|table|alongside)\\b[^.;]*\\b${word}\\b|\\bfor (?:serving|dipping)\\b`,
      'i',
    )
    // "Simmer the sauce, add some salt" makes it.
    const isPutIn = clauses.some(
      ({ closed, text }) =>
        !closed && put.test(text) && !/\b(?:mix|blend|simmer|boil|heat|whisk|stir|cook)\b/i.test(text),
    )
    const onSheets = new RegExp(
      `\\b(?:lay|layer|brush|spoon|ladle|pour|drizzle)\\w*\\b[^.;]*\\b(?:sheets?|filo|phyllo|yufka|layers?)\\b[^.;]*\\b${word}\\b`,
      'i',
    )
    // "Lay 5 sheets with some of the sauce on each": it soaks the dough, as what is brushed on does.
    if (clauses.some(({ text }) => onSheets.test(text)) && !served.test(draft.name)) {
      draft.kind = 'finish'
      continue
    }
    if (!isPutIn || served.test(draft.name) || clauses.some(({ text }) => served.test(text))) continue
    draft.kind = 'filling'
    draft.into = filling
  }
}
