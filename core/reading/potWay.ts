import { foodIs } from '../food/groups'
import type { PrecookingWay } from '../recipe/precookingWays'
import type { Pot } from './pot'
import type { PotLines } from './potLines'
import type { Stretch } from './potStretch'
import {
  BOILS_FROM_MINUTES,
  COVERED,
  DRAINED,
  LONG,
  SIMMERS,
  SIMMERS_FROM_MINUTES,
  isCookedInWater,
  minutesIn,
} from './potWords'
import { DRY, isPlainCook, wayIn } from './precookingVerb'

/** A way of the words of a stretch that its pot makes another of. */
interface Turn {
  /** A sentence that turns it so. */
  says: string
  /** The way that the words have; null for whatever they say. */
  from: PrecookingWay | null
  to: PrecookingWay
  when: (stretch: Stretch, pot: Pot, lines: PotLines) => boolean
}

const UNDER_WATER =
  /\bcover\b[^.;]*?\b(?:with|in) (?:[a-zß-öø-ɏ]+ )?(?:water|milk|stock|broth)\b|\b(?:water|milk|stock) to cover\b/i

/** A pot with liquid in it simmers, whatever it was browned in and wherever it stands. */
const IN_ITS_LIQUID: readonly Turn[] = [
  {
    says: 'Brown the beef, add the stock, lid on, low heat, 2 hours',
    from: null,
    to: 'simmer',
    when: ({ verbs, said }, pot) =>
      pot.wet && pot.hot !== null && /\b(?:lid on|cover(?:ed)?)\b/i.test(verbs) && LONG.test(said),
  },
  {
    says: 'Put the beef in a casserole with the stock, cover and cook in the oven for 2 hours',
    from: null,
    to: 'simmer',
    when: ({ verbs, said }, pot) =>
      pot.wet && /\boven\b/i.test(verbs) && /\b(?:casserole|cover(?:ed)?|lid|pot|braise)\b/i.test(said),
  },
  {
    says: 'Fry the onion, add the beans and 100 ml water, cover, cook 10 min',
    from: null,
    to: 'simmer',
    when: ({ verbs, said }, pot) => pot.poured && COVERED.test(said) && /^\W*cook\b/i.test(verbs),
  },
  {
    says: 'Cover the dried apples with water and cook low until they are soft',
    from: null,
    to: 'simmer',
    when: ({ verbs, said }) => UNDER_WATER.test(said) && isPlainCook(verbs),
  },
]

const BUBBLES_AWAY =
  /\b(?:bubble|boil|cook|burn|sizzle|simmer)s? (?:it |the [a-zß-öø-ɏ]+ )?(?:away|off|out)(?=\W*(?:$|[.,;]))|\b(?:wine|sherry|vinegar|beer)\b[^.;]{0,24}\bevaporat/i
/** "Pour in the wine and bubble for 2 minutes": a glass of it, that is left to boil down. */
const BUBBLES_SHORTLY =
  /\b(?:wine|sherry|vermouth|marsala|brandy|vinegar|beer|cider|sake)\b[^.;]{0,24}\b(?:bubble|sizzle|reduce|cook down|boil)\b/i
/** Whether what is poured on is a splash that boils down in a pan that fries. */
export const isSplash = (said: string, minutes: number): boolean =>
  (BUBBLES_AWAY.test(said) || (BUBBLES_SHORTLY.test(said) && minutes > 0)) && minutes < SIMMERS_FROM_MINUTES

/** What a verb that says little means in the pot it is said of. */
const IN_THIS_POT: readonly Turn[] = [
  {
    // In a pan that fries and has no liquid nothing simmers.
    says: 'Fry the onion, add the mushrooms and cook until thick',
    from: 'simmer',
    to: 'fry',
    when: ({ verbs }, pot) =>
      pot.hot === 'fry' && (!pot.wet || (!pot.poured && isPlainCook(verbs))) && !SIMMERS.test(verbs),
  },
  {
    // The fat was drained off, and what it left is enough to go on in.
    says: 'Fry the chorizo, drain, add the potatoes and cook 10 minutes',
    from: 'simmer',
    to: 'fry',
    when: ({ verbs, said }, pot) =>
      pot.isDrained && !pot.wet && isPlainCook(verbs) && !COVERED.test(said) && !SIMMERS.test(verbs),
  },
  {
    // A splash that boils away leaves what was fried fried.
    says: 'Fry the mushrooms, add the wine, let it bubble away',
    from: 'simmer',
    to: 'fry',
    when: ({ text, said }, pot) => pot.hot === 'fry' && isSplash(said, minutesIn(text)),
  },
  {
    says: 'Bring the beef and stock to a simmer and cook 45 minutes',
    from: 'fry',
    to: 'simmer',
    when: ({ verbs }, pot) => pot.hot === 'simmer' && isPlainCook(verbs),
  },
  {
    says: 'Fry the onion, tomato and stock in, cook down 15 minutes',
    from: 'fry',
    to: 'simmer',
    when: ({ text, verbs, said }, pot) =>
      pot.hot === 'fry' &&
      pot.poured &&
      isPlainCook(verbs) &&
      !DRY.test(said) &&
      minutesIn(text) >= SIMMERS_FROM_MINUTES,
  },
  {
    // Whatever fat the filling has, they are in water.
    says: 'Cook the potatoes in their skins 25 minutes',
    from: 'fry',
    to: 'simmer',
    when: ({ verbs, said, named }, pot, { foodOf }) =>
      isPlainCook(verbs) &&
      pot.hot === null &&
      !/\b(?:oil|butter|ghee|lard|fat|pan|skillet|wok)\b/i.test(verbs) &&
      named.length > 0 &&
      named.every((at) => isCookedInWater(foodOf(at))) &&
      (/\b(?:skins?|jackets?|whole|tender|soft|done)\b/i.test(said) || minutesIn(said) >= BOILS_FROM_MINUTES),
  },
  {
    // Fruit that is cooked with nothing said of a frying pan stews in its own juice.
    says: 'Cook the apples and butter in a saucepan over medium heat 8 min',
    from: null,
    to: 'simmer',
    when: ({ verbs, said, named }, pot, { foodOf }) =>
      /^\W*(?:gently |slowly |then )?cook\b/i.test(verbs) &&
      pot.hot === null &&
      named.some((at) => foodOf(at)?.group === 'fruit') &&
      /\b(?:sauce ?pan|pot|low heat|sugar|juice|until (?:soft|tender|jammy|thick))\b/i.test(said) &&
      !/\b(?:frying pan|skillet|fry|saut[eé]|in (?:the )?(?:butter|oil|ghee))\b/i.test(said),
  },
]

/** Every turn, for the sentences that show them. */
export const TURNS: readonly Turn[] = [...IN_ITS_LIQUID, ...IN_THIS_POT]

/**
 * The way in which a stretch cooks what is in its pot: by its words, and by what the pot is doing. Null where it
 * cooks nothing.
 */
export function wayInPot(stretch: Stretch, pot: Pot, lines: PotLines): PrecookingWay | null {
  const turned = (turns: readonly Turn[], way: PrecookingWay | null) =>
    turns.find(({ from, when }) => (from === null || from === way) && when(stretch, pot, lines))?.to
  return turned(IN_ITS_LIQUID, null) ?? wayByWords()

  function wayByWords(): PrecookingWay | null {
    const { text, verbs, said, named, isOff } = stretch
    if (isOff && !/\b(?:fry|cook|simmer|boil|scramble|grill|roast|steam|poach)\b/i.test(verbs)) return null
    const isDrained =
      DRAINED.test(said.slice(said.indexOf(text))) && !named.some((at) => foodIs(lines.foodOf(at), 'flesh'))
    const way = wayIn(
      verbs,
      lines.hasFat,
      /\b(?:oil|butter|ghee|lard|fat)\b/i.test(verbs),
      !pot.wet && lines.hasMince,
      isDrained,
    )
    return way && (turned(IN_THIS_POT, way) ?? way)
  }
}
