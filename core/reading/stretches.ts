import { withStops } from './sentences'
import { sentencesOf } from './sentenceEnds'
import { MAX_ROW_CHARACTERS } from './tidy'

// A told recipe cut into stretches, each of which lists for one part.

/** Sentences, or for speech without marks the stretches between words that join them. */
export function stretchesOf(text: string): string[] {
  const sentences = sentencesOf(withStops(text))
  return sentences
    .flatMap((sentence) =>
      sentence.length < 160 && sentences.length > 1
        ? [sentence]
        : sentence.split(
            /\s+(?=(?:for the|now (?:for )?the|to make the|make the|and then|then|so (?:now|then)|next|after that|okay|right|(?:divide|split|portion|roll(?: out)?|take|knead) (?:out )?(?:the |your )dough)\b)/i,
          ),
    )
    .flatMap((piece) => (MIXES_WASH.test(piece) ? [piece] : piece.split(BRUSHED_BEHIND)))
    .filter((piece) => piece.trim() && piece.length <= MAX_ROW_CHARACTERS)
}
/** "Fry 200 g cabbage, roll in 12 wrappers and brush with oil": only what stands behind is brushed on. */
const BRUSHED_BEHIND = new RegExp(
  [
    String.raw`(?<=\b(?:roll|wrap|fold|seal|crimp|close|pinch)\b[^.;]*),?\s+(?:and )?(?:then )?(?=(?:brush|glaze)\b)`,
    // "250 g skyr, 250 g flour, mix, … egg wash": so does what is told in one row.
    String.raw`(?<=\d[^.;]*[a-z][^.;]*\d[^.;]*),\s+(?=(?:egg ?wash|brush|glaze)\b)`,
    // "… flatten, 1 slice of cheese in each, close": what each of them gets.
    String.raw`,\s+(?=(?:\d|an? |half )[^,.;]*\b(?:in|on) each\b)`,
    String.raw`(?<=\b(?:in|on) each\b),\s+`,
  ].join('|'),
  'i',
)
/** "Mix 1 egg with 1 tbsp milk, brush": that is what is brushed on. */
const MIXES_WASH = /^\W*(?:beat|whisk|mix|combine)\b[^.;,]{0,40}\b(?:egg|yolk|milk)\b/i
