import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

describe('a text as somebody lays it out', () => {
  it.each([
    ['Wontons\nMakes 30\n30 wonton wrappers\nFilling\n400 g minced pork\nBoil 4 minutes', 3],
    ['Buns\nMakes 12\nDough\n500 g flour\n250 g water\nFilling\n450 g cabbage\nSteam 12 minutes', 6],
    ['Pasties\nMakes 6\nDough\n500 g flour\n250 g water\nFilling\n900 g potatoes\nBake 40 minutes', 6],
    ['Coil\nMakes 1\nDough\n500 g flour\n250 g water\nFilling\n900 g spinach\nBake 40 minutes', 8],
  ])('guesses servings by what pieces weigh: %s', (text, servings) => {
    const { recipe: read } = readRecipe(text, foods)
    expect(read.servings).toBe(servings)
    expect(read.servingsStated).toBe(false)
  })

  it('takes a word alone over amounts for a heading', () => {
    const text =
      'Cakes\nMakes 10\n\nMasa\n400 g masa harina\n560 ml water\n\nFilling\n250 g black beans\n\nCurtido\n200 g cabbage\n2 tbsp vinegar\n\nGriddle 4 minutes.'
    const { recipe: read } = readRecipe(text, foods)
    expect(read.parts.map((part) => [part.kind, part.name])).toEqual(
      expect.arrayContaining([
        ['shell', 'Masa'],
        ['filling', 'Filling'],
        [expect.any(String), 'Curtido'],
      ]),
    )
    expect(read.parts.find((part) => part.name === 'Curtido')!.lines).toHaveLength(2)
  })

  it('takes a word between two rows that are lists for what the second is of', () => {
    const text =
      'Khachapuri\n\nDough\n350 g bread flour, 1 tsp yeast, 230 ml milk\nCheese\n300 g mozzarella, 200 g feta, 1 egg\nFinish\n20 g butter\n\nMakes 2. Bake at 250C for 12 minutes.'
    const { recipe: read } = readRecipe(text, foods)
    expect(read.parts.map(({ kind, name, lines }) => [kind, name, lines.length])).toEqual([
      ['shell', 'Dough', 3],
      ['filling', 'Cheese', 3],
      ['finish', 'Finish', 1],
    ])
  })

  it.each([
    ['Steak and ale pie', 'lidded-pie'],
    ['Apple hand pies', 'half-moon'],
    ['Little pies', 'half-moon'],
  ])('closes "%s" as a %s', (title, shape) => {
    const text = `${title}\nServes 6\nPastry\n300 g flour\n150 g butter\nFilling\n900 g beef\nBake 200 C`
    expect(readRecipe(text, foods).recipe.shape).toBe(shape)
  })

  it.each([
    ['*Wrapper*', 'shell'],
    ['_Stuffing_:', 'filling'],
    ['Ciasto / dough', 'shell'],
    ['Farsz | filling', 'filling'],
    ['MEAT', 'filling'],
  ])('takes "%s" over its lines for the heading of a %s', (heading, kind) => {
    const other =
      kind === 'shell' ? 'Filling\n300 g leeks\n100 g cheddar' : 'Dough\n300 g plain flour\n160 ml water'
    const lines =
      kind === 'shell'
        ? '300 g plain flour\n160 ml water'
        : '300 g minced beef\n1 large onion v finely chopped'
    const { recipe: read } = readRecipe(
      `Pockets\nMakes 12\n${other}\n${heading}\n${lines}\nBake 20 min`,
      foods,
    )
    const part = read.parts.find((one) => one.kind === kind)!
    expect(part.lines).toHaveLength(2)
    expect(part.lines.every((line) => line.foodId && line.grams)).toBe(true)
  })

  it.each([
    ['Lid\n320 g puff pastry\n1 egg, beaten', 'puff-pastry'],
    ['Lid\n320 g puff pastry\nTo finish\n1 egg wash', 'puff-pastry'],
  ])('brushes on what stands with a bought sheet: %s', (lid, pastry) => {
    const text = `Fish pie\nServes 6\nFilling\n500 g white fish\n300 ml milk\n${lid}\nBake 200 C 30 min`
    const { recipe: read } = readRecipe(text, foods)
    const of = (kind: string) =>
      read.parts.filter((part) => part.kind === kind).flatMap((part) => part.lines.map((line) => line.foodId))
    expect(of('shell')).toEqual([pastry])
    expect(of('finish')).toEqual(['egg'])
  })

  it('takes the bought pastry for the dough, and the spoon of flour for what thickens', () => {
    const text =
      'Puff pie\nServes 4\n1 tbsp olive oil\n2 leeks\n500 g chicken thighs\n1 tbsp plain flour\n300 ml chicken stock\n320 g puff pastry\n1 egg, beaten\n1. Fry the leeks 5 min.\n2. Top with the pastry, brush with egg. Bake 200 C 25 min.'
    const { recipe: read } = readRecipe(text, foods)
    const idsOf = (kind: string) =>
      read.parts.filter((part) => part.kind === kind).flatMap((part) => part.lines.map((line) => line.foodId))
    expect(idsOf('shell')).toEqual(['puff-pastry'])
    expect(idsOf('filling')).toContain('plain-flour')
    expect(idsOf('finish')).toEqual(['egg'])
  })

  it.each([
    ['Fill, pleat, prove 20 min. steam from cold 15 min, off heat rest 5 min.', 'steam', 15, null],
    ['Oven at 220. Roll out, fill, pinch into triangles. Brush w. oil. 12-15 min.', 'bake', 14, 220],
    ['Fill and fold. Cut a slit so the steam gets out, bake 30 min at 190 C.', 'bake', 30, 190],
  ])('reads "%s"', (method, way, minutes, celsius) => {
    const { recipe: read } = readRecipe(
      `Buns\nMakes 12\nDough\n300 g flour\n160 g water\nFilling\n250 g minced pork\n\nMethod\n${method}`,
      foods,
    )
    expect(read.cooking).toMatchObject({ way, minutes, temperatureC: celsius })
  })
})

describe('a part named in front of its list, without a colon', () => {
  const shell = (row: string) =>
    readRecipe(`Lamb pasties\n${row}\nFilling 400 g lamb, 250 g potato\nBake 200 C 45 min`, foods)
      .recipe.parts.find(({ kind }) => kind === 'shell')!
      .lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)])

  it('is no bought pastry where a list of foods follows', () => {
    expect(shell('Shortcrust 500 g plain flour, 250 g butter, 100 ml water')).toEqual([
      ['plain-flour', 500],
      ['butter', 250],
      ['water', 100],
    ])
  })

  it('is one where only its weight follows', () => {
    expect(shell('Shortcrust pastry 500 g')).toEqual([['shortcrust-pastry', 500]])
  })

  it('takes no shape for a number', () => {
    const { recipe } = readRecipe(
      'Half moons\nFor dough 2 cups flour, 1/2 cup water\nStuffing 3 potatoes, 1 cup peas\nfry',
      foods,
    )
    expect(recipe.title).toBe('Half moons')
    expect(recipe.parts.flatMap(({ lines }) => lines).every(({ foodId }) => foodId !== null)).toBe(true)
  })
})

describe('a text that says things in places of its own', () => {
  const read = (text: string) => readRecipe(text, foods).recipe

  it('has a title before a bar, and the count behind it', () => {
    const { title, pieces } = read(
      'LAMB TRIANGLES | 24 pieces\nDough\n500 g flour\n280 ml water\nFilling\n400 g minced lamb\nBake 220 C 12 min',
    )
    expect([title, pieces]).toEqual(['LAMB TRIANGLES', 24])
  })

  it('fills with a topping where there is nothing else, and sprinkles one where there is', () => {
    const topped =
      'Lamb triangles\nMakes 24\nDough\n500 g flour\n280 ml water\nTopping\n400 g minced lamb\n2 tomatoes\n1 onion\nBake 220 C 12 min'
    expect(read(topped).parts.map(({ kind }) => kind)).toEqual(['shell', 'filling'])
    expect(read(topped).notes.some(({ code }) => code === 'topping-fills')).toBe(true)
    const sprinkled = topped.replace(
      'Topping\n400 g minced lamb\n2 tomatoes\n1 onion',
      'Filling\n400 g minced lamb\nTopping\n20 g sesame seeds\n1 egg',
    )
    expect(read(sprinkled).parts.map(({ kind }) => kind)).toEqual(['shell', 'filling', 'finish'])
  })

  it('hears the count at the end of one long breath', () => {
    const breath = `i take 3 cups of flour and a teaspoon of salt and one egg and half a cup of sour cream and work it till it is smooth ${'and let it sit a while '.repeat(20)} then i boil 5 big potatoes and mash them with 8 ounces of cheddar roll it out cut with a glass fold it over boil till they float and fry them in butter makes about 5 dozen`
    expect(read(breath).pieces).toBe(60)
  })
})

describe('a heading or an empty line that was lost', () => {
  const DOUGH = ['Dough', '300 g flour', '150 g water', '1 tsp salt', '2 tbsp oil']
  const WORK = ['Knead. Roll, fill, fold and seal. Bake at 200 °C for 20 minutes.']
  const partsOf = (rows: readonly string[]) =>
    readRecipe(['Pockets', 'Makes 8', '', ...rows].join('\n'), foods).recipe.parts.map(({ kind, lines }) => [
      kind,
      lines.length,
    ])

  it('is where the list of a dough goes on with what no dough holds', () => {
    expect(partsOf([...DOUGH, '250 g spinach', '150 g feta', '1 tsp nutmeg', ...WORK])).toEqual([
      ['shell', 4],
      ['filling', 3],
    ])
    // A little of it is in the dough.
    expect(partsOf([...DOUGH, '50 g carrot', '', 'Filling', '300 g minced beef', ...WORK])).toEqual([
      ['shell', 5],
      ['filling', 1],
    ])
  })

  it('is where a food stands by itself over more of it', () => {
    expect(partsOf([...DOUGH, 'PORK', '600 g pork belly', '2 tbsp hoisin', ...WORK])).toEqual([
      ['shell', 4],
      ['filling', 2],
    ])
    expect(partsOf([...DOUGH, 'Curry potato', '300 g potatoes', '1 onion', ...WORK])).toEqual([
      ['shell', 4],
      ['filling', 2],
    ])
  })

  it('fries nothing in wedges of lemon', () => {
    const rows = [
      ...DOUGH,
      '',
      'Filling',
      '300 g spinach',
      '',
      'To cook',
      'Olive oil',
      'Lemon wedges to serve',
    ]
    expect(partsOf([...rows, '', 'Fill, fold and seal. Griddle 4 minutes.'])).toEqual([
      ['shell', 4],
      ['filling', 1],
      ['pan', 1],
      ['dip', 1],
    ])
  })
})
