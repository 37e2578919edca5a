import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { allLines } from '../recipe/lines'
import { MAX_TEXT_CHARACTERS } from './limits'
import type { Question } from './questions'
import { readWithAnswers, type Given } from './withAnswers'

const TEXT = `Turnovers
Makes 8, serves 4

Dough
250 g flour
125 g water

Zingy bits:
200 g mushrooms
50 g moon dust

Method
Bake at 200 °C for 20 minutes.`

const asked = (text: string, given: readonly Given[] = []) => readWithAnswers(text, given, foods)!
const saying = (question: Question, at: number): Given => ({
  text: question.text,
  code: question.code,
  says: { answer: question.options[at]!.answer },
})

describe('a text with what the cook said to it', () => {
  it('is read as it is while nothing is answered', () => {
    const intake = asked(TEXT)
    expect(intake.questions.length).toBeGreaterThan(0)
    expect(intake.unresolved.map((one) => one.raw)).toEqual(['50 g moon dust'])
  })

  it('settles the question that was answered, and no other', () => {
    const intake = asked(TEXT)
    const question = intake.questions.find((one) => /Zingy/.test(one.text))!
    const at = question.options.findIndex((option) => option.answer.do === 'part-kind')
    const settled = asked(TEXT, [saying(question, at)])
    expect(settled.questions.some((one) => one.text === question.text)).toBe(false)
    expect(settled.questions.length).toBeLessThan(intake.questions.length + 1)
    expect(settled.unresolved.length).toBe(1)
  })

  it('keeps an answer while the text is changed elsewhere, and drops it with its question', () => {
    const question = asked(TEXT).questions.find((one) => /Zingy/.test(one.text))!
    const at = question.options.findIndex((option) => option.answer.do === 'part-kind')
    const given = [saying(question, at)]
    const changed = asked(TEXT.replace('250 g flour', '300 g flour'), given)
    expect(changed.questions.some((one) => one.text === question.text)).toBe(false)
    expect(allLines(changed.recipe).find(({ line }) => line.foodId === 'plain-flour')?.line.grams).toBe(300)
    const gone = asked(TEXT.replace('Zingy bits:', 'Filling'), given)
    expect(gone.recipe).toEqual(asked(TEXT.replace('Zingy bits:', 'Filling')).recipe)
  })

  it('takes grams for the line that was asked about', () => {
    const text = TEXT.replace('50 g moon dust', 'some chicken').replace('Zingy bits:', 'Filling')
    const question = asked(text).questions.find((one) => /chicken/i.test(one.text))!
    const settled = asked(text, [{ text: question.text, code: question.code, says: { grams: 180 } }])
    expect(allLines(settled.recipe).find(({ line }) => line.raw === 'some chicken')?.line.grams).toBe(180)
  })

  it('is nothing when there is nothing, or too much', () => {
    expect(readWithAnswers('  \n ', [], foods)).toBeNull()
    expect(readWithAnswers('x'.repeat(MAX_TEXT_CHARACTERS + 1), [], foods)).toBeNull()
  })
})
