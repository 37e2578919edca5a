import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredient } from './readIngredient'

interface Expected {
  text: string
  food: string
  state: string
  kcal: number
  certain: string[]
  packet: string[]
}

const lines: Expected[] = readFileSync(new URL('./foodLines.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((row) => row && !row.startsWith('#'))
  .map((row) => {
    const [text, food, state, kcal, holds] = row.split('|').map((cell) => cell.trim())
    const [certain, packet] = (holds ?? '').split(';').map((part) => part.trim().split(' ').filter(Boolean))
    return {
      text: text!,
      food: food!,
      state: state!,
      kcal: Number(kcal),
      certain: certain ?? [],
      packet: (packet ?? []).map((word) => word.replace('?', '')),
    }
  })

describe('ingredient lines, by food, state, composition and what they hold', () => {
  it('are 200 or more', () => {
    expect(lines.length).toBeGreaterThanOrEqual(200)
  })

  it.each(lines.map((line) => [line.text, line] as const))('%s', (text, expected) => {
    const { food, line } = readIngredient(text, foods)
    expect(food?.id).toBe(expected.food)
    expect(food!.state ?? '').toBe(expected.state)
    expect(line.grams).toBeGreaterThan(0)
    expect(Math.abs(food!.energyKcal - expected.kcal), `${food!.energyKcal} kcal`).toBeLessThanOrEqual(
      Math.max(15, expected.kcal * 0.15),
    )
    // Of origins meat is told; what comes from milk, egg or fish is told by its allergen.
    const certain = [...food!.origins.filter((one) => one === 'meat'), ...food!.allergens]
    const packet = [...food!.possibleOrigins.filter((one) => one === 'meat'), ...food!.possibleAllergens]
    expect(certain.sort()).toEqual([...expected.certain].sort())
    for (const one of expected.packet) expect(packet).toContain(one)
  })
})
