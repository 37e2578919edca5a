import type { LinePrecooking, PrecookingWay } from '../recipe/document'
import { isFat, wordsOfDraft, type Draft } from './drafts'
import { normaliseName } from './match'
import { isAside, type Clause } from './method'
import type { ReadIngredient } from './readIngredient'
import { middleMinutes, timesIn } from './time'

/** How a part is cooked before it goes in, and which of its lines otherwise. */
export interface PrecookingRead {
  cookedBy: PrecookingWay | null
  minutes: number | null
  untilDry: boolean
  byLine: Map<ReadIngredient, LinePrecooking>
}

const COVERED = /\b(?:lid on|covered|with (?:the|a) lid|put (?:the|a) lid)\b/i
const WAYS: readonly [PrecookingWay, RegExp][] = [
  [
    'fry',
    /\b(?:(?:stir[- ]|dry[- ]|pan[- ])?fr(?:y|ied|ying)|saut[eé](?:ed|ing)?|soften|sweat|brown(?:ed)?(?! (?:sugar|rice|lentils|bread|flour|sauce|onions))|wilt|toss on|scrambled?|temper|splutter|caramelis|caramelize|bhuno)\b|\bcook\b[^.]{0,40}\b(?:oil|butter|ghee|lard|fat)\b/i,
  ],
  ['roast', /\b(?:roast(?:ed)?|char(?:red)?|grill(?:ed)?|bake (?:the|until|whole)|broil)\b/i],
  ['steam', /\b(?:steam(?:ed)?|microwaved?)\b/i],
  [
    'simmer',
    /\b(?:simmer(?:ed|ing)?|boil(?:ed|ing)?|poach(?:ed)?|stew(?:ed)?|brais(?:e|ed)|blanch(?:ed)?|pressure[- ]cook(?:ed)?|parboil(?:ed)?|reduce|thicken)\b/i,
  ],
]
const COOK = /\b(?:cook|heat|warm) (?!the (?:oil|oven|pan|griddle|butter|ghee))(?:\p{L}|,| )*/iu
const DRY =
  /\b(?:until|till) (?:it'?s? |they'?re? |the (?:filling|mixture|pan) is |almost |completely |quite |nearly )*(?:dry|crumbly)\b|\b(?:(?:all )?the )?(?:water|moisture|liquid|juices?)\b[^.]{0,30}\b(?:gone|evaporat\w+|dried|dries|absorbed|cooked (?:off|out|away)|driven off|boiled (?:off|away)|shows?)\b|\bno (?:more )?(?:water|liquid|moisture)\b/i
const OFF =
  /\b(?:cool(?:ed)?|off the heat|from the heat|turn off|switch off|set aside|when cold|once cold|leave to cool|take off)\b/i
const ALL =
  /\b(?:filling|stuffing|mixture|everything|all (?:the )?(?:ingredients|stuffing|filling|together)|the rest|the lot|veg(?:etables)?|powders?|spices|masalas?)\b/i
const ADDS =
  /\b(?:add|stir in|mix in|toss in|tip in|put in|throw in|pour in|with the|and the|whisk in|then)\b/i
/** Water of the pot that the pieces, or the potatoes in it, are boiled in. */
const HEATS_WATER = /\b(?:bring|boil) (?:a (?:large |big )?(?:pot|pan) of |the |some )?(?:salted )?water\b/i
const INGREDIENT_STATES =
  /\b(?:boiled|cooked|roasted|fried|browned|steamed|toasted|scrambled|blanched)\s+(?=\p{L})/giu

/** A filling of which this much of its weight is in the pot is cooked as a whole. */
const WHOLE_SHARE = 0.6

function wayIn(text: string, hasFat: boolean, fatNamed: boolean): PrecookingWay | null {
  for (const [way, pattern] of WAYS) {
    const match = pattern.exec(text)
    if (!match) continue
    // "Roast on a low flame" is done in a dry pan; nothing of an oven is meant.
    if (
      way === 'roast' &&
      /\b(?:flame|pan|kadai|tawa|skillet|dry roast)\b/i.test(text) &&
      !/oven/i.test(text)
    )
      return 'fry'
    return way
  }
  if (!COOK.test(text)) return null
  if (fatNamed) return 'fry'
  return hasFat && !/\b(?:saucepan|syrup|lid|thick|milk|stock|water)\b/i.test(text) ? 'fry' : 'simmer'
}

/**
 * How a part is cooked before it goes in: the sentences that speak of it while its pot is hot, which of its lines
 * are in it, and for how long. A line that is stirred in when the pot has cooled stays raw; boiling water for the
 * pieces cooks no filling.
 *
 * @param draft the part, with its lines
 * @param clauses the method's clauses
 */
export function readPrecooking(draft: Draft, clauses: readonly Clause[]): PrecookingRead {
  const read: PrecookingRead = { cookedBy: null, minutes: null, untilDry: false, byLine: new Map() }
  const words = wordsOfDraft(draft)
  const wordsOfLine = draft.lines.map((item) => {
    const own = new Set([
      ...normaliseName(item.read.name).split(' '),
      ...(item.food ? normaliseName(item.food.name.split(',')[0]!).split(' ') : []),
    ])
    return new Set([...own].filter((word) => words.has(word)))
  })
  const hasFat = draft.lines.some(({ food }) => isFat(food))
  const pot = new Map<number, PrecookingWay>()
  const raw = new Set<number>()
  const minutesOf = new Map<PrecookingWay, number>()
  let hot: PrecookingWay | null = null

  const mentioned = (text: string) => {
    const plain = new Set(normaliseName(text).split(' '))
    return draft.lines.flatMap((_, at) => ([...wordsOfLine[at]!].some((word) => plain.has(word)) ? [at] : []))
  }
  for (const clause of clauses) {
    if (clause.about !== draft && !(clause.about === null && hot)) {
      if (clause.about === 'pieces' || !hot) {
        if (clause.about !== draft) hot = clause.about === 'pieces' ? null : hot
        if (clause.about !== draft) continue
      } else continue
    }
    if (isAside(clause.text)) continue
    // Each stretch between commas and "and" names its own foods and its own verb.
    for (const stretch of clause.text.split(
      /,\s+(?=\p{L})|\.\s+|\s+and (?=(?:cook|fry|simmer|boil|roast|add|stir|cool|saut|let|season)\b)/iu,
    )) {
      if (HEATS_WATER.test(stretch) && !mentioned(stretch).length) continue
      const verbs = stretch.replace(INGREDIENT_STATES, ' ')
      const fatNamed = /\b(?:oil|butter|ghee|lard|fat)\b/i.test(verbs)
      const way =
        OFF.test(stretch) && !/\b(?:fry|cook|simmer|boil)\b/i.test(verbs)
          ? null
          : wayIn(verbs, hasFat, fatNamed)
      const named = mentioned(stretch)
      const everything = ALL.test(stretch) && !/\b(?:powders?|spices|masalas?)\b/i.test(stretch)
      if (way) {
        hot = way
        const into =
          named.length && !(everything && /\b(?:everything|all|filling|stuffing|mixture)\b/i.test(stretch))
            ? named
            : everything || !named.length
              ? pot.size && !everything
                ? []
                : draft.lines.map((_, at) => at)
              : named
        for (const at of into) if (!pot.has(at)) pot.set(at, way)
        for (const time of timesIn(stretch))
          minutesOf.set(way, (minutesOf.get(way) ?? 0) + middleMinutes(time))
      } else if (hot) {
        if (OFF.test(stretch)) {
          hot = null
          for (const at of named) if (!pot.has(at)) raw.add(at)
        } else {
          const adds = ADDS.test(stretch) || pot.size > 0
          if (adds) for (const at of named) if (!pot.has(at) && !raw.has(at)) pot.set(at, hot)
          for (const time of timesIn(stretch))
            minutesOf.set(hot, (minutesOf.get(hot) ?? 0) + middleMinutes(time))
        }
      } else for (const at of named) if (!pot.has(at)) raw.add(at)
      // What was boiled or roasted by itself is taken out of its pot.
      if (
        way &&
        /\b(?:boil|blanch|parboil|steam|roast|bake|microwave|pressure)/i.test(verbs) &&
        !/\bpan\b/i.test(verbs)
      )
        hot = null
      if (DRY.test(stretch) && (hot || way || pot.size)) read.untilDry = true
    }
  }
  if (!pot.size) return read
  const weight = (at: number) => Math.max(draft.lines[at]!.line.grams ?? 5, 1)
  const gramsBy = new Map<PrecookingWay, number>()
  for (const [at, way] of pot) gramsBy.set(way, (gramsBy.get(way) ?? 0) + weight(at))
  const [main] = [...gramsBy].sort((a, b) => b[1] - a[1])[0]!
  const total = draft.lines.reduce((sum, _, at) => sum + (raw.has(at) || pot.has(at) ? weight(at) : 0), 0)
  const cooked = [...pot.keys()].reduce((sum, at) => sum + weight(at), 0)
  const whole = total > 0 && cooked / total >= WHOLE_SHARE
  read.cookedBy = whole ? main : null
  const minutes = whole
    ? (minutesOf.get(main) ?? 0)
    : [...minutesOf.values()].reduce((sum, value) => sum + value, 0)
  read.minutes = Math.min(minutes, 1440) || null
  draft.lines.forEach((item, at) => {
    const way = pot.get(at)
    if (whole && raw.has(at) && !way) read.byLine.set(item, 'raw')
    else if (way && way !== read.cookedBy) read.byLine.set(item, way)
  })
  return read
}

/** Whether the pot is covered: what steams under a lid drops back. */
export const isCovered = (text: string): boolean => COVERED.test(text)
