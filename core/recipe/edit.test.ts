import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import type { Recipe } from './document'
import { allLines } from './lines'
import {
  addStep,
  leaveOut,
  movePartLine,
  nudgeLine,
  nudgePart,
  nudgeStep,
  putBack,
  removePart,
  setCooking,
  setCount,
  setPartKind,
  setStep,
  setWay,
  takeChoice,
} from './edit'
import { factorFor, roundedBy, scalePart, scaleRecipe } from './scale'
import { recipeSchema } from './schema'
import { upgradeRecipe } from './upgrade'

const recipe = readRecipe(
  `Pies
Makes 12, serves 6

Dough
400 g flour
200 g lard or butter
water as needed

Filling
500 g leeks
100 g walnuts (optional)
salt to taste

To finish
1 egg

Method
1. Rub, bind, chill.
2. Fill and fold.
3. Bake at 200 °C for 25 minutes.`,
  foods,
).recipe
const raws = (one: Recipe) => allLines(one).map(({ line }) => line.raw)
const find = (one: Recipe, raw: string) => allLines(one).find(({ line }) => line.raw === raw)!

describe('putting a reading right', () => {
  it('moves a line to another part, and up and down past its ends', () => {
    const leeks = find(recipe, '500 g leeks').line.id
    const finish = recipe.parts.find((part) => part.kind === 'finish')!.id
    expect(find(movePartLine(recipe, leeks, finish), '500 g leeks').part.kind).toBe('finish')
    expect(find(movePartLine(recipe, leeks, finish, 0), '500 g leeks').part.lines[0]!.id).toBe(leeks)
    // The first of the filling goes up into the dough, and down again.
    const up = nudgeLine(recipe, leeks, -1)
    expect(find(up, '500 g leeks').part.kind).toBe('shell')
    expect(raws(nudgeLine(up, leeks, 1))).toEqual(raws(recipe))
    expect(movePartLine(recipe, leeks, 'nowhere')).toBe(recipe)
  })

  it('loses no line, whatever is moved where', () => {
    const ids = allLines(recipe).map(({ line }) => line.id)
    const parts = recipe.parts.map((part) => part.id)
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...parts), fc.integer({ min: 0, max: 9 })),
          { maxLength: 12 },
        ),
        (moves) => {
          const moved = moves.reduce((sum, [line, part, at]) => movePartLine(sum, line, part, at), recipe)
          expect(raws(moved).sort()).toEqual(raws(recipe).sort())
        },
      ),
    )
  })

  it('takes an alternative and gives the first back', () => {
    const lard = find(recipe, '200 g lard or butter').line
    expect(lard.choices.map((choice) => choice.foodId)).toEqual(['butter'])
    const butter = takeChoice(recipe, lard.id, 0)
    expect(find(butter, '200 g lard or butter').line).toMatchObject({
      id: lard.id,
      foodId: 'butter',
      grams: 200,
    })
    expect(evaluate(butter, reference).allergens).toContain('Milk')
    const back = find(takeChoice(butter, lard.id, 0), '200 g lard or butter').line
    expect(back).toMatchObject({ foodId: 'lard', grams: 200 })
  })

  it('leaves an optional line out of every figure and puts it back', () => {
    const nuts = find(recipe, '100 g walnuts (optional)').line
    expect(nuts.optional).toBe(true)
    const without = leaveOut(recipe, nuts.id)
    expect(evaluate(recipe, reference).allergens).toContain('Nuts')
    expect(evaluate(without, reference).allergens).not.toContain('Nuts')
    expect(evaluate(without, reference).complete).toBe(true)
    expect(raws(putBack(without, nuts.id)).sort()).toEqual(raws(recipe).sort())
    expect(recipeSchema.parse(without)).toEqual(without)
  })

  it('changes kind, order and being of parts', () => {
    const filling = recipe.parts.find((part) => part.kind === 'filling')!
    expect(setPartKind(recipe, filling.id, 'dip').parts.find((part) => part.id === filling.id)?.kind).toBe(
      'dip',
    )
    expect(nudgePart(recipe, filling.id, -1).parts[0]!.id).toBe(filling.id)
    expect(nudgePart(recipe, recipe.parts[0]!.id, -1)).toBe(recipe)
    expect(removePart(recipe, filling.id).parts).toHaveLength(recipe.parts.length - 1)
  })

  it('writes, adds, moves and takes out steps', () => {
    expect(setStep(recipe, 0, 'Rub in the fat.').method[0]).toBe('Rub in the fat.')
    expect(setStep(recipe, 1, '  ').method).toHaveLength(2)
    expect(addStep(recipe, 'Rest 5 minutes.').method.at(-1)).toBe('Rest 5 minutes.')
    expect(nudgeStep(recipe, 2, -1).method[1]).toMatch(/^Bake/)
    expect(nudgeStep(recipe, 0, -1)).toBe(recipe)
  })

  it('sets heat, time, a second cooking and counts, and drops the doubts they settle', () => {
    const cooked = setCooking(setWay(recipe, 'bake'), {
      temperatureC: 210,
      minutes: 12,
      andThen: { way: 'bake', temperatureC: 180, minutes: 20 },
    })
    expect(cooked.cooking).toMatchObject({ temperatureC: 210, minutes: 12, andThen: { temperatureC: 180 } })
    const counted = setCount({ ...recipe, servingsStated: false }, 'servings', 5)
    expect(counted).toMatchObject({ servings: 5, servingsStated: true })
  })
})

describe('scaling', () => {
  it('multiplies every weight and leaves the piece as it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (pieces) => {
        const scaled = scaleRecipe(recipe, factorFor(recipe, { pieces }))
        expect(scaled.pieces).toBe(pieces)
        const [before, after] = [evaluate(recipe, reference), evaluate(scaled, reference)]
        expect(after.perPiece.energyKcal).toBeCloseTo(before.perPiece.energyKcal, 6)
        expect(after.perPiece.grams).toBeCloseTo(before.perPiece.grams, 6)
        expect(after.dough.softness).toBeCloseTo(before.dough.softness!, 9)
      }),
      { numRuns: 30 },
    )
  })

  it('makes more of one part as a kitchen can weigh it, with its eggs whole, and leaves the others', () => {
    const recipe = recipeOf({
      shell: [
        ['plain-flour', 500],
        ['egg', 50],
        ['salt', 7],
      ],
      filling: [['leek', 300]],
    })
    const shell = recipe.parts.find((part) => part.kind === 'shell')!
    const made = scalePart(recipe, shell.id, 1.37, (line) => (line.foodId === 'egg' ? 50 : undefined))
    const grams = made.parts.find((part) => part.id === shell.id)!.lines.map((line) => line.grams)
    expect(grams).toEqual([685, 50, 9.6])
    expect(made.parts.filter((part) => part.id !== shell.id)).toEqual(
      recipe.parts.filter((part) => part.id !== shell.id),
    )
    expect(made.pieces).toBe(recipe.pieces)
  })

  it('comes back to where it was', () => {
    const there = scaleRecipe(scaleRecipe(recipe, 3), 1 / 3)
    allLines(there).forEach(({ line }, at) =>
      expect(line.grams).toBeCloseTo(allLines(recipe)[at]!.line.grams!, 9),
    )
    const felt = (one: Recipe) => find(one, 'water as needed').line.toFeel!
    expect(felt(scaleRecipe(recipe, 2)).lowGrams).toBe(felt(recipe).lowGrams * 2)
  })

  it('is asked for as cooks ask: by pieces, by what there is, by halves', () => {
    expect(factorFor(recipe, { pieces: 24 })).toBe(2)
    expect(factorFor(recipe, { lineId: find(recipe, '500 g leeks').line.id, grams: 400 })).toBeCloseTo(0.8, 9)
    expect(factorFor(recipe, { factor: 0.5 })).toBe(0.5)
    expect(() => factorFor(recipe, { lineId: 'none', grams: 400 })).toThrow(RangeError)
    expect(() => factorFor(recipe, { pieces: 0 })).toThrow(RangeError)
  })
})

describe('documents of older programs', () => {
  it('get the fields that came later, once, and keep everything else', () => {
    const older = JSON.parse(JSON.stringify(recipe)) as Record<string, unknown> & {
      parts: Record<string, unknown>[]
    }
    // What the program of that day did not write.
    const without = (one: Record<string, unknown>, keys: readonly string[]) =>
      Object.fromEntries(Object.entries(one).filter(([key]) => !keys.includes(key)))
    const old = {
      ...without(older, ['facts', 'piecesStated']),
      parts: older.parts.map((part) => ({
        ...without(part, ['into', 'setAside', 'untilDry', 'cookedMinutes', 'usedGrams', 'unsure']),
        lines: (part.lines as Record<string, unknown>[]).map((line) =>
          without(line, ['choices', 'toFeel', 'cookedBy', 'componentId']),
        ),
      })),
    }
    const upgraded = upgradeRecipe(old as never)
    expect(recipeSchema.parse(upgraded)).toEqual(upgraded)
    expect(upgradeRecipe(upgraded)).toEqual(upgraded)
    expect(evaluate(upgraded, reference).perPiece).toEqual(
      evaluate({ ...recipe, facts: [] }, reference).perPiece,
    )
    expect(upgraded.piecesStated).toBe(true)
    expect(
      upgradeRecipe({
        ...upgraded,
        servingsStated: undefined,
        notes: [{ code: 'servings-assumed', level: 'check', text: 'x' }],
      } as never).servingsStated,
    ).toBe(false)
  })
})

it('says what scaling a part rounded, and nothing of what came out exact', () => {
  const recipe = recipeOf({
    shell: [
      ['plain-flour', 500],
      ['egg', 100],
      ['salt', 9],
    ],
    filling: [['leek', 300]],
  })
  const shell = recipe.parts[0]!
  const eggs = (line: { foodId: string | null }) => (line.foodId === 'egg' ? 50 : undefined)
  const made = scalePart(recipe, shell.id, 1.2, eggs)
  expect(roundedBy(recipe, made, shell.id, 1.2, eggs)).toEqual([
    'egg: 100 g instead of 120 g, so that eggs stay whole',
  ])
  const doubled = scalePart(recipe, shell.id, 2, eggs)
  expect(roundedBy(recipe, doubled, shell.id, 2, eggs)).toEqual([])
})
