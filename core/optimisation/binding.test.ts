import { describe, expect, it } from 'vitest'
import { demoRecipe } from '../../test/demo'
import { reference } from '../../test/helpers'
import { parseTarget } from '../diet/target'
import { search } from './search'
import { wishesFor, NO_LOCKS } from './wishes'

const pies = demoRecipe('curd-leek')
const wanting = (text: string, maxSwaps: number | null = null) =>
  search(
    pies,
    wishesFor([], { targets: [parseTarget(text, '')], locks: { ...NO_LOCKS, maxSwaps } }),
    reference,
    { timeoutMilliseconds: 3000 },
  )

describe('what stands in the way of a nearer recipe', () => {
  it.each([
    ['netCarbohydrateG/serving <= 40', 'netCarbohydrateG/serving <= 44'],
    ['proteinG/piece >= 11', 'proteinG/piece >= 9.9'],
    ['energyKcal/piece <= 210', 'energyKcal/piece <= 231'],
  ])('%s: a tenth more room saves what is said', (asked, looser) => {
    const { best, binding } = wanting(asked)
    const own = binding.find((one) => one.name === 'Your target')!
    expect(own.text).toMatch(/would bring it [\d.]+ nearer/)
    // What is aimed at again for losses, and tidied, may cost one either way.
    expect(best!.distance - wanting(looser).best!.distance).toBeGreaterThan(own.saves - 1.5)
    expect(best!.distance - wanting(looser).best!.distance).toBeLessThan(own.saves + 1.5)
  })

  it('is nothing where the recipe fits already', () => {
    expect(wanting('proteinG/piece >= 1').binding).toEqual([])
  })

  it('may be how many swaps are allowed', () => {
    const free = wanting('netCarbohydrateG/serving <= 8').best!
    const made = free.changes.filter((change) => change.kind === 'swap').length
    expect(made).toBeGreaterThan(0)
    const { best, binding, conflict } = wanting('netCarbohydrateG/serving <= 8', made - 1)
    if (best) expect(best.distance).toBeGreaterThanOrEqual(free.distance - 1)
    else expect(conflict.join()).toContain(`at most ${made - 1} swap`)
    for (const one of binding) expect(one.saves).toBeGreaterThan(0)
  })
})
