import { foodIs } from '../food/groups'
import { BRUSHES } from './brushing'
import { recalled } from './matches'
import type { RecipeNote } from '../recipe/document'
import { finishOf, isFat, shareOnTop, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'

/** What is done with cooked pieces: "toss in the butter", "melt the butter with the sage". */
const OVER_PIECES = recalled(/\b(?:toss|melt|brown|drizzle|dress|coat|spoon over|pour over)\b/i)
/** So many lines of a filling have to be named while it is made, for the silence on others to say something. */
const MIN_TOLD = 2

const COMMON = recalled(/^(?:leaf|leaves|fresh|large|small|sprig|oil)$/)
const names = (text: string, { read }: ReadIngredient): boolean => {
  const said = plainWords(text)
  return normaliseName(read.name)
    .split(' ')
    .some((word) => word.length > 2 && !COMMON.test(word) && said.has(word))
}

/**
 * Butter and sage that end a filling's list, and of which the method speaks only once the pieces are closed: they go
 * over the pieces. With them a fat; a filling of which nobody tells what goes in keeps all it has.
 */
export function tossOver(drafts: Draft[], clauses: readonly Clause[]): void {
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into || draft.lines.length < MIN_TOLD + 1) continue
    const before = clauses.filter(({ closed }) => !closed)
    const over = clauses.filter(({ closed, text }) => closed && OVER_PIECES.test(text))
    const told = draft.lines.filter((item) => before.some(({ text }) => names(text, item)))
    if (!over.length || told.length < MIN_TOLD) continue
    const isOver = (item: ReadIngredient) =>
      !told.includes(item) && over.some(({ text }) => names(text, item))
    // "Brown the crumbs in the butter with the sugar": of the run that is named so, from the first that is named nowhere
    // else; the sugar in the plums is another line.
    const run = draft.lines.findLastIndex((item) => !over.some(({ text }) => names(text, item))) + 1
    const first = draft.lines.findIndex((item, at) => at >= run && isOver(item))
    const from = first < 0 ? draft.lines.length : first
    const moved = draft.lines.slice(from)
    // Butter, or a syrup of honey and water.
    if (!moved.some(({ food }) => isFat(food) || food?.group === 'sweetener') || from < MIN_TOLD) continue
    draft.lines = draft.lines.slice(0, from)
    finishOf(drafts).lines.push(...moved)
  }
}

/** "Add half to the potatoes", "most of the onion goes in": how much of it is put into the filling. */
const SHARE_IN: readonly (readonly [RegExp, number])[] = [
  [/\btwo[- ]thirds\b|\b2\/3\b/i, 2 / 3],
  [/\b(?:a|one|1) third\b|\b1\/3\b/i, 1 / 3],
  [/\bmost\b/i, 3 / 4],
  [/\b(?:a|one|1) quarter\b|\b1\/4\b/i, 1 / 4],
  [/\b(?:half|some|part)\b/i, 1 / 2],
]
const PUTS_SHARE = recalled(
  /\b(?:half|some|part|most|(?:a|one|1|two|2)[- ](?:thirds?|quarter))\b(?: of (?:it|them|the [a-zß-öø-ɏ]+))?(?: goes| go)? (?:in(?:to)?|to|with)\b|\b(?:add|mix|stir|put|mash)\b[^.;]{0,20}\b(?:half|some|most|(?:a|one|1|two|2)[- ](?:thirds?|quarter))\b(?: (?:of )?(?:it|them|the|these|those)\b)?|\b(?:add|mix|stir|put|mash)\b[^.;]{0,90}[,&] (?:and )?(?:half|most|two[- ]thirds) of the [a-zß-öø-ɏ]+/i,
)
const THE_REST = recalled(
  /\b(?:the rest|the remaining|remaining|the other (?:half|third|onions?)|the reserved|reserved)\b(?: of)?(?: the)? ([^.;]{0,50})/i,
)
const OVER_OR_BESIDE = recalled(
  /\b(?:toss|serve|top|scatter|drizzle|spoon|dress|garnish|sprinkle|pour|over|on top|fry)\b/i,
)

const inShares = (share: number): RecipeNote => ({
  code: 'divided',
  level: 'check',
  text: `The method puts ${share === 1 / 2 ? 'half' : `about ${Math.round(share * 100)} %`} of it into the filling and the rest over the pieces`,
})

/**
 * "Add half of the onion to the potatoes … toss with the rest of the onion and butter": of what is named, the method
 * puts a share into the filling and the rest over the closed pieces.
 */
export function restOver(drafts: Draft[], clauses: readonly Clause[]): void {
  const put = clauses.find(({ closed, text }) => !closed && PUTS_SHARE.test(text))
  const share = put && SHARE_IN.find(([pattern]) => pattern.test(PUTS_SHARE.exec(put.text)![0]))?.[1]
  const over = clauses.filter(
    ({ closed, text }) => closed && OVER_OR_BESIDE.test(text) && THE_REST.test(text),
  )
  if (!share || !over.length) return
  const rest = over.map(({ text }) => THE_REST.exec(text)![1]!).join(' ')
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const moved = draft.lines.filter(
      (item) =>
        names(rest, item) &&
        (item.line.grams ?? 0) > 0 &&
        // "Butter, divided" has been shared out by its amounts.
        !item.line.notes.some(({ code }) => code === 'divided'),
    )
    if (!moved.length || moved.length === draft.lines.length) continue
    const says = { onTop: inShares(share), left: inShares(share) }
    for (const item of moved) shareOnTop(drafts, item, 1 - share, says)
    return
  }
}

/** Whether a text names a line, be it "the oil" where olive oil is listed. */
export const isNamed = (text: string, item: ReadIngredient): boolean =>
  names(text, item) ||
  (isFat(item.food) && plainWords(text).has(normaliseName(item.read.name).split(' ').at(-1)!))

const POURS_OVER = recalled(
  /\b(?:pour|spoon|ladle|tip)(?:ed)?\b[^.;]{0,60}\b(?:over|on top|all over)(?=\W*(?:$|[,.;])| (?:it|them|all|everything|the (?:whole |hot |unbaked )?(?:rolls?|pie|coils?|tray|top|lot|sheets?|filo|pieces|parcels|buns|pastry|strudels?|b[oö]reks?|banitsa|whole|dish))\b)/i,
)
export const GREASES = recalled(
  /^\W*(?:then )?(?:oil|grease|butter|line) (?:the |an? |your )?(?:[a-zß-öø-ɏ]+ )?(?:tray|tin|dish|pan)\b/i,
)
const STIRS = recalled(/\b(?:mix|whisk|beat|stir|combine)\b/i)
/** How many eggs a clause takes. */
export const EGGS = /\b(\d) (?:more |other |remaining |last )?eggs?\b/i
export const ofThem = (some: number, all: number): RecipeNote => ({
  code: 'divided',
  level: 'note',
  text: `The method takes ${some} of the ${all} here`,
})
/** What can be brushed on or poured over. */
export const isRunny = ({ food }: ReadIngredient): boolean =>
  isFat(food) ||
  (food !== null && (foodIs(food, 'pours') || /^(?:egg|egg-yolk|egg-white|yogurt)$/.test(food.group)))

/**
 * "Whisk the milk with an egg and pour over the rolls": what is listed among the filling and only poured over what lies
 * in its tray finishes it. Of a food that is listed twice it is the second.
 */
export function pourOver(drafts: Draft[], clauses: readonly Clause[]): void {
  const sheets = drafts.some(
    ({ kind, lines }) => kind === 'shell' && lines.some(({ food }) => foodIs(food, 'bought-dough')),
  )
  const at = clauses.findLastIndex(
    ({ text, closed, about }) =>
      (closed || sheets) &&
      POURS_OVER.test(text) &&
      (about === 'pieces' || about === null || (sheets && about.kind === 'filling')),
  )
  if (at < 0) return
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    const named = (text: string) => draft.lines.filter((item) => isRunny(item) && isNamed(text, item))
    const own = clauses[at]!.text
    // "Whisk milk and egg. Pour it over": what was stirred just before.
    const before = clauses[at - 1]
    const isMixedBefore = !named(own).length && before !== undefined && STIRS.test(before.text)
    const said = isMixedBefore ? before.text : own
    // What is brushed on before, or greases the tray, goes over the pieces as well.
    const others = clauses.filter(
      ({ text }, other) =>
        other !== at && !(isMixedBefore && other === at - 1) && !BRUSHES.test(text) && !GREASES.test(text),
    )
    const moved = named(said).filter((item) => {
      const isElsewhere = others.some(({ text }) => isNamed(text, item))
      const first = draft.lines.find(({ food }) => food === item.food)
      return first === item ? !isElsewhere : true
    })
    if (!moved.length || moved.length === draft.lines.length) continue
    draft.lines = draft.lines.filter((item) => !moved.includes(item))
    finishOf(drafts).lines.push(...moved)
    // "Beat 2 eggs with the water, pour over" where three are listed.
    const eggs = draft.lines.find((item) => item.food?.group === 'egg' && isNamed(said, item))
    const [many, all] = [
      Number(EGGS.exec(said)?.[1] ?? 0),
      eggs?.read.measures[0]?.find(({ unitId }) => unitId === null)?.low ?? 0,
    ]
    if (eggs && many > 0 && many < all)
      shareOnTop(drafts, eggs, many / all, { onTop: ofThem(many, all), left: ofThem(all - many, all) })
    return
  }
}
