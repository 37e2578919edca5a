import { describe, expect, it } from 'vitest'
import { TIME_WORDINGS, withPlainTimes } from './timesSpelt'
import { WORK_WORDINGS, withPlainWork } from './workSpelt'

describe('times as they are written', () => {
  it.each(TIME_WORDINGS.map(({ like, becomes }) => [like, becomes]))('%s: %s', (like, becomes) => {
    expect(withPlainTimes(like)).toBe(becomes)
    expect(withPlainTimes(becomes)).toBe(becomes)
  })
  it.each([
    'Bake at 200 + 10 min later turn',
    'Chill 30 rounds',
    'Rest of the flour 30 g.',
    'Fry another 5 pieces',
    'Water in the pan, lid on',
    'Knead, 10 min',
    'Knead 10 min, roll out',
  ])('%s stays as it is', (step) => expect(withPlainTimes(step)).toBe(step))
})

describe('work as it is written', () => {
  it.each(WORK_WORDINGS.map(({ like, becomes }) => [like, becomes]))('%s: %s', (like, becomes) => {
    expect(withPlainWork(like)).toBe(becomes)
    expect(withPlainWork(becomes)).toBe(becomes)
  })
  it.each([
    'Poach the chicken in stock',
    'Put the teaspoon down',
    'Roll the pastry in 5 mm',
    'Stir with a splash of water',
  ])('%s stays as it is', (step) => expect(withPlainWork(step)).toBe(step))
})
