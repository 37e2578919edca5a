import { describe, expect, it } from 'vitest'
import { reference } from '../../test/helpers'
import { FOOD_GROUPS, foodIs, groupIs, isFat, isFlour, TRAITS, type Trait } from './groups'

describe('the table of food groups', () => {
  const used = new Set([...reference.foods.values()].map((food) => food.group))

  it('holds every group that a row of the tables names, so that none is silently nothing', () => {
    expect([...used].filter((group) => !(FOOD_GROUPS as string[]).includes(group))).toEqual([])
  })

  it('holds no group that no food has', () => {
    expect(FOOD_GROUPS.filter((group) => !used.has(group))).toEqual([])
  })

  it("has no trait that is nobody's", () => {
    const traits = Object.keys(TRAITS) as Trait[]
    expect(traits.filter((trait) => !FOOD_GROUPS.some((group) => groupIs(group, trait)))).toEqual([])
  })

  it('calls the flours of the table flour, and what only looks like one not', () => {
    const food = (id: string) => reference.foods.get(id)!
    expect(['rye-flour', 'tapioca-starch', 'psyllium-husk'].filter((id) => isFlour(food(id)))).toEqual([
      'rye-flour',
      'tapioca-starch',
      'psyllium-husk',
    ])
    expect(isFlour(food('breadcrumbs'))).toBe(false)
    expect(isFat(food('butter'))).toBe(true)
    expect(isFat(food('double-cream'))).toBe(false)
  })

  it('asks water of every flour, so that no dough goes without it unsaid', () => {
    const dry = [...reference.foods.values()].filter(
      (food) => food.group === 'flour' && food.waterDemand === null,
    )
    expect(dry.map((food) => food.id)).toEqual([])
  })

  it('says nothing of a group that it does not know', () => {
    expect(groupIs('measured-plant', 'flour')).toBe(false)
    expect(foodIs(null, 'egg')).toBe(false)
  })
})
