import { describe, expect, it } from 'vitest'
import { guestsFrom } from './guests'

describe('guests that a browser kept', () => {
  it('are read back as they were', () => {
    const guest = {
      id: 'a',
      name: 'Cox',
      diets: ['vegan'],
      avoid: ['caraway'],
      strength: 'preference',
      likes: ['leek'],
      pieces: 3,
      comes: false,
    }
    expect(guestsFrom(JSON.stringify([guest]))).toEqual([guest])
  })

  it('of an earlier version keep their allergy, and have no likes yet', () => {
    const [a, b] = guestsFrom(
      JSON.stringify([
        {
          id: 'a',
          name: 'A',
          diets: ['nut-free'],
          avoid: [],
          allergy: true,
          likes: 'pies',
          pieces: 2,
          comes: true,
        },
        { id: 'b', name: 'B', diets: [], avoid: [], allergy: false, likes: '', pieces: 4, comes: true },
      ]),
    )
    expect(a).toMatchObject({ strength: 'allergy', likes: [], diets: ['nut-free'] })
    expect(b).toMatchObject({ strength: 'intolerance', pieces: 4 })
  })

  it.each(['', 'null', '{', '{"a":1}', '[null,3,{"name":"no id"}]'])(
    'that cannot be read are nobody: %s',
    (text) => {
      expect(guestsFrom(text)).toEqual([])
    },
  )

  it('never eat no pieces', () => {
    expect(guestsFrom('[{"id":"a","pieces":0}]')[0]!.pieces).toBe(2)
  })
})
