import { describe, expect, it } from 'vitest'
import { fittingAdvice } from './fitsTheWay'

const here = { family: 'firm', springs: true, melted: false, said: new Set<string>() } as const

describe('an advice on a dough', () => {
  const bran = 'Skin browns sooner; steam about half as long again'

  it('speaks of the time in the steamer to who steams', () => {
    expect(fittingAdvice(bran, { ...here, way: 'steam' })).toBe('steam about half as long again')
    expect(fittingAdvice('In the steamer about half as long again', { ...here, way: 'steam' })).not.toBe('')
  })

  it('leaves the covered pan its own time, and keeps what holds there', () => {
    expect(fittingAdvice(bran, { ...here, way: 'brown-and-steam' })).toBe('')
    expect(fittingAdvice('Steam under a lid until dry', { ...here, way: 'brown-and-steam' })).toBe(
      'Steam under a lid until dry',
    )
  })

  it('tells a fryer of the colour alone', () => {
    expect(fittingAdvice(bran, { ...here, way: 'shallow-fry' })).toBe('Skin browns sooner')
  })

  it('keeps the rest that is half as long again, however it is cooked', () => {
    const rest = 'rest half as long again before rolling'
    expect(fittingAdvice(rest, { ...here, way: 'bake' })).toBe(rest)
  })
})
