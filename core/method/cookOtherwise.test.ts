import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import { allLines } from '../recipe/lines'
import { cookOtherwise } from './cookOtherwise'

const fried = recipeOf(
  {
    shell: [
      ['plain-flour', 300],
      ['lard', 60],
      ['water', 140],
    ],
    filling: [
      ['black-beans-cooked', 300],
      ['cheddar', 100],
    ],
    pan: [
      ['sunflower-oil', 900],
      ['lard', 50],
    ],
  },
  { way: 'deep-fry' },
)
const before = evaluate(fried, reference)

describe('cooked otherwise', () => {
  const made = cookOtherwise(fried, before, foods)!

  it('is baked, brushed with a little of the fat it was fried in, and other pan fat goes', () => {
    expect(made.recipe.cooking).toMatchObject({ way: 'bake', temperatureC: 190 })
    const pan = allLines(made.recipe).filter(({ part }) => part.kind === 'pan')
    expect(pan.map(({ line }) => line.foodId)).toEqual(['sunflower-oil'])
    expect(pan[0]!.line.grams).toBeLessThan(made.change.gramsBefore!)
    expect(pan[0]!.line.cameFrom).toMatchObject({ grams: 900, swapId: 'cooking' })
  })

  it('says with what, how hot and how long, and saves what the pan gave', () => {
    expect(made.change.to).toMatch(/^bake at 190 °C for about \d\d min$/)
    const after = evaluate(made.recipe, reference, before)
    const saved = (before.perPiece.fatG - after.perPiece.fatG) * fried.pieces
    expect(saved).toBeCloseTo(made.change.gramsBefore! - made.change.gramsAfter!, 0)
    expect(made.recipe.notes.at(-1)!.text).toMatch(/Instead of deep-fry: bake/)
  })

  it('takes longer for a larger piece', () => {
    const large = cookOtherwise({ ...fried, pieces: 5 }, evaluate({ ...fried, pieces: 5 }, reference), foods)!
    expect(large.recipe.cooking.minutes!).toBeGreaterThan(made.recipe.cooking.minutes!)
    expect(large.recipe.cooking.minutes!).toBeLessThanOrEqual(40)
  })

  it('is nothing for a baked piece, or one fried without fat', () => {
    const baked = { ...fried, cooking: { ...fried.cooking, way: 'bake' as const } }
    expect(cookOtherwise(baked, evaluate(baked, reference), foods)).toBeNull()
    const dry = recipeOf(
      {
        shell: [
          ['plain-flour', 300],
          ['water', 150],
        ],
      },
      { way: 'deep-fry' },
    )
    expect(cookOtherwise(dry, evaluate(dry, reference), foods)).toBeNull()
  })
})

describe('the nearest lighter recipe of a fried one', () => {
  it('may be the baked one, which is said as a change and beside it in the note', () => {
    const { changes, recipe, conflict, evaluation } = adapt(fried, ['less-fat'], reference)
    expect(conflict).toEqual([])
    expect(changes[0]).toMatchObject({ kind: 'cooking', from: 'deep-fry' })
    expect(recipe.cooking.way).toBe('bake')
    expect(evaluation.diets.find((one) => one.diet === 'less-fat')!.fits).toBe(true)
  })

  it('stays fried when the oil is locked, or another way of cooking counts as far', () => {
    const oil = allLines(fried).find(({ line }) => line.foodId === 'sunflower-oil')!.line.id
    const locked = adapt(fried, ['less-fat'], reference, { locks: { lineIds: [oil] } })
    expect(locked.recipe.cooking.way).toBe('deep-fry')
    const limit = 0.92 * before.perPiece.fatG
    const targets = [
      { figure: 'fatG', per: 'piece', comparison: 'at-most', limit, ofOriginal: false } as const,
    ]
    const wayWith = (cooking: number) =>
      adapt(fried, [], reference, { targets, weights: { cooking } }).recipe.cooking.way
    expect(wayWith(10)).toBe('deep-fry')
    expect(wayWith(0)).toBe('bake')
  })

  it('stays fried where neither energy nor fat is asked for', () => {
    expect(adapt(fried, ['high-protein'], reference).recipe.cooking.way).toBe('deep-fry')
  })
})
