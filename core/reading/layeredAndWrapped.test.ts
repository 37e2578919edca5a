import { describe, expect, it } from 'vitest'
import { eachOf, lineOf, parts, read, recipe } from '../../test/readText'

// What the method says of parts: sheets and what is stirred for them, doughs in layers, fruit that is wrapped whole.

describe('sheets in a tray', () => {
  const burek = (steps: string) =>
    recipe(
      `Cheese burek\nServes 6\n\n270 g pack of filo\n250 g cottage cheese\n2 eggs\n150 ml milk\n4 tbsp olive oil\n\n${steps}`,
    )
  it.each([
    'Mix the cheese with one egg. Whisk the other egg with milk and oil. Lay 2 sheets in an oiled 20x30cm tin, brush with the egg-milk mix. Add half the filling. 2 more sheets, brush, rest of filling. Score into squares. Bake at 180C for 40 min.',
    'Mix the cheese with one egg. Beat the remaining egg with the milk and oil. Layer the filo in a tin, drizzling each sheet with the mixture, filling in the middle. Bake at 180C for 40 min.',
  ])('are one, with what is stirred for them: %s', (steps) => {
    const own = burek(steps)
    expect([own.pieces, own.shape, own.servings]).toEqual([1, 'lidded-pie', 6])
    const grams = (kind: string) =>
      own.parts
        .filter((part) => part.kind === kind)
        .flatMap(({ lines }) => lines.map((line) => [line.foodId, Math.round(line.grams!)]))
    expect(grams('filling')).toEqual([
      ['cottage-cheese', 250],
      ['egg', 50],
    ])
    expect(grams('finish')).toEqual([
      ['egg', 50],
      ['milk', 153],
      ['olive-oil', 54],
    ])
  })
})

describe('what the method does', () => {
  it.each<[string, number | null]>([
    ['firm dough, rest 40min', 40],
    ['dough med soft rest 20', 20],
    ['dough: soft, rest 20 min', 20],
    ['stiff dough - knead 10', null],
  ])('says how a dough is to be, and heads nothing: %s', (row, minutes) => {
    const own = recipe(
      `Khinkali\nDough\n500g flour\n220ml water\n\nMeat\n300g beef mince\n\n${row}\nroll, cut, fill\nboil 8-10min\n30 pcs`,
    )
    expect(own.method[0]).toBe(row)
    expect(own.facts.find(({ kind }) => kind === 'rest-minutes')?.low ?? null).toBe(minutes)
    expect(own.parts.map(({ kind }) => kind)).toEqual(['shell', 'filling'])
  })
  it.each(['2-3 min per thepla.', '3 min per paratha.', 'About 3 minutes for each one.'])(
    'takes its time behind a way that has none: %s',
    (time) => {
      const { cooking } = read('200 g paneer', `Fill, seal, roll out. Cook on a hot tawa. ${time}`)
      expect([cooking.way, cooking.minutes]).toEqual(['griddle', 3])
    },
  )
  it('wets a dough that is folded with its butter as one without it', () => {
    const dough = (work: string) =>
      recipe(
        `Keema patties\n\nDough\n250 g maida\n150 g butter\nwater as required\n\nFilling\n300 g mutton keema\n\n${work} Cut 12 squares, fill, fold. Bake at 200C 20 min.`,
      )
    const layered = lineOf(
      dough('Make dough with maida and water. Roll, spread butter, fold in three, chill. Repeat 3 times.'),
      'water',
    )!
    const inSquares = lineOf(
      dough('Make dough with maida and water. Roll, dot with butter, fold in three. Cut into 12 squares.'),
      'water',
    )!
    expect(inSquares.grams).toBe(layered.grams)
    const rubbed = lineOf(dough('Rub the butter into the maida, bring together with water.'), 'water')!
    expect(layered.grams! / 250).toBeGreaterThan(0.44)
    expect(rubbed.grams! / 250).toBeLessThan(0.31)
  })
  it('lists a dip that is told by its halves', () => {
    const own = recipe(
      'Veggie dumplings. I use 400 g firm tofu, two carrots and two tablespoons soy for the filling, and forty round wrappers. A teaspoon in each, pleat. Then steam ten minutes. Dip is soy and rice vinegar half and half.',
    )
    expect(own.parts.find(({ kind }) => kind === 'dip')?.lines.map(({ foodId }) => foodId)).toEqual([
      'soy-sauce',
      'vinegar',
    ])
  })
  it.each([
    'Fry the onion 3 minutes. Add everything and cook for five minutes.',
    'Fry the onion 3 minutes, add all the other filling ingredients, cook 5 minutes.',
  ])('cooks everything: %s', (steps) => {
    const own = read('200 g paneer\n1 onion\n1 capsicum', `${steps} Fill, fold, cook on a tawa.`)
    const filling = own.parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, filling.cookedMinutes]).toEqual(['fry', 8])
    expect(lineOf(own, 'paneer')!.cookedBy).toBeNull()
  })
  it.each<[string, number]>([
    ['Potstickers: hot oiled pan, 2 min, add 80ml water, lid on 6 min, lid off til crisp.', 8],
    ['Oiled pan, flat side down, 3 min. Water to come 1 cm up, lid, 8 min.', 11],
    ['Oil in a hot pan, 2 min, water 1 cm deep, lid on 6 min.', 8],
  ])('browns and steams: %s', (steps, minutes) => {
    const { cooking } = read('500 g pork mince', `Fill, pleat. ${steps}`)
    expect([cooking.way, cooking.minutes]).toEqual(['brown-and-steam', minutes])
  })
  it('strews the seeds that are listed, and no others', () => {
    const own = read(
      '300 g ham\n1 egg + 1 tbsp water\ncaraway seeds',
      'Fill, fold. Egg wash, seeds. Bake at 200C for 20 min.',
    )
    expect(lineOf(own, 'mixed-seeds')).toBeUndefined()
    expect(lineOf(own, 'caraway')).toBeDefined()
  })
  it('dusts with icing sugar, though another sugar is in the fruit', () => {
    const own = read(
      '300 g apples\n50 g sugar',
      'Fill, fold. Bake at 190C for 20 min. Dust w/ powdered sugar.',
    )
    expect(lineOf(own, 'icing-sugar')!.grams).toBe(12)
  })
})

describe('parts and shapes', () => {
  it('fills a dough of potatoes with the plums that are listed with it', () => {
    const text =
      'Plum dumplings\n\n1 kg potatoes\n225 g flour\n1 egg\n30 g semolina\n16 plums\n16 sugar cubes\n\nbreadcrumbs 100 g\nbutter 60 g\nsugar & cinnamon\n\nBoil the potatoes, peel and mash. Knead with flour, egg and semolina. Stone the plums and put a sugar cube inside. Wrap each plum in dough. Simmer in salted water 15 minutes. Roll in crumbs fried in butter. Serve with sugar and cinnamon.'
    expect(parts(text)).toEqual([
      'shell: potato plain-flour egg semolina',
      'filling: plum sugar',
      'finish: breadcrumbs butter sugar cinnamon',
    ])
    const own = recipe(text)
    expect([own.shape, own.cooking.way, own.cooking.andThen]).toEqual(['bun', 'boil', null])
  })
  it('seals with the paste that a row tells', () => {
    const text =
      'Sambusa\n\nFilling\n1 cup cooked lentils\n\nWrapper\n10 spring roll sheets\nflour paste (2 tbsp flour + water)\noil for brushing\n\nFill, fold. Bake at 200C 20 min'
    expect(parts(text)).toContain('finish: plain-flour water sunflower-oil')
  })
  it('roasts nothing that had been roasted', () => {
    const own = read(
      '250 g roast lamb\nhalf a red onion',
      'Chop the roast lamb fine with the onion. Fill, fold, bake at 190C for 25 minutes.',
    )
    expect(own.parts.find(({ kind }) => kind === 'filling')!.cookedBy).toBeNull()
  })
  it('puts nothing into a bath that is strewn or brushed on', () => {
    const text =
      'Pretzel bites\n500g strong flour\n300ml water\n\n150g ham\n75g gruyere\n\nbath: 2l water + 100g bicarb\npretzel salt\n1 yolk\n\n40 x 20g pieces, fill. Boil in the bath 1 min. Yolk, salt. 220c 12-15 mins.'
    expect(parts(text).slice(2).sort()).toEqual(['finish: salt egg-yolk', 'pan: water baking-soda'])
  })
  it('buys nothing of what is made', () => {
    const text =
      'I do a vegan mushroom pie like this, serves 4: shortcrust from 300 g flour, 150 g vegan block, 4 tbsp water. Filling is 600 g chestnut mushrooms, 2 leeks, fried in olive oil for 15 minutes. Two thirds of the pastry lines a 23 cm tin, rest is the lid. 190 fan 40 min.'
    expect(parts(text)[0]).toBe('shell: plain-flour plant-block water')
    expect(recipe(text).title).toBe('Vegan mushroom pie')
  })
  it('fills one end with what is savoury, and the other with what is sweet', () => {
    const text =
      'Clangers\n\nPastry\n12 oz self raising flour\n6 oz suet\n300 ml water\n\nSavoury: 8 oz gammon, 1 onion\nSweet: 2 apples, 1 oz sugar\n\nRoll out, cut in 4. Savoury on one end, sweet on the other. Roll up. Bake 1 hr at 180C'
    expect(parts(text)).toEqual([
      'shell: self-raising-flour suet water',
      'filling: ham onion',
      'filling: apple sugar',
    ])
  })
  it('calls bread that is filled as balls a bun, whatever its name', () => {
    const rolls = 'Chorizo rolls\n\nDough\n450 g flour\n7 g yeast\n280 g water\n\nFilling\n200 g chorizo\n\n'
    expect(recipe(`${rolls}16 balls, fill, seal. Bake at 210C 15 min`).shape).toBe('bun')
    expect(recipe(`${rolls}Roll out, spread the filling, roll up. Bake at 210C 15 min`).shape).toBe('roll')
  })
  it('takes wraps of two grains for one thing', () => {
    expect(eachOf('6 small corn & wheat tortillas')).toEqual([['tortilla', 294]])
  })
})
