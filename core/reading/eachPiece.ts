import { recalled } from './matches'
import type { RecipeNote } from '../recipe/document'
import { timesWeights } from '../recipe/scale'
import { PART_NAMES } from '../recipe/vocabulary'
import type { Counted } from './counts'
import type { Draft } from './drafts'
import { EACH_BATCH } from './readLine'
import { PIECES } from './servings'

// What is said of one piece, once it is known how many there are.

/** Bought pastry in one piece beyond which a sheet was a small one. Common practice, no source. */
export const MOST_SHEET_GRAMS = 130

/** A sheet of the shop's is a kitchen's guess: where a piece would hold more of it than a hand does, it is asked about. */
export function askAboutSheets(drafts: readonly Draft[], pieces: number): void {
  for (const { line, food, read } of drafts.flatMap((draft) => (draft.kind === 'shell' ? draft.lines : []))) {
    const counted =
      read.measures.length === 1 &&
      read.measures[0]!.every(({ unitId }) => unitId === null || unitId === 'sheet')
    if (
      pieces < 2 ||
      !counted ||
      food?.group !== 'pastry' ||
      !((line.grams ?? 0) / pieces > MOST_SHEET_GRAMS)
    )
      continue
    line.notes.push({
      code: 'sheet-size',
      level: 'check',
      text: `A sheet is taken as ${Math.round(food.unitGrams.sheet ?? line.grams!)} g; small squares weigh 40 to 60 g each. Weigh one`,
    })
  }
}

/** "Filling per bun: 30 g cheese" is for one piece: the batch takes as many times that. */
export function timesPieces(
  drafts: readonly Draft[],
  { pieces, servings }: Pick<Counted, 'pieces' | 'servings'>,
  notes: RecipeNote[],
): void {
  for (const draft of drafts) {
    if (draft.kind === 'dip' && PER_BOWL.test(draft.name) && servings > 1) {
      for (const { line } of draft.lines) Object.assign(line, timesWeights(line, servings))
      notes.push({
        code: 'per-piece',
        level: 'check',
        text: `${draft.name}: the amounts were taken for one, and ${servings} times that for all`,
      })
      draft.name = draft.name.replace(PER_BOWL, '').trim() || 'For the bowls'
      continue
    }
    if (draft.kind !== 'shell' && pieces > 1)
      for (const { line } of draft.lines) {
        // "8 oz pepperoni in 48 sticks (3 per roll)" weighs what there is for all.
        const said = line.raw.replace(SO_MANY_EACH, '')
        if (line.grams === null || !(LINE_PER_PIECE.test(said) || ONE_EACH.test(said))) continue
        Object.assign(line, timesWeights(line, pieces))
        // It is for all now, and no word of it says otherwise.
        line.prep = line.prep.filter((word) => !LINE_PER_PIECE.test(word))
        line.notes.push({
          code: 'per-piece',
          level: 'check',
          text: `The amount was taken for one piece, and ${pieces} times that for all`,
        })
      }
    if (draft.kind === 'pan')
      for (const { line } of draft.lines) {
        // "1 tbsp oil per batch of 20": as many batches as the pieces need.
        const together = line.prep.includes(EACH_BATCH) ? Number(BATCH_OF.exec(line.raw)?.[1] ?? 0) : 0
        const batches = together ? Math.ceil(pieces / together) : 1
        if (batches < 2 || line.grams === null) continue
        Object.assign(line, timesWeights(line, batches))
        line.prep = line.prep.filter((word) => word !== EACH_BATCH)
        line.notes.push({
          code: 'per-batch',
          level: 'note',
          text: `The amount was taken for one batch of ${together}, and ${batches} times that for all`,
        })
      }
    if (draft.kind === 'shell' || draft.kind === 'pan' || !PER_PIECE.test(draft.name) || pieces < 2) continue
    for (const { line } of draft.lines)
      if (!IN_ALL.test(line.raw)) Object.assign(line, timesWeights(line, pieces))
    notes.push({
      code: 'per-piece',
      level: 'check',
      text: `${draft.name}: the amounts were taken for one piece, and ${pieces} times that for all`,
    })
    // They are for all now, and the name says so.
    draft.name = draft.name.replace(PER_PIECE, '').trim() || PART_NAMES[draft.kind]
  }
}
const BATCH_OF = /\bbatch of (?:about )?(\d{1,3})\b/i
/** "1 tsp ghee per paratha", "a small knob of butter each"; not "2 onions, 100 g each", nor "½ tsp each salt and pepper". */
const IN_ALL = recalled(/\b(?:in all|in total|altogether|for all)\b/i)
const LINE_PER_PIECE = recalled(
  new RegExp(
    String.raw`\b(?:per|for each|on each|in each|for every)\s+(?:one|piece|${PIECES})\b|[(,]\s*(?:about )?[\d¼½¾./ ]{1,6}\s*(?:tsp|tbsp|teaspoons?|tablespoons?) (?:each|per [a-zß-öø-ɏ]+)(?:\)|\W*$)|^\W*(?:an? |\d[\d/. ]* |[¼½¾⅓⅔] )?(?:(?:small|big|little|good|level|heaped) )*(?:knobs?|walnuts?|dabs?|lumps?|blobs?|pinch|slices?|sprigs?|dots?|cubes?|tsp|teaspoons?|tbsp|tablespoons?|spoons?|spoonfuls?)\s+(?:of )?[a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}\s+(?:(?:in|on|for|over) )?each(?:\s*\((?:about |~|approx\.? )?\d+ ?g\))?\W*$`,
    'i',
  ),
)
/** "1 olive each": one food, counted. */
const ONE_EACH = recalled(
  /^\W*(?:an?|one|two|[1-4]|half an?|[½¼]|1\/[24]) (?!(?:g|kg|ml|oz|lb|cups?|tins?|cans?|packs?)\b)(?:(?!and\b|or\b)[a-zß-öø-ɏ-]+ ){1,3}each\W*$/i,
)
const SO_MANY_EACH =
  /\(\s*(?:\d{1,2}|an?|one|two|three|half|[½¼]|a (?:half|quarter)) (?:(?:half|piece|slice) )?(?:per|for each|in each|on each)\b[^()\d]*\)/gi
/** "For each bowl": once for everybody who eats. */
const PER_BOWL = /\b(?:per|for each|in each|for every|each) (?:bowl|plate|person|serving|portion)\b/i
const PER_PIECE = new RegExp(
  String.raw`\b(?:per|for each|for one|in each) (?:one|piece|${PIECES})\b|\beach\W*$`,
  'i',
)
