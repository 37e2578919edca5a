import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { adapt, dietsByIds } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { methodChanges } from './methodChanges'
import { rankSwaps } from '../optimisation/rankSwaps'
import { pitfallsOf } from './pitfalls'

const buns: Recipe = {
  ...recipeOf(
    {
      shell: [
        ['plain-flour', 400],
        ['milk', 220],
        ['sugar', 20],
        ['instant-yeast', 6],
        ['butter', 30],
      ],
      filling: [
        ['mushroom', 300],
        ['cheddar', 150],
      ],
      finish: [['egg', 50]],
    },
    { pieces: 10, way: 'steam' },
  ),
  shape: 'bun',
}
buns.cooking.minutes = 20
const texts = (after: Recipe, before = buns) =>
  methodChanges(after, evaluate(before, reference), evaluate(after, reference))
    .map((note) => note.text)
    .join(' | ')
const swapped = (recipe: Recipe, from: string, to: string, grams?: number): Recipe => ({
  ...recipe,
  parts: recipe.parts.map((part) => ({
    ...part,
    lines: part.lines.map((line) =>
      line.foodId === from ? { ...line, foodId: to, grams: grams ?? line.grams } : line,
    ),
  })),
})

describe('what has to be done otherwise', () => {
  it('whole grain: knead and rest longer, steam half as long again', () => {
    const found = texts(swapped(buns, 'plain-flour', 'wholemeal-flour'))
    expect(found).toMatch(/knead 10 min instead of 6 and let it rest 30 min/)
    expect(found).toMatch(/Steam about 30 min instead of 20/)
  })

  it('no gluten: press, do not stretch; more gluten: rest', () => {
    expect(texts(swapped(buns, 'plain-flour', 'ground-almonds'))).toMatch(/do not expect it to stretch/)
    expect(texts(swapped(buns, 'plain-flour', 'vital-wheat-gluten'))).toMatch(/rest 1 h before rolling/)
  })

  it('an oven that browns early is set lower, in degrees', () => {
    const baked: Recipe = { ...buns, cooking: { ...buns.cooking, way: 'bake', temperatureC: 190 } }
    expect(texts(swapped(baked, 'plain-flour', 'soy-flour'), baked)).toMatch(
      /oven at 175 °C instead of 190 °C/,
    )
  })

  it('yeast without sugar is told', () => {
    const lean = swapped(buns, 'milk', 'water')
    expect(texts(swapped(lean, 'sugar', 'erythritol'), lean)).toMatch(/teaspoon of it into the warm liquid/)
  })

  it('nothing is said of a recipe that did not change', () => {
    expect(texts(buns)).toBe('')
  })
})

describe('swaps for a line, ranked', () => {
  const before = evaluate(buns, reference)
  const lineOf = (id: string) => allLines(buns).find(({ line }) => line.foodId === id)!.line.id
  const ranked = (id: string, diets: string[], more = {}) =>
    rankSwaps(buns, lineOf(id), reference, dietsByIds(diets, reference), before, more)

  it('put what keeps the diet first, and say what each does to the piece', () => {
    const found = ranked('cheddar', ['vegan'])
    expect(found.length).toBeGreaterThan(2)
    const fits = found.map((one) => one.fits)
    expect(fits).toEqual([...fits].sort((a, b) => Number(b) - Number(a)))
    const [first] = found
    expect(first!.energyKcal).toBeCloseTo(
      first!.evaluation.perPiece.energyKcal - before.perPiece.energyKcal,
      9,
    )
    expect(found.map((one) => one.swap.id)).not.toHaveLength(0)
  })

  it('put a flour that leaves the dough too weak for a bun behind one that does not', () => {
    const found = ranked('plain-flour', [])
    const at = (id: string) => found.findIndex((one) => one.swap.id === id)
    expect(at('plain-wholemeal')).toBeLessThan(at('plain-gf-rice'))
    expect(at('plain-wholemeal')).toBeGreaterThanOrEqual(0)
  })

  it('know the price of a piece when both are known', () => {
    const price = (foodId: string, cost: number) =>
      [foodId, { foodId, price: cost, packGrams: 1000, note: '', date: '2026-11-24' }] as const
    const prices = new Map([price('butter', 9), price('plant-block', 6)])
    const one = ranked('butter', ['vegan'], { prices }).find((own) => own.swap.id === 'butter-block')!
    const grams = one.changes[0]!.gramsAfter!
    expect(one.price).toBeCloseTo((grams * 0.006 - 30 * 0.009) / 10, 6)
  })

  it('leave out what was refused, and know nothing of a line that is not there', () => {
    const all = ranked('butter', ['vegan'])
    expect(
      ranked('butter', ['vegan'], { refused: [all[0]!.swap.id] }).map((one) => one.swap.id),
    ).not.toContain(all[0]!.swap.id)
    expect(rankSwaps(buns, 'nowhere', reference, [], before)).toEqual([])
  })
})

describe('what undoes the point', () => {
  const of = (recipe: Recipe, diets: string[]) =>
    pitfallsOf(evaluate(recipe, reference), diets, foods).join(' | ')

  it('a whole-grain griddle bread drowned in oil', () => {
    const drowned = recipeOf(
      {
        shell: [
          ['wholemeal-flour', 200],
          ['water', 140],
        ],
        pan: [['sunflower-oil', 800]],
      },
      { way: 'deep-fry', pieces: 12 },
    )
    expect(of(drowned, ['whole-grain'])).toMatch(/Fat from the pan brings \d+ % of the energy/)
    expect(of(drowned, [])).toBe('')
  })

  it('a dip that eats the gain, protein that is one cheese, a plant cheese of fat and starch', () => {
    const dipped = recipeOf({ shell: [['plain-flour', 200]], dip: [['mayonnaise', 120]] })
    expect(of(dipped, ['lighter'])).toMatch(/The dip brings/)
    const cheesy = recipeOf({ shell: [['plain-flour', 100]], filling: [['cheddar', 300]] })
    expect(of(cheesy, ['high-protein'])).toMatch(/More than half of the protein is cheddar/)
    const starchy = recipeOf({ shell: [['plain-flour', 200]], filling: [['plant-cheese', 200]] })
    expect(of(starchy, ['vegan'])).toMatch(/mostly fat and starch/)
  })

  it('nothing, of a plain piece', () => {
    expect(of(buns, ['vegan', 'lighter'])).toBe('')
  })
})

describe('every combination of diets on a recipe', () => {
  const IDS = [
    'vegan',
    'gluten-free',
    'nut-free',
    'soy-free',
    'whole-grain',
    'high-protein',
    'keto',
    'lighter',
  ]
  const pairs = IDS.flatMap((a, at) => IDS.slice(at + 1).map((b) => [a, b] as const))
  it.each(pairs)('%s and %s: reached, or said why not', (a, b) => {
    const { evaluation, conflict, unmet } = adapt(buns, [a, b], reference)
    const fits = evaluation.diets.filter((one) => one.diet === a || one.diet === b)
    const reached = fits.every((one) => one.verdict !== 'does not fit')
    expect(reached || conflict.length > 0 || unmet.length > 0).toBe(true)
  })
})
