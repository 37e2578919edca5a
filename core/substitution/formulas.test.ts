import { describe, expect, it } from 'vitest'
import rows from '../../data/formulas.csv'
import { foods, reference, recipeOf } from '../../test/helpers'
import { foodAgainstDiet } from '../diet/diets'
import { DOUGH_FAMILIES, type DoughFamily } from '../dough/family'
import { isFlour } from '../food/groups'
import { lacksAnew } from '../dough/abilities'
import { evaluate } from '../evaluation/evaluate'
import type { Food } from '../food/food'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import type { CookingWay, Shape } from '../recipe/vocabulary'
import { applyFormula } from './applyFormula'
import { formulasFromRows, PURPOSES, type Formula } from './formulas'

/** A dough of each family as it is usually made of wheat, for what it is usually made. Common practice, no source. */
const WHEAT: Readonly<Record<Exclude<DoughFamily, 'bought'>, readonly (readonly [string, number])[]>> = {
  short: [
    ['plain-flour', 300],
    ['butter', 150],
    ['water', 65],
    ['salt', 4],
  ],
  flaky: [
    ['plain-flour', 300],
    ['butter', 230],
    ['water', 130],
    ['salt', 5],
  ],
  yeast: [
    ['strong-flour', 500],
    ['milk', 270],
    ['egg', 50],
    ['butter', 50],
    ['sugar', 25],
    ['instant-yeast', 7],
    ['salt', 8],
  ],
  firm: [
    ['plain-flour', 300],
    ['water', 150],
    ['salt', 3],
  ],
  fried: [
    ['plain-flour', 300],
    ['lard', 45],
    ['water', 130],
    ['salt', 5],
  ],
  griddle: [
    ['plain-flour', 300],
    ['water', 185],
    ['salt', 4],
  ],
  stretched: [
    ['strong-flour', 400],
    ['water', 215],
    ['olive-oil', 20],
    ['salt', 6],
  ],
  scalded: [
    ['rice-flour~scalded', 200],
    ['tapioca-starch~scalded', 60],
    ['water', 300],
  ],
  yogurt: [
    ['plain-flour', 300],
    ['yogurt', 215],
    ['baking-powder', 6],
    ['salt', 4],
  ],
}
const WAYS: Readonly<Record<keyof typeof WHEAT, readonly CookingWay[]>> = {
  short: ['bake'],
  flaky: ['bake'],
  yeast: ['bake', 'steam', 'deep-fry', 'griddle'],
  firm: ['boil', 'steam', 'brown-and-steam', 'bake'],
  fried: ['deep-fry', 'shallow-fry'],
  griddle: ['griddle'],
  stretched: ['bake'],
  scalded: ['steam', 'boil'],
  yogurt: ['griddle', 'bake'],
}
const SHAPES_OF: Readonly<Record<keyof typeof WHEAT, readonly Shape[]>> = {
  short: ['half-moon', 'lidded-pie'],
  flaky: ['half-moon'],
  yeast: ['bun', 'disc'],
  firm: ['half-moon', 'pleated'],
  fried: ['half-moon', 'cone'],
  griddle: ['disc'],
  stretched: ['coil'],
  scalded: ['half-moon'],
  yogurt: ['disc'],
}
const madeOf = (family: keyof typeof WHEAT, way: CookingWay, shape: Shape): Recipe => ({
  ...recipeOf({ shell: WHEAT[family], filling: [['leek', 400]] }, { way, pieces: 12 }),
  shape,
})

interface Case {
  formula: Formula
  family: keyof typeof WHEAT
  way: CookingWay
  shape: Shape
}
const cases: Case[] = reference.formulas.flatMap((formula) =>
  formula.families.flatMap((family) =>
    family === 'bought'
      ? []
      : WAYS[family]
          .filter((way) => formula.ways === null || formula.ways.includes(way))
          .flatMap((way) =>
            SHAPES_OF[family]
              .filter((shape) => formula.closings === null || formula.closings.includes(shape))
              .map((shape) => ({ formula, family, way, shape })),
          ),
  ),
)
const named = cases.map(
  (one) => [`${one.formula.id} as ${one.family}, ${one.shape}, ${one.way}`, one] as const,
)
const any = { fits: () => true, sweet: true }
const apply = ({ formula, family, way, shape }: Case) => {
  const recipe = madeOf(family, way, shape)
  const before = evaluate(recipe, reference)
  return {
    recipe,
    before,
    made: applyFormula(recipe, formula, foods, {
      ...any,
      sweet: !formula.serves.includes('keto'),
      target: before.dough.softness,
    })!,
  }
}
const flourGrams = (recipe: Recipe) =>
  allLines(recipe).reduce((sum, { part, line }) => {
    const food = foods.get(line.foodId!)!
    return sum + (part.kind === 'shell' && isFlour(food) ? line.grams! : 0)
  }, 0)

describe('the formulas', () => {
  it('are sixty and more, for every family that is made and every purpose', () => {
    expect(reference.formulas.length).toBeGreaterThanOrEqual(60)
    const families = new Set(reference.formulas.flatMap((one) => one.families))
    // Scalded doughs have no gluten to begin with; bought ones are bought.
    for (const family of DOUGH_FAMILIES) if (family !== 'bought') expect(families, family).toContain(family)
    const served = new Set(reference.formulas.flatMap((one) => one.serves))
    for (const purpose of PURPOSES) if (purpose !== 'leaving-out') expect(served, purpose).toContain(purpose)
  })

  it.each(reference.formulas.map((one) => [one.id, one] as const))(
    '%s: its flours are 100, its source is named',
    (_, one) => {
      const flours = one.shares
        .filter(({ of }) => of === 'flour:own' || (foods.has(of) && isFlour(foods.get(of)!)))
        .reduce((sum, { pct }) => sum + pct, 0)
      expect(flours).toBeCloseTo(100, 6)
      expect(one.source.length).toBeGreaterThan(10)
      expect(one.method.length).toBeGreaterThan(10)
      for (const way of one.ways ?? []) if (one.water) expect(one.cooking[way], way).toBeTruthy()
    },
  )

  it.each(
    reference.formulas.flatMap((one) =>
      (
        [
          ['gluten-free', 'gluten-free'],
          ['vegan', 'vegan'],
        ] as const
      )
        .filter(([purpose]) => one.serves.includes(purpose))
        .map(([, diet]) => [one.id, diet, one] as const),
    ),
  )('%s keeps what it serves: %s', (_, id, one) => {
    const diet = reference.diets.find((own) => own.id === id)!
    for (const { of } of one.shares) {
      const food = foods.get(of)
      if (food) expect(foodAgainstDiet(food, diet).breaks, food.name).toEqual([])
    }
  })

  it('refuse what is not understood, and say which', () => {
    const row = rows[0]!
    for (const [wrong, says] of [
      [{ ...row, of: 'moon-dust=100' }, /moon-dust/],
      [{ ...row, of: 'rice-flour=much' }, /much/],
      [{ ...row, of: 'rice-flour=100(20-40)' }, /outside 20 to 40/],
      [{ ...row, families: 'cloudy' }, /cloudy/],
      [{ ...row, cooking: 'sing: loudly' }, /sing/],
      [{ ...row, likeness: '2' }, /likeness/],
      [{ ...row, source: '' }, /source/],
    ] as const)
      expect(() => formulasFromRows([wrong], foods)).toThrow(says)
  })
})

describe('a dough made by a formula', () => {
  it.each(named)('%s weighs what it did, and lands where its family needs it', (_, one) => {
    const { before, made } = apply(one)
    const after = evaluate(made.recipe, reference)
    // Mass balance, to what a kitchen weighs.
    expect(after.dough.grams / before.dough.grams).toBeGreaterThan(0.98)
    expect(after.dough.grams / before.dough.grams).toBeLessThan(1.02)
    // No lack for its shape and way that the wheat dough did not have.
    expect(
      lacksAnew(before, after).map(({ text }) => text),
      `softness ${after.dough.softness?.toFixed(2)}, holds ${after.abilities.strength?.toFixed(2)}`,
    ).toEqual([])
    if (after.dough.softness !== null) {
      expect(after.dough.softness).toBeGreaterThan(0.27)
      expect(after.dough.softness).toBeLessThan(1.2)
    }
  })

  it.each(named)('%s keeps every share within its range', (_, one) => {
    const { made } = apply(one)
    const flours = flourGrams(made.recipe)
    const shell = made.recipe.parts.find((part) => part.kind === 'shell')!
    for (const share of one.formula.shares) {
      if (!foods.has(share.of)) continue
      const grams = shell.lines
        .filter((line) => line.foodId === share.of)
        .reduce((sum, line) => sum + line.grams!, 0)
      // What raises it may be the recipe's own.
      if (foods.get(share.of)!.group === 'leavening' && one.formula.leaven) continue
      const pct = (100 * grams) / flours
      // Whole grams: half a gram of a small amount is some percent of it.
      const step = (100 * 0.6) / flours
      expect(pct, share.of).toBeGreaterThanOrEqual(share.low - step - 0.02 * share.low)
      expect(pct, share.of).toBeLessThanOrEqual(share.high + step + 0.02 * share.high)
    }
  })

  it('keeps salt and spice, and the sugar unless it has no place', () => {
    const bun = madeOf('yeast', 'bake', 'bun')
    const formula = reference.formulas.find((one) => one.id === 'gf-bun-baked')!
    const make = (sweet: boolean) =>
      applyFormula(bun, formula, foods, { fits: () => true, target: 0.83, sweet })!.recipe.parts[0]!.lines
    const grams = (lines: ReturnType<typeof make>, id: string) =>
      lines.find((line) => line.foodId === id)?.grams
    expect(grams(make(true), 'salt')).toBe(8)
    expect(grams(make(true), 'instant-yeast')).toBe(7)
    expect(grams(make(true), 'sugar')).toBe(25)
    expect(grams(make(false), 'sugar')).toBeUndefined()
    expect(grams(make(true), 'butter')).toBeGreaterThan(10)
  })

  it('takes another fat where the recipe’s own may not come in, and none where nothing fits', () => {
    const pie = madeOf('short', 'bake', 'half-moon')
    const formula = reference.formulas.find((one) => one.id === 'gf-short-plain')!
    const noDairy = (food: Food) => !food.origins.includes('dairy')
    const made = applyFormula(pie, formula, foods, { fits: noDairy, target: 0.55, sweet: true })!
    const fats = made.recipe.parts[0]!.lines.map((line) => foods.get(line.foodId!)!).filter(
      (food) => food.softeningFat,
    )
    expect(fats.map((food) => [food.softeningFat, food.origins])).toEqual([['solid', []]])
    const noRice = (food: Food) => food.id !== 'rice-flour'
    expect(applyFormula(pie, formula, foods, { fits: noRice, target: 0.55, sweet: true })).toBeNull()
  })

  it('scalds what it says and nothing else', () => {
    const cone = madeOf('fried', 'deep-fry', 'cone')
    const formula = reference.formulas.find((one) => one.id === 'gf-fried-cone')!
    const { recipe } = applyFormula(cone, formula, foods, { ...any, target: 0.68 })!
    const scalded = recipe.parts[0]!.lines.filter((line) => line.prep.includes('scalded')).map(
      (line) => line.foodId,
    )
    expect(scalded).toEqual(['rice-flour'])
  })
})

describe('a dough that was made with milk', () => {
  const enriched = recipeOf(
    {
      shell: [
        ['strong-flour', 500],
        ['milk', 260],
        ['butter', 60],
        ['instant-yeast', 7],
        ['salt', 8],
      ],
    },
    { way: 'bake' },
  )
  const bun = reference.formulas.find(({ id }) => id === 'gf-bun-baked')!
  const made = (fits: (food: Food) => boolean) =>
    applyFormula(enriched, bun, foods, { fits, target: null, sweet: true })!.recipe.parts[0]!.lines
  const gramsOf = (lines: readonly { foodId: string | null; grams: number | null }[], id: string) =>
    lines.find(({ foodId }) => foodId === id)?.grams ?? 0

  it('is wetted by it first, as heavy as it was, and with water where milk does not fit', () => {
    const own = made(() => true)
    const other = made((food) => food.id !== 'milk')
    expect(gramsOf(own, 'milk')).toBe(260)
    expect(gramsOf(other, 'milk')).toBe(0)
    expect(gramsOf(other, 'water')).toBeGreaterThan(gramsOf(own, 'water') + 200)
    for (const lines of [own, other])
      expect(Math.abs(lines.reduce((sum, { grams }) => sum + grams!, 0) / 835 - 1)).toBeLessThan(0.02)
  })

  it('is scalded with water alone: milk is no boiling water', () => {
    const scalding = reference.formulas.filter(({ scald, water }) => scald?.length !== 0 && water !== null)
    expect(scalding.length).toBeGreaterThan(0)
    for (const formula of scalding) {
      const reformed = applyFormula(enriched, formula, foods, { fits: () => true, target: null, sweet: true })
      if (reformed) expect(gramsOf(reformed.recipe.parts[0]!.lines, 'milk'), formula.id).toBe(0)
    }
  })
})
