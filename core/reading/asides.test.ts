import { describe, expect, it } from 'vitest'
import { withoutExcepted } from './asides'

describe('what a sentence leaves out of what it speaks of', () => {
  it.each([
    ['Mix everything except the pastry, egg and seeds.', 'Mix everything  .'],
    ['Mix all but the cheese, chill and roll.', 'Mix all  , chill and roll.'],
    ['Blend everything apart from the herbs and nuts until smooth', 'Blend everything   until smooth'],
    ['Mix everything except egg + seeds. Roll.', 'Mix everything  . Roll.'],
    ['Fry the rest without the feta, add the egg', 'Fry the rest  , add the egg'],
  ])('%s', (text, rest) => {
    expect(withoutExcepted(text)).toBe(rest)
  })

  it('takes nothing from a sentence that leaves nothing out', () => {
    expect(withoutExcepted('Add the egg but keep a little for the top')).toBe(
      'Add the egg but keep a little for the top',
    )
  })
})
