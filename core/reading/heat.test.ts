import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { readShape } from './shape'
import { middleMinutes, timesIn } from './time'

const dough = 'Pockets\n\nDough\n250 g flour\n130 g water\n\nFilling\n200 g mushrooms\n1 onion\n1 tbsp oil\n'
/** How a dough and a mushroom filling are cooked when the method says so. */
const cooking = (method: string, more = '') =>
  readRecipe(`${dough}${more}\nMethod\n${method}`, foods).recipe.cooking
const way = (method: string, more = '') => cooking(method, more).way

describe('the way of cooking', () => {
  it.each([
    ['Fill and fold. Bake at 190 °C for 25 minutes.', 'bake'],
    ['Fill, put on a baking sheet and into the oven.', 'bake'],
    ['Fill and seal. Deep-fry until golden.', 'deep-fry'],
    ['Fill. Deep fry in batches.', 'deep-fry'],
    ['Fill, seal. Steam over boiling water for 15 minutes.', 'steam'],
    ['Fill. Set in a steamer and cover.', 'steam'],
    ['Fill. Cook on a hot griddle, 4 minutes a side.', 'griddle'],
    ['Stuff the balls. Toast on a tawa on both sides.', 'griddle'],
    ['Fill, crimp. Cook in a dry pan, flipping once.', 'griddle'],
    ['Fill and pinch shut. Boil the dumplings until they float.', 'boil'],
    ['Fill and seal. Drop into salted boiling water.', 'boil'],
    ['Fill and pleat. Fry until brown, add a splash of water and cover with a lid.', 'brown-and-steam'],
    ['Fill. Shallow-fry in batches.', 'shallow-fry'],
    ['Fill. Pan fry for 3 minutes on each side.', 'shallow-fry'],
    ['Fill. Fry in a little oil until golden.', 'shallow-fry'],
    ['Fill. Air fry at 180C for 12 minutes.', 'bake'],
  ])('reads "%s" as %s', (text, expected) => {
    expect(way(text)).toBe(expected)
  })

  it.each([
    ['Fill and seal. Cook on both sides for 3 minutes. Then bake until golden.', 'bake', null],
    ['Fill. Heat 1/4" of oil in a skillet. Cook 1 min, flip, 2 more min.', 'shallow-fry', 3],
    ['Oven to 200C. Fill. Bake for 20 mins, then reduce to 170C for 25 mins.', 'bake', 20],
    [
      'Fill. Spray a non-stick pan with oil, fry the bottoms 2 min. Add water, lid on, 5 min.',
      'brown-and-steam',
      7,
    ],
    ['Fill. Bake 375° for 18-20 until brown.', 'bake', 19],
    ['Fill, seal. Simmer 4 min.', 'boil', 4],
  ])('reads how long "%s" takes', (text, expected, minutes) => {
    expect(cooking(text)).toMatchObject({ way: expected, minutes })
  })

  it('is baking, marked, when the text does not say', () => {
    const { recipe } = readRecipe(`${dough}\nMethod\nFill and serve warm.`, foods)
    expect(recipe.cooking.way).toBe('bake')
    expect(recipe.notes.find((note) => note.code === 'way-assumed')?.level).toBe('check')
  })

  it('does not take what is done to a filling for what is done to the pieces', () => {
    expect(way('Boil the mushrooms and chop them. Fill. Bake the pies in the oven.')).toBe('bake')
    expect(
      way('Roast the mushrooms in the oven at 220C for 20 minutes. Fill the rounds. Deep-fry the pockets.'),
    ).toBe('deep-fry')
    expect(way('Fry the onion and mushrooms for 10 minutes. Fill, seal and steam for 12 minutes.')).toBe(
      'steam',
    )
  })

  it.each([
    'Cut a slit so that the steam escapes. Bake.',
    'Fill, make a hole to let the steam out and bake.',
    'Fill. Prick steam vents in the top and bake.',
  ])('does not steam what lets steam out: %s', (text) => {
    expect(way(text)).toBe('bake')
  })

  it('takes the time of each side from where the oil is', () => {
    expect(cooking('Fill. Dry fry then a bit of oil, 3 mins each side')).toMatchObject({
      way: 'griddle',
      minutes: 6,
    })
  })

  it('goes on in the oven where the pieces are filled last', () => {
    expect(
      cooking(
        'Form 8 balls and flatten. Cook in a skillet, 5 minutes a side. Then bake at 180 °C for 15 min.\nMeanwhile grate the cheese.\nSplit, stuff with the cheese and close.',
      ),
    ).toMatchObject({
      way: 'griddle',
      minutes: 10,
      andThen: { way: 'bake', temperatureC: 180, minutes: 15 },
    })
  })

  it('knows the air fryer by its letters', () => {
    expect(cooking('Fill. Brush with oil, AF @ 180C for 15 mins flipping once.')).toMatchObject({
      way: 'bake',
      temperatureC: 180,
      minutes: 15,
    })
  })

  it('browns in spots and fries nothing', () => {
    expect(cooking('Fill. Cook on a hot griddle 3 minutes per side until browned in spots.')).toMatchObject({
      way: 'griddle',
      andThen: null,
    })
    expect(cooking('Fill. Bake at 200 °C for 20 minutes until crisp in places.')).toMatchObject({
      way: 'bake',
      andThen: null,
    })
  })

  it('goes by the oil in the pan where the method says only "fry"', () => {
    expect(way('Fill. Fry the pockets.', '\nTo fry\n1 litre oil\n')).toBe('deep-fry')
    expect(way('Fill. Fry the pockets.', '\nTo fry\n3 tbsp oil\n')).toBe('shallow-fry')
    expect(way('Fill and fry.', '\noil for deep frying\n')).toBe('deep-fry')
  })

  it('reads two cookings in a row as two', () => {
    expect(cooking('Fill. Boil for 4 minutes, then fry in butter until crisp, 5 minutes.')).toMatchObject({
      way: 'boil',
      minutes: 4,
      andThen: { way: 'shallow-fry', minutes: 5 },
    })
    expect(
      cooking('Fill. Bake at 220 °C for 10 minutes, then reduce to 180 °C and bake 20 minutes more.'),
    ).toMatchObject({
      way: 'bake',
      temperatureC: 220,
      minutes: 10,
      andThen: { way: 'bake', temperatureC: 180, minutes: 20 },
    })
  })

  it.each([
    'Fill. Bake at 220 °C for 10 minutes, then turn down to 180 °C for 20 minutes.',
    'Fill. Bake 220 °C 10 min, then 180 °C 20.',
    'Fill. Bake at 220C for 10 mins. Reduce the oven to 180C and cook for another 20 mins.',
    'Fill. Oven 220 for 10 minutes then lower the heat to 180 for 20 minutes.',
  ])('reads two temperatures of "%s"', (text) => {
    expect(cooking(text)).toMatchObject({
      way: 'bake',
      temperatureC: 220,
      minutes: 10,
      andThen: { way: 'bake', temperatureC: 180, minutes: 20 },
    })
  })

  it('keeps what is said of freezing and reheating apart', () => {
    expect(
      cooking('Fill. Steam for 12 minutes. Freeze the rest raw and steam from frozen for 18 minutes.'),
    ).toMatchObject({ way: 'steam', minutes: 12, andThen: null })
  })

  it('takes the minutes beside the heat, and a pot where the oil has a temperature', () => {
    expect(cooking('Knead 12 min, fill and seal, proof 45 min, egg wash, 190 °C 12-14 min.')).toMatchObject({
      way: 'bake',
      temperatureC: 190,
      minutes: 13,
    })
    expect(cooking('Fill. Fry at 170C for 4 minutes.')).toMatchObject({ way: 'deep-fry', temperatureC: 170 })
  })

  it('counts the fat of a fried recipe that names none, and of a griddle', () => {
    const pan = (method: string) =>
      readRecipe(`${dough}\nMethod\n${method}`, foods).recipe.parts.find((part) => part.kind === 'pan')
    expect(pan('Fill. Deep-fry until golden.')?.lines[0]).toMatchObject({
      foodId: 'sunflower-oil',
      grams: 1000,
    })
    expect(pan('Fill. Cook on a griddle with a little butter, 3 minutes a side.')?.lines[0]?.foodId).toBe(
      'butter',
    )
    const film = pan('Fill. Pan fry in a little oil, 3 minutes a side.')!.lines[0]!.grams!
    const usual = pan('Fill. Shallow-fry, 3 minutes a side.')!.lines[0]!.grams!
    expect(film).toBeLessThan(usual / 2)
    expect(pan('Fill. Cook in a dry pan on both sides.')).toBeUndefined()
    expect(pan('Fill. Bake.')).toBeUndefined()
  })
})

describe('times', () => {
  it.each([
    ['12–15 minutes'.replace('–', '-'), 14],
    ['for half an hour', 30],
    ['an hour and a half', 90],
    ['1½ hours', 90],
    ['1 hr 20 mins', 80],
    ['4 minutes a side', 8],
    ['2-3 min on each side', 5],
    ['for twenty minutes', 20],
    ['overnight', 600],
  ])('reads "%s" as %s minutes', (text, minutes) => {
    expect(middleMinutes(timesIn(text)[0]!)).toBe(minutes)
  })
  it('finds none where there is none', () => {
    expect(timesIn('5 mm thick, 10 cm wide, 3 medium onions')).toEqual([])
  })
})

describe('readShape', () => {
  it.each([
    ['Leek turnovers', '', 'half-moon'],
    ['Steamed buns', '', 'bun'],
    ['Stuffed griddle breads', '', 'disc'],
    ['Apple parcels', '', 'parcel'],
    ['Fried cones', '', 'cone'],
    ['Spinach coil', '', 'coil'],
    ['Cheese roll', '', 'roll'],
    ['Pleated dumplings', '', 'pleated'],
    ['Supper', 'Gather the rim in pleats around the filling and twist it shut.', 'pleated'],
    ['Pot pie', '', 'lidded-pie'],
    ['Supper', 'Fold into half-moons and crimp.', 'half-moon'],
    ['Supper', 'Cut 12 rounds, fold over and seal.', 'half-moon'],
    ['Supper', 'Make 8 balls, wrap the dough round the filling and flatten.', 'disc'],
    ['Supper', 'Fold the four corners in like an envelope.', 'parcel'],
    ['Root vegetable pie', 'Cover with a lid of pastry and bake in a pie dish.', 'lidded-pie'],
  ])('sees the shape of "%s" / "%s"', (title, method, shape) => {
    expect(readShape(title, method)).toBe(shape)
  })
  it('lets the title decide, and says nothing when neither speaks of a shape', () => {
    expect(readShape('Mushroom buns', 'Fold like a turnover.')).toBe('bun')
    expect(readShape('Supper', 'Bake.')).toBeNull()
  })
})

describe('sentences as cooks write them', () => {
  // Way, °C, minutes; what follows.
  it.each([
    ['Fill. Cook in the oven for half an hour at gas mark 5.', 'bake 190 30'],
    ['Fill and bake in a moderate oven 25 mins.', 'bake 180 25'],
    ['Assemble. Put in a preheated 400 degree oven for 25 min.', 'bake 205 25'],
    ['Fill. Fry in hot oil till golden, about 5 mins, drain on kitchen paper.', 'deep-fry null 5'],
    ['Fill. Fry on both sides in a little butter, 3 minutes each.', 'shallow-fry null 6'],
    ['Stuff and roll. Dry roast on a hot tava for 2 minutes per side, smear with ghee.', 'griddle null 4'],
    [
      'Fill. Put them in boiling salted water, when they come to the top give them 3 more minutes.',
      'boil null 3',
    ],
    ['Fill. Place in a steamer over boiling water and cook 12 min.', 'steam null 12'],
    [
      'Fill. Heat 2 tbsp oil in a nonstick pan, place dumplings flat side down, cook 2 minutes, add 80 ml water, cover, cook 6 minutes until water is gone.',
      'brown-and-steam null 8',
    ],
    [
      'Fill. Boil 5 minutes, drain, then brown in butter for 6 minutes.',
      'boil null 5 then shallow-fry null 6',
    ],
    ['Fill. Steam 10 minutes then fry the bottoms 3 minutes.', 'steam null 10 then shallow-fry null 3'],
    [
      'Fill. Fry briefly, then finish in the oven at 180 for 10 minutes.',
      'shallow-fry null null then bake 180 10',
    ],
    ['Fill. Bake 15 min covered with foil and 10 min without at 190C.', 'bake 190 25'],
    ['Fill. Cook under a lid on low heat for 8 minutes, turn, 5 minutes more.', 'griddle null 13'],
    ['Fill. Simmer in broth for 5 minutes.', 'boil null 5'],
    ['Fill. Poach in gently simmering water for 4 minutes.', 'boil null 4'],
    ['Fill. Steam 8 minutes, or pan-fry.', 'steam null 8'],
    ['Cut a cross in each so steam can escape. Fill. Bake at 200C 20 min.', 'bake 200 20'],
    [
      'Fill. Bake at 180 degrees celsius for 30 to 34 minutes. Let stand 10 min before serving.',
      'bake 180 32',
    ],
  ])('%s', (method, expected) => {
    const { way: first, temperatureC, minutes, andThen } = cooking(method.replace(/\. (?=[A-Z])/g, '.\n'))
    const said = `${first} ${temperatureC} ${minutes}${andThen ? ` then ${andThen.way} ${andThen.temperatureC} ${andThen.minutes}` : ''}`
    expect(said).toBe(expected)
  })
})
