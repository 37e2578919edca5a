import { describe, expect, it } from 'vitest'
import { DOUGH, inPart, parts, read, recipe } from '../../test/readText'

// What stands round a list: counts, labels, names and strokes.

describe('how many', () => {
  it.each<[string, number]>([
    ['(50ish)', 50],
    ['50-ish dumplings', 50],
    ['makes 16-20ish', 16],
    ['x 24', 24],
    ['Recipe Servings: 20 pieces', 20],
    ['Serves: 3 Pieces: 6', 6],
    ['Yield: 6 Servings: 3', 6],
  ])('below the title: %s', (count, pieces) => {
    const own = recipe(
      `Pork dumplings\n${count}\n\nFilling\n500 g pork mince\n\nWrappers\n400 g flour\n210 g water\n\nFill. Steam 10 min.`,
    )
    expect([own.pieces, own.piecesStated]).toEqual([pieces, true])
  })
  it.each<[string, number]>([
    ['Divide dough in 6. Roll each to a round. Spread filling on half, top with cheese, fold and crimp.', 6],
    ['Divide dough in 6, roll each, fill half and fold the other half over, crimp.', 6],
    ['Cut 24 rounds. Put filling on half, top with the rest.', 12],
    ['Cut 24 rounds. Spoon filling onto half of them, cover with the others, seal.', 12],
  ])('%s', (steps, pieces) => {
    expect(read('400 g ricotta', `${steps} Bake at 230C for 12 min.`, 'Calzones').pieces).toBe(pieces)
  })
})

describe('how many of what is bought', () => {
  it.each(['Cut each crust into 4 circles.', 'Cut 4 circles from each crust.', 'Cut each crust in 4.'])(
    '%s',
    (cuts) => {
      const own = recipe(
        `Hand pies\n\n2 refrigerated pie crusts (14 oz box)\n300 g feta\n\n${cuts} Fill, fold. Bake at 200C 20 min`,
      )
      expect(own.pieces).toBe(8)
    },
  )
  it.each(['Serving: 4 bowls', 'Serving: 4', 'Serving: 4 people'])('says who eats: %s', (label) => {
    const own = recipe(
      `Dumplings\n${label}\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\nDivide into 12. Boil 5 min`,
    )
    expect([own.servings, own.servingsStated]).toEqual([4, true])
  })
  it('says what one eats', () => {
    const own = recipe(
      `Dumplings\nServing: 4 pieces\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\nDivide into 12. Boil 5 min`,
    )
    expect(own.servings).toBe(3)
  })
})

it('says each other number of pieces once, however often the text gives it', () => {
  const balls =
    'Make golf ball sized balls (approx 16), flatten in plastic 4-5 inches, 1 T filling each, fold over and seal the edges well.'
  const own = recipe(
    `Turnovers\n(for 25 momos)\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\n${balls}\nMakes 8\nMake 8 balls of dough and 8 of stuffing, roll and fill.\n${balls.replace('Make', 'Shape')}\n${balls.replace('Make', 'Roll')}`,
  )
  const differs = own.notes.find(({ code }) => code === 'pieces-differ')!.text
  expect(differs.match(/16 \("/g)).toHaveLength(1)
  expect(differs.length).toBeLessThan(600)
})

describe('a row with a stroke and nothing else', () => {
  it('stands between two parts', () => {
    const text =
      'Calzone (1)\n100 g flour\n60 g yogurt\n/\n60 g cooked chicken\n50 g mozzarella\n/\nMix, roll, fill, fold. Bake at 200C 12 min'
    expect(parts(text)).toEqual(['shell: plain-flour yogurt', 'filling: cooked-chicken mozzarella'])
  })
})

describe('the name of the dish', () => {
  it.each([
    'Empanadas (party food : makes 8',
    'Empanadas (party food, 2 doz.)',
    'Empanadas (party food – makes 8)',
  ])('loses no word of a bracket that counts: %s', (title) => {
    const own = recipe(
      `${title}\n\nDough\n${DOUGH}\n\nFilling\n300 g feta\n\nFill, fold. Bake at 200C 20 min`,
    )
    expect(own.title).toContain('Empanadas')
    expect([own.title, ...own.notes.map(({ text }) => text)].join(' ')).toContain('party food')
    expect(own.piecesStated).toBe(true)
  })
  it('stands below a table whose first row names a part', () => {
    const own = recipe(
      '| BUN DOUGH | |\n| --- | --- |\n| bread flour | 350 g |\n| milk | 180 g |\n| **FILLING** | |\n| minced beef | 250 g |\n\nCurry buns (pan style), 10 pcs\n\nKnead. Wrap. Deep fry at 170C for 4 min.',
    )
    expect([own.title, own.pieces]).toEqual(['Curry buns (pan style)', 10])
    expect(own.parts[0]!.name).toBe('BUN DOUGH')
  })
  it('is not who posted it', () => {
    const own = recipe(
      `[Posted by: lena_k]\nPoppy seed rolls\n\nDough\n${DOUGH}\n\nFilling\n300 g ground poppy seeds\n\nRoll up. Bake at 180C 35 min.`,
    )
    expect(own.title).toBe('Poppy seed rolls')
  })
  it('says for whom it is', () => {
    const own = recipe(
      "here's how we do cheese pide, for two: 250 g bread flour, 160 ml lukewarm water, half tsp salt. mix, knead 8 min. filling is 150 g mozzarella. split dough in 2, roll, fold over. oven 250, 10 min",
    )
    expect([own.title, own.servings, own.servingsStated]).toEqual(['Cheese pide', 2, true])
  })
  it('ends where somebody goes on talking', () => {
    expect(
      recipe(
        "so today we're making paneer parcels okay so for the dough I'm taking two cups of atta and some water, knead it, for the filling 200 g paneer, fill and cook on a tawa",
      ).title,
    ).toBe('Paneer parcels')
  })
})

describe('what is counted, named and strewn', () => {
  const made = (text: string) => {
    const { pieces, servings, servingsStated, title, shape } = recipe(text)
    return { pieces, servings: servingsStated ? servings : null, title, shape }
  }
  it.each<[string, object]>([
    [
      'Empanadillas\nIngredients (for 20):\n500 g flour\n250 ml water\n200 g tuna\nFill, fold, bake 20 min.',
      { pieces: 20, servings: null },
    ],
    [
      'Moong chilla\nServes 3 (6 chillas)\n1 cup moong dal\n150 g paneer\nSpread, fill, fold. Cook 2 min a side.',
      { pieces: 6, servings: 3 },
    ],
    [
      'Bao\nDough\n500 g flour\n260 ml milk\nFilling\n500 g mushrooms\n\nKnead.\n16 pieces, roll out, 1 tbsp filling, pleat. Steam 12 min.',
      { pieces: 16 },
    ],
    [
      'Parcels\n6 sheets filo\n150 g feta\nCut each sheet into 4. Butter and layer them in threes. Fill, scrunch. Bake 20 min.',
      { pieces: 8 },
    ],
    [
      'Chicken wraps that you toast\n2 tortilla wraps\n180 g chicken breast\nFry the chicken. Fold sides in and roll. Toast seam down in a dry pan.',
      { shape: 'roll' },
    ],
    [
      'Burek\n400 g filo\n400 g spinach\nFill, roll to a long sausage, coil in tin. Bake 25 min at 190C.',
      { shape: 'coil' },
    ],
    [
      'Steamed pudding... I mean pasties\n500 g shortcrust\n400 g beef\nFill, crimp. Bake 40 min.',
      { title: 'Pasties', shape: 'half-moon' },
    ],
    [
      'Chilla rolls? No - Stuffed chilla\n1 cup moong dal\n150 g paneer\nSpread, fill, fold.',
      { title: 'Stuffed chilla' },
    ],
    [
      'my keto empanada thing\n170 g mozzarella\n85 g almond flour\n250 g mince\nFill, fold, bake.',
      { title: 'Keto empanada' },
    ],
    [
      'Veg pasties\n500 g shortcrust\n300 g swede\nMix. pastry in 5, saucer size, fill, crimp. 190 45 min.',
      { pieces: 5 },
    ],
    [
      'I made pork buns at the weekend. Dough was 400 g flour and 220 g milk, kneaded 8 minutes. I fried 400 g pork mince. Divided the dough into 10, filled them and steamed them 12 min.',
      { title: 'Pork buns', pieces: 10 },
    ],
  ])('%s', (text, wanted) => {
    expect(made(text)).toMatchObject(wanted)
  })

  it('keeps what a corrected title said first', () => {
    const { notes } = recipe(
      'Steamed pudding... I mean pasties\n500 g shortcrust\n400 g beef\nFill. Bake 40 min.',
    )
    expect(notes.map(({ text }) => text).join(' ')).toContain('Steamed pudding')
  })

  it('strews what nobody knows where the method says so', () => {
    const text =
      'Kolaches\nDough\n500 g flour\n250 ml milk\nFilling\n340 g dried apricots\nPopsika:\n62 g flour\n50 g sugar\nKnead. Make 36 balls, fill with apricot, sprinkle with popsika. Bake 15 min.'
    expect(inPart(text, 'finish')).toEqual(['plain-flour 62', 'sugar 50'])
  })

  it('cuts work that runs on from comma to comma', () => {
    const text =
      'Burek\n400 g yufka\n500 g potatoes\n200 g cheese\nBoil potatoes, mash, mix with cheese and parsley, cut yufka in triangles, brush with oil, roll like cigars, arrange, sprinkle. 180 fan for 30 min.'
    expect(recipe(text).cooking).toMatchObject({ way: 'bake', minutes: 30, andThen: null })
  })
})
