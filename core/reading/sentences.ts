import { holdBack, IN_BRACKETS } from './held'
import { withDigits } from './readNumber'
import { withoutNarrator } from './narrated'
import { remember } from './remember'
import { startsLikeStep } from './stepWords'
import { withPlainSizes } from './sizesSpelt'
import { goesOnBehind, sentencesOf } from './sentenceEnds'
import { MAX_ROW_CHARACTERS } from './tidy'
import { withPlainTimes } from './timesSpelt'
import { GOES_ON, verbOfDone, WORKS_ON } from './verbs'
import { withPlainWork } from './workSpelt'

// A step cut into sentences, and a sentence into the things that are done one after another.

const SPOKEN_VERB =
  /(?<!\b(?:deep|shallow|stir|pan|air|dry))\s+(?:and )?(?=(?:knead|rest|divide|roll|fill|fold|fry|bake|boil|steam|cut|put|mix|let|cook|brush|cool|you)\s)/gi

/** "1 heaping T. filling" and "2 t. jam": spoons of one letter, which no pattern that ignores case can tell apart. */
const withLongSpoons = (text: string) =>
  text.replace(
    /(?<=\d\s?(?:(?:heaped|heaping|level|rounded|scant)\s)?)([Tt])\.?(?=\s+(?:of )?\p{L})/gu,
    (letter) => (letter.startsWith('T') ? 'tbsp' : 'tsp'),
  )

/** "Rest 30'": minutes by their mark. */
const MINUTE_MARK = /(?<=\b\d{1,3}) ?['’′](?![\p{L}\d])/gu

/** "Cook about 10 minutes": the verb and its time stand together in every pattern. */
const ABOUT_TIME =
  /\b(?:for )?(?:about|around|roughly|approximately|approx\.?|circa|perhaps|maybe|like|a good|~) ?(?=[\d½¼¾][\d./½¼¾]*(?:\s?(?:-|–|to|or)\s?\d+)?\s?(?:min|hour|hr|h\b|sec))/gi

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
/** "Boil potatoes, mash, mix with cheese, cut the sheets, brush, roll, bake": one thing after another. */
const MIN_RUN_WORDS = 18
const MIN_RUN = 4
const RUN_CUT = new RegExp(
  String.raw`,\s+(?:and )?(?:then )?(?=(?!(?:add|pour|cover|uncover|steam|simmer|cook|let|leave|rest|cool|serve|reduce|turn|lower|raise|place|put|top|knead|press|flatten|fill)\b)(?:${GOES_ON})\b(?! ?(?:dough|pastry|wrappers?|sheets?|rolls?|sauce|powder|paste|puff|greens?|oil|water|cabbage|onions?|rice)\b|[-'])|for the (?:dough|pastry|filling|stuffing|dip|sauce)\b)`,
  'gi',
)
const LONG_SENTENCE_CUT =
  /,\s+(?:and )?(?=(?:(?:knead|rest|divide|roll|fill|fold|fry|bake|boil|steam|cut|put|mix|let|cook|brush|cool)\s|for the (?:dough|pastry|filling|stuffing|dip|sauce)\b))/gi

/** Words behind which such a word is no new work: "until cool", "stir fry", "the rest", "let it rise". */
const NO_PAUSE =
  "leftover|left-over|left over|cold|cooked|sunday|and|or|to|then|the|a|an|of|in|on|at|by|for|per|with|each|every|your|my|this|that|until|till|when|while|once|if|is|are|be|it|them|you|i|we|let|not|dont|very|too|only|just|well|deep|stir|pan|air|shallow|dry|slow|quick|par|pre|re|batch|gently|slowly|lightly|finely|carefully|loosely|tightly|firmly|thinly|still|sandwich|panini|garlic|tortilla|spice|cheese|meat|veg|bread|egg|steam|sausage|spring|swiss|never|[a-zß-öø-ɏ]+n't|keep|medium|low|high|med|big|small|large|final|first|second|rolling|full|gentle|hard|good|pressure|part|half"
/** Heat that begins a stretch of its own: "brush 200C 15 min", "glaze 180 fan 25". */
const HEAT_AHEAD = String.raw`\d{3} ?(?:°|deg|fan\b|[CF]\b|\/ ?\d{1,2} ?min|for (?:about |around |a good |roughly )?(?:\d|ten\b|twelve\b|fifteen\b|eighteen\b|twenty\b|thirty\b|forty\b|half an?\b)|\d{1,2}(?:-\d{1,2})? ?min)`
const PAUSE = new RegExp(
  String.raw`(?<!^|\b(?:${NO_PAUSE}|[a-zß-öø-ɏ]+ly|filling)|\bof (?:the|your) [a-zß-öø-ɏ]+(?= mix\b)|[.,;:(–&+/-])\s+(?=(?:${GOES_ON})\b(?<!\b(?:dough|dry|wet|other|green|this|that|same) stuff)(?<!spoon(?= of\b))(?<!mix(?= (?:in|into|on|onto) (?:each|every|one|the (?:middle|centre|center))\b))(?! ?(?:dough|pastry|wrappers?|sheets?|rolls?)\b|[-']))|(?<!\b(?:at|to|in|oven|preheat(?:ed)?|for|fan|or|on|the|by|an?|hot|of|about|bake|baked|fry|roast|cook|grill|fryer)|[,;:(/–&+-]|^)\s+(?=${HEAT_AHEAD})`,
  'gi',
)
const MIN_PAUSED_WORDS = 4

/** "Soften the onions 15 min cool add cheese": commas where nobody wrote one. */
const withPauses = (sentence: string): string =>
  sentence.includes(',') || sentence.split(' ').length < MIN_PAUSED_WORDS
    ? sentence
    : outsideBrackets(sentence, (text) => text.replace(PAUSE, ', '))

/** "Till done (holds shape) 15 min": what a bracket says is no work of its own. */
function outsideBrackets(text: string, change: (text: string) => string): string {
  if (!text.includes('(')) return change(text)
  const { open, restore } = holdBack(text, [IN_BRACKETS])
  return restore(change(open))
}

/** A step that is longer and has commas but no full stop is cut where a verb follows without a comma. */
const MIN_STOPPED_WORDS = 14
/** So many words without any mark are speech. Our own choice. */
const MIN_SPOKEN_WORDS = 30
/** Where a sentence of speech without marks ends, and the next begins behind a blank. */
const SPOKEN_STOPS = [
  // "Mash them fry the onion": what is worked on ends a sentence; "let it rise" goes on.
  String.raw`(?<=\b(?:${WORKS_ON}) (?:it|them|that|this|everything|it all|them all|all of it)) (?=(?:${GOES_ON})\b)`,
  // "… a cup of water for the filling two onions": the next part.
  String.raw`(?<!\b(?:use|is|are|keep|save|reserve|half|and|some|this|that|it|them|kept|good|enough|ready|place|then|so|okay|ok|now|also|as)) (?=(?:(?:and|so|okay|ok|now|then) )*for (?:the|my|your) (?:dough|pastry|crust|wrappers|filling|stuffing|inside|middle|sauce|dip|chutney|topping|glaze|gravy)\b)`,
  // "… for thirty minutes the filling is a pound of beef": the next part, by its name.
  String.raw`(?<!\b(?:of|in|on|with|and|or|for|until|till|put|add|over|into|to|from|all|when|once|if|that|what|this|is|are|the|while|make|makes|where|then|use|have|got|as)) (?=(?:the|my) (?:dough|filling|stuffing|pastry|sauce|dip|crust|outside|inside) (?:is|has|takes|needs|i)\b)`,
  // "… chopped brown the beef": verbs that are as often a colour, a fat or a noun, with what is worked on.
  String.raw`(?<!^|\b(?:and|or|to|then|the|a|an|of|in|on|at|high|low|medium|gentle|strong|you|i|we|just|should|will|can|until|till|dark|light|golden|off|over|with|not|dont)) (?=(?:(?:brown|soften|heat|saut[eé]|pulse|blitz|crumble|melt|take|warm) (?:the|it|them|an?|some|everything|half|\d+)|meanwhile)\b)`,
  // "… three inches you fold it": who does it. "Let it cool", "for the filling we need" go on.
  String.raw`(?<!^|\b(?:let|that|what|how|when|if|as|which|and|or|until|till|because|where|so|okay|ok|before|after|while|once|then|right|well|than|like|amount|way|all|everything|whatever|thing|now|here|but|for|is|the|um|basically|for (?:the|my|your) (?:dough|pastry|crust|filling|stuffing|inside|middle|sauce|dip|topping|wrappers))) (?=(?:i|you|we|this|it) (?:always |usually |just |normally |should |can |will )*(?:takes?|makes?|needs?|gets?|wants?|uses?|starts?|mix|puts?|likes?|have|does|serves?|${GOES_ON})\b)`,
]
const SPOKEN_STOP = new RegExp(SPOKEN_STOPS.join('|'), 'gi')
/** "Roast the squash, mash, cool make the pasta, rest 30 min": full stops where nobody wrote one. */
export const withStops = (step: string): string => {
  const words = step.split(' ').length
  if (/[.;!:]\s|\n/.test(step)) return step
  if (step.includes(','))
    return words < MIN_STOPPED_WORDS ? step : outsideBrackets(step, (text) => text.replace(PAUSE, '. '))
  return words < MIN_SPOKEN_WORDS ? step : step.replace(SPOKEN_STOP, '. ').replace(PAUSE, '. ')
}

const DEGREES = String.raw`(?:at )?(?:\d{3} ?(?:°|deg\w*)? ?[CF]?|gas(?: mark)? \d)`
const SOME_MINUTES = String.raw`\d{1,2}(?:-\d{1,2})? ?(?:min\w* )?`
/** Where a sentence goes on to the next thing. */
const GOES_ON_TO = new RegExp(
  [
    // "220 C 15 min, 160 C 40 min": one heat after the other.
    String.raw`(?<=\d{3} ?(?:°|deg\w*)? ?[CF]?\s+(?:for )?\d{1,2}(?:-\d{1,2})? ?min\w*)\s*,\s+(?:then )?(?=\d{3} ?(?:°|deg\w*)? ?[CF]?\s+(?:for )?\d{1,2}(?:-\d{1,2})?(?: ?min|\W*$))`,
    // ", turn down to 180", ", 170 for the remaining 20", " and 350 °F for 20", " then 30 more at 180"
    String.raw`,\s+(?:and )?(?=(?:turn|reduce|lower|drop) (?:it |(?:the )?(?:oven|heat) )?(?:down )?to \d{3})`,
    String.raw`,\s+(?:and )?(?=(?:raise|increase|bring|turn up) (?:the )?(?:oil|heat|temperature|fryer)(?: up)? to \d{3})`,
    String.raw`,\s+(?:and )?(?=${DEGREES}\s+(?:for )?${SOME_MINUTES}(?:more|longer)\b)`,
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
    String.raw`,\s+(?:and )?(?=(?:bake|(?:cook|fry|steam)(?=[^.;,]*(?:more|longer)[^.;,]*\b(?:at|@) \d{3})) (?:for )?${SOME_MINUTES}(?:more|longer)\b)`,
    // "Fry the mince 10 minutes, cool, put in 20 wrappers": what was cooked goes in.
    String.raw`(?<=\d ?min\w*[^.;]*),\s+(?:and )?(?=(?:put|spoon|place|roll|wrap|pop|divide|use|fold|stuff|fill)\b[^.;,]{0,32}\b(?:wrappers?|skins?|circles|rounds|dis[ck]s|squares|filo|pastry)\b)`,
    String.raw`\s+before\s+(?=(?!serving|eating|slicing|cutting|biting)[a-zß-öø-ɏ]+ing\b)`,
  ].join('|'),
  'i',
)

/** "Mix 250 g mince that you've fried with an onion for 10 minutes, and coriander": what was done before it is mixed. */
const DONE_BEFORE =
  /\b(?:mix|combine|use|take|add|put in|have|(with|and))\s+(?:together )?((?:(?!\band\b)[^.;:,]){3,60}?),? (?:that|which) (?:(?:you|i|we)(?:['’]ve| have)|has been|have been|was|were) (?:already |just |been )?(fried|browned|cooked|roasted|boiled|saut[eé]ed|steamed|softened)(?: off| up)?(?= (?:with|in|for|until|till)\b)([^.;]*?\bmin\w*| in [^.;,]{3,40}(?=,))?(?:,? and (?=[a-zß-öø-ɏ]))?/gi
const withDoneBefore = (step: string): string =>
  step.replace(
    DONE_BEFORE,
    (all, lead: string | undefined, food: string, done: string, how: string | undefined) => {
      const verb = verbOfDone(done)
      return `${lead ? '; ' : ''}${verb} ${food}${how ?? ''}${/ and $/.test(all) && how ? ', mix with ' : ''}`
    },
  )

/** "Fry the onion 5 min - add the mince - cool!": stops, whatever marks them. */
const withPlainStops = (step: string): string => {
  const plain = step
    .replace(/\s*!+\.?(?=\s|$)/g, '.')
    .replace(SHORTENED, (dot, at: number, all: string) =>
      /^\s*[,;)@–-]/.test(all.slice(at + 1)) || goesOnBehind(all.slice(at + 1, at + 40)) ? '' : dot,
    )
  if (!DASHED.test(plain)) return plain
  return plain
    .split(DASHED)
    .reduce((said, next) =>
      startsLikeStep(next) && isWork(lastSentence(said)) ? `${said.trimEnd()}. ${next}` : `${said} - ${next}`,
    )
}
/** "10 min., then", "2 min. per side": the dot says nothing. */
const SHORTENED = /(?<=\d ?(?:mins?|hrs?|secs?|pcs))\./gi
/** No label: "Filling - fry the onion" has one. */
const isWork = (text: string) => startsLikeStep(text) || text.split(' ').length >= MIN_DASHED_WORDS
const MIN_DASHED_WORDS = 4
const DASHED = /\s+[-–—]\s+/
const lastSentence = (text: string) =>
  text.slice(Math.max(text.lastIndexOf('. '), text.lastIndexOf('; ')) + 1).trimStart()

/** The sentences of a step. */
export const sentencesOfStep: (step: string) => readonly string[] = remember((step) =>
  sentencesOf(
    withStops(
      withPlainSizes(
        withPlainWork(
          withPlainTimes(
            withDigits(
              withLongSpoons(withPlainStops(step).replace(/@/g, ' at ').replace(MINUTE_MARK, ' min')),
            ),
          ),
        ).replace(ABOUT_TIME, (about) => (/^for/i.test(about) ? 'for ' : '')),
      ),
    ),
  )
    .flatMap(breathsOf)
    .map(withDoneBefore)
    .map(withoutNarrator),
)

/** A sentence, cut where the work goes on to the next thing. */
export const clausesOf: (sentence: string) => readonly string[] = remember(cutClauses)

function cutClauses(sentence: string): string[] {
  // Speech has no commas: a new verb begins a new clause.
  const spoken = sentence.split(' ').length > 22 && !sentence.includes(',')
  // All of a recipe in one sentence, with commas: it is cut before its verbs and its parts.
  const long = sentence.split(' ').length > LONG_SENTENCE_WORDS
  const runs =
    !spoken &&
    sentence.split(' ').length >= MIN_RUN_WORDS &&
    (sentence.match(RUN_CUT)?.length ?? 0) >= MIN_RUN
  const text = spoken
    ? sentence.replace(SPOKEN_VERB, ' ; ')
    : runs
      ? sentence.replace(RUN_CUT, ' ; ')
      : long
        ? sentence.replace(LONG_SENTENCE_CUT, ' ; ')
        : sentence
  return (
    text
      // "… flat side down 2 minutes, then add 80 ml water, lid on" is one way to cook.
      .replace(
        /,?\s+then (?=(?:add|pour|splash|\d+ ?ml)\b[^.;]{0,40}\bwater\b[^.;]{0,40}\b(?:lid|cover))/gi,
        ' and ',
      )
      // "Cook till thick, off the heat add the cheese": cold from there on.
      .replace(/,\s+(?:then )?(?=(?:off|away from) (?:the )?heat,? (?:add|stir|mix|fold|tip)\b)/gi, ' ; ')
      .split(GOES_ON_TO)
      .map((clause) => (sentence.includes(',') ? clause.trim() : withPauses(clause.trim())))
      .map(withoutNarrator)
      .filter(Boolean)
  )
}
