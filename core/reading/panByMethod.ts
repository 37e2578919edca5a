import { foodIs } from '../food/groups'
import type { Clause } from './method'
import { finishOf, isDoughBase, isFat, newDraft, type Draft } from './drafts'
import { normaliseName } from './match'
import { recalled } from './matches'
import type { ReadIngredient } from './readIngredient'

// Lines that the list has among others and only the pan or the pot of the pieces takes: fat, water under a lid, broth.

/** Of the fat in a list that is fried with, whichever of its names the method says. */
const fatWord = (name: string) => new RegExp(`\\b${normaliseName(name).split(' ').at(-1)}\\b`, 'i')
const OILED = recalled(
  /\boiled (?:[a-zß-öø-ɏ]+ )?(?:pan|skillet|griddle)\b|\b(?:brush|oil|grease|wipe) (?:an? |the |your )?(?:[a-zß-öø-ɏ]+ ){0,2}(?:pan|frypan|skillet|griddle|tawa|tava)\b/i,
)

const HEATS_OR_IN = recalled(
  /\bheat (?:half (?:of )?)?(?:the |\d|a |some |oil\b|ghee\b|butter\b|olive )|\bin the [a-zß-öø-ɏ]*\s?(?:oil|butter|ghee)\b/i,
)

/** "Apply ghee on each side", "on a tawa with a little oil". */
const APPLIES_FAT = recalled(
  /\b(?:apply(?:ing)?|smear(?:ing)?|dab(?:bing)?|drizzl(?:e|ing))\b[^.;]*\b(?:oil|ghee|butter)\b|\b(?:griddle|tawa|tava|comal|skillet|pan)\b[^.;]*\b(?:oil|ghee|butter)\b|\b(?:oil|ghee|butter)\b[^.;]*\b(?:(?:each|both) sides?|griddle|tawa|tava)\b/i,
)

/** "Fry in the butter": in that of the list. */
const FRIED_IN_THE = recalled(
  /\b(?:fr(?:y|ied)|brown(?:ed)?|cook(?:ed)?|saut[eé](?:ed)?|crisp)\b[^.;]{0,30}\bin the ((?:[a-zß-öø-ɏ]+ )?(?:butter|ghee|oil|lard|margarine))\b/i,
)
const POURS_WATER = recalled(/\b(?:add|pour|splash)\b[^.;]*\bwater\b|\bwater\b[^.;]*\b(?:lid|cover)/i)
const FRIES_PIECES = recalled(/\bfr(?:y|ied|ying)\b|\bspray(?:ed)?\b/i)

/** The pan of a recipe; a new one where it has none. */
function panOf(drafts: Draft[]): Draft {
  const pan = drafts.find(({ kind }) => kind === 'pan') ?? newDraft('pan')
  if (!drafts.includes(pan)) drafts.push(pan)
  return pan
}

/** Water in a filling's list that only steams the browned pieces under their lid is the pan's. */
export function steamWaterByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  if (!clauses.some(({ about, text }) => about === 'pieces' && POURS_WATER.test(text))) return
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    if (clauses.some(({ about, text }) => about === draft && /\bwater\b/i.test(text))) continue
    const water = draft.lines.filter(({ food }) => food?.id === 'water')
    if (!water.length || water.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !water.includes(item))
    panOf(drafts).lines.push(...water)
  }
}

const COOKED_IN_BROTH = recalled(
  /\b(?:boil|cook|simmer|poach|drop|lower|slide|put)\b[^.;]*\b(?:in|into) (?:the |hot |boiling |simmering |gently )*(?:broth|stock|bouillon|soup)\b/i,
)
/** More stock than this goes into no filling. Our own choice. */
const LEAST_BROTH_GRAMS = 500

/** Stock in a filling's list in which only the pieces are cooked is the pot's. */
export function brothByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  if (!clauses.some(({ about, text }) => about === 'pieces' && COOKED_IN_BROTH.test(text))) return
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const broth = draft.lines.filter(
      ({ food, line }) => food?.group === 'stock' && (line.grams ?? 0) >= LEAST_BROTH_GRAMS,
    )
    if (!broth.length || broth.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !broth.includes(item))
    panOf(drafts).lines.push(...broth)
  }
}

/** "Ghee" without an amount in a dough's list, and the method names it on the griddle alone. */
function griddleFatOfDough(dough: Draft, drafts: Draft[], clauses: readonly Clause[]): void {
  const item = dough.lines.find(({ food, read }) => isFat(food) && !read.measures.length)
  if (!item || dough.lines.length < 3) return
  const word = fatWord(item.read.name)
  const said = clauses.filter(({ text }) => word.test(text))
  const onGriddle =
    said.length > 0 && said.every(({ text, about }) => about === 'pieces' && GRIDDLES.test(text))
  if (!onGriddle) return
  dough.lines = dough.lines.filter((one) => one !== item)
  panOf(drafts).lines.push(item)
}
const GRIDDLES = recalled(/\b(?:tawa|tava|griddle|pan|skillet|sides?|roast|cook|fry)\b/i)

const BRUSHES_OR_MIXES = recalled(/\b(?:brush|paint|layer|mix|stir|knead|beat)\b/i)
/** "50 wrappers, 3 tbsp oil, 1 cup water" below "For assembly": bought wrappers take up neither, the pan does. */
function besideWrappers(dough: Draft, drafts: Draft[], clauses: readonly Clause[]): void {
  const bases = dough.lines.filter(({ food }) => isDoughBase(food))
  if (!bases.length || bases.some(({ food }) => !foodIs(food, 'bought-dough'))) return
  const atPieces = clauses.filter(({ about, text }) => about === 'pieces' && !BRUSHES_OR_MIXES.test(text))
  const isPoured = atPieces.some(({ text }) => POURS_WATER.test(text))
  const moved = dough.lines.filter(
    ({ food, read }) =>
      (food?.id === 'water' && isPoured) ||
      (isFat(food) && atPieces.some(({ text }) => fatWord(read.name).test(text) && HEATS_OR_IN.test(text))),
  )
  if (!moved.some(({ food }) => isFat(food))) return
  dough.lines = dough.lines.filter((one) => !moved.includes(one))
  panOf(drafts).lines.push(...moved)
}

const isStrewn = ({ food }: Pick<ReadIngredient, 'food'>) => /^(?:seed|herb)$/.test(food?.group ?? '')
const STREWS = recalled(/\b(?:sprinkle|scatter|strew|top|garnish|finish)\b/i)
/** "To cook: oil, water, sesame seeds": what is strewn over the pieces in the end is no pan's. */
function strewnBesidePan(drafts: Draft[], clauses: readonly Clause[]): void {
  const pan = drafts.find(({ kind }) => kind === 'pan')
  if (!pan?.lines.some(({ food }) => isFat(food))) return
  const over = clauses.filter(({ text }) => STREWS.test(text)).map(({ text }) => normaliseName(text))
  const strewn = pan.lines.filter(
    ({ food, read }) =>
      (isStrewn({ food }) || food?.id === 'spring-onion') &&
      over.some((text) =>
        normaliseName(read.name)
          .split(' ')
          .some((word) => word.length > 3 && text.includes(word)),
      ),
  )
  if (!strewn.length) return
  pan.lines = pan.lines.filter((item) => !strewn.includes(item))
  finishOf(drafts).lines.push(...strewn)
}

/** Fat that the method only fries the closed pieces in is the pan's, wherever the list has it. */
export function panFatByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  strewnBesidePan(drafts, clauses)
  for (const draft of [...drafts])
    if (draft.kind === 'shell' && !draft.into) besideWrappers(draft, drafts, clauses)
  const pan = drafts.find((draft) => draft.kind === 'pan')
  if (pan?.lines.some(({ food }) => food?.id !== 'water')) return
  const isUnderLid = clauses.some(({ about, text }) => about === 'pieces' && POURS_WATER.test(text))
  for (const draft of [...drafts]) {
    if (draft.kind === 'shell' && !draft.into) griddleFatOfDough(draft, drafts, clauses)
    if (!/^(?:filling|finish)$/.test(draft.kind) || draft.into) continue
    const isPoured = ({ food }: ReadIngredient) =>
      food?.id === 'water' &&
      isUnderLid &&
      !clauses.some(({ about, text }) => about === draft && /\bwater\b/i.test(text))
    // "2 tbsp oil, 1/2 cup water, sesame seeds" in the end: what the pieces are steamed in goes with it.
    const own = draft.lines.findLastIndex((one) => !isPoured(one) && !isStrewn(one))
    const poured = draft.lines.slice(own + 1).filter(isPoured)
    const behind = poured.length ? own : draft.lines.length - 1
    const friesIn = (word: RegExp) =>
      clauses.some(({ about, text }) => about === 'pieces' && word.test(FRIED_IN_THE.exec(text)?.[1] ?? ''))
    if (
      draft.kind === 'finish' &&
      !isUnderLid &&
      !draft.lines.some((one) => isFat(one.food) && friesIn(fatWord(one.read.name)))
    )
      continue
    // Listed last, behind everything that is mixed; what only finishes is mixed with nothing.
    const item = (draft.kind === 'finish' ? draft.lines : draft.lines.slice(behind, behind + 1)).find(
      ({ food, read }) => {
        if (!isFat(food)) return false
        const word = fatWord(read.name)
        const atPieces = clauses.some(
          ({ about, text }) =>
            about === 'pieces' &&
            (OILED.test(text) ||
              (word.test(text) && HEATS_OR_IN.test(text)) ||
              // "Oil", "spray oil" and no more: the pieces are the only thing that is fried.
              ((!read.measures.length || food?.id === 'oil-spray') && FRIES_PIECES.test(text)) ||
              (!read.measures.length && APPLIES_FAT.test(text))),
        )
        const own = new RegExp(`\\b${normaliseName(read.name)}\\b`, 'i')
        return atPieces && !clauses.some(({ about, text }) => about === draft && own.test(text))
      },
    )
    if (!item) continue
    const moved = [item, ...poured]
    draft.lines = draft.lines.filter((one) => !moved.includes(one))
    panOf(drafts).lines.push(...moved)
    return
  }
}
