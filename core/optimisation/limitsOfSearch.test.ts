import { describe, expect, it } from 'vitest'
import { demoRecipe, diets } from '../../test/demo'
import { reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { allLines } from '../recipe/lines'
import { RecipeProblem } from '../recipe/problem'
import { search } from './search'
import { OutOfTime } from './solve'
import { wishesFor } from './wishes'

describe('what cannot be adapted', () => {
  it.each(['chickpea-flour', 'ground-almonds', 'potato-flakes', 'cassava-flour'])(
    'is said of a dough of %s that has no cereal to be whole',
    (flour) => {
      const cakes = recipeOf({
        shell: [
          [flour, 300],
          ['water', 200],
        ],
        filling: [['spinach', 300]],
      })
      for (const ids of [
        ['whole-grain'],
        ['whole-grain', 'keto', 'vegan'],
        ['more-fibre', 'whole-grain-51'],
      ]) {
        const made = adapt(cakes, ids, reference)
        // Either it says what stands in the way, or what it gives keeps what was asked.
        if (made.conflict.length)
          expect(made.conflict.join(), ids.join()).toMatch(/Whole-grain|fibre|Keto|time/i)
        else
          for (const id of ids)
            expect(made.evaluation.diets.find(({ diet }) => diet === id)!.verdict, id).toBe('fits')
      }
    },
  )
  it('is said of a batch whose lines would be too heavy to keep', () => {
    const huge = recipeOf({
      shell: [
        ['plain-flour', 49_000],
        ['butter', 49_900],
        ['water', 9_000],
      ],
      filling: [['leek', 20_000]],
    })
    let refused = 0
    for (const ids of [['vegan'], ['gluten-free'], ['vegan', 'gluten-free']]) {
      try {
        for (const { line } of allLines(adapt(huge, ids, reference).recipe))
          expect(line.grams!).toBeLessThanOrEqual(50_000)
      } catch (error) {
        expect(error).toBeInstanceOf(RecipeProblem)
        expect((error as RecipeProblem).problems[0]!.message).toMatch(/smaller batch/)
        refused++
      }
    }
    expect(refused).toBeGreaterThan(0)
  })
})

describe('a search whose time is up', () => {
  const pies = demoRecipe('curd-leek')
  it('says so when nothing was found yet', () => {
    expect(() =>
      search(pies, wishesFor(diets('vegan', 'high-protein')), reference, { expired: () => true }),
    ).toThrow(OutOfTime)
  })
  it('gives what it has, which keeps what was asked', () => {
    const wishes = wishesFor(diets('high-protein'))
    const whole = search(pies, wishes, reference)
    // The clock of this test is the number of times it is looked at.
    let answered = 0
    for (const looks of [4, 8, 12, 20]) {
      let seen = 0
      let found
      try {
        found = search(pies, wishes, reference, { expired: () => ++seen > looks })
      } catch (error) {
        expect(error).toBeInstanceOf(OutOfTime)
        continue
      }
      if (!found.best) continue
      answered++
      expect(found.best.evaluation.diets.find(({ diet }) => diet === 'high-protein')!.fits).toBe(true)
      expect(found.best.distance).toBeGreaterThanOrEqual(whole.best!.distance - 0.01)
    }
    expect(answered).toBeGreaterThan(0)
  })
})
