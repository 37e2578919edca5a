import { describe, expect, it } from 'vitest'
import { tidy } from './tidy'

const rowsOf = (text: string) => tidy(text).map(({ text: row }) => row)

describe('marks that carry no words', () => {
  it.each([
    '250 g flour*',
    '250 g flour **',
    '250 g flour¹',
    '250 g flour [2]',
    '250 g flour (see note 1)',
    '250 g flour - see notes',
    '250 g flour...',
    '250 g flour…',
    '250 g flour (910 kcal)',
    '250 g flour - 910 kcal',
    '**250 g flour**',
    '**250 g** flour',
    '<li>250 g flour</li>',
  ])('%s', (row) => {
    expect(rowsOf(row)).toEqual(['250 g flour'])
    expect(tidy(row)[0]!.marked).toBe(false)
  })

  it('leaves what is said of the whole', () => {
    expect(rowsOf('1 serving (310 kcal)')).toEqual(['1 serving (310 kcal)'])
    expect(rowsOf('310 kcal per piece')).toEqual(['310 kcal per piece'])
  })

  it('tells a heading in bold from lines in bold', () => {
    const marked = (text: string) =>
      tidy(text)
        .filter((row) => row.marked)
        .map(({ text: row }) => row)
    expect(marked('**Dough**\n250 g flour\n120 g water\n5 g salt')).toEqual(['Dough'])
    expect(marked('**salt**\n**pepper**\n**nutmeg**\n**Filling:**')).toEqual(['Filling:'])
  })
})
