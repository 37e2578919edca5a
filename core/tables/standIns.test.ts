import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import rows from '../../data/stand-ins.csv'
import { matchFood } from '../reading/match'
import { saidOf } from '../food/food'
import { withStandIns } from './standIns'
import { withTaughtNames } from './taughtNames'

const bare = new Map([...foods].filter(([, one]) => one.figuresOf === null))
const row = rows[0]!

describe('stand-ins', () => {
  it('bear the figures of the other food, and nothing else of it unasked', () => {
    const made = withStandIns(bare, [
      {
        ...row,
        id: 'test-oil',
        name: 'Test oil',
        figures_of: 'sunflower-oil',
        origin: '',
        allergens: 'nuts|?soy',
      },
    ]).get('test-oil')!
    const of = foods.get('sunflower-oil')!
    expect(made.per100g).toEqual(of.per100g)
    expect(made.energyKcal).toBe(of.energyKcal)
    expect(made).toMatchObject({
      allergens: ['nuts'],
      possibleAllergens: ['soy'],
      figuresOf: 'sunflower-oil',
    })
    expect(of.allergens).toEqual([])
  })

  it.each([
    [{ ...row, figures_of: 'moon-dust' }, /moon-dust/],
    [{ ...row, id: 'butter' }, /that id already/],
    [{ ...row, why: '' }, /why is missing/],
    [{ ...row, id: 'wet', free_water: '7' }, /free_water "7"/],
    [{ ...row, allergens: 'pollen' }, /pollen/],
    [{ ...row, origin: 'moon' }, /moon/],
  ])('name what is wrong in a row', (bad, message) => {
    expect(() => withStandIns(bare, [bad])).toThrow(message)
  })

  it('are spoken of by what a table says of the other food, unless it speaks of them', () => {
    const table = new Map([
      ['sunflower-oil', 'of the other'],
      ['groundnut-oil', 'its own'],
    ])
    const standIn = { ...foods.get('sunflower-oil')!, id: 'x', figuresOf: 'sunflower-oil' }
    expect(saidOf(table, standIn)).toBe('of the other')
    expect(saidOf(table, foods.get('groundnut-oil')!)).toBe('its own')
    expect(saidOf(table, foods.get('butter')!)).toBeUndefined()
  })
})

describe('names a cook has taught', () => {
  it('come before those of the table, and only for that name', () => {
    const taught = withTaughtNames(foods, [{ name: 'cream', foodId: 'single-cream' }])
    expect(matchFood('cream', foods)?.food.id).toBe('whipping-cream')
    expect(matchFood('cream', taught)?.food.id).toBe('single-cream')
    expect(matchFood('whipping cream', taught)?.food.id).toBe('whipping-cream')
    expect(matchFood('soya cream', taught)?.food.id).toBe('soy-cream')
  })
  it('may be words no table knows, and cannot take a claim away', () => {
    const taught = withTaughtNames(foods, [{ name: 'the white stuff', foodId: 'feta' }])
    expect(matchFood('the white stuff', taught)?.food.id).toBe('feta')
    expect(matchFood('vegan the white stuff', taught)?.food.origins ?? []).toEqual([])
  })
  it('for a food that is not there wait for it', () => {
    expect(withTaughtNames(foods, [{ name: 'cream', foodId: 'own-gone' }])).toBe(foods)
  })
})
