import type { Food } from '../food/food'
import type { Purpose } from './readLine'
import type { Line, PartKind, RecipeNote } from '../recipe/document'

/** A part while its lines are gathered. */
export interface Draft {
  kind: PartKind
  name: string
  lines: Line[]
}

/** What a part is called when the text gives it no heading. */
export const PART_NAMES: Record<PartKind, string> = {
  shell: 'Dough',
  filling: 'Filling',
  marinade: 'Marinade',
  finish: 'To finish',
  pan: 'Pan',
  dip: 'Dip',
}

const DOUGH_GROUPS = new Set(
  'flour starch fibre gluten gum leavening protein-powder liquid milk plant-milk milk-powder yogurt plant-yogurt oil solid-fat egg egg-yolk egg-white plant-egg salt sweetener polyol wrapper pastry'.split(
    ' ',
  ),
)
const READY = new Set(['wrapper', 'pastry'])

/** Where a line belongs that says what it is for; oil "for frying" the onions stays in its filling. */
export function moved(kind: PartKind, purpose: Purpose | null, raw: string, food: Food | null): PartKind {
  if (!purpose || purpose === kind) return kind
  if (purpose === 'pan')
    return kind === 'filling' && !/\bdeep\b/i.test(raw) ? kind : food?.softeningFat ? 'pan' : kind
  if (purpose === 'finish') return kind === 'dip' || kind === 'pan' ? kind : 'finish'
  if (purpose === 'dip') return kind === 'finish' || kind === 'pan' ? kind : 'dip'
  return kind
}

/**
 * Gives the lines that stood under no heading a part: the one that is missing, or, without any headings, dough
 * for the run of dough-like lines round the flour and filling for the rest.
 */
export function placeUnheaded(
  unheaded: Line[],
  drafts: Draft[],
  notes: RecipeNote[],
  foodOf: (line: Line) => Food | undefined,
): void {
  if (!unheaded.length) return
  const home = (kind: PartKind): Draft => {
    const known = drafts.find((draft) => draft.kind === kind)
    if (known) return known
    const made: Draft = { kind, name: PART_NAMES[kind], lines: [] }
    drafts.push(made)
    return made
  }
  const isFlour = (line: Line) => {
    const food = foodOf(line)
    return !!food && (/^(?:flour|gluten)$/.test(food.group) || READY.has(food.group))
  }
  const flourAt = unheaded.findIndex(isFlour)
  if (drafts.some((draft) => draft.kind === 'shell' || draft.kind === 'filling')) {
    const missing = drafts.some((draft) => draft.kind === 'shell') ? 'filling' : 'shell'
    home(flourAt >= 0 && missing === 'filling' ? 'shell' : missing).lines.unshift(...unheaded)
    return
  }
  if (flourAt < 0) {
    home('filling').lines.push(...unheaded)
    return
  }
  // Without headings the dough is the run of dough-like lines round the flour.
  let from = flourAt
  let to = flourAt
  const doughLike = (line: Line | undefined) => !!line && DOUGH_GROUPS.has(foodOf(line)?.group ?? '')
  while (doughLike(unheaded[from - 1])) from--
  while (doughLike(unheaded[to + 1])) to++
  home('shell').lines.push(...unheaded.slice(from, to + 1))
  const rest = [...unheaded.slice(0, from), ...unheaded.slice(to + 1)]
  if (rest.length) home('filling').lines.push(...rest)
  notes.push({
    code: 'no-headings',
    level: 'check',
    text: 'There were no headings: the dough was taken to be the lines round the flour',
  })
}

/** Bought wrappers listed with the filling are the dough of the piece. */
export function takeReadyShell(
  drafts: Draft[],
  notes: RecipeNote[],
  foodOf: (line: Line) => Food | undefined,
): void {
  if (drafts.some((draft) => draft.kind === 'shell' && draft.lines.length)) return
  for (const draft of drafts) {
    const ready = draft.lines.filter((line) => READY.has(foodOf(line)?.group ?? ''))
    if (!ready.length) continue
    draft.lines = draft.lines.filter((line) => !ready.includes(line))
    drafts.push({ kind: 'shell', name: 'Wrappers', lines: ready })
    notes.push({ code: 'ready-shell', level: 'note', text: 'The bought wrappers were taken as the dough' })
    return
  }
}
