import { foodIs } from '../food/groups'
import type { PrecookingWay } from '../recipe/precookingWays'
import { isFat, type Draft } from './drafts'
import { namesOfPot } from './namesOfPot'
import { NOT_DONE } from './heatEvents'
import { isAside, withoutVents } from './asides'
import type { Clause } from './method'
import { Pot } from './pot'
import { DRY, isPlainCook, wayIn } from './precookingVerb'
import { isHeatLine } from './time'
import {
  ADDED_COLD,
  ADDED_TO,
  ADDING,
  ADDS,
  ADDS_LIQUID,
  ADDS_REST,
  ALL,
  ASSEMBLES,
  BAKES,
  BARE_VERB,
  BLENDS,
  BOILS_FROM_MINUTES,
  COMBINES,
  COVERED,
  DOES_IT_IN,
  DRAINED,
  GOES_IN_RAW,
  HEATS_FAT,
  HEATS_WATER,
  INGREDIENT_STATES,
  INTO_BOWL,
  IN_PAN,
  IN_THE_FAT,
  IN_WATER,
  LEAVES_OUT,
  LID_ALONE,
  LID_OFF,
  LISTS_WATER,
  LONG,
  MADE_SO,
  MARINATES,
  MASHES,
  MIN_POURED_SHARE,
  MIXES,
  OFF,
  OUT_OF_POT,
  POURS_ON,
  PREPARED,
  PREPARES,
  PUTS_IN,
  REST,
  ROLLS,
  SIMMERS,
  SIMMERS_FROM_MINUTES,
  STANDS_IN,
  STRETCHES,
  THEM,
  THE_LIQUID,
  UNTIL,
  VERB,
  WHOLE_POT,
  isCookedInWater,
  isJuicy,
  isListing,
  isReady,
  minutesIn,
  withoutLabel,
} from './potWords'

// What is in the pot of a part while the sentences that speak of it go by.

/** Follows the clauses that speak of a part through its pot. */
export function followPot(draft: Draft, clauses: readonly Clause[]): { pot: Pot; untilDry: boolean } {
  const grams = draft.lines.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const poured = draft.lines.reduce(
    (sum, { line, food }) => sum + (foodIs(food, 'pours') ? (line.grams ?? 0) : 0),
    0,
  )
  // Chopped tomatoes simmer in their own juice.
  const juicy = draft.lines.reduce((sum, { line, food }) => sum + (isJuicy(food) ? (line.grams ?? 0) : 0), 0)
  const simmers = clauses.some(
    ({ about, closed, text }) => !closed && (about === draft || about === null) && /\bsimmer/i.test(text),
  )
  const pot = new Pot(poured + (simmers ? juicy : 0) > MIN_POURED_SHARE * grams)
  let untilDry = false
  const every = draft.lines.map((_, at) => at)
  const isWater = (at: number) => draft.lines[at]!.food?.id === 'water'
  const hasFat = draft.lines.some(({ food }) => isFat(food))
  const namedIn = namesOfPot(draft)
  const poursIn = (text: string, named: readonly number[]) =>
    ADDS_LIQUID.test(text) && named.some((at) => foodIs(draft.lines[at]!.food, 'pours'))
  // "Marinate the chicken in the paste. Grill 12 min": what lay in it is grilled, and nothing else.
  let marinated: readonly number[] = []
  let sentence = ''
  let lastPrepared: readonly number[] = []
  /** What the clause before cut up or blitzed. */
  let madeReady: readonly number[] = []
  /** What "them" stands for. */
  let lastNamed: readonly number[] = []
  /** "Mash the boiled potatoes with …": what the step takes for cooked, and nobody cooks. */
  const calledSo = new Map<number, PrecookingWay>()
  for (const clause of clauses) {
    // "Roast 2 hours covered, then 30 minutes uncovered": the same goes on.
    if (clause.sentence === sentence && pot.last !== null && LID_OFF.test(clause.text)) {
      pot.addTo(pot.last, [], clause.text)
      continue
    }
    // A clause that says nothing of its own goes on with the pot that is hot.
    const simmersOn =
      pot.last === 'simmer' &&
      /^\W*(?:and )?(?:then )?(?:simmer|boil|cook) (?:for |it |them )*(?:an?|\d|half)\b/i.test(clause.text)
    const goesOn = clause.about === null && !clause.closed && (pot.hot !== null || simmersOn)
    if (clause.about !== draft && !goesOn) {
      // While the dough is rolled and cut nothing goes on cooking.
      if (clause.about === 'pieces' || (clause.about?.kind === 'shell' && ROLLS.test(clause.text))) {
        pot.hot = null
        // "Spread the passata, top with chicken and cheese": what first goes in when the pieces are closed is raw.
        if (pot.ways.size && ASSEMBLES.test(clause.text)) pot.setAside(namedIn(clause.text))
      }
      continue
    }
    // "Simmer the syrup, pour over the hot rolls": nothing of this part is named any more.
    if (clause.closed && clause.about === draft && !namedIn(clause.text).length && !ALL.test(clause.text))
      continue
    // Heat and time by themselves are the oven's, and so is what is baked.
    if (isAside(clause.text)) continue
    if (clause.about !== draft && (isHeatLine(clause.text) || BAKES.test(clause.text))) continue
    // Each stretch between commas and "and" names its own foods and its own verb.
    // "Slow cook 4 hours (or simmer 2)": the bracket allows another way.
    const said = withoutLabel(clause.text).replace(/\(or\b[^()]*\)/gi, '')
    for (const { groups } of said.matchAll(MADE_SO)) {
      const way = groups!.boiled ? 'simmer' : groups!.steamed ? 'steam' : groups!.fried ? 'fry' : 'roast'
      for (const at of namedIn(groups!.food!))
        if (draft.lines[at]!.food?.state === 'raw') calledSo.set(at, way)
    }
    const listed = isListing(said) && !/\b(?:until|till)\b/i.test(said)
    // "Blitz the mushrooms and shallot. Cook in a dry pan": what the sentence before made ready is cooked.
    const cooksReady = DOES_IT_IN.test(said) && pot.hot === null && !namedIn(said).length
    // "Soak the mushrooms, then cook in the same water".
    let prepared: readonly number[] =
      clause.sentence === sentence ? lastPrepared : cooksReady ? madeReady : []
    madeReady = BLENDS.test(said) || PREPARES.test(said) ? namedIn(said) : []
    sentence = clause.sentence
    let carried: readonly number[] = []
    if (MARINATES.test(said)) marinated = namedIn(said)
    // "Stir in the peas and coriander off the heat".
    if (ADDED_COLD.test(said)) {
      pot.setAside(namedIn(said))
      continue
    }
    // "In a pan: butter, onion, leeks, 15 minutes": what stands in a pan on the heat cooks without a verb.
    const inPanAlone =
      pot.hot === null && IN_PAN.test(said) && wayIn(said, false, false) === null && !PREPARES.test(said)
    if (inPanAlone)
      pot.hot = hasFat || draft.lines.some(({ food }) => foodIs(food, 'flesh')) ? 'fry' : 'simmer'
    const left = LEAVES_OUT.exec(said)?.[1]
    const leftOut = left ? namedIn(left) : []
    if (leftOut.length) pot.leave(leftOut)
    /** The way of the last verb in this clause: what is listed behind it is cooked so too. */
    let clauseWay: PrecookingWay | null = null
    const stretches = (left ? said.replace(LEAVES_OUT, 'everything') : said).split(STRETCHES)
    for (const [n, stretch] of stretches.entries()) {
      // "Boil and mash the potatoes": both verbs have one object.
      const shared = BARE_VERB.test(stretch) && n + 1 < stretches.length ? ` ${stretches[n + 1]}` : ''
      const own = namedIn(stretch + shared)
      // "Chop the onion and fry in the oil": what was cut up goes into the pan.
      // "Chop the mushrooms, stir-fry in the oil": what it is done in is named, and what was cut up is done.
      const object = DOES_IT_IN.test(stretch) ? prepared : []
      const named = own.length
        ? [...new Set([...carried, ...object, ...own])]
        : [...carried, ...(prepared.length || !THEM.test(stretch) ? prepared : lastNamed)]
      if (own.length) lastNamed = own
      // "Leeks - washed, sliced, softened in butter": made ready in front of its verb.
      carried = PREPARED.test(stretch) ? named : []
      // "Leeks in with the butter and fry": what is named in front goes with the verb.
      prepared =
        PREPARES.test(stretch) || STANDS_IN.test(stretch) || (pot.hot === null && PUTS_IN.test(stretch))
          ? own
          : []
      // "Mash the boiled potatoes, fry the onion and add": what is mashed by itself is in no pan.
      if (
        MASHES.test(stretch) &&
        pot.hot === null &&
        own.length &&
        own.every((at) => isReady(draft.lines[at]!.food))
      )
        pot.setAside(own)
      // "Add the cabbage, cover and cook": the lid says nothing of what goes in.
      if (LID_ALONE.test(stretch)) prepared = lastPrepared
      lastPrepared = prepared
      if (HEATS_WATER.test(stretch) && !named.length) continue
      // "Boil the potatoes 10 minutes, adding the peas for the last 2".
      if (ADDING.test(stretch) && own.length && pot.last !== null && clauseWay !== null) {
        pot.addTo(pot.last, own, '')
        continue
      }
      // "The onion goes in raw".
      if (GOES_IN_RAW.test(stretch)) {
        pot.leave(own)
        continue
      }
      // "Tip into a bowl with the lentils": off the heat, and what stands in the bowl is raw.
      if (INTO_BOWL.test(stretch) && pot.ways.size) {
        pot.setAside(named)
        continue
      }
      // "Fry the onions, add to the spinach with the feta": what they are added to is in no pot.
      const to = ADDED_TO.exec(stretch)?.[1]
      const into = to ? namedIn(to) : []
      if (into.length && pot.hot !== null && into.every((at) => pot.ways.get(at) !== pot.hot)) {
        pot.setAside(named.filter((at) => !pot.ways.has(at)))
        continue
      }
      const plain = withoutVents(stretch).replace(NOT_DONE, ' ').replace(INGREDIENT_STATES, ' ')
      // "A pound of potatoes boiled and mashed, one onion fried": how they are bought or made ready.
      const verbs = listed
        ? plain.replace(/\b(?:boiled|cooked|roasted|fried|steamed|toasted)\b/gi, ' ')
        : plain
      const off = OFF.test(stretch)
      if ((pot.hot !== null || pot.ways.size > 0) && POURS_ON.test(stretch)) pot.wet = true
      // "Lid on, low heat, 2 hours": a pot with liquid in it simmers, whatever it was browned in.
      const isCovered =
        pot.wet && pot.hot !== null && /\b(?:lid on|cover(?:ed)?)\b/i.test(verbs) && LONG.test(said)
      // "In a casserole with the stock, cover and cook in the oven": that is no roasting.
      const isBraised =
        pot.wet && /\boven\b/i.test(verbs) && /\b(?:casserole|cover(?:ed)?|lid|pot|braise)\b/i.test(said)
      const isStewed = pot.poured && COVERED.test(said) && /^\W*cook\b/i.test(verbs)
      const way =
        isCovered || isStewed || isBraised
          ? 'simmer'
          : off && !/\b(?:fry|cook|simmer|boil)\b/i.test(verbs)
            ? null
            : wayIn(
                verbs,
                hasFat,
                /\b(?:oil|butter|ghee|lard|fat)\b/i.test(verbs),
                !pot.wet && draft.lines.some(({ food }) => food?.group === 'minced-meat'),
                DRAINED.test(said.slice(said.indexOf(stretch))) &&
                  !named.some((at) => foodIs(draft.lines[at]!.food, 'flesh')),
              )
      // "Cook the potatoes in their skins 25 minutes": whatever fat the filling has, they are in water.
      const isBoiled =
        way === 'fry' &&
        isPlainCook(verbs) &&
        pot.hot === null &&
        !/\b(?:oil|butter|ghee|lard|fat|pan|skillet|wok)\b/i.test(verbs) &&
        named.length > 0 &&
        named.every((at) => isCookedInWater(draft.lines[at]!.food)) &&
        (/\b(?:skins?|jackets?|whole|tender|soft|done)\b/i.test(said) ||
          minutesIn(said) >= BOILS_FROM_MINUTES)
      // "Bring to a simmer and cook 45 minutes": a plain "cook" goes on as it was.
      const goesOnSo = pot.hot === 'simmer' && way === 'fry' && isPlainCook(verbs)
      // "Puree and stock in, cook down 15 minutes": with liquid poured in it simmers.
      const reduces =
        pot.hot === 'fry' &&
        pot.poured &&
        way === 'fry' &&
        isPlainCook(verbs) &&
        !DRY.test(said) &&
        minutesIn(stretch) >= SIMMERS_FROM_MINUTES
      // "Cook it down" in a pan that fries goes on frying.
      const inPan =
        way === 'simmer' &&
        pot.hot === 'fry' &&
        (!pot.wet || (!pot.poured && isPlainCook(verbs))) &&
        !SIMMERS.test(verbs)
      const seasons = /\b(?:powders?|spices|masalas?)\b/i.test(stretch)
      const everything = ALL.test(stretch) && !seasons
      if (!way && HEATS_FAT.test(verbs)) pot.hot ??= 'fry'
      if (way) {
        // "Toss the tofu in the starch, fry in oil": what was turned in it is fried.
        const isTurned =
          marinated.length > 0 &&
          !pot.ways.size &&
          DOES_IT_IN.test(stretch) &&
          !namedIn(stretch.replace(IN_THE_FAT, ' ').replace(UNTIL, '')).length
        const lines = isTurned
          ? marinated
          : everything && (WHOLE_POT.test(stretch) || !named.length)
            ? every
            : named.length || pot.ways.size
              ? named
              : marinated.length
                ? marinated
                : every
        // "Cook the groats in the water": what is listed to cook them in is in the pot with them.
        const water = way === 'simmer' && IN_WATER.test(verbs) ? every.filter(isWater) : []
        clauseWay = inPan ? 'fry' : goesOnSo || reduces || isBoiled ? 'simmer' : way
        // "Boil and mash the potatoes (20 min)": the minutes stand behind both.
        pot.cook(
          clauseWay,
          [...lines, ...water],
          shared && OUT_OF_POT.test(stretches[n + 1]!) ? stretch + shared : stretch,
        )
      } else if (
        pot.hot !== null &&
        n === 0 &&
        MIXES.test(stretch) &&
        named.some((at) => pot.ways.has(at) && pot.ways.get(at) !== pot.hot)
      ) {
        // "Mix the potatoes, cheese and half of the onions": what was boiled is in another pot.
        pot.setAside(named)
        clauseWay = null
      } else if (pot.hot !== null && COMBINES.test(stretch)) {
        pot.setAside(
          /\beverything\b|\bthe rest\b|\bmix (?:it )?all\b/i.test(stretch)
            ? every.filter((at) => !pot.ways.has(at))
            : named,
        )
        clauseWay = null
      }
      // "Microwave the leeks, onion and butter, 6 minutes": what is listed behind goes with the verb in front.
      else if (pot.hot === null && clauseWay && !off && !VERB.test(stretch))
        pot.addTo(
          clauseWay,
          clauseWay === 'simmer' && LISTS_WATER.test(stretch) ? [...named, ...every.filter(isWater)] : named,
          stretch,
        )
      // "Peel and slice the apples" beside a hot pan is done on the board.
      else if (
        pot.hot !== null &&
        (PREPARES.test(stretch) || BLENDS.test(stretch)) &&
        !ADDS.test(stretch) &&
        named.length
      ) {
        // "Mash the lentils and chestnuts, add the flax egg and the veg": that is another bowl.
        if (OUT_OF_POT.test(stretch) && named.every((at) => !pot.ways.has(at))) pot.setAside(named)
        continue
      }
      // "… and stock. 25 min, lid off": with liquid in it, it simmers.
      else if (pot.hot === 'fry' && pot.poured && !named.length && minutesIn(stretch) >= SIMMERS_FROM_MINUTES)
        pot.cook('simmer', [], stretch)
      else if (pot.hot !== null && !off)
        pot.add(
          ADDS.test(stretch) || inPanAlone || pot.ways.size > 0 ? named : [],
          stretch,
          PUTS_IN.test(stretch) && own.length > 0,
        )
      // "Grind the dal", "slice the onions" before anything is hot decide nothing.
      else if ((pot.ways.size || !PREPARES.test(stretch)) && !isListing(stretch)) pot.setAside(named)
      if (pot.hot !== null && !off && ADDS_REST.test(stretch)) pot.add(every, stretch)
      // "Stir in the rest" when nothing cooks: what has not been named stays raw.
      if (REST.test(stretch) && (pot.hot === null || /\b(?:mix|combine|fold)\b/i.test(stretch)))
        pot.setAside(every.filter((at) => !pot.ways.has(at)))
      // "Mix everything for the filling" when the eggs have been scrambled: all else goes in raw.
      else if (pot.hot === null && pot.ways.size && everything && MIXES.test(stretch))
        pot.setAside(every.filter((at) => !pot.ways.has(at)))
      if (pot.hot !== null && !way && OUT_OF_POT.test(stretch)) pot.setAside([])
      // "Wilt, squeeze, mix with the feta, egg": what is listed behind is mixed in, and no longer cooked.
      if (pot.hot === null && COMBINES.test(stretch)) clauseWay = null
      // What is poured on after it was dry is wet again.
      if (
        pot.hot !== null &&
        (POURS_ON.test(stretch) ||
          (pot.wet && (THE_LIQUID.test(stretch) || named.some((at) => isJuicy(draft.lines[at]!.food)))) ||
          named.some((at) => foodIs(draft.lines[at]!.food, 'pours')))
      )
        pot.poured = true
      if (untilDry && pot.hot !== null && (POURS_ON.test(stretch) || poursIn(stretch, named)))
        untilDry = false
      if (DRY.test(stretch) && pot.ways.size) untilDry = true
    }
  }
  for (const [at, way] of calledSo)
    if (!pot.ways.has(at)) {
      pot.ways.set(at, way)
      pot.setAside(every.filter((other) => !calledSo.has(other)))
    }
  return { pot, untilDry }
}
