import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { recipeOf, reference } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import { RecipeProblem } from '../recipe/problem'
import { scaleRecipe } from '../recipe/scale'
import { COOKWARE_KINDS } from './batches'
import { acrossOf, blankAreaMm2, MAKING_METHODS } from './making'
import { marksOf } from './apart'
import { planPieces } from './plan'
import type { PiecePlan, PlannedPieces } from './pieces'

const planOf = (recipe: Recipe | null, plan: PiecePlan): PlannedPieces =>
  planPieces(recipe, recipe && evaluate(recipe, reference), plan, reference)

const moons = recipeOf(
  {
    shell: [
      ['plain-flour', 500],
      ['water', 250],
      ['salt', 9],
    ],
    filling: [['potato', 800]],
    pan: [['sunflower-oil', 2000]],
  },
  { pieces: 20, way: 'deep-fry' },
)
const problemsOf = (work: () => unknown) => {
  try {
    work()
  } catch (error) {
    if (error instanceof RecipeProblem) return error.problems.map(({ field }) => field)
    throw error
  }
  return []
}

describe('of weight, thickness and width', () => {
  it('any two give the third, as practice has it: 12 cm at 2.5 mm is about 33 g', () => {
    const cut = planOf(moons, { method: 'cut-sheet', diameterMm: 120, thicknessMm: 2.5 })
    expect(Math.abs(cut.doughGramsPerPiece - 33)).toBeLessThan(1.5)
    const balls = planOf(moons, { method: 'balls', ballGrams: cut.doughGramsPerPiece, diameterMm: 120 })
    expect(balls.thicknessMm).toBeCloseTo(2.5, 1)
    const thin = planOf(moons, { method: 'balls', ballGrams: cut.doughGramsPerPiece, thicknessMm: 2.5 })
    expect(Math.abs(thin.diameterMm - 120)).toBeLessThan(0.6)
  })

  it('are refused where all three are given and do not agree', () => {
    expect(
      problemsOf(() => planOf(moons, { method: 'balls', ballGrams: 80, diameterMm: 120, thicknessMm: 2.5 })),
    ).toEqual(['plan.thicknessMm'])
  })

  it('give back the width that they came from, for every way of making', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MAKING_METHODS),
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        (method, across, along) => {
          expect(acrossOf(method, blankAreaMm2(method, across, along), along)).toBeCloseTo(across, 6)
        },
      ),
    )
  })

  it('a dish is chosen that the filling fills, and lined as thin as the dough allows', () => {
    const pie = planOf({ ...moons, shape: 'lidded-pie' }, { method: 'lined-dish', pieces: 4 })
    expect(pie.fit).toBe('good')
    expect(pie.dishHeightMm! / pie.diameterMm).toBeCloseTo(0.4, 1)
    expect(pie.thicknessMm * 4).toBeGreaterThan(4)
  })

  it('a rim rolled thinner makes a disc wider of the same dough', () => {
    const even = planOf(moons, { method: 'balls', ballGrams: 15, thicknessMm: 2 })
    const pleats = planOf(moons, { method: 'balls', ballGrams: 15, thicknessMm: 2, rimShare: 0.4 })
    expect((even.diameterMm / pleats.diameterMm) ** 2).toBeCloseTo(0.8, 2)
  })

  it('a round that is halved makes two cones', () => {
    const whole = planOf(moons, { method: 'balls', ballGrams: 50, thicknessMm: 2 })
    const halves = planOf(
      { ...moons, shape: 'cone' },
      { method: 'halved-rounds', ballGrams: 50, thicknessMm: 2 },
    )
    expect(halves.doughGramsPerPiece).toBe(25)
    expect(halves.diameterMm).toBeCloseTo(whole.diameterMm, 1)
    expect(halves.pieces).toBe(2 * whole.pieces)
    expect(halves.closing).toBe('cone')
  })
})

describe('what is divided', () => {
  it('adds up: pieces, trimmings and rest are the dough that there was, whatever the way', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('balls', 'cut-sheet', 'stamped-pair', 'squares', 'halved-rounds' as const),
        fc.double({ min: 50, max: 160, noNaN: true }),
        fc.double({ min: 1.5, max: 6, noNaN: true }),
        fc.integer({ min: 0, max: 4 }),
        (method, diameterMm, thicknessMm, rerolls) => {
          const made = planOf(moons, {
            method: method as PiecePlan['method'],
            diameterMm,
            thicknessMm,
            rerolls,
            cookware: [],
          })
          const { dough } = made
          const sum = made.pieces * made.doughGramsPerPiece + dough.leftGrams + dough.wasteGrams
          // Grams a piece are rounded to a tenth for whoever reads them.
          expect(Math.abs(sum - dough.grams)).toBeLessThan(0.06 * made.pieces + 0.3)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('chooses the widest cutter that gives as many as the recipe says, where nothing else is known', () => {
    const made = planOf(moons, { method: 'cut-sheet' })
    expect(made).toMatchObject({ pieces: 20, runsOutFirst: null })
    expect(made.dough.pieces).toBeGreaterThanOrEqual(20)
    const wider = planOf(moons, {
      method: 'cut-sheet',
      diameterMm: made.diameterMm + 1,
      thicknessMm: made.thicknessMm,
    })
    expect(wider.pieces).toBeLessThan(20)
  })

  it('of a sheet wastes what cooks know, 3 to 8 % after two rollings of the trimmings', () => {
    const { dough, cuts, warnings } = planOf(moons, { method: 'cut-sheet', diameterMm: 90, thicknessMm: 2 })
    expect(cuts.length).toBe(3)
    expect(dough.wasteGrams / dough.grams).toBeLessThan(0.08)
    expect(warnings.join()).toMatch(/10 to 15 min/)
    const once = planOf(moons, { method: 'cut-sheet', diameterMm: 90, thicknessMm: 2, rerolls: 0 })
    expect(once.pieces).toBeLessThan(cuts.reduce((sum, cut) => sum + cut.pieces, 0))
    expect(once.warnings.join()).toMatch(/trimmings/)
  })

  it('says which runs out first, and how much more of it makes it even', () => {
    const made = planOf(moons, { method: 'balls', ballGrams: 30, thicknessMm: 2.5, fillingGramsPerPiece: 40 })
    // 751 g of dough are 25 pieces; 800 g of potato are 20.
    expect(made.dough.pieces).toBe(25)
    expect(made.fillings[0]).toMatchObject({ pieces: 20, planned: 20 })
    expect(made.pieces).toBe(20)
    expect(made.runsOutFirst).toBe(made.fillings[0]!.partId)
    const more = made.makeMore.find((one) => one.partId === made.fillings[0]!.partId)!
    expect(more.factor).toBeCloseTo((25 * 40) / 800, 2)
    expect(more.lines[0]!.grams).toBeCloseTo(800 * more.factor, 0)
    const even = planOf(moons, { method: 'balls', pieces: 20 })
    expect(even).toMatchObject({ pieces: 20, runsOutFirst: null, makeMore: [] })
    expect(even.fillings[0]!.leftGrams).toBe(0)
  })

  it('makes the dough go further where more pieces are wanted than it gives', () => {
    const made = planOf(moons, { method: 'balls', ballGrams: 40, pieces: 40, fillingGramsPerPiece: 20 })
    expect(made.runsOutFirst).toBe('dough')
    const shell = moons.parts.find((part) => part.kind === 'shell')!
    const more = made.makeMore.find((one) => one.partId === shell.id)!
    expect(more.lines).toHaveLength(3)
    expect(more.factor * made.dough.pieces).toBeCloseTo(40, 0)
  })

  it('shares several fillings out by their pieces', () => {
    const two = { ...moons, parts: [...moons.parts] }
    const filling = two.parts.find((part) => part.kind === 'filling')!
    two.parts.push({
      ...filling,
      id: 'second',
      name: 'Second',
      pieces: 5,
      lines: filling.lines.map((line) => ({ ...line, id: `${line.id}b`, grams: 200 })),
    })
    const { fillings } = planOf(two, { method: 'balls', pieces: 20 })
    expect(fillings.map((one) => one.planned)).toEqual([15, 5])
    expect(new Set(fillings.map((one) => one.mark)).size).toBe(2)
  })

  it('fills and cooks first what holds least, and says what to keep apart', () => {
    const two = { ...moons, parts: [...moons.parts] }
    const filling = two.parts.find((part) => part.kind === 'filling')!
    const cheese = { ...filling.lines[0]!, id: 'cheese', foodId: 'cheddar', grams: 300 }
    two.parts.unshift({ ...filling, id: 'cheesy', name: 'Cheese filling', lines: [cheese] })
    const { fillings, warnings } = planOf(two, { method: 'balls', pieces: 20 })
    expect(fillings.map((one) => one.turn)).toEqual([2, 1])
    expect(warnings.join()).toMatch(/the cheese filling brings milk/)
    expect(planOf(moons, { method: 'balls', pieces: 20 }).warnings.join()).not.toMatch(/brings/)
  })

  it('gives the recipe back when it is made twice and halved', () => {
    const twice = scaleRecipe(scaleRecipe(moons, 2), 0.5)
    expect(planOf(twice, { method: 'balls', pieces: 20 })).toEqual(
      planOf(moons, { method: 'balls', pieces: 20 }),
    )
  })
})

describe('in batches', () => {
  const fryer = { kind: 'fryer', diameterMm: 220, heightMm: 140, oilMl: 2000 } as const

  it('fries as many at once as the oil bears, and says how it rises and cools', () => {
    const [batch] = planOf(moons, { method: 'balls', pieces: 20, cookware: [fryer] }).batches
    expect(batch!.perBatch * 77).toBeLessThanOrEqual(250 + 77)
    expect(batch!.oilDropC).toBeLessThanOrEqual(20)
    expect(batch!.batches).toBe(Math.ceil(20 / batch!.perBatch))
    expect(batch!.warnings.join()).toMatch(/never put water on an oil fire/)
    const [frozen] = planOf(moons, { method: 'balls', pieces: 20, cookware: [fryer], startC: -18 }).batches
    expect(frozen!.perBatch).toBeLessThanOrEqual(batch!.perBatch)
    expect(frozen!.minutesEach).toBeGreaterThan(batch!.minutesEach)
  })

  it('refuses oil above half of the pot, with the figure', () => {
    const full = () => planOf(moons, { method: 'balls', pieces: 20, cookware: [{ ...fryer, oilMl: 4000 }] })
    expect(problemsOf(full)).toEqual(['plan.cookware[0].oilMl'])
    expect(full).toThrow(/105 mm high in a pot of 140 mm/)
  })

  it('refuses what holds not one piece, at its field', () => {
    expect(
      problemsOf(() =>
        planOf(moons, { method: 'balls', pieces: 4, cookware: [{ kind: 'steamer', diameterMm: 60 }] }),
      ),
    ).toEqual(['plan.cookware[0].diameterMm'])
    expect(
      problemsOf(() =>
        planOf(moons, {
          method: 'cut-sheet',
          diameterMm: 300,
          thicknessMm: 2,
          sheetWidthMm: 200,
          sheetLengthMm: 200,
        }),
      ),
    ).toEqual(['plan.sheetWidthMm'])
  })

  it('leaves yeast buns room to grow', () => {
    const buns = demo.find(({ recipe }) => recipe.shape === 'bun' && recipe.cooking.way === 'bake')!.recipe
    const tray = { kind: 'tray', widthMm: 400, lengthMm: 330 } as const
    const [batch] = planOf(buns, { method: 'balls', pieces: 12, cookware: [tray] }).batches
    const [close] = planOf(buns, { method: 'balls', pieces: 12, cookware: [{ ...tray, gapMm: 0 }] }).batches
    expect(batch!.perBatch).toBeLessThan(close!.perBatch)
    // All of a piece lies on the tray.
    for (const { xMm, yMm } of batch!.layout) {
      expect(Math.min(xMm, 400 - xMm)).toBeGreaterThan(batch!.pieceWidthMm / 2 - 0.1)
      expect(Math.min(yMm, 330 - yMm)).toBeGreaterThan(batch!.pieceLengthMm / 2 - 0.1)
    }
    for (const one of batch!.layout)
      for (const other of batch!.layout)
        if (one !== other)
          expect(Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm)).toBeGreaterThan(
            batch!.pieceWidthMm + 30,
          )
  })

  it('can be planned for every demo recipe in everything there is', () => {
    for (const { recipe } of demo)
      for (const kind of COOKWARE_KINDS) {
        const method = recipe.shape === 'lidded-pie' ? 'lined-dish' : 'balls'
        const made = planOf(recipe, {
          method,
          pieces: recipe.pieces,
          cookware: [{ kind, widthMm: 600, lengthMm: 600 }],
        })
        expect(made.batches[0]!.perBatch).toBeGreaterThan(0)
        const { batches, minutesEach, totalMinutes } = made.batches[0]!
        expect(batches).toBeGreaterThan(0)
        expect(totalMinutes).toBeGreaterThanOrEqual(minutesEach * batches * 0.5)
      }
  })
})

describe('what nobody means', () => {
  it('is refused before it is packed: thousands of pieces of a mistyped size', () => {
    const huge = {
      ...moons,
      parts: moons.parts.map((part) => ({
        ...part,
        lines: part.lines.map((line) => ({ ...line, grams: 40_000 })),
      })),
    }
    expect(problemsOf(() => planOf(huge, { method: 'cut-sheet', diameterMm: 5, thicknessMm: 1 }))).toEqual([
      'plan.diameterMm',
    ])
    expect(
      problemsOf(() => planOf(huge, { method: 'stamped-pair', ballGrams: 0.05, thicknessMm: 1 })),
    ).toEqual(['plan.ballGrams'])
    expect(
      problemsOf(() =>
        planOf(huge, {
          method: 'balls',
          ballGrams: 0.02,
          pieces: 900,
          fillingGramsPerPiece: 0,
          cookware: [{ kind: 'tray', widthMm: 2000, lengthMm: 2000, gapMm: 0 }],
        }),
      ),
    ).toEqual(['plan.cookware[0].widthMm'])
  })

  it('rolls the dough no further than it goes, whatever the sheet', () => {
    const made = planOf(moons, {
      method: 'cut-sheet',
      diameterMm: 90,
      thicknessMm: 2,
      sheetWidthMm: 600,
      sheetLengthMm: 4000,
    })
    expect(made.cuts[0]!.widthMm * made.cuts[0]!.lengthMm * 2).toBeLessThan((made.dough.grams / 1.1) * 1000)
    expect(made.dough.leftGrams).toBe(0)
  })

  it('gives no piece and no batch where there is too little dough for one', () => {
    const made = planOf(moons, { method: 'balls', ballGrams: 5000, diameterMm: 900 })
    expect(made).toMatchObject({ pieces: 0, batches: [], cuts: [] })
  })

  it('never gives a number that is none, whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.record(
          {
            method: fc.constantFrom(...MAKING_METHODS),
            pieces: fc.integer({ min: 1, max: 1000 }),
            ballGrams: fc.double({ min: 0.01, max: 50_000, noNaN: true }),
            thicknessMm: fc.double({ min: 0.01, max: 100, noNaN: true }),
            diameterMm: fc.double({ min: 0.5, max: 1000, noNaN: true }),
            sheetWidthMm: fc.double({ min: 0.5, max: 5000, noNaN: true }),
            sheetLengthMm: fc.double({ min: 0.5, max: 5000, noNaN: true }),
            rerolls: fc.integer({ min: 0, max: 6 }),
            fillingGramsPerPiece: fc.double({ min: 0, max: 50_000, noNaN: true }),
            cookware: fc.array(
              fc.record({
                kind: fc.constantFrom(...COOKWARE_KINDS),
                diameterMm: fc.double({ min: 1, max: 2000, noNaN: true }),
                oilMl: fc.double({ min: 1, max: 50_000, noNaN: true }),
              }),
              { maxLength: 2 },
            ),
          },
          { requiredKeys: ['method'] },
        ),
        (plan) => {
          let made: PlannedPieces | null = null
          problemsOf(() => (made = planOf(moons, plan)))
          const numbers = JSON.stringify(made).match(/:null/g) ?? []
          // JSON writes what is no number as null; these are null by right.
          const rightly =
            JSON.stringify(made).match(
              /"(?:dishHeightMm|runsOutFirst|mark|widthMm|lengthMm|diameterMm)":null/g,
            ) ?? []
          expect(numbers.length).toBe(rightly.length)
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('without a recipe', () => {
  it('answers what a sheet and a cutter give', () => {
    const made = planOf(null, {
      method: 'cut-sheet',
      diameterMm: 50,
      thicknessMm: 2,
      sheetWidthMm: 300,
      sheetLengthMm: 310,
      rerolls: 0,
    })
    expect(made.cuts).toHaveLength(1)
    expect(made.pieces).toBe(39)
    expect(made.cuts[0]).toMatchObject({ pattern: 'hexagonal' })
    expect(made.fillings).toEqual([])
    expect(made.batches).toEqual([])
  })

  it('asks for what is missing at its field', () => {
    expect(problemsOf(() => planOf(null, { method: 'cut-sheet' }))).toEqual(['plan.diameterMm'])
    expect(problemsOf(() => planOf(null, { method: 'cut-sheet', diameterMm: 80 }))).toEqual([
      'plan.sheetWidthMm',
    ])
    expect(problemsOf(() => planOf(null, { method: 'rope' }))).toEqual(['plan.ballGrams'])
  })

  it('gives each rope its share of the dough where the text says only how wide and how thick it is', () => {
    const fact = (kind: 'cutter-cm' | 'thickness-mm', value: number) => ({
      kind,
      low: value,
      high: value,
      partId: null,
      text: '',
    })
    const coils = {
      ...moons,
      shape: 'coil' as const,
      facts: [fact('cutter-cm', 10), fact('thickness-mm', 3)],
    }
    const made = planOf(coils, { method: 'rope' })
    expect(made.pieces).toBe(20)
    expect(made.doughGramsPerPiece).toBeGreaterThan(25)
    expect(made.doughGramsPerPiece).toBeLessThan(38)
  })
})

describe('two cookings', () => {
  const twice = (andThen: object) => {
    const base = recipeOf(
      {
        shell: [
          ['plain-flour', 500],
          ['water', 250],
        ],
        filling: [['potato', 400]],
      },
      { pieces: 30, way: 'boil' },
    )
    const recipe = {
      ...base,
      cooking: {
        ...base.cooking,
        minutes: 5,
        andThen: { temperatureC: null, minutes: 6, ...andThen } as never,
      },
    }
    return planPieces(recipe, evaluate(recipe, reference), { method: 'balls' }, reference).batches
  }
  it('are a pot and then a pan, each with its own batches', () => {
    const batches = twice({ way: 'shallow-fry' })
    expect(batches.map(({ kind }) => kind)).toEqual(['pot', 'pan'])
    for (const batch of batches) expect(batch.perBatch * batch.batches).toBeGreaterThanOrEqual(30)
  })
  it('of one way are one, as long as both', () => {
    const [pot, ...others] = twice({ way: 'boil' })
    const between = pot!.batches > 1 ? pot!.batches * pot!.minutesEach - pot!.totalMinutes : 0
    expect(others).toEqual([])
    expect(pot!.minutesEach - between).toBeCloseTo(11, 1)
  })
})

it('marks the fillings of one dough, and nothing where there is one', () => {
  expect(marksOf([{ name: 'a' }])).toEqual([])
  expect(new Set(marksOf([{ name: 'a' }, { name: 'b' }, { name: 'c' }]).map(({ mark }) => mark)).size).toBe(3)
})

it('finishes what is par-cooked in half the time, hot through', () => {
  const recipe = recipeOf(
    {
      shell: [
        ['plain-flour', 500],
        ['water', 250],
      ],
      filling: [['potato', 400]],
    },
    { pieces: 12 },
  )
  const plan = (parCooked: boolean) =>
    planPieces(recipe, evaluate(recipe, reference), { method: 'balls', parCooked, startC: 5 }, reference)
      .batches[0]!
  const own = (batch: PlannedPieces['batches'][number]) =>
    batch.batches > 1
      ? batch.minutesEach - (batch.batches * batch.minutesEach - batch.totalMinutes)
      : batch.totalMinutes
  expect(own(plan(true))).toBeCloseTo(own(plan(false)) / 2, 1)
  expect(plan(true).warnings.join()).toContain('74 °C')
})
