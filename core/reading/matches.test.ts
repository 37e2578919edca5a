import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { forAllMatches, lastMatch, recalled } from './matches'
import { readIngredients } from './readIngredient'
import { readRecipe } from './readRecipe'
import { readYields } from './servings'

describe('a pattern that remembers', () => {
  it('answers again what it answered, also where it found nothing', () => {
    const number = recalled(/\d+/)
    expect(number.exec('12 buns')?.[0]).toBe('12')
    expect(number.exec('12 buns')).toBe(number.exec('12 buns'))
    expect([number.test('no buns'), number.test('no buns')]).toEqual([false, false])
  })

  it('still knows right from wrong when it has forgotten', () => {
    const even = recalled(/[02468]$/)
    const asked = Array.from({ length: 2500 }, (_, n) => String(n))
    expect([...asked, ...asked].filter((text) => even.test(text) !== (Number(text) % 2 === 0))).toEqual([])
  })
})

describe('a pattern for all that it matches', () => {
  it('is the same one each time, and starts anew for each text', () => {
    const word = /b\w+/i
    expect(forAllMatches(word)).toBe(forAllMatches(word))
    const found = () => [...'Big bun, small'.matchAll(forAllMatches(word))].map(([one]) => one)
    expect([found(), found()]).toEqual([
      ['Big', 'bun'],
      ['Big', 'bun'],
    ])
  })

  it('finds the last, or nothing', () => {
    expect(lastMatch(/b\w+/, 'bun and bread')?.index).toBe(8)
    expect(lastMatch(/b\w+/, 'rice')).toBeNull()
  })
})

describe('what is remembered of a line', () => {
  it('is not changed by whoever got it', () => {
    const [first] = readIngredients('2 onions, chopped', foods)
    Object.assign(first!.line, { grams: 1 })
    first!.line.notes.push({ code: 'test', level: 'check', text: 'mine' })
    first!.line.prep.push('burnt')
    const [again] = readIngredients('2 onions, chopped', foods)
    expect([again!.line.grams, again!.line.prep]).toEqual([220, ['chopped']])
    expect(again!.line.notes.map(({ text }) => text)).not.toContain('mine')
  })

  it('gives the same recipe again, also after one that takes ten times as much of the same lines', () => {
    const text = (pieces: number) =>
      `Onion pies\nMakes ${pieces}\n\nDough\n300 g flour\n150 g butter\n\nFilling\n2 onions per pie\n1 tsp salt\n\nMethod\nFry the onions 10 min. Fill, fold and seal. Bake at 200C for 20 minutes.`
    const before = JSON.stringify(readRecipe(text(4), foods))
    const onions = (pieces: number) =>
      readRecipe(text(pieces), foods).recipe.parts.flatMap(({ lines }) =>
        lines.filter(({ foodId }) => foodId === 'onion').map(({ grams }) => grams),
      )
    expect(onions(40)[0]).toBeCloseTo(10 * onions(4)[0]!)
    expect(JSON.stringify(readRecipe(text(4), foods))).toBe(before)
  })
})

describe('the figures of one piece beside the title', () => {
  it('say how many are a serving only where there are several', () => {
    const servings = (row: string) => {
      const { recipe } = readRecipe(
        `Leek pies\nMakes 12\n${row}\n\nDough\n300 g flour\n150 ml water\n\nFilling\n300 g leeks\n\nMethod\nFill and seal. Bake at 200C for 20 minutes.`,
        foods,
      )
      return recipe.servingsStated ? recipe.servings : null
    }
    expect(servings('Macros per 3: 400 kcal, 12 g protein, 8 g fat')).toBe(4)
    expect(servings('Macros per 1: 133 kcal, 4 g protein, 3 g fat')).toBeNull()
  })

  it('of two sizes count the one that is made', () => {
    expect(readYields('Makes 22 small or 11 large, I make the large')?.pieces).toBe(11)
    expect(readYields('Makes 22 small or 11 large (I did the small)')?.pieces).toBe(22)
  })
})
