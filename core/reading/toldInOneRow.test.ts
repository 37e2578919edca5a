import { describe, expect, it } from 'vitest'
import { inPart, recipe } from '../../test/readText'

// Recipes that somebody jots down in a row or two: the name in front, a list, the work and the heat in one breath.

const cooked = (text: string) => {
  const { pieces, cooking } = recipe(text)
  return `${pieces} ${cooking.way} ${cooking.temperatureC ?? ''} ${cooking.minutes ?? ''}`
    .replace(/\s+/g, ' ')
    .trim()
}
const foodsIn = (text: string, kind: string) => inPart(text, kind).map((one) => one.replace(/ \d+$/, ''))

describe('the name in front', () => {
  it.each<[string, string]>([
    [
      'Quick curry puffs: fry 1 onion in 2 tbsp oil, add 200 g cooked chicken, cool. Cut 4 sheets of puff pastry into 4 squares each, fill, fold, bake at 200 for 20 min.',
      'Quick curry puffs',
    ],
    [
      'Sweet potato samosas - boil 400g sweet potato, mash, fry 1 onion in 1 tbsp oil and mix in. 12 filo sheets cut into 2 strips, fold up in triangles, 190 fan 20 mins.',
      'Sweet potato samosas',
    ],
    [
      'My protein buns -> 250g skyr, 250g self raising flour, pinch salt, mix, divide in 6, flatten, close, air fryer 170 12 min.',
      'My protein buns',
    ],
    [
      'Paneer kulcha in a hurry – knead 300g maida with 200 ml warm milk. Crumble 250g paneer with 2 green chillies. Make 5. Stuff, roll, tawa 2 min.',
      'Paneer kulcha in a hurry',
    ],
    [
      'Lentil melts made in puff pastry: 1 can chickpeas, 3 tbsp mayonnaise, 1 stick celery, 1 tbsp capers. Fold over. 200C 20 mins.',
      'Lentil melts made in puff pastry',
    ],
    [
      'steamed veg momos 2 cups maida + water + salt knead rest 30 mins. cabbage 1 cup carrot 1/2 cup. roll, fill, pleat, steam 10 mins.',
      'steamed veg momos',
    ],
    [
      'Buckwheat parcels (GF) Batter: 200 g buckwheat flour, 1 egg, 450 ml water. Inside: 8 slices ham, 150 g cheese. Fold the four sides in.',
      'Buckwheat parcels (GF)',
    ],
    [
      'Cabbage rolls but make it pastry. 1 onion + 2 tbsp butter, cook 20 min, add 150g ham, cool. 2 packs ready rolled puff. Fill, bake 200 30 min.',
      'Cabbage rolls but make it pastry',
    ],
    [
      'Stuffed idli?? no, onion kachori. Dough 1.5 cups maida 3 tbsp oil. Filling 4 onions chopped 2 tbsp besan. 10 pieces, fry 12 min.',
      'Onion kachori',
    ],
    [
      'Stuffed paratha dough = 300 g atta, 1/2 tsp salt, 190 ml water. Filling = 200 g crumbled tofu, 1 onion. 6 balls. Tawa 4 mins.',
      'Stuffed paratha',
    ],
    [
      'Pasta dough 300 g 00 + 3 eggs, rest 30 min. Filling 250 g ricotta, 50 g parmesan. 5 cm squares, half tsp filling, fold. ~60 tortellini. Boil 3 min.',
      'Tortellini',
    ],
    [
      'Onigiri-ish? no. Bao with jackfruit: 300 g flour, 170 ml milk. Filling 300 g jackfruit. 10 balls, fill, steam 12.',
      'Bao with jackfruit',
    ],
    [
      'Potato samosas the easy way with tortillas: 6 wraps cut in half. 500 g potatoes boiled, 100 g peas. Brush oil, bake 200 15 mins',
      'Potato samosas the easy way with tortillas',
    ],
    ['I made dumplings with 300 g ground pork, 2 scallions. 40 wrappers. Fill, steam 8 min.', 'Dumplings'],
    [
      "so um today it's chicken samosas um for the dough take two cups of flour and half a cup of water divide into ten balls fry for eight minutes",
      'Chicken samosas',
    ],
  ])('%s', (text, title) => expect(recipe(text).title).toBe(title))

  it('is no part: nothing that leads a list of dough or filling', () => {
    expect(recipe('Bun dough: 300 g flour, 160 ml water\nFilling: 300 g feta\nMakes 8').parts[0]!.kind).toBe(
      'shell',
    )
  })
})

describe('what goes where', () => {
  it('takes a spoon of flour beside leeks for what thickens, and half of a block for all of it', () => {
    const text =
      'Bacon & leek pie\n\nSoften 3 leeks in 40g butter 10 min, add 200g bacon lardons, 2 tbsp flour, 300ml milk, simmer 3 min. Cool. Line a 23cm tin with half of 500g shortcrust, fill, top with the other half. 190, 40 min.'
    expect(inPart(text, 'shell')).toEqual(['shortcrust-pastry 500'])
    expect(foodsIn(text, 'filling')).toEqual(['leek', 'butter', 'bacon', 'plain-flour', 'milk'])
  })
  it('keeps what is brushed on apart from what was mixed in the same row', () => {
    const text =
      'My protein buns -> 250g skyr, 250g self raising flour, 1 tsp baking powder, mix, divide in 6, flatten, close, egg wash, sesame seeds on top, air fryer 170 12 min.'
    expect(foodsIn(text, 'shell')).toEqual(['skyr', 'self-raising-flour', 'baking-powder'])
  })
  it('lets no leaf that flavours the pot into the filling', () => {
    const text =
      'Take 500 grams of flour, 200 ml of water, knead and rest 40 minutes. For the meat I mix 300 grams of minced beef with two onions. Roll out, cut circles, fill, fold. Boil in salted water with a bay leaf, when they come up give them another 4 minutes.'
    expect(foodsIn(text, 'filling')).toEqual(['minced-beef', 'onion'])
    expect(cooked(text)).toMatch(/boil 4$/)
  })
  it('scalds flour with salt and fat in the water, and boils no piece in it', () => {
    const text =
      'Modak: boil 1 cup water with a pinch of salt & 1 tsp ghee, stir in 1 cup rice flour, cover 5 min, knead smooth. Filling 1 cup fresh coconut + 1/2 cup jaggery cooked 6-8 min. 11 modaks, steam 10-12 min.'
    expect(foodsIn(text, 'shell')).toEqual(['water', 'salt', 'ghee', 'rice-flour'])
    expect(cooked(text)).toBe('11 steam 11')
  })
  it('keeps an egg among what is mixed, and counts another for the wash', () => {
    const text =
      'so these are my turnovers. you want one sheet of puff pastry, 10 ounces of spinach, a cup of ricotta, one egg, a clove of garlic, salt. mix all the filling stuff together. cut it into nine squares, fill, fold. egg wash. 400 for 20 minutes'
    expect(foodsIn(text, 'filling')).toContain('egg')
    expect(foodsIn(text, 'finish')).toEqual(['egg'])
  })
  it('takes bread that is filled with a list for what holds it', () => {
    const text =
      'Lunch wraps\n4 tortillas filled with 200 g hummus, 100 g spinach and 1 carrot. Toast in a dry pan 2 min a side.'
    expect(foodsIn(text, 'shell')).toEqual(['tortilla'])
    expect(foodsIn(text, 'filling')).toEqual(['hummus', 'spinach', 'carrot'])
  })
  it('moves what is whisked to brush on, by the name it is brushed on with', () => {
    const text =
      'Burek\n\n1 packet filo\n500 g cottage cheese\n3 eggs\n150 ml yogurt\n100 ml oil\n\nMix the cheese with 2 eggs.\nWhisk yogurt, oil and the other egg.\nOil a tin. Lay 2 sheets, brush with yogurt mix, some filling, repeat, finish with 2 sheets. Bake at 190 for 40 mins. Cut into 8.'
    expect(foodsIn(text, 'finish')).toEqual(expect.arrayContaining(['yogurt', 'sunflower-oil', 'egg']))
    expect(foodsIn(text, 'filling')).toEqual(['cottage-cheese', 'egg'])
  })
  it('keeps the sugar of cooked fruit, though the pieces are strewn with cinnamon sugar', () => {
    const text =
      'Apple hand pies: 1 box refrigerated pie crust, 2 apples diced, 1/4 cup brown sugar, 1 tbsp butter. Cook filling 5 min, cool. Cut rounds, makes 10. Fill, fold, crimp, egg wash, cinnamon sugar. Bake 400 for 18 min.'
    expect(foodsIn(text, 'filling')).toEqual(['apple', 'brown-sugar', 'butter'])
  })
  it.each<[string, string[]]>([
    [
      '200g spinach, 150g feta, 100g cooked chicken, spring onion',
      ['spinach', 'feta', 'cooked-chicken', 'spring-onion'],
    ],
    ['2 tsp baharat, 1 tbsp odd molasses, pine nuts', ['allspice', 'molasses', 'pine-nuts']],
    [
      '600 g cabbage, 1 onion - fry in oil 15 min, salt pepper dill',
      ['cabbage', 'onion', 'salt', 'black-pepper', 'dill'],
    ],
    [
      'cabbage 1 cup carrot 1/2 cup onion 1 all finely chopped, soya sauce 1 tsp',
      ['cabbage', 'carrot', 'onion', 'soy-sauce'],
    ],
    ['2 peppers slow cooked 40 min in 100ml oil', ['red-pepper', 'sunflower-oil']],
  ])('lists all of it: %s', (list, foods) => {
    const text = `Pockets, makes 8. Dough is 400g flour + 200 ml water, knead. Filling: ${list}. Put filling on one half, fold over & seal. Bake 200 20 min.`
    expect(foodsIn(text, 'filling')).toEqual(foods)
  })
  it.each([
    '2 leeks sweated in 30g butter for 15 min, 100g gruyere, 2 tbsp creme fraiche, nutmeg',
    '2 leeks, 30g butter, 100g gruyere, 2 tbsp creme fraiche, nutmeg, fried together 6 min and cooled',
    '2 leeks 30g butter 100g gruyere 2 tbsp creme fraiche 1/4 tsp nutmeg: fry 12 mins, cool',
  ])('lists it though the row says how it was cooked: %s', (list) => {
    const text = `Leek pockets. Dough: 250 g flour, 150 ml water, chill 30. Filling: ${list}. 8 rounds of 12cm, fill, crimp. 200 25 min.`
    expect(foodsIn(text, 'shell')).toEqual(['plain-flour', 'water'])
    expect(foodsIn(text, 'filling')).toEqual(['leek', 'butter', 'gruyere', 'creme-fraiche', 'nutmeg'])
  })
  it('puts butter that is bought with thin sheets between them', () => {
    const text =
      'For 16 mini spinach pies I use 400g filo, 100g butter. Filling - 600g frozen spinach, 250g feta, 2 eggs. Strips of filo folded into triangles. Bake 180 for 25 min.'
    expect(inPart(text, 'finish')).toEqual(['butter 100'])
  })
  it.each([
    'Hand pies\n\nleftover cottage pie mix about 500g\n320g shortcrust\n\nCut 6 circles. Fill, fold. 200 for 25 min.',
    'Hand pies\n\n320g shortcrust\nleftover stew base, 500g (peas, carrots)\n\nCut 6 circles. Fill, fold. 200 for 25 min.',
  ])('asks about a list row that ends in its weight, and takes it for no work: %s', (text) => {
    expect(recipe(text).method).toHaveLength(1)
    expect(inPart(text, 'filling')[0]).toMatch(/ 500$/)
  })
})

describe('nothing is lost', () => {
  it('of what a row works with, where another row lists', () => {
    const text =
      'Beef & bean burritos x 6: brown 500g mince with 1 onion, add 240g kidney beans & 200g passata, simmer 15 mins. 6 large tortillas, 100g cheddar, 150g cooked rice. Wrap, grill pan 2 mins a side.'
    expect(foodsIn(text, 'filling')).toEqual([
      'mince',
      'onion',
      'kidney-beans-cooked',
      'tomato-can',
      'cheddar',
      'cooked-rice',
    ])
    expect(cooked(text)).toBe('6 griddle 4')
  })
  it('of a batter in front of its filling, and the butter that browns them is the pan’s', () => {
    const text =
      'Cheese "blintzes" (makes 8) – batter 3 eggs, 250ml milk, 120g flour, rest 20m, 8 thin pancakes. Filling 400g cottage cheese, 1 yolk, salt. 2 tbsp each, fold like an envelope, brown in 20g butter 2 min a side.'
    expect(foodsIn(text, 'shell')).toEqual(['egg', 'milk', 'plain-flour'])
    expect(inPart(text, 'pan')).toEqual(['butter 20'])
  })
  it('of an egg between the last fold and the seeds', () => {
    const text =
      'Sausage plait: 375 g puff pastry, 450 g sausagemeat, 1 apple grated, 50 g breadcrumbs. Down the centre, cut strips each side, plait over, egg, sesame seeds. 200 C 40 min.'
    expect(foodsIn(text, 'finish')).toContain('egg')
  })
  it('of dough that is of maize, beside what it is stuffed with', () => {
    const text =
      'Arepas: 2 cups masarepa + 2 1/2 cups warm water + 1 tsp salt, sit 5 min. 8 patties. Pan 5 min per side. Split & stuff with 2 cups shredded cooked beef, 1 cup grated white cheese.'
    expect(foodsIn(text, 'shell')).toEqual(['masarepa', 'water', 'salt'])
  })
})

describe('how much', () => {
  const each = (said: string) =>
    `Pockets\n1 1/2 cups flour + 1/2 cup water. Divide into 4, roll. ${said} Fold. Bake 190 10 minutes.`
  it.each<[string, string[]]>([
    [
      '2 tbsp pizza sauce, 28 g mozzarella and 5 g ham in each.',
      ['marinara 128', 'mozzarella 112', 'ham 20'],
    ],
    [
      'Stuff each with grated cheddar (180g total) and green chilli (2 of them).',
      ['cheddar 180', 'green-chilli 16'],
    ],
  ])('in each, or in all: %s', (said, foods) => expect(inPart(each(said), 'filling')).toEqual(foods))
  it('shares the eggs out, whatever is said beside it', () => {
    const text =
      'Pie\n\n350 g flour\n150 ml water\n\n800 g chard\n4 eggs (3 in the filling + 1 ...for the top, well half)\n\nLine a tin, fill, cover, brush egg. Bake 45 minutes.'
    expect(inPart(text, 'filling')).toContain('egg 150')
    expect(inPart(text, 'finish')).toEqual(['egg 50'])
  })
  it.each<[string, number]>([
    ['Brush with oil (1 tsp each).', 36],
    ['Brush with 2 tsp oil.', 9],
  ])('brushes each: %s', (said, grams) => {
    const text = `Hand pies\nDough: 200 g flour, 100 g butter, 50 ml water\nFilling: 300 g mince\nMakes 8. Fill, fold. ${said} Bake 20 min at 200.`
    expect(inPart(text, 'finish')).toEqual([`sunflower-oil ${grams}`])
  })
  it.each<[string, string]>([
    ['Tawa, 1 tsp oil each, 4 mins.', 'sunflower-oil 27'],
    ['Cook on a tawa with 1 tsp oil each, 4 mins.', 'sunflower-oil 27'],
  ])('gives the griddle its fat once: %s', (said, fat) => {
    const text = `Paratha: dough = 300 g atta, 190 ml water. Filling = 200 g crumbled tofu, 1 onion. 6 balls. ${said}`
    expect(inPart(text, 'pan')).toEqual([fat])
    expect(foodsIn(text, 'filling')).toEqual(['firm-tofu', 'onion'])
  })
})

describe('how many', () => {
  const puffs = (cuts: string) =>
    `Puffs\n4 sheets puff pastry\n200 g cooked chicken\n${cuts} Fill, fold, bake at 200 for 20 min.`
  it.each<[string, number]>([
    [puffs('Cut the 4 sheets into 4 squares each.'), 16],
    [puffs('Cut the pastry sheets into 4 each.'), 16],
    ['Pasties\n300g lamb\n500g shortcrust, rolled & cut into 4 x 20cm circles\n200C 30 mins.', 4],
    ['Parcels\n240 g chickpeas\n375g puff pastry in 4, fill, wrap up, egg glaze, 200 for 25 mins.', 4],
    ['Melts\n240 g chickpeas. Puff pastry 320g cut in 6. Fold over. 200C 20 mins', 6],
    [
      'Pupusas\nMasa harina 2 cups\nWarm water 1 1/2 cups\nRefried beans 1 cup\nGolf-ball sized pieces (10 of them), flatten, spoon of beans, close. Griddle 4 mins a side.',
      10,
    ],
    ['Shop pizza dough (400g) + pulled pork 200g + 80g cheddar = 4 hot pockets. 220 for 15 mins', 4],
    [
      'Kulcha: 2 cups maida, 1/2 cup curd, knead, rest 2 hrs. Stuff: 200g paneer, chaat masala 1 tsp. 6 balls, stuff, oven 250 8 mins.',
      6,
    ],
    [
      'Calzone\n\nDough: 250 g flour, 150 ml water\nFilling: 60 g ham\n\nRoll the dough to 28 cm. Fill one half, fold over and seal. Bake 18 minutes. Serves 2.',
      1,
    ],
    [
      'Spinach bread\n\nDough: 250 g flour, 150 ml water\nFilling: 500 g spinach\n\nRoll the dough out to a rectangle 30 x 20 cm. Fill, fold the sides over. Bake 28 minutes.',
      1,
    ],
  ])('%s', (text, pieces) => expect(recipe(text).pieces).toBe(pieces))

  it.each([
    'Burek\n\n400 g filo\n500 g feta\n100 ml oil\n\nOil a 30x20 tin. Lay 2 sheets, some filling, repeat until used up, finish with 2 flat sheets. Bake at 190 for 40 mins. Cut into 8.',
    'Spinach pie\n12 sheets filo\n500 g feta\n6 sheets below, 6 on top in a 25 x 35 tin, score into 8, 180 for 45 minutes.',
    'Empanada\nDough: 500g flour, 250 ml water\nFilling: 300g tuna\nRoll half to cover the tray, filling, other half on top, crimp. 200c 35 min. 8 squares',
    'Leek coil\n\n270g filo\n200g feta\n\nFill, roll up. Coil the rolls in a greased 24cm tin.\n180 fan for 35-40 mins. Cut into 8 wedges.',
    'Stromboli\n1 lb pizza dough\n200 g ham\nStretch to a rectangle. Fill, roll from the long side, pinch the seam. 400F, 25-30 minutes. Slice in 8.',
  ])('cut up at the table is one: %s', (text) => {
    const { pieces, servings } = recipe(text)
    expect([pieces, servings]).toEqual([1, 8])
  })
})

describe('heat', () => {
  const pieces = (said: string) =>
    `Pockets\nDough: 300 g flour, 160 ml water\nFilling: 300 g mince, 1 onion\nMakes 12. Fill, fold. ${said}`
  it.each<[string, string]>([
    [pieces('Bake 25 minutes, brush with butter and back in the oven for 5 minutes.'), '12 bake 30'],
    [pieces('Bake at 200 20 min then pour over 2 cups broth & back in 10 min.'), '12 bake 200 30'],
    [pieces('Fry 2 min in 1 tbsp oil then 50 ml water, lid, 4 min.'), '12 brown-and-steam 6'],
    [pieces('180 for 30 then 160 for 60.'), '12 bake 180 30'],
    [pieces('Pinch shut, let rise 20 min, fry in 350F oil 4-5 min.'), '12 deep-fry 175 5'],
    [
      'Fry 250 g minced turkey for 6 minutes, cool, wrap in 24 wonton wrappers and boil for 4 minutes.',
      '24 boil 4',
    ],
    [
      'I fry 200g cabbage and a carrot for 5 min, cool, roll in 12 spring roll wrappers and brush with oil. Bake at 200 for 20 min.',
      '12 bake 200 20',
    ],
    [
      'For the cheese & onion pie I boil 600g potatoes 15 mins & mash, mix with 300g cheddar. Shortcrust: 300g flour, 150g butter. Line a dish, fill, lid, milk. 190 40 mins.',
      '1 bake 190 40',
    ],
  ])('%s', (text, said) => expect(cooked(text)).toBe(said))
})

describe('facts', () => {
  const facts = (said: string) =>
    recipe(`Buns\nDough: 500 g flour, 300 ml water\nFilling: 400 g feta\n${said}`).facts.map(
      ({ kind, low }) => `${kind} ${low}`,
    )
  it.each<[string, string[]]>([
    ['12 pieces (55 g), fill, seal. Bake 16 min.', ['ball-grams 55']],
    ['24 pcs about 20 g\nFill, seal. Bake 16 min.', ['ball-grams 20']],
    ['Knead 8 min, add butter, knead 8 more. Make 12.', ['knead-minutes 8', 'knead-minutes 8']],
    ['Put a heaped teaspoon of filling in each. Makes 12.', ['filling-tbsp-per-piece 0.5']],
    ['Knead 10 rise 1h. Make 12.', ['knead-minutes 10', 'rise-minutes 60']],
    ['Put a scant tablespoon of filling in each. Makes 12.', ['filling-tbsp-per-piece 0.9']],
    ['Makes 12. Fill, seal. Bake 12 minutes. Keep 3 days in the fridge.', []],
    ['Makes 12. Brown the onion, add rest 3 mins. Fill, seal. Bake 12 minutes.', []],
  ])('%s', (said, expected) => expect(facts(said)).toEqual(expected))
})

describe('listed below the work', () => {
  it.each<[string, string]>([
    ['Sweet chili sauce for dipping, 1/2 cup.', 'sweet-chilli-sauce 144'],
    ['Sweet chili sauce, to serve.', 'sweet-chilli-sauce 15'],
    ['Garlic yogurt: 200 g yogurt, 2 cloves garlic.', 'yogurt 200'],
  ])('%s', (row, food) => {
    const text = `Parcels\n\n24 wonton wrappers\n250 g cream cheese\n\nMix. Fill, fold. Bake 8 min.\n${row}`
    expect(inPart(text, 'dip')).toContain(food)
  })
})
