import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'
import { readRecipe } from './readRecipe'

// What recipes of the ordinary kind say in passing, and what it has to become.

const said = (raw: string) =>
  readIngredients(raw, foods)
    .map(({ line }) => `${line.foodId ?? `?${line.name}`} ${Math.round((line.grams ?? 0) * 10) / 10}`)
    .join(' | ')
const DOUGH = '300 g plain flour\n160 ml water'
const read = (filling: string, steps: string, head = 'Cheese buns\nMakes 12') =>
  readRecipe(`${head}\n\nDough\n${DOUGH}\n\nFilling\n${filling}\n\nMethod\n${steps}`, foods).recipe
const parts = (text: string) =>
  readRecipe(text, foods).recipe.parts.map(
    ({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`,
  )
const ways = (recipe: ReturnType<typeof read>) => {
  const { way, temperatureC, minutes, andThen } = recipe.cooking
  return [
    way,
    temperatureC,
    minutes,
    ...(andThen ? [andThen.way, andThen.temperatureC, andThen.minutes] : []),
  ]
}

describe('an ingredient line', () => {
  it.each([
    ['atta 1 cup maida 1 cup', 'atta 120 | plain-flour 125'],
    ['atta 1 cup maida 1 cup suji 2 tbsp', 'atta 120 | plain-flour 125 | semolina 21'],
    ['500 g minced beef and pork', 'minced-beef 250 | minced-pork 250'],
    ['2 tbsp milk + 1 tbsp', 'milk 45.9'],
    ['cinnamon sugar (4 tbsp sugar + 1 tsp cinnamon) to roll in', 'sugar 50 | cinnamon 2.6'],
    ['fried onions for serving (2 onions, 3 tbsp oil)', 'onion 220 | sunflower-oil 40.8'],
    [
      '3 tbsp curry powder mixed to a paste with water, a few curry leaves',
      'curry-powder 18.9 | curry-leaf 0.6',
    ],
    ['oil for frying + 1 tbsp for the masala', 'sunflower-oil 15 | sunflower-oil 13.6'],
    ['100 g ricotta, 50 g parmesan + more to serve, nutmeg', 'ricotta 100 | parmesan 50 | nutmeg 1'],
    ['12 breakfast sausages (about 8 oz)', 'sausage-meat 226.8'],
    ['onion 1 fine chopped', 'onion 110'],
    ['2 packages frozen dinner roll dough (24 each)', 'roll-dough 1824'],
    ['500 g leftover bean chilli', 'bean-chilli 500'],
    ['salt, haldi, mirchi', 'salt 4 | turmeric 1 | chilli-powder 1'],
    ['1 cup vegan mozzarella shreds', 'plant-cheese 113'],
    ['oil - 1 tbsp for the filling, 3 tbsp to brush', 'sunflower-oil 13.6 | sunflower-oil 40.8'],
    ['100 ml olive oil (2 tbsp for leek, rest for filo)', 'olive-oil 27 | olive-oil 63'],
    ['1 egg (half in filling half for brushing)', 'egg 25 | egg 25'],
    ['500 g butternut (roasted 40 min at 200, = 350 g flesh)', 'butternut 350'],
    ['1 can cherry pie filling (you won’t use it all, about 1 cup)', 'fruit-pie-filling 262'],
    [
      'urad dal 1/4 cup (soaked 4 hrs), atta 2 cups, oil 1 tbsp + for frying',
      'urad-dal-dry 50 | atta 240 | sunflower-oil 13.6 | sunflower-oil 15',
    ],
    ['390 g carton green lentils, drained', 'lentils-canned 234'],
    ['2 cups grated mooli (radish), squeezed of water', 'red-radish 232'],
    ['1 tbsp oil + extra for brushing', 'sunflower-oil 13.6 | sunflower-oil 15'],
    ['1 can (10 ct) buttermilk biscuits', 'buttermilk-biscuit-dough 464'],
    ['1 pack yufka triangles (20)', 'yufka-triangles 360'],
    ['640 g puff pastry, each sheet cut into 9, thawed', 'puff-pastry 640'],
    ['24 slices turkey pepperoni', 'turkey-pepperoni 43.2'],
    ['oil for frying, about 1 cm in the pan', 'sunflower-oil 15'],
  ])('%s', (raw, expected) => {
    expect(said(raw)).toBe(expected)
  })

  it('is no dough of its own where it only says how one is wrapped', () => {
    expect(
      parts(
        'Potstickers\n\nwrappers 30\n300 g minced pork\n1 tsp salt\n\nmix it all.\nwrap (abt 1 tbsp each).\npan fry 3 min, add water, cover 5 min.',
      ),
    ).toEqual(['shell: dumpling-wrapper', 'filling: minced-pork salt', 'pan: sunflower-oil'])
  })
})

describe('where a line goes', () => {
  it('a food with a remark in brackets heads no part', () => {
    expect(
      parts(
        'Parathas\n\nFor dough:\nAtta - 2 cups\nWater - 3/4 cup\n\nFor stuffing:\nCauliflower - 1 small (grated, about 2 cups)\nAjwain - 1/4 tsp\n\nMake 6 balls, stuff, roll, tawa 4 min with ghee.',
      ),
    ).toEqual(['shell: atta water', 'filling: cauliflower ajwain', 'pan: ghee'])
  })

  it('the fat of sheets is brushed, though the list ends with it', () => {
    expect(
      parts(
        'Cheese triangles\nMakes 40\n\n1 pack filo (375 g)\n500 g feta\n3 eggs\n150 g butter melted with 2 tbsp olive oil\n\nMix everything but butter and filo. Cut the sheets in strips, brush with butter, fold. Bake 180 C 25 min.',
      ),
    ).toEqual(['shell: filo', 'filling: feta egg', 'finish: butter olive-oil'])
  })

  it('seeds and leaves for the top are both on top', () => {
    expect(
      parts(
        `Kulchas\n\n${DOUGH}\n\nStuffing: chickpeas 200 g, onion 1\n\nKalonji, coriander leaves for the top\n\nDivide in 6, stuff, roll, tawa 3 min.`,
      ).find((part) => part.startsWith('finish')),
    ).toBe('finish: nigella coriander-leaf')
  })

  it('cheese that is melted into a flour is the dough’s, where a recipe is told', () => {
    expect(
      parts(
        'Ok: 200 g grated mozzarella and 50 g cream cheese melted in the microwave, then mix in 100 g almond flour, an egg. Roll between 2 sheets of paper. 400 g sausage meat mixed with a tsp of fennel seeds goes down the middle (cut the dough in 2). Roll, seam under, cut in 12. 190 C 25 minutes.',
      ).slice(0, 2),
    ).toEqual(['shell: mozzarella cream-cheese almond-flour egg', 'filling: sausage-meat fennel-seed'])
  })

  it('what stands behind its food, or has no article, is told as well', () => {
    const told = parts(
      'So for these stuffed naan you take about 400 grams of plain flour, teaspoon of yeast, 150 ml water and knead that for ten minutes. For the filling mix 250 g of minced lamb that you’ve fried off with an onion for about 10 minutes, and a handful of coriander. Divide into six, stuff, roll out, cook in a hot dry pan 3 minutes each side and brush with melted butter, about 30 g.',
    )
    expect(told).toEqual([
      'shell: plain-flour instant-yeast water',
      'filling: minced-lamb onion coriander-leaf',
      'finish: butter',
    ])
  })
})

describe('where a line goes, by what the method says of it', () => {
  it.each([
    [
      'garlic that is melted into what is brushed on',
      `Naan\nMakes 6\n\nDough\n${DOUGH}\n\nFilling\n150 g mozzarella\n40 g butter, melted\n2 garlic cloves, crushed\n\nDivide in 6, fill, pinch, roll. Cook in a pan 2 minutes each side. Combine the butter and garlic and brush over.`,
      'finish: butter garlic',
    ],
    [
      'the second egg, and the seeds behind it',
      'Sausage rolls\nMakes 24\n\n600 g minced pork\n1 onion\n1 egg\n4 sheets puff pastry\n1 egg, extra, lightly beaten\n2 tsp sesame seeds\n\nMethod\nCombine the pork, onion and egg. Cut each sheet in half, roll up, cut each into 3. Brush with extra egg, sprinkle with sesame seeds. Bake 200 C 25 minutes.',
      'finish: egg sesame-seed',
    ],
    [
      'coarse salt behind the yolk that is brushed on',
      `Pretzel bites\nMakes 24\n\n${DOUGH}\n1 tsp salt\n200 g cheddar\n1 yolk + 1 tbsp water\ncoarse salt\n\nKnead. Divide in 24, tuck in the cheddar, pinch shut. Brush, salt, bake 230 C 12 min.`,
      'finish: egg-yolk water kosher-salt',
    ],
    [
      'seeds of a spice that are named with the glaze',
      'Sausage rolls\nMakes 16\n\n500 g puff pastry\n400 g sausage meat\n1 egg, beaten\nfennel seeds\n\nMix everything except egg + seeds. Halve the pastry, shape the filling down each, egg the edge, roll & seal. Cut each into 8. Glaze, seeds, slash. Bake 200 C 25 mins.',
      'finish: egg fennel-seed',
    ],
  ])('%s', (_, text, expected) => {
    expect(parts(text).find((part) => part.startsWith('finish'))).toBe(expected)
  })

  it('seeds of a spice on top are as many as sesame would be, and it is said', () => {
    const finish = readRecipe(
      'Sausage rolls\nMakes 16\n\n500 g puff pastry\n400 g sausage meat\n1 egg, beaten\nfennel seeds\n\nMix everything except egg + seeds. Halve the pastry, shape the filling down each, egg the edge, roll & seal. Cut each into 8. Glaze, seeds, slash. Bake 200 C 25 mins.',
      foods,
    ).recipe.parts.find(({ kind }) => kind === 'finish')!
    const seeds = finish.lines.find(({ foodId }) => foodId === 'fennel-seed')!
    expect(seeds.grams).toBe(5)
    expect(seeds.notes.map(({ text }) => text).join()).toContain('5 g of')
  })

  it('oil that is brushed on besides is on top, whatever the filling takes of it', () => {
    expect(
      parts(
        'Lentil parcels\nMakes 8\n\n2 aubergines\n4 tbsp olive oil, plus extra for brushing\n1 onion\n8 sheets filo\n\nToss the aubergine with 3 tbsp of the oil and roast 25 minutes. Heat the remaining oil and fry the onion 8 minutes. Brush a sheet of filo with oil, fold up to a parcel. Brush with oil, bake 200 C 20 minutes.',
      ),
    ).toEqual(['shell: filo', 'filling: aubergine olive-oil onion', 'finish: olive-oil'])
  })

  it('ghee without an amount that only the griddle takes is the pan’s', () => {
    expect(
      parts(
        'Parathas\n\n2 cups atta\nsalt\nghee\n2 cups grated radish\n1/2 tsp ajwain\n\nKnead, rest 15 mins. 5 parathas. Roll, stuff, roll. Tava, ghee both sides.',
      ).at(-1),
    ).toBe('pan: ghee')
  })

  it('what the pieces are wrapped in and nobody eats is kept, and no food', () => {
    const { recipe, questions } = readRecipe(
      'Tamales\n\nMasa\n4 cups masa harina\n3 cups broth\n\nPork\n500 g cooked pork\n\n30 corn husks, soaked 1 hr\n\nSpread masa on each husk, pork in the middle, fold. Steam 1 hr 15 min.',
      foods,
    )
    expect(recipe.parts.flatMap(({ lines }) => lines).filter(({ foodId }) => foodId === null)).toEqual([])
    expect(recipe.notes.map(({ text }) => text).join()).toContain('corn husks')
    expect(questions.filter(({ code }) => code === 'unknown-food')).toEqual([])
  })

  it('butter to fry the leeks in goes in with them', () => {
    expect(
      parts(
        'Pasties\nMakes 8\n\nPastry - 500 g shortcrust\n\nFilling - 3 leeks, 150 g cheddar, 25 g butter to fry the leeks in\n\nSoften leeks 10 mins. Cool. Cut 8 circles, fill, fold, crimp. 200 C 30 mins.',
      ),
    ).toEqual(['shell: shortcrust-pastry', 'filling: leek cheddar butter'])
  })

  it('what each of them gets is for all of them', () => {
    const recipe = readRecipe(
      'Protein pizza pockets: 120 g self-rising flour, 170 g Greek yogurt. Mix, knead, split into 4, roll to 7". Fill each with 1 tbsp pizza sauce, 28 g mozzarella. Fold, crimp. Air fry 370F for 9 min. (Makes 4)',
      foods,
    ).recipe
    // Four times a tablespoon of 16 g (the larder’s row), and four times 28 g.
    expect(recipe.parts.find(({ kind }) => kind === 'filling')!.lines.map(({ grams }) => grams)).toEqual([
      64, 112,
    ])
  })

  it('8 oz of what each gets three of is 8 oz', () => {
    const recipe = read(
      '8 oz. stick pepperoni, cut into 48 sticks (3 per roll)',
      'Divide in 16, fill, roll up, pinch. Bake 190 C 15 min.',
      'Pepperoni rolls\nMakes 16',
    )
    expect(Math.round(recipe.parts.find(({ kind }) => kind === 'filling')!.lines[0]!.grams!)).toBe(227)
  })

  it('water that is stated stays as stated, though it is added gradually', () => {
    const recipe = readRecipe(
      'Dumplings\nMakes 40\n\n400 g tapioca starch\n330 ml boiling water (added gradually)\n\n200 g prawns\n\nKnead, 40 rounds, fill, fold, press. Boil 5 minutes.',
      foods,
    ).recipe
    expect(recipe.parts[0]!.lines[1]).toMatchObject({ foodId: 'water', grams: 330 })
  })
})

describe('how many', () => {
  it.each([
    ['500 g shortcrust', 'Cut 6 x 7 inch. Fill, crimp. Bake 200 C 20 mins.', 6],
    ['8 sheets filo', 'Wrap each in 2 sheets of buttered filo. Bake 190 C 30 mins.', 4],
  ])('%s: %s', (dough, steps, pieces) => {
    expect(readRecipe(`Lamb parcels\n\n${dough}\n300 g minced lamb\n\n${steps}`, foods).recipe.pieces).toBe(
      pieces,
    )
  })
})

describe('how the pieces are cooked', () => {
  const SHAPED = 'Knead. Divide into 12, fill, close and flatten.'
  it.each([
    ['50 mins at 180 - start at 200 for first 10.', ['bake', 200, 10, 'bake', 180, 40]],
    ['Pan 5 mins each side, then oven 180 10 mins.', ['griddle', null, 10, 'bake', 180, 10]],
    ['Dry pan, medium, with lid - 5 min one side, 4 the other.', ['griddle', null, 9]],
    ['200C 15 mins, 180C 20.', ['bake', 200, 15, 'bake', 180, 20]],
    ['Air fryer 180 10 min. (Oven: 200 18-20.)', ['bake', 180, 10]],
    ['To steam: 10 minutes in a lined basket.\nTo pan fry: 2 tbsp oil, fry 3 minutes.', ['steam', null, 10]],
  ])('%s', (steps, expected) => {
    expect(ways(read('300 g cheddar', `${SHAPED}\n${steps}`))).toEqual(expected)
  })

  it('counts a spoon of oil for each of the batches that are told', () => {
    const recipe = read(
      '300 g cheddar',
      `${SHAPED} Fry in a pan, 1 tbsp oil per batch, 4 batches, 3 min each side.`,
    )
    // Four tablespoons of 13.6 g (the larder's row of oil, from memory).
    expect(recipe.parts.find(({ kind }) => kind === 'pan')!.lines[0]!.grams).toBeCloseTo(54.4, 1)
  })
})

describe('what a time is of', () => {
  const times = (steps: string) =>
    read('300 g cabbage', steps)
      .facts.filter(({ kind }) => /-minutes$/.test(kind))
      .map(({ kind, low }) => `${kind.replace('-minutes', '')} ${low}`)
  it.each([
    ['Pour hot water on the flour, lid on 5 mins, knead.', ['rest 5']],
    ['Knead 10 min. Fridge overnight, out 2 h before.', ['knead 10', 'chill 480', 'rest 120']],
    ['Dough in the mixer 6 min.', ['knead 6']],
    ['Knead 8, rise 1 h.', ['knead 8', 'rise 60']],
    ['Knead 10 minutes and rest 30 in a bag.', ['knead 10', 'rest 30']],
    ['Knead flour, water and salt for 10 minutes.', ['knead 10']],
    ['Salt cabbage 15 minutes, then squeeze.', ['rest 15']],
    ['Knead 8 minutes. Set aside for 1 hour to double.', ['knead 8', 'rise 60']],
    ['Divide in 12, fill, close. Bake 200 C 20 mins. Leave in the tin 5 mins.', ['rest-before-eating 5']],
  ])('%s', (steps, expected) => {
    expect(times(steps)).toEqual(expected)
  })
})

describe('what is cooked before it goes in', () => {
  const raw = (filling: string, steps: string) =>
    read(filling, steps)
      .parts.find(({ kind }) => kind === 'filling')!
      .lines.filter(({ cookedBy }) => cookedBy === 'raw')
      .map(({ foodId }) => foodId)
  it('is not the cheese that tops it when it is divided, nor one that shares a word with another', () => {
    expect(
      raw(
        '10 eggs\n1 lb turkey sausage\n2 cups cottage cheese\n150 g cheddar',
        'Brown the sausage, 8 min. Scramble eggs with cottage cheese. Divide between tortillas, top with cheddar, roll up.',
      ),
    ).toEqual(['cheddar'])
  })

  const cooked = (filling: string, steps: string) =>
    Object.fromEntries(
      read(filling, steps)
        .parts.find(({ kind }) => kind === 'filling')!
        .lines.map(({ foodId, cookedBy }) => [foodId, cookedBy]),
    )
  it('what something lay in goes into the pan with it', () => {
    const found = cooked(
      '200 g prawns\n1 tbsp fish sauce\n1 tsp sugar\n2 shallots\n1 tsp oil\n50 g feta',
      'Marinate prawns 20 mins in fish sauce and sugar. Fry shallots in oil, add prawns, 5 min. Off the heat stir in the feta.',
    )
    expect(found).toMatchObject({ feta: 'raw' })
    expect([found['fish-sauce'], found.sugar]).toEqual([null, null])
  })

  it('the rest of the milk is not the rest of the filling', () => {
    const found = cooked(
      '300 g rhubarb\n60 g sugar\n3 tbsp custard powder\n200 ml milk',
      'Custard: mix powder with 1 tbsp of the sugar and some milk, heat the rest, whisk together, cook till very thick, chill. Toss rhubarb with remaining sugar, roast 180 C 12 min, drain. Fill 12 rounds, fold, fork. Bake 200 C 22 min.',
    )
    expect(found).toMatchObject({ 'custard-powder': 'simmer', milk: 'simmer' })
    expect(found.rhubarb).not.toBe('simmer')
  })

  it('butter that the boiled pieces are tossed in cooks no filling', () => {
    const recipe = read(
      '350 g butternut\n80 g parmesan\n100 g butter\n20 sage leaves',
      'Mash squash with 60 g of the parmesan. Fill, fold. Boil 2 min. Brown butter with sage, toss, rest of parmesan.',
    )
    const filling = recipe.parts.find(({ kind }) => kind === 'filling')!
    expect(filling.lines.length).toBeGreaterThan(0)
    expect([filling.cookedBy, ...filling.lines.map(({ cookedBy }) => cookedBy)].filter(Boolean)).toEqual([])
  })
})
