import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { eachOf, lineOf, parts, recipe } from '../../test/readText'
import { readIngredients } from './readIngredient'

// Lines of a list, and what the method says of a line that leaves something open.

const linesOf = (text: string) => readIngredients(text, foods)

describe('amounts', () => {
  it.each<[string, [string, number][]]>([
    ['125 g / 4.4 oz / 1 cup plain flour', [['plain-flour', 125]]],
    ['1 cup / 125 g / 4.4 oz plain flour', [['plain-flour', 125]]],
    ['250 ml / 1 cup / 9 fl oz milk', [['milk', 255]]],
    ['a knob of butter the size of a walnut', [['butter', 15]]],
    ['a walnut-sized knob of butter', [['butter', 15]]],
    ['butter the size of an egg', [['butter', 57]]],
    ['Juice of 1-2 limes', [['lime-juice', 45]]],
    ['juice of 1 to 2 lemons', [['lemon-juice', 68]]],
    ['Juice of a large lemon', [['lemon-juice', 45]]],
    [
      'Juice & zest of 1-2 lemons',
      [
        ['lemon-zest', 8],
        ['lemon-juice', 68],
      ],
    ],
  ])('%s', (text, expected) => expect(eachOf(text)).toEqual(expected))
  it('half of a tin that is called 200 g is those 200 g; of another size the bracket says what the whole holds', () => {
    expect(eachOf('1/2 tin (200g) refried beans')[0]![1]).toBe(200)
    expect(eachOf('1/2 can (10.5oz) cream of chicken soup')[0]![1]).toBe(149)
  })
  it('a packet of two sheets is larger than one of which nobody says how many it holds', () => {
    expect(eachOf('1 box puff pastry (2 sheets)')).toEqual([['puff-pastry', 490]])
    expect(eachOf('1 pack puff pastry')).toEqual([['puff-pastry', 320]])
  })
})

describe('how many of what', () => {
  it('counts leaves as leaves and heads as heads', () => {
    expect(eachOf('8 cabbage leaves')).toEqual([['cabbage', 184]])
    expect(eachOf('6 collard green leaves')).toEqual([['spring-greens', 180]])
    expect(eachOf('2 cabbages')).toEqual([['cabbage', 1800]])
    expect(eachOf('10 basil leaves')).toEqual([['basil', 5]])
  })
  it('says nothing of a missing unit where leaves were counted', () =>
    expect(linesOf('8 cabbage leaves')[0]!.line.notes.map(({ code }) => code)).not.toContain('bare-number'))
  it('a small one weighs less and a large one more, where the table has one size', () => {
    const [small, usual, large] = ['1 small', '1', '1 large'].map(
      (size) => linesOf(`${size} red cabbage`)[0]!.line.grams!,
    )
    expect(small).toBeLessThan(usual!)
    expect(large).toBeGreaterThan(usual!)
  })
  it('a large wrapper is one of the usual size', () =>
    expect(eachOf('12 large spring roll wrappers')).toEqual(eachOf('12 spring roll wrappers')))
  it.each([['1 tube biscuits (8 count)'], ['1 can biscuits (8)'], ['1 tube biscuits']])(
    '%s is dough',
    (text) => expect(eachOf(text)).toEqual([['biscuit-dough', 464]]),
  )
  it('sticks of string cheese are cheese', () =>
    expect(eachOf('8 string cheese sticks (mozzarella)')).toEqual([['string-cheese', 224]]))
})

describe('what a line allows instead', () => {
  it.each([
    ['500g minced beef or lamb', 'minced-lamb'],
    ['500g beef mince (or use pork)', 'minced-pork'],
    ['400 g ground turkey or chicken', 'minced-chicken'],
  ])('%s', (text, other) =>
    expect(linesOf(text)[0]!.line.choices.map(({ foodId }) => foodId)).toEqual([other]),
  )
})

describe('what a line is for', () => {
  it('holds for both that seal', () =>
    expect(
      linesOf('1 tsp cornflour mixed with 1 tbsp water (to seal)').map(({ food, read }) => [
        food?.id,
        read.purpose,
      ]),
    ).toEqual([
      ['cornstarch', 'finish'],
      ['water', 'finish'],
    ]))
  it('"none" below a heading is no food', () =>
    expect(
      parts('Pies\n\nDough: 300 g flour, 160 ml water\nTopping: none\nFilling: 300 g pork mince, 1 onion'),
    ).toEqual(['shell: plain-flour water', 'filling: minced-pork onion']))
  it('a spoon of jam at the end of the only list goes in', () =>
    expect(
      parts(
        'Buns\nMakes 8\n\n200 g flour\n2 tsp baking powder\n90 ml milk\n8 tsp jam\n\nMix, rest, fill, seal.',
      ),
    ).toEqual(['shell: plain-flour baking-powder milk', 'filling: jam']))
})

describe('what the method takes of a line without an amount', () => {
  const pies = (list: string, steps: string) =>
    recipe(
      `Pies\nMakes 12\n\nDough\n500 g flour\n100 g lard\n200 ml water\n\nFilling\n400 g pork mince\n${list}\n\nMethod\n${steps}\nFill, fold and seal. Bake at 200 for 30 min.`,
    )
  it('is what goes in', () => {
    const of = pies('salt\noil', 'Fry the mince in 2 tbsp oil, season with 1 tsp salt. Cool.')
    expect(lineOf(of, 'salt')).toMatchObject({ grams: 6, gramsLow: 6 })
    expect(lineOf(of, 'sunflower-oil')!.grams).toBeCloseTo(27.2)
    expect(lineOf(of, 'salt')!.notes.map(({ code }) => code)).toContain('by-method')
  })
  it('leaves alone what the list weighs', () =>
    expect(lineOf(pies('1/2 tsp salt', 'Mix the mince with 1 tsp salt.'), 'salt')!.grams).toBe(3))
  it('takes no salt of the water for the filling', () => {
    const of = pies(
      '300 g potatoes\nsalt',
      'Boil the potatoes in water with 1 tbsp salt, mash. Mix with the mince.',
    )
    expect(lineOf(of, 'salt')!.notes.map(({ code }) => code)).not.toContain('by-method')
  })
  it('takes nothing that each piece gets', () => {
    const of = pies('butter', 'Mix the filling, put 1 tsp butter on each.')
    expect(lineOf(of, 'butter')!.notes.map(({ code }) => code)).not.toContain('by-method')
  })
  it('asks for the salt that the method weighs and no list of the part has', () =>
    expect(
      recipe(
        'Pies\nMakes 12\n\nDough\n500 g flour\n10 g salt\n300 ml water\n\nFilling\n600 g beef mince\n2 onions\n\nMethod\nFry the onions and beef 15 min. Season the filling with 2 tbsp salt. Fill, fold and seal. Bake at 200 for 30 min.',
      ).notes.find(({ code }) => code === 'unlisted')?.text,
    ).toContain('salt in “Filling”'))
})

describe('a dough from another page', () => {
  it.each(['1 recipe pie dough', '1 batch of pizza dough', '1 quantity shortcrust pastry'])(
    '%s is asked about',
    (text) => {
      const [one] = linesOf(text)
      expect([one!.food?.group, one!.line.grams]).toEqual(['pastry', null])
      expect(one!.line.notes.map(({ code }) => code)).toContain('no-amount')
    },
  )
  it('what it weighs holds', () => {
    const [one] = linesOf('a batch of pizza dough (about 500 g)')
    expect(one!.line.grams).toBe(500)
    expect(one!.line.notes.map(({ code }) => code)).not.toContain('part-match')
  })
})

describe('lists that begin otherwise', () => {
  it('so many pancakes in front of a list with flour count them', () => {
    const of = recipe(
      'Stuffed pancakes\nFor 12 blini: 3 eggs, 500 ml milk, 250 g flour, 1/2 tsp salt\nFor filling: 600 g cooked beef, 2 onions\nPut 2 tbsp filling on each, fold in an envelope. Fry in butter, 2 min each side.',
    )
    expect(of).toMatchObject({ pieces: 12, piecesStated: true })
    expect(lineOf(of, 'egg')!.grams).toBe(150)
  })
  it('discs that are counted and bought are the dough', () =>
    expect(
      parts(
        'Empanadas\n\nFor 20 discs (bought, 12cm)\n\n2 tbsp butter\n1 onion\n400g sweetcorn\n1 tbsp plain flour\n150ml milk\n1 egg to glaze\n\nCook the onion in the butter. Stir in the flour, then the milk. Add the corn. Fill, fold and crimp. 200C for 18 minutes.',
      ).slice(0, 2),
    ).toEqual(['shell: empanada-disc', 'filling: butter onion sweetcorn plain-flour milk']))
  it('keema with its weight in front of others is one of them', () =>
    expect(
      parts('Paratha\n\n2 cups atta + 1/2 tsp salt + water\nKeema 200 g, 1 onion, 1 tsp ginger garlic')[1],
    ).toBe('filling: minced-beef onion ginger-garlic-paste'))
  it('what is shredded by the cup has been cooked', () => {
    expect(eachOf('2 cups turkey, shredded')[0]![0]).toBe('turkey-cooked')
    expect(eachOf('500 g turkey, shredded')[0]![0]).toBe('turkey')
  })
  it('oil to spray with leaves the sesame oil where it is', () =>
    expect(
      parts(
        'Gyoza\n20 gyoza wrappers\n150g chicken mince\n1 tsp sesame oil\nspray oil\n\nMix. Fill, fold & pleat. Spray with oil. Air fry 190 for 8 minutes.',
      )[1],
    ).toBe('filling: minced-chicken sesame-oil'))
})
