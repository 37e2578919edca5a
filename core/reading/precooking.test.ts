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

  it('what is blended with what was fried stays raw', () => {
    const filling = fillingOf('Fry the bacon in the butter 5 min. Pulse with the cabbage.')
    expect(filling.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy])).toContainEqual(['bacon', 'fry'])
    expect(filling.lines.find(({ foodId }) => foodId === 'cabbage')!.cookedBy).toBeNull()
  })

  it('what is cooked in water simmers', () => {
    expect(
      fillingOf('Add the cabbage and bacon to 100 ml water and simmer 15 minutes, then cool.').cookedBy,
    ).toBe('simmer')
  })

  it.each([
    'Chop the cabbage and fry in the butter with the bacon 10 min. Mix with the egg.',
    'Chop the cabbage. Fry in the butter with the bacon 10 min. Mix with the egg.',
    'Blitz the cabbage, fry in the butter with the bacon 10 min. Mix with the egg.',
  ])('what is made ready is fried, with what it is fried with: %s', (step) => {
    const filling = fillingOf(step)
    const ways = filling.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy ?? filling.cookedBy])
    expect(ways).toContainEqual(['cabbage', 'fry'])
    expect(ways).toContainEqual(['bacon', 'fry'])
  })

  it('what is put on beside what was cooked is raw', () => {
    const { recipe } = readRecipe(
      'Turnovers\nMakes 6\n\n320 g puff pastry\n300 g rhubarb\n60 g sugar\n150 g custard\n\nCook the rhubarb and sugar in a pan for 5 minutes. Cool.\nCut the pastry into 6 squares. Put a spoonful of custard and some rhubarb in the middle of each. Fold and seal. Bake at 200 °C for 20 minutes.',
      foods,
    )
    const cookedBy = (food: string) =>
      recipe.parts.flatMap(({ lines }) => lines).find(({ foodId }) => foodId === food)?.cookedBy
    expect(recipe.parts.find(({ kind }) => kind === 'filling')!.cookedBy).toBe('simmer')
    expect(cookedBy('custard')).toBe('raw')
    expect(cookedBy('rhubarb')).toBeNull()
  })
})
