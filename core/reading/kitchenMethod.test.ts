import { describe, expect, it } from 'vitest'
import { lineOf, parts, read, recipe } from '../../test/readText'

// Methods as they stand on pages and cards: counts, heat, pots and what is told besides.

const FILLING = '300 g pork mince\n1 onion, chopped'
const made = (steps: string) => read(FILLING, steps, 'Turnovers').pieces
const baked = (steps: string) => {
  const { way, temperatureC, minutes, andThen } = read(FILLING, `Fill, fold over and seal.\n${steps}`).cooking
  return [
    way,
    temperatureC,
    minutes,
    ...(andThen ? [andThen.way, andThen.temperatureC, andThen.minutes] : []),
  ]
}
const factsOf = (steps: string) =>
  Object.fromEntries(
    read(FILLING, `${steps}\nBake at 200C for 20 min.`).facts.map(({ kind, low }) => [kind, low]),
  )
const filled = (list: string, steps: string) =>
  read(
    list,
    `${steps}\nDivide the dough into 12, roll, fill, fold, seal.\nBake at 200C for 20 min.`,
  ).parts.find(({ kind }) => kind === 'filling')!

describe('how many', () => {
  it.each([
    ['Split the dough into two; keep one covered. Divide the first into 8 balls. Repeat with the rest.', 16],
    ['Roll out to a rectangle 40 cm x 30 cm, then cut into 10 cm squares.', 12],
    ['Roll the dough to 30 x 40 cm and cut squares of 10 cm.', 12],
    ['Divide in 2, then each in 8 pieces.', 16],
    ['Cut each ball in half to make 16 semicircles from 8 balls.', 16],
    ['Divide the dough into 4 strips (20 pieces).', 20],
  ])('%s', (steps, pieces) => expect(made(`${steps}\nFill and seal. Bake at 200 for 20 min.`)).toBe(pieces))

  const sheets = (steps: string) =>
    recipe(
      `Puffs\n2 sheets puff pastry\n\nFilling\n300 g pork mince\n\nMethod\n${steps}\nBake at 200 for 20 min.`,
    ).pieces
  it.each([
    ['Cut each sheet in 9 squares (18 puffs).', 18],
    [
      'Lay out one sheet. Dot teaspoons of filling in 4 rows of 5. Cover with the other sheet and cut between.',
      20,
    ],
    ['Cut the first sheet into 6 bases and the second into 6 lids.', 6],
    ['Slice each sheet in half, fill, roll up like a sausage and cut into 5 pieces.', 20],
  ])('of sheets: %s', (steps, pieces) => expect(sheets(steps)).toBe(pieces))

  it('what one may have is no number, and water that comes up the side of a pan is none', () => {
    expect(
      read(
        FILLING,
        'Fill, seal. Oven to 240C with a baking stone if you have one.',
        'Calzone\nMakes 2',
      ).notes.map(({ code }) => code),
    ).not.toContain('pieces-differ')
    expect(
      recipe(
        'Dumplings\n30 wrappers\n\nFilling\n200 g pork mince\n\nMethod\nFill. Fry the bottoms for 2 minutes. Pour in enough water to come 5mm up the side, put on the lid and cook for 6 minutes.',
      ),
    ).toMatchObject({ pieces: 30, cooking: { way: 'brown-and-steam', minutes: 8 } })
  })
})

describe('heat', () => {
  it.each<[string, unknown[]]>([
    ['Oven to 240C / gas 9 with a baking stone if you have one.\nBake 12-15 mins.', ['bake', 240, 14]],
    [
      'Fry them twice: first 3 minutes at 160, then 1 minute at 190.',
      ['deep-fry', 160, 3, 'deep-fry', 190, 1],
    ],
    ['Steam 5 min, then 10 minutes at 200C.', ['steam', null, 5, 'bake', 200, 10]],
    ['Cook in a sandwich press for 5 minutes.', ['griddle', null, 5]],
    ['Simmer until they float; give them another 2 minutes.', ['boil', null, 2]],
    [
      'Drop into boiling water, when they float cook 2 minutes longer, then drain and fry in butter until golden.',
      ['boil', null, 2, 'shallow-fry', null, null],
    ],
    [
      'Brown in oil on both sides for 2 minutes. Add the stock, cover and simmer 10 minutes.',
      ['brown-and-steam', null, 14],
    ],
    [
      'Heat 1 tbsp oil in a skillet. Fry the dumplings till golden, 2 min. Add 1/3 cup water. Cover and cook for 5 min. Uncover and cook 1 min.',
      ['brown-and-steam', null, 8],
    ],
  ])('%s', (steps, expected) => expect(baked(steps)).toEqual(expected))
  it('says which other way a text allows, and no bracket of it that was opened before', () => {
    const other = (steps: string) =>
      read(FILLING, `Fill, seal.\n${steps}`).notes.find(({ code }) => code === 'other-way')?.text
    expect(other('Dry pan, covered, 5 min a side, or oven 230 for 12-15 min.')).toMatch(
      /or oven 230 for 12-15 min$/,
    )
    expect(other('Bake 200C 18 mins (or airfry 180C 12 mins).')).toMatch(/12 mins$/)
  })
  it('names the fat in which they are crisped', () => {
    const of = read(FILLING, 'Fill, seal. Simmer gently 4 min. Saute in butter till crisp.')
    expect(of.parts.find(({ kind }) => kind === 'pan')!.lines.map(({ foodId }) => foodId)).toEqual(['butter'])
  })
})

describe('facts', () => {
  it('so long it stays good is no chilling', () => {
    const of = read(
      FILLING,
      'Fill, seal. Bake at 200 for 20 min.\nKeeps 3 days in fridge, freeze unbaked up to 3 months.',
    )
    expect(of.facts.map(({ kind }) => kind)).not.toContain('chill-minutes')
    expect(of.method).toHaveLength(1)
    expect(factsOf('Fill, seal. They keep 3 days in the fridge.')).not.toHaveProperty('chill-minutes')
  })
  it.each([
    ['Knead the dough, 1.5 h to rise.', 'rise-minutes', 90],
    ['Fry 3-4 samosas at a time.', 'batch-pieces', 3],
    ['Roll the dough to 1 mm sheets.', 'thickness-mm', 1],
    ['Pipe teaspoons of filling 4 cm apart.', 'filling-tbsp-per-piece', 0.33],
    ['Roll into circles, put 50 g mince in the middle, seal.', 'filling-grams-per-piece', 50],
    ['Take 25 g of the dough, flatten, fill.', 'ball-grams', 25],
    ['Divide the dough into 12 equal portions (each about 65 grams).', 'ball-grams', 65],
  ])('%s', (steps, kind, low) => expect(factsOf(steps)).toMatchObject({ [kind]: low }))
  it('one that is kept covered is kept for no minute, and a spoon of salt fills nothing', () => {
    expect(factsOf('Split the dough into two; keep one covered.')).not.toHaveProperty('rest-minutes')
    expect(factsOf('Mix the filling, season with 1 tsp salt, divide between the rounds.')).not.toHaveProperty(
      'filling-tbsp-per-piece',
    )
  })
})

describe('pots', () => {
  it('melted butter is in a pan of its own, behind what was poached', () =>
    expect(
      filled(
        '600 g chicken thighs\n50 g butter\n50 g flour\n500 ml chicken stock\n2 leeks',
        'Poach the chicken in the stock for 20 mins. Remove and shred. Melt the butter and cook the leeks gently for 10 mins. Stir in the flour, then the stock. Simmer 5 mins. Add the chicken. Cool.',
      ),
    ).toMatchObject({ cookedBy: 'simmer', cookedMinutes: 25 }))
  it('what is boiled beside the frying pan boils alone', () => {
    const of = filled(
      '1 kg onions\n600 g beef\n300 g potatoes\n100 g dripping',
      'Fry the onions in the dripping 15 min, add the beef 5 min only. Boil the potatoes separately 5 min & add.',
    )
    expect(of).toMatchObject({ cookedBy: 'fry', cookedMinutes: 20 })
    expect(of.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy])).toContainEqual(['potato', 'simmer'])
  })
  it.each<[string, string, Record<string, unknown>]>([
    [
      'Fry the chorizo for 5 minutes, drain, add the potatoes and cook for a further 10 minutes.',
      '150 g chorizo\n300 g potatoes',
      { cookedBy: 'fry', cookedMinutes: 15 },
    ],
    [
      'Cook apples in water till tender and water is gone, about 30 min. Mash with the butter.',
      '8 oz dried apples\n1 cup water\n2 tbsp butter',
      { cookedBy: 'simmer', cookedMinutes: 30, untilDry: true },
    ],
    [
      'Brown the mince with the onion, chuck in the potato and water. Lid on, 15 min till soft. Cool.',
      '300 g beef mince\n1 onion\n1 potato\n100 ml water',
      { cookedBy: 'simmer', cookedMinutes: 15 },
    ],
  ])('%s', (steps, list, expected) => expect(filled(list, steps)).toMatchObject(expected))
  it('eggs that are whisked and scrambled are cooked, the cheese behind them is not', () => {
    const of = filled(
      '225 g sausage meat\n4 eggs\n2 tbsp milk\n50 g cheddar',
      'Brown sausage in skillet; drain. Whisk eggs and milk; scramble in same skillet until just set. Stir in sausage and cheese. Cool.',
    )
    expect(of.cookedBy).toBe('fry')
    expect(of.lines.filter(({ cookedBy }) => cookedBy === 'raw').map(({ foodId }) => foodId)).toEqual([
      'cheddar',
    ])
  })
})

describe('where it goes', () => {
  it('a sauce listed at the end of a row of work is one', () =>
    expect(
      parts(
        'Gyoza\n30 gyoza wrappers\n200 g firm tofu\n1 T soy\n\nmix filling. pleat. fry 3 min in 1 T oil, splash water (60 ml), lid on 4 min. dip: 2 T soy, 1 T rice vinegar',
      ).at(-1),
    ).toBe('dip: soy-sauce vinegar'))
  it('a colon in front of work lists nothing', () =>
    expect(
      parts(
        `Pies\nDough\n300 g flour\n160 ml water\n\nFilling\n${FILLING}\n\nMethod\nMix. Fill. To serve: 2 people share one, hot.`,
      ),
    ).toHaveLength(2))
  it('fat and water below "assembly" with bought wrappers are the pan’s', () => {
    const of = recipe(
      'Potstickers\n\nFOR THE FILLING\n8 oz ground pork\n1 Tbsp soy sauce\n\nFOR ASSEMBLY\n50 round dumpling wrappers\n3 Tbsp neutral oil, divided\n1 cup water, divided\n\nFill each wrapper, wet edges, pleat.\nHeat 1 Tbsp oil in a large nonstick skillet. Add a third of the dumplings; cook till golden, 2 min. Add 1/3 cup water; cover and cook 5 min. Repeat twice.',
    )
    expect(of.parts.map(({ kind, lines }) => [kind, lines.map(({ foodId }) => foodId)])).toEqual([
      ['shell', ['dumpling-wrapper']],
      ['filling', ['minced-pork', 'soy-sauce']],
      ['pan', ['sunflower-oil', 'water']],
    ])
    expect(lineOf(of, 'sunflower-oil')!.grams).toBeCloseTo(40.8)
  })
  it('what is strewn over the pieces is no pan’s, wherever the list has it', () =>
    expect(
      parts(
        'Buns\nMakes 12\n\nDough\n300 g flour\n165 g water\n\nFilling\n250 g pork mince\n\nTo cook\n1 tbsp oil\n150 ml water\nsesame seeds and chopped chives\n\nMethod\nFill, pleat shut. Fry 2 min. Pour in the water, cover and cook 7 min. Sprinkle with sesame and chives.',
      ),
    ).toContain('finish: sesame-seed chives'))
  it('butter of which the method brushes sheets and tops is all brushed on', () => {
    const of = recipe(
      'so for my spinach and feta triangles you want a packet of filo thats 270 grams and then about 500 grams of frozen spinach, 200 grams of feta crumbled up, 2 eggs. mix all that up. melt about 80 grams of butter. cut the sheets into three strips lengthways, brush with butter, put a spoon of filling at the end and fold up into triangles. you get around 24. brush the tops with the rest of the butter. oven at 190 for 20 minutes',
    )
    expect(
      of.parts.find(({ kind }) => kind === 'finish')!.lines.map(({ foodId, grams }) => [foodId, grams]),
    ).toEqual([['butter', 80]])
    expect(of.parts.find(({ kind }) => kind === 'filling')!.lines.map(({ foodId }) => foodId)).not.toContain(
      'butter',
    )
  })
  it('pastry from the shop, told with its sheets above a list, is the dough and nothing goes into it', () =>
    expect(
      parts(
        'Curry puffs\n\nI use store bought puff pastry, 2 sheets, each cut in 9 squares (18 puffs).\n\nFilling\n1 large potato (250g) cubed small\n1 tbsp curry powder\n3/4 tsp salt\n\nFry the potato. Add curry powder and salt. Put a tbsp on each square, fold. 200C 20 minutes.',
      ),
    ).toEqual(['shell: puff-pastry', 'filling: potato curry-powder salt']))
})

describe('shapes', () => {
  it.each([
    [
      'Flatten each, add the filling, gather the edges and twist. Put on paper. Steam 15 minutes.',
      'Siopao',
      'bun',
    ],
    ['Flatten each, fill, gather the edges up, twist. Steam 15 minutes.', 'My supper', 'bun'],
    [
      'Roll, fill, pull the edges up and pinch. Turn over and flatten slightly. Bake 20 min at 200.',
      'Tikka parcels',
      'disc',
    ],
    ['1 tsp in each, pinch corners together. Fry 3 min.', 'Crab rangoon', 'parcel'],
  ])('%s', (steps, title, shape) => expect(read(FILLING, steps, title).shape).toBe(shape))
})

describe('what is sealed and dipped with', () => {
  it('a paste of flour beside wrappers seals them', () =>
    expect(
      parts(
        'Samosas\nMakes 24\n\nFilling\n450 g beef mince\n\nFor assembly\n12 spring roll wrappers, cut in half lengthwise\n1 tablespoon flour mixed with 2 tablespoons water\n\nFry the beef. Fold, fill and seal with flour paste. Bake 15 min at 200C.',
      ),
    ).toEqual(['shell: spring-roll-wrapper', 'filling: minced-beef', 'finish: plain-flour water']))
  it('flour with water by the cup stays a dough', () =>
    expect(
      parts('Pies\n\nDough\n12 sheets filo\n200 g flour\n120 ml water\n\nFilling\n300 g mince\n\nFill.')[0],
    ).toBe('shell: filo plain-flour water'))
  it('raw egg to dip in is on the pieces, and no sauce', () =>
    expect(
      parts(
        'Parcels\n8 sheets rice paper\n\nFilling\n1 can tuna (120g drained)\n50g cheddar\n\n1 egg (for dipping)\n\nDip paper in beaten egg, fill, fold. Air fry 200C 10 mins.',
      ),
    ).toEqual(['shell: rice-paper', 'filling: tuna-can cheddar', 'finish: egg']))
  it('a disc that is closed and formed to a ball is a bun', () =>
    expect(
      read(
        FILLING,
        'Flatten into discs, fill; pinch up to close, form a ball then poke a hole. Bake 22 min.',
        'Stuffed bagels',
      ).shape,
    ).toBe('bun'))
})

describe('what stands beside what', () => {
  it('yeast that is proofed does not rise, and the dough behind it does', () =>
    expect(
      read(
        FILLING,
        'Proof yeast in the water 10 min. Knead 10 min. Rise 1.5 hr. Fill. Bake 350 25 min.',
        'Buns',
      )
        .facts.filter(({ kind }) => /^r/.test(kind))
        .map(({ kind, low }) => [kind, low]),
    ).toEqual([
      ['rest-minutes', 10],
      ['rise-minutes', 90],
    ]))
  it('pieces float, and the filling of the pot before them does not cook so long', () =>
    expect(
      read(
        '700 g sauerkraut\n2 onions\n3 tbsp oil',
        'Boil the sauerkraut 40 min, squeeze. Fry the onion in the oil, add the sauerkraut, fry 10 min until dry.\nRoll out, cut with a glass. Heaped tsp of filling. Boil 2-3 min after floating.',
        'Pierogi\nMakes 60',
      ).parts.find(({ kind }) => kind === 'filling')!.cookedMinutes,
    ).toBe(40))
  it('chicken in a pan that was sprayed is fried', () =>
    expect(
      filled(
        '400g chicken breast, diced\n1 onion, sliced',
        'Spray a pan, cook onion 5 mins and chicken 6-8 mins.',
      ),
    ).toMatchObject({
      cookedBy: 'fry',
    }))
  it('eggs are scrambled, though they cool in the same breath', () => {
    const of = filled(
      '6 rashers bacon\n4 eggs\n80 g cheddar',
      'Grill the bacon until crisp. Scramble the 4 eggs softly and leave to cool. Mix with bacon and cheese.',
    )
    expect([of.cookedBy, ...of.lines.map(({ cookedBy }) => cookedBy)]).toEqual(['fry', 'roast', null, 'raw'])
  })
  it('rounds of which half are lids are as many pieces as are filled', () =>
    expect(
      made(
        'Roll out, cut 16 discs. Put 1 tbsp filling on 8 of them, brush edges, lay the rest on top and crimp.',
      ),
    ).toBe(8))
  it('heat and minutes may stand with a cross between them, and what is rolled tight is a roll', () =>
    expect(
      recipe(
        'Taquito rolls\n12 corn tortillas\n\nFilling\n1 can black beans (15 oz) drained\n\n3 tbsp each, roll tight, seam down. 425 x 18 min.',
      ),
    ).toMatchObject({ shape: 'roll', cooking: { way: 'bake', temperatureC: 220, minutes: 18 } }))
})

describe('times that are none of the work', () => {
  const timesOf = (steps: string) =>
    read(FILLING, `${steps}\nBake at 200C for 20 min.`).facts.map(({ kind, low }) => [kind, low])
  it.each<[string, [string, number][]]>([
    ['Chill for at least 2 hours or overnight.', [['chill-minutes', 120]]],
    ['Rest the dough 30 minutes at room temperature or overnight in the fridge.', [['rest-minutes', 30]]],
    ['Bulk ferment 2 hours, folding every 30 minutes.', [['rise-minutes', 120]]],
    ['Freeze for 20 minutes before baking.', [['chill-minutes', 20]]],
    ['These freeze beautifully.', [['freezes', 1]]],
    [
      'Autolyse 20 minutes, then add salt and knead for 5.',
      [
        ['rest-minutes', 20],
        ['knead-minutes', 5],
      ],
    ],
    ['Each ball should weigh about 45g.', [['ball-grams', 45]]],
  ])('%s', (steps, expected) => expect(timesOf(steps)).toEqual(expected))
  it('an oven that heats while they chill bakes nothing yet', () =>
    expect(
      read(
        FILLING,
        'Fill, seal.\nPut them in the freezer for 10 minutes while the oven heats.\nBake at 200C for 20 min.',
      ).cooking,
    ).toMatchObject({ way: 'bake', minutes: 20 }))
})

describe('by the dish and by the piece', () => {
  it('pies in so many dishes are as many', () =>
    expect(
      recipe(
        'Butter pies\n500 g shortcrust\n900 g potatoes\n\nBoil the potatoes 10 min. Layer in 4 individual pie dishes lined with pastry (12 cm). Lids on, crimp. 190C 35 min.',
      ).pieces,
    ).toBe(4))
  it('what is wrapped weighs so much in each', () =>
    expect(factsOf('Flatten, wrap 40 g bean paste, seal.')).toMatchObject({ 'filling-grams-per-piece': 40 }))
})

describe('what the rules above leave alone', () => {
  it('a number that is told counts more than what a sheet would hold', () =>
    expect(made('Roll out to 30 x 40 cm, cut 9 squares of 10 cm.')).toBe(9))
  it('oil that floats is of the pot', () =>
    expect(
      filled(
        '300 g pork mince\n2 tomatoes\n2 tbsp oil',
        'Fry the mince in the oil 5 min, add the tomatoes. Cook till the oil floats, 8 min. Cool.',
      ).cookedMinutes,
    ).toBe(13))
  it('a small dough is a dough', () =>
    expect(
      parts(
        'One pasty\n\n50 g flour\n25 g butter\n2 tsp water\n60 g cheddar\n\nFill, fold. Bake 20 min at 200C.',
      )[0],
    ).toMatch(/^shell: plain-flour butter water/))
})
