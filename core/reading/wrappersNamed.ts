import type { Food, Foods } from '../food/food'
import { newLine, type RecipeNote } from '../recipe/document'
import { newDraft, type Draft } from './drafts'
import { matchFood } from './match'
import { readLine } from './readLine'

// A list of what goes in and no dough: the words around it say what it is wrapped in, or nothing does.

const CALLED =
  /((?:[a-zß-öø-ɏ]+[ -]){0,3}(?:wrappers?|skins?|dis[ck]s?|tortillas?|egg roll wraps?|rice papers?))\b/gi
/** A skin that is no wrapper: "remove the skin", "potatoes in their skins". */
const OF_A_FOOD = /\b(?:potato|chicken|fish|sausage|tomato|onion|salmon|lemon|remove|peel|their|its|off)\b/i

/** By this share one maker's wrappers differ from another's. Common practice, no source. */
const SPREAD = 0.2
/** Words round a wrapper that say nothing of its kind. */
const SAYS_NOTHING =
  /^(?:packs?|packets?|of|the|for|in|your|some|bought|shop|store|ready|made|frozen|round|square|about|approx|with|all|and|x)$/i
/** Dishes whose own wrappers the larder has. */
const OF_A_DISH = /\b(wonton|gyoza|mandu|spring roll|egg roll|empanada)s?\b/i

/** The wrapper that a text names first; null where it names none that the larder has. */
function wrapperIn(text: string, foods: Foods): Food | null {
  for (const [, phrase] of text.matchAll(CALLED)) {
    if (OF_A_FOOD.test(phrase!)) continue
    const words = phrase!.trim().split(/[ -]+/)
    const kept = words.filter((word) => !SAYS_NOTHING.test(word))
    const names = kept.map((_, from) => kept.slice(from).join(' '))
    // Bare "wrappers" are those of the dish: of wontons they hold egg.
    const dish = OF_A_DISH.exec(text)?.[1]
    if (dish) names.splice(-1, 0, `${dish} ${kept.at(-1)!}`)
    for (const name of names) {
      const match = matchFood(name, foods)
      if (
        match?.how === 'exact' &&
        /^(?:wrapper|pastry)$/.test(match.food.group) &&
        match.food.unitGrams.piece
      )
        return match.food
    }
  }
  return null
}

/**
 * "Filling for 40 wonton wrappers": what the pieces are wrapped in is counted, one for each, though no line lists it.
 * Where nothing says what it is, that is said: figures of a filling alone are none of a dumpling.
 *
 * @param text all of the recipe
 * @param pieces how many there are
 */
export function addWrappersNamed(
  drafts: Draft[],
  text: string,
  pieces: number,
  foods: Foods,
  notes: RecipeNote[],
): void {
  if (drafts.some(({ kind, into, lines }) => kind === 'shell' && !into && lines.length)) return
  if (!drafts.some(({ kind, lines }) => kind === 'filling' && lines.length)) return
  const wrapper = wrapperIn(text, foods)
  if (!wrapper) {
    notes.push({
      code: 'no-dough',
      level: 'check',
      text: 'No line lists a dough or wrappers: the figures are those of the filling alone. Add them to the lines of the dough',
    })
    return
  }
  const each = wrapper.unitGrams.piece!
  const line = newLine({
    raw: '',
    name: wrapper.name,
    foodId: wrapper.id,
    grams: each * pieces,
    gramsLow: (1 - SPREAD) * each * pieces,
    gramsHigh: (1 + SPREAD) * each * pieces,
    notes: [
      {
        code: 'unlisted',
        level: 'check',
        text: `The text names ${wrapper.name.toLowerCase()}, which no line lists: one for each of ${pieces} pieces, ${each} g each`,
      },
    ],
  })
  drafts.unshift(newDraft('shell', { lines: [{ line, read: readLine(''), food: wrapper }] }))
}
