import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { setGrams } from '../recipe/edit'
import { answerQuestion, questionsAbout } from './questions'
import { readRecipe } from './readRecipe'

const read = (text: string) => readRecipe(text, foods)
const codes = (recipe: Recipe) => questionsAbout(recipe, foods).map((question) => question.code)

const OPEN = `Supper
Dough
500 g flour
water as needed

Filling
300 g mushrooms
200 g moonfruit

Zingy stuff:
2 tbsp lemon juice
1 tbsp oil`

describe('questions', () => {
  const { recipe } = read(OPEN)

  it('are asked in one place, what matters most first', () => {
    expect(codes(recipe)).toEqual([
      'way-assumed',
      'part-unsure',
      'unknown-food',
      'pieces-assumed',
      'to-feel',
      'servings-assumed',
    ])
    expect(read(OPEN).questions).toEqual(questionsAbout(recipe, foods))
  })

  it('do not take an unknown heading for one more filling that shares the pieces', () => {
    const unsure = recipe.parts.find((part) => part.unsure)!
    expect(unsure.into).toBe(recipe.parts.find((part) => part.kind === 'filling' && part.into === null)!.id)
  })

  it('go when they are answered, and the note with them', () => {
    let next = recipe
    for (let rounds = 0; rounds < 10; rounds++) {
      const [question] = questionsAbout(next, foods)
      if (!question) break
      const option = question.options[0]
      next = option
        ? answerQuestion(next, question, option.answer, foods)
        : question.asks === 'grams'
          ? setGrams(next, question.about!, 280)
          : answerQuestion(next, question, { do: 'food', lineId: question.about!, foodId: 'plum' }, foods)
      expect(codes(next)).not.toContain(question.code)
    }
    expect(questionsAbout(next, foods)).toEqual([])
    expect(next.notes.filter((note) => note.level === 'check')).toEqual([])
    expect(next).toMatchObject({ piecesStated: true, servingsStated: true })
    expect(allLines(next).find(({ line }) => line.raw === 'water as needed')?.line).toMatchObject({
      grams: 280,
      toFeel: null,
    })
  })

  it('let an unknown part be what it is', () => {
    const question = questionsAbout(recipe, foods).find((one) => one.code === 'part-unsure')!
    const served = question.options.find((option) => option.label === 'Served beside')!
    expect(
      answerQuestion(recipe, question, served.answer, foods).parts.find(
        (part) => part.name === 'Zingy stuff',
      ),
    ).toMatchObject({ kind: 'dip', into: null, unsure: false })
  })

  it('ask where a liquid goes that the flour needs and the filling lists', () => {
    const { recipe: borrowed } = read(
      'Pockets\nMakes 8, serves 4\n300 g flour\n1 tsp salt\n300 g mushrooms\n1 onion\n150 ml water\n\nBake at 190C for 20 minutes.',
    )
    expect(
      borrowed.parts.find((part) => part.kind === 'shell')?.lines.some((line) => line.foodId === 'water'),
    ).toBe(true)
    const question = questionsAbout(borrowed, foods).find((one) => one.code === 'liquid-borrowed')!
    const back = answerQuestion(borrowed, question, question.options[1]!.answer, foods)
    expect(
      back.parts.find((part) => part.kind === 'filling')?.lines.some((line) => line.foodId === 'water'),
    ).toBe(true)
    expect(codes(back)).not.toContain('liquid-borrowed')
  })
})
