import { readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { reference } from '../test/helpers'
import { COMPOSITION_KEYS } from './food/composition'
import { NUTRIENT_TABLE, NUTRIENTS, nutrientsPer100g, scaleNutrients, zeroNutrients } from './food/nutrients'
import { bodyOfPiece } from './piece/geometry'
import { SHAPE_TABLE } from './piece/shapes'
import { readLine } from './reading/readLine'
import { readRecipe } from './reading/readRecipe'
import { readShape } from './reading/shape'
import { UNITS } from './reading/units'
import { PRECOOKING_TABLE, PRECOOKING_WAYS } from './recipe/precookingWays'
import { SHAPES, type Shape } from './recipe/vocabulary'

const here = fileURLToPath(new URL('.', import.meta.url))
const files = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return files(path)
    return /\.ts$/.test(name) && !/\.test\.ts$/.test(name) ? [path] : []
  })

/** By folder of the core, the folders it imports from. */
function arrows(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>()
  for (const file of files(here)) {
    const from = relative(here, file).split('/')[0]!
    for (const [, path] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const to = relative(here, resolve(dirname(file), path!)).split('/')[0]!
      if (to !== from) found.set(from, (found.get(from) ?? new Set()).add(to))
    }
  }
  return found
}

describe('the rooms of the core', () => {
  const to = arrows()

  it('use nothing outside it', () => {
    expect([...to.values()].flatMap((all) => [...all]).filter((folder) => folder.startsWith('..'))).toEqual(
      [],
    )
  })

  it('form no circle: what a room stands on never leads back to it', () => {
    const reaches = (room: string, seen = new Set<string>()): Set<string> => {
      for (const next of to.get(room) ?? []) if (!seen.has(next)) reaches(next, seen.add(next))
      return seen
    }
    expect([...to.keys()].filter((room) => reaches(room).has(room))).toEqual([])
  })
})

// What somebody forgets who adds one of these: see "To add ..." in docs/architecture.md.
describe('nothing is added by half', () => {
  /** A dish of each shape, as a cook would call it. */
  const DISHES: Readonly<Record<Shape, string>> = {
    'half-moon': 'Spinach turnovers',
    pleated: 'Leek momos',
    bun: 'Cabbage buns',
    disc: 'Stuffed flatbreads',
    parcel: 'Apple parcels',
    cone: 'Pea cones',
    roll: 'Cabbage rolls',
    coil: 'Pumpkin coils',
    'lidded-pie': 'Lidded turnip pie',
  }
  it.each(SHAPES)('the shape %s has a row that draws a piece, and is read in a title', (shape) => {
    expect(SHAPE_TABLE[shape].name).not.toBe('')
    expect(readShape(DISHES[shape], '')).toBe(shape)
    const { wallMm, surfaceMm2 } = bodyOfPiece(shape, 50, 30)
    expect(wallMm).toBeGreaterThan(0.5)
    expect(surfaceMm2).toBeGreaterThan(0)
  })

  it.each(NUTRIENTS)('the figure %s is computed, added up and hangs on something measured', (key) => {
    const { needs, asked, source } = NUTRIENT_TABLE[key]
    expect(needs.every((field) => COMPOSITION_KEYS.includes(field))).toBe(true)
    expect(`${asked} ${source}`).not.toMatch(/undefined/)
    const some = [...reference.foods.values()].map((food) => nutrientsPer100g(food)[key])
    expect(some.some((value) => value > 0)).toBe(true)
    expect(zeroNutrients()[key]).toBe(0)
    expect(scaleNutrients({ ...zeroNutrients(), [key]: 2 }, 3)[key]).toBe(6)
  })

  it('every unit is read behind a number, by each of its names', () => {
    const lost = UNITS.flatMap(({ id, names }) =>
      names.filter((name) => !readLine(`2 ${name} of rice`).measures[0]?.some((term) => term.unitId === id)),
    )
    expect(lost).toEqual([])
  })

  it.each(PRECOOKING_WAYS)('a filling is read as cooked first: %s', (way) => {
    const said = { fry: 'Fry', roast: 'Roast', steam: 'Steam', simmer: 'Simmer' }[way]
    expect(PRECOOKING_TABLE[way].said.test(said)).toBe(true)
    const { recipe } = readRecipe(
      `Dough\n300 g flour\n150 g water\n\nFilling\n400 g carrots\n\nMethod\n${said} the carrots for 15 minutes in the oven or pot. Fill and bake.`,
      reference.foods,
    )
    expect(recipe.parts.find((part) => part.kind === 'filling')).toMatchObject({ cookedBy: way })
    for (const table of reference.cooking.yields.values()) expect(table[way].factor).toBeGreaterThan(0)
  })
})
