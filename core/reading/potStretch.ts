import { foodIs } from '../food/groups'
import { withoutVents } from './asides'
import { NOT_DONE } from './heatEvents'
import type { Pot } from './pot'
import type { PotLines } from './potLines'
import {
  ALL,
  BARE_VERB,
  BLENDS,
  COMBINES,
  DOES_IT_IN,
  INGREDIENT_STATES,
  LID_ALONE,
  MARINATES,
  OFF,
  PASSES_ON,
  PREPARED,
  PREPARES,
  PUTS_IN,
  STANDS_IN,
  STRETCHES,
  THEM,
  THE_BLEND,
  UNTIL,
  isListing,
} from './potWords'

/** What stands between two commas or around an "and" of a clause: one verb, and what is done to what. */
export interface Stretch {
  text: string
  /** The whole clause it stands in. */
  said: string
  /** It is the first of its clause. */
  isFirst: boolean
  /** Its words without what lets steam out, what is warned of, and how foods are bought: here its verb stands. */
  verbs: string
  /** The lines it names itself. */
  own: readonly number[]
  /** … with those that words in front of it or "them" stand for. */
  named: readonly number[]
  /** The stretch behind that shares its object ("boil and mash the potatoes"); empty where none does. */
  shares: string
  /** It cools, or stands off the heat. */
  isOff: boolean
  /** It speaks of everything that is in the pot. */
  isEverything: boolean
}

/** Seasonings are told apart from "everything" that is cooked. */
const SEASONS = /\b(?:powders?|spices|masalas?)\b/i

/** "Grind the peas with the ginger to a smooth paste". */
const GRINDS =
  /^\W*(?:grind|crush|pound)\b[^.;]*\b(?:to|into) (?:an? )?(?:[a-zß-öø-ɏ]+ )?(?:paste|pur[ée]e)\b/i

/** "Fry with the onion": a verb whose object was named before. */
const WITH_OTHERS =
  /^\W*(?:then )?(?:stir[- ]?fry|fry|saut[eé]|cook|roast|soften|sweat|brown|simmer) with (?:the |an? )?(?!lid\b|cover)/i
/** Work on a piece of meat before it is cooked. */
const SEASONED = /^\W*(?:season|rub|coat|sprinkle|salt|brush)\b/i

/** "Put the chicken and the onion on a tray". */
const ON_TRAY =
  /^\W*(?:put|place|lay|spread|arrange|tip|set)\b[^,;.]*\b(?:on|onto|in|into)\b[^,;.]*\b(?:trays?|roasting tin|tin|baking (?:dish|sheet)|oven dish)\b/i
/** What is done to food on a tray before it goes into the oven. */
const STREWS = /^\W*(?:drizzle|sprinkle|scatter|strew|season|dot|toss|turn|coat|brush|rub|dust|salt)\b/i

/** "Whisk the eggs with the milk. Scramble in the same pan". */
const WHISKS_EGGS = /^\W*(?:then )?(?:whisk|beat)\b[^.;]*\beggs?\b/i
const REST_OF_IT =
  /\b(?:some|half|part) (?:of )?(?:the |your )?(?:milk|water|stock|cream|oil|butter|sugar)\b[^.;]{0,24}\bthe rest(?=\W*(?:$|[.,;]))/i
/** A clause up to what its verb is done in, with, or until. */
const objectOf = (said: string) => said.replace(UNTIL, '').replace(/\b(?:in|with)\b.*$/i, '')

/** Finds what the verbs of one part's clauses are done to, from one stretch to the next. */
export class Objects {
  constructor(private readonly lines: PotLines) {}

  /** "Marinate the chicken in the paste. Grill 12 min": what lay in it is grilled, and nothing else. */
  marinated: readonly number[] = []
  /** What the next verb is done to, for it was named or cut up in front of it. */
  private prepared: readonly number[] = []
  private lastPrepared: readonly number[] = []
  /** What was blended to a sauce and has gone into no pot yet. */
  private blended: readonly number[] = []
  /** What the clause before cut up or blitzed. */
  private madeReady: readonly number[] = []
  /** … and these were eggs that were whisked. */
  whisked = false
  /** What "them" stands for. */
  private lastNamed: readonly number[] = []
  /** What the clause has named so far. */
  clauseNamed: readonly number[] = []
  private sentence = ''

  /**
   * Goes on to a clause.
   *
   * @param said its words, without a label
   * @param isHot the pot is on the heat
   */
  startClause(said: string, sentence: string, isHot: boolean): void {
    const named = this.lines.namedIn(said)
    // "Blitz the mushrooms and shallot. Cook in a dry pan": what the sentence before made ready is cooked.
    // "Add the apples and sugar. Cook until the apples are soft": what is said of the end names nothing new.
    // "Blitz the mushrooms. Fry with the onion in the oil": they are fried, and the onion with them.
    // "Fry in the butter with the thyme": what it is done in and with is named, and what is done was named before.
    const isOfReady =
      named.length === 0 || WITH_OTHERS.test(said) || !this.lines.namedIn(objectOf(said)).length
    const cooksReady = DOES_IT_IN.test(said) && !isHot && isOfReady
    // "Soak the mushrooms, then cook in the same water".
    this.prepared =
      sentence === this.sentence && !(cooksReady && this.whisked)
        ? this.lastPrepared
        : cooksReady
          ? this.madeReady
          : []
    this.whisked = WHISKS_EGGS.test(said)
    this.madeReady =
      BLENDS.test(said) || PREPARES.test(said) || PUTS_IN.test(said) || this.whisked ? named : []
    if ((BLENDS.test(said) || GRINDS.test(said)) && named.length) this.blended = named
    if (MARINATES.test(said)) this.marinated = named
    this.sentence = sentence
  }

  /**
   * The stretches of a clause, one after the other: each is found when the pot has done what stands before it.
   *
   * @param said the clause, without words that leave foods out ("everything but the cheese")
   * @param whole the clause as it was said
   */
  *stretchesOf(said: string, whole: string, pot: Pot): Generator<Stretch> {
    let carried: readonly number[] = []
    this.clauseNamed = []
    const texts = said.split(STRETCHES)
    // "A pound of potatoes boiled and mashed, one onion fried": how they are bought or made ready.
    const listed = isListing(whole) && !/\b(?:until|till)\b/i.test(whole)
    for (const [n, text] of texts.entries()) {
      // "Boil and mash the potatoes": both verbs have one object.
      const shares = BARE_VERB.test(text) && n + 1 < texts.length ? texts[n + 1]! : ''
      const said = this.lines.namedIn(shares ? `${text} ${shares}` : text)
      // "Blend the tomatoes and chilli. Fry the onion, pour in the sauce": what was blended.
      const own = said.length || !THE_BLEND.test(text) ? said : [...this.blended]
      if (own !== said) this.blended = []
      // "Chop the mushrooms, stir-fry in the oil": what it is done in is named, and what was cut up is done.
      const object = DOES_IT_IN.test(text) ? this.prepared : []
      // "Chop the onion and fry in the oil": what was cut up goes into the pan.
      const meant = this.prepared.length || !THEM.test(text) ? this.prepared : this.lastNamed
      const named = own.length ? [...new Set([...carried, ...object, ...own])] : [...carried, ...meant]
      const them = THEM.test(text) ? this.lastNamed : []
      if (own.length) {
        this.lastNamed = own
        this.clauseNamed = [...new Set([...this.clauseNamed, ...them, ...own])]
      }
      // "Leeks - washed, sliced, softened in butter": made ready in front of its verb.
      carried = PREPARED.test(text) ? named : []
      // "Leeks in with the butter and fry": what is named in front goes with the verb.
      // "Season the chicken with paprika and roast": the chicken is roasted, and nothing else.
      const seasons =
        SEASONED.test(text) && own.some((at) => foodIs(this.lines.foodOf(at), 'flesh')) && pot.hot === null
      const waits =
        seasons ||
        PREPARES.test(text) ||
        // "Blitz the mushrooms, fry in the butter".
        (BLENDS.test(text) && (pot.hot === null || COMBINES.test(text))) ||
        STANDS_IN.test(text) ||
        ON_TRAY.test(text) ||
        (pot.hot === null && PUTS_IN.test(text))
      // "Put the chicken on a tray, drizzle with the oil and roast": what is strewn goes in with it.
      const strewn = STREWS.test(text) && pot.hot === null && this.prepared.length > 0
      this.prepared = strewn ? [...new Set([...this.prepared, ...own])] : waits ? own : []
      // "Add the cabbage, cover and cook": the lid says nothing of what goes in.
      if (LID_ALONE.test(text) || PASSES_ON.test(text)) this.prepared = this.lastPrepared
      this.lastPrepared = this.prepared
      const plain = withoutVents(text).replace(NOT_DONE, ' ').replace(INGREDIENT_STATES, ' ')
      yield {
        text,
        said: whole,
        isFirst: n === 0,
        verbs: listed ? plain.replace(/\b(?:boiled|cooked|roasted|fried|steamed|toasted)\b/gi, ' ') : plain,
        own,
        named,
        shares,
        isOff: OFF.test(text),
        // "With some milk, heat the rest": of the milk.
        isEverything: ALL.test(text) && !SEASONS.test(text) && !REST_OF_IT.test(whole),
      }
    }
  }
}
