import type { Foods } from '../food/food'
import { PREP_WORDS } from './lineName'
import type { LinePart } from './lineParts'
import { matchFood } from './match'
import { readLine } from './readLine'
import { unitById } from './units'

// What the second food of a line leaves to the first: "250 g wholemeal flour + 50 g white", "lemon juice + 1 tsp zest".

/** What a joint adds; behind a comma it is the same once more: "224 g jackfruit, 225 drained". */
const MORE_OF_IT = /(?:\bplus|\band|[+&])\s+$/i
/** "20 g melted": of what stands in front. */
const DONE_ALONE = new RegExp(`^${PREP_WORDS}(?:,? (?:and |& )?${PREP_WORDS})*$`, 'i')
/** Whether a text only says what was done, and names no food. */
export const isDoneAlone = (text: string): boolean => DONE_ALONE.test(text)
const KIND_OF_FLOUR =
  /^(?:strong |fine |plain |light |(?:white|light|wholegrain|wholemeal|whole) (?=spelt|rye))?(?:white|brown|wholemeal|wholegrain|whole ?wheat|rye|spelt|plain|strong|self[- ]raising|bread|buckwheat|almond|rice)$/i
const ONE_OF =
  /^(one|two|three|four|half|\d|½) of (?!(?:the|them|each|these|those|your|my)\b)([a-zß-öø-ɏ].*)$/i
/** What a part is called, with what is said to be its preparation: "50 ml cold" is called cold. */
const bareName = (text: string): string =>
  [readLine(text).name, ...readLine(text).prep].filter(Boolean).join(' ')

/** The parts of a line, each with what only the part before it names. */
export function withWhatWasNamed(apart: readonly LinePart[], raw: string, foods: Foods): readonly LinePart[] {
  return apart.map((part, at) => {
    const before = apart[at - 1]
    if (!before) return part
    // "250 g wholemeal flour + 50 g white": the flour is named once.
    if (KIND_OF_FLOUR.test(readLine(part.text).name) && /\bflour\b/i.test(before.text))
      return { ...part, text: `${part.text} flour` }
    // "150 ml boiling water and 50 ml cold": so is the water.
    const liquid = /\b(?:water|milk)\b/i.exec(readLine(before.text).name)?.[0]
    if (liquid && /^(?:cold|hot|warm|boiling|tepid|lukewarm|cool|iced?)$/i.test(bareName(part.text)))
      return { ...part, text: `${part.text} ${liquid}` }
    // "1 tbsp lemon juice + 1 tsp zest": of the same fruit.
    const fruit = /\b(?:lemon|lime|orange)\b/i.exec(readLine(before.text).name)?.[0]
    if (fruit && /^(?:zest|juice|rind)$/i.test(readLine(part.text).name))
      return { ...part, text: part.text.replace(/\b(?=(?:zest|juice|rind)\b)/i, `${fruit} `) }
    // "50 g butter, plus 20 g melted": so is the butter.
    const own = readLine(part.text)
    const isMore = MORE_OF_IT.test(raw.slice(0, raw.lastIndexOf(part.text)))
    if (isMore && own.measures.length && isDoneAlone(own.name) && matchFood(own.name, foods)?.how !== 'exact')
      return { ...part, text: part.text.replace(own.name, `${readLine(before.text).name}, ${own.name}`) }
    // "2 tablespoons soy, one of oyster sauce": so is the spoon.
    const [, many, food] = ONE_OF.exec(part.text) ?? []
    const unitId = many ? readLine(before.text).measures[0]?.at(-1)?.unitId : null
    return unitId && unitById(unitId).kind === 'volume'
      ? { ...part, text: `${many!} ${unitId} of ${food!}` }
      : part
  })
}
