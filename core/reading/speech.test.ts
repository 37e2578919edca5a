import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { withStops } from './sentences'

const read = (text: string) => readRecipe(text, foods).recipe
const idsOf = (text: string, kind: string) =>
  read(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId }) => foodId))

const MOMOS =
  'okay so chicken momos I make about thirty you take two cups maida half teaspoon salt one tablespoon oil and water to make a stiff dough rest it for half an hour for the filling two hundred and fifty grams chicken mince one cup finely chopped cabbage one onion two spring onions salt mix everything don’t cook it roll out thin three inch circles put a spoonful of filling pleat and close steam for twelve minutes serve with the red chutney'
const FATAYER =
  'lentil fatayer it makes about twenty you take four cups of flour one packet of yeast a teaspoon of salt half a cup of oil and a cup and a half of warm water and let it rise for an hour then for the filling you boil one cup of brown lentils for twenty five minutes and drain them really well you fry two onions in a quarter cup of olive oil until they are brown and mix with the lentils roll the dough out cut four inch circles put a tablespoon in the middle pinch up three sides bake at four hundred for fifteen minutes'

describe('speech without marks', () => {
  it('is cut before its verbs and its parts, and keeps its words', () => {
    const stopped = withStops(MOMOS)
    expect(stopped).toContain('. rest it for half an hour. for the filling')
    expect(stopped).toContain('. steam for twelve minutes. serve with')
    expect(stopped.replace(/\. /g, ' ')).toBe(MOMOS)
    expect(withStops(stopped)).toBe(stopped)
  })

  it.each([
    'bring it to a boil and let it simmer',
    'leave them to rise until doubled',
    'use this for the filling',
  ])('"%s" is short, and stays', (said) => {
    expect(withStops(said)).toBe(said)
  })

  it('tells what goes in from what is served', () => {
    expect(idsOf(MOMOS, 'shell')).toEqual(['plain-flour', 'salt', 'sunflower-oil', 'water'])
    expect(idsOf(MOMOS, 'filling')).toEqual(['minced-chicken', 'cabbage', 'onion', 'spring-onion', 'salt'])
    expect(idsOf(MOMOS, 'dip')).toEqual([])
    expect(read(MOMOS)).toMatchObject({ pieces: 30, cooking: { way: 'steam', minutes: 12 } })
  })

  it('tells what was boiled from what was fried', () => {
    const filling = read(FATAYER).parts.find(({ kind }) => kind === 'filling')!
    expect(filling.lines.map(({ foodId }) => foodId)).toEqual(['lentils-dry', 'onion', 'olive-oil'])
    expect(read(FATAYER)).toMatchObject({ pieces: 20, cooking: { way: 'bake', minutes: 15 } })
  })
})

describe('what the words of a line, a row or a table say', () => {
  const line = (raw: string) =>
    read(`Pies\nFilling\n${raw}\n\nMethod\nBake.`).parts.flatMap((part) => part.lines)

  it.each([
    ['250 g leftover roast lamb, minced', ['cooked-lamb']],
    ['500 g lamb, minced', ['minced-lamb']],
    ['1 egg + 1 for glazing', ['egg', 'egg']],
    ['150 ml boiling water and 50 ml cold', ['water', 'water']],
    ['1 onion, fried slowly in 1 tbsp lard', ['onion', 'lard']],
  ])('"%s"', (raw, ids) => {
    expect(line(raw).map(({ foodId }) => foodId)).toEqual(ids)
  })

  it('takes both amounts of a row of a table, and the name that stands below it', () => {
    const recipe = read(
      '| Ingredient | Cups | Grams |\n|---|---|---|\n| **Dough** | | |\n| Bread flour | 3 cups | 390 g |\n| Warm milk | 1 cup | 240 g |\n| **Filling** | | |\n| Cooked ham, diced | 1 1/2 cups | 200 g |\n\nHam buns (12)\n\nKnead, divide into 12, fill, pinch shut. Bake at 190 C for 20 minutes.',
    )
    expect(recipe).toMatchObject({ title: 'Ham buns', pieces: 12, shape: 'bun' })
    expect(recipe.parts.flatMap(({ lines }) => lines.map(({ grams }) => grams))).toEqual([390, 240, 200])
  })

  it.each([
    ['Boil 5 minutes. We eat twelve each with cream.', 12],
    ['Boil 5 minutes. Allow 6 each.', 6],
  ])('"%s" says how much one eats', (method, each) => {
    const recipe = read(
      `Pelmeni\nMakes 48\n\nDough\n300 g flour\n150 ml water\n\nFilling\n300 g pork mince\n\nMethod\nFill and fold. ${method}`,
    )
    expect(recipe.servings).toBe(48 / each)
  })
})
