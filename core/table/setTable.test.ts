import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipe } from '../../test/demo'
import { foods, reference } from '../../test/helpers'
import { readRecipe } from '../reading/readRecipe'
import { cheapestCover, type Candidate } from './cover'
import { setTable, type Guest } from './setTable'

const guest = (id: string, diets: string[] = [], more: Partial<Guest> = {}): Guest => ({
  id,
  diets,
  avoid: [],
  pieces: 2,
  ...more,
})

describe('the cheapest cover', () => {
  /** Every assignment of guests to candidates, one by one. */
  function byBruteForce(candidates: readonly Candidate[], guests: number): number | null {
    let best: number | null = null
    const visit = (eats: number[]) => {
      if (eats.length === guests) {
        const cost =
          [...new Set(eats)].reduce((sum, at) => sum + candidates[at]!.openCost, 0) +
          eats.reduce((sum, at, n) => sum + candidates[at]!.eatCost[n]!, 0)
        if (best === null || cost < best) best = cost
        return
      }
      candidates.forEach((one, at) => one.suits[eats.length] && visit([...eats, at]))
    }
    visit([])
    return best
  }
  it('costs what brute force finds', () => {
    const cost = fc.integer({ min: 0, max: 20 })
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }).chain((guests) =>
          fc.tuple(
            fc.constant(guests),
            fc.array(
              fc.record({
                suits: fc.array(fc.boolean(), { minLength: guests, maxLength: guests }),
                openCost: cost,
                eatCost: fc.array(cost, { minLength: guests, maxLength: guests }),
              }),
              { minLength: 1, maxLength: 4 },
            ),
          ),
        ),
        ([guests, candidates]) => {
          const found = cheapestCover(candidates, guests)
          expect(found?.cost ?? null).toBe(byBruteForce(candidates, guests))
          found?.eats.forEach((at, n) => {
            expect(candidates[at]!.suits[n]).toBe(true)
            expect(found.open).toContain(at)
          })
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('a table', () => {
  const buns = demoRecipe('cabbage')

  it('of guests who eat everything has one kind: the recipe as it is', () => {
    const table = setTable(buns, [guest('a'), guest('b', [], { pieces: 3 })], reference)
    expect(table.kinds).toHaveLength(1)
    expect(table.kinds[0]).toMatchObject({ pieces: 5, madeFor: [], mark: null, suits: ['a', 'b'] })
    expect(table.apart).toEqual([])
    expect(table.conflict).toBeNull()
  })

  it('gives everybody what they may eat, on each plate its own figures', () => {
    const guests = [
      guest('a'),
      guest('b', ['vegan']),
      guest('c', ['vegetarian'], { pieces: 3 }),
      guest('d', ['gluten-free']),
    ]
    const table = setTable(buns, guests, reference)
    expect(table.proven).toBe(true)
    expect(table.plates.map(({ guestId }) => guestId)).toEqual(['a', 'b', 'c', 'd'])
    for (const { guestId, kinds, perPlate } of table.plates) {
      const own = guests.find(({ id }) => id === guestId)!
      expect(kinds.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(own.pieces)
      for (const { id } of kinds) expect(table.kinds.find((one) => one.id === id)!.suits).toContain(guestId)
      expect(perPlate.energyKcal).toBeGreaterThan(100)
    }
    expect(table.kinds.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(9)
    // What is made is scaled to what is eaten.
    for (const { recipe, pieces } of table.kinds) expect(recipe.pieces).toBe(pieces)
    if (table.kinds.length > 1) {
      expect(new Set(table.kinds.map(({ mark }) => mark)).size).toBe(table.kinds.length)
      expect(table.apart.at(-1)).toMatch(/cannot promise/)
      expect(table.order).toHaveLength(table.kinds.length)
    }
  })

  it('one kind that suits the strictest may serve all, where one is asked', () => {
    const table = setTable(buns, [guest('a'), guest('b', ['vegan'])], reference, { kinds: 1 })
    expect(table.kinds).toHaveLength(1)
    expect(table.kinds[0]!.suits).toEqual(['a', 'b'])
    expect(table.kinds[0]!.madeFor).toEqual(['vegan'])
    const [one, two] = table.options
    expect(one!.givesUp).toEqual(['a'])
    expect(two!.givesUp).toEqual([])
    expect(two!.extraMinutes).toBeGreaterThan(one!.extraMinutes)
  })

  it('leaves out what somebody avoids, and puts the vegan kind first', () => {
    const table = setTable(buns, [guest('a'), guest('b', ['vegan'], { avoid: ['caraway'] })], reference, {
      kinds: 2,
    })
    const vegan = table.kinds.find(({ suits }) => suits.includes('b'))!
    expect(
      JSON.stringify(vegan.recipe.parts.map(({ lines }) => lines.map(({ foodId }) => foodId))),
    ).not.toContain('caraway')
    expect(table.order[0]).toBe(vegan.id)
  })

  it('says who has nothing, and why, and feeds the others', () => {
    const { recipe } = readRecipe(
      'Pies\nMakes 8\nDough\n300 g flour\n160 ml water\nFilling\n200 g something strange',
      foods,
    )
    const table = setTable(recipe, [guest('a'), guest('b', ['vegan'])], reference)
    expect(table.conflict).toMatchObject({ guestIds: ['b'], diets: ['vegan'] })
    expect(table.conflict!.why).not.toBe('')
    expect(table.plates.map(({ guestId }) => guestId)).toEqual(['a'])
  })

  it('names the field of what is not known', () => {
    expect(() => setTable(buns, [guest('a', ['paleolithic'])], reference)).toThrow(/guests\[0\].diets\[0\]/)
    expect(() => setTable(buns, [guest('a', [], { avoid: ['moon-dust'] })], reference)).toThrow(
      /guests\[0\].avoid\[0\]/,
    )
  })
})
