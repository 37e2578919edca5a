import { expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import { timeTable } from '../../data/timeTable'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import { withFoods } from '../tables/referenceData'
import { factorsInUse, learntFlours, learntTimes } from './apply'

const factors = {
  'flour:plain-flour': { factor: 1.1, bakes: 5 },
  'closing:half-moon': { factor: 1.5, bakes: 1 },
}

it('a flour that drinks a tenth more makes the same dough firmer by as much, and says since when', () => {
  const { recipe } = readRecipe(
    'Pies\nMakes 8\nDough\n300 g plain flour\n150 ml water\nFilling\n200 g leeks',
    foods,
  )
  const own = withFoods(reference, learntFlours(foods, factors))
  const softness = (table: typeof reference) => evaluate(recipe, table).dough.softness!
  expect(softness(reference) / softness(own)).toBeCloseTo(1.1, 6)
  expect(own.foods.get('plain-flour')!.source).toContain('since your 5 bakes')
})

it('hands that take half as long again do so in the plan, within the range moved with it', () => {
  const usual = timeTable.get('shape-half-moon')!
  const own = learntTimes(timeTable, factors).get('shape-half-moon')!
  expect(own.minutes).toBeCloseTo(usual.minutes * 1.5, 9)
  expect(own.low).toBeLessThanOrEqual(own.minutes)
  expect(own.why).toContain('since your 1 bake')
  expect(learntTimes(timeTable, factors).get('shape-coil')).toEqual(timeTable.get('shape-coil'))
})

it('what is switched off is not used, and what is no food of the table is left alone', () => {
  const learnt = { mean: 1.1, sd: 0.02, low: 1, high: 1.2, n: 5, trust: [] }
  const one = {
    id: 'flour:plain-flour',
    name: 'Plain',
    of: '',
    prior: { mean: 1, sd: 0.06, why: '' },
    learnt,
    bakes: [],
  }
  expect(factorsInUse([one], [])).toEqual({ 'flour:plain-flour': { factor: 1.1, bakes: 5 } })
  expect(factorsInUse([one], ['flour:plain-flour'])).toEqual({})
  expect(
    learntFlours(foods, { 'flour:no-such': { factor: 2, bakes: 1 }, 'flour:salt': { factor: 2, bakes: 1 } }),
  ).toEqual([])
})
