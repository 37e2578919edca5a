import { describe, expect, it } from 'vitest'
import { clausesOf, sentencesOfStep } from './sentences'

const plain = (step: string) => sentencesOfStep(step).map((sentence) => sentence.replace(/[.;!]+$/, ''))

describe('the sentences of a step', () => {
  it.each([
    ['Fry the onion 5 min - add the mince - cool', ['Fry the onion 5 min', 'add the mince', 'cool']],
    ['Knead well! Divide into 12! Bake 20 minutes!!', ['Knead well', 'Divide into 12', 'Bake 20 minutes']],
    ['Fry 5 min. on high heat. Cool', ['Fry 5 min on high heat', 'Cool']],
    ['Cook 2 min. per side', ['Cook 2 min per side']],
    ['fry the onion 5 min. add the mince', ['fry the onion 5 min', 'add the mince']],
    ['steam 10 min. or boil 6 min for soup', ['steam 10 min', 'or boil 6 min for soup']],
    ['Bake 25 min. @ 190', ['Bake 25 min at 190']],
  ])('%s', (step, sentences) => {
    expect(plain(step).map((one) => one.replace(/\s+/g, ' '))).toEqual(sentences)
  })

  it('keeps a label in front of its work', () => {
    expect(plain('Filling - fry the onion')).toHaveLength(1)
  })

  it('cuts no roll off its number', () => {
    expect(clausesOf('Cut each into 5 cm pieces (6 per roll).')).toEqual([
      'Cut each into 5 cm pieces (6 per roll).',
    ])
  })
})
