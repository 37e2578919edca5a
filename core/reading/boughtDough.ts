import { foodIs } from '../food/groups'
import { CUTS, type Found } from './dividing'
import { READY_WORDS } from './drafts'
import { recalled } from './matches'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'
import { readNumber } from './readNumber'
import { countOf } from './sheetCuts'

// How many pieces by the dough or bread that is bought: balls, breads and packs that say what becomes of them.

interface Bought {
  /** Lines of all doughs. */
  shell: readonly ReadIngredient[]
  clauses: readonly Clause[]
}

const DOUGH_BALLS =
  /\b(\d{1,2}) (?:[a-zß-öø-ɏ]+ ){0,4}dough balls?\b|\bdough balls?\b[^\d]{0,12}\(?(\d{1,2})\b(?! ?(?:g|oz|kg))/i
/** "20 bonda wrappers" that the larder lacks, "a pack of 6 dough balls". */
export function byCountedDough({ shell }: Bought): Found[] {
  const wrapper = shell.find(
    ({ food, read, line }) => !food && READY_WORDS.test(line.raw) && countOf(read) !== null,
  )
  // "1 pack of 6 dough balls".
  const balls = shell.flatMap(({ line }) => {
    const many = Number(DOUGH_BALLS.exec(line.raw)?.slice(1).find(Boolean) ?? 0)
    return many > 1 ? [{ pieces: many, weight: 65, says: line.raw }] : []
  })
  return wrapper
    ? [{ pieces: countOf(wrapper.read)!, weight: 65, says: wrapper.line.raw }]
    : balls.slice(0, 1)
}

/** "4 pitta breads": each is filled, unless the method cuts them (`bySheets`). */
export function byBread({ shell }: Bought): Found[] {
  const [bread] = shell
  const breads = shell.length === 1 && bread?.food?.group === 'bread' ? countOf(bread.read) : null
  return breads ? [{ pieces: breads, weight: 30, says: bread!.line.raw }] : []
}

const BALLS_BOUGHT =
  /^\W*(?:(\d{1,2}|two|three|four|six) ?[x×]? ?(?:\d{2,4} ?(?:g|oz) )?(?:[a-zß-öø-ɏ]+ ){0,2}?balls?\b|(?:[a-zß-öø-ɏ]+ ){0,3}?(\d{1,2}) ?[x×] ?\d{2,4} ?g\b)/i
/** "Roll each to 25 cm", "stretch them out". */
const WORKS_EACH = recalled(
  /\b(?:roll|stretch|press|pat|flatten|shape|open)\b[^.;]{0,16}\b(?:each|every|both|them|the (?:balls|two|doughs?))\b/i,
)
/** "2 balls of pizza dough … roll each to 25 cm": what was bought is cut no further. */
export function byBallsBought({ shell, clauses }: Bought): Found[] {
  const line = shell.find(({ food }) => foodIs(food, 'bought-dough') && food!.group === 'pastry')?.line
  const said = line && BALLS_BOUGHT.exec(line.raw)?.slice(1).find(Boolean)
  const many = said ? (readNumber(said)?.low ?? 0) : 0
  const isWorked =
    clauses.some(({ text }) => WORKS_EACH.test(text)) && !clauses.some(({ text }) => CUTS.test(text))
  return many > 1 && isWorked ? [{ pieces: many, weight: BALLS_BOUGHT_WEIGHT, says: line!.raw }] : []
}
/** As sure as how the dough is divided. */
const BALLS_BOUGHT_WEIGHT = 60

/** "1 pack croissant dough - 6 triangles". */
export function byCutDough({ shell }: Bought): Found[] {
  const isBought = shell.some(({ food }) => foodIs(food, 'bought-dough'))
  return shell.flatMap(({ line }) => {
    const cut =
      /[-–(,]\s*(\d{1,2}) (?:[x×] ?\d{1,2}(?:\.\d)? ?(?:cm|inch|in|") )?(?:circles|triangles|pieces|balls|rounds|dis[ck]s|squares|portions)\b|(?:[-–(,]\s*|\s)(?:rolled(?: out)?,? (?:and|&|then) )?cut (?:up )?in(?:to)? (\d{1,2})(?! ?(?:cm|mm|inch))\b|\b(?:pastry|dough|puff|shortcrust|filo) in(?:to)? (\d{1,2})(?=\W*$|,)/i.exec(
        line.raw,
      )
    return cut && isBought ? [{ pieces: Number(cut[1] ?? cut[2] ?? cut[3]), weight: 30, says: line.raw }] : []
  })
}
