import { describe, expect, it } from 'vitest'
import { lineOf, parts, read, recipe } from '../../test/readText'

// Methods as cooks write them on an ordinary day.

const factOf = (of: ReturnType<typeof recipe>, kind: string) =>
  of.facts
    .filter((fact) => fact.kind === kind)
    .map(({ low, partId }) => [low, of.parts.find(({ id }) => id === partId)?.name ?? null])
const DOUGH_ROW = 'Dough: 330 g bread flour, 7 g instant yeast, 5 g salt, 120 ml milk'

describe('a told method', () => {
  it('tells a filling behind "for the filling," beside a listed pastry', () =>
    expect(
      parts(
        `Empanadas\n\nFor the pastry you'll need 3 cups of plain flour, a teaspoon of salt, 170 g of cold butter and one egg.\n\nFor the filling, fry a chopped onion and a red pepper in two tablespoons of olive oil, then add 2 teaspoons of paprika, 400 g of cooked shredded chicken and 10 chopped green olives.\n\nCut 14 circles, fill, fold and crimp. Bake at 190 for 25 minutes.`,
      ),
    ).toEqual([
      'shell: plain-flour salt butter egg',
      'filling: onion red-pepper olive-oil paprika cooked-chicken olives',
    ]))
  it('keeps a list that is for a filling', () =>
    expect(
      parts(
        'Pies\n\nFor the dough flour 300 g, water 160 ml\n\nFor the filling oil 1 tbsp, onion 2, mince 300 g',
      ),
    ).toEqual(['shell: plain-flour water', 'filling: sunflower-oil onion mince']))
})

describe('numbers of a method', () => {
  it('steps on one line, each with its number, are a step each', () => {
    const of = recipe(
      `Hand pies\nCrust: 2½ cups flour, 1 cup cold butter\nFilling: 3 apples, diced; ⅓ cup brown sugar; 1 tsp cinnamon; 1 Tbsp lemon juice\n1) Crust: cut in butter, chill 1 hr. 2) Cook apples w/ sugar, cinnamon and lemon 6 min; cool. 3) Cut ten 5-inch rounds. 4) 400°F 20-25 min.`,
    )
    expect(of.method).toHaveLength(4)
    expect(of.parts[1]).toMatchObject({ cookedBy: 'simmer', cookedMinutes: 6 })
  })
  it('numbers without a mark, in small letters, number work', () => {
    const of = recipe(
      'Keto pockets\n\nDough\n170 g mozzarella\n1 c almond flour\n1 egg\n\nFilling\n4 oz ham\n\n1 microwave the mozz 90 sec\n2 mix in the rest\n3 cut into 4 rectangles\n4 fill, fold over\n5 bake 400F 15-18 min',
    )
    expect([of.method.length, of.pieces, of.parts[1]!.lines.length]).toEqual([5, 4, 1])
  })
  it('numbers in front of foods are amounts', () =>
    expect(
      parts('Pies\n\nFilling\n1 onion, chopped\n2 carrots, diced\n3 potatoes, peeled and diced'),
    ).toEqual(['filling: onion carrot potato']))
  it.each([
    ['Rise 1 h. 16 x 50g. Fill, pleat. Steam 14 min.', 16],
    ['Roll, cut 9 cm rounds (got 22). Fill, seal. Steam 14 min.', 22],
    ['Cut 10 cm rounds, got 28. Fill, seal. Steam 14 min.', 28],
    ['Roll 3 mm, cut with an 8 cm glass - 30 or so. Fill, seal. Steam 14 min.', 30],
  ])('%s', (steps, pieces) => expect(read('350 g pork mince', steps, 'Buns').pieces).toBe(pieces))
})

describe('times', () => {
  it('an hour and a half in signs is an hour and a half', () =>
    expect(
      factOf(
        recipe(`Buns\n\n${DOUGH_ROW}\n\nProve 1½ h. 12 pieces. Prove 45 min. Bake 18 min.`),
        'rise-minutes',
      ),
    ).toEqual([
      [90, 'Dough'],
      [45, 'Dough'],
    ]))
  it('a dough is kneaded, not what is kneaded into it', () =>
    expect(
      factOf(
        recipe(
          `Buns\n\nTangzhong: 20 g bread flour, 100 ml milk\n${DOUGH_ROW}\nFilling: 300 g ham\n\nKnead dough 12 min with the tangzhong. 12 pieces, fill. Bake 18 min.`,
        ),
        'knead-minutes',
      ),
    ).toEqual([[12, 'Dough']]))
  it('what is fried before it cools does not cool so long', () => {
    const of = read(
      '1 cup peas\n400 g boiled potatoes\n1 tbsp oil',
      'Fry the peas 2 minutes, then the potatoes, 4 minutes, cool. Fill, seal. Bake at 180 for 20 min.',
    )
    expect(factOf(of, 'cool-minutes')).toEqual([])
    expect(of.parts[1]!.cookedMinutes).toBe(6)
  })
  it('cooled an hour is an hour', () =>
    expect(
      factOf(
        read('400 g mince', 'Fry the mince, cool 1 hour. Fill, seal. Bake 20 min.'),
        'cool-minutes',
      )[0]?.[0],
    ).toBe(60))
  it('a pastry that is rubbed, bound and chilled is the pastry', () =>
    expect(
      factOf(
        read('200 g tuna', 'Rub, bind, chill 20 minutes. Fill, fold. Bake 22 minutes.'),
        'chill-minutes',
      ),
    ).toEqual([[20, 'Dough']]))
  it('wine that bubbles away leaves what was fried fried', () => {
    const [, filling] = read(
      '500 g mushrooms\n100 ml red wine\n2 tbsp oil',
      'Fry the mushrooms in the oil 10 mins. Add the wine, let it bubble away. Fill, fold. Bake 25 mins.',
    ).parts
    expect([filling!.cookedBy, filling!.cookedMinutes]).toEqual(['fry', 10])
  })
  it('a lid on a griddle is no rest', () =>
    expect(
      factOf(
        read(
          '200 g paneer',
          'Stuff, roll. Stick on the hot tawa, cover 1 min, flip till spots.',
          'Kulcha (4)',
        ),
        'rest-minutes',
      ),
    ).toEqual([]))
  it('what is bound and rests in the fridge is the dough', () =>
    expect(
      factOf(
        read(
          '300 g cheddar',
          'Rub the fat into the flour. Bind with water, rest in the fridge 30 mins. Fill, fold. Bake 25 min.',
        ),
        'chill-minutes',
      ),
    ).toEqual([[30, 'Dough']]))
})

describe('what a step adds', () => {
  it('the water that starch is stirred in is counted', () => {
    const water = read(
      '200 g tofu\n1 tsp cornflour',
      'Fry the tofu 4 mins, add the cornflour mixed with 2 tbsp water. Fill, pleat. Steam 12 min.',
    ).parts[1]!.lines.find(({ foodId }) => foodId === 'water')
    expect([water?.grams, water?.notes[0]?.code]).toEqual([30, 'unlisted'])
  })
  it.each([
    'Fry the potatoes, add 200 ml water, cover until it has gone.',
    'Boil the potatoes in 1 l water, drain.',
  ])('%s pours nothing in that stays', (step) =>
    expect(parts(`Pies\n\nDough\n300 g flour\n\nFilling\n500 g potatoes\n\n${step} Fill.`)[1]).toBe(
      'filling: potato',
    ),
  )
  it('seeds of a filling that are strewn on the pieces are on them', () => {
    const of = recipe(
      'Plait\n\n320 g ready rolled puff pastry\n450 g sausage meat\n1 egg\n1 tsp fennel seeds\n\nPut the meat on the pastry, fold over, seal. Brush with egg, scatter over the fennel seeds. Bake at 190 35 min.',
    )
    expect(of.parts.find(({ kind }) => kind === 'finish')?.lines.map(({ foodId }) => foodId)).toEqual([
      'egg',
      'fennel-seed',
    ])
  })
  it('seeds that are fried are in the filling', () =>
    expect(
      read(
        '300 g potatoes\n1 tsp fennel seeds',
        'Fry the fennel seeds. Fill, seal, scatter with salt. Bake 20 min.',
      ).parts[1]!.lines.map(({ foodId }) => foodId),
    ).toEqual(['potato', 'fennel-seed']))
})

describe('servings', () => {
  it('are the slices that one is cut in', () =>
    expect(
      recipe(
        'Nut roast wellington\n\n200 g walnuts\n1 egg\n500g puff pastry\n\nShape the filling in a log down the middle, wrap, seam underneath. 200C 40 min. Rest 10, cut in 8 slices.',
      ).servings,
    ).toBe(8))
})

describe('parts and shapes', () => {
  it('work over a list of a dough is not its name, and is kept', () => {
    const of = recipe(
      'Runzas\n\nPlace in machine: 1 cup milk, 1 egg, 3 1/2 cups bread flour, 2 tsp yeast.\n\nFilling: 1 lb ground beef, 1 onion',
    )
    expect(of.parts.map(({ kind, name }) => [kind, name])).toEqual([
      ['shell', 'Dough'],
      ['filling', 'Filling'],
    ])
    expect(of.notes.map(({ text }) => text)).toContain('Place in machine')
  })
  it.each([
    ['Spinach muffin-tin pies', 'Put 3 squares of filo in each hole. Fill. 180 °C, 25 min.', 'lidded-pie'],
    [
      'Bean pockets',
      'Put it in the middle, fold in all 4 sides into a square. Fry 3 mins each side.',
      'parcel',
    ],
    ['Hand pies', 'Cut circles, fill, fold over, poke a hole in each. Bake 180 °C, 25 min.', 'half-moon'],
  ])('%s: %s', (title, steps, shape) =>
    expect(read('300 g spinach', steps, `${title}\nMakes 12`).shape).toBe(shape),
  )
})

describe('notes in a hurry', () => {
  const NOTES = `Pork buns
flour 400, yeast 5, sugar 40, warm milk 220, oil 15 -- knead 8, rise 1 hr
pork mince 300, spring onion 40, ginger 10, light soy 20 -> stir one way till sticky, chill
14 balls at 48 g each, 30 g filling, pleat
proof 20, steam 13 from cold, rest 3 lid on`
  it('rows of weights go on to what is done with them', () =>
    expect(parts(NOTES)).toEqual([
      'shell: plain-flour instant-yeast sugar milk sunflower-oil',
      'filling: minced-pork spring-onion ginger soy-sauce',
    ]))
  it('minutes are said without their word', () => {
    const of = recipe(NOTES)
    expect(of.cooking).toMatchObject({ way: 'steam', minutes: 13 })
    expect(factOf(of, 'rest-before-eating-minutes')).toEqual([[3, null]])
    expect(factOf(of, 'knead-minutes')).toEqual([[8, 'Dough']])
  })
})

describe('an egg for the top', () => {
  it('that seals and glazes', () =>
    expect(
      parts(
        'Turnovers\n\n450 g cooked lamb\n1 sheet puff pastry, 375 g\n1 egg\n\nCut pastry into 6 squares. Lamb on each, fold into a triangle, seal with egg, glaze. 200C 25 mins.',
      ).slice(1),
    ).toEqual(['filling: cooked-lamb', 'finish: egg']))
  it('beaten, behind those of the filling', () =>
    expect(
      parts(
        'Calzones\n\nDough\n200g flour\n200g Greek yogurt\n\nFilling\n4 eggs\n60g cheddar\n1 egg, beaten\n\nScramble the 4 eggs. Fill, fold over, seal. Brush with the beaten egg. Bake 18 mins.',
      ).slice(1),
    ).toEqual(['filling: egg cheddar', 'finish: egg']))
  it('beaten, in front of the others, it binds', () =>
    expect(
      parts(
        'Pies\n\nDough\n200g flour\n100 g butter\n\nFilling\n1 egg, beaten\n200 g ricotta\n2 boiled eggs\n\nMix the egg into the ricotta. Fill, fold over, seal. Brush with milk. Bake 18 mins.',
      )[1],
    ).toBe('filling: egg ricotta boiled-egg'))
})

describe('a row of short sentences', () => {
  it('is work from its first to its last, whatever stands between', () => {
    const of = recipe(
      'Hand pies\nMakes 6\n\nPastry: 200g flour, 120g butter, 1 egg\nFilling: 400 g apples, 50g sugar\nMilk + demerara for the top\n\nCook apples with sugar 6 minutes, cool. Roll 4 mm, cut 12 circles 10 cm; 6 bottoms, 6 tops. Filling, top, fork. Milk, demerara. Bake 180 fan 22 min.',
    )
    expect(
      of.parts.map(({ kind, lines }) => `${kind} ${lines.map(({ foodId }) => foodId).join(' ')}`),
    ).toEqual(['shell plain-flour butter egg', 'filling apple sugar', 'finish milk brown-sugar'])
    expect(of.cooking).toMatchObject({ way: 'bake', minutes: 22 })
  })
  it('lists what is measured in it', () =>
    expect(
      parts(
        'Pies\n\nDough: 300 g flour, 160 ml water. Knead. Filling: 200 g ham, 100 g cheddar. Fill, fold. Bake 20 min.',
      ),
    ).toEqual(['shell: plain-flour water', 'filling: ham cheddar']))
})

describe('speech without marks', () => {
  const of = recipe(
    'ok so today im making spinach borek for the dough its just filo so get a pack of filo about 400 grams melt 100 grams of butter with 50 ml of milk for the filling 500 grams of fresh spinach wilted and squeezed out 250 grams feta crumbled two eggs mix that up take two sheets of filo brush with the butter and milk roll it up like a cigar and coil it in the tin bake it at 190 for 35 to 40 minutes it serves about 8',
  )
  it('weighs the packet by what stands behind it, and takes its sheets from it', () =>
    expect(
      of.parts.flatMap(({ lines }) => lines).flatMap((line) => (line.foodId === 'filo' ? line.grams : [])),
    ).toEqual([400]))
  it('squeezes what is squeezed', () => expect(lineOf(of, 'spinach')!.waterChangeGrams).toBeLessThan(0))
  it('is called by its dish', () => expect(of.title).toBe('Spinach borek'))
})

describe('a told filling', () => {
  it('weighs what is counted by the bracket behind it', () =>
    expect(
      lineOf(
        recipe(
          'Sausage pie for six\n\nFor the filling, brown 6 sausages (400 g) in a tablespoon of oil, take out and slice. In the same pan soften an onion and 2 carrots for 10 minutes, add 600 ml of stock and simmer for 30 minutes. Tip into a pie dish. Top with a 320 g sheet of puff pastry, crimp and brush with egg. Bake 200C 30 minutes.',
        ),
        'sausage-meat',
      )!.grams,
    ).toBe(400))
})

describe('what the work says of its dish', () => {
  it('is the title where a table stands above it', () =>
    expect(
      recipe(
        '| Dough | |\n|---|---|\n| Whole wheat flour | 2 cups |\n| Water | 3/4 cup |\n| **Filling** | |\n| Cauliflower | 2 cups |\n\nGobi paratha - makes 8. Knead the dough. Divide into 8, stuff, roll, cook on a griddle 2 minutes each side.',
      ).title,
    ).toBe('Gobi paratha'))
  it.each([
    ['Stuff, seal, roll. Cook on the tawa 2 minutes each side. Apply butter and serve hot.', ['butter']],
    ['Stuff, seal, roll. Cook on the tawa 2 minutes each side. Serve hot.', []],
  ])('%s', (steps, expected) =>
    expect(
      read('200 g paneer', steps, 'Kulcha\nMakes 6')
        .parts.filter(({ kind }) => kind === 'finish')
        .flatMap(({ lines }) => lines.map(({ foodId }) => foodId)),
    ).toEqual(expected),
  )
  it('is the butter that is listed to be served with, where there is one', () => {
    const of = recipe(
      'Kulcha\nMakes 6\n\nDough: 300 g maida, 160 ml water\nStuffing: 200 g paneer\nButter for serving\n\nStuff, seal, roll. Cook on the tawa 2 minutes each side. Apply butter and serve hot.',
    )
    expect(of.parts.flatMap(({ lines }) => lines).filter(({ foodId }) => foodId === 'butter')).toHaveLength(1)
  })
  it('sugar that is strewn is not the sugar of the filling', () =>
    expect(
      read(
        '300 g pineapple\n80 g sugar',
        'Cook the pineapple with the sugar 10 min. Fill, fold. Brush with milk, sprinkle with sugar. Bake 20 min.',
      )
        .parts.find(({ kind }) => kind === 'finish')
        ?.lines.map(({ foodId }) => foodId),
    ).toEqual(['milk', 'sugar']))
  it('pockets that are closed and pressed flat are discs', () =>
    expect(
      read(
        '200 g mince',
        'Make 6 balls, flatten, fill, close, flatten to 4". Fry 3 min a side.',
        'Keto pockets',
      ).shape,
    ).toBe('disc'))
  it('an oven in degrees alone is no rise', () =>
    expect(
      factOf(
        read('400 g cabbage', 'Fill. 30 min proof, egg wash, 200° 18 min.', 'Buns\nMakes 12'),
        'rise-minutes',
      ).map(([minutes]) => minutes),
    ).toEqual([30]))
})
