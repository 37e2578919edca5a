import type { Food } from '../food/food'
import { foodIs } from '../food/groups'
import type { PrecookingWay } from '../recipe/precookingWays'
import { isFat } from './drafts'
import { isAromatic } from './lineParts'
import type { Pot } from './pot'
import type { PotLines } from './potLines'
import type { Objects, Stretch } from './potStretch'
import {
  ADDED_TO,
  ADDING,
  ADDS,
  ADDS_LIQUID,
  ADDS_REST,
  BLENDS,
  COMBINES,
  COVERED,
  DOES_IT_IN,
  GOES_IN_RAW,
  HEATS_FAT,
  HEATS_WATER,
  INTO_BOWL,
  IN_THE_FAT,
  IN_WATER,
  LISTS_WATER,
  MASHES,
  MIXES,
  OUT_OF_POT,
  POURS_ON,
  PREPARES,
  PUTS_IN,
  REST,
  SIMMERS_FROM_MINUTES,
  THE_BLEND,
  THE_LIQUID,
  UNTIL,
  VERB,
  WHOLE_POT,
  isJuicy,
  isListing,
  isReady,
  minutesIn,
} from './potWords'
import { DRY } from './precookingVerb'
import { isSplash, wayInPot } from './potWay'

// What a stretch of a sentence does to the pot of a part. Every act is a sentence of its own kind; of the acts that
// fit, the first is done.

/** A pot and the clause that is done to it. */
export interface Scene {
  readonly pot: Pot
  readonly lines: PotLines
  readonly objects: Objects
  /** Its water has been cooked off, and nothing poured on since. */
  untilDry: boolean
  /** The way of the last verb in this clause: what is listed behind it is cooked so too. */
  clauseWay: PrecookingWay | null
  /** The clause puts a pan on the heat and has no verb: "in a pan: butter, onion, 15 minutes". */
  inPanAlone: boolean
  /** What was chopped or blitzed last, and is in no pot yet. */
  onBoard: readonly number[]
}

interface Act {
  /** A sentence in which a stretch does it. */
  says: string
  fits: (stretch: Stretch, scene: Scene, way: PrecookingWay | null) => boolean
  does: (stretch: Stretch, scene: Scene, way: PrecookingWay | null) => void
}

/** Stretches that say of lines where they are and have no heat of their own. */
const APART = {
  heatsWater: {
    says: 'Bring a large pot of salted water to the boil',
    fits: ({ text, named }) => HEATS_WATER.test(text) && !named.length,
    does: () => undefined,
  },
  addsTowardsTheEnd: {
    says: 'Boil the potatoes 10 minutes, adding the peas for the last 2',
    fits: ({ text, own }, { pot, clauseWay }) =>
      ADDING.test(text) && own.length > 0 && pot.last !== null && clauseWay !== null,
    does: ({ own }, { pot }) => pot.addTo(pot.last!, own, ''),
  },
  goesInRaw: {
    says: 'The onion goes in raw',
    fits: ({ text }) => GOES_IN_RAW.test(text),
    does: ({ own }, { pot }) => pot.leave(own),
  },
  // Off the heat, and what stands in the bowl is raw.
  leavesForABowl: {
    says: 'Fry the onion, tip into a bowl with the cheese',
    fits: ({ text }, { pot }) => INTO_BOWL.test(text) && pot.ways.size > 0,
    does: ({ named }, { pot }) => pot.setAside(named),
  },
  // What they are added to is in no pot.
  isAddedToOthers: {
    says: 'Fry the onion, add to the cheese with the egg',
    fits: ({ text }, { pot, lines }) => {
      const to = ADDED_TO.exec(text)?.[1]
      const into = to ? lines.namedIn(to) : []
      return into.length > 0 && pot.hot !== null && into.every((at) => pot.ways.get(at) !== pot.hot)
    },
    does: ({ named }, { pot }) => pot.setAside(named.filter((at) => !pot.ways.has(at))),
  },
} satisfies Record<string, Act>

/** Stretches that cook, put in or take out; the last fits whatever is left. */
const IN_POT = {
  cooks: {
    says: 'Fry the onion in the oil 8 minutes',
    fits: (_, __, way) => way !== null,
    does: (stretch, scene, way) => {
      const { pot, lines } = scene
      // "Cook the groats in the water": what is listed to cook them in is in the pot with them.
      const isInWater = way === 'simmer' && IN_WATER.test(stretch.verbs)
      scene.clauseWay = way
      pot.cook(
        way!,
        [...cookedLines(stretch, scene), ...(isInWater ? lines.water : [])],
        // "Boil and mash the potatoes (20 min)": the minutes stand behind both.
        OUT_OF_POT.test(stretch.shares) ? `${stretch.text} ${stretch.shares}` : stretch.text,
        ADDS_TO.test(stretch.said.slice(0, stretch.said.indexOf(stretch.text))),
      )
    },
  },
  // What was boiled is in another pot than the one that is hot.
  mixesTwoPots: {
    says: 'Boil the potatoes. Fry the onion. Mix the potatoes with half of the onion',
    fits: ({ text, isFirst, named }, { pot }) =>
      pot.hot !== null &&
      isFirst &&
      MIXES.test(text) &&
      named.some((at) => pot.ways.has(at) && pot.ways.get(at) !== pot.hot),
    does: ({ named }, scene) => {
      scene.pot.setAside(named)
      scene.clauseWay = null
    },
  },
  // "Mix the ricotta, egg and parmesan" beside what is hot: nothing of it is in the pan.
  mixesApart: {
    says: 'Fry the onion. Mix the cheese and the egg',
    fits: ({ text, said, isFirst, named }, { pot, lines, inPanAlone }) => {
      if (pot.hot === null || inPanAlone || !isFirst || !named.length || !MIXES_APART.test(text)) return false
      const every = lines.namedIn(said)
      return (
        every.length > 1 &&
        every.every((at) => !pot.ways.has(at) && !isPoured(lines.foodOf(at))) &&
        !every.every((at) => flavours(lines.foodOf(at)))
      )
    },
    does: ({ said }, scene) => {
      scene.pot.setAside(scene.lines.namedIn(said))
      scene.clauseWay = null
    },
  },
  combines: {
    says: 'Fry the onion, mix with the cheese',
    fits: ({ text, named }, { pot, lines }) =>
      pot.hot !== null &&
      COMBINES.test(text) &&
      !isSlurry(text, named, lines) &&
      // What seasons a blended sauce is cooked with it.
      (!BLENDS.test(text) || !named.length || named.some((at) => !flavours(lines.foodOf(at)))),
    does: ({ text, named }, scene) => {
      const { pot, lines } = scene
      const isAll = /\beverything\b|\bthe rest\b|\bmix (?:it )?all\b/i.test(text)
      pot.setAside(isAll ? lines.every.filter((at) => !pot.ways.has(at)) : named)
      scene.clauseWay = null
    },
  },
  // What is listed behind goes with the verb in front.
  isListedBehind: {
    says: 'Microwave the onion, mushrooms and butter, 6 minutes',
    fits: ({ text, isOff }, { pot, clauseWay }) =>
      pot.hot === null && clauseWay !== null && !isOff && !VERB.test(text),
    does: ({ text, named }, { pot, lines, clauseWay }) => {
      const water = clauseWay === 'simmer' && LISTS_WATER.test(text) ? lines.water : []
      pot.addTo(clauseWay!, [...named, ...water], text)
    },
  },
  // "Peel and slice the apples" beside a hot pan is done on the board.
  isDoneOnTheBoard: {
    says: 'Fry the onion. Mash the potatoes',
    fits: ({ text, named }, { pot }) =>
      pot.hot !== null && (PREPARES.test(text) || BLENDS.test(text)) && !ADDS.test(text) && named.length > 0,
    does: ({ text, named }, scene) => {
      const { pot } = scene
      scene.onBoard = named.filter((at) => !pot.ways.has(at))
      // "Mash the lentils and chestnuts, add the flax egg and the veg": that is another bowl.
      if (OUT_OF_POT.test(text) && named.every((at) => !pot.ways.has(at))) pot.setAside(named)
    },
  },
  simmersOpen: {
    says: 'Fry the beef, add the stock. 25 min',
    fits: ({ text, named }, { pot }) =>
      pot.hot === 'fry' && pot.poured && !named.length && minutesIn(text) >= SIMMERS_FROM_MINUTES,
    does: ({ text }, { pot }) => pot.cook('simmer', [], text),
  },
  goesIn: {
    says: 'Fry the onion, add the mushrooms',
    fits: ({ isOff }, { pot }) => pot.hot !== null && !isOff,
    does: ({ text, said, own, named }, { pot, lines, objects, inPanAlone, onBoard }) =>
      pot.add(
        // "Heat oil, cumin, garlic, onion - fry 4 min": what is listed behind the hot fat goes into it.
        ADDS.test(text) || inPanAlone || pot.ways.size > 0 || !(VERB.test(text) || HEATS_FAT.test(text))
          ? // "Add the sauces, sugar and water".
            [
              ...named,
              ...(ADDS.test(said) && THE_WATER.test(text) ? lines.water : []),
              // "Blitz the mushrooms, add to the pan".
              ...(ADDS_TO_PAN.test(text) ? onBoard : []),
              // "Add the paneer with its marinade".
              ...(IN_MARINADE.test(text) || named.some((at) => objects.marinated.includes(at))
                ? objects.marinated
                : []),
            ]
          : [],
        text,
        (own.length > 0 && (PUTS_IN.test(text) || THE_BLEND.test(text))) || ADDS_TO_PAN.test(text),
      ),
  },
  // "Grind the dal", "slice the onions" before anything is hot decide nothing.
  staysRaw: {
    says: 'Boil the potatoes. Drain. The cheese and the parsley',
    fits: ({ text }, { pot }) => (pot.ways.size > 0 || !PREPARES.test(text)) && !isListing(text),
    does: ({ named }, { pot }) => pot.setAside(named),
  },
} satisfies Record<string, Act>

/** "Mix the cornflour with 1 tbsp water" beside a hot pot: it is made to be poured in. */
const isSlurry = (text: string, named: readonly number[], lines: PotLines): boolean =>
  /\bwith\b/i.test(text) &&
  named.some((at) => isThickener(lines.foodOf(at))) &&
  named.every((at) => isThickener(lines.foodOf(at)) || isPoured(lines.foodOf(at)))
const isThickener = (food: Food | null): boolean => /starch|arrowroot/.test(food?.id ?? '')
const isPoured = (food: Food | null): boolean => foodIs(food, 'pours')

const flavours = (food: Food | null): boolean =>
  food !== null && (foodIs(food, 'seasons') || isAromatic(food))

/** An act's name. */
export type ActName = keyof typeof APART | keyof typeof IN_POT
/** Every act with a sentence that does it, in the order in which they are tried. */
export const ACTS: Readonly<Record<ActName, Act>> = { ...APART, ...IN_POT }
const LIQUID = /\b(?:water|stock|broth|wine|beer|ale|cider)\b/i
const SIMMERS_IN =
  /^\W*(?:simmer|boil|poach|cook|braise)(?: (?:gently|slowly|it|covered))* in (?:the |a |your )?/i
const STIRS_TOGETHER = /\b(?:mix|whisk|blend|combine|beat|stir)\b[^.;]*\bwith\b|\bput (?:it|them)\b/i
const IN_MARINADE = /\b(?:with|and|\+) (?:all )?(?:the|its|their) marinade\b/i
const THE_WATER = /\b(?:and|&) (?:the )?water\W*$/i
const MIXES_APART =
  /^\W*(?:then )?(?:mix|combine)\b(?! (?:in\b|it\b|through|well|everything|all\b))(?!.*\b(?:in ?to|over)\b)/i
const ADDS_TO = /\b(?:add|pour|tip in|stir in)\b/i
const ADDS_TO_PAN =
  /\b(?:add|tip|scrape|put) (?:it |them |this |these |all |everything )?(?:back )?(?:in)?to (?:the |your )?(?:hot |same )?(?:pan|skillet|pot|wok|kadai|onions?)\b/i
const DRAINS_ALONE = /^\W*drain(?:ed)?(?: (?:well|it|them))*\W*$/i
const MELTS_FIRST = /^\W*(?:meanwhile,? |then |now )*(?:heat|melt|warm) (?:the |some |half |\d\S* )/i
const APART_ACTS = Object.entries<Act>(APART)
const POT_ACTS = Object.entries<Act>(IN_POT)

/**
 * Does to the pot what a stretch says.
 *
 * @returns the act it was; null where the words do nothing to any pot
 */
export function act(stretch: Stretch, scene: Scene): ActName | null {
  const { pot, lines } = scene
  const { text, own, named } = stretch
  // "Mash the boiled potatoes, fry the onion and add": what is mashed by itself is in no pan.
  if (MASHES.test(text) && pot.hot === null && own.length && own.every((at) => isReady(lines.foodOf(at))))
    pot.setAside(own)
  // "Poach the chicken, remove. Melt the butter and cook the leeks": fat that is heated behind a simmering is in a pan
  // of its own, and wet only when something is poured on.
  const isNewPan =
    pot.hot === 'simmer' &&
    stretch.isFirst &&
    MELTS_FIRST.test(text) &&
    HEATS_FAT.test(text) &&
    own.every((at) => isFat(lines.foodOf(at)))
  if (isNewPan) {
    pot.hot = null
    pot.wet = false
    pot.poured = false
  }
  // "Blitz the mushrooms, add to the pan": it is hot as before.
  if (ADDS_TO_PAN.test(text) && scene.onBoard.length) pot.hot ??= pot.last
  const apart = APART_ACTS.find(([, { fits }]) => fits(stretch, scene, null))
  if (apart) {
    apart[1].does(stretch, scene, null)
    return apart[0] as ActName
  }
  const isListedInHotPot =
    pot.hot !== null && own.length > 0 && !VERB.test(text) && COVERED.test(stretch.said)
  // "Add the chicken, then the potato and water": the verb stands in front of the list.
  const poursOn =
    POURS_ON.test(text) || (LIQUID.test(text) && (POURS_ON.test(stretch.said) || isListedInHotPot))
  if ((pot.hot !== null || pot.ways.size > 0) && poursOn) pot.wet = true
  // "Add the cabbage and ½ cup water", "cover and simmer" in the pan that was drained.
  if (pot.isDrained && (POURS_ON.test(stretch.said) || COVERED.test(stretch.said))) pot.wet = true
  const way = wayInPot(stretch, pot, lines)
  if (!way && HEATS_FAT.test(stretch.verbs)) pot.hot ??= 'fry'
  const found = POT_ACTS.find(([, { fits }]) => fits(stretch, scene, way))
  found?.[1].does(stretch, scene, way)
  if (found?.[0] === 'isDoneOnTheBoard') return 'isDoneOnTheBoard'
  addsWhatIsLeft(stretch, scene)
  if (pot.hot !== null && !way && OUT_OF_POT.test(text)) {
    // "Brown the beef and onion, drain. Add the cabbage, cover, cook 15 min": of its fat.
    const isOfFat = pot.hot === 'fry' && lines.hasFlesh && DRAINS_ALONE.test(text)
    if (isOfFat) pot.drainFat()
    else pot.setAside([])
  }
  // "Wilt, squeeze, mix with the feta, egg": what is listed behind is mixed in, and no longer cooked.
  if (pot.hot === null && COMBINES.test(text)) scene.clauseWay = null
  // What is poured on after it was dry is wet again.
  const pours = named.some((at) => isPoured(lines.foodOf(at)))
  const wets =
    poursOn || (pot.wet && (THE_LIQUID.test(text) || named.some((at) => isJuicy(lines.foodOf(at))))) || pours
  if (pot.hot !== null && wets) pot.poured = true
  const isGone = isSplash(stretch.said, minutesIn(text) || minutesIn(stretch.said))
  if (pot.hot !== null && !isGone && (poursOn || (pours && ADDS_LIQUID.test(text)))) scene.untilDry = false
  if (DRY.test(text) && pot.ways.size) scene.untilDry = true
  return (found?.[0] as ActName | undefined) ?? null
}

/** What a verb of cooking is done to. */
function cookedLines({ text, said, named, isEverything }: Stretch, { pot, lines, objects }: Scene) {
  const { marinated, clauseNamed } = objects
  // "Toss the tofu in the starch, fry in oil": what was turned in it is fried.
  const isTurned =
    marinated.length > 0 &&
    !pot.ways.size &&
    DOES_IT_IN.test(text) &&
    !lines.namedIn(text.replace(IN_THE_FAT, ' ').replace(UNTIL, '')).length
  if (isTurned) return marinated
  if (isEverything && (WHOLE_POT.test(text) || !named.length)) return lines.every
  // "Simmer in broth 45 minutes" of a dough of gluten: what is simmered is not said, and is all there is.
  const isOnlyItsBroth =
    named.length > 0 &&
    !pot.ways.size &&
    SIMMERS_IN.test(text) &&
    named.every((at) => LIQUID.test(lines.foodOf(at)?.name ?? ''))
  if (isOnlyItsBroth) return lines.every
  if (named.length || pot.ways.size) return named
  if (marinated.length) return marinated
  // "Mix the powder with the sugar and milk, whisk, cook till thick": what the clause has named.
  return clauseNamed.length > 1 && STIRS_TOGETHER.test(said) ? clauseNamed : lines.every
}

/** "Stir in the rest", in a pot that cooks and in one that does not. */
function addsWhatIsLeft({ text, isOff, isEverything }: Stretch, { pot, lines }: Scene): void {
  if (pot.hot !== null && !isOff && ADDS_REST.test(text)) pot.add(lines.every, text)
  const left = () => lines.every.filter((at) => !pot.ways.has(at))
  // When nothing cooks, what has not been named stays raw.
  if (REST.test(text) && (pot.hot === null || /\b(?:mix|combine|fold)\b/i.test(text))) pot.setAside(left())
  // "Mix everything for the filling" when the eggs have been scrambled: all else goes in raw.
  else if (pot.hot === null && pot.ways.size && isEverything && MIXES.test(text)) pot.setAside(left())
}
