import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods } from '../../test/helpers'
import { readRecipe } from '~~/core/reading/readRecipe'
import { stepsOfMethod } from './stoveSteps'

describe('the steps of a method', () => {
  it('are its sentences, with the times that they state, each by what it is of', () => {
    const { recipe } = readRecipe(
      'Buns\nMakes 8\nDough\n300 g flour\n160 ml water\nMethod\nMix, knead 8 minutes and let it double, about 1½ hours. Shape. Fry 3 minutes a side.',
      foods,
    )
    expect(stepsOfMethod(recipe).map(({ text, timers }) => [text, timers])).toEqual([
      [
        'Mix, knead 8 minutes and let it double, about 1½ hours. Shape.',
        [
          { name: 'Knead', minutes: 8 },
          { name: 'Let it double', minutes: 90 },
        ],
      ],
      ['Fry 3 minutes a side.', [{ name: 'Fry', minutes: 6 }]],
    ])
  })
  it('hold every word of every demo', () => {
    const words = (text: string) => text.replace(/\s+/g, ' ').trim()
    for (const { recipe } of demo)
      expect(
        words(
          stepsOfMethod(recipe)
            .map(({ text }) => text)
            .join(' '),
        ),
      ).toBe(words(recipe.method.join(' ')))
  })
})
