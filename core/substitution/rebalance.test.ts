import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { rebalanceDough } from './rebalance'

const dough = (...lines: [string, number][]) => recipeOf({ shell: lines, filling: [['leek', 300]] })
const softness = (recipe: Recipe) => evaluate(recipe, reference).dough.softness!
const fatPct = (recipe: Recipe) => evaluate(recipe, reference).dough.fatPct!
const grams = (recipe: Recipe, id: string) =>
  allLines(recipe).find(({ line }) => line.foodId === id)?.line.grams

describe('rebalanceDough', () => {
  it('adds water to the water there is, and says how much in grams', () => {
    const before = dough(['plain-flour', 300], ['water', 150])
    const whole = dough(['wholemeal-flour', 300], ['water', 150])
    const { recipe, changes } = rebalanceDough(before, whole, foods)
    // 300 g × (0.70 − 0.66) × softness 150 / 198
    const more = (150 / 198) * 300 * 0.04
    expect(grams(recipe, 'water')).toBeCloseTo(150 + more, 6)
    expect(changes).toMatchObject([{ kind: 'water', gramsBefore: 150 }])
    expect(changes[0]?.why).toContain(`Needs ${Math.round(more)} g more water`)
    expect(softness(recipe)).toBeCloseTo(softness(before), 6)
  })

  it('brings water in when the dough had none of its own', () => {
    const before = dough(['plain-flour', 300], ['yogurt', 220])
    const thirsty = dough(['atta', 300], ['yogurt', 220])
    const { recipe, changes } = rebalanceDough(before, thirsty, foods)
    expect(grams(recipe, 'water')).toBeGreaterThan(5)
    expect(changes[0]).toMatchObject({ gramsBefore: 0, kind: 'water' })
    expect(softness(recipe)).toBeCloseTo(softness(before), 6)
  })

  it('takes too much from the water first and then from the largest liquid', () => {
    const before = dough(['plain-flour', 300], ['water', 10], ['milk', 120])
    const wetter = dough(['plain-flour', 300], ['water', 10], ['soy-drink', 180])
    const { recipe, changes } = rebalanceDough(before, wetter, foods)
    expect(grams(recipe, 'water')).toBe(0)
    expect(grams(recipe, 'soy-drink')).toBeLessThan(180)
    expect(changes.map((change) => change.from)).toContain('Soy drink, unsweetened')
    expect(softness(recipe)).toBeCloseTo(softness(before), 6)
  })

  it('puts fat back that the swaps took out, on the fat the dough has', () => {
    const before = dough(['plain-flour', 300], ['egg-yolk', 60], ['olive-oil', 30], ['water', 120])
    const lean = dough(['plain-flour', 300], ['soy-drink', 60], ['olive-oil', 30], ['water', 120])
    const { recipe, changes } = rebalanceDough(before, lean, foods)
    expect(grams(recipe, 'olive-oil')).toBeGreaterThan(30)
    expect(changes[0]).toMatchObject({ kind: 'fat', from: 'Olive oil', gramsBefore: 30 })
    expect(fatPct(recipe)).toBeCloseTo(fatPct(before), 6)
  })

  it('gives a dough without fat the oil it lost, and leaves small differences alone', () => {
    const before = dough(['plain-flour', 300], ['egg', 100], ['water', 80])
    const lean = dough(['plain-flour', 300], ['aquafaba', 100], ['water', 80])
    expect(grams(rebalanceDough(before, lean, foods).recipe, 'sunflower-oil')).toBeCloseTo(9.51 - 0.2, 2)
    const same = dough(['plain-flour', 300], ['water', 160])
    expect(rebalanceDough(same, dough(['plain-flour', 300], ['water', 160.5]), foods).changes).toEqual([])
  })

  it('leaves bought dough and dough without flour alone', () => {
    const bought = dough(['wonton-wrapper', 240])
    const next = dough(['dumpling-wrapper', 240])
    expect(rebalanceDough(bought, next, foods)).toEqual({ recipe: next, changes: [] })
    const none = dough(['water', 100], ['butter', 10])
    expect(rebalanceDough(none, dough(['water', 100]), foods).changes).toEqual([])
  })

  it('reaches the softness of any dough after any swap of its liquid, or takes out all it can', () => {
    const liquid = fc.constantFrom(
      'milk',
      'buttermilk',
      'yogurt',
      'soy-drink',
      'greek-yogurt',
      'beer',
      'kefir',
    )
    const amount = fc.integer({ min: 60, max: 260 })
    fc.assert(
      fc.property(liquid, liquid, amount, amount, (from, to, before, after) => {
        const original = dough(['plain-flour', 300], [from, before], ['water', 40])
        const swapped = dough(['plain-flour', 300], [to, after], ['water', 40])
        const { recipe } = rebalanceDough(original, swapped, foods)
        expect(Math.abs(softness(recipe) - softness(original))).toBeLessThan(0.03)
        for (const { line } of allLines(recipe)) expect(line.grams).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 60 },
    )
  })
})

describe('other exclusions', () => {
  const rich = recipeOf(
    {
      shell: [
        ['plain-flour', 300],
        ['milk', 120],
        ['egg', 50],
        ['butter', 40],
      ],
      filling: [
        ['minced-pork', 300],
        ['cheddar', 80],
        ['fish-sauce', 10],
      ],
      finish: [['egg', 30]],
    },
    { pieces: 10, servings: 5 },
  )
  const after = (diet: string) => {
    const { recipe, evaluation } = adapt(rich, [diet], reference)
    return {
      ids: allLines(recipe).map(({ line }) => line.foodId!),
      verdict: evaluation.diets.find((one) => one.diet === diet)!,
    }
  }

  it('keeps egg and milk for a vegetarian, and takes meat and fish', () => {
    const { ids, verdict } = after('vegetarian')
    expect(verdict.fits).toBe(true)
    expect(ids).toEqual(expect.arrayContaining(['milk', 'egg', 'butter', 'veg-cheddar']))
    for (const id of ids) expect(food(id).origins).not.toContain('meat')
  })

  it('takes milk alone for dairy-free, egg alone for egg-free', () => {
    const dairy = after('dairy-free')
    expect(dairy.verdict.fits).toBe(true)
    expect(dairy.ids).toEqual(expect.arrayContaining(['egg', 'minced-pork', 'fish-sauce']))
    expect(dairy.ids.some((id) => food(id).allergens.includes('milk'))).toBe(false)
    const egg = after('egg-free')
    expect(egg.verdict.fits).toBe(true)
    expect(egg.ids).toEqual(expect.arrayContaining(['milk', 'butter', 'cheddar', 'minced-pork']))
    expect(egg.ids.some((id) => food(id).allergens.includes('egg'))).toBe(false)
  })

  it('meets two at once, in either order', () => {
    const one = adapt(rich, ['dairy-free', 'egg-free'], reference)
    const two = adapt(rich, ['egg-free', 'dairy-free'], reference)
    expect(one.recipe.parts).toEqual(two.recipe.parts)
    for (const diet of ['dairy-free', 'egg-free'])
      expect(one.evaluation.diets.find((verdict) => verdict.diet === diet)?.fits).toBe(true)
  })

  it('does not take lactose-free looks for granted: ghee and whey are milk', () => {
    const hidden = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['ghee', 30],
        ['water', 150],
      ],
      filling: [
        ['whey-protein', 20],
        ['leek', 200],
      ],
    })
    const verdict = evaluate(hidden, reference).diets.find((one) => one.diet === 'dairy-free')!
    expect(verdict.lineIds).toHaveLength(2)
  })
})
