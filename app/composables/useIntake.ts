import { answerQuestion, questionsAbout, type Answer, type Question } from '~~/core/reading/questions'
import { MAX_TEXT_CHARACTERS, readRecipe, report, type Intake } from '~~/core/reading/readRecipe'
import { setGrams } from '~~/core/recipe/edit'
import type { Recipe } from '~~/core/recipe/document'

interface Given {
  /** What the question said: it is found again by that when the text is read anew. */
  text: string
  code: string
  apply: (recipe: Recipe, question: Question) => Recipe
}

/**
 * The reading of a text that follows every change, with the cook's answers laid over it. An answer stays as long as
 * the text still gives rise to its question.
 */
export function useIntake(text: Readonly<Ref<string | null | undefined>>) {
  const shelves = useLarderStore()
  const given = shallowRef<Given[]>([])

  function read(typed: string): Intake | null {
    if (!typed.trim() || typed.length > MAX_TEXT_CHARACTERS) return null
    const { foods } = shelves.larder
    const intake = readRecipe(typed, foods)
    let { recipe } = intake
    for (const one of given.value) {
      const question = questionsAbout(recipe, foods).find(
        ({ code, text: asked }) => code === one.code && asked === one.text,
      )
      if (question) recipe = one.apply(recipe, question)
    }
    if (recipe === intake.recipe) return intake
    return { ...intake, recipe, ...report(recipe, foods), questions: questionsAbout(recipe, foods) }
  }
  const intake = computed(() => read(text.value ?? ''))

  const give = (question: Question, apply: Given['apply']) => {
    given.value = [...given.value, { text: question.text, code: question.code, apply }]
  }
  return {
    intake,
    read,
    answer: (question: Question, answer: Answer) =>
      give(question, (recipe, found) => {
        // Ids are given anew at every reading: what the answer is about is what the question found now.
        const own = found.options.find(
          (option) => option.answer.do === answer.do && sameWish(option.answer, answer),
        )?.answer
        const about = 'lineId' in answer && found.about ? { ...answer, lineId: found.about } : answer
        return answerQuestion(recipe, found, own ?? about, shelves.larder.foods)
      }),
    weigh: (question: Question, grams: number) =>
      give(question, (recipe, found) => (found.about ? setGrams(recipe, found.about, grams) : recipe)),
    forget: () => (given.value = []),
  }
}

/** Whether two answers wish the same, whatever their ids. */
function sameWish(a: Answer, b: Answer): boolean {
  if (a.do === 'part-kind' && b.do === 'part-kind') return a.kind === b.kind
  if (a.do === 'part-into' && b.do === 'part-into') return a.into === b.into
  if (a.do === 'way' && b.do === 'way') return a.way === b.way
  return a.do === b.do && a.do !== 'count'
}
