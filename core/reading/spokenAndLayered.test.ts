import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { DOUGH, eachOf, lineOf, parts, read, recipe } from '../../test/readText'
import { unmarkedRow } from './unmarkedRow'

// Lists that are spoken with their amounts now in front and now behind, what is stirred for the sheets of a tray, and
// what stands round a list.

/** A row cut into its lines. */
const cut = (row: string) => unmarkedRow(row, foods)?.map(({ text }) => text)

/** The foods of a part of some kind, each with its grams in whole numbers. */
const inPart = (text: string, kind: string) =>
  recipe(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId, grams }) => [foodId, grams && Math.round(grams)]))

describe('a spoken row', () => {
  it.each<[string, string[]]>([
    [
      'one capsicum chopped ginger garlic paste one teaspoon half a teaspoon turmeric',
      ['one capsicum chopped', 'ginger garlic paste one teaspoon', 'half a teaspoon turmeric'],
    ],
    [
      'cumin powder half a teaspoon chilli powder one teaspoon garam masala half a teaspoon',
      ['cumin powder half a teaspoon', 'chilli powder one teaspoon', 'garam masala half a teaspoon'],
    ],
    [
      'two chicken breasts about three hundred and fifty grams a punnet of mushrooms two fifty grams a leek',
      [
        'two chicken breasts about three hundred and fifty grams',
        'a punnet of mushrooms two fifty grams',
        'a leek',
      ],
    ],
    [
      'a roll of puff pastry the three hundred and twenty gram one a hundred mil of double cream',
      ['a roll of puff pastry the three hundred and twenty gram one', 'a hundred mil of double cream'],
    ],
  ])('%s', (row, lines) => {
    expect(cut(row)).toEqual(lines)
  })
  it('is not cut where a liquid fills up to a weight', () => {
    expect(eachOf('1 egg + milk to make 160g')).toEqual([
      ['egg', 50],
      ['milk', 110],
    ])
  })
  it('is a list behind what it is for, and a glaze at its end is the glaze alone', () => {
    const told =
      'so for these chicken parcels what you need is a roll of puff pastry two chicken breasts a leek some thyme and an egg for the glaze. fry the leek in butter for ten minutes. cut the pastry into six squares, fill, fold and bake at 200C for 25 minutes'
    expect(parts(told)).toEqual([
      'shell: puff-pastry',
      'filling: chicken-breast leek thyme butter',
      'finish: egg',
    ])
  })
  it.each<[string, [string, number][]]>([
    ['two onions around three hundred grams', [['onion', 300]]],
    ['a punnet of mushrooms two fifty grams', [['mushroom', 250]]],
    ['a roll of puff pastry the 320 gram one', [['puff-pastry', 320]]],
    ['50 mil water', [['water', 50]]],
  ])('%s', (line, grams) => {
    expect(eachOf(line)).toEqual(grams)
  })
  it('keeps the sour cream in the dough where the method tells what goes in', () => {
    const told =
      'Pierogi. The dough is 3 cups flour, 1 egg, 1/2 cup sour cream and a tsp of salt. Mix it, let it sit half an hour. For the inside boil 2 lbs potatoes mash them with 8 oz farmers cheese a fried onion salt and pepper. Fill, pinch. Boil till they float.'
    expect(parts(told)).toEqual([
      'shell: plain-flour egg sour-cream salt',
      'filling: potato twarog fried-onion black-pepper salt',
    ])
  })
})

describe('a line', () => {
  it.each(['salt & loads of white pepper', 'salt and a ton of white pepper', 'salt, masses of white pepper'])(
    'has its salt and its pepper: %s',
    (line) => {
      expect(eachOf(line).map(([food]) => food)).toEqual(['salt', 'white-pepper'])
    },
  )
  it.each<[string, [string, number | null][]]>([
    ['chives, big bunch', [['chives', 30]]],
    ['coriander - a large bunch', [['coriander-leaf', 81]]],
    [
      'Green chilli ginger paste - 1 tsp',
      [
        ['green-chilli', 2],
        ['ginger', 2],
      ],
    ],
    [
      '2 tsp chilli, ginger and garlic paste',
      [
        ['green-chilli', 2],
        ['ginger', 2],
        ['garlic', 3],
      ],
    ],
    ['1 tsp ginger garlic paste', [['ginger-garlic-paste', 5]]],
    [
      'two tablespoons soy and one sesame oil',
      [
        ['soy-sauce', 32],
        ['sesame-oil', 14],
      ],
    ],
    [
      '2 tbsp soy sauce and 2 eggs',
      [
        ['soy-sauce', 32],
        ['egg', 100],
      ],
    ],
    ['pack of 8 frankfurters', [['smoked-sausage', 400]]],
    ['1 1/2 cups leftover chili, thick', [['chilli-con-carne', 375]]],
    ['1 cup leftover veggie chili', [['bean-chilli', 250]]],
    ['60 zorblax pieces', [[undefined as never, null]]],
    [
      '2 green chillies, ginger garlic paste 1 tsp',
      [
        ['green-chilli', 16],
        ['ginger-garlic-paste', 5],
      ],
    ],
    ['some leftover roast lamb maybe 250 grams', [['cooked-lamb', 250]]],
    ['a bit of feta like 80 grams', [['feta', 80]]],
    [
      'paste of 2 tbsp flour and 3 tbsp water',
      [
        ['plain-flour', 16],
        ['water', 45],
      ],
    ],
    ['2 chillies, chopped', [['green-chilli', 16]]],
    ['Patti - 12 nos', [['samosa-strip', 108]]],
    ['1/2 tsp green chilli', [['green-chilli', 2]]],
    ['1 tsp chilli', [['chilli-powder', 2]]],
    ['100 zorblax', [[undefined as never, 100]]],
    ['12 zorblaxes', [[undefined as never, null]]],
  ])('%s', (line, grams) => {
    expect(eachOf(line)).toEqual(grams)
  })
  it.each(['s+p, bit of thyme', 'salt & pepper, thyme'])(
    'has what stands behind its seasoning: %s',
    (line) => {
      expect(eachOf(line).map(([food]) => food)).toEqual(['salt', 'black-pepper', 'thyme'])
    },
  )
  it.each(['2 leeks, 100 ml double cream and an egg for the glaze', '1 leek, thyme and egg to glaze'])(
    'glazes with the egg alone: %s',
    (line) => {
      const own = read(`300 g mince\n${line}`, 'Fill, fold. Bake at 200C for 20 minutes.')
      const finish = own.parts.filter(({ kind }) => kind === 'finish').flatMap(({ lines }) => lines)
      expect(finish.map(({ foodId }) => foodId)).toEqual(['egg'])
    },
  )
  it.each(['24g protein | 310 kcal', 'Makes 12 | 24g protein | 310 cal', '310 kcal / 24P / 30C / 8F'])(
    'of figures lists nothing: %s',
    (figures) => {
      const own = recipe(`Turkey pockets\n${figures}\n\nDough\n${DOUGH}\n\nFilling\n300 g turkey mince`)
      expect(own.parts.flatMap(({ lines }) => lines).map(({ foodId }) => foodId)).not.toContain(null)
    },
  )
  it.each([
    'to serve - fried onions & sour cream',
    'To serve – fried onions and sour cream',
    'to serve: fried onions, sour cream',
  ])('%s', (line) => {
    const text = `Varenyky\n\ndough - 500 g flour, 250 ml water\nfilling - 800 g potatoes\n${line}\n\nFill, fold. Boil 4 min.`
    expect(inPart(text, 'dip').map(([food]) => food)).toEqual(['fried-onion', 'sour-cream'])
  })
})

describe('how many', () => {
  it.each<[string, number]>([
    ['(50ish)', 50],
    ['50-ish dumplings', 50],
    ['makes 16-20ish', 16],
    ['x 24', 24],
    ['Recipe Servings: 20 pieces', 20],
    ['Serves: 3 Pieces: 6', 6],
    ['Yield: 6 Servings: 3', 6],
  ])('below the title: %s', (count, pieces) => {
    const own = recipe(
      `Pork dumplings\n${count}\n\nFilling\n500 g pork mince\n\nWrappers\n400 g flour\n210 g water\n\nFill. Steam 10 min.`,
    )
    expect([own.pieces, own.piecesStated]).toEqual([pieces, true])
  })
  it.each<[string, number]>([
    ['Divide dough in 6. Roll each to a round. Spread filling on half, top with cheese, fold and crimp.', 6],
    ['Divide dough in 6, roll each, fill half and fold the other half over, crimp.', 6],
    ['Cut 24 rounds. Put filling on half, top with the rest.', 12],
    ['Cut 24 rounds. Spoon filling onto half of them, cover with the others, seal.', 12],
  ])('%s', (steps, pieces) => {
    expect(read('400 g ricotta', `${steps} Bake at 230C for 12 min.`, 'Calzones').pieces).toBe(pieces)
  })
})

describe('how many of what is bought', () => {
  it.each(['Cut each crust into 4 circles.', 'Cut 4 circles from each crust.', 'Cut each crust in 4.'])(
    '%s',
    (cuts) => {
      const own = recipe(
        `Hand pies\n\n2 refrigerated pie crusts (14 oz box)\n300 g feta\n\n${cuts} Fill, fold. Bake at 200C 20 min`,
      )
      expect(own.pieces).toBe(8)
    },
  )
  it.each(['Serving: 4 bowls', 'Serving: 4', 'Serving: 4 people'])('says who eats: %s', (label) => {
    const own = recipe(
      `Dumplings\n${label}\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\nDivide into 12. Boil 5 min`,
    )
    expect([own.servings, own.servingsStated]).toEqual([4, true])
  })
  it('says what one eats', () => {
    const own = recipe(
      `Dumplings\nServing: 4 pieces\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\nDivide into 12. Boil 5 min`,
    )
    expect(own.servings).toBe(3)
  })
})

it('says each other number of pieces once, however often the text gives it', () => {
  const balls =
    'Make golf ball sized balls (approx 16), flatten in plastic 4-5 inches, 1 T filling each, fold over and seal the edges well.'
  const own = recipe(
    `Turnovers\n(for 25 momos)\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\n${balls}\nMakes 8\nMake 8 balls of dough and 8 of stuffing, roll and fill.\n${balls.replace('Make', 'Shape')}\n${balls.replace('Make', 'Roll')}`,
  )
  const differs = own.notes.find(({ code }) => code === 'pieces-differ')!.text
  expect(differs.match(/16 \("/g)).toHaveLength(1)
  expect(differs.length).toBeLessThan(600)
})

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

describe('a row with a stroke and nothing else', () => {
  it('stands between two parts', () => {
    const text =
      'Calzone (1)\n100 g flour\n60 g yogurt\n/\n60 g cooked chicken\n50 g mozzarella\n/\nMix, roll, fill, fold. Bake at 200C 12 min'
    expect(parts(text)).toEqual(['shell: plain-flour yogurt', 'filling: cooked-chicken mozzarella'])
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

describe('the name of the dish', () => {
  it('stands below a table whose first row names a part', () => {
    const own = recipe(
      '| BUN DOUGH | |\n| --- | --- |\n| bread flour | 350 g |\n| milk | 180 g |\n| **FILLING** | |\n| minced beef | 250 g |\n\nCurry buns (pan style), 10 pcs\n\nKnead. Wrap. Deep fry at 170C for 4 min.',
    )
    expect([own.title, own.pieces]).toEqual(['Curry buns (pan style)', 10])
    expect(own.parts[0]!.name).toBe('BUN DOUGH')
  })
  it('is not who posted it', () => {
    const own = recipe(
      `[Posted by: lena_k]\nPoppy seed rolls\n\nDough\n${DOUGH}\n\nFilling\n300 g ground poppy seeds\n\nRoll up. Bake at 180C 35 min.`,
    )
    expect(own.title).toBe('Poppy seed rolls')
  })
  it('says for whom it is', () => {
    const own = recipe(
      "here's how we do cheese pide, for two: 250 g bread flour, 160 ml lukewarm water, half tsp salt. mix, knead 8 min. filling is 150 g mozzarella. split dough in 2, roll, fold over. oven 250, 10 min",
    )
    expect([own.title, own.servings, own.servingsStated]).toEqual(['Cheese pide', 2, true])
  })
  it('ends where somebody goes on talking', () => {
    expect(
      recipe(
        "so today we're making paneer parcels okay so for the dough I'm taking two cups of atta and some water, knead it, for the filling 200 g paneer, fill and cook on a tawa",
      ).title,
    ).toBe('Paneer parcels')
  })
})
