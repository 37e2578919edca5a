import type { Foods } from '../food/food'
import { setGrams } from '../recipe/edit'
import { tooLong } from './limits'
import { answerQuestion, questionsAbout, type Answer } from './questions'
import { readRecipe, report, type Intake } from './readRecipe'

/** What a cook said to a question about a text. */
export interface Given {
  /** What the question said: it is found again by that when the text is read anew. */
  text: string
  code: string
  /** An answer, or the grams of the line that was asked about. */
  says: { answer: Answer } | { grams: number }
}

/** Whether two answers wish the same, whatever their ids. */
function sameWish(a: Answer, b: Answer): boolean {
  if (a.do === 'part-kind' && b.do === 'part-kind') return a.kind === b.kind
  if (a.do === 'part-into' && b.do === 'part-into') return a.into === b.into
  if (a.do === 'way' && b.do === 'way') return a.way === b.way
  return a.do === b.do && a.do !== 'count'
}

/**
 * Reads a text and lays the cook's answers over it. An answer stays as long as the text still gives rise to its
 * question.
 *
 * @returns null for a text that holds nothing, or is too long for a recipe
 */
export function readWithAnswers(text: string, given: readonly Given[], foods: Foods): Intake | null {
  if (!text.trim() || tooLong(text)) return null
  const intake = readRecipe(text, foods)
  let { recipe } = intake
  for (const one of given) {
    const question = questionsAbout(recipe, foods).find(
      (asked) => asked.code === one.code && asked.text === one.text,
    )
    if (!question) continue
    if ('grams' in one.says) {
      if (question.about) recipe = setGrams(recipe, question.about, one.says.grams)
      continue
    }
    // Ids are given anew at every reading: what the answer is about is what the question found now.
    const { answer } = one.says
    const own = question.options.find((option) => sameWish(option.answer, answer))?.answer
    const about = 'lineId' in answer && question.about ? { ...answer, lineId: question.about } : answer
    recipe = answerQuestion(recipe, question, own ?? about, foods)
  }
  if (recipe === intake.recipe) return intake
  return { ...intake, recipe, ...report(recipe, foods), questions: questionsAbout(recipe, foods) }
}
