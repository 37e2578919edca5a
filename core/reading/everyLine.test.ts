import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { AMOUNT_WORDINGS, withPlainAmounts } from './amountsSpelt'
import { ONE_AMOUNT, oneAmountForSeveral } from './oneAmount'
import { readIngredients } from './readIngredient'

/** What a line comes to: each food with its grams, in the order of the foods' names. */
const read = (line: string) =>
  readIngredients(line, foods)
    .map(({ food, line: { grams, name } }) => ({ food: food?.id ?? `unknown: ${name}`, grams }))
    .sort((a, b) => a.food.localeCompare(b.food))

/** The line has to come to the same as these plain ones. */
function expectAs(line: string, plain: readonly string[], digits = 0) {
  const found = read(line)
  const wanted = plain.map((one) => read(one)[0]!).sort((a, b) => a.food.localeCompare(b.food))
  expect(
    found.map(({ food }) => food),
    line,
  ).toEqual(wanted.map(({ food }) => food))
  for (const [at, { grams }] of found.entries()) {
    expect(grams, line).not.toBeNull()
    expect(grams!, line).toBeCloseTo(wanted[at]!.grams!, digits)
  }
}

describe('an amount, however it is said', () => {
  it.each(AMOUNT_WORDINGS.map(({ like, becomes }) => [like, becomes] as const))(
    '"%s" is "%s"',
    (like, becomes) => {
      expect(withPlainAmounts(like)).toBe(becomes)
      // What is in the one form already stays.
      expect(withPlainAmounts(becomes)).toBe(becomes)
    },
  )

  const SAID: readonly (readonly [string, string])[] = [
    ['2-3 tbsp', '2.5 tbsp'],
    ['2 to 3 tbsp', '2.5 tbsp'],
    ['between 2 and 3 tbsp', '2.5 tbsp'],
    ['1½ tbsp', '1.5 tbsp'],
    ['1 and a half tbsp', '1.5 tbsp'],
    ['1 tbsp + 1 tsp', '1.3333 tbsp'],
    ['1 tbsp, plus 1 tsp', '1.3333 tbsp'],
    ['1/3 cup', '0.33333 cup'],
    ['two thirds of a cup', '0.66667 cup'],
    ['1 cup and a half', '1.5 cup'],
    ['1 cup plus 2 tbsp', '1.125 cup'],
    ['1 cup minus 1 tbsp', '0.9375 cup'],
    ['half a pint', '0.5 pint'],
    ['0.25 kg', '250 g'],
    ['quarter of a kilo', '250 g'],
    ['1kg 200g', '1200 g'],
    ['1lb 4oz', '1.25 lb'],
    ['8 ozs', '8 oz'],
    ['200g to 250g', '225 g'],
    ['200/250 g', '225 g'],
    ['250+ g', '250 g'],
    ['200 + 50 g', '250 g'],
    ['max 250 g', '250 g'],
    ['up to 250 g', '250 g'],
    ['two fifty grams', '250 g'],
  ]
  const PLACES: readonly ((amount: string, food: string) => string)[] = [
    (amount, food) => `${amount} ${food}`,
    (amount, food) => `${food} ${amount}`,
    (amount, food) => `${food}: ${amount}`,
    (amount, food) => `${food} - ${amount}`,
    (amount, food) => `${food} (${amount})`,
    (amount, food) => `${food}\t${amount}`,
  ]
  it.each(SAID)('%s, wherever it stands', (said, plain) => {
    for (const food of ['butter', 'milk', 'cheddar', 'chopped parsley'])
      for (const place of PLACES) expectAs(place(said, food), [`${plain} ${food}`])
  })
})

describe('how many of what size, wherever it stands', () => {
  const SIZES = [
    ['small', 'small'],
    ['medium', 'medium'],
    ['large', 'large'],
    ['big', 'large'],
  ] as const
  it.each(SIZES)('%s', (said, size) => {
    for (const food of ['onion', 'potato', 'carrot'])
      for (const line of [
        `${food} - 2 ${said}`,
        `${food} 2 ${said}`,
        `${food}: 2 ${said}, chopped`,
        `${food} (2 ${said})`,
        `${food} (2 ${said}, finely chopped)`,
        `${said} ${food} 2`,
        `${food} ${said} - 2`,
        `${food} (${said}) 2`,
      ])
        expectAs(line, [`2 ${size} ${food}`])
  })

  it.each([
    ['garlic (3 cloves, minced)', '3 cloves garlic'],
    ['garlic, 3 cloves, minced', '3 cloves garlic'],
    ['parsley (1/2 bunch)', '1/2 bunch parsley'],
    ['tomatoes (2, chopped)', '2 tomatoes'],
    ['eggs - 3 hard-boiled', '3 eggs, boiled'],
    ['flour (00) 300 g', '300 g flour'],
    ['flour 00 - 300 g', '300 g flour'],
    ['flour type 550 500 g', '500 g flour'],
    ['flour 55 g', '55 g flour'],
    ['550 flour', '550 g flour'],
    ['300 g "00" flour', '300 g flour'],
    ['500 g type 550 flour', '500 g flour'],
    ['5 spice powder 1 tsp', '1 tsp five spice'],
    ['cold water to mix, 5 or 6 tbsp', '5.5 tbsp water'],
  ])('%s', (line, plain) => {
    expectAs(line, [plain])
  })

  it('is of both that make a paste', () => {
    expect(readIngredients('2 tbsp flour + 3 tbsp water (paste for sealing)', foods)).toMatchObject([
      { food: { id: 'plain-flour' }, read: { purpose: 'finish' } },
      { food: { id: 'water' }, read: { purpose: 'finish' } },
    ])
  })
})

describe('a food and what is done to it in another', () => {
  const FRIED = ['fried in', 'softened in', 'sweated in', 'fried until golden in', 'cooked for 5 minutes in']
  const BRACKETS = ['onion (#', 'onion, chopped (#', 'onion, chopped, #', 'onion #', 'onion - #'] as const
  it.each(FRIED)('an onion %s its fat', (how) => {
    for (const frame of BRACKETS)
      for (const fat of ['1 tbsp olive oil', 'a knob of butter'])
        expectAs(`1 ${frame.replace('#', `${how} ${fat}`)}${frame.includes('(') ? ')' : ''}`, [
          '1 onion',
          fat,
        ])
  })

  it.each(['dissolved in', 'mixed to a paste with', 'stirred into', 'slaked in', 'whisked into', '+'])(
    'a starch %s water',
    (how) => {
      expectAs(`1 tbsp cornflour ${how} 3 tbsp cold water`, ['1 tbsp cornflour', '3 tbsp cold water'])
      expectAs(`200 g leeks, 1 tbsp cornflour ${how} 3 tbsp water`, [
        '200 g leeks',
        '1 tbsp cornflour',
        '3 tbsp water',
      ])
    },
  )

  it('stands apart from what is only beside it', () => {
    for (const joint of [', ', ' + ', '; ', ' / ', ' | ', ' · ', ' as well as ', ', then ', ','])
      expectAs(`200 g flour${joint}50 g butter${joint}2 eggs`, ['200 g flour', '50 g butter', '2 eggs'])
  })
})

describe('one amount for several foods', () => {
  it.each(ONE_AMOUNT.map(({ like, each }) => [like, each] as const))('"%s"', (like, each) => {
    const parts = oneAmountForSeveral(like, foods)!
    expect(parts).toHaveLength(2)
    // A share that is reckoned is said; an amount that the line states for each is not.
    expect(parts.every(({ told }) => (told === '') === each)).toBe(true)
  })

  it.each([
    ['30 g parsley, dill and mint', ['10 g parsley', '10 g dill', '10 g mint']],
    ['a mix of walnuts, almonds and pistachios (150 g)', ['50 g walnuts', '50 g almonds', '50 g pistachios']],
    ['100 g ham and as much cheddar', ['100 g ham', '100 g cheddar']],
    ['100 g ham, ditto cheddar', ['100 g ham', '100 g cheddar']],
    ['swede and potato, 300 g in total', ['150 g swede', '150 g potato']],
    ['300 g swede and potato, diced (half and half)', ['150 g swede', '150 g potato']],
  ])('"%s"', (line, plain) => {
    expectAs(line, plain)
  })

  it('is no share of what is only seasoned', () => {
    expect(oneAmountForSeveral('200 g flour, salt and pepper', foods)).toBeNull()
    expect(oneAmountForSeveral('2 onions, carrots and leeks', foods)).toBeNull()
  })
})

describe('an amount in front of two foods that are not alike', () => {
  const FIRST = [
    '1 egg',
    '1 egg yolk',
    '2 onions',
    '1 leek',
    '2 tbsp oil',
    '200 g feta',
    '100 ml milk',
    '1 tin tuna',
  ]
  const SECOND = ['salt', 'pepper', 'dill', 'sesame seeds', 'nigella', 'cinnamon', 'garlic', 'thyme']
  const JOINTS = [' + ', ' and ', ' & ', ', ', ' with ', ' plus ']
  it.each(FIRST)('%s', (first) => {
    for (const second of SECOND)
      for (const joint of JOINTS) {
        // Feta with pepper is sold so, and garlic is weighed as cheese is.
        if (first.includes('feta') && second === 'garlic') continue
        expectAs(`${first}${joint}${second}`, [first, second])
      }
  })

  it('is shared by what is alike', () => {
    expectAs('200 g ham and cheddar', ['100 g ham', '100 g cheddar'])
    expectAs('100 g almonds and raisins', ['50 g almonds', '50 g raisins'])
  })
})

describe('a choice, however it is allowed', () => {
  const ALLOWED: readonly string[] = [
    'A X or Y',
    'A X, or Y',
    'A X (or Y)',
    'A X/Y',
    'X or Y, A',
    'X or Y (A)',
    'X A or Y',
    'A X (Y works too)',
    'A X – Y is fine too',
    'A X, you can also use Y',
    'A X (or use Y)',
    'A X or Y instead',
    'A X (sub Y)',
    'A X, or substitute Y',
    'A X (Y if vegan)',
    'A X (for vegan: Y)',
    'A X or even Y',
    'A X, failing that Y',
    "A X (if you can't get it, Y)",
    'A X if available, otherwise Y',
    'A X or Y, whichever you have',
    'A X (Y for a dairy-free version)',
  ]
  it.each(ALLOWED)('%s', (frame) => {
    for (const [food, other] of [
      ['butter', 'margarine'],
      ['milk', 'oat milk'],
      ['honey', 'maple syrup'],
      ['spinach', 'kale'],
    ] as const) {
      const line = frame.replace('A', '100 g').replace('X', food).replace('Y', other)
      const found = readIngredients(line, foods)
      expect(found, line).toHaveLength(1)
      expect(found[0]!.food?.id, line).toBe(readIngredients(`100 g ${food}`, foods)[0]!.food?.id)
      expect(found[0]!.line.grams, line).toBe(100)
      const [choice] = found[0]!.line.choices
      expect(choice?.foodId, line).toBe(readIngredients(`100 g ${other}`, foods)[0]!.food?.id)
      expect(choice?.grams, line).toBe(100)
      // What was typed is what stands on the line.
      expect(found[0]!.line.raw, line).toBe(line)
    }
  })

  it.each(['A X, Y or Z', 'X, Y or Z, A', 'A X/Y/Z', 'A X / Y / Z', 'A X (or Y, Z)', 'A X or Y or Z'])(
    '%s: any of three',
    (frame) => {
      for (const names of [
        ['butter', 'lard', 'margarine'],
        ['spinach', 'kale', 'chard'],
      ]) {
        const line = names.reduce(
          (text, name, at) => text.replace('XYZ'[at]!, name),
          frame.replace('A', '100 g'),
        )
        const found = readIngredients(line, foods)
        const ids = names.map((name) => readIngredients(`100 g ${name}`, foods)[0]!.food?.id)
        expect(found, line).toHaveLength(1)
        expect([found[0]!.food?.id, ...found[0]!.line.choices.map(({ foodId }) => foodId)], line).toEqual(ids)
        expect(found[0]!.line.grams, line).toBe(100)
      }
    },
  )

  it('is none where "or" says how much', () => {
    for (const line of [
      '1 tsp salt, or to taste',
      '120 ml water, or as needed',
      '1 chilli, or more if you like',
    ])
      expect(readIngredients(line, foods)[0]!.line.choices, line).toEqual([])
  })

  it('may be the same food of the other kind', () => {
    const [milk] = readIngredients('200 g butter (vegan if you like)', foods)
    expect(milk!.food?.id).toBe('butter')
    expect(milk!.line.choices.map(({ foodId }) => foodId)).toEqual(['plant-block'])
  })
})

describe('what is said behind a food and its amount', () => {
  it.each([
    ['3 onions, fried in 1/4 cup oil until brown', ['3 onions', '1/4 cup oil']],
    ['1 onion fried in 2 tbsp butter until golden, cooled', ['1 onion', '2 tbsp butter']],
    ['1 onion, fried in 2 tbsp oil for 10 minutes', ['1 onion', '2 tbsp oil']],
    ['1/3 cup milk or as required', ['1/3 cup milk']],
    ['100 ml water, or more if needed', ['100 ml water']],
    ['1 cup sugar, 1/2 cup water, boiled to one thread', ['1 cup sugar', '1/2 cup water']],
    ['1 bunch chard (about 300 g leaves), shredded', ['300 g chard']],
    ['1 onion, half left whole and half sliced', ['1 onion']],
    ['2 carrots, one grated, one diced', ['2 carrots']],
    ['1 old roll soaked in milk', ['1 bread roll']],
    ['Potatoes 2 medium boiled mashed', ['2 medium potatoes, boiled']],
    ['Potatoes 2 boiled & mashed', ['2 potatoes, boiled']],
    ['Eggs 2 hard boiled, chopped', ['2 eggs, boiled']],
    ['Ready made puff pastry sheets – 6 squares', ['300 g puff pastry']],
    ['24 square wonton wrappers', ['24 wonton wrappers']],
    ['3 cloves garlic, 2 cm ginger', ['3 cloves garlic', '2 cm ginger']],
    ['1 carrot, 2 cm pieces', ['1 carrot']],
    ['1/4 tsp chilli powder, coriander, salt', ['1/4 tsp chilli powder', 'fresh coriander', 'salt']],
    ['1 tsp oregano', ['1 tsp dried oregano']],
    ['2 tins chickpeas (drained 480 g)', ['480 g canned chickpeas']],
    ['2 duck legs confit (meat about 250 g)', ['250 g duck confit']],
    ['200 g peppers', ['200 g bell pepper']],
    ['1 jar peppers (350 g)', ['350 g bell pepper']],
    ['5 g pepper', ['5 g black pepper']],
  ])('%s', (line, plain) => {
    expectAs(line, plain)
  })
})
