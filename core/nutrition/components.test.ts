import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reference, foods } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import { editPart, replaceComponent, setPartInto } from '../recipe/edit'
import type { Recipe } from '../recipe/document'

const BUNS = `Seitan buns
Makes 10, serves 5

For the seitan
150 g vital wheat gluten
150 ml vegetable stock

For the dough
400 g plain flour
220 g water
7 g instant yeast

For the filling
the seitan, diced
250 g mushrooms
1 tbsp oil

Method
Dough: knead 8 minutes, rise 1 hour.
Fill and close. Steam 12 minutes.`
const buns = readRecipe(BUNS, foods).recipe
const component = (recipe: Recipe) => recipe.parts.find((part) => part.into !== null)!

describe('a recipe within a recipe', () => {
  it('goes into the part that names it, with a line that stands for it', () => {
    const filling = buns.parts.find((part) => part.kind === 'filling' && part.into === null)!
    expect(component(buns)).toMatchObject({
      name: 'For the seitan',
      kind: 'filling',
      into: filling.id,
      pieces: null,
    })
    expect(filling.lines[0]).toMatchObject({
      raw: 'the seitan, diced',
      componentId: component(buns).id,
      foodId: null,
    })
  })

  it('brings its figures to the piece, and its gluten not to the dough', () => {
    const evaluation = evaluate(buns, reference)
    const without = evaluate(
      {
        ...buns,
        parts: buns.parts
          .filter((part) => part.into === null)
          .map((part) => ({ ...part, lines: part.lines.filter((line) => line.componentId === null) })),
      },
      reference,
    )
    expect(evaluation.dough).toEqual(without.dough)
    expect(evaluation.abilities.strength).toBe(without.abilities.strength)
    expect(evaluation.complete).toBe(true)
    const gluten = foods.get('vital-wheat-gluten')!.per100g.proteinG * 1.5
    const stock = foods.get('vegetable-stock')!.per100g.proteinG * 1.5
    expect((evaluation.perPiece.proteinG - without.perPiece.proteinG) * 10).toBeCloseTo(gluten + stock, 6)
    // Together they are one filling, not two that share the pieces.
    expect(evaluation.fillings).toEqual([])
    expect(evaluation.allergens).toContain('Cereals containing gluten')
  })

  it('balances to the gram, whatever of it is used', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 20, max: 280 }),
        (usedGrams, finishedGrams) => {
          const recipe = editPart(buns, component(buns).id, (part) => ({ ...part, usedGrams, finishedGrams }))
          const { balance } = evaluate(recipe, reference).asEaten
          const sum = (rows: { grams: number }[]) => rows.reduce((total, row) => total + row.grams, 0)
          expect(balance.madeGrams + sum(balance.gained)).toBeCloseTo(
            balance.eatenGrams + sum(balance.left) + sum(balance.lost),
            1,
          )
        },
      ),
      { numRuns: 60 },
    )
  })

  it('counts half of it when half is used', () => {
    const whole = evaluate(
      editPart(buns, component(buns).id, (part) => ({ ...part, finishedGrams: 300 })),
      reference,
    )
    const half = evaluate(
      editPart(buns, component(buns).id, (part) => ({ ...part, finishedGrams: 300, usedGrams: 150 })),
      reference,
    )
    const part = (evaluation: typeof whole) => evaluation.parts.find((one) => one.into !== null)!
    expect(part(half).grams).toBeCloseTo(part(whole).grams / 2, 9)
    expect(part(half).perPiece.proteinG).toBeCloseTo(part(whole).perPiece.proteinG / 2, 9)
  })

  it('can be bought instead: its line carries the food, its own lines go', () => {
    const bought = replaceComponent(buns, component(buns).id, { id: 'seitan', name: 'Seitan' }, 280)
    expect(bought.parts.some((part) => part.into !== null)).toBe(false)
    expect(bought.parts.flatMap((part) => part.lines).find((line) => line.foodId === 'seitan')).toMatchObject(
      { grams: 280, componentId: null },
    )
    expect(evaluate(bought, reference).complete).toBe(true)
  })

  it('can be made a part of the piece again; then nothing stands for it', () => {
    const apart = setPartInto(buns, component(buns).id, null)
    expect(
      apart.parts.every(
        (part) => part.into === null && part.lines.every((line) => line.componentId === null),
      ),
    ).toBe(true)
    expect(evaluate(apart, reference).fillings).toHaveLength(2)
  })

  it('is adapted like any other part', () => {
    const pie = readRecipe(
      'Pie\nMakes 8, serves 4\n\nDough\n300 g flour\n150 g margarine\n60 g water\n\nGravy\n40 g butter\n40 g flour\n400 ml milk\n\nFilling\nthe gravy\n300 g mushrooms\n\nMethod\nFill. Bake at 200C for 25 min.',
      foods,
    ).recipe
    const { recipe } = adapt(pie, ['vegan'], reference)
    const verdict = evaluate(recipe, reference).diets.find((one) => one.diet === 'vegan')
    expect(verdict?.verdict).toBe('fits')
    expect(
      recipe.parts
        .find((part) => part.into !== null)
        ?.lines.some((line) => line.foodId === 'butter' || line.foodId === 'milk'),
    ).toBe(false)
  })
})

describe('how fillings are cooked', () => {
  const filled = (filling: string, method: string) =>
    readRecipe(
      `Pockets\nMakes 10, serves 5\nDough\n500 g flour\n250 g water\n\nFilling\n${filling}\n\nMethod\n${method}\nFill, fold and bake at 190C for 25 minutes.`,
      foods,
    ).recipe
  const off = (recipe: Recipe) => evaluate(recipe, reference).filling.cookedOffGrams

  it('loses a tenth of a gravy that simmers ten minutes, not half of it', () => {
    const recipe = filled(
      '500 ml vegetable stock\n40 g flour',
      'Filling: whisk stock and flour and simmer for 10 minutes. Cool.',
    )
    expect(recipe.parts.find((part) => part.kind === 'filling')).toMatchObject({
      cookedBy: 'simmer',
      cookedMinutes: 10,
    })
    expect(off(recipe)).toBeGreaterThan(40)
    expect(off(recipe)).toBeLessThan(60)
    const long = filled(
      '500 ml vegetable stock\n40 g flour',
      'Filling: whisk stock and flour and simmer 90 minutes. Cool.',
    )
    expect(off(long)).toBeGreaterThan(250)
  })

  it('has no loose water when it was cooked until the water was gone', () => {
    const lines = '500 g mushrooms\n1 onion\n1 tbsp oil'
    const dry = filled(lines, 'Fry the mushrooms and onion in the oil until the water is gone. Cool.')
    const plain = filled(lines, 'Fry the mushrooms and onion in the oil for 3 minutes. Cool.')
    expect(dry.parts.find((part) => part.kind === 'filling')?.untilDry).toBe(true)
    expect(evaluate(dry, reference).filling.moisture.looseGrams).toBe(0)
    expect(evaluate(dry, reference).filling.cookedOffGrams).toBeGreaterThanOrEqual(
      evaluate(plain, reference).filling.cookedOffGrams,
    )
  })

  it('cooks what is in the pot and leaves raw what is stirred in cold', () => {
    const recipe = filled(
      '200 g onion\n400 g minced beef\n100 g feta\n1 tbsp oil',
      'Fry the onion in the oil for 10 minutes, add the beef and brown it. Cool, then stir in the feta.',
    )
    const filling = recipe.parts.find((part) => part.kind === 'filling')!
    expect(filling).toMatchObject({ cookedBy: 'fry', cookedMinutes: 10 })
    expect(filling.lines.find((line) => line.foodId === 'feta')?.cookedBy).toBe('raw')
    const raw = filled(
      '600 g minced beef\n100 g onion\n1 tbsp oil',
      'Fry the onion in the oil for 5 minutes. Cool and mix with the raw beef.',
    )
    expect(raw.parts.find((part) => part.kind === 'filling')).toMatchObject({ cookedBy: null })
    expect(
      raw.parts.find((part) => part.kind === 'filling')?.lines.find((line) => line.foodId === 'onion')
        ?.cookedBy,
    ).toBe('fry')
    // Only the onion has lost water: 38 % of 100 g by its yield.
    expect(off(raw)).toBeCloseTo(38, 0)
  })

  it('is not simmered by the water the pieces are boiled in', () => {
    const recipe = readRecipe(
      'Dumplings\nDough\n300 g flour\n150 g water\n\nFilling\n300 g minced pork\n200 g cabbage\n\nMethod\nMix the filling raw. Fill and pinch. Bring a pot of salted water to the boil and cook the dumplings until they float, 5 minutes.',
      foods,
    ).recipe
    expect(recipe.cooking).toMatchObject({ way: 'boil', minutes: 5 })
    expect(recipe.parts.find((part) => part.kind === 'filling')?.cookedBy).toBeNull()
  })
})

describe('two cookings in a row', () => {
  it('count as two for water and fat, and two temperatures of one oven as one', () => {
    const base = readRecipe(
      'Pierogi\nMakes 20, serves 4\nDough\n300 g flour\n150 g water\nFilling\n300 g quark\nTo fry\n3 tbsp oil\n\nMethod\nFill. Boil 3 minutes, then fry in the oil for 5 minutes.',
      foods,
    ).recipe
    expect(base.cooking).toMatchObject({ way: 'boil', andThen: { way: 'shallow-fry', minutes: 5 } })
    const both = evaluate(base, reference)
    const boiled = evaluate({ ...base, cooking: { ...base.cooking, andThen: null } }, reference)
    expect(both.asEaten.gramsPerPiece).toBeLessThan(boiled.asEaten.gramsPerPiece)
    expect(both.perPiece.fatG).toBeGreaterThan(boiled.perPiece.fatG)
    expect(both.cautions.some((caution) => caution.code === 'hot-oil')).toBe(true)
    expect(boiled.cautions.some((caution) => caution.code === 'hot-oil')).toBe(false)
    const oven: Recipe = { ...base, cooking: { ...base.cooking, way: 'bake', andThen: null } }
    const twice: Recipe = {
      ...oven,
      cooking: { ...oven.cooking, andThen: { way: 'bake', temperatureC: 180, minutes: 20 } },
    }
    expect(evaluate(twice, reference).asEaten.gramsPerPiece).toBeCloseTo(
      evaluate(oven, reference).asEaten.gramsPerPiece,
      9,
    )
  })
})

it('cannot tell what is asked of a serving while servings are a guess', () => {
  const recipe = readRecipe(
    'Pockets\nMakes 10\nDough\n300 g ground almonds\n3 eggs\nFilling\n300 g feta\nMethod\nFill, bake.',
    foods,
  ).recipe
  expect(recipe.servingsStated).toBe(false)
  const perServing = reference.diets.find((diet) => diet.targets.some((target) => target.per === 'serving'))!
  const verdict = (one: Recipe) => evaluate(one, reference).diets.find((diet) => diet.diet === perServing.id)!
  expect(verdict(recipe).verdict).toBe('cannot tell')
  expect(verdict(recipe).reasons.join()).toContain('servings is a guess')
  expect(verdict({ ...recipe, servingsStated: true }).reasons.join()).not.toContain('guess')
})
