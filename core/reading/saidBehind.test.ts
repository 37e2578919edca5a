import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'

/** Tails of a line by the word that joins them: none of them is part of a food's name. */
const PURPOSES = [
  ' to knead',
  ' to bind',
  ' to knead a soft dough',
  ' to make a dough',
  ' to form a stiff dough',
  ' to adjust consistency',
  ' to cook the onions',
  ' for frying the onions',
  ' for the filling',
  ' in the dough',
  ' for the white sauce',
  ' to sweeten',
  ' to season',
  ' to rub in',
  ' to loosen the mix',
  ' to wet the edges',
  ' to start with',
  ' at room temp',
  ' straight from the fridge',
  ' as per requirement',
  ' if needed',
  ', or as needed',
  ' to your liking',
  ' (I use a bit less)',
  ' only',
  ' total',
  ' max',
  ' or so',
  ' more or less',
] as const
const POURED = ['milk', 'water', 'olive oil', 'butter', 'plain yogurt', 'lemon juice', 'stock'] as const
const SPOONED = ['2 tbsp', '120 ml', '1/2 cup', 'about 100 ml', '3-4 tbsp'] as const

const PREPARED = [
  ', peeled and diced',
  ' finely chopped',
  ' - chopped',
  ' cut into cubes',
  ' grated on the big holes',
  ' crushed to a paste',
  ' sliced thinly into rings',
  ' caramelised',
  ' left over from yesterday',
  ' peeled weight',
  ' net',
  ' without skin',
  ' with their juice',
  ' washed and dried',
  ', squeezed dry',
  ' fried till brown',
  ' from the garden',
  ' more or less',
] as const
const CUT = ['onions', 'carrots', 'tomatoes', 'garlic cloves', 'mushrooms', 'courgettes', 'apples'] as const
const COUNTED = ['2', '3 medium', '250 g', 'half a cup of', 'a handful of'] as const

const bare = (line: string) => readIngredients(line, foods)[0]!

/** Each amount of each food, with what is said behind it, as the one line of that food that it is without. */
function expectSame(
  amounts: readonly string[],
  names: readonly string[],
  tail: string,
  weighs: 'the same' | 'something',
) {
  for (const amount of amounts)
    for (const name of names) {
      const line = `${amount} ${name}${tail}`
      const read = readIngredients(line, foods)
      expect(read, line).toHaveLength(1)
      expect(read[0]!.food?.id, line).toBe(bare(`${amount} ${name}`).food?.id)
      const without = bare(`${amount} ${name}`).line.grams
      if (weighs === 'the same') expect(read[0]!.line.grams, line).toBe(without)
      else expect(read[0]!.line.grams, line).not.toBeNull()
    }
}

describe('what is said behind a food is no part of its name', () => {
  it.each(PURPOSES)('what it is for:%s', (tail) => {
    expectSame(SPOONED, POURED, tail, 'the same')
  })

  it.each(PREPARED)('what is done to it:%s', (tail) => {
    // Squeezed, peeled or with their juice they weigh otherwise.
    expectSame(COUNTED, CUT, tail, 'something')
  })

  it.each([
    ['1 tin tuna in oil', 'tuna-oil', null],
    ['2 tbsp oil for frying', 'sunflower-oil', 'pan'],
    ['1 egg to glaze', 'egg', 'finish'],
    ['1 tbsp milk to serve', 'milk', 'dip'],
  ] as const)('names and purposes that have a meaning of their own keep it: %s', (line, food, purpose) => {
    expect([bare(line).food?.id, bare(line).read.purpose]).toEqual([food, purpose])
  })
})

describe('how many of what is made ready', () => {
  it.each([
    ['2 chicken thighs, minced', 'chicken-thigh'],
    ['1 bunch spinach, boiled', 'spinach'],
    ['2 onions washed and dried', 'onion'],
  ])('%s is weighed as what was counted', (line, food) => {
    const [read] = readIngredients(line, foods)
    expect(read!.food?.id).toBe(food)
    expect(read!.line.grams).toBeGreaterThan(20)
  })

  it('what is weighed is the made-ready food', () => {
    expect(bare('300 g chicken thighs, minced').food?.id).toBe('minced-chicken')
    expect(bare('2 eggs, boiled').food?.id).toBe('boiled-egg')
  })
})
