import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import rows from '../../data/homemade.csv'
import { costOf, type PriceBook } from '../cost/costOf'
import { evaluate } from '../evaluation/evaluate'
import { howToMake, ingredientsFor } from '../food/homemade'
import { labelOf } from '../label/label'
import { readIngredient } from '../reading/readIngredient'
import { homemadeFromRows } from './homemadeFoods'

const each = rows.map((row) => [row.id!, food(row.id!)] as const)

describe.each(each)('%s', (_, made) => {
  const parts = made.homemade!.madeOf.map((one) => ({ ...one, food: food(one.foodId) }))
  const inGrams = parts.reduce((sum, one) => sum + one.grams, 0)

  it('holds what went in: protein, fat and sodium to the gram, the rest water', () => {
    for (const key of ['proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'sodiumMg'] as const) {
      const into = parts.reduce((sum, one) => sum + (one.food.per100g[key] * one.grams) / 100, 0)
      expect((made.per100g[key] * made.homemade!.makesGrams) / 100).toBeCloseTo(into, 6)
    }
    const waterIn = parts.reduce((sum, one) => sum + (one.food.per100g.waterG * one.grams) / 100, 0)
    const waterOut = (made.per100g.waterG * made.homemade!.makesGrams) / 100
    expect(waterIn - waterOut).toBeCloseTo(inGrams - made.homemade!.makesGrams, 6)
  })

  it('adds up to about 100 g and carries every allergen and origin of what it is made of', () => {
    const c = made.per100g
    const sum = c.waterG + c.proteinG + c.fatG + c.carbohydrateG + (c.sodiumMg * 2.54) / 1000
    expect(sum).toBeGreaterThan(93)
    expect(sum).toBeLessThan(102)
    for (const one of parts) {
      for (const allergen of one.food.allergens) expect(made.allergens).toContain(allergen)
      for (const origin of one.food.origins) expect(made.origins).toContain(origin)
    }
  })

  it('says how it is made, in the weight that is needed', () => {
    const half = ingredientsFor(made, made.homemade!.makesGrams / 2)
    expect(half.map((one) => one.grams)).toEqual(made.homemade!.madeOf.map((one) => one.grams / 2))
    expect(howToMake(made, 200)).toContain(parts[0]!.food.name.toLowerCase())
  })

  it('is read from its names', () => {
    for (const name of made.synonyms) expect(readIngredient(`100 g ${name}`, foods).line.foodId).toBe(made.id)
  })
})

describe('home-made foods beside values from outside', () => {
  // Typical labels and handbook values, from memory: seitan 20 to 28 g protein and 120 to 200 kcal in 100 g;
  // soaked textured soy 14 to 20 g protein.
  it.each([
    ['seitan-simmered', 20, 32, 120, 210],
    ['seitan-steamed', 25, 36, 160, 240],
    ['soya-mince-cooked', 13, 20, 110, 190],
  ])('%s lies where such foods do', (id, leastProtein, mostProtein, leastKcal, mostKcal) => {
    const { per100g, energyKcal } = food(id)
    expect(per100g.proteinG).toBeGreaterThan(leastProtein)
    expect(per100g.proteinG).toBeLessThan(mostProtein)
    expect(energyKcal).toBeGreaterThan(leastKcal)
    expect(energyKcal).toBeLessThan(mostKcal)
  })

  it('seitan is short of lysine, as wheat is (FAO/WHO/UNU 2007)', () => {
    expect(food('seitan-simmered').aminoAcids!.mgPerGProtein.lysine).toBeLessThan(45)
  })
})

describe('a piece with home-made seitan in it', () => {
  const pies = recipeOf({
    shell: [
      ['plain-flour', 300],
      ['water', 150],
    ],
    filling: [['seitan-simmered', 220]],
  })
  const evaluation = evaluate(pies, reference)

  it('costs what goes into it, and says which prices are missing', () => {
    const price = (
      foodId: string,
      cost: number,
    ): [string, PriceBook extends ReadonlyMap<string, infer P> ? P : never] => [
      foodId,
      { foodId, price: cost, packGrams: 1000, note: '', date: '2026-11-24' },
    ]
    const some: PriceBook = new Map([price('plain-flour', 1), price('vital-wheat-gluten', 8)])
    const cost = costOf(pies, evaluation.working.lines, foods, some)
    // Half of the 440 g that 150 g of gluten gives: 75 g at 8.00 a kilo, and 300 g of flour at 1.00.
    expect(cost.batch).toBeCloseTo(0.3 + 0.6, 9)
    expect(cost.unknown).toContain('Chickpea flour')
    expect(cost.unknown).not.toContain('Seitan, home-made, simmered')
    const bought = new Map([...some, price('seitan-simmered', 10)])
    expect(costOf(pies, evaluation.working.lines, foods, bought).batch).toBeCloseTo(0.3 + 2.2, 9)
  })

  it('is listed on the card with what it is made of, allergens where they stand', () => {
    const { ingredients } = labelOf(pies, evaluation, foods, 'eu')
    const seitan = ingredients.find((one) => one.name.startsWith('Seitan'))!
    expect(seitan.allergens).toEqual([])
    expect(seitan.of.map((one) => one.name)[0]).toMatch(/stock/i)
    expect(seitan.of.flatMap((one) => one.allergens)).toContain('Cereals containing gluten')
    expect(evaluation.allergens).toContain('Cereals containing gluten')
  })
})

describe('a row that cannot be', () => {
  const row = rows[0]!
  it.each([
    ['made_of', 'moon-dust=10', /moon-dust=10/],
    ['made_of', 'firm-tofu=', /not food=grams/],
    ['makes_g', '0', /makes_g/],
    ['makes_g', '90', /dry matter/],
    ['heat', 'microwave', /heat "microwave"/],
    ['method', '', /method/],
    ['unit_weights', 'cup', /not unit=grams/],
    ['g_per_ml', '', /g_per_ml/],
    ['id', 'firm-tofu', /has that id already/],
  ])('with %s "%s" is refused by name', (column, value, message) => {
    const others = new Map([...foods].filter(([id]) => id !== row.id))
    expect(() => homemadeFromRows([{ ...row, [column]: value }], others, reference.cooking)).toThrow(message)
  })
})
