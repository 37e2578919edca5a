import { describe, expect, it } from 'vitest'
import { lineOf, parts, read, recipe } from '../../test/readText'

// Methods as cooks put them under a picture of the dish: plain talk, in any order.

describe('the method', () => {
  it.each([
    ['steam 6-7 min over boiling water (i lay gauze over the pot) or boil 4 min', ['steam', 7, null]],
    ['steam 6 min over boiling water, then boil 4 min', ['steam', 6, 'boil']],
  ])('%s', (steps, expected) => {
    const { way, minutes, andThen } = read('300 g sour cherries', `Fill, pinch. ${steps}`).cooking
    expect([way, minutes, andThen?.way ?? null]).toEqual(expected)
  })
  it.each([
    ['oil for frying (about 1/2 cup)', 'shallow-fry'],
    ['oil for frying (about 1 litre)', 'deep-fry'],
  ])('%s, turned over: %s', (oil, way) =>
    expect(
      recipe(
        `Tacos\n\n12 corn tortillas\n400 g ground beef\n${oil}\n\nPut 2 tbsp on each, fold in half. Fry in hot oil, 2 minutes per side.`,
      ).cooking.way,
    ).toBe(way),
  )
  it('what is ground is steamed where nothing else is named', () => {
    const of = read(
      '1/2 cup urad dal\n2 green chillies\n2 tsp oil\n3 tbsp grated coconut',
      'Soak the dal 2 hours, drain, grind with the chillies. Steam 10 minutes and crumble. Heat the oil, add the crumbled dal and coconut, saute 2 minutes.\nFill, seal. Steam for 8 minutes.',
    )
    const filling = of.parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, filling.cookedMinutes]).toEqual(['steam', 10])
    expect(of.cooking).toMatchObject({ way: 'steam', minutes: 8, andThen: null })
  })
  it('names the dish by what is counted where nothing else does', () =>
    expect(
      recipe(
        `for about 30 vareniki with cherries i take\n\n450 g flour\n250 ml kefir\n\n500 g sour cherries\n60 g sugar\n\nroll, cut, fill, pinch, boil 4 min`,
      ).title,
    ).toBe('Vareniki with cherries'))
  it.each([
    ['Fill, seal. Gas 6 for 20 mins then Gas 4 for 35-40.', ['bake', 20, 'bake', 38]],
    ['Fill, seal. Gas 6 for 20 mins then Gas 4 for 40.', ['bake', 20, 'bake', 40]],
    ['Fill, seal. Hot oven (gas 7, 220) 15 mins then gas 4 (180) for 25 more.', ['bake', 15, 'bake', 25]],
  ])('%s', (steps, expected) => {
    const { way, minutes, andThen } = read('300 g beef mince', steps).cooking
    expect([way, minutes, andThen?.way, andThen?.minutes]).toEqual(expected)
  })
  it.each([
    [
      'Cut into 9 squares. Spoonful on each, fold to a triangle, press with a fork. Bake 200C 20 min.',
      'half-moon',
    ],
    ['Cut into strips. Spoonful on each, fold up into triangles. Bake 200C 20 min.', 'cone'],
    ['Line 9 holes of a muffin tin with circles, fill, cover with lids. Bake 200C 35 min.', 'lidded-pie'],
    ['Flatten to rounds, fill, pinch together, seam side down on a sheet. Bake 200C 20 min.', 'bun'],
    ['Gather, pinch, seam side down, then flatten to discs. Griddle 4 min.', 'disc'],
    ['Take egg-size pieces, hollow out with your finger, fill, close. Fry at 180C for 5 min.', 'bun'],
  ])('%s is a %s', (steps, shape) =>
    expect(read('300 g beef mince', steps, 'Beef snacks\nMakes 9').shape).toBe(shape),
  )
  it('balls of the filling weigh the filling', () => {
    const of = read(
      '80 g sesame seeds\n50 g sugar\n45 g butter',
      'Grind sesame + sugar, mix with butter, freeze 30 min, roll into 20 balls (8g).\nKnead the dough, divide it into 20 (18g). Wrap each ball. Boil 4 min.',
    )
    const weights = of.facts.filter(({ kind }) => /grams/.test(kind)).map(({ kind, low }) => [kind, low])
    expect(weights).toEqual([
      ['filling-grams-per-piece', 8],
      ['ball-grams', 18],
    ])
  })
  it('a walnut of butter for each is as many', () =>
    expect(
      lineOf(
        read('3 apples\na walnut of butter each', 'Fill, fold. Bake 200C 20 min.', 'Turnovers\nMakes 4'),
        'butter',
      ),
    ).toMatchObject({ grams: 60 }))
  it('oil of a depth that nobody gives a pot for fills the usual one', () =>
    expect(
      lineOf(
        read('300 g beef mince\noil for frying, 2 inches', 'Fill, fold. Fry at 180C 4 min.'),
        'sunflower-oil',
      ),
    ).toMatchObject({ grams: 1000 }))
  it.each([
    ['Brown the meat in dripping, add the onion.', 'tallow'],
    ['Fry the onion in oil 5 minutes.', 'sunflower-oil'],
    ['Fry the onion 5 minutes.', null],
  ])('%s is fried in %s', (steps, fat) => {
    const filling = read('300 g beef mince\n1 onion', `${steps}\nFill, fold, bake 200C 20 min.`).parts.find(
      ({ kind }) => kind === 'filling',
    )!
    expect(filling.lines[2]?.foodId ?? null).toBe(fat)
  })
  it.each([
    ['Oven 240C on a hot stone 7-8m.', [240, 8]],
    ['375 / 12-14 min.', [190, 13]],
    ['Oven 240C, hot stone in. Bake 9 min.', [240, 9]],
  ])('%s', (steps, expected) => {
    const { way, temperatureC, minutes } = read('300 g beef mince', `Fill, pinch.\n${steps}`).cooking
    expect([way, temperatureC, minutes]).toEqual(['bake', ...expected])
  })
  it('a second heat without a verb goes on frying', () =>
    expect(
      read('300 g beef mince', 'Fill, seal.\nfry on low heat 10 minutes then high 2 minutes').cooking,
    ).toMatchObject({ minutes: 12, andThen: null }))
  it('what is cooked in an order is cooked', () => {
    const filling = read(
      '500 g minced beef\n2 onions',
      'Cook the inside till dry: onions first in 2 tbsp oil, then meat, 20 minutes altogether.\nFill, fold. Bake 200C 20 min.',
      'Pies\nMakes 12',
    ).parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, filling.cookedMinutes, filling.untilDry]).toEqual(['fry', 20, true])
    expect(filling.lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)])).toContainEqual([
      'sunflower-oil',
      27,
    ])
  })
  it('cheeses that are melted for a dough of cheese cook no filling', () => {
    const of = recipe(
      'Pockets\n\nDough: 225 g mozzarella, 55 g cream cheese, 125 g almond flour, 1 egg\nFilling: 115 g cream cheese, 1 egg yolk\n\nMicrowave the cheeses till melted, stir in everything else. Divide in 6. Spoon the filling in the middle, fold the corners in. Bake 175C 18 min.',
    )
    const filling = of.parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, ...filling.lines.map(({ cookedBy }) => cookedBy)]).toEqual([null, null, null])
    expect(of.shape).toBe('parcel')
  })
  it('drops of vinegar are not the water of a dough', () => {
    const of = recipe(
      'Strudel\n\nDough\n250 g flour\n125 ml water\nfew drops vinegar\n\nFilling\n1 kg apples\n\nRoll up, bake 190C 40 min.',
    )
    expect(of.parts.flatMap(({ lines }) => lines).filter(({ toFeel }) => toFeel)).toEqual([])
  })
  it('butter on each side of each bread on the tava is all of it', () =>
    expect(
      lineOf(
        read(
          '200 g cheddar',
          'Stuff, roll.\nTava, 2 mins a side, 1/2 tsp butter on each side.',
          'Parathas\nMakes 6',
        ),
        'butter',
      )!.grams,
    ).toBeCloseTo(28.2, 0))
  it('bottoms that brown are fried before the water goes in', () => {
    const { way, minutes } = read(
      '300 g pork mince',
      'Pleat.\nPan: oil, buns seam down, med heat 2-3 min till bottoms brown. Add water 1/3 up the buns, cover, 8 min.',
    ).cooking
    expect([way, minutes]).toEqual(['brown-and-steam', 11])
  })
  it('balls told without a verb weigh what was spoken of', () =>
    expect(
      read(
        '150 g cooked rice\n1 tbsp soy sauce',
        'Mix the rice with the soy sauce. 10 balls of 40g\nKnead the dough 10 min, 10 pcs 60g each, wrap, steam 12 min.',
      )
        .facts.filter(({ kind }) => /grams/.test(kind))
        .map(({ kind, low }) => [kind, low]),
    ).toEqual([
      ['filling-grams-per-piece', 40],
      ['ball-grams', 60],
    ]))
  it('an hour in the fridge chills the dough', () =>
    expect(
      read(
        '300 g beef mince',
        'Rub the butter into the flour. Disc, wrap, 1 hr fridge.\nFill, fold. Bake 200C 20 min.',
      ).facts.map(({ kind, low, partId }) => [kind, low, partId !== null]),
    ).toEqual([['chill-minutes', 60, true]]))
  it('what is layered in the middle of each wrap is put in raw', () => {
    const of = recipe(
      'Wraps\n\n4 tortillas\n450 g chicken breast\n150 g cheddar\n80 g sour cream\n\nAir fry chicken 190c 14 min, shred. Layer in middle of each tortilla: cheese, chicken, sour cream. Fold. Toast in a hot pan 2 min each side.',
    )
    const filling = of.parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, ...filling.lines.map(({ cookedBy }) => cookedBy)]).toEqual([
      'roast',
      null,
      'raw',
      'raw',
    ])
  })
  it('pockets that are balls pressed in are buns', () =>
    expect(
      read(
        '120 g mozzarella',
        'Make 12 balls with oiled hands, press in a cube of mozzarella, close. Bake 200 20 min.',
        'Cheese pockets',
      ).shape,
    ).toBe('bun'))
  it.each([
    ['Fill, seal. Heat 2 tbsp oil in a pan over medium-low, cook 2 min each side.', 'medium'],
    ['Fill, seal. Steam over high heat 12 min.', 'high'],
    ['Fill, seal. Steam on high for 12 min.', 'high'],
    ['Fill, seal. Bake on the high shelf 12 min.', null],
  ])('%s is cooked at %s heat', (steps, heat) =>
    expect(read('300 g beef mince', steps).cooking.heat).toBe(heat),
  )
  it.each([
    ['Bring the water, salt and oil to the boil and pour over the flour.', true],
    ['Boil the water with the oil. Switch off, add the rice flour and stir.', true],
    ['Mix the water and the oil with the rice flour.', false],
  ])('scalds a flour or does not: %s', (steps, isScalded) => {
    const of = recipe(
      `Dumplings\n\nDough\n160 g rice flour\n300 ml water\n1 tsp oil\n\nFilling\n200 g prawns\n\n${steps} Knead to a dough. Fill, seal, steam 10 min.`,
    )
    expect(lineOf(of, 'rice-flour')!.prep.includes('scalded')).toBe(isScalded)
  })
  it('a spoon of each ball of dough is no spoon of filling', () =>
    expect(
      read(
        '300 g beef mince',
        'Flatten balls of dough (about 1/4 cup each), fill with 1 tbsp, fold. Fry at 180C 4 min.',
      )
        .facts.filter(({ kind }) => kind === 'filling-tbsp-per-piece')
        .map(({ low }) => low),
    ).toEqual([1]))
  it('what is stirred in for a minute more is cooked so long', () =>
    expect(
      read(
        '2 apples\n1 tbsp sugar\n1 tsp cornstarch + 1 tbsp water',
        'Cook apples with sugar 6 min. Stir in the slurry, 1 more min. Cool.\nFill, fold, bake 20 min at 180C',
      ).parts.find(({ kind }) => kind === 'filling')!.cookedMinutes,
    ).toBe(7))
  it('what simmers in broth is the whole of a part', () => {
    const of = recipe(
      `Pies\n\nSeitan\n1 cup vital wheat gluten\n2 tbsp chickpea flour\n3/4 cup veg broth\n\nSimmer in broth for 45 minutes, cool and dice.\n\nFilling\n2 tbsp butter\n1 onion, diced\n1 carrot, diced\nthe seitan, diced\n\nPastry\n250 g flour\n125 g butter\n\nSaute the veg in the butter 8 min, fold in the seitan. Fill, seal, bake at 200C for 25 minutes.`,
    )
    const seitan = of.parts.find(({ name }) => name === 'Seitan')!
    expect([seitan.cookedBy, seitan.cookedMinutes]).toEqual(['simmer', 45])
    expect(seitan.lines.map(({ cookedBy }) => cookedBy)).toEqual([null, null, null])
    const filling = of.parts.find(({ name }) => name === 'Filling')!
    expect([filling.cookedBy, filling.cookedMinutes]).toEqual(['fry', 8])
  })
  it('a food with its bare grams opens a list and names no part', () =>
    expect(
      parts(
        'Buns\nflour 500\nyeast 5\nmilk 270 warm\n\npork mince 350\nnapa cabbage 200\nginger 1 thumb\n\nsteam 14 min',
      ),
    ).toEqual(['shell: plain-flour instant-yeast milk', 'filling: minced-pork napa-cabbage ginger']))
  it('balls of the filling that are made first close no piece', () => {
    const { facts, parts: made } = recipe(
      'Sweet flatbreads\n\nFilling\n1 cup chana dal\n3/4 cup jaggery\n\nDough\n180 g atta\n100 ml water\n\nBoil the dal, add the jaggery, cook till thick, make 10 balls.\nKnead a soft dough, knead 5 min. Rest 2 hours.\nPut the sweet mixture inside the dough, roll to 8 inch. Roast on a tawa with ghee, about a tsp each.',
    )
    const shell = made.find(({ kind }) => kind === 'shell')!.id
    expect(facts.filter(({ kind }) => /knead|rest/.test(kind)).map(({ partId }) => partId)).toEqual([
      shell,
      shell,
    ])
    expect(facts.map(({ kind }) => kind)).not.toContain('filling-tbsp-per-piece')
  })
})
