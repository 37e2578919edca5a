import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { DOUGH, lineOf, parts, read, recipe } from '../../test/readText'
import { readRecipe } from './readRecipe'

// Lists as cooks put them under a picture of the dish: plain talk, in any order.

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
