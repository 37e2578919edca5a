import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  cheapestOf,
  coversOf,
  coversSeating,
  hasForm,
  MAX_CANDIDATES,
  MAX_WEIGHED,
  type Candidate,
  type CoverQuestion,
} from './cover'

const LIKES = 3

const cost = fc.integer({ min: 0, max: 20 })
const question = (mixed: boolean): fc.Arbitrary<CoverQuestion> =>
  fc.integer({ min: 1, max: 4 }).chain((guests) => {
    const each = <T>(one: fc.Arbitrary<T>) => fc.array(one, { minLength: guests, maxLength: guests })
    return fc.record({
      candidates: fc.array(
        fc.record({
          dough: fc.integer({ min: 0, max: 2 }),
          filling: fc.integer({ min: 0, max: 2 }),
          suits: each(fc.boolean()),
          openCost: cost,
          eatCost: each(cost),
          liked: each(fc.boolean()),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      doughCost: fc.tuple(cost, cost, cost),
      fillingCost: fc.tuple(cost, cost, cost),
      pieces: each(fc.integer({ min: 1, max: 5 })),
      notLikedCost: fc.constant(LIKES),
      mixed: fc.constant(mixed),
    })
  })

/** Every assignment of guests to one candidate each, one by one: nothing shared with the code that is held to it. */
function byBruteForce({ candidates, doughCost, fillingCost, pieces }: CoverQuestion): number | null {
  let best: number | null = null
  const sum = (values: Iterable<number>) => [...values].reduce((all, one) => all + one, 0)
  const visit = (eats: number[]) => {
    if (eats.length < pieces.length) {
      candidates.forEach((one, at) => one.suits[eats.length] && visit([...eats, at]))
      return
    }
    const own = [...new Set(eats)].map((at) => candidates[at]!)
    const whole =
      sum(own.map(({ openCost }) => openCost)) +
      sum([...new Set(own.map(({ dough }) => dough))].map((one) => doughCost[one]!)) +
      sum([...new Set(own.map(({ filling }) => filling))].map((one) => fillingCost[one]!)) +
      sum(
        eats.map(
          (at, n) => pieces[n]! * (candidates[at]!.eatCost[n]! + (candidates[at]!.liked[n] ? 0 : LIKES)),
        ),
      )
    if (best === null || whole < best) best = whole
  }
  visit([])
  return best
}

describe('the covers of a table', () => {
  it('hold one that costs what brute force finds', () => {
    fc.assert(
      fc.property(question(false), (asked) => {
        expect(coversOf(asked)[0]?.cost ?? null).toBe(byBruteForce(asked))
      }),
      { numRuns: 400 },
    )
  })

  it.each([false, true])('give everybody as many pieces as they eat, of what suits (mixed: %s)', (mixed) => {
    fc.assert(
      fc.property(question(mixed), (asked) => {
        for (const { open, eats, doughs, fillings } of coversOf(asked)) {
          eats.forEach((plate, guest) => {
            expect(plate.reduce((sum, one) => sum + one.pieces, 0)).toBe(asked.pieces[guest])
            for (const { at, pieces } of plate) {
              expect(asked.candidates[at]!.suits[guest]).toBe(true)
              expect(open).toContain(at)
              expect(pieces).toBeGreaterThan(0)
            }
          })
          // Nothing is made that nobody eats, and what is shared is counted once.
          expect(new Set(eats.flat().map(({ at }) => at)).size).toBe(open.length)
          expect(doughs).toBe(new Set(open.map((at) => asked.candidates[at]!.dough)).size)
          expect(fillings).toBe(new Set(open.map((at) => asked.candidates[at]!.filling)).size)
        }
      }),
      { numRuns: 300 },
    )
  })

  const candidate = (fields: Partial<Candidate>): Candidate => ({
    dough: 0,
    filling: 0,
    suits: [true],
    openCost: 1,
    eatCost: [0],
    liked: [true],
    ...fields,
  })
  const of = (candidates: Candidate[], more: Partial<CoverQuestion> = {}): CoverQuestion => ({
    candidates,
    doughCost: [10, 10],
    fillingCost: [10, 10],
    pieces: [3],
    notLikedCost: LIKES,
    mixed: false,
    ...more,
  })

  it('shares a plate out over what suits, the odd piece of the nearest', () => {
    const [both] = coversOf(
      of([candidate({ eatCost: [2] }), candidate({ filling: 1, eatCost: [1] })], { mixed: true }),
    ).filter(({ open }) => open.length === 2)
    expect(both!.eats[0]).toEqual([
      { at: 1, pieces: 2 },
      { at: 0, pieces: 1 },
    ])
  })

  it('makes a second filling only where more is liked than it is work', () => {
    const disliked = candidate({ suits: [true, true], eatCost: [0, 0], liked: [true, false] })
    const liked = candidate({ filling: 1, suits: [false, true], eatCost: [0, 0], liked: [true, true] })
    const kinds = (pieces: number[]) => coversOf(of([disliked, liked], { pieces }))[0]!.open.length
    expect(kinds([2, 2])).toBe(1)
    expect(kinds([2, 9])).toBe(2)
  })

  it('feeds as many as four kinds can, where five would be needed', () => {
    const only = (seat: number) =>
      candidate({
        dough: 0,
        filling: 0,
        suits: [0, 1, 2, 3, 4].map((one) => one === seat),
        eatCost: [0, 0, 0, 0, 0],
        liked: [true, true, true, true, true],
      })
    const all = [0, 1, 2, 3, 4].map(only)
    const questionFor = (seats: readonly number[]) =>
      of(
        all.map((one) => ({
          ...one,
          suits: seats.map((seat) => one.suits[seat]!),
          eatCost: seats.map(() => 0),
          liked: seats.map(() => true),
        })),
        { pieces: seats.map(() => 2) },
      )
    const { covers, seated } = coversSeating([0, 1, 2, 3, 4], questionFor)
    expect(seated).toHaveLength(4)
    expect(covers[0]!.open).toHaveLength(4)
    expect(coversSeating([], questionFor)).toMatchObject({ covers: [], choice: null, seated: [] })
  })

  it('leaves out as few as can be', () => {
    const seatsOf = (mask: number, count: number) =>
      Array.from({ length: count }, (_, seat) => seat).filter((seat) => (mask >> seat) & 1)
    const wide = fc.array(fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }), {
      minLength: 1,
      maxLength: 7,
    })
    fc.assert(
      fc.property(wide, fc.boolean(), (suits, mixed) => {
        const questionFor = (seats: readonly number[]) =>
          of(
            suits.map((own) =>
              candidate({
                suits: seats.map((seat) => own[seat]!),
                eatCost: seats.map(() => 1),
                liked: seats.map(() => true),
              }),
            ),
            { pieces: seats.map(() => 4), mixed },
          )
        const { covers, seated } = coversSeating(seatsOf(127, 7), questionFor)
        // Every four of the kinds, by counting who eats of any of them.
        let most = 0
        for (let mask = 1; mask < 1 << suits.length; mask++) {
          const made = seatsOf(mask, suits.length)
          if (made.length > 4) continue
          most = Math.max(most, seatsOf(127, 7).filter((seat) => made.some((at) => suits[at]![seat])).length)
        }
        expect(seated).toHaveLength(most)
        expect(covers.length > 0).toBe(most > 0)
      }),
      { numRuns: 150 },
    )
  })

  it('are of each form the cheapest there is, however it is looked for', () => {
    const wide = question(false).chain((asked) =>
      fc.array(question(false), { minLength: 0, maxLength: 3 }).map((more) => ({
        ...asked,
        candidates: [...asked.candidates, ...more.flatMap(({ candidates }) => candidates)].map((one) => ({
          ...one,
          suits: asked.pieces.map((_, guest) => one.suits[guest] ?? false),
          eatCost: asked.pieces.map((_, guest) => one.eatCost[guest] ?? 0),
          liked: asked.pieces.map((_, guest) => one.liked[guest] ?? false),
        })),
      })),
    )
    const number = fc.option(fc.integer({ min: 1, max: 4 }), { nil: null })
    fc.assert(
      fc.property(wide, number, number, number, (asked, kinds, doughs, fillings) => {
        const form = { kinds, doughs, fillings }
        const all = coversOf(asked).filter((cover) => hasForm(cover, form))
        const { cover, proven } = cheapestOf(asked, null, form, () => false)
        expect(proven).toBe(true)
        expect(cover?.cost ?? null).toBe(all[0]?.cost ?? null)
        if (cover) expect(hasForm(cover, form)).toBe(true)
        // What is known already is kept where nothing is cheaper.
        expect(cheapestOf(asked, all.at(-1) ?? null, form, () => false).cover?.cost).toBe(cover?.cost)
      }),
      { numRuns: 300 },
    )
  })

  it('finds the cheapest beyond those of which every set is weighed', () => {
    const many = Array.from({ length: MAX_WEIGHED + 20 }, (_, at) => candidate({ eatCost: [100 - at] }))
    expect(coversOf(of(many))[0]!.open).toEqual([MAX_WEIGHED - 1])
    const { choice, asAsked, covers } = coversSeating([0], () => of(many))
    expect(choice!.open).toEqual([MAX_WEIGHED + 19])
    expect(covers[0]).toBe(choice)
    expect(asAsked).toBe(true)
    expect(coversSeating([0], () => of(many), { kinds: 2, doughs: null, fillings: null })).toMatchObject({
      asAsked: false,
      choice: { open: [MAX_WEIGHED + 19] },
    })
  })

  it('says that it does not know where time is up', () => {
    const many = Array.from({ length: 200 }, (_, at) => candidate({ openCost: 0, eatCost: [50 + (at % 7)] }))
    const free = of(many, { doughCost: [0, 0], fillingCost: [0, 0], pieces: [1] })
    expect(cheapestOf(free, null, { kinds: 3, doughs: null, fillings: null }, () => true).proven).toBe(false)
  })

  it('takes no more candidates than it can weigh', () => {
    const many = of(Array.from({ length: MAX_CANDIDATES + 1 }, () => candidate({})))
    expect(() => coversSeating([0], () => many)).toThrow(RangeError)
    expect(coversOf(of([candidate({ suits: [false] })]))).toEqual([])
  })
})
