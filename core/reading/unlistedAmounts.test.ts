import { describe, expect, it } from 'vitest'
import { eachOf, lineOf, parts, read, recipe } from '../../test/readText'

// What the words name and no list has: eggs that glaze, wrappers, fat poured over, and ways that are allowed instead.

/** The foods of a filling of one row, each with its grams in whole numbers. */
const inFilling = (row: string) =>
  read(row, 'Fill. Bake 20 min.')
    .parts.filter(({ kind }) => kind === 'filling')
    .flatMap(({ lines }) => lines.map(({ foodId, grams }) => [foodId, grams && Math.round(grams)]))

describe('what a step takes with its amount, and no line lists', () => {
  it.each<[string, string, number]>([
    ['Brush with 1 beaten egg.', 'egg', 50],
    ['Brush with 1 egg yolk.', 'egg-yolk', 17],
    ['Sprinkle with 2 tbsp sesame seeds.', 'sesame-seed', 18],
    ['Dust with 20 g icing sugar.', 'icing-sugar', 20],
    ['Drizzle with 50 g melted butter.', 'butter', 50],
  ])('%s', (said, food, grams) => {
    const line = lineOf(read('300 g leeks', `Fill, fold, seal. ${said} Bake at 200C for 20 minutes.`), food)!
    expect(line.grams).toBeCloseTo(grams, 0)
    expect(line.notes[0]).toMatchObject({ code: 'unlisted', level: 'note' })
  })
  it.each([
    ['Mix 1 egg into the filling.', '1 egg'],
    ['Serve with 200 g plain yogurt.', '200 g plain yogurt'],
    ['Serve with warm marinara (1/2 cup).', '1/2 cup tomato sauce'],
  ])('is said, and makes no line: %s', (said, missing) => {
    const { notes } = read('300 g leeks', `Fill, fold, seal. Bake at 200C for 20 minutes. ${said}`)
    expect(notes.find(({ code }) => code === 'unlisted')?.text).toContain(missing)
  })
  it('is said of an egg in the filling, though another one is counted as the wash', () => {
    const own = read(
      '300 g pork mince',
      'Mix 1 egg into the filling. Fill, fold, seal. Brush with 1 beaten egg. Bake at 200C for 20 minutes.',
    )
    expect(own.notes.find(({ code }) => code === 'unlisted')?.text).toContain('1 egg')
    expect(lineOf(own, 'egg')!.grams).toBe(50)
  })
  it('is not said of what is listed, nor of a spoon of the meat for each', () => {
    const { notes } = read(
      '300 g minced beef\n1 egg',
      'Mix 1 egg into the meat. Put 2 tbsp meat on each, fold, seal. Bake at 200C for 20 minutes.',
    )
    expect(notes.filter(({ code }) => code === 'unlisted')).toEqual([])
  })
})

describe('a list of what goes in, and no dough', () => {
  it.each([
    ['Gyoza\n\nEnough for 40 gyoza wrappers', 40, 'dumpling-wrapper', 360],
    ['Wonton filling (for 1 pack of wrappers, 50 pcs)', 50, 'wonton-wrapper', 400],
    ['Potsticker filling for 2 packs of wrappers (approx 60)', 60, 'dumpling-wrapper', 540],
  ])('counts the wrappers that the words name: %s', (head, pieces, food, grams) => {
    const read = recipe(`${head}\n\n300 g pork mince\n1 tbsp soy sauce\n\nMix, wrap. Boil 5 min.`)
    expect([read.pieces, lineOf(read, food)?.grams]).toEqual([pieces, grams])
    expect(lineOf(read, food)!.notes[0]).toMatchObject({ code: 'unlisted', level: 'check' })
  })
  it('is said where nothing tells what it is wrapped in', () => {
    const { notes } = recipe(
      'Leek pockets\nMakes 8\n\n300 g leeks\n100 g feta\n\nFill, fold. Bake 20 min at 200C.',
    )
    expect(notes.map(({ code }) => code)).toContain('no-dough')
  })
})

describe('meat that is cooked by its own line', () => {
  it.each<[string, string, number]>([
    ['1 lb ground beef, cooked and drained', 'minced-beef', 453.6],
    ['150 g bacon fried & chopped', 'bacon', 150],
    ['150 g bacon, cooked until crisp', 'bacon', 150],
    ['1 onion fried & cooled', 'onion', 110],
  ])('is weighed as it is bought: %s', (line, food, grams) => {
    const own = lineOf(read(line, 'Fill, close. Bake 20 min at 200C.'), food)!
    expect(own.grams).toBeCloseTo(grams, 0)
    expect(own.cookedBy).toBe('fry')
  })
  it('is cooked already by the slice or the cup', () => {
    expect(eachOf('8 slices bacon, cooked and crumbled')).toEqual([['bacon-cooked', 64]])
    expect(eachOf('2 cups chicken, cooked and shredded')).toEqual([['cooked-chicken', 280]])
  })
})

describe('the heat', () => {
  it.each<[string, string, number]>([
    ['Hot dry frying pan, 2-3 mins each side, or 250C oven on a hot tray 6-8 mins.', 'griddle', 5],
    ['Cook on tawa 2 min each side or in a 250C oven 5 min.', 'griddle', 4],
    ['Pan with oil 2 mins, half a cup of water, lid on 8 mins.', 'brown-and-steam', 10],
    ['Freeze. From frozen: pan w/ oil 2 mins, half a cup of water, lid on 8 mins.', 'brown-and-steam', 10],
  ])('%s', (said, way, minutes) => {
    const { cooking } = read('300 g leeks', `Fill, fold, seal. ${said}`)
    expect(cooking).toMatchObject({ way, minutes, andThen: null })
  })
  it('a splash of wine that bubbles shortly leaves fried mushrooms fried and dry', () => {
    const steps =
      'Fry the mushrooms for 15 mins until the liquid has evaporated. Pour in the wine and bubble for 2 mins. Cool. Fill, fold, seal. Bake at 200C for 20 minutes.'
    const filling = read('750 g mushrooms\n30 g butter\n100 ml white wine', steps).parts[1]!
    expect(filling).toMatchObject({ cookedBy: 'fry', untilDry: true })
  })
  it('a spoonful of filling closes the piece: the oven is none of the filling', () => {
    const filling = recipe(
      'for the empanadas you want three cups of flour and a cup of water for the filling half a kilo of minced beef two onions a red pepper teaspoon of paprika half a teaspoon of cumin fry the onions then put the meat in cook it about ten minutes roll the dough cut about sixteen discs put a big spoonful of filling bake at two hundred degrees for twenty five minutes',
    ).parts.find(({ kind }) => kind === 'filling')!
    expect(filling.cookedMinutes).toBe(10)
    expect(filling.lines.map(({ foodId }) => foodId)).toContain('paprika')
  })
})

describe('counts and names', () => {
  it.each<[string, number, string]>([
    [
      'For 20 manti you need: 300 g flour, 1 egg and 120 ml water for the dough; 400 g lamb, 300 g onions for the filling. Knead the dough, rest it 40 min. Roll out, cut squares, fill, close. Steam 40 minutes.',
      20,
      'Manti',
    ],
    [
      'For about 16 pasties: 500 g flour, 250 g butter and 150 ml water for the pastry; 400 g beef, 300 g potatoes for the filling. Roll, cut, fill, crimp. Bake 45 min at 190C.',
      16,
      'Pasties',
    ],
    [
      'Stuffed naan (keema naan)  4 big ones\n\n300 g flour\n180 ml water\n\n250 g minced lamb\n\nFill. Dry pan 3 min each side.',
      4,
      'Stuffed naan (keema naan)',
    ],
  ])('%s', (text, pieces, title) => {
    const read = recipe(text)
    expect([read.pieces, read.piecesStated, read.title]).toEqual([pieces, true, title])
  })
  it.each([
    ['Roll pastry, cut 4 side plate circles. Fill, fold.', 4],
    ['Roll to a 10-inch circle. Filling on one half, fold over, crimp.', 1],
  ])('%s', (steps, pieces) =>
    expect(
      recipe(`Pasties\n\n250 g flour\n120 ml water\n\n300 g corned beef\n\n${steps} Bake 25 min at 200C.`)
        .pieces,
    ).toBe(pieces),
  )
  it('one disk of dough at a time is no batch of pieces', () =>
    expect(
      read('300 g leeks', 'Roll out one disk at a time, cut rounds, fill. Bake 20 min.').facts.map(
        ({ kind }) => kind,
      ),
    ).not.toContain('batch-pieces'))
  it.each<[string, [string, number][]]>([
    ['Green chillies - 2 nos. chopped', [['green-chilli', 16]]],
    ['Onions - 3 nos. (medium, finely chopped)', [['onion', 330]]],
  ])('%s', (line, foods) => expect(inFilling(line)).toEqual(foods))
  it('work on a food, and more work behind it, is no ingredient', () => {
    const text =
      'Pasties: 500 g shortcrust, 300 g corned beef, 2 potatoes boiled, 1 onion. dice potatoes, mash in the corned beef & grated onion. roll pastry, cut 4 circles. fill fold crimp. gas 6 for 25 mins'
    expect(
      recipe(text)
        .parts.flatMap(({ lines }) => lines)
        .filter(({ grams }) => grams === null),
    ).toEqual([])
  })
})

describe('what the words round a list say', () => {
  it.each<[string, (string | number | undefined)[][]]>([
    ['10 quail eggs, one for each', [['quail-egg', 90]]],
    ['5 hard boiled eggs, half for each', [['boiled-egg', 235]]],
    ['12 cherries, one each', [['cherries', 96]]],
    ['200 g feta - make that 250', [['feta', 250]]],
    ['5 hard boiled quail eggs... make it 10, one for each', [['quail-egg-cooked', 85]]],
  ])('how it is shared out is no more of it: %s', (line, foods) => expect(inFilling(line)).toEqual(foods))
  it('one per bun, of ten that are there, are ten', () =>
    expect(lineOf(read('10 quail eggs, one per bun', 'Fill. Steam 15 min.'), 'quail-egg')!.grams).toBe(90))
  it.each([
    'Pastry: your favourite double crust (I use 350g flour, 175g butter, 5 tbsp iced water)',
    'Shortcrust (I make mine with 350g flour, 175g butter and 5 tbsp water)',
  ])('a dough in brackets: %s', (row) =>
    expect(
      parts(`Pasties\n\n${row}\n\n700g pork mince\n1 onion\n\nFry the mince. Fill, fold. Bake 40 min 200C.`),
    ).toEqual(['shell: plain-flour butter water', 'filling: minced-pork onion']),
  )
  it('both stand beside the dish, known or not', () =>
    expect(
      read('300 g beans\nPickled slaw and sour cream to serve', 'Fill. Bake 20 min.')
        .parts.find(({ kind }) => kind === 'dip')!
        .lines.map(({ foodId, raw }) => foodId ?? raw),
    ).toEqual(['Pickled slaw, to serve', 'sour-cream']))
  it('spinach that salt and hands wilt is not fried', () =>
    expect(
      read(
        '250 g spinach\n1 red onion\n150 g feta',
        'Sprinkle the onion and spinach with salt, rub until wilted, squeeze. Crumble in the feta. Fill, fold. Bake 20 min.',
      ).parts[1]!.cookedBy,
    ).toBe(null))
  it('the egg on top is another one than that of the dough, and no minute of rising', () => {
    const own = read(
      '400 g mince',
      'Fry the mince 10 minutes. Fill, fold over and seal, brush with the beaten egg, another one, and bake at 200 for 18 minutes.',
      'Pies\nMakes 8',
    )
    expect(own.parts.find(({ kind }) => kind === 'finish')!.lines[0]!.foodId).toBe('egg')
    expect(own.facts.map(({ kind }) => kind)).not.toContain('rise-minutes')
  })
  it('who posted it is no name', () =>
    expect(
      recipe('@ourkitchen LEEK POCKETS\n\n300 g flour\n160 ml water\n\n300 g leeks\n\nFill. Bake 20 min.')
        .title,
    ).toBe('LEEK POCKETS'))
})

describe('the egg of the dough and that of the wash', () => {
  it('stays in the dough where a yolk is listed as the wash', () => {
    const own = recipe(
      'Piroshki\n\nDOUGH:\n1 cup milk\n1 egg\n3 1/2 cups flour\n\nFILLING:\n1.5 lb cabbage\n\nEGG WASH:\n1 egg yolk + 1 tbsp milk\n\nMix, add the rest, knead. Divide into 20 balls, fill, pinch closed. Brush with egg wash. Bake at 375°F for 18 min.',
    )
    expect(own.parts.find(({ kind }) => kind === 'shell')!.lines.map(({ foodId }) => foodId)).toContain('egg')
    expect(own.parts.find(({ kind }) => kind === 'finish')!.lines.map(({ foodId }) => foodId)).toEqual([
      'egg-yolk',
      'milk',
    ])
  })
  it('is fried where the method scrambles it, whatever else is done in one breath', () =>
    expect(
      lineOf(
        recipe(
          'Quick pockets for one: 1 tortilla, 2 eggs, 30g cheddar. Scramble eggs, put it all on the tortilla, fold in 4 corners, flip in a hot pan, 2 min per side.',
        ),
        'egg',
      )!.cookedBy,
    ).toBe('fry'))
})

describe('what is counted by its tins, and who eats alone', () => {
  const PIES = 'Dough\n250 g flour\n120 g butter\n60 ml water\n\nFilling\n300 g mince'
  it('one pie for each tin, however the tins are called', () =>
    expect(
      recipe(
        `Pies\n\n${PIES}\n\nLine 6 greased muffin-size pie tins with pastry, fill, top with lids. Bake 25 min at 190C.`,
      ).pieces,
    ).toBe(6))
  it('pockets for one serve one', () =>
    expect(
      recipe(
        'Quick pockets for one: 1 tortilla, 2 eggs, 30g cheddar. Fill, fold, flip in a dry pan, 2 min per side.',
      ),
    ).toMatchObject({ servings: 1, servingsStated: true }))
  it('of two shapes that are allowed the first is meant', () =>
    expect(
      recipe(
        `Puffs\n\n500 g puff pastry\n220 g ham\n\nCut 16 8cm circles. Fill, fold to half moon or triangle. Bake 200C 22 mins.`,
      ).shape,
    ).toBe('half-moon'))
})

describe('one line whose shares go to several places', () => {
  it.each<[string, (string | number)[][]]>([
    [
      '6 eggs (4 hard-boiled, 2 raw)',
      [
        ['boiled-egg', 188],
        ['egg', 100],
      ],
    ],
    ['100 g cheddar, divided (80 g in the filling, 20 g on top)', [['cheddar', 80]]],
    ['150 g cheddar (100 g inside, 50 g on top)', [['cheddar', 100]]],
  ])('%s', (line, foods) => expect(inFilling(`300 g leeks\n${line}`).slice(1)).toEqual(foods))
  it('what is said to be for the dough goes there, and the water of a gourd takes no gourd with it', () => {
    const own = read(
      '6 eggs (4 hard-boiled, 2 for the dough)\n200 g bottle gourd (squeezed, save the water for dough)',
      'Fill. Bake 20 min.',
    )
    const idsOf = (kind: string) =>
      own.parts.find((part) => part.kind === kind)!.lines.map(({ foodId }) => foodId)
    expect(idsOf('shell')).toEqual(['plain-flour', 'water', 'egg'])
    expect(idsOf('filling')).toEqual(['boiled-egg', 'bottle-gourd'])
  })
})
