import { describe, expect, it } from 'vitest'
import { reference } from '../../data/reference'
import { inPart, recipe } from '../../test/readText'
import { matchFood } from './match'
import { readLine } from './readLine'

// Recipes as they stand under pictures, on cards and in messages: how lines, labels, counts and work are said there.

const cooked = (text: string) => {
  const { pieces, cooking } = recipe(text)
  return `${pieces} ${cooking.way} ${cooking.temperatureC ?? ''} ${cooking.minutes ?? ''}`
    .replace(/\s+/g, ' ')
    .trim()
}
const foodsIn = (text: string, kind: string) => inPart(text, kind).map((one) => one.replace(/ [\d.]+$/, ''))
const amountsIn = (text: string, kind: string) => inPart(text, kind)
/** What is worked, in a recipe that is plain otherwise. */
const worked = (work: string) =>
  recipe(
    `Pockets\n\nDough\n300 g plain flour\n160 ml water\n\nFilling\n300 g mince\n1 onion\n\nMethod\nKnead the dough. Fry the mince and onion for 10 minutes. Fill, fold and seal. ${work}`,
  )
const factOf = (work: string, kind: string) => worked(work).facts.find((fact) => fact.kind === kind)?.low

describe('lines of a list', () => {
  it.each<[string, string]>([
    ['1 lb spinach chopped and salted and SQUEEZED HARD', 'spinach'],
    ['2 onions through the mincer', 'onion'],
    ['300 g pork twice through the grinder', 'pork'],
    ['1 carrot on the coarse side of the grater', 'carrot'],
    ['6 dried guajillo chiles', 'dried-mild-chilli'],
    ['2 tsp ancho chile powder', 'chilli-powder'],
    ['4 dried kashmiri chillies', 'dried-chilli'],
    ['1 serrano', 'green-chilli'],
    ['400 g short crust', 'shortcrust-pastry'],
    ['1/2 cup roasted makhana crushed', 'makhana'],
    ['2 tbsp zhoug', 'zhoug'],
    ['12 oz cha siu, diced', 'char-siu'],
  ])('%s is %s', (line, food) => {
    const found = matchFood(readLine(line).name, reference.foods)
    expect([found?.how, found?.food.id]).toEqual(['exact', food])
  })

  it('a pack says how many it holds, and its heading of what', () =>
    expect(
      amountsIn(
        'Mandu\n\nWrappers: 1 pack (about 50)\n\nFilling\n300 g ground pork\n\nSteam 10 minutes.',
        'shell',
      ),
    ).toEqual(['dumpling-wrapper 450']))

  it('milk and water on one amount are half of each', () =>
    expect(
      amountsIn(
        'Cheese rolls\n\n600g bread flour / 380ml milk+water / 8g yeast / 10g salt\n400 g feta\n\nKnead 8, rise 60. 15 pieces. Flatten, fill, close. 220 C 14 min.',
        'shell',
      ),
    ).toEqual(['strong-flour 600', 'milk 194', 'water 190', 'instant-yeast 8', 'salt 10']))

  it('two amounts in brackets are of the two that are named', () =>
    expect(
      amountsIn(
        'Pies\nDough: 500 g plain flour, 250 ml water\nFilling: 400 g mushrooms & walnuts (300 + 100), minced; 1 onion\n30 balls. Roll, fill, pinch. 220 C 14 min.',
        'filling',
      ),
    ).toEqual(['mushroom 300', 'walnuts 100', 'onion 110']))

  it('half boiling and half cold water, and two fats that are mixed', () => {
    expect(
      amountsIn(
        'Boxes\nDough: 300g AP flour, half boiling water (100ml) half cold (90ml), pinch salt.\nFilling: 200g garlic chives, 150g shrimp\nRest 30 min. 10 portions. Roll thin, fill, fold. Oil in a pan, 4 min each side.',
        'shell',
      ).slice(1, 3),
    ).toEqual(['water 100', 'water 90'])
    expect(
      amountsIn(
        'Pie\nCrust: 12oz SR flour, 6oz lard & marg mixed, cold water\nFilling: 500 g beef, 2 onions, salt & plenty white pepper, gravy browning\nFill, lid on. Gas 6, 40 mins.',
        'shell',
      ).slice(1, 3),
    ).toEqual(['lard 85', 'margarine 85'])
  })

  it('what is listed behind salt and pepper is not said of them', () =>
    expect(
      foodsIn(
        'Pie\nCrust: 12oz SR flour, 6oz lard, cold water\nFilling: 500 g beef, 2 onions, salt & plenty white pepper, gravy browning\nFill, lid on. Gas 6, 40 mins.',
        'filling',
      ),
    ).toEqual(['beef', 'onion', 'salt', 'white-pepper', 'null']))

  it('what a sheet is spread with is a line of its own, and what it is cut in counts', () => {
    const text =
      'Cones\n\n1 roll of puff pastry (275 g) spread with 30 g soft butter, rolled up tight, chilled 1 h, cut in 10 slices.\nFilling - 250 g ricotta, 50 g sugar, 1 egg yolk.\nFlatten each slice into a cone, fill w 1 tbsp, pinch. 200 C 22 min.'
    expect(foodsIn(text, 'shell')).toEqual(['puff-pastry', 'butter'])
    expect(recipe(text).pieces).toBe(10)
  })

  it('a slurry beside bread coats or seals, and is not filled in', () => {
    const text =
      'Bread rolls\n\n8 slices bread\n150 g paneer\n1 boiled potato\n2 tbsp maida + 4 tbsp water slurry\n\nFlatten the bread, fill and close like a roll. Coat in slurry. Bake 180C 12 min. 8 rolls.'
    expect(foodsIn(text, 'filling')).toEqual(['paneer', 'boiled-potato'])
    expect(foodsIn(text, 'finish')).toEqual(['plain-flour', 'water'])
  })

  it('fat by the batch is taken as often as there are batches', () =>
    expect(
      amountsIn(
        'Potstickers\nmakes 40\n\n200 g tofu\n150 g cabbage\n40 wrappers\nFor pan-frying: 1 tbsp oil + 80 ml water per batch of 20\n\nFill, pleat. Fry 2 min, add water, cover, 6 min.',
        'pan',
      ),
    ).toEqual(['sunflower-oil 27', 'water 160']))

  it('sheets for the tops are dough', () =>
    expect(
      foodsIn(
        'Chicken pies\n2 sheets shortcrust pastry for the bases\n2 sheets puff pastry for the tops\n500 g chicken\nLine 4 pie tins, fill, put the lids on. 200 C 30 min.',
        'shell',
      ),
    ).toEqual(['shortcrust-pastry', 'puff-pastry']))

  it('coarse sugar below the egg wash goes on top with it', () =>
    expect(
      foodsIn(
        'Turnovers\n1 sheet puff pastry\n2 apples\n1 tsp lemon juice\nEgg wash\nTurbinado sugar\n\nCut into 4 squares. Fill, fold, crimp. 200 C 20 min.',
        'finish',
      ),
    ).toEqual(['egg', 'brown-sugar']))
})

describe('labels', () => {
  it.each<[string, string, string[]]>([
    [
      'Hand pies\n\nCrust. 300 g wholewheat flour, 100 g coconut oil, 100 ml water.\nFilling. 400 g sweet potato, 1 can black beans.\nMethod. Roll, cut 8 circles, fill, fold. 190 C 25 min.',
      'filling',
      ['sweet-potato', 'black-beans-canned'],
    ],
    [
      'Calzone\n\ndough ... 250g spelt flour, 160ml warm water\nveg ... 1 courgette, 1 red pepper\n\nKnead, halve, roll out, fill, fold. 230C 15 min',
      'filling',
      ['courgette', 'red-pepper'],
    ],
    [
      'Empanadas\n• Dough • 250 g flour, 100 ml water\n• Filling • 400 g tofu, 1 onion\n• Finish • plant milk\n\nRoll, fill, fold, brush. 190 C 25 min.',
      'finish',
      ['plant-milk-any'],
    ],
    [
      'Naan\n240 g self raising flour\n220 g yoghurt\n120 g mozzarella\ngarlic butter (30 g butter + 2 cloves garlic + parsley) to brush\n\nKnead, divide in 4, fill, gather. Dry pan 3 min a side. Brush.',
      'finish',
      ['butter', 'garlic', 'parsley'],
    ],
    [
      'Gözleme\n\nDough: 250g flour, 150ml water\nLamb: 200g lamb mince, 1 onion\nGarlic yoghurt: 150g yoghurt, 1 clove garlic\n\nFry the lamb 8 min. Roll, fill, fold. Dry pan 2 min a side.',
      'dip',
      ['yogurt', 'garlic'],
    ],
    [
      'Turnovers\n1 sheet puff pastry\n2 apples\n\nCut in 4 squares, fill, fold, crimp. 400 F 20 min. Glaze if you want: 1/2 cup powdered sugar + 2 tsp milk.',
      'finish',
      ['icing-sugar', 'milk'],
    ],
    [
      'Manti\n60 wonton wrappers\n400g lamb mince, 1 onion grated\nSauce 1: 300g yoghurt, 2 cloves garlic\nSauce 2: 60g butter, 1 tsp paprika\n\nFill, pinch. Bake 200C 10 min.',
      'dip',
      ['yogurt', 'garlic', 'butter', 'paprika'],
    ],
    [
      'Gyoza\nMakes 20\n20 gyoza wrappers\n150g chicken mince\n50g sweetcorn\n\nMix all. Fill, pleat. Air fry 190 for 8 minutes until crisp. Dip: soy + rice vinegar + chilli.',
      'dip',
      ['soy-sauce', 'vinegar', 'green-chilli'],
    ],
    [
      'Bao\n\nStarter dough: 1 tsp yeast, 180 ml warm water, 200 g flour\nMain: 60 g cake flour, 60 g sugar, 2 tbsp lard\nFilling: 350 g pork, 1 tbsp hoisin\n\nKnead, divide 16, fill, pleat. Steam 12 min.',
      'shell',
      ['soft-flour', 'sugar', 'lard'],
    ],
  ])('%s', (text, kind, foods) => expect(foodsIn(text, kind).slice(0, foods.length)).toEqual(foods))

  it('work behind the list of a part is done with that part', () => {
    const text =
      'Momos (30 pcs)\nDough: 2 cups maida, 3/4 cup water\nFilling: 500 g chicken mince, 1 onion. Fry 10 mins with salt.\nFill, pleat. Steam for 12-15 mins.\nChutney: 3 tomatoes, 5 cloves garlic. Boil 10 mins, grind.'
    const { parts, cooking } = recipe(text)
    expect(parts.find(({ kind }) => kind === 'filling')?.cookedMinutes).toBe(10)
    expect([cooking.way, cooking.andThen]).toEqual(['steam', null])
  })

  it('minutes and hours in one letter are of the part whose list they end', () =>
    expect(
      recipe(
        'Pot stickers\nwrappers: 2c flour, 3/4c just-boiled water, knead 5m, rest 1h\nfilling: 1/2 lb ground chicken, 2 scallions\ndivide dough into 24, fill, pleat. Steam 8 min.',
      ).facts.map(({ kind, low }) => `${kind} ${low}`),
    ).toEqual(['knead-minutes 5', 'rest-minutes 60']))

  it('what foil holds is steamed before it is filled', () => {
    const { parts, cooking } = recipe(
      'Seitan rolls\n\nFor the seitan\n200g vital wheat gluten\n250ml vegetable stock\n\nTo assemble\n320g vegan puff pastry\n2 tbsp Dijon\n\nMix the seitan ingredients, shape into two sausages, wrap in foil and steam 45 minutes. Cool. Cut pastry in two. Spread with mustard, put the seitan on, roll up. 200C for 30 minutes.',
    )
    expect([cooking.way, cooking.minutes]).toEqual(['bake', 30])
    expect(parts.find(({ into }) => into !== null)?.cookedMinutes).toBe(45)
  })

  it('in one row the pieces may be fried behind their closing', () =>
    expect(
      cooked(
        'Pockets (8)\nDough: 300 g flour, 150 ml water\nFilling: 300 g cheese, 1 onion. Fold, seal. Fry 3 min in a little oil.',
      ),
    ).toBe('8 shallow-fry 3'))
})

describe('names', () => {
  it.each<[string, string]>([
    [
      'Chicken bao buns - the whole family helps\n\nFilling\n300 g chicken',
      'Chicken bao buns - the whole family helps',
    ],
    [
      'Spiced lamb filo cigars - makes 24 - party food\n\n6 sheets filo\n350g lamb mince',
      'Spiced lamb filo cigars - party food',
    ],
    ['How to make pelmeni?\n\n500 g flour, 200 ml water\nThe meat: 300 g pork', 'Pelmeni'],
    [
      "today I'm showing you stuffed chilli paratha no sorry stuffed radish paratha so take two large radishes grate them now two cups of wheat flour and half a cup of water knead rest twenty minutes make six balls fill roll and roast on hot tawa",
      'Stuffed radish paratha',
    ],
  ])('%s', (text, title) => expect(recipe(text).title).toBe(title))
})

describe('what is said before the work', () => {
  it('another name of the dish behind a stroke, and what is listed below it', () => {
    const text =
      'Paneer buns | Soft paneer buns\n300 g flour, 150 ml water\n200 g paneer\nFill, close. Bake 200 C 20 min. Makes 8.'
    expect(recipe(text).title).toBe('Paneer buns')
    expect(foodsIn(text, 'shell')).toEqual(['plain-flour', 'water'])
    expect(cooked(text)).toBe('8 bake 200 20')
  })

  it('a note among the lines says something, and the list goes on', () =>
    expect(
      foodsIn(
        'Buns\n300 g flour\nNote: use strong flour\n150 ml water\n\nFilling\n200 g feta\n\nFill, close. Bake 200 C 20 min. Makes 8.',
        'shell',
      ),
    ).toEqual(['plain-flour', 'water']))
})

describe('how many', () => {
  it.each<[string, number]>([
    ['Divide 9. Proof 45 min in 20 cm square tin. Bake 170 C 22 min.', 9],
    ['From this amount comes approximately 100 pockets. Boil 5 min.', 100],
    ['18 portions, flatten, fill, seal, bottom side up on tray. Bake 180 C 20 min.', 18],
  ])('%s', (work, pieces) => expect(worked(work).pieces).toBe(pieces))

  it.each<[string, number]>([
    [
      'Calzones\n2 x 250 g pizza dough\n125 g mozzarella\n100 g ricotta\nRoll each out to 25 cm, fill half, fold, crimp. 250 C 11 min.',
      2,
    ],
    [
      'Triangles\n12 sheets of filo, halved\n500g minced beef\n60 g butter, melted\n\nTablespoon at the end of each strip, fold in triangles. Brush, 180 C, 18 min.',
      24,
    ],
    [
      'Leek pudding\nSuet crust: 300 g self raising flour, 150 g suet, 200 ml water\nFilling: 500 g leeks\nLine a buttered 1.2 litre basin with two thirds, fill, lid with the rest. Cover with pleated foil. Steam 4 hours.',
      1,
    ],
    [
      'Spanakopita\n1 lb phyllo (18 sheets)\n200 g butter\n1 kg spinach\n400 g feta\nLayer 9 sheets in a 9x13 pan, buttering each. Filling. 9 more on top. Score into 15 pieces. 350F 50 min.',
      1,
    ],
    [
      'Sausage lattice\n375g ready-rolled puff\n400g sausage meat\nFilling down the middle. Cut strips either side, criss-cross over. 200C 40 min. Slice to serve 4',
      1,
    ],
    [
      'Pizza rustica, serves 12\n\nCrust\n3 cups flour\n200 g butter\n\nFilling\n1 kg ricotta\n\nChill 1 hr. Two thirds for the bottom, line a 10 inch springform. Fill. Roll the rest for top. Bake 350 for 75 minutes.',
      1,
    ],
  ])('%s', (text, pieces) => expect(recipe(text).pieces).toBe(pieces))

  it('slices serve', () =>
    expect(
      recipe(
        'Sausage lattice\n375g ready-rolled puff\n400g sausage meat\nCut strips either side, criss-cross over. 200C 40 min. Slice to serve 4-6',
      ).servings,
    ).toBe(4))
})

describe('heat', () => {
  it.each<[string, string]>([
    ['Pan med-high, lid on, 2-3 min, flip 2 min.', '12 griddle 5'],
    ['Fry in shallow oil 2 min per side.', '12 shallow-fry 4'],
  ])('%s', (work, says) =>
    expect(
      cooked(
        `Pockets\nMakes 12\n\nDough\n300 g plain flour\n160 ml water\n\nFilling\n300 g mince\n\nMethod\nFill, fold and seal. ${work}`,
      ),
    ).toBe(says),
  )

  it('hot water on flour steams nothing', () =>
    expect(
      cooked(
        'Dumplings\nMakes 35\n\nDough\n300 g plain flour\n150 ml hot water\n\nFilling\n300 g mushrooms\n\nDough: pour hot water on flour, knead 5 minutes, cover 20 minutes. Cut out with 8 cm glass, heaped teaspoon each. Cook in boiling water 3 minutes.',
      ),
    ).toBe('35 boil 3'))

  it('bread that is baked in a dry pan before it is filled is no filling that cooks', () => {
    const { parts, cooking } = recipe(
      'Stuffed bread\n\nBread: 300 g plain flour, 160 g warm water, 3 g yeast\nLamb: 600 g lamb shoulder, 2 tbsp soy sauce\n\nBraise lamb 2 h. Dough: 8 min knead. 5 pieces, shape discs 10 cm. Dry pan low heat 4 min per side. Chop the lamb, split breads, fill.',
    )
    expect([cooking.way, cooking.minutes]).toEqual(['griddle', 8])
    expect(parts.find(({ kind }) => kind === 'filling')?.cookedMinutes).toBe(120)
  })
})

describe('what goes on them', () => {
  it.each<[string, string[]]>([
    ['Fold to triangles. Egg. 200 fan 25.', ['egg']],
    ['Fold, crimp. Egg, sesame, 200 C 20 min.', ['egg', 'sesame-seed']],
    ['Place seam down, brush with melted butter. Bake 180 C 20 min.', ['butter']],
  ])('%s', (work, foods) =>
    expect(
      worked(work)
        .parts.find(({ kind }) => kind === 'finish')
        ?.lines.map(({ foodId }) => foodId),
    ).toEqual(foods),
  )

  it('an egg that ends the list of a jelly is brushed on', () =>
    expect(
      foodsIn(
        'Pork pies (makes four)\n\nPASTRY\n450g plain flour, 100g lard, 200ml water\nFILLING\n800g pork shoulder, 1/2 tsp mace\nJELLY\n300ml pork stock, 4 leaves gelatine\n+ 1 egg\n\nFill, lid, crimp, hole in top, egg. 180C 30 min. When cold pour jelly in.',
        'finish',
      ),
    ).toEqual(['egg']))

  it('what they are rolled in is on them', () =>
    expect(
      worked('Bake 180 C 10 min. Roll in 20g melted light butter.')
        .parts.find(({ kind }) => kind === 'finish')
        ?.lines.map(({ grams }) => grams),
    ).toEqual([20]))

  it('butter by the piece', () =>
    expect(
      worked('Makes 10. Bake 180 C 20 min. Butter generously (1 tsp each).').parts.find(
        ({ kind }) => kind === 'finish',
      )?.lines[0]?.grams,
    ).toBeCloseTo(47, 0))

  it('a second egg is brushed on, and the first is mixed in', () => {
    const text =
      'Pockets\n2 sheets lavash\n250 g cottage cheese\n1 egg\ndill\n\nMix. Cut each in 4 strips, fold into triangles. Brush with egg (use a second one). Bake 190 C 8 min.'
    expect(foodsIn(text, 'filling')).toContain('egg')
    expect(foodsIn(text, 'finish')).toEqual(['egg'])
  })

  it('butter of a crumb topping is rubbed in, and another brushed on', () =>
    expect(
      foodsIn(
        'Buns\n\nDough: 500 g flour, 250 ml milk, 7 g yeast\nFilling: 200 g jam\nTopping: 60 g flour, 50 g sugar, 30 g butter\n\nMake 24 balls, flatten, fill and pinch shut. Brush with melted butter, sprinkle topping. Bake 190 C 17 min.',
        'finish',
      ),
    ).toEqual(['plain-flour', 'sugar', 'butter', 'butter']))

  it('what is whisked to be brushed between is no filling', () =>
    expect(
      foodsIn(
        "Börek\n1 pack yufka, 4 sheets\n2 courgettes\n200g feta\n100ml milk\n75ml olive oil\n\nWhisk the milk and oil - that's to brush between. Mix courgettes and cheese. Brush a sheet, fill, roll up. 190 C 35 min. 4 rolls",
        'filling',
      ),
    ).toEqual(['courgette', 'feta']))

  it('the fat that is spread on a griddle is named in the work', () =>
    expect(
      foodsIn(
        'Paratha\n\nDough: 2 cup atta, 150 ml water\nStuffing: 200 g paneer\n\nMake 8 balls. Fill, close, roll. Put on hot tawa, 1 min, flip and apply 1 tsp ghee on each side and cook till golden.',
        'pan',
      ),
    ).toEqual(['ghee']))
})

describe('sizes and rests', () => {
  it.each<[string, string, number]>([
    ['Teaspoon of meat in each. Boil 5 min.', 'filling-tbsp-per-piece', 1 / 3],
    ['Tablespoon at the end of each strip. Bake 180 C 20 min.', 'filling-tbsp-per-piece', 1],
    ['Heaped teaspoon each. Boil 3 min.', 'filling-tbsp-per-piece', 0.5],
    ['2 tablespoons apples, fold, crimp. Fry 3 min.', 'filling-tbsp-per-piece', 2],
    ['10 balls each (dough 52 g / filling 60 g). Boil 6 min.', 'ball-grams', 52],
    ['Roll 2 mm, cut 7 cm. Boil 3 min.', 'disc-cm', 7],
    ['8 g dough + 12 g filling per dumpling. Boil 6 min.', 'ball-grams', 8],
    ['Let it lie for 40 minutes under a bowl. Boil 3 min.', 'rest-minutes', 40],
  ])('%s', (work, kind, amount) => expect(factOf(work, kind)).toBeCloseTo(amount, 2))

  it('ghee by the piece is no filling', () =>
    expect(
      factOf('Roast on hot tawa with ghee about one teaspoon for each.', 'filling-tbsp-per-piece'),
    ).toBeUndefined())
})

describe('a told recipe without marks', () => {
  it('a herb between two amounts and a little oil are in it', () => {
    const text =
      'Paneer paratha (for 4 persons)\n\nTake 2 cup atta in a bowl add salt and little oil and knead soft dough with water. Grate 200 gm paneer add 1 chopped onion 1 green chilli coriander 1/2 tsp garam masala and salt mix well. Make 8 equal balls from dough. Keep 2 tbsp stuffing in center, gather and close. Put on hot tawa, 1 min.'
    expect(foodsIn(text, 'shell')).toContain('sunflower-oil')
    expect(foodsIn(text, 'filling')).toContain('coriander-leaf')
  })
})
