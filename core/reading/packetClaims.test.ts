import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredient } from './readIngredient'

const doubts = (raw: string) =>
  readIngredient(raw, foods)
    .line.notes.filter(({ code }) => code === 'claim')
    .map(({ text }) => text)

describe('what a packet says behind the name', () => {
  it('of salt, sugar and sweetening is doubted where the food that was found is not so', () => {
    expect(doubts('2 cups vegetable broth, low sodium')).toEqual([
      '"low sodium" is not known of Vegetable stock: its salt is counted as usual',
    ])
    expect(doubts('100 g dark chocolate, sugar free')).toHaveLength(1)
    expect(doubts('200 g yogurt, sweetened')).toHaveLength(1)
  })

  it('is no doubt where the food is so, or where it makes no difference', () => {
    expect(doubts('1 tbsp soy sauce, reduced salt')).toEqual([])
    expect(doubts('200 ml almond milk, unsweetened')).toEqual([])
    expect(doubts('200 g mushrooms, no added salt')).toEqual([])
  })
})
