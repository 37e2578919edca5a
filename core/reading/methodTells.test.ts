import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { allLines } from '../recipe/lines'
import { assumedDough } from './assumedPieces'
import { readRecipe } from './readRecipe'

const read = (text: string) => readRecipe(text, foods).recipe
const lineOf = (text: string, foodId: string) =>
  allLines(read(text)).find(({ line }) => line.foodId === foodId)?.line

describe('what was weighed dry and is boiled', () => {
  const poli = (filling: string, step: string) => `Sweet lentil breads
Makes 10

Dough
250 g maida
130 g water

Filling
${filling}
200 g jaggery

Method
${step}
Stuff and roll. Roast on a tawa.`

  it('goes in with the water it has taken up, by its solids', () => {
    const dal = lineOf(
      poli('200 g chana dal', 'Boil the dal until soft. Mash with the jaggery.'),
      'chana-dal-dry',
    )!
    const dry = foods.get('chana-dal-dry')!
    // 91 g of solids in 100 g are 38 in 100 g of the boiled one: USDA's cooking yield of pulses is 2.2 to 2.6.
    const factor = (200 + dal.waterChangeGrams) / 200
    expect(dry.per100g.waterG).toBeLessThan(15)
    expect(factor).toBeGreaterThan(2.2)
    expect(factor).toBeLessThan(2.6)
    expect(dal.notes.map((note) => note.code)).toContain('soaked')
  })
  it('counts the water that is listed for it', () => {
    const own = lineOf(
      poli('200 g chana dal\n500 ml water', 'Boil the dal in the water until soft. Mash with the jaggery.'),
      'chana-dal-dry',
    )!
    expect(own.waterChangeGrams).toBe(0)
  })
  it('takes up nothing where it stays dry', () => {
    const own = lineOf(poli('20 g chana dal', 'Mix the filling raw.'), 'chana-dal-dry')!
    expect(own.waterChangeGrams).toBe(0)
  })
})

describe('wheat flour', () => {
  const bread = (more: string) =>
    `Flat breads\nDough\n200 g wheat flour\n${more}\n120 g water\nFilling\n300 g boiled potatoes`
  it('is atta beside words of a kitchen that says maida for white flour, and says so', () => {
    const atta = lineOf(bread('1 tsp ajwain'), 'atta')!
    expect(atta.raw).toBe('200 g wheat flour')
    expect(atta.notes).toContainEqual(expect.objectContaining({ code: 'wheat-flour', level: 'check' }))
  })
  it('is white elsewhere, and where it is called so', () => {
    expect(lineOf(bread('1 tsp salt'), 'plain-flour')).toBeDefined()
    expect(lineOf(bread('1 tsp ajwain').replace('wheat flour', 'white wheat flour'), 'atta')).toBeUndefined()
  })
})

describe('a title with strokes', () => {
  it.each([
    ['ONION KACHORI | Crisp onion kachori | Tea time snack', 'ONION KACHORI', null],
    ['Onion kachori | a snack | makes 12', 'Onion kachori', 12],
    ['Leek pies | 24 pieces', 'Leek pies', 24],
  ])('%s', (title, called, pieces) => {
    const own = read(`${title}\n\nDough\n250 g maida\n120 g water\nFilling\n300 g onions\n\nBake 20 min.`)
    expect(own.title).toBe(called)
    if (pieces) expect(own.pieces).toBe(pieces)
    expect(allLines(own).every(({ line }) => line.foodId)).toBe(true)
  })
  it('is no title above a table', () => {
    const own = read('Ingredient | Amount\nflour | 500 g\nwater | 300 g\n\nFilling\n300 g leeks')
    expect(allLines(own).map(({ line }) => line.foodId)).toEqual(['plain-flour', 'water', 'leek'])
  })
})

const PIES = (steps: string, finish = '') => `Mushroom turnovers
Makes 10

Dough
300 g plain flour
150 g butter
60 g water

Filling
400 g mushrooms
1 green chilli
${finish}
Method
${steps}`

describe('what the method tells', () => {
  it('of seeds that no line lists: an allergen is never left out', () => {
    for (const says of [
      'Sesame seeds on top.',
      'Sprinkle with sesame seeds.',
      'Egg wash, sesame seeds on top.',
    ]) {
      const own = lineOf(PIES(`Fill, fold and crimp. ${says} Bake at 200 C for 20 min.`), 'sesame-seed')
      expect(own?.grams, says).toBe(5)
      expect(own!.notes[0], says).toMatchObject({ code: 'unlisted', level: 'check' })
    }
  })
  it('of seeds that are listed, once', () => {
    const text = PIES(
      'Fill, fold and crimp. Scatter with the seeds. Bake 20 min.',
      '1 tbsp poppy seeds, for the top\n',
    )
    const seeds = allLines(read(text)).filter(({ line }) => /seed/.test(line.foodId ?? ''))
    expect(seeds).toHaveLength(1)
  })
  it('of one egg used twice: half goes in, half goes on', () => {
    const text = PIES(
      'Mix the mushrooms with half the egg. Fill and fold. Brush with the remaining egg. Bake 20 min.',
    )
    const eggs = read(text.replace('1 green chilli', '1 egg')).parts.flatMap(({ kind, lines }) =>
      lines.filter(({ foodId }) => foodId === 'egg').map(({ grams }) => [kind, grams]),
    )
    expect(eggs).toEqual([
      ['filling', 25],
      ['finish', 25],
    ])
  })
  it('of a mixture for the sheets: it is brushed on, with what is strewn', () => {
    const own = read(`Leek coil
400 g yufka
100 ml olive oil
100 ml milk
1 egg
50 g yogurt
nigella seeds

Filling
400 g leeks
200 g feta

Whisk oil, milk, yogurt and egg. Brush each sheet with the oil mixture, fill and coil it into a round tin. Bake at 180 C for 35 min.`)
    const of = (kind: string) =>
      own.parts.find((part) => part.kind === kind)!.lines.map(({ foodId }) => foodId)
    expect(of('shell')).toEqual(['yufka'])
    expect(of('finish').sort()).toEqual(['egg', 'milk', 'nigella', 'olive-oil', 'yogurt'])
    expect(own.pieces).toBe(1)
  })
  it.each([
    ['Steam 10 min, or drop in broth till they float.', 'steam', null],
    ['Fry in a heavy skillet with a film of oil, 3 min per side.', 'shallow-fry', null],
    ['Boil 3 min or until they float, then fry 2 min in butter.', 'boil', 'shallow-fry'],
  ])('%s', (says, way, then) => {
    const { cooking } = read(PIES(`Fill, fold and crimp. ${says}`))
    expect([cooking.way, cooking.andThen?.way ?? null]).toEqual([way, then])
  })
  it('of another way: it is no second cooking, and no pot of oil', () => {
    const own = read(PIES('Fill, fold and crimp. Bake at 200 C for 20 min. OR fry at 175 C for 4-5 min.'))
    expect(own.cooking).toMatchObject({ way: 'bake', temperatureC: 200, minutes: 20, andThen: null })
    expect(own.parts.map(({ kind }) => kind)).not.toContain('pan')
    expect(own.notes.map((note) => note.code)).toContain('other-way')
  })
  it('of a chutney at its end: what the filling has as well stays raw there', () => {
    const own = read(
      PIES(
        'Mix the filling. Fill, fold and crimp. Steam for 12 min. For the chutney boil the chillies and tomatoes 8 min and blend.',
        '\nTomato chutney\n2 tomatoes\n4 dried chillies\n',
      ),
    )
    const filling = own.parts.find(({ kind }) => kind === 'filling')!
    expect(filling.cookedBy).toBeNull()
    expect(filling.lines.map((line) => line.cookedBy)).toEqual([null, null])
  })
  it('of all but the dough: that is the filling', () => {
    const own = read(`Spinach triangles
450 g spinach
300 g feta
2 eggs
270 g filo
100 g melted butter

Wilt the spinach in a pan, squeeze out the water. Mix with everything except the filo and butter.
Cut the filo in strips, brush with butter, fold up. Bake at 190 C for 20 min.`)
    const filling = own.parts.find(({ kind }) => kind === 'filling')!
    expect(filling.cookedBy).toBeNull()
    expect(filling.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy])).toEqual([
      ['spinach', 'fry'],
      ['feta', null],
      ['egg', null],
    ])
  })
  it.each(["You'll end up with 80-90.", 'We end up with about 80.', 'You should have about 80.'])(
    '%s',
    (says) => {
      expect(read(PIES(`Fill and seal. Boil 5 min. ${says}`).replace('Makes 10\n', '')).pieces).toBe(80)
    },
  )
})

describe('how much dough a piece has where nobody counts', () => {
  const fact = (kind: 'cutter-cm' | 'thickness-mm', low: number) => ({
    kind,
    low,
    high: low,
    text: '',
    part: null,
  })
  it('goes by the cutter and how thin it is rolled: the volume of a round', () => {
    // π/4 × 10² cm² × 0.3 cm × 1.15 g/ml = 27.1 g, and 3 % stay over.
    const { grams } = assumedDough('half-moon', 'bake', [fact('cutter-cm', 10), fact('thickness-mm', 3)])
    expect(grams).toBeCloseTo(27.1 / 0.97, 1)
  })
  it('grows with the cutter, and is small for what is boiled', () => {
    const by = (cm: number) => assumedDough('half-moon', 'boil', [fact('cutter-cm', cm)]).grams
    expect(by(12)).toBeGreaterThan(by(8))
    expect(assumedDough('half-moon', 'boil', []).grams).toBeLessThan(
      assumedDough('half-moon', 'bake', []).grams,
    )
  })
  it('does not go by how wide a filled ball is rolled out', () => {
    expect(assumedDough('disc', 'griddle', [fact('cutter-cm', 20)]).says).toContain('usual')
  })
})

describe('kitchens that mean another thing by the same word', () => {
  const stew = (more: string) => `Lamb pies
Makes 6
Pastry
500 g pie crust
Filling
400 g ground lamb
1 pint lamb stock
${more}
Simmer the filling 30 min. Fill, put the lids on. Bake 30 min.`
  // Weights and Measures Act 1985, Schedule 1: 0.568 261 25 dm³; NIST Handbook 44: 473.176 ml.
  it.each([
    ['1 tbsp tomato puree', 568.26],
    ['1 tbsp ketchup', 473.18],
  ])('a pint beside %s is %d ml', (more, ml) => {
    const stock = lineOf(stew(more), 'beef-stock')!
    // Stock weighs a gram a millilitre.
    expect(stock.grams).toBeCloseTo(ml, 0)
    expect(stock.raw).toBe('1 pint lamb stock')
  })
  it('a spray is no pan of oil', () => {
    const text = (says: string) => `Flat breads
Makes 4
Dough
200 g self-raising flour
200 g yogurt
Filling
100 g feta
Fill, fold and press the edges. ${says} Cook on medium 4 min per side.`
    const fat = (says: string) => read(text(says)).parts.find(({ kind }) => kind === 'pan')!.lines[0]!.grams!
    expect(fat('Spray the pan with oil.')).toBeLessThan(4)
    expect(fat('Heat a skillet.')).toBeGreaterThan(10)
  })
  it('lines of a dough that look like figures of a serving are its lines', () => {
    const own = read(
      'Milk buns\nDough\n250 g bread flour\nSugar 30g\nSalt 4g\nFat 20g butter\n140 g milk\n\nBake 12 min.',
    )
    expect(own.parts[0]!.lines.map(({ foodId }) => foodId)).toEqual(
      expect.arrayContaining(['strong-flour', 'sugar', 'salt', 'milk']),
    )
  })
})

describe('how many there are', () => {
  const count = (dough: string, steps: string, title = 'Turnovers') =>
    read(`${title}\n\nDough\n${dough}\n\nFilling\n300 g leeks\n\n${steps}`)
  it.each([
    ['300 g plain flour\n2 eggs', 'Roll out. Pipe 24 teaspoons of filling, cover, cut. Boil 3 min.', 24],
    ['2 tubes crescent roll dough (8 each)', 'Roll up. Bake 13 min.', 16],
    ['350 g croissant dough - 6 triangles', 'Roll up. Bake 15 min.', 6],
    [
      '400 g puff pastry',
      "Cut 7 cm discs (you'll need 60). Fill half, top with the other 30. Bake 15 min.",
      30,
    ],
  ])('%s / %s', (dough, steps, pieces) => {
    expect(count(dough, steps).pieces).toBe(pieces)
  })
  it('one large one, by its title', () => {
    expect(
      count('500 g bread flour\n250 g water', 'Fill, fold and seal. Bake 40 min.', 'Tuna pie (one big)')
        .pieces,
    ).toBe(1)
  })
  it('asks after sheets that would be more than a hand holds', () => {
    const line = count('4 sheets puff pastry', 'Cut each sheet in 2, fill, fold and press. Bake 20 min.')
      .parts[0]!.lines[0]!
    expect(line.notes).toContainEqual(expect.objectContaining({ code: 'sheet-size', level: 'check' }))
  })
})

describe('what became of a row', () => {
  it('is its own lines, though another row names the same food', () => {
    const text =
      'Momos\n\nDough\n250 g flour\n½ tsp salt\n\nFilling\n300 g leeks\n\nChutney\n3 tomatoes\nSalt, 1 tsp sugar, 1 tsp vinegar\n\nSteam 10 min.'
    const { recipe, rows } = readRecipe(text, foods)
    const at = text.split('\n').indexOf('Salt, 1 tsp sugar, 1 tsp vinegar')
    const row = rows.find((one) => one.row === at)!
    const kinds = row.lineIds.map((id) => allLines(recipe).find(({ line }) => line.id === id)!.part.kind)
    expect(kinds).toEqual(['dip', 'dip', 'dip'])
  })
})
