import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'
import { readRecipe } from './readRecipe'
import { splitLine } from './splitLine'

const forTop = (line: string) =>
  readIngredients(line, foods).flatMap(({ line: { foodId }, read }) =>
    read.purpose === 'finish' ? [foodId] : [],
  )
const foodsOf = (line: string) => readIngredients(line, foods).map(({ line: { foodId } }) => foodId)

describe('what a line says it is for', () => {
  it.each([
    ['1 egg, 1 tbsp milk to glaze', ['egg', 'milk']],
    ['egg yolk + splash of milk for brushing', ['egg-yolk', 'milk']],
    ['1 egg + 1 tbsp milk, for egg wash', ['egg', 'milk']],
    ['3 apples, 2 tbsp sugar, 1 tsp cinnamon, knob butter, milk to glaze', ['milk']],
    ['1 tsp sage, 1 tsp thyme, plant milk to brush', ['plant-milk-any']],
    ['1 onion, 100 ml boiling water, 1 egg to glaze', ['egg']],
    // The spoon goes into the dough, and what is brushed on besides is a line of its own.
    ['250 g flour, 1/2 tsp salt, 1 tbsp olive oil + extra for brushing', ['olive-oil']],
  ])('%s', (line, wanted) => {
    expect(forTop(line)).toEqual(wanted)
  })
})

describe('a list on one line', () => {
  it.each([
    [
      '1 parsnip, diced, 1 tbsp olive oil, 200 ml stock, salt & pepper',
      ['parsnip', 'olive-oil', 'stock-any', 'salt', 'black-pepper'],
    ],
    ['1 onion, salt & pepper, milk', ['onion', 'salt', 'black-pepper', 'milk']],
    ['100 g beef, 1 tsp Worcester sauce, seasoning', ['beef', 'worcestershire', 'salt', 'black-pepper']],
    ['jeera, dhania powder 1 tsp each, garam masala 1/2 tsp', ['cumin', 'coriander-seed', 'garam-masala']],
    [
      '1 tsp cinnamon, zest & juice of 1 lemon, 50 g raisins',
      ['cinnamon', 'lemon-zest', 'lemon-juice', 'raisins'],
    ],
    ['2 tbsp oil, oil for deep frying', ['sunflower-oil', 'sunflower-oil']],
  ])('%s', (line, wanted) => {
    expect(foodsOf(line)).toEqual(wanted)
  })

  it('goes on behind what was boiled and drained', () => {
    expect(
      splitLine(
        '1 cup dry lentils, cooked in 3 cups broth until soft, drained, 1 large onion, 2 carrots',
        foods,
      ),
    ).toHaveLength(3)
  })

  it('with its names in front is no heading', () => {
    const { recipe } = readRecipe(
      'Pelmeni\n\nDough\nflour - 500 g, egg - 1 pc, water - 200 ml\n\nMethod\nBoil.',
      foods,
    )
    expect(recipe.parts.map(({ kind, lines }) => [kind, lines.map(({ foodId }) => foodId)])).toEqual([
      ['shell', ['plain-flour', 'egg', 'water']],
    ])
  })
})

describe('what the method says of the end of a list', () => {
  const partsOf = (text: string) =>
    readRecipe(text, foods).recipe.parts.map(
      ({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`,
    )

  it('is served with it', () => {
    expect(
      partsOf(
        'Strudel\n\n4 sheets filo\n\n500 g sauerkraut\n150 g smoked tofu\nsour cream\n\nFill, roll up, bake 30 min at 190. Serve with sour cream.',
      ),
    ).toContain('dip: sour-cream')
  })

  it('is an egg of which a little is kept', () => {
    const { recipe } = readRecipe(
      'Parcels\n\nDough\n300 g flour\n160 ml water\n\nFilling\n200 g feta\n1 egg, beaten (save a little for the tops)\n\nFill. Brush with the rest of the egg. Bake 20 min at 200 °C.',
      foods,
    )
    const eggs = recipe.parts.flatMap(({ kind, lines }) =>
      lines.flatMap(({ foodId, grams }) => (foodId === 'egg' ? [[kind, grams]] : [])),
    )
    expect(eggs).toEqual([
      ['filling', 37.5],
      ['finish', 12.5],
    ])
  })
})
