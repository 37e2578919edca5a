import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'

const verdict = (diet: string, recipe: Recipe, original: Evaluation | null = null) =>
  evaluate(recipe, reference, original).diets.find((one) => one.diet === diet)!
const dough = (...lines: readonly (readonly [string, number])[]) => recipeOf({ shell: lines })

describe('diets that exclude', () => {
  // Codex Standard 118-1979: wheat, rye, barley, oats and what is made of them.
  it.each([
    ['plain-flour', false],
    ['rye-flour', false],
    ['barley-flour', false],
    ['vital-wheat-gluten', false],
    ['soy-sauce', false],
    ['dumpling-wrapper', false],
    ['tamari', true],
    ['rice-flour', true],
    ['buckwheat-flour', true],
    ['cornstarch', true],
  ])('gluten-free: %s fits %s', (id, fits) => {
    expect(verdict('gluten-free', dough(['rice-flour', 100], [id, 20])).fits).toBe(fits)
  })

  it('gluten-free warns that a kitchen cannot certify', () => {
    const found = verdict('gluten-free', dough(['rice-flour', 100]))
    expect(found.toCheck.join()).toMatch(/20 mg\/kg.*cannot certify/)
    expect(found.source).toMatch(/Codex/)
  })

  it.each([
    ['nut-free', 'walnuts'],
    ['nut-free', 'peanut-butter'],
    ['nut-free', 'ground-almonds'],
    ['soy-free', 'firm-tofu'],
    ['soy-free', 'soya-mince'],
    ['soy-free', 'soy-sauce'],
  ])('%s leaves out %s, and names the line', (diet, id) => {
    const found = verdict(diet, dough(['plain-flour', 100], [id, 20]))
    expect(found).toMatchObject({ fits: false, verdict: 'does not fit' })
    expect(found.lineIds).toHaveLength(1)
    expect(found.reasons.join()).toContain(reference.foods.get(id)!.name)
  })

  it('a personal list leaves out what it names', () => {
    const recipe = { ...dough(['plain-flour', 100], ['onion', 50]), avoid: ['onion'] }
    const found = verdict('avoid', recipe)
    expect(found.reasons).toEqual(['Onion (shell) is on your avoid list'])
    expect(evaluate(dough(['plain-flour', 100]), reference).diets.map((one) => one.diet)).not.toContain(
      'avoid',
    )
  })
})

describe('diets that ask for a figure, reckoned by hand', () => {
  it('keto: 10 g of net carbohydrate a serving', () => {
    const recipe = recipeOf(
      {
        shell: [
          ['ground-almonds', 100],
          ['sugar', 20],
        ],
      },
      { pieces: 4, servings: 4 },
    )
    const net = evaluate(recipe, reference).perServing.netCarbohydrateG
    expect(net).toBeCloseTo(
      (reference.foods.get('ground-almonds')!.per100g.carbohydrateG -
        reference.foods.get('ground-almonds')!.per100g.fibreG +
        20 * 0.9998) /
        4,
      1,
    )
    const found = verdict('keto', recipe)
    expect(found.fits).toBe(net <= 10)
    expect(found.reasons.join()).toContain(`${net.toFixed(1)} g net carbohydrate a serving, at most 10.0`)
    expect(verdict('keto-strict', recipe).fits).toBe(net <= 6.7)
    expect(found.source).toMatch(/no standard/)
  })

  it('whole-grain: 50 % passes one definition and not the one that asks for 51', () => {
    const half = dough(['wholemeal-flour', 50], ['plain-flour', 50], ['water', 60])
    expect(verdict('whole-grain', half).fits).toBe(true)
    expect(verdict('whole-grain-51', half).fits).toBe(false)
  })

  it('high-protein: 12 % of energy is a source, 20 % is high, 10 g a serving is a third rule', () => {
    const some = recipeOf(
      {
        shell: [
          ['plain-flour', 200],
          ['vital-wheat-gluten', 10],
        ],
      },
      { pieces: 10, servings: 10 },
    )
    const { measures, perServing } = evaluate(some, reference)
    expect(measures.proteinEnergyPct!).toBeGreaterThan(12)
    expect(measures.proteinEnergyPct!).toBeLessThan(20)
    expect(verdict('protein-source', some).fits).toBe(true)
    expect(verdict('high-protein', some).fits).toBe(false)
    expect(perServing.proteinG).toBeLessThan(10)
    expect(verdict('high-protein-serving', some).fits).toBe(false)
  })

  it('lighter: 30 % less than the original, and cannot tell without one', () => {
    const rich = dough(['plain-flour', 100], ['butter', 100], ['water', 100])
    const lean = dough(['plain-flour', 100], ['butter', 20], ['water', 180])
    const original = evaluate(rich, reference)
    expect(verdict('lighter', lean, original).fits).toBe(true)
    expect(verdict('lighter', rich, original).verdict).toBe('does not fit')
    expect(verdict('fewer-calories', lean, original).fits).toBe(true)
    const alone = verdict('lighter', lean)
    expect(alone.verdict).toBe('cannot tell')
    expect(alone.reasons.join()).toMatch(/no original/)
  })
})
