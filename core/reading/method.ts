import type { PartKind } from '../recipe/vocabulary'
import { foodIs } from '../food/groups'
import { CALLED, wordsOfDraft, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import type { OutlineStep } from './outlineState'
import { forAllMatches, recalled, type Recalled } from './matches'
import { withDigits } from './readNumber'
import { remember } from './remember'
import { MAX_ROW_CHARACTERS, sentencesOf } from './tidy'
import { GOES_ON } from './verbs'

/** A clause of the method, with what it speaks of. */
export interface Clause {
  text: string
  /** The sentence it stands in. */
  sentence: string
  /** Number of the step, from 0. */
  step: number
  /** The part it speaks of, or 'pieces' once they are closed; null when that cannot be told. */
  about: Draft | 'pieces' | null
  /** The words before it have filled and closed the pieces. */
  closed: boolean
}

const PIECE_WORDS = recalled(
  /\b(?:turnovers?|buns?|pies?|pockets?|parcels?|dumplings?|(?<!\bin (?:\p{L}+ )?)pieces|pasties|samosas?|cones?|empanadas?|pierogi|momos?|breads?|rolls|coils?|half[- ]moons?|patties|parathas?|cakes|triangles?|wontons?|envelopes|packets|kachoris?|modaks?|gujiyas?|kulchas?|kolaches?|puffs|each (?:one|side)|ones|both sides|a side|per side|they float|in batches|batches of|top(?:s)? (?:is|are)|the lid)\b/iu,
)
/** What fills and closes a piece. "Fold in the cheese" does not. */
const CLOSING =
  /\b(?:(?:fill|(?<!\b(?:filling|the|dry|wet|other|this|that|same|dough|green|of) )stuff)(?: (?:and|each|them|with|the (?:rounds|dis[ck]s|circles|dough|wrappers|balls|cones)))?(?=[\s,.]|$)(?! (?:is|should|must|mixture|ingredients)\b)|seal(?:ed|ing)?|crimp|braid|plait|pleat(?:s|ed)?|press (?:the |all |down )?(?:edges?|rims?|shut|closed)|pinch (?:shut|closed|the|edges|together|to|well)|(?<=[,;.] |^|\band )pinch(?=\s*(?:[.;,]|$))|(?:bring|gather|pull|draw) (?:up |in )?(?:the )?(?:three|3|all|both) (?:of the )?(?:sides|edges|corners)|wrap(?=\s*[.;]|\s*$)|wrap(?:ped)? up|wrap (?:the (?:dough|paste|filling)|(?:the|each) (?!dough|pastry|dis[ck]|block|ball|in\b|lot|whole|piece)\p{L}+|round|around|it|each|(?:about |around |roughly )?\d{1,3} ?g\b)|enclose|gather (?:the|up)|twist|fork (?:shut|the edges)|fold in (?:the |both )?(?:sides|ends|corners)|fold (?:in )?(?:the |all |both |\d |four )+(?:of )?(?:the )?(?:\d |four )?(?:sides|corners|edges)\b(?=\W*(?:$|[,.;]|to\b|into\b|over|in\b|up\b|like))|filling in (?:the )?(?:centre|center|middle)|fold (?:the |all the )?(?:edges?|sides?|borders?|rims?|excess) (?:up|over|in)|fold (?:over|it over|in half|into|to (?:an? )?\p{L}+|them|the (?:dough|pastry|sides?|other|edges?|wrapper)|like|up|and)|fold(?=\s*[+&,]?\s+(?:and\s+)?(?:fork|crimp|seal|pinch|press)\b)|put on the lids?|top (?:the pies|each|them|it) with (?:the |a |their )?lids?|(?<=\b(?:pastry|dough|lid)\b[^.]{0,40})(?:cover|lay (?:it )?over|drape (?:it )?over) (?:the )?(?:pie )?(?:dish|pie|filling|tin)|cover with (?:the |all the )?(?:lid|other|pastry|rest|remaining)|cover with (?:another|a second) (?:sheet|round|circle|dis[ck]|piece|layer)|(?:spread|spoon|stuff|put|press|tuck) [^.;]{0,40}(?:(?<!\bfold [^.;]{0,20})inside(?! the (?:pan|tin|oven))|into the pockets?)|(?<=\bfilling\b[^.;]{0,30})cover(?=\s*[,;&]|\s+and cut\b)|top with the rest(?=\W*(?:$|[,.;]))|top with (?:the )?(?:other|second|remaining) (?:\d+|half|rounds|circles|dis[ck]s|sheet)|(?:divide|spoon|place|put|lay) [^.]{0,60}(?:centre|center|middle|each (?:round|dis[ck]|circle|wrapper|skin|one|piece|square|ball)|(?<=\bfilling\b[^.]{0,40})(?:in|on|into) each(?=\W*(?:$|[,.;]))|among|between (?:the )?(?:wrappers|rounds|dis[ck]s))|make (?:\d{1,3} )?(?:buns|patties|parcels|a cone|dumplings|balls|pockets|turnovers|pies|modaks|momos|samosas|kachoris|gujiyas|puffs|rolls)|coil (?:it|them|up|all|each|in|the (?:rolls?|ropes?|logs?)|into|like)|close(?=\W*(?:$|[.;]))|close (?:up|and|it|them|well|tightly|the (?:dough|edges?|tops?|seam))|shape into|roll (?:up|into (?:a |)(?:log|coil|cigar)|them up)|assemble|(?:\d[\d./ -]*|an? |half an? |one |two )(?:(?:heaped|level|scant|big|small) )?(?:tsps?|tbsps?|teaspoons?|tablespoons?|spoons?|spoonfuls?) (?:of )?(?:filling )?(?:per|(?:in|into|on|onto|for) (?:each|every|a)) (?:wrapper|skin|round|circle|dis[ck]|square|piece|one|sheet|triangle))\b/iu
const mayClose: (text: string) => boolean = remember((text) => CLOSING.test(text))
/** These roll a dough as well as close a piece: where something is filled later, they do not close. */
const WEAK_CLOSING = recalled(/^(?:roll|fold|twist|shape into|make (?:\d{1,3} )?balls|wrap$)/i)
const FILLS = recalled(
  /\b(?:fill|(?<!\b(?:filling|the|dry|wet|other|this|that|same|dough|green|of) )stuff)\b|\b(?:put|place|spoon|divide|lay|spread)\b[^.]{0,40}\b(?:filling|stuffing|mixture)\b/i,
)
const SHAPING = recalled(
  /\b(?:cut|stamp)\b[^.]{0,30}\b(?:\d+ )?(?:rounds|circles|dis[ck]s|squares|strips)\b|\b(?:divide|portion|form|make|shape|pinch off)\b[^.]{0,40}\b(?:\d+|balls|pieces|portions)\b/i,
)

/** "Roll thin, 3.5 inch, 1 tbsp filling": pieces are on their way, whatever part's lines it stands among. */
const SHAPES_PIECES = recalled(
  /\b(?:roll|cut|press|pat|stretch)\b[^.;]{0,40}\d\s*(?:cm|mm|inch|in\b|")|\b(?:tbsp|tablespoons?|tsp|teaspoons?|spoons?) (?:of )?(?:the )?filling\b/i,
)

/** Words before a colon that say which part a step is for: "Dough: ...", "For the filling, ...". */
const LABEL = recalled(
  /^(?:(?:to make |make |making |prepare |preparing |for )?(?:the |your )?([\p{L} '-]{3,40}?)\s*(?::|\s-)\s|(?:for|to make) (?:the |your )?([\p{L} '-]{3,30}?),?\s+(?=\p{L}+))/iu,
)

const KIND_WORDS: readonly [PartKind, Recalled][] = [
  ['dip', recalled(/\b(?:dip|dipping|sauce|chutney|salsa|relish|raita|to serve)\b/i)],
  [
    'shell',
    recalled(
      /\b(?:dough|pastry|crust|wrappers|knead|kneading|yeast|rub (?:in|the)|foams?|tangzhong|yudane|doubled?|rise|rises|prove|proof|gluten|(?:like|to|into|fine|resembl\w+) (?:fine |coarse |bread ?)*crumbs|crumbly)\b/i,
    ),
  ],
  ['filling', recalled(/\b(?:filling|stuffing|mixture|farce)\b/i)],
  ['marinade', recalled(/\b(?:marinade|marinate|brine)\b/i)],
  ['finish', recalled(/\b(?:glaze|egg ?wash|topping)\b/i)],
]

function draftByLabel(label: string, drafts: readonly Draft[]): Draft | null {
  const plain = normaliseName(label)
  if (!plain) return null
  for (const draft of drafts) {
    const name = normaliseName(draft.name).replace(/^(?:for |the |to make )+/, '')
    if (name && (plain === name || plain.endsWith(name) || name.endsWith(plain))) return draft
  }
  const kind = KIND_WORDS.find(([, pattern]) => pattern.test(label))?.[0]
  if (kind) return drafts.find((draft) => draft.kind === kind && !draft.into) ?? null
  // "Keema: brown the onions …" where the part is called otherwise and its mince is so called.
  const named = drafts.filter((draft) => !draft.into && wordsOfDraft(draft).has(plain))
  return named.length === 1 ? named[0]! : null
}

const SPOKEN_VERB =
  /(?<!\b(?:deep|shallow|stir|pan|air|dry))\s+(?:and )?(?=(?:knead|rest|divide|roll|fill|fold|fry|bake|boil|steam|cut|put|mix|let|cook|brush|cool|you)\s)/gi

/** "1 heaping T. filling" and "2 t. jam": spoons of one letter, which no pattern that ignores case can tell apart. */
const withLongSpoons = (text: string) =>
  text.replace(
    /(?<=\d\s?(?:(?:heaped|heaping|level|rounded|scant)\s)?)([Tt])\.?(?=\s+(?:of )?\p{L})/gu,
    (letter) => (letter.startsWith('T') ? 'tbsp' : 'tsp'),
  )

/** A whole recipe in one breath, without a mark: cut at its verbs, no stretch longer than can be read. */
function breathsOf(sentence: string): string[] {
  if (sentence.length <= MAX_ROW_CHARACTERS) return [sentence]
  const breaths: string[] = []
  for (const piece of sentence.split(SPOKEN_VERB)) {
    const last = breaths.at(-1)
    // What is only a few words goes on with the verb before it.
    if (last !== undefined && piece.split(' ').length < 3) breaths[breaths.length - 1] = `${last} ${piece}`
    else breaths.push(piece)
  }
  return breaths
}

const LONG_SENTENCE_WORDS = 45
const LONG_SENTENCE_CUT =
  /,\s+(?:and )?(?=(?:(?:knead|rest|divide|roll|fill|fold|fry|bake|boil|steam|cut|put|mix|let|cook|brush|cool)\s|for the (?:dough|pastry|filling|stuffing|dip|sauce)\b))/gi

/** Words behind which such a word is no new work: "until cool", "stir fry", "the rest", "let it rise". */
const NO_PAUSE =
  "and|or|to|then|the|a|an|of|in|on|at|by|for|with|each|every|your|my|this|that|until|till|when|while|once|if|is|are|be|it|them|you|i|we|let|not|dont|very|too|only|just|well|deep|stir|pan|air|shallow|dry|slow|quick|par|pre|re|batch|gently|slowly|lightly|finely|carefully|loosely|tightly|firmly|thinly|still|spice|cheese|meat|veg|bread|egg|steam|sausage|spring|swiss|never|\\p{L}+n't|keep|medium|low|high|med|big|small|large|final|first|second|rolling|full|gentle|hard|good|pressure|part|half"
/** Heat that begins a stretch of its own: "brush 200C 15 min", "glaze 180 fan 25". */
const HEAT_AHEAD = String.raw`\d{3} ?(?:°|deg|fan\b|[CF]\b|\/ ?\d{1,2} ?min|for (?:about |around |a good |roughly )?\d|\d{1,2}(?:-\d{1,2})? ?min)`
const PAUSE = new RegExp(
  String.raw`(?<!^|\b(?:${NO_PAUSE}|\p{L}+ly|filling)|[,;:(–&+/-])\s+(?=(?:${GOES_ON})\b(?<!\b(?:dough|dry|wet|other|green|this|that|same) stuff)(?! ?(?:dough|pastry|wrappers?|sheets?|rolls?)\b|[-']))|(?<!\b(?:at|to|oven|preheat(?:ed)?|for|fan|or|on|the|by|an?|hot|of|about|bake|baked|fry|roast|cook|grill|fryer)|[,;:(/–&+-]|^)\s+(?=${HEAT_AHEAD})`,
  'giu',
)
const MIN_PAUSED_WORDS = 4

/** "Soften the onions 15 min cool add cheese": commas where nobody wrote one. */
const withPauses = (sentence: string): string =>
  sentence.includes(',') || sentence.split(' ').length < MIN_PAUSED_WORDS
    ? sentence
    : sentence.replace(PAUSE, ', ')

/** A step that is longer and has commas but no full stop is cut where a verb follows without a comma. */
const MIN_STOPPED_WORDS = 14
/** "Roast the squash, mash, cool make the pasta, rest 30 min": full stops where nobody wrote one. */
const withStops = (step: string): string =>
  /[.;!:]\s|\n/.test(step) || !step.includes(',') || step.split(' ').length < MIN_STOPPED_WORDS
    ? step
    : step.replace(PAUSE, '. ')

const DEGREES = String.raw`(?:at )?(?:\d{3} ?(?:°|deg\w*)? ?[CF]?|gas(?: mark)? \d)`
const SOME_MINUTES = String.raw`\d{1,2}(?:-\d{1,2})? ?(?:min\w* )?`
/** Where a sentence goes on to the next thing. */
const GOES_ON_TO = new RegExp(
  [
    // ", turn down to 180", ", 170 for the remaining 20", " and 350 °F for 20", " then 30 more at 180"
    String.raw`,\s+(?:and )?(?=(?:turn|reduce|lower|drop) (?:it |(?:the )?(?:oven|heat) )?(?:down )?to \d{3})`,
    String.raw`,\s+(?:and )?(?=${DEGREES}\s+(?:for )?(?:the |a )?(?:remaining|last|rest|final|next|another|further)\b)`,
    String.raw`\s+and (?=${DEGREES}\s+for (?:the |a |another )*(?:\d|remaining|last|rest))`,
    String.raw`,?\s+(?:and |then )+(?=(?:the )?(?:another |remaining |a further |last |final )?${SOME_MINUTES}(?:more )?(?:at|@) \d{3})`,
    String.raw`,\s+(?=${SOME_MINUTES}more (?:at|@) \d{3})`,
    String.raw`,?\s+(?:and )?then\s+`,
    String.raw`\s*;\s*`,
    String.raw`,?\s+after (?:that|which)\s+`,
    // ", cool 10 minutes, bake again at 180"
    String.raw`,\s+(?:and )?(?=(?:bake|fry|steam|boil)\b[^.;,]{0,12}\bagain\b)`,
    // "Bake 25 minutes, beat 2 eggs with the water": the oven's time is not of the eggs.
    String.raw`(?<=^bake\b[^,;]{0,60}\d[^,;]{0,30}),\s+(?=(?:beat|whisk|mix|melt|heat|make)\b)`,
    // ", bake 15 minutes more at 180"
    String.raw`,\s+(?:and )?(?=(?:bake|cook|fry|steam) (?:for )?${SOME_MINUTES}(?:more|longer)\b)`,
    String.raw`\s+before\s+(?=(?!serving|eating|slicing|cutting|biting)\p{L}+ing\b)`,
  ].join('|'),
  'iu',
)

const sentencesOfStep: (step: string) => readonly string[] = remember((step) =>
  sentencesOf(withStops(withDigits(withLongSpoons(step.replace(/@/g, ' at '))))).flatMap(breathsOf),
)

/** A sentence, cut where the work goes on to the next thing. */
const clausesOf: (sentence: string) => readonly string[] = remember(cutClauses)

function cutClauses(sentence: string): string[] {
  // Speech has no commas: a new verb begins a new clause.
  const spoken = sentence.split(' ').length > 22 && !sentence.includes(',')
  // All of a recipe in one sentence, with commas: it is cut before its verbs and its parts.
  const long = sentence.split(' ').length > LONG_SENTENCE_WORDS
  const text = spoken
    ? sentence.replace(SPOKEN_VERB, ' ; ')
    : long
      ? sentence.replace(LONG_SENTENCE_CUT, ' ; ')
      : sentence
  return (
    text
      // "… flat side down 2 minutes, then add 80 ml water, lid on" is one way to cook.
      .replace(/,?\s+then (?=(?:add|pour|splash)\b[^.;]{0,40}\bwater\b[^.;]{0,40}\b(?:lid|cover))/gi, ' and ')
      .split(GOES_ON_TO)
      .map((clause) => (sentence.includes(',') ? clause.trim() : withPauses(clause.trim())))
      .filter(Boolean)
  )
}

/**
 * Takes the method apart into clauses and says of each what it speaks of: a part of the recipe, by its name, its
 * foods or its kind of work, or the closed pieces. Everything else that is read from the method starts here.
 *
 * @param steps the method's steps in order
 * @param drafts the parts, with their lines
 */
export function clausesOfMethod(steps: readonly OutlineStep[], drafts: readonly Draft[]): Clause[] {
  const words = new Map(drafts.map((draft) => [draft, wordsOfDraft(draft)]))
  const clauses: Clause[] = []
  let closed = false
  let last: Draft | 'pieces' | null = null
  const willClose = steps.some(({ text }) => text.length < 2000 && mayClose(text))
  const lastFilling = steps.findLastIndex(({ text }) => text.length < 2000 && FILLS.test(text))
  /** What closes a piece in a clause; "roll up, turn, roll again" before anything is filled does not. */
  const closingIn = (text: string, step: number, rest: string): RegExpExecArray | null => {
    if (!mayClose(text)) return null
    for (const found of text.matchAll(forAllMatches(CLOSING))) {
      const [before, after] = [text.slice(0, found.index), text.slice(found.index + found[0].length)]
      const later = step < lastFilling || FILLS.test(`${after} ${rest}`)
      if (!WEAK_CLOSING.test(found[0]) || !later || /\b(?:fill\w*|stuff\w*)\b/i.test(before)) return found
    }
    return null
  }
  // Steps that stand among the lines of a part are its own, unless they go on to close the pieces.
  const goesOn = new Set(
    steps
      .filter(
        ({ text, within }) =>
          within && (mayClose(text) || SHAPES_PIECES.test(text) || /\bthey float\b/i.test(text)),
      )
      .map(({ within }) => within),
  )
  steps.forEach((step, index) => {
    const over = step.under || (goesOn.has(step.within) ? '' : step.within)
    let label: Draft | null = over ? draftByLabel(over, drafts) : null
    if (step.under && /\b(?:assembl|shap|cook|bak|fry|steam|boil|finish)/i.test(step.under) && !label)
      label = null
    const sentences = step.text.length > 4 * MAX_ROW_CHARACTERS ? [] : sentencesOfStep(step.text)
    for (const [at, sentence] of sentences.entries()) {
      if (sentence.length > MAX_ROW_CHARACTERS) continue
      const named = LABEL.exec(sentence)
      const name = named ? (named[1] ?? named[2]!) : ''
      const own = name ? draftByLabel(name, drafts) : null
      if (own) label = own
      else if (/\b(?:assembl|shap|cook|bake|fry|steam|boil)/i.test(name)) label = null
      for (const text of clausesOf(sentence)) {
        const closing = closingIn(text, index, sentences.slice(at + 1).join(' '))
        const shaping = SHAPING.test(text)
        const aboutFilling =
          /\b(?:fold|stir|mix) (?:in|into|through)\b(?! (?:the |both |all )*(?:four |4 |two |2 )?(?:sides|ends|corners)\b| (?:an? )?(?:neat |small )?(?:squares?|triangles?|half|thirds|quarters|parcels?|packets?|envelopes?|cones?|rectangles?)\b)/i.test(
            text,
          ) && !PIECE_WORDS.test(text)
        if (closing && !aboutFilling) {
          const before = text.slice(0, closing.index).trim()
          if (before)
            clauses.push({ text: before, sentence, step: index, about: aboutOf(before, label), closed })
          closed = true
          label = null
          const after = text.slice(closing.index)
          clauses.push({ text: after, sentence, step: index, about: 'pieces', closed })
          last = 'pieces'
          continue
        }
        const about = aboutOf(text, label)
        if (shaping && !closed && about !== null && about !== 'pieces' && about.kind === 'shell') label = null
        clauses.push({ text, sentence, step: index, about, closed })
        last = about ?? last
      }
    }
  })

  function called(draft: Draft, plain: ReadonlySet<string>): boolean {
    if (draft.kind === 'pan' || draft.kind === 'shell') return false
    return CALLED.some(
      ([word, trait]) =>
        trait !== 'egg' && plain.has(word) && draft.lines.some(({ food }) => foodIs(food, trait)),
    )
  }

  function aboutOf(said: string, label: Draft | null): Draft | 'pieces' | null {
    // "Mix with everything except the pastry" speaks of no pastry.
    const text = said.replace(EXCEPT, '')
    // "Fry the breadcrumbs in butter": what is cooked is named, and it is no piece.
    const cooked = COOKS_SOMETHING.exec(text)?.[1]
    // "Fry beef in batches" before anything is closed is the filling's.
    const inBatches = !closed && !label && /\bin batches\b/i.test(text)
    const object =
      (closed || inBatches) && cooked && !PIECE_WORDS.test(text.slice(0, inBatches ? 12 : 24))
        ? // "For the chutney boil the chillies": the part that is named comes first.
          (label ? [label, ...drafts] : closed ? [...drafts].sort(onTheSideFirst) : drafts).find(
            (draft) =>
              draft.kind !== 'pan' &&
              draft.kind !== 'shell' &&
              (words.get(draft)!.has(normaliseName(cooked)) ||
                (draft.kind === 'filling' && !draft.into && /^(?:filling|stuffing)$/i.test(cooked))),
          )
        : undefined
    if (object) return object
    // "Fry 6 min each side, chop": what is chopped behind it is no piece.
    const fillings = drafts.filter((draft) => draft.kind === 'filling' && !draft.into)
    if (!closed && willClose && !label && fillings.length === 1 && CUT_UP_AFTER.test(text))
      return fillings[0]!
    if (
      PIECE_WORDS.test(text) &&
      (closed || /\b(?:bake|fry|steam|boil|cook|griddle|toast)\b/i.test(text)) &&
      !label
    )
      return 'pieces'
    // "Squeeze the courgettes. Sauté 5 min in a little oil": what was spoken of is cooked, whatever the oil is of.
    if (
      !closed &&
      willClose &&
      !label &&
      last &&
      last !== 'pieces' &&
      last.kind === 'filling' &&
      GOES_ON_COOKING.test(text)
    )
      return last
    const plain = plainWords(text)
    const kinds = plainWords(text.replace(VEGETABLE_OF, ' '))
    let best: Draft | null = null
    let bestScore = 0
    for (const draft of drafts) {
      let score = label === draft ? 3 : 0
      for (const word of words.get(draft)!) if (plain.has(word)) score += 1
      // "The cheese", "the meat": what is called so is in one part and no other.
      if (called(draft, kinds)) score += 1
      if (KIND_WORDS.some(([kind, pattern]) => kind === draft.kind && pattern.test(text)) && !draft.into)
        score += 1.5
      const name = normaliseName(draft.name).replace(/^(?:for |the |to make )+/, '')
      if (
        name.length > 2 &&
        !/^(?:filling|dough)$/.test(name) &&
        ` ${normaliseName(text)} `.includes(` ${name} `)
      )
        score += 1.5
      // "Grind the achar things": the last word of "Jhol achar" calls it.
      else if (
        draft.kind === 'dip' &&
        (name.split(' ').at(-1) ?? '').length > 3 &&
        plain.has(name.split(' ').at(-1)!)
      )
        score += 1.5
      // What is brushed on or fried in is named beside the piece and does not decide.
      if (draft.kind === 'pan' || draft.kind === 'finish') score *= 0.6
      // "Stir in flour, then milk" where both have milk goes on with what was last spoken of.
      // "Boil the barley" is no barley flour.
      const isCooked =
        score > 0 &&
        score === bestScore &&
        draft.kind === 'filling' &&
        best?.kind === 'shell' &&
        BOILS_FOOD.test(text)
      if (score > bestScore || isCooked || (score > 0 && score === bestScore && draft === last)) {
        best = draft
        bestScore = score
      }
    }
    if (
      closed &&
      (!best || bestScore < 2 || best.kind === 'pan' || best.kind === 'finish') &&
      !(label && best === label)
    )
      return 'pieces'
    if (best) return best
    // "2 pounds of potatoes, boil and mash them": the foods that were named just before.
    if (!closed && !label && last && last !== 'pieces' && last.kind === 'filling' && BOILS_THEM.test(text))
      return last
    // "Steam the roots 10 minutes" before anything is closed: something that goes in.
    if (
      !closed &&
      willClose &&
      !label &&
      fillings.length === 1 &&
      !drafts.some(
        (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => food?.group === 'vegetable'),
      ) &&
      COOKS_WHAT_GOES_IN.test(withoutVents(text)) &&
      !/\b(?:oven(?! for \d+ hours)|pieces|them|float|side|flat)\b/i.test(text)
    )
      return fillings[0]!
    return closed
      ? 'pieces'
      : (label ??
          (/^(?:cover|rest|leave|knead|let|cool|season|drain|squeeze|add|mix|stir|simmer|stew|braise|reduce|bring (?:it |this )?(?:back )?to (?:a|the) (?:boil|simmer))\b/i.test(
            text,
          )
            ? last
            : null))
  }
  return clauses
}

/** Once the pieces are closed, onions that both parts have are those that are served with them. */
const onTheSideFirst = (a: Draft, b: Draft) => Number(b.kind === 'dip') - Number(a.kind === 'dip')
/** "Fry the breadcrumbs": what is named behind the verb. */
const COOKS_SOMETHING = recalled(
  /\b(?:fry|toast|melt|brown|char|boil|simmer|cook|roast|reduce|blend)\s+(?:the |some )?(?:(?:other|remaining|rest of the|sliced|chopped|diced|grated|crushed) )?(\p{L}{3,})/iu,
)
const COOKS_WHAT_GOES_IN = recalled(
  /\b(?:steam|boil|fry|roast|simmer|blanch|saut[eé]|soften|brown) (?:the )?\p{L}+|\b(?:cook|stew|braise|microwave|sweat|poach) (?:the )?(?!(?:in|on|for|until|till|both|each|over|under|with|and|or|to|through|about|covered|uncovered|gently|slowly)\b)\p{L}+|\bslow[- ]cooker\b/iu,
)
/** "Vegetable oil" is no vegetable. */
const VEGETABLE_OF = /\bveg(?:etable)? (?:oil|stock|broth|fat|shortening)\b/gi
/** Cooked, and cut up afterwards. */
const CUT_UP_AFTER = recalled(
  /\b(?:fry|grill|roast|sear|bake|poach)\b[^.;]*\b(?:then|,|and)\s*(?:chop|shred|slice|dice|flake)\b/i,
)
const BOILS_FOOD = recalled(
  /^\W*(?:boil|simmer|fry|roast|soak|drain|steam|cook|blanch|saut[eé]) (?:the )?\p{L}+/iu,
)
const GOES_ON_COOKING = recalled(
  /^\W*(?:then )?(?:cook|fry|saut[eé]|sweat|stir[- ]?fry)(?= (?:in|on|over|for|until|till|gently|slowly|down|it|them|\d[\d-]* ?min\w*)\b)(?![^.;]*\b(?:oven|each side|per side|a side|both sides|turning)\b)/i,
)
const BOILS_THEM = recalled(
  /^\W*(?:and )?(?:then )?(?:boil|fry|steam|roast|simmer|saut[eé]|cook|microwave|blanch)\b[^.;]*\b(?:(?:them|it|these|those)\b|in (?:the same|the soaking|its|their)\b)/i,
)
/** What is left out of what a sentence speaks of. */
const EXCEPT = /\b(?:except(?: for)?|apart from|but not|other than|bar) (?:the )?[^,.;]*/iu

/** Sentences about keeping, reheating or serving say nothing of how the dish is made. */
export const isAside: (text: string) => boolean = remember((text) =>
  /\b(?:freez(?!er\b)\w*(?! (?:for )?(?:about )?\d+\s*min)(?! (?:the )?(?:filling|balls))|freezer\b(?=[^.;]*\b(?:months?|weeks?|keeps?|ahead|later)\b)|frozen (?:ones|pieces|pies|dumplings)|from frozen|reheat\w*|leftovers?|next day|keeps? (?:for|well|in)|store\w*|alternatively|instead of|(?:you|we|one) (?:can|could|may) also|if you (?:prefer|don't|do not|have)|or (?:deep|shallow|air)?[- ]?(?:fry|bake|steam|boil) (?:them|if))\b|^\W*or,? (?:you can |instead )?(?:deep|shallow|pan|air)?[- ]?(?:fry|bake|steam|boil|griddle|grill)\b|^\W*(?:then )?(?:[\p{L}-]+\s){1,6}if you (?:like|want|wish)\W*$/iu.test(
    text,
  ),
)

/** What lets steam out is not steamed. */
const NO_STEAM =
  /\bsteam(?:s)?\b[^.,\d]{0,20}\b(?:escape|out|vents?|holes?|slits?|off)\b|\b(?:let|so|for)\b[^.]{0,20}\bsteam\b(?!\w)[^.]{0,14}(?:out|escape|$|\.)|\bsteam (?:holes?|vents?|slits?)\b|\b(?:vents?|slits?|holes?) for (?:the )?steam\b/i

/** A text without what it says of letting steam out. */
export const withoutVents: (text: string) => string = remember((text) => text.replace(NO_STEAM, ' '))
