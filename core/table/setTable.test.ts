import { describe, expect, it } from 'vitest'
import { demoRecipe } from '../../test/demo'
import { foods, reference } from '../../test/helpers'
import { readRecipe } from '../reading/readRecipe'
import type { Guest } from './guest'
import { setTable as setTableBy, type TableOptions } from './setTable'
import { makeDish } from '../planning/tasks'
import { tasksOf } from '../planning/tasksOf'
import { timeTable } from '../../data/timeTable'
import type { Recipe } from '../recipe/document'

const setTable = (recipe: Recipe, guests: readonly Guest[], options?: TableOptions) =>
  setTableBy(recipe, guests, reference, timeTable, options)

const guest = (id: string, diets: string[] = [], more: Partial<Guest> = {}): Guest => ({
  id,
  diets,
  avoid: [],
  likes: [],
  pieces: 2,
  strength: 'intolerance',
  ...more,
})

describe('a table', () => {
  const buns = demoRecipe('cabbage')

  it('of guests who eat everything has one kind: the recipe as it is', () => {
    const table = setTable(buns, [guest('a'), guest('b', [], { pieces: 3 })])
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
    const table = setTable(buns, guests)
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
    expect(table.kinds.length).toBeGreaterThan(1)
    expect(new Set(table.kinds.map(({ mark }) => mark)).size).toBe(table.kinds.length)
    expect(table.apart.at(-1)).toMatch(/cannot promise/)
    expect(table.order).toHaveLength(table.kinds.length)
  })

  it('says of one way that the table is set so, whatever it was asked to be', () => {
    const guests = [guest('a', ['vegan']), guest('b', ['gluten-free']), guest('c', ['high-protein'])]
    for (const asked of [undefined, { kinds: 1 }, { kinds: 2 }, { kinds: 3 }]) {
      const { options, kinds } = setTable(buns, guests, asked)
      const set = options.filter(({ isSet }) => isSet)
      expect(set).toHaveLength(1)
      expect(set[0]!.madeFor).toEqual(kinds.map(({ madeFor }) => madeFor))
    }
  })

  it('looks for every few of five wishes, and for none that another implies', () => {
    const five = [
      guest('a', ['vegan']),
      guest('b', ['gluten-free']),
      guest('c', ['vegetarian']),
      guest('d', ['keto'], { pieces: 1 }),
      guest('e', ['dairy-free'], { avoid: ['honey'] }),
    ]
    const table = setTable(buns, five)
    expect(table.proven).toBe(true)
    expect(table.plates).toHaveLength(5)
  })

  it('does not call itself the cheapest where not every few of the guests were looked for', () => {
    const wishes = ['cabbage', 'carrot', 'onion', 'garlic']
    expect(wishes.every((id) => foods.has(id))).toBe(true)
    const seats = reference.diets
      .filter(({ targets }) => !targets.length)
      .slice(0, 2)
      .map(({ id }) => guest(id, [id]))
    const many = [...seats, ...wishes.map((id) => guest(id, [], { avoid: [id] }))]
    expect(many).toHaveLength(6)
    // Six wishes and every few of them are 63: more than are looked for.
    expect(setTable(buns, many).proven).toBe(false)
    expect(setTable(buns, many.slice(0, 2)).proven).toBe(true)
  })

  it('one kind that suits the strictest may serve all, where one is asked', () => {
    const table = setTable(buns, [guest('a'), guest('b', ['vegan'])], { kinds: 1 })
    expect(table.kinds).toHaveLength(1)
    expect(table.kinds[0]!.suits).toEqual(['a', 'b'])
    expect(table.kinds[0]!.madeFor).toEqual(['vegan'])
    const one = table.options.find(({ kinds }) => kinds === 1)
    const two = table.options.find(({ kinds, givesUp }) => kinds === 2 && !givesUp.length)
    expect(one!.givesUp.map(({ guestId }) => guestId)).toEqual(['a'])
    expect(one!.givesUp[0]!.foods).toContain('Bacon, raw')
    expect(two!.extraMinutes).toBeGreaterThan(one!.extraMinutes)
  })

  it('leaves out what somebody avoids, and puts the vegan kind first', () => {
    const table = setTable(buns, [guest('a'), guest('b', ['vegan'], { avoid: ['caraway'] })], {
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
    const table = setTable(recipe, [guest('a'), guest('b', ['vegan'])])
    expect(table.conflict).toMatchObject({ guestIds: ['b'], diets: ['vegan'] })
    expect(table.conflict!.why).not.toBe('')
    expect(table.plates.map(({ guestId }) => guestId)).toEqual(['a'])
  })

  it('holds what a diet asks of figures against the whole plate, not a serving of the recipe', () => {
    const pies = demoRecipe('curd')
    const { plates } = setTable(pies, [
      guest('few', ['keto'], { pieces: 1 }),
      guest('many', ['keto'], { pieces: 3 }),
    ])
    for (const { perPlate, wishes } of plates) {
      expect(perPlate.netCarbohydrateG).toBeLessThanOrEqual(10 + 1e-6)
      expect(wishes).toHaveLength(1)
      expect(wishes[0]).toMatchObject({ diet: 'keto', kept: true })
      expect(wishes[0]!.text).toContain(
        `${perPlate.netCarbohydrateG.toFixed(1)} g net carbohydrate on the plate`,
      )
    }
  })

  it('says with how many pieces it could be where as many as are asked cannot', () => {
    const table = setTable(buns, [guest('a', ['keto'], { pieces: 5 })])
    expect(table.conflict).toMatchObject({ guestIds: ['a'], diets: ['keto'] })
    const [fewer] = table.conflict!.fewer
    expect(fewer!.pieces).toBeLessThan(5)
    expect(setTable(buns, [guest('a', ['keto'], { pieces: fewer!.pieces })]).conflict).toBeNull()
  })

  it('passes over a preference only where nothing suits, and says what', () => {
    const asks = ['keto', 'vegan']
    const wish = setTable(buns, [guest('a', asks, { pieces: 5, strength: 'preference' })])
    expect(wish.conflict).toBeNull()
    expect(wish.plates[0]!.passedOver.join()).toMatch(/Keto/)
    expect(setTable(buns, [guest('a', asks, { pieces: 5, strength: 'allergy' })]).plates).toEqual([])
    const vegan = setTable(buns, [guest('a', ['vegan'], { strength: 'preference' })])
    expect(vegan.plates[0]!.passedOver).toEqual([])
  })

  it('counts hands as the clock does', () => {
    const { options } = setTable(buns, [guest('a', [], { pieces: 12 })])
    const dish = makeDish(buns, 'fresh', null, reference)
    const hands = tasksOf(dish, 0, { roomC: 22, burnerW: 2000 }, reference, timeTable)
      .tasks.filter((task) => task.hands)
      .reduce((sum, { minutes }) => sum + minutes, 0)
    expect(options).toHaveLength(1)
    // The clock counts whole minutes task by task.
    expect(Math.abs(options[0]!.handsMinutes - hands)).toBeLessThan(0.15 * hands)
  })

  it('sets one dough for all off against two, in minutes and in money', () => {
    const prices = new Map(
      ['strong-flour', 'bacon', 'butter'].map((foodId) => [
        foodId,
        { foodId, price: 10, packGrams: 1000, note: '', date: '2026-11-20' },
      ]),
    )
    const guests = [guest('a', [], { pieces: 6 }), guest('b', ['vegan'], { pieces: 6 })]
    const { options } = setTable(buns, guests, { prices })
    const one = options.find(({ kinds }) => kinds === 1)!
    const more = options.find(({ kinds }) => kinds > 1)!
    expect(one.extraMinutes).toBe(0)
    expect(more.extraMinutes).toBeGreaterThan(10)
    expect(more.distance).toBeLessThan(one.distance)
    expect(one.cost).toBeGreaterThan(0)
    // Bacon is paid for only where somebody eats it.
    expect(more.cost).toBeGreaterThan(one.cost!)
    expect(one.costUnknown.length).toBeGreaterThan(0)
    expect(setTable(buns, guests).options[0]!.cost).toBeNull()
  })

  it('says so where as many kinds as are asked cannot be', () => {
    const table = setTable(buns, [guest('a')], { kinds: 3 })
    expect(table.kinds).toHaveLength(1)
    expect(table.remarks.join()).toMatch(/No table has 3 kinds/)
    expect(setTable(buns, [guest('a')]).remarks).toEqual([])
  })

  it('gives of every kind that suits where plates are mixed', () => {
    const guests = [guest('a', [], { pieces: 4 }), guest('b', ['vegan'], { pieces: 2 })]
    const table = setTable(buns, guests, { mixed: true, kinds: 2 })
    const [own, vegan] = table.plates
    expect(own!.kinds.map(({ pieces }) => pieces)).toEqual([2, 2])
    expect(vegan!.kinds).toHaveLength(1)
    expect(table.kinds.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(6)
  })

  it('tells what of a plate is liked', () => {
    const table = setTable(buns, [guest('a', [], { likes: ['bacon', 'mushroom'] })])
    expect(table.plates[0]!.liked).toEqual(['Bacon, raw'])
  })

  it('names the field of what is not known', () => {
    expect(() => setTable(buns, [guest('a', ['paleolithic'])])).toThrow(/guests\[0\].diets\[0\]/)
    expect(() => setTable(buns, [guest('a', [], { avoid: ['moon-dust'] })])).toThrow(/guests\[0\].avoid\[0\]/)
  })
})
