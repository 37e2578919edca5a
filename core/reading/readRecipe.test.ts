import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { printGrams, printLine } from '../recipe/printLine'
import { readIngredient } from './readIngredient'
import { readRecipe } from './readRecipe'
import { allLines } from '../recipe/lines'
import { recipeSchema } from '../recipe/schema'

const PIES = `Leek hand pies
Makes 16, serves 8

Dough
3 cups plain flour (375 g)
200 g / 7 oz cold unsalted butter, cubed
6 tbsp (70 g) ice water
1 tsp salt

For the filling
2 leeks, finely sliced
150 g cheddar, grated
1 tbsp unobtainium
salt and pepper to taste

To finish
1 egg beaten with 1 tbsp milk

To fry
1 litre sunflower oil

Method
1. Rub the butter into the flour.
2. Deep-fry at 175 °C for 3 to 4 minutes.`

describe('readRecipe', () => {
  const { recipe, lines, unresolved } = readRecipe(PIES, foods)

  it('finds title, yields, way of cooking, temperature, time and shape', () => {
    expect(recipe).toMatchObject({
      title: 'Leek hand pies',
      pieces: 16,
      servings: 8,
      shape: 'half-moon',
      cooking: { way: 'deep-fry', temperatureC: 175, minutes: 4 },
    })
    expect(recipe.method).toEqual(['Rub the butter into the flour.', 'Deep-fry at 175 °C for 3-4 minutes.'])
  })

  it('puts every line into its part', () => {
    expect(recipe.parts.map((part) => [part.kind, part.lines.length])).toEqual([
      ['shell', 4],
      ['filling', 5],
      ['finish', 2],
      ['pan', 1],
    ])
  })

  it('answers for every line with its food and grams', () => {
    expect(lines.find((line) => line.foodId === 'unsalted-butter')).toMatchObject({
      part: 'shell',
      grams: 200,
      raw: '200 g / 7 oz cold unsalted butter, cubed',
    })
    expect(lines.find((line) => line.foodId === 'water')?.warnings.join()).toMatch(/29 %/)
    expect(lines.find((line) => line.foodId === 'salt' && line.part === 'filling')?.warnings.join()).toMatch(
      /assumed/,
    )
  })

  it('keeps what it could not match, in the recipe and in the list', () => {
    expect(unresolved).toMatchObject([{ raw: '1 tbsp unobtainium', part: 'filling' }])
    expect(
      allLines(recipe).some(({ line }) => line.raw === '1 tbsp unobtainium' && line.foodId === null),
    ).toBe(true)
  })

  it('passes its own schema', () => {
    expect(recipeSchema.parse(recipe)).toEqual(recipe)
  })

  it('reads several fillings apart', () => {
    const two = readRecipe(
      'Two pockets\nMakes 12\n\nDough\n300 g flour\n150 g water\n\nFilling 1: leek\n2 leeks\n\nFilling 2: curd\n200 g quark',
      foods,
    ).recipe
    expect(two.parts.map((part) => [part.kind, part.lines[0]?.foodId])).toEqual([
      ['shell', 'plain-flour'],
      ['filling', 'leek'],
      ['filling', 'quark'],
    ])
  })

  it.each([
    ['## Dough\n- 500 g flour\n- 300 g water\n\n## Filling\n- 2 leeks', 'markdown'],
    ['FOR THE DOUGH:\n500 g flour\n300 g water\n\nFOR THE FILLING:\n2 leeks', 'capitals'],
    ['**Dough**\n* 500 g flour\n* 300 g water\n\n**Filling**\n* 2 leeks', 'bold'],
    ['Dough: 500 g flour, 300 g water\nFilling: 2 leeks', 'one line each'],
    ['Pastry\nFlour 500 g\nWater 300 g\n\nStuffing\nLeeks - 2', 'amounts behind'],
    ['Ingredients\n\nDough\n500 g flour\n300 g water\n\nFilling\n2 leeks', 'an ingredients heading'],
  ])('reads headings however they are written: %#', (text) => {
    const { recipe: read } = readRecipe(`Pockets\n${text}`, foods)
    const shell = read.parts.find((part) => part.kind === 'shell')
    const filling = read.parts.find((part) => part.kind === 'filling')
    expect(shell?.lines.map((line) => [line.foodId, line.grams])).toEqual([
      ['plain-flour', 500],
      ['water', 300],
    ])
    expect(filling?.lines.map((line) => [line.foodId, line.grams])).toEqual([['leek', 300]])
  })

  it('takes the lines round the flour as dough when there are no headings', () => {
    const { recipe: read } = readRecipe(
      'Pockets\n250 g flour\n120 g water\n5 g salt\n300 g spinach\n100 g feta',
      foods,
    )
    expect(read.parts.map((part) => [part.kind, part.lines.length])).toEqual([
      ['shell', 3],
      ['filling', 2],
    ])
    expect(read.notes.map((note) => note.code)).toContain('no-headings')
  })

  it('takes bought wrappers as the dough and one piece for each', () => {
    const { recipe: read } = readRecipe('Dumplings\n\nFilling\n250 g minced pork\n30 wonton wrappers', foods)
    expect(read.parts.map((part) => part.kind)).toEqual(['shell', 'filling'])
    expect(read.pieces).toBe(30)
  })

  it('moves a line that says what it is for', () => {
    const { recipe: read } = readRecipe(
      'Pies\nMakes 8\nDough\n250 g flour\n100 g butter\n1 egg, to glaze\noil for deep frying\nFilling\n2 tbsp oil, for frying\n2 onions',
      foods,
    )
    const at = (kind: string) =>
      read.parts.find((part) => part.kind === kind)?.lines.map((line) => line.foodId)
    expect(at('finish')).toEqual(['egg'])
    expect(at('pan')).toEqual(['sunflower-oil'])
    expect(at('filling')).toEqual(['sunflower-oil', 'onion'])
  })

  const DOUGH_AND = 'Dough\n500 g flour\n250 g water\n\nFilling\n300 g feta\n\n'
  it.each([
    ['Roll thin, cut 3" circles, about 50. Fill, pinch. Bake 20 minutes.', 50],
    ['Make six balls, roll, cut each in half so twelve triangles. Fill. Bake 20 minutes.', 12],
    ['Line 6 individual tins, fill, top with lids. Bake 20 minutes.', 6],
    ['Quarter the dough. Fill and fold. Bake 20 minutes.', 4],
  ])('counts the pieces of "%s"', (method, pieces) => {
    const { recipe } = readRecipe(`Pockets\n\n${DOUGH_AND}Method\n${method}`, foods)
    expect(recipe.piecesStated ? recipe.pieces : null).toBe(pieces)
  })

  it('shares out by what each feeds', () => {
    const text = `Pies\nMakes 6. Each serves two.\n\n${DOUGH_AND}Bake 20 minutes.`
    expect(readRecipe(text, foods).recipe).toMatchObject({ pieces: 6, servings: 12, servingsStated: true })
  })

  it('takes amounts for one piece as many times as there are pieces, and says so', () => {
    const text =
      'Calzone\nMakes 4\n\nDough\n500 g flour\n325 g water\n\nFilling per calzone\n60 g ricotta\n\nBake 12 minutes.'
    const { recipe } = readRecipe(text, foods)
    expect(recipe.parts.find((part) => part.kind === 'filling')!.lines[0]!.grams).toBe(240)
    expect(recipe.notes.map((note) => note.code)).toContain('per-piece')
  })

  it('gives steps among the lines of a part to that part', () => {
    const text =
      'Pies\nMakes 6\n\nFilling\n1 kg braising steak\n500 ml beef stock\nSimmer 2 hours till tender.\n\nCrust\n450 g flour\n220 g butter\n80 g water\n\nFill, crimp. Bake 20 min at 200°C then 180°C for a further 20 min.'
    const { recipe } = readRecipe(text, foods)
    expect(recipe.parts.find((part) => part.kind === 'filling')).toMatchObject({
      cookedBy: 'simmer',
      cookedMinutes: 120,
    })
    expect(recipe.cooking).toMatchObject({
      temperatureC: 200,
      minutes: 20,
      andThen: { temperatureC: 180, minutes: 20 },
    })
  })

  it('browns and steams in one pan though two sentences tell it', () => {
    const text =
      'Gyoza\n30 gyoza wrappers\nFilling\n300 g minced pork\n1 tbsp oil, for frying\n80 ml water, for steaming\nMethod\nFill and pleat. Fry until golden, 3 minutes. Add water, cover and steam 5 min.'
    const { recipe } = readRecipe(text, foods)
    expect(recipe.cooking).toMatchObject({ way: 'brown-and-steam', minutes: 8, andThen: null })
    expect(recipe.parts.find((part) => part.kind === 'filling')!.lines).toHaveLength(1)
  })

  it('takes the number that goes on for the next step, whatever it says', () => {
    const text = 'Dough\n500 g flour\n250 g water\n1. Mix the dough.\n2. Bake 20 minutes.\n3. Eat warm.'
    const { recipe, unresolved } = readRecipe(text, foods)
    expect(recipe.method).toEqual(['Mix the dough.', 'Bake 20 minutes.', 'Eat warm.'])
    expect(unresolved).toEqual([])
  })

  it('marks what it assumed of the number of pieces and servings', () => {
    const { recipe: read } = readRecipe('Pies\nDough\n450 g flour\n225 g water\nFilling\n2 leeks', foods)
    expect(read.pieces).toBe(17)
    expect(read.notes.map((note) => note.code)).toEqual(
      expect.arrayContaining(['pieces-assumed', 'servings-assumed']),
    )
  })

  it('loses no words, whatever is pasted', () => {
    const word = fc.constantFrom(
      'flour',
      '500 g',
      'Dough',
      '½',
      'to taste',
      'salt',
      'bake',
      '(',
      'zz-9',
      'egg',
      ':',
      'Makes 8',
      '#',
      '–',
    )
    fc.assert(
      fc.property(fc.array(fc.array(word, { maxLength: 6 }), { maxLength: 12 }), (rows) => {
        const text = rows.map((row) => row.join(' ')).join('\n')
        const { recipe: read } = readRecipe(text, foods)
        expect(() => recipeSchema.parse(read)).not.toThrow()
        const kept = [
          read.title,
          ...read.method,
          ...read.notes.map((note) => note.text),
          ...read.parts.map((part) => part.name),
          ...allLines(read).map(({ line }) => line.raw),
        ].join(' ')
        if (text.includes('zz-9')) expect(kept).toContain('zz-9')
        for (const { line } of allLines(read))
          if (line.grams !== null) expect(line.grams).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 300 },
    )
  })
})

describe('the demo recipes', () => {
  const folder = new URL('../../data/demo/', import.meta.url)
  it.each(readdirSync(folder))('%s is read whole, every line matched and weighed', (name) => {
    const { recipe, unresolved } = readRecipe(readFileSync(new URL(name, folder), 'utf8'), foods)
    expect(unresolved).toEqual([])
    expect(recipe.parts.find((part) => part.kind === 'shell')?.lines.length).toBeGreaterThan(2)
    expect(recipe.notes.filter((note) => note.level === 'check')).toEqual([])
  })
})

describe('printing a line', () => {
  it('reads back to the same food and weight, for every food', () => {
    for (const one of foods.values()) {
      for (const grams of [0.4, 7.5, 33.3, 128, 1250]) {
        const printed = printLine({ grams, name: one.name, prep: [] }, one)
        const { line } = readIngredient(printed, foods)
        expect(line.foodId, printed).toBe(one.id)
        expect(line.grams, printed).toBeCloseTo(Number(printGrams(grams)), 6)
      }
    }
  })
})

describe('a list without headings', () => {
  const parts = (text: string) =>
    readRecipe(text, foods).recipe.parts.map(({ kind, lines }) => [
      kind,
      ...lines.map(({ foodId }) => foodId),
    ])

  it('takes half a pot of jam for the filling, and a spoon of it for the dough', () => {
    const buns = (grams: number) =>
      `Jam buns\n500 g plain flour\n250 ml milk\n80 g butter\n7 g instant yeast\n${grams} g plum jam\nBake at 180 C for 20 minutes.`
    expect(parts(buns(240))).toContainEqual(['filling', 'jam'])
    expect(parts(buns(20))[0]).toContain('jam')
  })

  it('brushes the sheets with the butter that is named behind them', () => {
    expect(
      parts(
        'Salmon parcels\n270 g filo pastry\n80 g butter, melted\n400 g salmon fillet\n150 g cream cheese\nBake 190 C 25 min',
      ),
    ).toEqual([
      ['shell', 'filo'],
      ['filling', 'salmon', 'cream-cheese'],
      ['finish', 'butter'],
    ])
  })

  it('hears how it is fried from a heading with nothing below it', () => {
    const { recipe } = readRecipe(
      'Cheese turnovers\nDough\n300 g plain flour\n120 ml water\nFilling\n300 g mozzarella\nfor deep frying\nFry at 180 C for 3 min',
      foods,
    )
    expect(recipe.cooking.way).toBe('deep-fry')
  })
})
