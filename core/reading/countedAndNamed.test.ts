import { describe, expect, it } from 'vitest'
import { DOUGH, parts, read, recipe } from '../../test/readText'

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
