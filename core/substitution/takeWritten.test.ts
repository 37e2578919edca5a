import { describe, expect, it } from 'vitest'
import { reference } from '../../test/helpers'
import { adapt, dietsByIds } from '../adaptation/adapt'
import { readRecipe } from '../reading/readRecipe'
import { allLines } from '../recipe/lines'
import { takeWritten } from './takeWritten'

const text = (line: string) => `Leek pies
Makes 8

Dough
300 g plain flour
150 g plant block
80 g water

Filling
500 g leeks
${line}

Bake at 200 C for 25 min.`
const { foods } = reference
const read = (line: string) => readRecipe(text(line), foods).recipe
const vegan = dietsByIds(['vegan'], reference)
const none = { locked: [], refused: [] }
const fatOf = (recipe: ReturnType<typeof read>) =>
  allLines(recipe).find(({ part, line }) => part.kind === 'filling' && line.foodId !== 'leek')!.line

describe('an alternative that the recipe names', () => {
  it('is taken where what stands first breaks the diet, and the cook is told why', () => {
    const recipe = read('30 g butter or olive oil')
    const { recipe: made, changes } = takeWritten(recipe, vegan, foods, none)
    expect(fatOf(made)).toMatchObject({ foodId: 'olive-oil', grams: 30 })
    expect(changes).toHaveLength(1)
    expect(changes[0]).toMatchObject({ kind: 'swap', from: 'Butter', to: 'Olive oil', part: 'filling' })
    // What was written first stays known, and stays a choice.
    expect(fatOf(made).cameFrom).toMatchObject({ foodId: 'butter', grams: 30 })
    expect(fatOf(made).choices.map(({ foodId }) => foodId)).toEqual(['butter'])
  })
  it('is left where it breaks the diet as well, where nothing has to change, is locked or refused', () => {
    const ghee = read('30 g butter or ghee')
    expect(takeWritten(ghee, vegan, foods, none)).toEqual({ recipe: ghee, changes: [] })
    const oil = read('30 g olive oil or butter')
    expect(takeWritten(oil, vegan, foods, none).changes).toEqual([])
    const butter = read('30 g butter or olive oil')
    const locked = { locked: [fatOf(butter).id], refused: [] }
    expect(takeWritten(butter, vegan, foods, locked).changes).toEqual([])
    const refused = { locked: [], refused: ['written:olive-oil'] }
    expect(takeWritten(butter, vegan, foods, refused).changes).toEqual([])
  })
  it('is left where nobody has weighed it: 30 g of butter are not an oil of no weight', () => {
    const recipe = read('30 g butter or olive oil')
    const unweighed = {
      ...recipe,
      parts: recipe.parts.map((part) => ({
        ...part,
        lines: part.lines.map((line) => ({
          ...line,
          choices: line.choices.map((choice) => ({
            ...choice,
            grams: null,
            gramsLow: null,
            gramsHigh: null,
          })),
        })),
      })),
    }
    expect(takeWritten(unweighed, vegan, foods, none).changes).toEqual([])
  })
  it('comes before every stand-in of the table, with a search and without', () => {
    for (const diets of [['vegan'], ['vegan', 'gluten-free']]) {
      const made = adapt(read('30 g butter or olive oil'), diets, reference)
      expect(fatOf(made.recipe).foodId, diets.join()).toBe('olive-oil')
      expect(made.changes[0], diets.join()).toMatchObject({ swapId: 'written:olive-oil' })
      expect(made.evaluation.diets.find(({ diet }) => diet === 'vegan')!.fits, diets.join()).toBe(true)
    }
  })
})
