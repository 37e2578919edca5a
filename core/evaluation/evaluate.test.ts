import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { difference, evaluate } from './evaluate'
import { bodyOfPiece, surfaceCm2 } from '../piece/geometry'
import { NUTRIENTS } from '../food/nutrients'
import type { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'

const turnovers = recipeOf(
  {
    shell: [
      ['plain-flour', 500],
      ['water', 200],
      ['olive-oil', 90],
      ['salt', 6],
    ],
    filling: [
      ['leek', 400],
      ['cheddar', 150],
    ],
    finish: [['egg', 50]],
    dip: [['yogurt', 100]],
  },
  { pieces: 16, servings: 8 },
)

describe('evaluate', () => {
  const evaluation = evaluate(turnovers, reference)

  it('reckons protein by hand', () => {
    const batch = 5 * 10.33 + 4 * 1.5 + 1.5 * 22.87 + 0.5 * 12.56 + 3.47
    expect(evaluation.perPiece.proteinG).toBeCloseTo(batch / 16, 6)
    expect(evaluation.perServing.proteinG).toBeCloseTo(batch / 8, 6)
    // Baked: 12 % of 796 g of dough and 550 g of filling goes off as steam.
    expect(evaluation.per100g.proteinG).toBeCloseTo((batch / (1496 - 0.12 * 1346)) * 100, 6)
  })

  it('makes salt of sodium × 2.5 and net carbohydrate of total less fibre and polyols', () => {
    const { perPiece } = evaluation
    expect(perPiece.saltG).toBeCloseTo((perPiece.sodiumMg * 2.5) / 1000, 9)
    expect(perPiece.netCarbohydrateG).toBeCloseTo(
      perPiece.carbohydrateG - perPiece.fibreG - perPiece.polyolsG,
      6,
    )
  })

  it('adds its parts and lines up to the piece', () => {
    for (const key of [...NUTRIENTS, 'grams'] as const) {
      const parts = evaluation.parts.reduce((sum, part) => sum + part.perPiece[key], 0)
      expect(parts).toBeCloseTo(evaluation.perPiece[key], 6)
    }
    for (const key of NUTRIENTS) {
      const lines = evaluation.working.lines.reduce((sum, line) => sum + line.nutrients[key], 0)
      expect(lines / 16).toBeCloseTo(evaluation.perPiece[key], 6)
      expect(evaluation.working.figures[key].batch).toBeCloseTo(lines, 6)
    }
  })

  it('names allergens as the EU does, in its order, and what only a packet can tell', () => {
    expect(evaluation.allergens).toEqual(['Cereals containing gluten', 'Eggs', 'Milk'])
    const bought = evaluate(
      recipeOf({
        shell: [['puff-pastry', 320]],
        filling: [
          ['lupin-flour', 10],
          ['prawns', 100],
        ],
      }),
      reference,
    )
    expect(bought.allergens).toEqual(['Cereals containing gluten', 'Crustaceans', 'Lupin'])
    expect(bought.mayContain).toEqual(['Milk'])
  })

  it('weighs the filling and its share', () => {
    expect(evaluation.filling).toMatchObject({ grams: 550, gramsPerPiece: 550 / 16 })
    expect(evaluation.filling.sharePct).toBeCloseTo((100 * 550) / (550 + 796), 6)
    expect(evaluation.filling.waterPct).toBeCloseTo((4 * 83 + 1.5 * 36.75) / 5.5, 6)
  })

  it('says "at least" when a line is not counted', () => {
    const open: Recipe = structuredClone(turnovers)
    open.parts[1]!.lines[0]!.grams = null
    open.parts[1]!.lines[1]!.foodId = null
    const { complete, missing, working } = evaluate(open, reference)
    expect(complete).toBe(false)
    expect(missing).toHaveLength(2)
    expect(working.uncounted.map((one) => one.reason)).toEqual(['no weight is known', 'no food is chosen'])
  })

  it('refuses a recipe without dough and an unknown food, naming the field', () => {
    const field = (recipe: Recipe) => {
      try {
        evaluate(recipe, reference)
      } catch (error) {
        return (error as RecipeProblem).problems[0]?.field
      }
    }
    expect(field(recipeOf({ filling: [['leek', 100]] }))).toBe('recipe.parts')
    expect(field(recipeOf({ shell: [['moon-dust', 100]] }))).toBe('recipe.parts[0].lines[0].foodId')
  })

  it('shares the pieces among several fillings', () => {
    const two: Recipe = structuredClone(turnovers)
    two.parts.push({
      ...structuredClone(two.parts[1]!),
      id: 'f2',
      name: 'second',
      pieces: 4,
      lines: [{ ...two.parts[1]!.lines[0]!, id: 'f2l1', foodId: 'quark', grams: 120 }],
    })
    const { fillings, perPiece } = evaluate(two, reference)
    expect(fillings.map((one) => one.pieces)).toEqual([12, 4])
    const average = fillings.reduce((sum, one) => sum + one.perPiece.proteinG * one.pieces, 0) / 16
    expect(average).toBeCloseTo(perPiece.proteinG, 6)
  })
})

describe('fat from the pan', () => {
  const fried = (shellFat: number, oil: number, way: 'deep-fry' | 'boil' | 'bake' = 'deep-fry') =>
    evaluate(
      recipeOf(
        {
          shell: [
            ['plain-flour', 250],
            ['water', 130],
            ['olive-oil', shellFat],
          ],
          filling: [['potato', 300]],
          pan: [['sunflower-oil', oil]],
        },
        { way },
      ),
      reference,
    )
  const taken = (evaluation: ReturnType<typeof evaluate>) =>
    evaluation.parts.find((part) => part.kind === 'pan')!.grams

  it('counts what is taken up, not what is in the pot', () => {
    // 0.045 g on each cm² of a half-moon, which is made of the dough and filling that `fried` gives a piece.
    const grams = 10 * 0.045 * surfaceCm2(bodyOfPiece('half-moon', 39, 30))
    expect(taken(fried(10, 1000))).toBeCloseTo(grams, 6)
    expect(taken(fried(10, 2000))).toBeCloseTo(grams, 6)
  })
  it('is never more than the pan holds', () => {
    expect(taken(fried(10, 20))).toBe(20)
  })
  it('is less for a dough with fat of its own, none in boiling water, all when it greases a tray', () => {
    expect(taken(fried(60, 1000)) / 740).toBeLessThan(taken(fried(10, 1000)) / 690)
    expect(taken(fried(10, 500, 'boil'))).toBe(0)
    expect(taken(fried(10, 12, 'bake'))).toBe(12)
  })
  it('is what the cook weighed, when the oil was weighed', () => {
    const recipe = recipeOf(
      {
        shell: [
          ['plain-flour', 250],
          ['water', 130],
        ],
        pan: [['sunflower-oil', 900]],
      },
      { way: 'deep-fry' },
    )
    recipe.parts[1]!.lines[0]!.eatenGrams = 37
    expect(taken(evaluate(recipe, reference))).toBeCloseTo(37, 9)
  })
})

describe('diets', () => {
  const verdict = (diet: string, recipe: Recipe) =>
    evaluate(recipe, reference).diets.find((one) => one.diet === diet)!

  it.each(['shell', 'filling', 'marinade', 'finish', 'pan', 'dip'] as const)(
    'finds an animal food in the %s',
    (kind) => {
      const plain = {
        shell: [
          ['plain-flour', 300],
          ['water', 160],
        ],
        filling: [['leek', 300]],
      } as const
      expect(verdict('vegan', recipeOf(plain)).fits).toBe(true)
      const own = kind === 'shell' || kind === 'filling' ? plain[kind] : []
      const found = verdict('vegan', recipeOf({ ...plain, [kind]: [...own, ['butter', 1]] }))
      expect(found.fits).toBe(false)
      expect(found.lineIds).toHaveLength(1)
      expect(found.reasons.join()).toMatch(/Butter/)
    },
  )

  it('cannot tell when a line is not known, and says which', () => {
    const recipe = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['water', 160],
      ],
      filling: [['leek', 300]],
    })
    recipe.parts[1]!.lines[0]!.foodId = null
    expect(verdict('vegan', recipe)).toMatchObject({ fits: false, verdict: 'cannot tell' })
    expect(verdict('vegan', recipe).reasons.join()).toMatch(/leek/)
  })

  it('asks to read the packet where something may hide', () => {
    const found = verdict('vegan', recipeOf({ shell: [['puff-pastry', 300]], filling: [['leek', 300]] }))
    expect(found.fits).toBe(true)
    expect(found.toCheck.join()).toMatch(/packet/)
  })

  it('holds whole-grain at half of the flours (Whole Grain Initiative, 2020)', () => {
    const mix = (whole: number) =>
      recipeOf({
        shell: [
          ['wholemeal-flour', whole],
          ['plain-flour', 100 - whole],
          ['water', 60],
        ],
      })
    expect(verdict('whole-grain', mix(50)).fits).toBe(true)
    expect(verdict('whole-grain', mix(49)).fits).toBe(false)
  })

  it('holds high-protein at 20 % of energy (Regulation (EC) No 1924/2006)', () => {
    const dough = (gluten: number) =>
      recipeOf({
        shell: [
          ['plain-flour', 100 - gluten],
          ['vital-wheat-gluten', gluten],
          ['water', 60],
        ],
      })
    const share = (gluten: number) => {
      const { perPiece } = evaluate(dough(gluten), reference)
      return (400 * perPiece.proteinG) / perPiece.energyKcal
    }
    for (const gluten of [0, 5, 10, 15, 20, 30])
      expect(verdict('high-protein', dough(gluten)).fits).toBe(share(gluten) >= 20)
    expect(verdict('high-protein', dough(0)).fits).toBe(false)
    expect(verdict('high-protein', dough(30)).fits).toBe(true)
  })

  it('states its source with every verdict', () => {
    for (const one of evaluate(turnovers, reference).diets)
      expect(one.source).toMatch(/ISO|Regulation|Initiative|EFSA|USDA|practice|Codex|CFR/)
  })
})

describe('cautions', () => {
  const codes = (recipe: Recipe) => evaluate(recipe, reference).cautions.map((one) => one.code)
  const dough = [
    ['plain-flour', 300],
    ['water', 150],
  ] as const
  it.each([
    ['hot-oil', recipeOf({ shell: dough, pan: [['sunflower-oil', 900]] }, { way: 'deep-fry' })],
    ['steam', recipeOf({ shell: dough }, { way: 'steam' })],
    ['poultry', recipeOf({ shell: dough, filling: [['chicken', 200]] })],
    ['mince', recipeOf({ shell: dough, filling: [['minced-pork', 200]] })],
    ['fish', recipeOf({ shell: dough, filling: [['salmon', 200]] })],
    [
      'lupin',
      recipeOf({
        shell: [
          ['lupin-flour', 200],
          ['water', 150],
        ],
      }),
    ],
    [
      'wheat-gluten',
      recipeOf({
        shell: [
          ['vital-wheat-gluten', 200],
          ['water', 150],
        ],
      }),
    ],
    ['polyols', recipeOf({ shell: dough, filling: [['xylitol', 200]] })],
    ['xylitol', recipeOf({ shell: dough, filling: [['xylitol', 1]] })],
    ['honey', recipeOf({ shell: dough, filling: [['honey', 10]] })],
    ['raw-flour', recipeOf({ shell: dough })],
    ['cooling', recipeOf({ shell: dough, filling: [['cooked-rice', 100]] })],
  ])('shows %s with its source', (code, recipe) => {
    expect(codes(recipe)).toContain(code)
    expect(evaluate(recipe, reference).cautions.find((one) => one.code === code)?.source).toBeTruthy()
  })
  it('does not cry wolf', () => {
    const plain = codes(recipeOf({ shell: dough, filling: [['apple', 200]] }))
    for (const code of ['hot-oil', 'poultry', 'mince', 'fish', 'lupin', 'polyols', 'xylitol', 'honey'])
      expect(plain).not.toContain(code)
  })
})

describe('laws', () => {
  const ids = [...foods.keys()]
  const lines = fc.array(fc.tuple(fc.constantFrom(...ids), fc.double({ min: 0, max: 5000, noNaN: true })), {
    minLength: 1,
    maxLength: 12,
  })

  it('gives finite figures that are not negative, for any foods in any part', () => {
    fc.assert(
      fc.property(lines, lines, fc.integer({ min: 1, max: 60 }), (shell, filling, pieces) => {
        const recipe = recipeOf({ shell: [['plain-flour', 100], ...shell], filling }, { pieces })
        const text = JSON.stringify(evaluate(recipe, reference), (_, value: unknown) => {
          if (typeof value === 'number' && !Number.isFinite(value)) throw new Error('not finite')
          return value
        })
        expect(text).not.toContain('NaN')
        const { perPiece } = evaluate(recipe, reference)
        for (const key of NUTRIENTS) expect(perPiece[key]).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 100 },
    )
  })

  it('makes the change from one recipe to itself nothing', () => {
    const { perPiece } = evaluate(turnovers, reference)
    expect(Object.values(difference(perPiece, perPiece)).every((value) => value === 0)).toBe(true)
  })

  it('conserves mass: what is listed outside the pan is what the pieces and dip weigh', () => {
    const { parts } = evaluate(turnovers, reference)
    expect(parts.reduce((sum, part) => sum + part.grams, 0)).toBeCloseTo(
      500 + 200 + 90 + 6 + 400 + 150 + 50 + 100,
      9,
    )
    expect(food('water').energyKcal).toBe(0)
  })
})
