import { byWord } from '../food/byWord'
import { foodIs } from '../food/groups'
import type { Food, State } from '../food/food'

/** What a name says of state and fat, apart from which food it is. */
export interface Qualifiers {
  /** "fresh" and "uncooked" are asked too: which state they mean hangs on the food. */
  state: State | 'fresh' | 'uncooked' | null
  /** The word that said it. */
  stateWord: string
  /** Grams of fat in 100 g. */
  fatG: number | null
  fat: 'none' | 'low' | 'lean' | null
  fatWords: string
  /** Words that say neither. */
  rest: string[]
}

const STATE_WORDS: Readonly<Record<string, NonNullable<Qualifiers['state']>>> = byWord({
  ...Object.fromEntries(
    `cooked boiled parboiled steamed poached roast roasted grilled braised baked leftover fried stewed browned wilted
     blanched sauteed crispy precooked`
      .split(/\s+/)
      .map((word) => [word, 'cooked' as const]),
  ),
  canned: 'canned',
  tinned: 'canned',
  jarred: 'canned',
  dried: 'dried',
  dry: 'dried',
  desiccated: 'dried',
  dehydrated: 'dried',
  frozen: 'frozen',
  smoked: 'smoked',
  pickled: 'pickled',
  raw: 'raw',
  fresh: 'fresh',
  freshly: 'fresh',
  uncooked: 'uncooked',
})

/** Of several states the one that changes figures most is meant: "fresh smoked", "frozen cooked". */
const WEIGHT: Readonly<Record<NonNullable<Qualifiers['state']>, number>> = {
  smoked: 7,
  pickled: 6,
  canned: 5,
  cooked: 4,
  dried: 4,
  dry: 4,
  uncooked: 3,
  raw: 2,
  frozen: 1,
  fresh: 0,
}

const FAT_NONE = /\b(?:fat free|non ?fat|no fat|(?<!semi )skimmed|skim|zero fat|virtually fat free)\b/
const FAT_LOW = /\b(?:(?:low|lower|reduced|half|less) fat|semi skimmed|light|lite|lighter|diet)\b/
const FAT_LEAN = /\b(?:extra lean|very lean|lean|leaner)\b/
const FAT_FULL = /\b(?:full fat|full cream|whole)\b/
const PERCENT_FAT =
  /\b(\d+(?:\.\d+)?) ?%(?: (?:milk ?fat|butter ?fat|fat|bf|mf))?(?= |$)|\b(\d+) percent fat\b/
const PERCENT_LEAN = /\b(\d+(?:\.\d+)?) ?% lean\b/
const LEAN_TO_FAT = /\b([5-9]\d) (\d{1,2})\b/

/** Behind a name these say what is done with it here: "2 leeks fried in butter" are bought raw. */
const DONE_HERE = /^(?:fried|stewed|browned|wilted|blanched|sauteed|roasted|grilled|braised|baked)$/

/**
 * What the words of a name say of state and fat.
 *
 * @param words before the name and, unless what is done here is left out of them, behind it
 */
export function qualifiersIn(words: readonly string[]): Qualifiers {
  const said: Qualifiers = { state: null, stateWord: '', fatG: null, fat: null, fatWords: '', rest: [] }
  let text = words.join(' ')
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(text)
    if (found) {
      text = text.replace(found[0], ' ')
      said.fatWords ||= found[0]
    }
    return found
  }
  const lean = take(PERCENT_LEAN)
  const percent = lean ? null : take(PERCENT_FAT)
  const pair = lean || percent ? null : LEAN_TO_FAT.exec(text)
  if (lean) said.fatG = 100 - Number(lean[1])
  else if (percent) said.fatG = Number(percent[1] ?? percent[2])
  else if (pair && Number(pair[1]) + Number(pair[2]) === 100) {
    take(LEAN_TO_FAT)
    said.fatG = Number(pair[2])
  }
  // Fatty mince is sold with a fifth of fat: common practice, no source.
  else if (/\bfatty\b/.test(text) && /\b(?:minced?|ground)\b/.test(text) && take(/\bfatty\b/))
    said.fatG = FATTY_MINCE_G
  if (take(FAT_NONE)) said.fat = 'none'
  else if (take(FAT_LOW)) said.fat = 'low'
  else if (take(FAT_LEAN)) said.fat = 'lean'
  else if (FAT_FULL.test(text)) text = text.replace(FAT_FULL, ' ')
  for (const word of text.split(' ').filter(Boolean)) {
    const state = STATE_WORDS[word]
    if (!state) {
      said.rest.push(word)
      continue
    }
    if (said.state !== null && WEIGHT[state] <= WEIGHT[said.state]) continue
    said.state = state
    said.stateWord = word
  }
  return said
}

/** Words behind a name without what is done with the food in this recipe. */
export const asBought = (after: readonly string[]) => after.filter((word) => !DONE_HERE.test(word))

/** States in which a food answers to a word for another: what is canned is cooked. */
const ANSWERS: Readonly<Record<NonNullable<Qualifiers['state']>, readonly State[]>> = {
  raw: ['raw', 'frozen', 'dry'],
  fresh: ['raw', 'frozen', 'cooked'],
  uncooked: ['dry', 'raw', 'frozen'],
  frozen: ['frozen', 'raw', 'cooked'],
  cooked: ['cooked', 'canned', 'smoked', 'pickled'],
  dry: ['dry', 'dried'],
  dried: ['dried', 'dry'],
  canned: ['canned', 'pickled'],
  smoked: ['smoked'],
  pickled: ['pickled', 'canned'],
}

/** Above this difference, in g per 100 g, another share of fat is another food. */
const NEAR_FAT_G = 1.6
/** What "none" may still hold, and what "lean" does at most, in g per 100 g: common practice, no source. */
const FAT_FREE_G = 2
const LEAN_G = 10
const FATTY_MINCE_G = 20

export interface Settled {
  food: Food
  /** What was asked and could not be had, in words; '' when all was. */
  lacking: string
  /** Qualifying words that mean nothing for this food and were not understood. */
  odd: string[]
}

/**
 * The food of the same kind in the state and with the fat that a name asks for.
 *
 * @param food that the name means without its qualifiers
 * @param siblings all foods of its kind, itself among them
 */
export function settle(food: Food, siblings: readonly Food[], said: Qualifiers): Settled {
  const lacking: string[] = []
  const odd: string[] = []
  let chosen = food
  const smokeAlike = said.state === 'smoked' && foodIs(food, 'smoked-alike')
  if (said.state !== null && !smokeAlike) {
    const wanted = ANSWERS[said.state]
    if (chosen.state === null) {
      if (said.state === 'smoked' || said.state === 'pickled') odd.push(said.stateWord)
    } else {
      const frozen = said.state === 'frozen' ? siblings.find((one) => one.state === 'frozen') : undefined
      const answers = wanted.includes(chosen.state) ? chosen : undefined
      const other = wanted.flatMap((state) => siblings.filter((one) => one.state === state))[0]
      const found = frozen ?? answers ?? other
      if (found) chosen = found
      else lacking.push(`the larder has none that is ${said.stateWord}`)
    }
  }
  const alike = siblings.filter((one) => one.state === chosen.state)
  const nearest = (fatG: number) =>
    alike.reduce(
      (best, one) =>
        Math.abs(one.per100g.fatG - fatG) < Math.abs(best.per100g.fatG - fatG) - 1e-9 ? one : best,
      chosen,
    )
  const lacks = () => lacking.push(`the larder has none that is "${said.fatWords}"`)
  const fatty = foodIs(chosen, 'sold-by-fat')
  if (said.fatG !== null && (fatty || /fat|lean/.test(said.fatWords))) {
    // Of meat a high number is what is lean: nobody sells mince with 85 g of fat.
    const fatG = /meat/.test(chosen.group) && said.fatG > 50 ? 100 - said.fatG : said.fatG
    chosen = nearest(fatG)
    const off = Math.abs(chosen.per100g.fatG - fatG)
    if (off > NEAR_FAT_G) lacks()
  } else if (said.fat !== null && fatty) {
    const most = said.fat === 'none' ? FAT_FREE_G : said.fat === 'lean' ? LEAN_G : food.per100g.fatG * 0.75
    const fits = alike.filter((one) => one.per100g.fatG <= most && one.figuresOf === null)
    const best = said.fat === 'none' ? nearest(0) : fits.sort((a, b) => b.per100g.fatG - a.per100g.fatG)[0]
    const holds = food.per100g.fatG <= (said.fat === 'low' ? 3 : most)
    if (holds && said.fat !== 'none') chosen = food
    else if (best && best.per100g.fatG <= most) chosen = best
    else if (said.fat !== 'lean' || chosen.group === 'minced-meat') lacks()
  }
  return { food: chosen, lacking: lacking.join('; '), odd }
}
