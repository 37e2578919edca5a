import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { allLines } from '../recipe/lines'
import { CRAFT_RANGE, heldByCraft } from './craft'

/** Grams of a food after adapting, by itself or by what stands in for it. */
const gramsOf = (recipe: Parameters<typeof adapt>[0], diet: string, ...ids: string[]) =>
  allLines(adapt(recipe, [diet], reference).recipe)
    .filter(({ line }) => ids.includes(line.foodId ?? ''))
    .reduce((sum, { line }) => sum + line.grams!, 0)

const sauced = recipeOf(
  {
    shell: [
      ['plain-flour', 300],
      ['butter', 150],
      ['water', 65],
      ['salt', 3],
    ],
    filling: [
      ['cooked-chicken', 300],
      ['leek', 300],
      ['butter', 25],
      ['plain-flour', 25],
      ['milk', 250],
      ['salt', 5],
    ],
  },
  { pieces: 8, servings: 8, way: 'bake' },
)

describe('what cooks do to a line (common practice, no source)', () => {
  it('keeps a thickened sauce a sauce: neither more of its milk nor less of its flour', () => {
    for (const diet of ['lighter', 'less-fat', 'keto-wide']) {
      const milk = gramsOf(sauced, diet, 'milk', 'semi-skimmed-milk', 'skimmed-milk')
      expect(milk, diet).toBeGreaterThanOrEqual(0.79 * 250)
      expect(milk, diet).toBeLessThanOrEqual(1.17 * 250)
    }
  })

  it('leaves garlic butter in what it fills, and makes it of a plant block', () => {
    const filled = recipeOf(
      {
        shell: [['puff-pastry', 375]],
        filling: [
          ['chicken-breast', 350],
          ['goat-butter', 80],
          ['mozzarella', 60],
        ],
      },
      { pieces: 6, servings: 6, way: 'bake' },
    )
    expect(gramsOf(filled, 'vegan', 'plant-block')).toBeGreaterThanOrEqual(0.7 * 80)
    expect(gramsOf(filled, 'high-protein', 'goat-butter')).toBeGreaterThanOrEqual(0.69 * 80)
  })

  it('cuts the butter poured over for a lighter plate, and hardly for more protein', () => {
    const served = recipeOf(
      {
        shell: [
          ['plain-flour', 400],
          ['water', 200],
          ['salt', 6],
        ],
        filling: [
          ['boiled-potato', 600],
          ['twarog', 250],
          ['salt', 6],
        ],
        dip: [['butter', 50]],
      },
      { pieces: 40, servings: 5, way: 'boil' },
    )
    expect(gramsOf(served, 'high-protein', 'butter')).toBeGreaterThanOrEqual(0.69 * 50)
    expect(gramsOf(served, 'lighter', 'butter')).toBeLessThan(0.69 * 50)
  })

  it('leaves what a filling is made of recognisable, however far a cook goes', () => {
    expect(heldByCraft(CRAFT_RANGE.main, true)![0]).toBeGreaterThanOrEqual(0.45)
    expect(heldByCraft(CRAFT_RANGE.seasoning, true)).toBe(CRAFT_RANGE.seasoning)
  })

  it('does not stir a rest of a flour into another', () => {
    const steamed = recipeOf(
      {
        shell: [
          ['rice-flour', 200],
          ['water', 250],
        ],
        filling: [
          ['fresh-coconut', 200],
          ['jaggery', 150],
        ],
      },
      { pieces: 11, servings: 4, way: 'steam' },
    )
    const left = gramsOf(steamed, 'keto', 'rice-flour')
    expect(left === 0 || left >= 20).toBe(true)
  })
})
