import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'
import { readRecipe } from './readRecipe'

/** A line's foods with their grams: "salt 1.5 | black-pepper 1.2". */
const said = (raw: string) =>
  readIngredients(raw, foods)
    .map(
      ({ line }) =>
        `${line.foodId ?? `?${line.name}`} ${line.grams === null ? '-' : Math.round(line.grams * 10) / 10}`,
    )
    .join(' | ')

describe('amounts as cooks write them', () => {
  it.each([
    ['salt n pepper', 'salt 4 | black-pepper 1'],
    ['onion 1 med', 'onion 110'],
    ['2 tbsp oil per batch (2 batches)', 'sunflower-oil 54.4'],
    ['a few thyme sprigs', 'thyme 3'],
    ['four potatoes boiled half cup peas one tsp cumin seed', 'boiled-potato 600 | peas 72.5 | cumin 2.1'],
    ['1 lb minced beef 80/20', 'minced-beef-20 453.6'],
    ['500 g beef mince 5%', 'lean-minced-beef 500'],
    ['150 g Greek yogurt 0%', 'greek-yogurt-0 150'],
    ['milk 1.5% 250 ml', 'semi-skimmed-milk 255'],
    ['100 g melted butter for brushing the layers', 'butter 100'],
    ['one fourth tsp salt', 'salt 1.5'],
    ['1/4th tsp salt', 'salt 1.5'],
    ['one and a half teaspoons salt', 'salt 9'],
    ['three fourth cup sugar', 'sugar 150'],
    ['2 cups plus 2 tbsp sugar', 'sugar 425'],
    ['1 cup, plus another half cup sugar', 'sugar 300'],
    ['900 g - 1 kg potatoes', 'potato 950'],
    ['two hundred and fifty grams of flour', 'plain-flour 250'],
    ['500 flour', 'plain-flour 500'],
    ['10 salt', 'salt 10'],
    ['200ish g leeks', 'leek 200'],
    ['pinch salt', 'salt 0.4'],
    ['heaped teaspoon of salt', 'salt 9'],
    ['squeeze of lemon', 'lemon-juice 5'],
    ['2 sprigs thyme', 'thyme 2'],
    ['a packet (270 g) filo', 'filo 270'],
    ['Onion 2', 'onion 220'],
    ['Potatoes (boiled, peeled) 4 medium', 'boiled-potato 600'],
    ['1 pkt gyoza wrappers (30)', 'dumpling-wrapper 270'],
    ['1 tsp fennel', 'fennel-seed 2'],
    ['700 g potatoes boiled + mashed', 'boiled-potato 700'],
    ['200 g whole wheat flour (atta)', 'atta 200'],
    ['caster sugar 40 g', 'sugar 40'],
    ['cabbage 500 g', 'cabbage 500'],
    ['1 kg 100 g flour', 'plain-flour 1100'],
    ['5 med potatoes', 'potato 850'],
    ['pinch of chilli', 'chilli-powder 0.2'],
    ['1 small butternut squash (roast 45 min at 200, flesh about 500g)', 'butternut 500'],
    ['80 g garlic butter', 'goat-butter 80'],
    ['1 tsp hot pepper flakes', 'chilli-powder 1.8'],
    ['2 tsp dhania seeds', 'coriander-seed 3.6'],
    ['1/2 cup enchilada sauce', 'enchilada-sauce 129.5'],
    ['1 can (8 ct) jumbo biscuits', 'biscuit-dough 464'],
  ])('%s', (raw, expected) => {
    expect(said(raw)).toBe(expected)
  })

  it.each([
    ['1/2 tsp each salt and pepper', 'salt 3 | black-pepper 1.2'],
    ['1 tsp each cumin and coriander, 3 g salt', 'cumin 2.1 | coriander-seed 1.8 | salt 3'],
    ['a pinch each of salt and sugar', 'salt 0.4 | sugar 0.3'],
    ['cumin, coriander powder and turmeric, 1 tsp each', 'cumin 2.1 | coriander-seed 1.8 | turmeric 3'],
    ['salt, pepper and chilli powder', 'salt 4 | black-pepper 1 | chilli-powder 1'],
    ['mixed herbs and chilli flakes', 'dried-herbs 1 | chilli-powder 1'],
    ['1 tsp ginger and green chilli paste', 'ginger 1.5 | green-chilli 1.5'],
    ['100 g ham and cheese', 'ham 50 | cheddar 50'],
    ['5 oz butter and cold water', 'butter 141.7 | water 30'],
    ['2 parts soy drink to 1 part maple syrup', 'soy-drink 30 | maple-syrup 15'],
    ['zest and juice of 1 lemon', 'lemon-zest 5 | lemon-juice 45'],
    ['1 lemon, zested', 'lemon-zest 5'],
    ['2 lemons (juiced)', 'lemon-juice 90'],
    ['1 cube chicken stock', 'stock-cube-meat 10'],
    ['4 dry red chillies', 'dried-chilli 2'],
    ['1 egg beaten with a splash of milk', 'egg 50 | milk 10'],
    ['S&P', 'salt 4 | black-pepper 1'],
    ['nutmeg, S&P (go easy on the salt)', 'nutmeg 1 | salt 4 | black-pepper 1'],
    ['400 g onion, S&P generous', 'onion 400 | salt 4 | black-pepper 1'],
    ['Capsicum & onion, 1/4 cup each, chopped', 'red-pepper 37.3 | onion 40'],
    [
      '300g s/r flour 150g butter 1 egg 2tbsp water',
      'self-raising-flour 300 | butter 150 | egg 50 | water 30',
    ],
    ['1 onion fried in 2 tbsp butter', 'onion 110 | butter 28.4'],
    ['300g flour / 5g yeast / 20g sugar', 'plain-flour 300 | instant-yeast 5 | sugar 20'],
  ])('makes several of "%s"', (raw, expected) => {
    expect(said(raw)).toBe(expected)
  })

  it.each([
    '1 onion, finely chopped',
    '2 eggs, beaten',
    '1 carrot, 2 cm dice',
    '1 large onion, chopped or sliced',
    '200 g prawns, half chopped',
    '150 g cheese, cheddar',
  ])('leaves "%s" one line', (raw) => {
    expect(readIngredients(raw, foods)).toHaveLength(1)
  })

  it('says what it shared out, took for grams or for a tablespoon', () => {
    const codes = (raw: string) =>
      readIngredients(raw, foods).flatMap(({ line }) =>
        line.notes.filter((note) => note.level === 'check').map((note) => note.code),
      )
    expect(codes('100 g ham and cheese')).toEqual(['shared-amount', 'shared-amount'])
    expect(codes('500 flour')).toEqual(['bare-number'])
    expect(codes('2 parts soy drink to 1 part maple syrup')).toEqual(['ratio', 'ratio'])
  })

  it('shares out what a line needs twice, and keeps what is coloured with a spice', () => {
    const grams = (raw: string) =>
      readIngredients(raw, foods).map(({ line, read }) => [line.foodId, line.grams, read.purpose])
    expect(grams('50 g caster sugar, plus 10 g for sprinkling')).toEqual([
      ['sugar', 50, null],
      ['sugar', 10, 'finish'],
    ])
    expect(grams('150 g lard, melted w/ 3 g achiote').map(([id]) => id)).toEqual(['lard', 'achiote'])
    expect(grams('12 g cornflour to thicken')).toEqual([['cornstarch', 12, null]])
  })

  it('takes what may be added for the upper end', () => {
    const [{ line }] = readIngredients('3 tbsp water + ½ tbsp more if needed', foods) as [
      ReturnType<typeof readIngredients>[0],
    ]
    expect(line).toMatchObject({ foodId: 'water', grams: 45, gramsLow: 45, gramsHigh: 52.5 })
    expect(readIngredients('a little less than 1 tbsp oil', foods)[0]!.line.grams).toBeCloseTo(0.9 * 13.6, 1)
  })

  it('keeps every alternative with its own weight, and what is optional', () => {
    const choices = (raw: string) =>
      readIngredients(raw, foods)[0]!.line.choices.map((choice) => [
        choice.foodId,
        Math.round(choice.grams ?? -1),
      ])
    expect(choices('50 g ghee or butter')).toEqual([['butter', 50]])
    expect(choices('225 g butter/block marg')).toEqual([['margarine', 225]])
    expect(choices('1 tbsp butter or 2 tsp oil')).toEqual([['sunflower-oil', 9]])
    expect(choices('lard, butter or ghee 50 g')).toEqual([
      ['butter', 50],
      ['ghee', 50],
    ])
    expect(readIngredients('50 g walnuts, if you like', foods)[0]!.line).toMatchObject({
      foodId: 'walnuts',
      grams: 50,
      optional: true,
    })
  })

  it('keeps a line that is no ingredient as text', () => {
    const [only] = readIngredients('x'.repeat(501), foods)
    expect(only!.line.notes[0]!.code).toBe('too-long')
  })
})

const dough = (lines: string, more = '') =>
  readRecipe(
    `Pockets\nMakes 10, serves 5\n\nDough\n${lines}\n\nFilling\n400 g mushrooms\n1 onion\nsalt to taste\n\n${more}`,
    foods,
  ).recipe
const line = (recipe: ReturnType<typeof dough>, foodId: string, kind = 'shell') =>
  recipe.parts.find((part) => part.kind === kind)?.lines.find((one) => one.foodId === foodId)

describe('water that is left to feel', () => {
  // Usual shares of refined flour (common practice, no source): dumpling 48 to 52 %, fried with fat rubbed in
  // 38 to 45, oil-rich half-moon 38 to 42, steamed bun 52 to 58, roll 60 to 66, short crust 18 to 30.
  it.each([
    ['500 g flour\nwater as required', 'Fill. Steam 12 min.', 240, 260],
    ['500 g flour\n60 g ghee\nwater to knead a stiff dough', 'Fill and deep-fry.', 190, 225],
    [
      '500 g flour\n90 g olive oil\nwater, enough to bring it together',
      'Fill and bake at 190C for 20 min.',
      190,
      210,
    ],
    ['500 g flour\n7 g yeast\nwater as needed', 'Fill, steam 12 min.', 260, 290],
    ['500 g strong flour\n7 g yeast\nenough water to make a dough', 'Fill, bake 20 min at 200C.', 300, 345],
    [
      '500 g flour\n250 g butter\ncold water to bind',
      'Rub in the butter. Fill, bake 20 min at 200C.',
      50,
      110,
    ],
    ['300 g rice flour\nboiling water as needed', 'Fill, steam 8 min.', 360, 420],
    [
      '150 g glutinous rice flour\n150 g tapioca starch\nboiling water as needed',
      'Fill, steam 8 min.',
      255,
      285,
    ],
  ])('of "%s"', (lines, method, low, high) => {
    const water = line(dough(lines, `Method\n${method}`), 'water')!
    expect(water.toFeel).not.toBeNull()
    expect(water.toFeel!.lowGrams).toBeGreaterThanOrEqual(low * 0.9)
    expect(water.toFeel!.highGrams).toBeLessThanOrEqual(high * 1.1)
    expect(water.grams).toBeGreaterThanOrEqual(low)
    expect(water.grams).toBeLessThanOrEqual(high)
    expect(water.toFeel!.startGrams).toBeLessThan(water.toFeel!.lowGrams)
    expect(water.notes.find((note) => note.code === 'to-feel')?.text).toMatch(
      /start with \d+ g, then a spoonful at a time, expect to stop between \d+ and \d+ g/,
    )
  })

  it('is never more than the text allows, and counts the other liquids', () => {
    expect(
      line(dough('500 g flour\nup to 200 ml water, added gradually', 'Method\nFill. Boil.'), 'water')!.grams,
    ).toBeLessThanOrEqual(200)
    const withYogurt = line(
      dough('500 g flour\n200 g yogurt\nwater as needed', 'Method\nFill. Griddle 3 min a side.'),
      'water',
    )!
    const without = line(
      dough('500 g flour\nwater as needed', 'Method\nFill. Griddle 3 min a side.'),
      'water',
    )!
    expect(withYogurt.grams!).toBeLessThan(without.grams! - 120)
  })

  it('is added, marked, where only the method speaks of it', () => {
    const water = line(
      dough(
        '500 g flour\n1 tsp salt',
        'Method\nDough: add water little by little and knead. Fill. Boil until they float.',
      ),
      'water',
    )!
    expect(water.toFeel).not.toBeNull()
    expect(water.raw).toBe('water, as the method says')
  })
})

describe('salt to taste', () => {
  it('is a share of what it salts, whatever the size of the batch', () => {
    const small = dough('500 g flour\n250 g water\nsalt')
    expect(line(small, 'salt')!.grams).toBeCloseTo(9, 1)
    // 0.9 % of 400 g mushrooms and 110 g onion, less what they bring.
    expect(line(small, 'salt', 'filling')!.grams).toBeCloseTo(4.5, 1)
    const large = readRecipe(
      'P\nDough\n2 kg flour\n1 l water\nsalt\n\nFilling\n1 kg mushrooms\nsalt to taste',
      foods,
    ).recipe
    expect(line(large, 'salt')!.grams).toBeCloseTo(36, 0)
    expect(line(large, 'salt', 'filling')!.grams).toBeCloseTo(9, 0)
  })
  it('is a pinch where other foods bring enough salt', () => {
    const salty = readRecipe(
      'P\nDough\n500 g flour\n250 g water\n\nFilling\n400 g mushrooms\n4 tbsp soy sauce\nsalt to taste',
      foods,
    ).recipe
    expect(line(salty, 'salt', 'filling')!.grams).toBe(0.4)
  })
})

describe('what the method counts', () => {
  const pieces = (method: string) =>
    readRecipe(
      `Pockets\nDough\n500 g flour\n250 g water\n\nFilling\n400 g mushrooms\n\nMethod\n${method}`,
      foods,
    ).recipe.pieces
  it.each([
    ['Divide into 12 balls, fill and bake.', 12],
    ['Make 6 balls, halve each, fill, bake.', 12],
    ['Divide the dough into 7, roll into ovals and cut each in two. Fill the cones.', 14],
    ['Roll out and cut 24 rounds. Fill and fold.', 24],
    ['Shape into 35 g balls, fill.', 21],
    ['Make walnut-sized balls and fill.', 44],
    ['Roll, fill, fold. You get about 20.', 20],
    ['Fill 16 rounds and bake.', 16],
    ['Makes 2 dozen.', 24],
    ['24 pcs. Fill, bake.', 24],
    ['Divide in 16-20 pieces. Fill.', 16],
    ['8 balls, roll, halve each, fill.', 16],
    ['Cut the dough into 2 strips, fill, roll up and cut each into 6.', 12],
  ])('%s', (method, expected) => {
    expect(pieces(method)).toBe(expected)
  })
  it('takes what is stated first and tells the other', () => {
    const { recipe } = readRecipe(
      'Pies\nMakes 10\nDough\n500 g flour\n250 g water\nFilling\n400 g leeks\nMethod\nDivide into 12 and fill.',
      foods,
    )
    expect(recipe.pieces).toBe(10)
    expect(recipe.notes.find((note) => note.code === 'pieces-differ')?.text).toMatch(/12/)
  })
  it.each([
    ['Serves 6', 6],
    ['Feeds four', 4],
    ['for 3 people', 3],
    ['2 per person', 5],
  ])('reads servings of "%s" wherever it stands', (text, servings) => {
    const { recipe } = readRecipe(
      `Pies\nMakes 10\nDough\n500 g flour\n250 g water\nFilling\n400 g leeks\nMethod\nFill. Bake. ${text}.`,
      foods,
    )
    expect(recipe).toMatchObject({ servings, servingsStated: true })
  })
})
