import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { evaluate } from './evaluate'
import { summaryOf } from './summary'

const pies = recipeOf(
  {
    shell: [
      ['plain-flour', 300],
      ['water', 160],
    ],
    filling: [['leek', 300]],
  },
  { pieces: 10, servings: 5 },
)

describe('summaryOf', () => {
  it('holds what the shelf shows, as evaluated', () => {
    const { perPiece, dough } = evaluate(pies, reference)
    expect(summaryOf(pies, reference)).toMatchObject({
      shape: 'half-moon',
      pieces: 10,
      servings: 5,
      energyKcal: perPiece.energyKcal,
      proteinG: perPiece.proteinG,
      consistency: dough.consistency,
      piece: { doughGrams: 46, fillingGrams: 30, coatGrams: 0, oilGrams: 0 },
      complete: true,
    })
  })

  it('lists the diets that it fits', () => {
    expect(summaryOf(pies, reference)?.fits).toEqual(
      expect.arrayContaining(['vegan', 'vegetarian', 'dairy-free', 'egg-free']),
    )
    const cheese = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['water', 160],
      ],
      filling: [['cheddar', 300]],
    })
    expect(summaryOf(cheese, reference)?.fits).not.toContain('vegan')
    expect(summaryOf(cheese, reference)?.fits).toContain('vegetarian')
  })

  it('is null for a recipe without dough, which is kept all the same', () => {
    expect(summaryOf(recipeOf({ filling: [['leek', 300]] }), reference)).toBeNull()
  })
})
