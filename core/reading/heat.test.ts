import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { temperatureIn } from './heat'
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

  it('keeps what is said of freezing and reheating apart', () => {
    expect(
      cooking('Fill. Steam for 12 minutes. Freeze the rest raw and steam from frozen for 18 minutes.'),
    ).toMatchObject({ way: 'steam', minutes: 12, andThen: null })
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
    expect(pan('Fill. Cook in a dry pan on both sides.')).toBeUndefined()
    expect(pan('Fill. Bake.')).toBeUndefined()
  })
})

describe('temperatures', () => {
  it.each([
    ['bake at 180 °C for 30 minutes', 180],
    ['bake at 180C for 20 to 30 min', 180],
    ['175 degrees for 20 min', 175],
    ['bake at 175 degrees', 175],
    ['180 degrees Celsius', 180],
    ['180 degrees centigrade', 180],
    ['bake at 350 °F', 175],
    ['Bake at 400 degrees F', 205],
    ['bake at 350', 175],
    ['bake at 220', 220],
    ['oven 200C/180C fan/gas 6', 200],
    ['190°C/375°F', 190],
    ['375F (190C)', 190],
    ['gas mark 6', 200],
    ['gas 4', 180],
    ['oil at 170-180 °C', 175],
    ['bake at 999 C', null],
    ['add 200 g of flour', null],
    ['rest for 30 minutes', null],
  ])('reads "%s" as %s °C', (text, celsius) => {
    expect(temperatureIn(text)?.celsius ?? null).toBe(celsius)
  })
  it('says when only a fan oven is given', () => {
    expect(temperatureIn('bake at 180 °C fan')).toEqual({ celsius: 180, fan: true })
    expect(temperatureIn('200C/180C fan')).toEqual({ celsius: 200, fan: false })
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
