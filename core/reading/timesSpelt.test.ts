import { describe, expect, it } from 'vitest'
import { TIME_WORDINGS, withPlainTimes } from './timesSpelt'

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
