import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const fillingOf = (step: string) =>
  readRecipe(
    `Makes 8\n\nDough\n300 g flour\n160 g water\n\nFilling\n400 g cabbage\n100 g bacon\n20 g butter\n\nMethod\n1. ${step}\n2. Fill, close and bake at 190 °C for 20 minutes.`,
    foods,
  ).recipe.parts.find(({ kind }) => kind === 'filling')!

describe('how a filling is cooked', () => {
  it.each([
    'Fry the bacon in the butter, add the cabbage and cook until no water shows. Cool.',
    'Fry the bacon in the butter, add the cabbage and cook until the water has gone. Cool.',
    'Fry the bacon in the butter, add the cabbage and cook 10 minutes until the liquid is absorbed. Cool.',
  ])('its own water on its way out is nothing to simmer in: %s', (step) => {
    expect(fillingOf(step)).toMatchObject({ cookedBy: 'fry', untilDry: true })
  })

  it('what is scrambled or fried by itself leaves the rest raw', () => {
    const filling = fillingOf(
      'Chop the bacon and fry it in the butter, cool. Mix everything for the filling.',
    )
    expect(filling.cookedBy).toBeNull()
    expect(filling.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy])).toContainEqual(['bacon', 'fry'])
    expect(filling.lines.find(({ foodId }) => foodId === 'cabbage')!.cookedBy).toBeNull()
  })

  it('what is cooked in water simmers', () => {
    expect(
      fillingOf('Add the cabbage and bacon to 100 ml water and simmer 15 minutes, then cool.').cookedBy,
    ).toBe('simmer')
  })
})
