import { describe, expect, it } from 'vitest'
import { timeTable } from '../../data/timeTable'
import { demoRecipe } from '../../test/demo'
import { dinnerOf } from '../../test/dinner'
import { recipeOf, reference } from '../../test/helpers'
import type { Recipe } from '../recipe/document'
import { planDinner } from './dinner'
import { foodSafetyOf, LIMIT_MINUTES } from './foodSafety'
import { makeDish, type Task } from './tasks'

const dishOf = (recipe: Recipe) => makeDish(recipe, 'fresh', null, reference)
const meat = {
  ...recipeOf(
    {
      shell: [
        ['plain-flour', 300],
        ['water', 160],
      ],
      filling: [['minced-pork', 300]],
    },
    { way: 'steam' },
  ),
}
const partId = meat.parts[1]!.id

/** A task at a time, as far as the clock of food safety asks. */
const at = (kind: Task['kind'], start: number, end: number, batch: number | null = null) => ({
  task: { kind, dish: 0, partId, batch, id: `1.${kind}` } as Task,
  start,
  end,
})

describe('minutes between 5 and 57 °C', () => {
  it('of a raw filling are those on the board and those until the last piece is in the heat', () => {
    const timed = [
      at('chop', 100, 90),
      at('filling', 90, 87),
      at('shape', 60, 50, 0),
      at('shape', 50, 40, 1),
      at('cook', 40, 25, 0),
      at('cook', 25, 10, 1),
    ]
    const [warm] = foodSafetyOf([dishOf(meat)], timed, reference)
    // 10 and 3 on the board, 60 to 25 from the first closed to the last in.
    expect(warm).toMatchObject({ minutesWarm: 13 + 35, limitMinutes: LIMIT_MINUTES, caution: '' })
    expect(warm!.terms.reduce((sum, term) => sum + term.minutes, 0)).toBe(warm!.minutesWarm)
  })

  it('beyond four hours are a caution with the number and its source', () => {
    const timed = [
      at('chop', 400, 390),
      at('filling', 390, 387),
      at('shape', 360, 350, 0),
      at('cook', 100, 85, 0),
    ]
    const [warm] = foodSafetyOf([dishOf(meat)], timed, reference)
    expect(warm!.minutesWarm).toBe(273)
    expect(warm!.caution).toMatch(/273 min.*240.*3-501\.19/)
  })

  it('of a cooked filling count from when it is below 57 °C', () => {
    const cooked = {
      ...meat,
      parts: meat.parts.map((part, n) => (n === 1 ? { ...part, cookedBy: 'fry' as const } : part)),
    }
    const timed = [
      at('chop', 200, 190),
      at('cook-filling', 190, 178),
      at('cool', 178, 130),
      at('shape', 130, 120, 0),
      at('cook', 118, 100, 0),
    ]
    const [warm] = foodSafetyOf([dishOf(cooked)], timed, reference)
    const cooling = warm!.terms.find(({ says }) => says.includes('cools'))!
    expect(cooling.minutes).toBeGreaterThan(20)
    expect(cooling.minutes).toBeLessThan(48)
  })

  it('of a filling too deep to cool in time are a caution by the rule for cooling', () => {
    const batch = recipeOf(
      {
        shell: [
          ['plain-flour', 9000],
          ['water', 4800],
        ],
        filling: [['minced-pork', 15_000]],
      },
      { way: 'steam', pieces: 300 },
    )
    const much = {
      ...batch,
      parts: batch.parts.map((part, n) => (n === 1 ? { ...part, cookedBy: 'fry' as const } : part)),
    }
    const filling = much.parts[1]!.id
    const own = (kind: Task['kind'], start: number, end: number) => ({
      task: { kind, dish: 0, partId: filling, batch: 0, id: `1.${kind}` } as Task,
      start,
      end,
    })
    const timed = [
      own('chop', 600, 580),
      own('cook-filling', 580, 560),
      own('shape', 200, 190),
      own('cook', 190, 170),
    ]
    expect(foodSafetyOf([dishOf(much)], timed, reference)[0]!.caution).toMatch(
      /^it cools too slowly, spread it flatter.*3-501\.14/,
    )
    const little = foodSafetyOf([dishOf(meat)], timed, reference)[0]
    expect(little?.caution ?? '').not.toContain('flatter')
  })

  it('are not counted for what needs neither fridge nor heat', () => {
    const raw = recipeOf(
      {
        shell: [
          ['plain-flour', 300],
          ['water', 160],
        ],
        filling: [
          ['apple', 300],
          ['sugar', 50],
        ],
      },
      { way: 'bake' },
    )
    expect(foodSafetyOf([dishOf(raw)], [], reference)).toEqual([])
  })
})

it('the plan of a demo dinner stays within four hours and says what its minutes are made of', () => {
  const dinner = dinnerOf([dishOf(demoRecipe('steamed'))], { roomC: 22 })
  const { foodSafety } = planDinner(dinner, reference, timeTable)
  expect(foodSafety).toHaveLength(1)
  expect(foodSafety[0]!.minutesWarm).toBeLessThanOrEqual(LIMIT_MINUTES)
  expect(foodSafety[0]!.terms.length).toBeGreaterThanOrEqual(2)
})
