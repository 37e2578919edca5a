import { describe, expect, it } from 'vitest'
import { food, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { measured, parseTarget } from '../diet/target'

const pies = recipeOf({
  shell: [
    ['plain-flour', 300],
    ['butter', 150],
    ['water', 70],
    ['salt', 5],
  ],
  filling: [
    ['leek', 300],
    ['quark', 250],
    ['cheddar', 80],
  ],
})
const asked = (text: string) => parseTarget(text, '')
const reach = (text: string, diets: string[] = []) =>
  adapt(pies, diets, reference, { targets: [asked(text)] })

describe('a figure that is out of reach', () => {
  it.each([
    ['netCarbohydrateG/serving <= 0', 1],
    ['energyKcal/piece <= 20', 1],
    ['proteinG/piece >= 60', -1],
    ['proteinEnergyPct >= 70', -1],
    ['fibreG/100g >= 40', -1],
  ])('%s: says how near it gets, which is neither too much nor too little', (text, sign) => {
    const target = asked(text)
    const { conflict, alternatives, compromise } = reach(text)
    expect(conflict).toHaveLength(1)
    const nearest = alternatives[0]!
    const value = measured(target, nearest.evaluation.measures)!
    expect(compromise).toContain(`out of reach here; as near as it gets is ${value.toFixed(1)}`)
    expect(nearest.distance).toBeGreaterThan(0)
    const at = (limit: number) =>
      adapt(pies, [], reference, { targets: [{ ...target, limit }] }).conflict.length === 0
    // A little less far can be had, a little farther cannot: cooking losses and tenths of a gram allow for 4 %.
    expect(at(value * (1 + 0.04 * sign)), `${value} loosened`).toBe(true)
    expect(at(value * (1 - 0.08 * sign)), `${value} tightened`).toBe(false)
  })

  it('keeps the other wishes', () => {
    const { conflict, alternatives, compromise } = reach('netCarbohydrateG/serving <= 0', ['vegan'])
    expect(conflict.length).toBeGreaterThan(0)
    expect(compromise).toMatch(/as near as it gets is/)
    expect(alternatives[0]!.evaluation.diets.find((one) => one.diet === 'vegan')!.fits).toBe(true)
  })

  it('is not spoken of where wishes without figures contradict', () => {
    const flour = pies.parts[0]!.lines[0]!.id
    const { conflict, alternatives, compromise } = adapt(pies, ['gluten-free'], reference, {
      locks: { lineIds: [flour] },
    })
    expect(conflict.length).toBeGreaterThan(0)
    expect(alternatives).toEqual([])
    expect(compromise).toBe('')
  })

  it('gluten-free and keto together reach a bun without starch, lupin or almond in it', () => {
    const buns = { ...pies, shape: 'bun' as const }
    const { conflict, evaluation, changes } = adapt(buns, ['keto', 'gluten-free'], reference)
    expect(conflict).toEqual([])
    expect(evaluation.diets.filter((one) => one.fits).map((one) => one.diet)).toEqual(
      expect.arrayContaining(['keto', 'gluten-free']),
    )
    expect(changes.map((change) => change.to).join()).toMatch(
      new RegExp(`${food('lupin-flour').name}|${food('ground-almonds').name}`),
    )
  })
})
