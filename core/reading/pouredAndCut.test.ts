import { describe, expect, it } from 'vitest'
import { eachOf, lineOf, parts, read, recipe } from '../../test/readText'

// Times without a verb, oil by the spoon, pieces that hold one whole or are cut when they are baked, and what is poured over.

describe('times that stand by themselves', () => {
  it.each<[string, string, number]>([
    ['Boil in salted water. 5-6 minutes or until tender.', 'boil', 6],
    ['Bake in a hot oven 220C. About 20 min, until deep golden.', 'bake', 20],
    ['Into the oven at 190. 30 minutes or so till brown.', 'bake', 30],
    ['Bake at 200C. 20 to 25 minutes, depending on your oven.', 'bake', 23],
    ['Shallow-fry in oil. 3 minutes each side until golden.', 'shallow-fry', 6],
    ['Place in 3 tbsp hot oil. 2-3 minutes each side until golden.', 'shallow-fry', 5],
    ['Put them in hot oil. 2-3 minutes each side until golden.', 'deep-fry', 5],
    ['Dry pan, lid on, 3 + 3 min.', 'griddle', 6],
    ['Fry 4 + 4 min.', 'shallow-fry', 8],
    ['Bake 15 + 10 min at 200C.', 'bake', 25],
  ])('%s', (steps, way, minutes) =>
    expect(read('400 g minced pork', `Fill, close. ${steps}`).cooking).toMatchObject({ way, minutes }),
  )
  it.each<[string, [string, number][]]>([
    ['Knead, 1 hr.', [['rest-minutes', 60]]],
    [
      'Knead 10 min, 1 hr.',
      [
        ['knead-minutes', 10],
        ['rest-minutes', 60],
      ],
    ],
    ['Knead 12 min.', [['knead-minutes', 12]]],
  ])('nobody kneads for an hour: %s', (steps, facts) =>
    expect(
      read('400 g minced pork', `${steps} Fill. Bake 20 min.`)
        .facts.filter(({ kind }) => /^(?:knead|rest)-minutes$/.test(kind))
        .map(({ kind, low }) => [kind, low]),
    ).toEqual(facts),
  )
  it('oil by the spoon is what is in the pan, and butter on top is counted', () => {
    const fried = read('400 g minced pork', 'Fill, close. Place in 3 tbsp hot oil. 3 minutes each side.')
    expect(fried.parts.find(({ kind }) => kind === 'pan')!.lines[0]!.grams).toBeCloseTo(40.8, 1)
    const dry = read('400 g minced pork', 'Fill, close. dry pan lid on, 3 + 3 min. butter on top while hot')
    expect(dry.parts.map(({ kind }) => kind)).toEqual(['shell', 'filling', 'finish'])
  })
})

describe('pieces that each hold one whole', () => {
  it.each([
    [
      '18 small smoked sausages (2 lb.)',
      'Pinch off egg size pieces of dough, flatten, wrap round a sausage.',
      18,
    ],
    ['8 frankfurters', 'Roll each frankfurter in a strip of dough.', 8],
    [
      '16 dates, pitted',
      'Pinch off walnut-sized pieces of dough, put a date in the middle of each, close.',
      16,
    ],
    ['6 boiled eggs\n2 onions, chopped', 'Wrap dough around each egg.', 6],
    ['400 g pork\n4 onions, chopped', 'Divide the dough into 12. Put an onion on each.', 12],
  ])('%s, %s', (lines, steps, pieces) =>
    expect(read(lines, `${steps} Bake 15 min at 190C.`, 'Buns').pieces).toBe(pieces),
  )
})

describe('what is poured over the pieces', () => {
  const pie = (lines: string, steps: string, title = 'Banitsa') =>
    recipe(
      `${title}\n\n1 pack filo (400 g)\n4 eggs\n300 g white brined cheese\n${lines}\n\nMix eggs and cheese. ${steps} Bake 40 min at 180C.`,
    )
  it.each([
    [
      '100 ml oil\n100 ml sparkling water',
      'Sprinkle the sheets with oil, fill, roll. Pour rest of oil + sparkling water on top.',
      'finish: sunflower-oil sparkling-water',
    ],
    [
      '80 g butter\n200 ml milk\n1 egg',
      'Brush the sheets with butter, fill, roll. Whisk milk and egg and pour over the rolls.',
      'finish: butter milk egg',
    ],
    [
      '80 g butter\n200 ml milk\n1 egg',
      'Brush the sheets with butter, fill, roll. Beat the last egg with the milk. Pour over the rolls.',
      'finish: butter milk egg',
    ],
  ])('%s: %s', (lines, steps, finish) => {
    const of = pie(lines, steps)
    expect(of.parts.filter(({ kind }) => kind === 'filling')[0]!.lines.map(({ foodId }) => foodId)).toEqual([
      'egg',
      'feta',
    ])
    expect(
      `finish: ${of.parts
        .find(({ kind }) => kind === 'finish')!
        .lines.map(({ foodId }) => foodId)
        .join(' ')}`,
    ).toBe(finish)
  })
  it('two of three eggs are poured over where the method says so', () => {
    const of = recipe(
      'Börek\n\n500 g filo\n600 g courgettes, grated\n3 eggs\n200 ml sparkling water\n\nMix the courgettes with 1 egg. Lay a sheet, fill, roll. Bake 25 min, beat 2 eggs with the sparkling water, pour over, bake 15 min more at 180.',
    )
    expect(
      of.parts.map(({ kind, lines }) => [
        kind,
        Math.round(lines.find(({ foodId }) => foodId === 'egg')?.grams ?? 0),
      ]),
    ).toEqual([
      ['shell', 0],
      ['filling', 50],
      ['finish', 100],
    ])
  })
  it('milk that is poured over yolks stays in their custard', () =>
    expect(
      parts(
        'Doughnuts\n\nDough\n500 g flour\n300 ml water\n\nCustard filling\n500 ml milk\n6 egg yolks\n125 g sugar\n\nHeat milk. Whisk yolks and sugar. Pour over, cook till thick. Cut 15, fill, close. Fry 2 min a side.',
      )[1],
    ).toBe('filling: milk egg-yolk sugar'))
  it.each(['Banitsa (cheese strudel-pie), 1 tray', 'Banitsa – 1 large tray', 'Banitsa (one 30 cm tray)'])(
    '%s is one',
    (title) => {
      const of = pie(
        '100 ml oil',
        'Brush with oil, fill, roll. Coil from the middle of the tray outwards.',
        title,
      )
      expect([of.pieces, of.piecesStated]).toEqual([1, true])
      expect(of.title).toMatch(/^Banitsa(?: \(cheese strudel-pie\))?$/)
      expect(of.shape).toBe('coil')
    },
  )
})

describe('stalks, flours and two before one weight', () => {
  it.each<[string, [string, number][]]>([
    ['green tops of 4 spring onions', [['spring-onion', 30]]],
    ['4 spring onions, green parts only', [['spring-onion', 30]]],
    ['3 leeks, white part only', [['leek', 450]]],
    ['cilantro half bunch', [['coriander-leaf', 30]]],
    ['300g flour T500', [['plain-flour', 300]]],
    ['250 g T150 flour', [['wholemeal-flour', 250]]],
    ['200 g rye flour type 1150', [['rye-flour', 200]]],
    [
      'khoya 200 g, chopped almonds & cashews 40 g, raisins 2 tbsp',
      [
        ['khoya', 200],
        ['almonds', 20],
        ['cashews', 20],
        ['raisins', 18],
      ],
    ],
    ['2 part-baked baguettes', [['baguette', 500]]],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('figures of ten pieces are no food', () =>
    expect(
      parts(
        `Pierogi\n\nDough\n${'300 g flour\n150 ml water'}\n\nFilling\n300 g quark\n\nBoil 3 min.\n\nPer 10 pierogi: 420 kcal, P 31 g, F 6 g`,
      )[1],
    ).toBe('filling: quark'))
})

describe('pulses and leaves as they are measured', () => {
  it.each<[string, [string, number][]]>([
    ['1 cup blanched spinach', [['cooked-spinach', 180]]],
    ['Spinach, blanched & chopped – 1 cup', [['cooked-spinach', 180]]],
    ['1 cup spinach, blanched and chopped', [['spinach', 30]]],
    ['200 g blanched spinach', [['spinach', 200]]],
    ['Lobia (black eyed beans) 1 cup soaked overnight', [['black-eyed-dry', 167]]],
    ['rajma 1 cup soaked', [['kidney-beans-dry', 184]]],
    ['1 cube (42 g) fresh yeast -- half is enough!', [['fresh-yeast', 42]]],
    ['2 onions -- big ones', [['onion', 220]]],
    ['10 triangle yufka (360 g)', [['yufka', 360]]],
  ])('%s', (text, expected) =>
    expect(
      recipe(`Buns\n\nDough\n300 g flour\n150 ml water\n\nFilling\n${text}\n\nFill. Bake 20 min.`)
        .parts.find(({ kind }) => kind === 'filling')!
        .lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)]),
    ).toEqual(expected),
  )
})

describe('what is cut when it is baked', () => {
  const roll = (steps: string, title = 'Ham roll') =>
    recipe(
      `${title}\n\nDough: 400 g flour, 200 ml milk, 7 g yeast\nFilling: 200 g ham, 80 g raisins\n\nRoll out, lay the ham over, roll up tight from the long side. ${steps}`,
    )
  it('is one', () => {
    const of = roll('Bake for 30-35 mins at 180C. Slice into 10.')
    expect([of.pieces, of.piecesStated, of.servings]).toEqual([1, true, 10])
  })
  it('cut before it is baked it is many', () =>
    expect(roll('Slice into 10. Bake for 20 mins at 180C.', 'Ham pinwheels').pieces).toBe(10))
  it('shaped sheets are a piece each', () =>
    expect(
      recipe(
        'Börek cigars\n\n10 triangular yufka sheets (1 pack, 360 g)\n200 g feta\n\nMix. One heaped tbsp each on the broad side, roll up. Fry 6 minutes in total.',
      ).pieces,
    ).toBe(10))
})

describe('rows and labels', () => {
  it('marks of any kind lead a heading or a line', () =>
    expect(
      parts(
        'Gyoza\n\n» Ingredients\n» 30 gyoza wrappers\n» 250 g tofu\n\n» Dip\n› 3 tbsp soy sauce\n\n» Steps\nFill. Steam 8 min.',
      ),
    ).toEqual(['shell: dumpling-wrapper', 'filling: firm-tofu', 'dip: soy-sauce']))
  it('how the dough is shared is work', () =>
    expect(
      parts(
        'Pork pies (makes 12)\n\nDough: 450 g flour, 150 g lard, 150 ml water\nFilling: 600 g pork\n\nJelly: 200 ml pork stock, 3 leaves gelatine\n\n3/4 pastry for bases, 12 circles of 11cm; 1/4 for lids 7cm. Fill, lids on. Bake 60 min at 180C.',
      ).at(-1),
    ).toBe('filling: pork-stock gelatine'))
  it('meat that was marinated is grilled, and the dough waits so many minutes', () => {
    const of = recipe(
      'Pasties\n\nMarinade: 600 g chicken breast diced, 150 g yoghurt\nPastry: 500 g flour, 250 g butter, 140 ml water\n\nMarinate chicken 2 hrs. Grill or fry till cooked and charred, 10-12 mins. Cool. Rub in, rest in the fridge 30. Cut 8 rounds, fill, seal. Bake 25 min.',
    )
    expect(of.parts.find(({ name }) => name === 'Marinade')!.cookedMinutes).toBe(11)
    expect(of.facts).toContainEqual(expect.objectContaining({ kind: 'chill-minutes', low: 30 }))
  })
  it('oil to fry in stays in the pan, whatever the pieces are dusted with', () => {
    const of = read(
      '300 g peaches\n100 g sugar',
      'Fill, fold. Fry in 1/2 inch of oil, 2 to 3 min a side. Dust with icing sugar.',
    )
    expect(of.parts.find(({ lines }) => lines.some(({ foodId }) => foodId === 'sunflower-oil'))!.kind).toBe(
      'pan',
    )
  })
})

describe('speech without a mark', () => {
  it('what the method says of a part, though its name stands alone before "we need"', () => {
    const of = recipe(
      "hi everyone today i'm going to show you how i make my vegan lentil pasties so for the pastry i've got 400 grams of plain flour half a teaspoon of salt and 200 grams of vegan block rub that in then about 100 mls of cold water bring it together wrap it and put it in the fridge for half an hour for the filling we need one onion two carrots all finely diced and we fry those in a tablespoon of oil for about ten minutes then in go 150 grams of green lentils half a litre of stock let that simmer for 30 minutes until the liquid has gone let it cool roll the pastry out cut six circles about 16 centimetres fill them fold them over brush with soya milk and bake at 190 fan for 25 to 30 minutes",
    )
    expect(of.title).toBe('Vegan lentil pasties')
    expect(of.cooking).toMatchObject({ way: 'bake', temperatureC: 190, minutes: 28, andThen: null })
    expect(of.parts.find(({ kind }) => kind === 'filling')).toMatchObject({
      cookedBy: 'simmer',
      cookedMinutes: 30,
    })
    expect(of.parts.some(({ kind }) => kind === 'pan')).toBe(false)
  })
  it('wrappers by the pack, a spoon of oil once they are closed, an oven as it is spoken', () => {
    const gyoza = recipe(
      'so gyoza i buy the wrappers thirty in a pack for the filling you need two hundred grams of tofu well pressed and crumbled a hundred grams of shiitake chopped small two spring onions two tablespoons of soy fry the mushrooms for three minutes add the tofu fry another five take it off the heat add everything else fill the wrappers a teaspoon in each pleat them heat a tablespoon of oil fry them on the flat side for two minutes pour in a hundred mils of water lid on six minutes',
    )
    expect(gyoza.cooking).toMatchObject({ way: 'brown-and-steam', minutes: 8 })
    expect(gyoza.parts.map(({ kind }) => kind)).toEqual(['shell', 'filling', 'pan'])
    expect(lineOf(gyoza, 'dumpling-wrapper')!.grams).toBe(270)
    expect(gyoza.parts[1]).toMatchObject({ cookedBy: 'fry', cookedMinutes: 8 })
    const calzone = recipe(
      "this is my whole wheat calzone it's three hundred grams of whole wheat flour a sachet of yeast a teaspoon of salt and two hundred mils of warm water knead ten minutes and let it double meanwhile cook down two hundred grams of mushrooms and a bag of spinach in a little oil until all the water's gone mix in two hundred grams of ricotta divide the dough in four fill one half fold over brush with a bit of oil two twenty for fifteen minutes",
    )
    expect(calzone.title).toBe('Whole wheat calzone')
    expect(calzone.cooking).toMatchObject({ way: 'bake', temperatureC: 220, minutes: 15 })
    expect(lineOf(calzone, 'mushroom')!.grams).toBe(200)
  })
  it('what goes in the middle of each is for each', () =>
    expect(
      recipe(
        'okay so these are my keto pepperoni pockets you take 170 grams of shredded mozzarella and 30 grams of cream cheese and melt them in the microwave then you add 85 grams of almond flour one egg and a teaspoon of baking powder divide it into six and press each one out to about five inches in the middle goes 20 grams of pepperoni and a teaspoon of pizza sauce fold it over seal it well and bake at 200 for fifteen minutes',
      )
        .parts.find(({ kind }) => kind === 'filling')!
        .lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)]),
    ).toEqual([
      ['pepperoni', 120],
      ['marinara', 32],
    ]))
  it.each([
    [
      "what's up everyone so today it's beef empanadas my abuela's recipe the dough is 3 cups of flour",
      'Beef empanadas',
    ],
    [
      "I'll do these spinach parathas the way my mother does. The dough is 2 cups of atta and water.",
      'Spinach parathas',
    ],
  ])('%s', (text, title) =>
    expect(recipe(`${text} The filling is 300 g of mince. Fill and close. Bake 20 min at 200C.`).title).toBe(
      title,
    ),
  )
})

describe('pots and shares', () => {
  it('what was drained and chopped is in no pot any more', () =>
    expect(
      read(
        '500 g sauerkraut\n30 g dried mushrooms\n1 onion',
        'Cook the mushrooms 30 minutes, drain and chop. Rinse the sauerkraut, cook it for 40 minutes, drain. Fill. Bake 20 min.',
      ).parts.find(({ kind }) => kind === 'filling')!.cookedMinutes,
    ).toBe(40))
  it('most of the cheese goes in and the rest on top, wherever it is listed', () => {
    const of = read(
      '250 g spinach\n250 g ricotta\n125 g mozzarella\n50 g parmesan, grated',
      'Mix the spinach with the ricotta, mozzarella, most of the parmesan and seasoning. Fill, fold. Scatter with the remaining parmesan and bake for 15 mins.',
    )
    expect(
      of.parts.flatMap(({ kind, lines }) =>
        lines.filter(({ foodId }) => foodId === 'parmesan').map(({ grams }) => [kind, grams]),
      ),
    ).toEqual([
      ['filling', 37.5],
      ['finish', 12.5],
    ])
  })
  it('water named with its amount and a lid is poured in', () =>
    expect(
      read(
        '400 g minced pork',
        'Pleat. Oil (2 tbsp) in the pan, buns in, med heat 2 min. Water to 1/3 height (about 150 ml), lid, 7-8 min till dry.',
      ).cooking,
    ).toMatchObject({ way: 'brown-and-steam', minutes: 10 }))
})

describe('pots, lids and what stands last', () => {
  it('a way is timed by the pot that holds most of what was cooked that way', () =>
    expect(
      read(
        '300 g potatoes, diced\n2 leeks, sliced\n30 g butter\n100 ml double cream',
        'Boil the potatoes for 8 minutes. Drain. Melt the butter and sweat the leeks for 10 minutes. Add the cream, bubble 2 minutes. Stir in the potatoes. Cool. Fill. Bake 25 min.',
      ).parts.find(({ kind }) => kind === 'filling'),
    ).toMatchObject({ cookedBy: 'simmer', cookedMinutes: 8 }))
  it.each([
    ['Make 16 balls, roll to rounds. Fill 8 rounds, cover with another round.', 8],
    ['Cut 24 circles. Fill 12 rounds, top with the rest.', 12],
    ['Cut 24 circles. Fill 24 rounds, fold over.', 24],
  ])('rounds that cover others: %s', (steps, pieces) =>
    expect(read('500 g minced beef', `${steps} Fry 4 min each side.`, 'Pies').pieces).toBe(pieces),
  )
  it('what is promised last in one breath is what it makes', () =>
    expect(
      recipe(
        'my samosas dough is 2 cups plain flour 3 tbsp ghee and about 100 ml water knead it stiff filling 3 potatoes boiled 1 carrot grated 1 green chilli salt lemon juice mash a bit make 6 balls roll cut in half make cones fill seal fry medium low 10 to 12 mins makes 12',
      ),
    ).toMatchObject({ pieces: 12, piecesStated: true }))
  it.each<[string, [string | undefined, number | null][]]>([
    [
      '1 cup + 2 tbsp water, pinch salt',
      [
        ['water', 270],
        ['salt', 0],
      ],
    ],
    ['other half of the egg', [['egg', 25]]],
    [
      '1 egg, 100 ml milk, all of the tangzhong, 40 g butter',
      [
        ['egg', 50],
        ['milk', 102],
        [undefined, null],
        ['butter', 40],
      ],
    ],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
})
