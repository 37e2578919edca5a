import { finishOf, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import { recalled } from './matches'
import type { Clause } from './method'

// What the method makes for itself and then brushes on: a part that is called so, or what it whisks together.

const BRUSHES_PART =
  /\b(?:brush|glaze|paint)\w*\b[^.;]*?\bwith (?:(the|this|your|hot|warm) )?((?:[a-zß-öø-ɏ]+ ){0,2}(?:syrup|butter|oil|sauce|glaze|mix|mixture))\b/i
/** "Sugar syrup", and the method brushes with the syrup: what looks like a sauce goes on the pieces. */
export function brushParts(drafts: readonly Draft[], clauses: readonly Clause[]): void {
  const said = clauses.map(({ text }) => BRUSHES_PART.exec(text)).filter((match) => match !== null)
  for (const draft of drafts) {
    const name = normaliseName(draft.name)
    if (draft.kind !== 'dip' || draft.into) continue
    const last = name.split(' ').at(-1)
    // "Brush with butter" is any butter; "with the butter", "with egg butter" is the one that is listed so.
    const isMeant = said.some(([, the, called]) => {
      const own = normaliseName(called!)
      return own === name || (the !== undefined && own.split(' ').at(-1) === last)
    })
    if (isMeant) draft.kind = 'finish'
  }
}

/** "Brush with the yogurt mix", "pour over what is left of the egg mixture". */
const MIXTURE_OVER =
  /\b(?:brush|pour|drizzle|moisten|wet)\w*\b[^.;]{0,40}?\b(?<called>(?!(?:the|this|that|your|of|whole|rest|same)\b)[a-zß-öø-ɏ]+) (?:mix|mixture)\b/i
/** "Whisk the milk, oil and 1 egg - that's to brush between". */
const MIXED_TO_BRUSH = recalled(
  /^\W*(?:then )?(?:mix|beat|stir|combine|whisk|blend)\b[^.;]*\b(?:(?:that['’]?s|this is|it['’]?s|these are) (?:to|for)|for|to) brush(?:ing)?\b/i,
)
const MIXES_FIRST = recalled(/^\W*(?:then )?(?:mix|beat|stir|combine|whisk|blend)\b/i)
/** What the method whisks together in a sentence of its own and then brushes on, by one of its names, is no filling. */
export function brushMixture(drafts: Draft[], clauses: readonly Clause[]): void {
  const [first] = clauses.flatMap(({ text }, at) => {
    if (MIXED_TO_BRUSH.test(text)) return [at]
    const called = MIXTURE_OVER.exec(text)?.groups?.called
    const from = called
      ? clauses
          .slice(0, at)
          .findIndex((one) => MIXES_FIRST.test(one.text) && plainWords(one.text).has(normaliseName(called)))
      : -1
    return from >= 0 ? [from] : []
  })
  if (first === undefined) return
  const own = plainWords(clauses[first]!.text)
  const others = clauses
    .filter(({ text }, at) => at !== first && MIXES_FIRST.test(text))
    .map(({ text }) => plainWords(text))
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const mixed = draft.lines.filter(({ read }) => {
      const word = normaliseName(read.name).split(' ').at(-1)!
      return own.has(word) && !others.some((words) => words.has(word))
    })
    if (mixed.length < 2 || mixed.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !mixed.includes(item))
    finishOf(drafts).lines.push(...mixed)
  }
}
