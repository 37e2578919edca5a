import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { everyFewOfCorpus } from '../../test/readCorpus'
import { otherLanguage } from './language'
import { readIngredient } from './readIngredient'

describe('a line in another language', () => {
  it.each([
    ['500 g Mehl', 'German'],
    ['2 EL Öl', 'German'],
    ['2 c. à soupe d’huile d’olive', 'French'],
    ['1 pincée de sel', 'French'],
    ['1 cucharadita de sal', 'Spanish'],
    ['2 cucchiai di zucchero', 'Italian'],
    ['2 colheres de farinha', 'Portuguese'],
    ['2 łyżki masła', 'Polish'],
    ['1 snufje zout', 'Dutch'],
    ['2 yemek kaşığı şeker', 'Turkish'],
    ['200 г сыра', 'Cyrillic'],
    ['2 प्याज', 'Devanagari'],
    ['玉ねぎ 2個', 'Chinese|Japanese'],
  ])('is said to be one: %s', (raw, language) => {
    const { line, food } = readIngredient(raw, foods)
    expect(food).toBeNull()
    expect(line.raw).toBe(raw)
    expect(line.notes[0]!.text).toMatch(new RegExp(`(?:${language}).*only English is read`))
  })

  it('still gives the food that English shares the word for', () => {
    expect(readIngredient('250 g Butter', foods).food?.id).toBe('butter')
    expect(readIngredient('300 g Quark', foods).food?.id).toBe('quark')
    expect(readIngredient('200 g crème fraîche', foods).food).not.toBeNull()
  })

  it('is not seen where there is none', () => {
    const seen = everyFewOfCorpus().flatMap(({ intake }) =>
      intake.recipe.parts
        .flatMap((part) => part.lines)
        .filter((line) => line.notes.some((note) => note.text.includes('only English'))),
    )
    expect(seen.map((line) => line.raw)).toEqual([])
    expect(otherLanguage('four of the leeks in a pan')).toBeNull()
    expect(otherLanguage('a handful of something or other')).toBeNull()
  })
})
