import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { matchFood } from './match'
import { readIngredient } from './readIngredient'

// A diet that is named in front of an animal food asks for what is made of plants instead, known by name or not.

describe('what is made of plants in place of an animal food', () => {
  it.each([
    ['vegan gouda', 'plant-cheese'],
    ['vegan blue cheese', 'plant-feta'],
    ['plant-based halloumi', 'plant-feta'],
    ['dairy-free cottage cheese', 'plant-cream-cheese'],
    ['vegan sour cream', 'plant-sour-cream'],
    ['vegan whipping cream', 'plant-cream-any'],
    ['vegan ground pork', 'pea-mince'],
    ['meatless meatballs', 'pea-mince'],
    ['veggie pepperoni', 'plant-sausage'],
    ['vegan ham', 'plant-ham'],
    ['vegan rabbit', 'plant-pieces'],
    ['vegan tuna', 'plant-fish'],
    ['vegan honey', 'plant-honey'],
    ['oat cream cheese', 'oat-cream-cheese'],
    ['condensed coconut milk', 'coconut-condensed-milk'],
    ['chickpea egg', 'chickpea-egg'],
  ])('%s is %s', (name, id) => expect(matchFood(name, foods)?.food.id).toBe(id))

  it('is said where the larder has no such food, and not where it has', () => {
    const notes = (name: string) => readIngredient(`100 g ${name}`, foods).line.notes.map(({ text }) => text)
    expect(notes('vegan gouda')).toContainEqual(expect.stringContaining('the larder has no vegan gouda'))
    expect(notes('vegan cheddar').join()).not.toContain('the larder has no')
  })

  it.each(['dairy-free sausage', 'egg-free bacon', 'gluten-free gouda', 'nut-free ham'])(
    '%s may be of an animal all the same',
    (name) => expect(matchFood(name, foods)?.food.origins ?? []).not.toEqual([]),
  )
})
