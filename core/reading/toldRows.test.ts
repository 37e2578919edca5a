import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { eachOf, lineOf, parts, read, recipe } from '../../test/readText'
import { readIngredients } from './readIngredient'

// Rows that somebody spoke: foods and work on one row without a mark, what is bought, what a bracket says of a spoon.

describe('lines', () => {
  it.each<[string, [string, number][]]>([
    ['200 g cooked green or puy lentils', [['lentils-cooked', 200]]],
    ['250 g cooked brown or green lentils', [['lentils-cooked', 250]]],
    ['1 tin kidney or black beans', [['kidney-beans-canned', 240]]],
    ['200 g chestnut or button mushrooms', [['mushroom', 200]]],
    ['60 g glass noodles, soaked (weight after soaking)', [['glass-noodles-dry', 20]]],
    ['60 g glass noodles, soaked', [['glass-noodles-dry', 60]]],
    ['100 g dried mushrooms (weight after soaking)', [['dried-mushrooms', 25]]],
    ['100 g brown rice (weighed once cooked)', [['brown-rice-cooked', 100]]],
    ['100 g quinoa (weight after cooking)', [['cooked-quinoa', 100]]],
    ['filo pastry (1 pack, 270 g)', [['filo', 270]]],
    ['samosa pads (1 packet, 50)', [['samosa-strip', 450]]],
    ['gyoza wrappers (2 packs of 30)', [['dumpling-wrapper', 540]]],
    ['empanada discs (1 pack of 14)', [['empanada-disc', 462]]],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('what was weighed soaked holds the water that it took up', () => {
    const [one] = readIngredients('60 g glass noodles (soaked weight)', foods)
    expect(one!.line.grams! + one!.line.waterChangeGrams).toBeCloseTo(60, 6)
    // Written out and read again it is not divided once more.
    expect(one!.line.prep).toEqual(['soaked'])
  })
  it('either of two kinds is made ready as the first is', () => {
    const [one] = readIngredients('200 g cooked green or puy lentils', foods)
    expect(one!.read.alternative).toBe('cooked puy lentils')
  })
  it('as much as is enough is to taste, in brackets of another language', () =>
    expect(
      lineOf(read('300 g ricotta\n100 g spinach, salt q.b.', 'Mix. Fill. Bake 20 min at 200C.'), 'salt')!
        .notes,
    ).toContainEqual(expect.objectContaining({ code: 'to-taste' })))
  it('a knob on each is so much on every one, by the weight in its bracket', () =>
    expect(
      lineOf(read('300 g leeks\nknob of butter on each (about 10 g)', 'Fill. Bake 20 min.'), 'butter')!.grams,
    ).toBe(120))
})

describe('rows without a mark', () => {
  const STUFFING =
    'for the stuffing boil four medium potatoes peel and mash them then add one small onion chopped really fine and a teaspoon of salt'
  const REST = 'divide the dough into 8\nput it on a hot tava two minutes each side'
  const SHELL = 'shell: wholemeal-flour salt sunflower-oil water'
  it.each([
    [
      'so for the dough you need 2 cups of whole wheat flour a pinch of salt a teaspoon of oil and 160 ml water knead it till it is soft and leave it for twenty minutes',
    ],
    [
      'the dough is 2 cups of whole wheat flour a pinch of salt a teaspoon of oil and 160 ml water mix it up and let it sit 20 minutes',
    ],
    [
      'for the dough 2 cups of whole wheat flour a pinch of salt a teaspoon of oil and 160 ml water bring it together and rest it 20 minutes',
    ],
  ])('foods, and then what is done with them: %s', (dough) => {
    const text = `aloo paratha\n\n${dough}\n${STUFFING}\n${REST}`
    expect(parts(text).slice(0, 2)).toEqual([SHELL, 'filling: potato onion salt'])
    expect(lineOf(recipe(text), 'water')!.grams).toBe(160)
  })
  it('with commas the stuffing is no part of the dough either', () =>
    expect(
      parts(
        `aloo paratha\n\nfor the dough you need 2 cups of whole wheat flour, a pinch of salt, a teaspoon of oil and 160 ml water, knead it till it's soft\nfor the stuffing boil four medium potatoes, peel and mash them, then add one small onion, a teaspoon of salt\n${REST}`,
      ).slice(0, 2),
    ).toEqual([SHELL, 'filling: potato onion salt']))
  it.each([
    ['put it on a hot tava about two minutes each side with half a teaspoon of ghee on each side'],
    ['Cook on a hot tava 2 minutes each side with half a teaspoon of ghee on each side.'],
  ])('the ghee of either side is the pan’s: %s', (griddle) => {
    const made = read('400 g mashed potato\n1 tsp salt', griddle, 'Aloo paratha\nMakes 8')
    const pan = made.parts.find(({ kind }) => kind === 'pan')!
    expect(pan.lines.map(({ foodId }) => foodId)).toEqual(['ghee'])
    expect(pan.lines[0]!.grams).toBeCloseTo(34.4, 1)
    expect(made.parts.some(({ kind }) => kind === 'finish')).toBe(false)
  })
})

describe('what is bought', () => {
  it.each([
    ['I use shop shortcrust, 2 x 320 g sheets.', 'shortcrust-pastry', 640],
    ['We just buy a pack of puff pastry (500 g).', 'puff-pastry', 500],
    ['I always use 320 g ready-rolled shortcrust', 'shortcrust-pastry', 320],
  ])('%s', (row, id, grams) => {
    const pie = recipe(
      `Tourtiere\n\n${row}\n500 g minced pork\n1 onion\n\nSimmer the meat 25 min. Line the tin, fill, lid. Bake 30 min at 200C.`,
    )
    const shell = pie.parts.find(({ kind }) => kind === 'shell')!
    expect(shell.lines.map((line) => [line.foodId, line.grams])).toEqual([[id, grams]])
  })
})

describe('the method', () => {
  it.each([
    ['Put a spoonful of the filling (about 2 tbsp) in each.', 2],
    ['Put a spoonful (1 tbsp) of filling in each.', 1],
    ['Make a well in each, put in a spoonful of the filling (about 2 tbsp), close.', 2],
  ])('a bracket says how large the spoon is: %s', (steps, tbsp) =>
    expect(
      read('400 g minced pork', steps).facts.filter(({ kind }) => kind === 'filling-tbsp-per-piece'),
    ).toMatchObject([{ low: tbsp, high: tbsp }]),
  )
  it.each([
    ['Knishes (about 2 dozen small)', 24],
    ['Knishes (6 large)', 6],
    ['Panzerotti per circa 12 pieces', 12],
    ['Panzerotti (circa 12 pieces)', 12],
  ])('%s counts, and its count is no name', (title, pieces) => {
    const made = read('400 g minced pork', 'Fill. Bake 20 min at 200C.', title)
    expect(made.pieces).toBe(pieces)
    expect(made.title).toMatch(/^(?:Knishes|Panzerotti)$/)
  })
  it('what is called buns and is rolled up with its sides folded in is a roll', () =>
    expect(
      read('400 g minced pork', 'Fill, fold in the sides and roll. Fry 3 min a side.', 'Egg buns').shape,
    ).toBe('roll'))
  it('boiling water is not poured on what dusts the board', () =>
    expect(
      lineOf(
        recipe(
          'Gyoza\n\nWrappers\n250 g flour\n130 ml boiling water\ncornstarch for dusting\n\nFilling\n300 g minced pork\n\nFill 30. Fry.',
        ),
        'cornstarch',
      )!.prep,
    ).toEqual([]))
})

describe('what is for one', () => {
  it.each(['Fill with just one teaspoon.', 'Use only one egg.', 'Bake for just one more minute.'])(
    '%s feeds nobody',
    (steps) => expect(read('400 g minced pork', steps).servingsStated).toBe(false),
  )
  it.each<[string, string, number, number]>([
    ['Breakfast calzone (single serve)', 'Breakfast calzone', 1, 1],
    ['Breakfast calzone for one', 'Breakfast calzone', 1, 1],
    ['One-person calzone', 'One-person calzone', 1, 1],
    ['Mug calzone (serves just me)', 'Mug calzone', 1, 1],
    ['12 single-serve pot pies', 'Single-serve pot pies', 12, 12],
  ])('%s', (title, name, pieces, servings) => {
    const made = read('400 g minced pork', 'Fill. Bake 20 min at 200C.', title)
    expect([made.title, made.pieces]).toEqual([name, pieces])
    if (pieces === 1) expect([made.servings, made.servingsStated]).toEqual([servings, true])
  })
  it.each([
    ['Each one gets: 1 olive, a quarter of a hard-boiled egg, 2 raisins.'],
    ['In each:\n1 olive\na quarter of a hard-boiled egg\n2 raisins'],
    ['per empanada: 1 olive, 1/4 boiled egg, 2 raisins'],
    ['1 olive each\n1/4 hard-boiled egg in each one\n2 raisins per empanada'],
  ])('what every piece gets is counted for all, laid on the filling raw: %s', (rows) => {
    const made = recipe(
      `Empanadas\nMakes 10\n\nDough\n500 g flour\n200 ml milk\n\nFilling\n500 g chopped beef\n3 onions\n${rows}\n\nCook the onions 15 min, add the meat. Fill, fold. Bake 25 min at 200C.`,
    )
    const filling = made.parts.filter(({ kind }) => kind === 'filling')
    expect(filling).toHaveLength(1)
    const grams = (id: string) => lineOf(made, id)!.grams
    expect([grams('olives'), grams('boiled-egg'), grams('raisins')]).toEqual([40, 117.5, 10])
    expect(lineOf(made, 'olives')!.cookedBy).toBe('raw')
    expect(lineOf(made, 'beef')!.cookedBy).not.toBe('raw')
  })
  it('what is said of the energy of each is no filling', () =>
    expect(
      parts(
        'Parcels\n\nDough\n300 g flour\n160 ml water\n\nFilling\n300 g feta\n\nFill. Bake 18 minutes. Per parcel: 5 g net carbs, 310 kcal.',
      )[1],
    ).toBe('filling: feta'))
})

describe('what stands round a recipe', () => {
  const LISTS =
    'Dough -\nMaida - 2 cup\nWater - 130 ml\nStuffing -\nCabbage - 1 cup\nPaneer - 100 g\nMomo Chutney -\nTomato - 3\nGarlic - 6 cloves'
  it('chapters and what it is filed under are left out, and the row between them is the name', () => {
    const text = `00:00 intro\n00:35 dough\n04:10 how to fold\nVegetable momos with chutney | soft momos at home\n${LISTS}\n#momos #vegmomos\nsteam for 10 mins`
    expect(recipe(text).title).toBe('Vegetable momos with chutney')
    expect(parts(text)).toEqual(['shell: plain-flour water', 'filling: cabbage paneer', 'dip: tomato garlic'])
  })
  it('what is told with its times is work all the same', () =>
    expect(
      recipe(`Momos\n${LISTS}\n[00:10] fill each one and fold it over\n[00:40] steam them for 10 minutes`)
        .method,
    ).toHaveLength(2))
})

it('so many from each, and the trimmings once more, counts for every crust', () =>
  expect(
    recipe(
      'Hand pies\n2 refrigerated pie crusts\n2 apples\n2 tbsp sugar\n\nCook the apples. Unroll crusts, cut out 4 5-inch circles from each (reroll). Fill, fold. Bake 12 minutes at 180C.',
    ).pieces,
  ).toBe(8))
it.each([
  'Soften the onions in a little butter for 10 min.',
  'I fry the potatoes with the onions in butter for 20 min.',
])('cream fries nothing: %s', (steps) =>
  expect(
    lineOf(
      read(
        '300 g potatoes\n2 onions\n250 g cheddar\n2 tbsp double cream',
        `${steps} Fill. Bake 20 min at 200C.`,
      ),
      'butter',
    )!.grams,
  ).toBe(14),
)

describe('bread that is cut and stuffed', () => {
  it.each([
    ['4 wholemeal pitas', 'Cut pitas in half, open and spread the mince inside.', 8],
    ['4 pita breads', 'Cut each pita in half and stuff with the mince.', 8],
    ['2 part-baked baguettes', 'Cut each baguette into 4, hollow out, stuff with the mince.', 8],
    ['6 pitta breads', 'Slit each pitta open, fill with the mince.', 6],
  ])('%s, %s', (bread, steps, pieces) => {
    const made = recipe(`Stuffed bread\n\n${bread}\n500 g chicken mince\n\n${steps} Bake 20 min at 200C.`)
    expect(made.pieces).toBe(pieces)
    expect(made.parts[0]!.kind).toBe('shell')
  })
})

describe('fat of the list that the method names', () => {
  const BREAD =
    'Khachapuri\nMakes 2\n\nDough\n250 g yogurt\n350 g flour\n\nCheese\n400 g mozzarella\n1 egg\n20 g butter\n\n'
  it('what the hot bread is rubbed with is no part of its cheese', () =>
    expect(
      parts(
        `${BREAD}Grate the cheese, add egg. Put cheese in the middle of each round, gather the edges. Dry frying pan: 5 min, flip, 5 min. Rub with butter.`,
      ).slice(1),
    ).toEqual(['filling: mozzarella egg', 'finish: butter']))
  it('butter of the topping that the pieces are fried in is all that is in the pan', () => {
    const made = recipe(
      'Pierogi\n\nDough\n300 g flour\n150 ml water\n\nFilling\n300 g quark\n\nTopping: 2 slices bacon, ½ onion, 1 tbsp butter\n\nCut 16 rounds. Fill, fold. Fry in the butter 2-3 min per side. Top with crisp bacon and onion.',
    )
    expect(made.parts.map(({ kind }) => kind)).toEqual(['shell', 'filling', 'finish', 'pan'])
    expect(lineOf(made, 'butter')!.grams).toBeCloseTo(14.2, 1)
  })
})

describe('two meats in halves', () => {
  it.each([
    ['1 kg mince, half pork half beef, 2 onions, salt'],
    ['a kilo of mince, we do half pork half beef, 2 onions, salt'],
    ['1 kg mince half pork and half beef\n2 onions\nsalt'],
  ])('%s', (lines) =>
    expect(parts(`Pelmeni\n\nDough\n1 kg flour\n400 ml water\n\nFilling\n${lines}\n\nBoil 7 min.`)[1]).toBe(
      'filling: minced-pork minced-beef onion salt',
    ),
  )
  it('told in a breath as well', () => {
    const made = recipe(
      'I make pelmeni every winter. For 100 or so you need: a kilo of flour, 2 eggs, 400 ml water, a spoon of salt. And a kilo of mince, we do half pork half beef, 2 onions through the mincer, salt. Stiff dough, rest it for 30 min. Roll out, cut circles (5 cm), teaspoon of meat in each. Boil 7 minutes.',
    )
    expect(made.pieces).toBe(100)
    expect([lineOf(made, 'minced-pork')!.grams, lineOf(made, 'minced-beef')!.grams]).toEqual([500, 500])
  })
})

it.each(['Avocado crema', 'Guacamole', 'Chipotle crema', 'Pico de gallo'])(
  '%s stands beside the dish',
  (name) =>
    expect(
      parts(
        `Empanadas\n\nDough\n300 g flour\n150 ml water\n\nFilling\n300 g black beans\n\n${name}: 1 avocado, 60 g yogurt, salt\n\nBake 20 min.`,
      )[2],
    ).toBe('dip: avocado yogurt salt'),
)
