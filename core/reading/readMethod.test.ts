import { describe, expect, it } from 'vitest'
import { readCooking, readShape } from './readMethod'

const way = (text: string, frying = false, oil = 0) => readCooking(text, frying, oil).way

describe('readCooking', () => {
  it.each([
    ['Bake at 190 °C for 25 minutes.', 'bake'],
    ['Put on a baking sheet in the oven.', 'bake'],
    ['Deep-fry until golden.', 'deep-fry'],
    ['Deep fry in batches.', 'deep-fry'],
    ['Steam over boiling water for 15 minutes.', 'steam'],
    ['Set in a steamer and cover.', 'steam'],
    ['Cook on a hot griddle, 4 minutes a side.', 'griddle'],
    ['Toast on a tawa on both sides.', 'griddle'],
    ['Boil the dumplings until they float.', 'boil'],
    ['Drop into salted boiling water.', 'boil'],
    ['Fry until brown, add a splash of water and cover with a lid.', 'brown-and-steam'],
    ['Shallow-fry in batches.', 'shallow-fry'],
  ])('reads "%s" as %s', (text, expected) => {
    expect(way(text)).toBe(expected)
  })

  it('says nothing when the text does not', () => {
    expect(readCooking('Serve warm.', false, 0)).toEqual({ way: null, temperatureC: null, minutes: null })
  })

  it('does not take a filling that is baked first for a fried piece, nor boiled potatoes for boiled pieces', () => {
    expect(way('Boil the potatoes and mash them. Bake the pies in the oven.')).toBe('bake')
    expect(way('Roast the squash in the oven, then deep-fry the pockets.')).toBe('deep-fry')
    expect(way('Cut a slit so that the steam escapes. Bake.')).toBe('bake')
  })

  it('goes by the oil in the pan when there is a part to fry in', () => {
    expect(way('Fry the pockets.', true, 900)).toBe('deep-fry')
    expect(way('Fry the pockets.', true, 40)).toBe('shallow-fry')
  })

  it.each([
    ['Bake at 180 °C for 30 minutes', 180, 30],
    ['Bake at 180C for 20 to 30 min', 180, 25],
    ['Bake at 350 °F for 25 minutes', 175, 25],
    ['Bake at 400 degrees F for 18-22 minutes', 205, 20],
    ['Rest 30 minutes.\nBake at 200°C for 15 minutes', 200, 15],
  ])('reads temperature and time of "%s"', (text, temperatureC, minutes) => {
    expect(readCooking(text, false, 0)).toMatchObject({ temperatureC, minutes })
  })

  it('refuses a temperature that no oven has', () => {
    expect(readCooking('Bake at 999 C', false, 0).temperatureC).toBeNull()
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
    ['Root vegetable pie', 'Cover with a lid of pastry and bake in a pie dish.', 'lidded-pie'],
  ])('sees the shape of "%s" / "%s"', (title, method, shape) => {
    expect(readShape(title, method)).toBe(shape)
  })
  it('lets the title decide, and says nothing when neither speaks of a shape', () => {
    expect(readShape('Mushroom buns', 'Fold like a turnover.')).toBe('bun')
    expect(readShape('Supper', 'Bake.')).toBeNull()
  })
})
