import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'
import { readRecipe } from './readRecipe'

// Lists and methods as cooks put them under a picture of the dish: plain talk, in any order.

const said = (raw: string) =>
  readIngredients(raw, foods)
    .map(({ line }) => `${line.foodId ?? `?${line.name}`} ${Math.round((line.grams ?? 0) * 10) / 10}`)
    .join(' | ')
const recipe = (text: string) => readRecipe(text, foods).recipe
const parts = (text: string) =>
  recipe(text).parts.map(({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`)
const DOUGH = '300 g plain flour\n160 ml water'
const read = (filling: string, steps: string, head = 'Cheese buns\nMakes 12') =>
  recipe(`${head}\n\nDough\n${DOUGH}\n\nFilling\n${filling}\n\nMethod\n${steps}`)
const lineOf = (of: ReturnType<typeof recipe>, id: string) =>
  of.parts.flatMap(({ lines }) => lines).find(({ foodId }) => foodId === id)

describe('an ingredient line', () => {
  it.each([
    ['Kaju 10-12 broken (optional)', 'cashews 17.6'],
    ['Dhania (coriander seeds) 2 tbsp', 'coriander-seed 10.8'],
    ['Dhania (coriander leaves) 2 tbsp', 'coriander-leaf 2'],
    ['1 tsp cornflour mixed with 2 tbsp of the mushroom water', 'cornstarch 2.7 | water 30'],
    ['milk 270 warm', 'milk 270'],
    ['butter 60 soft', 'butter 60'],
    ['water 200 boiling', 'water 200'],
    ['1 packet of 40 spring roll sheets', 'spring-roll-wrapper 640'],
    ['spring roll pastry - one packet of twenty', 'spring-roll-wrapper 320'],
    ['1 can chickpeas, drained (15 oz)', 'chickpeas-canned 255.1'],
    ['1 tin chickpeas, drained (240 g)', 'chickpeas-canned 240'],
    ['1 tbsp caster sugar + extra for the tops', 'sugar 12.5 | sugar 5'],
    ['250g cabbage, blitzed, salted (1 tsp) & squeezed', 'cabbage 250 | salt 6'],
    ['500 g sour cherries without stones', 'sour-cherries 500'],
    ['cornmeal for dusting the pan', 'degermed-cornmeal 10'],
    ['flour for dusting the board', 'plain-flour 10'],
    ['2 and half cups maida', 'plain-flour 312.5'],
    ['1 tbsp fennel, crushed', 'fennel-seed 5.8'],
    ['1 tbsp fennel, chopped', 'fennel 5.6'],
    ['100g dark choc (dairy free)', 'vegan-chocolate 100'],
    // Oils by their Hindi names: none hides what it is pressed of.
    ['tel 2 tbsp', 'sunflower-oil 27.2'],
    ['til ka tel 2 tbsp', 'sesame-oil 27.2'],
    ['sarson ka tel 2 tbsp', 'mustard-oil 28'],
    ['mungfali tel 1 tbsp', 'groundnut-oil 13.6'],
    ['soya tel 1 tbsp', '?soya tel 0'],
    ['luke warm water to knead', 'water 30'],
    ['3 tbsp sugar free passata with oregano', 'tomato-can 45 | dried-herbs 1'],
    ['passata with oregano 100 g', 'tomato-can 100 | dried-herbs 1'],
    ['40g mozzarella per 4 pockets', 'mozzarella 40'],
    ['1 clementine, zest only', 'orange-zest 5'],
    ['2 clementines', 'orange 262'],
    [
      'maida 3 cup, pani 1 cup, noon half chamcha, tel 1 tbsp',
      'plain-flour 375 | water 240 | ?noon half chamcha 0 | sunflower-oil 13.6',
    ],
    ['1 can (13.8 oz) refrigerated pizza crust', 'pizza-dough 391.2'],
    ['1 tsp crushed red pepper', 'chilli-powder 1.8'],
    ['1 tsp red pepper', 'chilli-powder 1.8'],
    ['1 red pepper', 'red-pepper 119'],
    ['300 g cold turkey chopped', 'turkey-cooked 300'],
    ['200 g cold butter', 'butter 200'],
    ['8 small cubes of brie', 'soft-ripened-cheese 80'],
    ['2 cans of green jackfruit (in brine, drained, about 450 g total)', 'jackfruit-can 450'],
    ['one and half cup atta', 'atta 180'],
    ['Eggs: 2 (one for the filling, one for the glaze)', 'egg 50 | egg 50'],
    [
      '1 tsp coriander; 1/2 tsp fenugreek if you have it; salt',
      'coriander-seed 1.8 | fenugreek-seed 1.9 | salt 4',
    ],
    // What is only left out or swapped by others is still what it is.
    ['1 egg (skip for vegan)', 'egg 50'],
    ['60 g feta (omit for dairy free)', 'feta 60'],
    ['2 tbsp butter (vegan butter to make vegan)', 'butter 28.4'],
    ['60 g grated cheddar (leave out if vegan and use soy yogurt)', 'cheddar 60'],
  ])('%s', (raw, expected) => expect(said(raw)).toBe(expected))
})

it('keeps of a row of several foods what was written of each', () => {
  const { parts: made } = recipe(
    'Kachori\n\nDough: wheat flour 1.5 cup, maida half cup, oil 3 tbsp, water 120 ml\nFilling: 1 cup mashed potato, 1 tsp salt\n\nFill and fry.',
  )
  expect(made[0]!.lines.map(({ raw }) => raw)).toEqual([
    'wheat flour 1.5 cup',
    'maida half cup',
    'oil 3 tbsp',
    'water 120 ml',
  ])
})

describe('a packet', () => {
  const SHEETS = (makes: string, steps: string) =>
    recipe(`Lamb rolls\n${makes}\n\n1 packet of 40 spring roll sheets\n400 g lamb mince\n1 onion\n\n${steps}`)

  it('of which some sheets are left counts those that are filled', () => {
    const of = SHEETS(
      'Makes 24',
      'Cut each sheet in half, fill, fold into triangles and fry at 180C for 4 minutes.',
    )
    expect(of.pieces).toBe(24)
    expect(lineOf(of, 'spring-roll-wrapper')).toMatchObject({ grams: 12 * 16 })
    expect(lineOf(of, 'spring-roll-wrapper')!.notes.map(({ code }) => code)).toContain('left-in-packet')
  })
  it('of which two are taken for each is used up', () => {
    const of = SHEETS('Makes 20', 'Put two on one another, fill, roll up and fry at 180C for 4 minutes.')
    expect(lineOf(of, 'spring-roll-wrapper')).toMatchObject({ grams: 640 })
  })
})

describe('parts', () => {
  it('what is added on the next day goes on with the dough', () =>
    expect(
      parts(
        'Pork buns\n\nStarter dough:\n300g plain flour\n1 tsp yeast\n160ml water\n\nNext day add:\n100g plain flour\n80g sugar\n\nFilling:\n250g pork mince\n1 shallot\n\nKnead, divide into 16, fill and steam 12 mins.',
      ),
    ).toEqual(['shell: plain-flour instant-yeast water plain-flour sugar', 'filling: minced-pork shallot']))
  it.each([
    ['Impasto (dough): 500 g flour, 300 ml water\nRipieno (filling): 250 g ricotta, 50 g parmesan'],
    ['For the stuffing (filling)\n250 g ricotta\n50 g parmesan\n\nFor Poli\n500 g flour\n300 ml water'],
  ])('a heading in another language is explained by its bracket or its flour: %s', (list) => {
    const of = recipe(
      `Ricotta pockets\n\n${list}\n\nDivide in 14, fill, close to half moons. Bake 200C 20 min.`,
    )
    expect(of.parts.map(({ kind, unsure }) => [kind, unsure])).toEqual([
      ['shell', false],
      ['filling', false],
    ])
  })
  it('what is strewn with more of something else is on top', () =>
    expect(
      parts(
        `Kulcha\n\nDough\n${DOUGH}\n\nStuffing\n200 g paneer\n1 onion\n\nNigella seeds + more coriander leaves for the top\n\nStuff, roll, cook on a tawa 2 minutes.`,
      ),
    ).toContain('finish: nigella coriander-leaf'))
  it('how long it keeps is no ingredient', () =>
    expect(
      readRecipe(
        'Pies\n\nDough\n200 g flour\n100 g butter\n\nFilling\n300 g beef mince\n1 onion\n\nBake at 180C for 25 min.\nMakes 8. Keeps 4 days in the fridge.',
        foods,
      ).unresolved,
    ).toEqual([]))
  it('butter that is brushed on weighs what the bracket says', () =>
    expect(
      lineOf(
        read(
          '200 g spinach\n150 g feta',
          'Fill, fold, cook in a dry pan 3 mins a side. Brush with melted butter (about 30 g for all).',
        ),
        'butter',
      ),
    ).toMatchObject({ grams: 30 }))
})

it('takes a food with a remark for no step', () =>
  expect(
    parts(
      'Parathas\n\nDough\n300 g atta\n180 ml water\n\nFilling\n300 g cauliflower\nsalt - add just before stuffing otherwise water comes out\n\nStuff, roll, cook on a tawa 2 min each side.',
    ),
  ).toContain('filling: cauliflower salt'))
it('takes discs that a heading counts', () =>
  expect(
    parts(
      'Empanadillas\n\ntapas discs: 20 (12 cm), defrosted (2 packets of 10)\n120g chorizo\n300g sweet potato\n\nFill, fold. Bake 200C 15 min.',
    )[0],
  ).toBe('shell: empanada-disc'))

describe('how many', () => {
  it.each([
    ['Pork pies - two 15 cm pies', 'Each cuts into 8.', 2, 16],
    ['Lamb pockets', '8 pockets, 2 each.', 8, 4],
    ['Lamb bakes', 'Two per bake, so 6 bakes altogether.', 6, null],
    ['Bacon & onion roly poly', 'Serves 4.', 1, 4],
    ['I make these lamb patties every month, 12 from this', '', 12, null],
  ])('%s. %s', (title, behind, pieces, servings) => {
    const of = read('300 g beef mince', `Fill, put the lids on. Bake at 180C for 30 min. ${behind}`, title)
    expect(of.pieces).toBe(pieces)
    if (servings) expect(of.servings).toBe(servings)
  })
  it('oil for so many at once is taken as often', () =>
    expect(
      lineOf(
        read(
          '3 leeks',
          'Fill, fold, press. Fry in 2 tbsp oil per 2 breads, 2 mins per side.',
          'Breads\nMakes 8',
        ),
        'sunflower-oil',
      )!.grams,
    ).toBeCloseTo(4 * 2 * 13.6))
})

describe('what is told', () => {
  it('with the time at which it was said is read without it', () => {
    const of = recipe(
      "[00:12] hi guys today we're making keema naan\n[00:20] so for dough i'm taking 2 and a half cups of maida, 1 tsp sugar, half a cup of yogurt\n[01:05] make a soft dough, cover, keep aside 2 hours\n[01:20] for keema take 300 grams mutton keema, 1 onion\n[02:10] cook everything in 1 tbsp oil till dry about 20 mins\n[03:00] make 6 balls, fill the keema, roll, stick it to the tawa. apply butter",
    )
    expect(of.title).toBe('Keema naan')
    expect(
      of.parts.map(({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`),
    ).toEqual([
      'shell: plain-flour sugar yogurt',
      'filling: minced-lamb onion sunflower-oil',
      'finish: butter',
      'pan: sunflower-oil',
    ])
    expect(of.pieces).toBe(6)
  })
  it('at hours of the day keeps them', () =>
    expect(
      recipe(
        'Leek pies\n\nDough\n300 g flour\n150 g butter\n\nFilling\n3 leeks\n\nMethod\n10:00 Rub the butter into the flour\n12:00 Fill, fold, bake 200C 20 min',
      ).method,
    ).toEqual(['10:00 Rub the butter into the flour', '12:00 Fill, fold, bake 200C 20 min']))
  it('behind semicolons is one list', () =>
    expect(
      parts(
        'Pierogi\n\nciasto: 3 c. flour; 1 c. sour cream; 1 egg; 1/2 tsp salt\nfarsz: 2 lbs mushrooms, 2 onions\n\nroll, cut 45, fill, boil 5 min',
      ),
    ).toEqual(['shell: plain-flour sour-cream egg salt', 'filling: mushroom onion']))
  it('in sentences of what each is for lists them', () =>
    expect(
      parts(
        `Crescents\n\nDough: ${DOUGH.replace('\n', ', ')}\nFilling: 200 g prawns, 1 tbsp fish sauce\n\nSesame oil to brush. Soy sauce to dip.\n\nFill, fold, steam 12 min. Makes 28`,
      ),
    ).toEqual([
      'shell: plain-flour water',
      'filling: prawns fish-sauce',
      'finish: sesame-oil',
      'dip: soy-sauce',
    ]))
  it('under the name of its meat is no riddle', () => {
    const of = recipe(
      'Pockets\n\nFor the chicken tikka:\n400g chicken breast\n100g yogurt\n\nFor the dough:\n300g flour\n160 ml water\n\nOther:\n1 onion\n2 tbsp mint chutney\n\nCook the chicken in a grill pan 8 minutes. Toss the onion in the same pan 2 minutes, mix with the chicken and chutney. Fill, fold, cook on a tawa 2 min each side.',
    )
    expect(of.parts.some(({ unsure }) => unsure)).toBe(false)
    expect(of.parts.find(({ name }) => name === 'Filling')).toMatchObject({
      cookedBy: 'fry',
      cookedMinutes: 2,
    })
  })
  it('of seeds and leaves under "Others" goes on top', () =>
    expect(
      parts(
        'Kulcha\n\nIngredients:\nFlour : 2 cup\nCurd : 1/2 cup\n\nFilling :\nBoiled potatoes : 4\nOnion : 1\n\nOthers :\nKalonji : 1 tsp\nCoriander leaves : few\n\nProcess :\nMake 8 balls. Stuff, seal, roll. Cook on a tawa 2 minutes.',
      ),
    ).toContain('finish: nigella coriander-leaf'))
  it('that only a step brushes and strews is counted', () =>
    expect(
      read(
        '300 g beef mince',
        '10 balls. Stuff. 30 mins proof. egg brush, nigella.\n180 preheated oven 18-20 min',
      )
        .parts.find(({ kind }) => kind === 'finish')!
        .lines.map(({ foodId }) => foodId),
    ).toEqual(['egg', 'nigella']))
  it('with nutritional yeast is no leavened dough', () =>
    expect(
      parts(
        'Rolls\n\nFor the seitan sausage:\n150g vital wheat gluten\n1 can cannellini beans\n2 tbsp nutritional yeast\n150ml vegetable stock\n\n1 pack puff pastry (320g)\n\nKnead, steam 40 minutes. Roll up in the pastry, seal, bake at 200C for 25 minutes.',
      ),
    ).toEqual(['shell: puff-pastry', expect.stringMatching(/^filling: vital-wheat-gluten/)]))
  it('of a jelly is a part of its own', () =>
    expect(
      parts(
        `Pork pies\n\nHot water crust: 575 g flour, 200 ml water, 175 g lard\nFilling: 800 g pork, 200 g bacon\nJelly: 300 ml pork stock and 3 leaves gelatine\n\nFill, lids on. Bake 30 min at 180. Pour in the jelly.`,
      ),
    ).toContain('filling: pork-stock gelatine'))
  it('of a mixture that sheets are brushed with takes its foods out of the filling', () =>
    expect(
      parts(
        'Borek\n\n10 filo sheets\n600 g spinach\n250 g ricotta\n80 ml olive oil\n60 ml milk\n\nMix the spinach with the ricotta. Mix oil and milk. Brush each sheet with oil-milk, fill, roll up and coil. Bake 180 C 40 min.',
      ),
    ).toEqual(['shell: filo', 'filling: spinach ricotta', 'finish: olive-oil milk']))
})

describe('a dough without flour', () => {
  const LIST =
    '4 green plantains\n2 tbsp butter\n1 tsp salt\n200 g queso fresco\n1/2 red onion, diced\nOil for frying'
  it('is what the method mashes to one', () =>
    expect(
      parts(
        `Turnovers\n\n${LIST}\n\nBoil the plantains 25 min.\nMash with the butter and salt to a smooth dough.\nMix cheese + onion.\nMake 14 balls, flatten, fill, fold. Shallow fry 2 mins each side.`,
      ),
    ).toEqual(['shell: plantain butter salt', 'filling: queso-fresco red-onion', 'pan: sunflower-oil']))
  it('is none where nothing is mashed to a dough', () =>
    expect(
      parts(
        `Turnovers\n\n${LIST}\n\nBoil the plantains 25 min.\nMash with the butter and salt.\nFold, fry 2 mins each side.`,
      )[0],
    ).toMatch(/^filling: plantain/))
})

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
