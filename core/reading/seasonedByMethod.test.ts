import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const read = (lines: string, method: string) =>
  readRecipe(
    `Buns\n\nDough\n300 g plain flour\n180 ml water\n\nFilling\n${lines}\n\nMethod\n${method} Divide into 8, fill, close and steam 15 minutes.`,
    foods,
  ).recipe
const told = (lines: string, method: string) =>
  read(lines, method)
    .notes.filter(({ code, level }) => code === 'unlisted' && level === 'check')
    .map(({ text }) => text)
    .join(' ')

describe('what the method seasons with', () => {
  it('is said where no line lists it, and makes no line', () => {
    const lines = '300 g mushrooms\n1 tbsp oil'
    const method = 'Fry the mushrooms with 1/2 tsp turmeric and season with salt.'
    expect(told(lines, method)).toMatch(/1\/2 tsp turmeric, salt, which no line lists/)
    expect(read(lines, method).parts.flatMap((part) => part.lines.map(({ foodId }) => foodId))).not.toContain(
      'salt',
    )
  })

  it('is not said again of what is listed', () => {
    expect(
      told(
        '300 g mushrooms\n1/2 tsp turmeric\nsalt',
        'Fry the mushrooms with the turmeric, season with salt.',
      ),
    ).toBe('')
  })

  it('is no spoon of what goes in', () => {
    expect(told('300 g mushrooms\nsalt', 'Put 1 tbsp stuffing in each.')).toBe('')
  })
})
