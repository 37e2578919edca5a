import { describe, expect, it } from 'vitest'
import { inPart, read, recipe } from '../../test/readText'

const fillingOf = (line: string) =>
  read(line, 'Mix. Fill. Bake 20 minutes at 200C.')
    .parts.filter(({ kind }) => kind === 'filling')
    .flatMap(({ lines }) =>
      lines.map(({ foodId, grams }) => `${foodId} ${Math.round((grams ?? 0) * 10) / 10}`),
    )
    .join(', ')

describe('lines as they are typed', () => {
  it.each([
    ['1/2 tsp chilli (I sometimes use a bit more)', 'chilli-powder 0.9'],
    ['1 tbsp fennel, crushed (adjust)', 'fennel-seed 5.8'],
    ['cinnamon and paprika = 1/2 tsp each', 'cinnamon 1.3, paprika 1.2'],
    ['1/2 cup water approx (I use more)', 'water 120'],
    ['two 1/2 cups flour', 'plain-flour 312.5'],
    ['one T. oil', 'sunflower-oil 13.6'],
    ['small potato, boiled & diced', 'boiled-potato 100'],
    ['medium carrot, grated', 'carrot 70'],
    ['ricotta:150g', 'ricotta 150'],
    ['1 onion, 1 tsp cumin, salt and chilli to taste', 'onion 110, cumin 2.1, salt 1, green-chilli 5'],
    ['keema (mutton mince) 250 gm', 'minced-lamb 250'],
    ['block of shortcrust 500', 'shortcrust-pastry 500'],
    ['2 tsp bread machine yeast', 'instant-yeast 6.2'],
    ['g.g. paste 1 tbsp', 'ginger-garlic-paste 15'],
    ['Saunf 1 tsp, Ginger green chilli paste 1 tbsp', 'fennel-seed 2, ginger 4, green-chilli 4.5'],
  ])('%s', (line, wanted) => {
    expect(fillingOf(line)).toBe(wanted)
  })
})

describe('texts as they are copied', () => {
  it('reads a table whose first line looks like a part', () => {
    const text =
      'CHICKEN PARCELS\nIngredients\tQuantity\nFilo pastry\t8 sheets\nCooked chicken\t250 g\nGrated cheese\t60 g\n\n1\tHeat the oven to 190°C.\n2\tMix the chicken and cheese.\n3\tFill, fold and bake 20 minutes. Makes 8.'
    expect(inPart(text, 'filling')).toEqual(['cooked-chicken 250', 'cheddar 60'])
    expect(recipe(text).method).toHaveLength(3)
    expect(recipe(text).pieces).toBe(8)
  })

  it('takes off who sent a message, and when', () => {
    const text = [
      'Buns',
      'Dough',
      '300 g flour',
      '160 ml water',
      'Filling',
      '200 g feta',
      'Makes 8. Bake 20 min.',
    ]
    const sent = text.map((row) => `21/11/2026, 18:04 - Mum: ${row}`).join('\n')
    expect(inPart(sent, 'shell')).toEqual(['plain-flour 300', 'water 160'])
    expect(inPart(sent, 'filling')).toEqual(['feta 200'])
  })

  it('goes on to the next part within a row', () => {
    const text =
      'Pasties\nDough: 300 g flour, 150 g butter, 60 ml water, Filling: 300 g potato, 1 onion\nBake 30 min.'
    expect(inPart(text, 'shell')).toEqual(['plain-flour 300', 'butter 150', 'water 60'])
    expect(inPart(text, 'filling')).toEqual(['potato 300', 'onion 110'])
  })

  it('knows "step by step" for a heading of the method', () => {
    const text =
      'Buns\n300 g flour\n160 ml water\n200 g feta\n\nStep by step\nSprinkle of love. Bake 20 min at 200C.'
    expect(recipe(text).parts.flatMap(({ lines }) => lines)).toHaveLength(3)
  })
})

describe('lists that are told', () => {
  it.each([
    [
      'so i take some cooked chicken maybe 250 grams chop it fine with half a red onion',
      'cooked-chicken 250',
    ],
    [
      'I had about 300 g leftover roast chicken, shredded it and mixed it with 100 g cream cheese',
      'cooked-chicken 300',
    ],
  ])('%s', (told, wanted) => {
    const text = `${told}. Rolled out a pack of shortcrust, cut six rounds, filled them and baked them 25 minutes at 190.`
    expect(inPart(text, 'filling')).toContain(wanted)
    expect(recipe(text).pieces).toBe(6)
  })

  it('keeps what a told list only names', () => {
    const text =
      'yesterday I made dumplings. dough was 300g flour and 150ml hot water, kneaded 10 min and rested half an hour. filling: 250g pork mince, 2 tbsp soy, ginger. rolled it thin, cut circles, got 36. steamed them 10 min.'
    const { title, pieces, cooking, facts } = recipe(text)
    expect({ title, pieces }).toEqual({ title: 'Dumplings', pieces: 36 })
    expect(cooking).toMatchObject({ way: 'steam', minutes: 10 })
    expect(inPart(text, 'shell')).toEqual(['plain-flour 300', 'water 150'])
    expect(inPart(text, 'filling')).toEqual(['minced-pork 250', 'soy-sauce 32', 'ginger 10'])
    expect(facts.map(({ kind, low }) => `${kind} ${low}`)).toEqual(
      expect.arrayContaining(['knead-minutes 10', 'rest-minutes 30']),
    )
  })
})
