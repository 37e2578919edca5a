import { PART_NAMES } from '../recipe/vocabulary'
import { isDoughBase, newDraft, type Draft } from './drafts'
import type { Clause } from './method'
import { recalled } from './matches'
import type { ReadIngredient } from './readIngredient'
import { isNamed } from './tossed'

// Fruit that is wrapped whole, one in each piece, and listed with its dough: plums in potato dough.

const WRAPS = recalled(/\b(?:wrap|enclose|encase|surround|cover|envelop|fold|close)\w*\b/i)
/** What goes over a dumpling once it is boiled, and into none. */
const GOES_OVER = /^(?:bread|solid-fat|oil|sweetener|spice|nut|seed)$/

const isCounted = ({ read }: ReadIngredient): boolean =>
  read.measures.length === 1 && read.measures[0]!.length === 1 && read.measures[0]![0]!.unitId === null

/**
 * Fruit that is counted behind its dough, and that the method wraps, goes in with what is listed behind it; crumbs, fat
 * and sugar that had been taken for the filling go over the pieces.
 */
export function fillWithWhole(drafts: Draft[], clauses: readonly Clause[]): void {
  const shell = drafts.find(({ kind, into }) => kind === 'shell' && !into)
  const at =
    shell?.lines.findIndex(
      (item, n) =>
        n > 0 &&
        item.food?.group === 'fruit' &&
        isCounted(item) &&
        clauses.some(({ text }) => WRAPS.test(text) && isNamed(text, item)),
    ) ?? -1
  if (!shell || at < 0 || !shell.lines.slice(0, at).some(({ food }) => isDoughBase(food))) return
  const next = shell.lines.findIndex(({ food }, n) => n > at && isDoughBase(food))
  const inside = shell.lines.splice(at, (next < 0 ? shell.lines.length : next) - at)
  const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
  if (filling && filling.lines.every(({ food }) => food !== null && GOES_OVER.test(food.group)))
    Object.assign(filling, { kind: 'finish', name: PART_NAMES.finish })
  drafts.push(newDraft('filling', { lines: inside }))
}
