import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { pastedLines } from './pasted'
import { readRecipe } from './readRecipe'
import { plainSpelling } from './spellings'

const textsOf = (text: string) => pastedLines(text).map((line) => line.text)

describe('the lines of a pasted text', () => {
  it('are in small letters where all of them shout, but for a tablespoon', () => {
    expect(
      textsOf(
        'LEEK PIES\n\nDOUGH\n250 G FLOUR\n2 T OIL\nSALT TO TASTE\n\nRUB IN. CHILL 20 MINUTES. ROLL OUT',
      ),
    ).toEqual(
      [
        'Leek pies',
        'Dough',
        '250 G Flour',
        '2 T Oil',
        'Salt to taste',
        'Rub in. Chill 20 minutes. Roll out',
      ].map((line) => line.replace(/ (G|Oil|Flour)\b/g, (word) => word.toLowerCase())),
    )
  })

  it('keep their capitals where only headings have them', () => {
    const text =
      'Leek pies\n\nDOUGH\n250 g flour\n125 g butter\n60 ml water\n\nMETHOD\nRub in, chill and roll out.'
    expect(textsOf(text)).toContain('DOUGH')
  })

  it('stand apart only where a page with an empty line below every line has two', () => {
    const page =
      'Pies\n\n\nDough\n\n250 g flour\n\n125 g butter\n\n1 egg\n\n\nFilling\n\n2 leeks\n\n100 g feta\n\n1 tsp dill'
    expect(
      pastedLines(page)
        .filter(({ apart }) => apart)
        .map(({ text }) => text),
    ).toEqual(['Dough', 'Filling'])
    expect(pastedLines('Pies\n\nDough\n250 g flour\n125 g butter').filter(({ apart }) => apart)).toHaveLength(
      1,
    )
  })

  it('begin with the number that stood above them', () => {
    expect(textsOf('Pies\n1\nMix the flour and the water.\n2\nRoll out and fill them all.')).toEqual([
      'Pies',
      '1. Mix the flour and the water.',
      '2. Roll out and fill them all.',
    ])
    expect(textsOf('Pies\n1\nlarge onion'), 'an onion is no step').toEqual(['Pies', '1', 'large onion'])
  })

  it.each([
    ['in front', 'Dough\n250 g\nflour\n125 g\nbutter\n60 ml\nwater\n\nMethod\nMix.'],
    ['behind', 'Dough\nflour\n250 g\nbutter\n125 g\nwater\n60 ml\n\nMethod\nMix.'],
  ])('take the amount that stands on a line of its own %s', (_, text) => {
    expect(textsOf(text)).toEqual(['Dough', '250 g flour', '125 g butter', '60 ml water', 'Method', 'Mix.'])
  })

  it('lose the commas and full stops of a list, and no full stop of the work', () => {
    expect(textsOf('Dough\n250 g flour.\n125 g butter.\n60 ml water.\nSalt.\n\nRub in. Roll out.')).toEqual([
      'Dough',
      '250 g flour',
      '125 g butter',
      '60 ml water',
      'Salt',
      'Rub in. Roll out.',
    ])
    expect(textsOf('250 g flour,\n125 g butter')[0]).toBe('250 g flour')
  })
})

it('knows a title of strokes in any spelling', () => {
  const text =
    'PYAAZ KACHORI | CRISPY TEA TIME SNACK | MAKES 12\n\nDOUGH\n250 G FLOUR\n60 G GHEE\n90 ML WATER\n\nFRY 12 MINUTES.'
  expect(readRecipe(text, foods).recipe).toMatchObject({ title: 'Pyaaz kachori', pieces: 12 })
})

describe('one spelling', () => {
  it.each([
    ['250gms. plain flour', '250 g plain flour'],
    ['flour 550 g. Knead well', 'flour 550 g. Knead well'],
    ['bake at 180 degrees Celsius', 'bake at 180 °C'],
    ['350 deg. fahrenheit', '350 °F'],
    ['a 20-minute simmer', 'a 20 minute simmer'],
    ['for 18 to 20 minutes', 'for 18-20 minutes'],
    ['2 – 3 onions', '2-3 onions'],
    ['bake 180 – 25 minutes', 'bake 180 – 25 minutes'],
    ['from 220 to 240', 'from 220 to 240'],
    ['1 to 1 1/2 cups', '1-1 1/2 cups'],
    ['6 to 6 1/2 c. flour', '6-6 1/2 c. flour'],
    ['1 tsp chilli pd', '1 tsp chilli powder'],
    ['2 oz cream chz', '2 oz cream cheese'],
    ['1 tbsp tom puree', '1 tbsp tomato puree'],
    ['2 cups plain flower', '2 cups plain flour'],
    ['orange flower water', 'orange flower water'],
    ['2 Teaspons PEPER', '2 Teaspoons PEPPER'],
    ['12oz S.R. flour', '12oz self-raising flour'],
    ['airfryer 180', 'air fryer 180'],
  ])('%s', (written, plain) => {
    expect(plainSpelling(written)).toBe(plain)
  })
})
