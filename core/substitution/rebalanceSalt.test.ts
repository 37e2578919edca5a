import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { adviceOn } from '../method/advice'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { candidatesFor, madeAs } from './catalogue'
import { rebalanceSalt } from './rebalanceSalt'
import { swapLine } from './swapLine'

const shell = [
  ['plain-flour', 300],
  ['water', 150],
  ['salt', 6],
] as const
const sodiumOf = (recipe: Recipe, kind: string) =>
  allLines(recipe)
    .filter(({ part }) => part.kind === kind)
    .reduce((sum, { line }) => sum + (line.grams! * food(line.foodId!).per100g.sodiumMg) / 100, 0)
const saltIn = (recipe: Recipe, kind: string) =>
  allLines(recipe)
    .filter(({ part, line }) => part.kind === kind && line.foodId === 'salt')
    .reduce((sum, { line }) => sum + line.grams!, 0)

describe('salt after a swap', () => {
  const pork = recipeOf({
    shell,
    filling: [
      ['minced-pork', 300],
      ['salt', 5],
    ],
  })
  const lineId = pork.parts[1]!.lines[0]!.id
  const swapTo = (id: string) =>
    swapLine(
      pork,
      lineId,
      reference.swaps.find((swap) => swap.id === id)!,
      foods,
    )!

  it('is taken out of the filling as far as the stand-in carries some, with the reason', () => {
    const { recipe, changes } = swapTo('mince-soya-home')
    expect(saltIn(recipe, 'filling')).toBeLessThan(4)
    expect(Math.abs(sodiumOf(recipe, 'filling') - sodiumOf(pork, 'filling'))).toBeLessThan(30)
    const salt = changes.find((change) => change.swapId === 'salt')!
    expect(salt.why).toMatch(/carries salt: [\d.]+ g less salt/)
    expect(salt.gramsBefore).toBe(5)
  })

  it('stays where the stand-in carries none to speak of, and in the dough always', () => {
    const { recipe, changes } = swapTo('mince-lentil')
    expect(saltIn(recipe, 'filling')).toBe(5)
    expect(changes.map((change) => change.swapId)).not.toContain('salt')
    expect(saltIn(swapTo('mince-soya-home').recipe, 'shell')).toBe(6)
  })

  it('never falls below none', () => {
    const hardly = recipeOf({
      shell,
      filling: [
        ['minced-pork', 600],
        ['salt', 0.6],
      ],
    })
    const made = adapt(hardly, ['vegan'], reference).recipe
    expect(saltIn(made, 'filling')).toBeGreaterThanOrEqual(0)
  })

  it('is said to be missing when what was salty went', () => {
    const ham = recipeOf({
      shell,
      filling: [
        ['ham', 300],
        ['onion', 200],
      ],
    })
    const plain = reference.swaps.find((swap) => swap.id === 'bacon-mushroom')!
    const { recipe } = swapLine(ham, ham.parts[1]!.lines[0]!.id, plain, foods)!
    const refused = candidatesFor(food('ham'), 'filling', madeAs(ham), reference.swaps)
      .map((swap) => swap.id)
      .filter((id) => id !== plain.id)
    const { recipe: adapted } = adapt(ham, ['vegan'], reference, { locks: { refused } })
    expect(sodiumOf(recipe, 'filling')).toBeLessThan(0.5 * sodiumOf(ham, 'filling'))
    expect(adapted.notes.map((note) => note.text).join()).toMatch(/has lost \d+ g of salt: taste it/)
  })

  it('is said to be too much where there is no salt to take, with what else is salty', () => {
    const buns = recipeOf({
      shell,
      filling: [
        ['minced-pork', 300],
        ['soy-sauce', 32],
      ],
    })
    const swap = reference.swaps.find((one) => one.id === 'mince-soya-home')!
    const { recipe } = swapLine(buns, buns.parts[1]!.lines[0]!.id, swap, foods)!
    const figures = { before: evaluate(buns, reference), after: evaluate(recipe, reference) }
    const said = adviceOn(recipe, reference, figures).map((note) => note.text)
    expect(said.join()).toMatch(
      /brings the filling \d g of salt: .* use less of the soy sauce \(4\.\d g of salt\)/,
    )
  })

  it('only ever takes salt, and a second time changes nothing (property)', () => {
    const ids = ['minced-pork', 'miso', 'soy-sauce', 'feta', 'firm-tofu', 'vegetable-stock']
    const line = fc.tuple(fc.constantFrom(...ids), fc.double({ min: 1, max: 300, noNaN: true }))
    fc.assert(
      fc.property(fc.array(line, { maxLength: 4 }), fc.array(line, { maxLength: 4 }), (was, now) => {
        const before = recipeOf({ shell, filling: [...was, ['salt', 4]] })
        const after = recipeOf({ shell, filling: [...now, ['salt', 4]] })
        const once = rebalanceSalt(before, after, foods).recipe
        expect(saltIn(once, 'filling')).toBeLessThanOrEqual(4)
        expect(saltIn(once, 'filling')).toBeGreaterThanOrEqual(0)
        expect(rebalanceSalt(before, once, foods).changes).toEqual([])
      }),
      { numRuns: 100 },
    )
  })
})
