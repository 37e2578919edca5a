import { describe, expect, it } from 'vitest'
import { withoutNarrator } from './narrated'

const LEADS = [
  'Then ',
  'Next, ',
  'And then I ',
  'I always ',
  'We ',
  "You'll want to ",
  'You need to ',
  "Let's ",
  'Go ahead and ',
  'Then you just go ahead and ',
  'After that I ',
  'Once that is done, ',
  'The next step is to ',
  'Make sure to ',
  'Finally, ',
  'So now we ',
]

describe('work that is told by somebody', () => {
  it.each(LEADS)('"%s…"', (lead) => {
    for (const work of ['fry the onion in the oil', 'knead for 10 minutes', 'divide the dough into 8'])
      expect(withoutNarrator(`${lead}${work}.`)).toBe(`${work}.`)
  })

  it.each([
    'I get about 16 out of it.',
    'You can also fry them in plenty of oil.',
    'Then 180 °C for 20 minutes.',
    'We love these with soup.',
    'Fry the onion.',
  ])('"%s" stays as it is', (text) => {
    expect(withoutNarrator(text)).toBe(text)
  })
})
