import { foodIs } from '../food/groups'
import { isAside } from './asides'
import type { PrecookingWay } from '../recipe/precookingWays'
import type { Draft } from './drafts'
import type { Clause } from './method'
import { recalled } from './matches'
import { Pot } from './pot'
import { act, type Scene } from './potActs'
import { potLinesOf } from './potLines'
import { Objects } from './potStretch'
import {
  ADDED_COLD,
  ALL,
  ASSEMBLES,
  BAKES,
  IN_PAN,
  LEAVES_OUT,
  LID_OFF,
  MADE_SO,
  MIN_POURED_SHARE,
  PREPARES,
  PUTS_ON,
  ROLLS,
  withoutLabel,
} from './potWords'
import { wayIn } from './precookingVerb'
import { STARTS_WITH_AMOUNT } from './rows'
import { isHeatLine } from './time'

// What is in the pot of a part while the sentences that speak of it go by: which of them are its own here, what
// each stretch of them is done to in potStretch, what it does in potActs.

/** A clause that says nothing of its own and simmers on: "then simmer for 10 minutes". */
const SIMMERS_ON = /^\W*(?:and )?(?:then )?(?:simmer|boil|cook) (?:for |it |them )*(?:an?|\d|half)\b/i

/** Pieces float, and no filling does; only its oil. */
const FLOATS = /^(?![^]*\b(?:oil|ghee|fat)\b)[^]*\bfloat/i
/** "Whisk the eggs and milk; scramble in the same pan". */
const SCRAMBLES = /^\W*(?:then |and )*scramble\b/i

const FRYING_PAN = /\b(?:same|hot|dry|frying|grill|griddle) pan\b|\b(?:skillet|wok|tawa|kadai)\b/i

const HEATS_FAT_ALONE = recalled(
  /^\W*heat (?:the |some |a little )?(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee)(?: in (?:a|the) (?:[a-zß-öø-ɏ]+ )?(?:pan|wok|kadai|skillet))?\W*$/i,
)

/** Follows the clauses that speak of a part through its pot. */
export function followPot(draft: Draft, clauses: readonly Clause[]): { pot: Pot; untilDry: boolean } {
  const lines = potLinesOf(draft)
  // Chopped tomatoes simmer in their own juice.
  const simmers = clauses.some(
    ({ about, closed, text }) => !closed && (about === draft || about === null) && /\bsimmer/i.test(text),
  )
  const pot = new Pot(lines.pouredShare + (simmers ? lines.juicyShare : 0) > MIN_POURED_SHARE)
  const objects = new Objects(lines)
  const scene: Scene = {
    pot,
    lines,
    objects,
    untilDry: false,
    clauseWay: null,
    inPanAlone: false,
    onBoard: [],
  }
  /** "Mash the boiled potatoes with …": what the step takes for cooked, and nobody cooks. */
  const calledSo = new Map<number, PrecookingWay>()
  let sentence = ''
  for (const [at, clause] of clauses.entries()) {
    // "Roast 2 hours covered, then 30 minutes uncovered": the same goes on.
    if (clause.sentence === sentence && pot.last !== null && LID_OFF.test(clause.text)) {
      pot.addTo(pot.last, [], clause.text)
      continue
    }
    const [before, next] = [clauses[at - 1], clauses[at + 1]]
    // "Heat oil. Add paste, onion, saute": whose oil it is says the sentence behind it, or else the one before.
    const isItsOil =
      clause.about === null &&
      HEATS_FAT_ALONE.test(clause.text) &&
      (next?.about === draft || (next?.about === null && before?.about === draft))
    if (!speaksOf(clause, draft, scene, isItsOil)) continue
    sentence = clause.sentence
    // "Slow cook 4 hours (or simmer 2)": the bracket allows another way.
    const said = withoutLabel(clause.text).replace(/\(or\b[^()]*\)/gi, '')
    for (const [at, way] of takenForCooked(said, scene)) calledSo.set(at, way)
    objects.startClause(said, sentence, pot.hot !== null)
    // "Stir in the peas and coriander off the heat".
    if (ADDED_COLD.test(said) || isStirredInLast(said, clauses[at + 1])) {
      pot.setAside(lines.namedIn(said))
      continue
    }
    // "In a pan: butter, onion, leeks, 15 minutes": what stands in a pan on the heat cooks without a verb.
    scene.inPanAlone =
      pot.hot === null && IN_PAN.test(said) && wayIn(said, false, false) === null && !PREPARES.test(said)
    if (scene.inPanAlone) pot.hot = lines.hasFat || lines.hasFlesh || FRYING_PAN.test(said) ? 'fry' : 'simmer'
    const left = LEAVES_OUT.exec(said)?.[1]
    if (left) pot.leave(lines.namedIn(left))
    scene.clauseWay = null
    const doing = left ? said.replace(LEAVES_OUT, 'everything') : said
    for (const stretch of objects.stretchesOf(doing, said, pot)) act(stretch, scene)
  }
  for (const [at, way] of calledSo)
    if (!pot.ways.has(at)) {
      pot.ways.set(at, way)
      pot.setAside(lines.every.filter((other) => !calledSo.has(other)))
    }
  return { pot, untilDry: scene.untilDry }
}

/** "Stir through the peas, set aside to cool", "stir in the lentils. Season and cool": last, when the pot is off. */
function isStirredInLast(said: string, next: Clause | undefined): boolean {
  if (!STIRS_IN.test(said)) return false
  const tail = said.slice(said.search(BEFORE_COOLING)).replace(/^(?:,|\s+and)\s+/i, '')
  return COOLS.test(tail) || (next !== undefined && !next.closed && COOLS.test(next.text))
}
const BUTTER_FOR_PIECES =
  /^\W*(?:then )?(?:brown|melt|sizzle|heat) (?:the |some |your )?butter\b(?![^.;]*\b(?:add|fry|saut\w+|cook|soften|sweat)\b)/i
const DIVIDES_AMONG = recalled(
  /^\W*(?:divide|share|portion|spread|spoon|lay(?:er)?|pile|arrange)\b[^.;]*\b(?:between|among|over|on(?:to)?|into|(?:in(?:to)?|down) (?:the )?(?:middle|cent(?:re|er)) of) (?:the |each |every |all )*(?:\d+ )?(?:tortillas?|wraps?|rounds?|dis[ck]s?|wrappers?|sheets?|squares?|circles?|pittas?|pitas?)\b/i,
)
const BEFORE_COOLING = /(?:,|\s+and)\s+(?:then )?(?:leave|let|allow|set aside|cool)\b/i
const STIRS_IN = recalled(
  /^\W*(?:then )?(?:stir|fold) (?:in|through)\b(?![^.;]*\b(?:cook|fry|simmer|bubble|heat|warm|melt|wilt|spinach|kale|greens|garlic|flour|cornflour|cornstarch|until|till|thick\w*|\d+ ?(?:more |further )?(?:min|sec)\w*)\b)/i,
)
const COOLS = recalled(
  /^\W*(?:then )?(?:season\w*(?: (?:well|to taste|with [^.;]{3,30}?))?,?(?: and)?(?: then)? )?(?:(?:leave|let|allow)(?: (?:it|this|the [a-zß-öø-ɏ]+))?(?: to)? )?(?:cool|set aside)\b/i,
)

/** "For the filling half a pound of beef, one onion, a clove of garlic": what there is, and nothing is done yet. */
const listsFoods = (text: string): boolean => {
  const pieces = text.split(/,\s+|\s+and\s+/)
  return (
    pieces.filter((piece) => STARTS_WITH_AMOUNT.test(piece)).length >= LEAST_LISTED &&
    wayIn(text.replace(/\b(?:boiled|cooked|roasted|fried|steamed|toasted)\b/gi, ' '), false, false) === null
  )
}
/** Two foods with amounts may be put into a pot in one breath. Our own choice. */
const LEAST_LISTED = 4

/** Whether a clause speaks of what is in this part's pot; one that closes the pieces takes it off the heat. */
function speaksOf(clause: Clause, draft: Draft, { pot, lines, objects }: Scene, isItsOil: boolean): boolean {
  const { about, closed, text } = clause
  const isOwn = about === draft
  // A clause that says nothing of its own goes on with the pot that is hot.
  const goesOn =
    about === null &&
    !closed &&
    !FLOATS.test(text) &&
    (pot.hot !== null ||
      (pot.last === 'simmer' && SIMMERS_ON.test(text)) ||
      isItsOil ||
      (objects.whisked && SCRAMBLES.test(text)))
  if (!isOwn && !goesOn) {
    // While the dough is rolled and cut nothing goes on cooking.
    if (about === 'pieces' || (about?.kind === 'shell' && ROLLS.test(text))) {
      pot.hot = null
      // "Spread the passata, top with chicken and cheese": what first goes in when the pieces are closed is raw.
      const named = pot.ways.size ? lines.namedIn(text) : []
      // "Put a spoonful of custard and some of the rhubarb on each": beside what was cooked, what was not is raw.
      const isBesideCooked = PUTS_ON.test(text) && named.length > 1 && named.some((at) => pot.ways.has(at))
      if (ASSEMBLES.test(text)) pot.setAside(named)
      // A spoon of the masala has its spices in it.
      else if (isBesideCooked) pot.setAside(named.filter((at) => !foodIs(lines.foodOf(at), 'seasons')))
    }
    return false
  }
  // "Boil 3 min. Brown the butter with the sage": the pieces are tossed in it.
  if (closed && BUTTER_FOR_PIECES.test(text)) return false
  // "Divide among the tortillas, top with cheese": what is named only now is raw.
  if (isOwn && DIVIDES_AMONG.test(text)) {
    pot.hot = null
    if (pot.ways.size) pot.setAside(lines.namedIn(text).filter((at) => !pot.ways.has(at)))
    return false
  }
  // "Simmer the syrup, pour over the hot rolls": nothing of this part is named any more.
  if (closed && isOwn && !lines.namedIn(text).length && !ALL.test(text)) return false
  if (isAside(text) || listsFoods(text)) return false
  // Heat and time by themselves are the oven's, and so is what is baked.
  return isOwn || !(isHeatLine(text) || BAKES.test(text))
}

/** The raw lines that a clause calls boiled, steamed, fried or roasted, with that way. */
function takenForCooked(said: string, { lines }: Scene): [number, PrecookingWay][] {
  return [...said.matchAll(MADE_SO)].flatMap(({ groups }) => {
    const way = groups!.boiled ? 'simmer' : groups!.steamed ? 'steam' : groups!.fried ? 'fry' : 'roast'
    return lines
      .namedIn(groups!.food!)
      .filter((at) => lines.foodOf(at)?.state === 'raw')
      .map((at): [number, PrecookingWay] => [at, way])
  })
}
