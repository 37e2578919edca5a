import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const fillingOf = (line: string) =>
  readRecipe(
    `Buns\nMakes 12\n\nDough\n300 g plain flour\n160 ml water\n\nFilling\n${line}\n\nMethod\nMix. Fill. Bake 20 minutes at 200C.`,
    foods,
  )
    .recipe.parts.filter(({ kind }) => kind === 'filling')
    .flatMap(({ lines }) =>
      lines.map(({ foodId, grams }) => `${foodId} ${Math.round((grams ?? 0) * 10) / 10}`),
    )
    .join(', ')
const read = (text: string) => readRecipe(text, foods).recipe
const ofKind = (text: string, kind: string) =>
  read(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId, grams }) => `${foodId} ${Math.round(grams ?? 0)}`))

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
    expect(ofKind(text, 'filling')).toEqual(['cooked-chicken 250', 'cheddar 60'])
    expect(read(text).method).toHaveLength(3)
    expect(read(text).pieces).toBe(8)
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
    expect(ofKind(sent, 'shell')).toEqual(['plain-flour 300', 'water 160'])
    expect(ofKind(sent, 'filling')).toEqual(['feta 200'])
  })

  it('goes on to the next part within a row', () => {
    const text =
      'Pasties\nDough: 300 g flour, 150 g butter, 60 ml water, Filling: 300 g potato, 1 onion\nBake 30 min.'
    expect(ofKind(text, 'shell')).toEqual(['plain-flour 300', 'butter 150', 'water 60'])
    expect(ofKind(text, 'filling')).toEqual(['potato 300', 'onion 110'])
  })

  it('knows "step by step" for a heading of the method', () => {
    const text =
      'Buns\n300 g flour\n160 ml water\n200 g feta\n\nStep by step\nSprinkle of love. Bake 20 min at 200C.'
    expect(read(text).parts.flatMap(({ lines }) => lines)).toHaveLength(3)
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
    expect(ofKind(text, 'filling')).toContain(wanted)
    expect(read(text).pieces).toBe(6)
  })

  it('keeps what a told list only names', () => {
    const text =
      'yesterday I made dumplings. dough was 300g flour and 150ml hot water, kneaded 10 min and rested half an hour. filling: 250g pork mince, 2 tbsp soy, ginger. rolled it thin, cut circles, got 36. steamed them 10 min.'
    const { title, pieces, cooking, facts } = read(text)
    expect({ title, pieces }).toEqual({ title: 'Dumplings', pieces: 36 })
    expect(cooking).toMatchObject({ way: 'steam', minutes: 10 })
    expect(ofKind(text, 'shell')).toEqual(['plain-flour 300', 'water 150'])
    expect(ofKind(text, 'filling')).toEqual(['minced-pork 250', 'soy-sauce 32', 'ginger 10'])
    expect(facts.map(({ kind, low }) => `${kind} ${low}`)).toEqual(
      expect.arrayContaining(['knead-minutes 10', 'rest-minutes 30']),
    )
  })
})

describe('what is counted, named and strewn', () => {
  const made = (text: string) => {
    const { pieces, servings, servingsStated, title, shape } = read(text)
    return { pieces, servings: servingsStated ? servings : null, title, shape }
  }
  it.each<[string, object]>([
    [
      'Empanadillas\nIngredients (for 20):\n500 g flour\n250 ml water\n200 g tuna\nFill, fold, bake 20 min.',
      { pieces: 20, servings: null },
    ],
    [
      'Moong chilla\nServes 3 (6 chillas)\n1 cup moong dal\n150 g paneer\nSpread, fill, fold. Cook 2 min a side.',
      { pieces: 6, servings: 3 },
    ],
    [
      'Bao\nDough\n500 g flour\n260 ml milk\nFilling\n500 g mushrooms\n\nKnead.\n16 pieces, roll out, 1 tbsp filling, pleat. Steam 12 min.',
      { pieces: 16 },
    ],
    [
      'Parcels\n6 sheets filo\n150 g feta\nCut each sheet into 4. Butter and layer them in threes. Fill, scrunch. Bake 20 min.',
      { pieces: 8 },
    ],
    [
      'Chicken wraps that you toast\n2 tortilla wraps\n180 g chicken breast\nFry the chicken. Fold sides in and roll. Toast seam down in a dry pan.',
      { shape: 'roll' },
    ],
    [
      'Burek\n400 g filo\n400 g spinach\nFill, roll to a long sausage, coil in tin. Bake 25 min at 190C.',
      { shape: 'coil' },
    ],
    [
      'Steamed pudding... I mean pasties\n500 g shortcrust\n400 g beef\nFill, crimp. Bake 40 min.',
      { title: 'Pasties', shape: 'half-moon' },
    ],
    [
      'Chilla rolls? No - Stuffed chilla\n1 cup moong dal\n150 g paneer\nSpread, fill, fold.',
      { title: 'Stuffed chilla' },
    ],
    [
      'my keto empanada thing\n170 g mozzarella\n85 g almond flour\n250 g mince\nFill, fold, bake.',
      { title: 'Keto empanada' },
    ],
    [
      'Veg pasties\n500 g shortcrust\n300 g swede\nMix. pastry in 5, saucer size, fill, crimp. 190 45 min.',
      { pieces: 5 },
    ],
    [
      'I made pork buns at the weekend. Dough was 400 g flour and 220 g milk, kneaded 8 minutes. I fried 400 g pork mince. Divided the dough into 10, filled them and steamed them 12 min.',
      { title: 'Pork buns', pieces: 10 },
    ],
  ])('%s', (text, wanted) => {
    expect(made(text)).toMatchObject(wanted)
  })

  it('keeps what a corrected title said first', () => {
    const { notes } = read(
      'Steamed pudding... I mean pasties\n500 g shortcrust\n400 g beef\nFill. Bake 40 min.',
    )
    expect(notes.map(({ text }) => text).join(' ')).toContain('Steamed pudding')
  })

  it('strews what nobody knows where the method says so', () => {
    const text =
      'Kolaches\nDough\n500 g flour\n250 ml milk\nFilling\n340 g dried apricots\nPopsika:\n62 g flour\n50 g sugar\nKnead. Make 36 balls, fill with apricot, sprinkle with popsika. Bake 15 min.'
    expect(ofKind(text, 'finish')).toEqual(['plain-flour 62', 'sugar 50'])
  })

  it('cuts work that runs on from comma to comma', () => {
    const text =
      'Burek\n400 g yufka\n500 g potatoes\n200 g cheese\nBoil potatoes, mash, mix with cheese and parsley, cut yufka in triangles, brush with oil, roll like cigars, arrange, sprinkle. 180 fan for 30 min.'
    expect(read(text).cooking).toMatchObject({ way: 'bake', minutes: 30, andThen: null })
  })
})
