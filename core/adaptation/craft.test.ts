import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { reference } from '../../test/helpers'
import { adapt, type Adaptation } from './adapt'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'

const WISHES = [
  ['high-protein'],
  ['lighter'],
  ['whole-grain'],
  ['keto'],
  ['gluten-free'],
  ['high-protein', 'whole-grain'],
]
const cases = demo.flatMap(({ name, recipe }) => WISHES.map((wish) => [name, wish, recipe] as const))

const groupGrams = (recipe: Recipe, groups: RegExp) =>
  recipe.parts
    .filter((part) => part.kind === 'shell')
    .flatMap((part) => part.lines)
    .reduce((sum, line) => {
      const food = foodOf(line, reference.foods)
      return sum + (food && groups.test(food.group) ? (line.grams ?? 0) : 0)
    }, 0)
const isReached = (made: Adaptation) => made.conflict.length === 0
const saysFurther = (made: Adaptation) => made.compromise.includes('Further than most cooks would go')

describe('what an experienced cook would do', () => {
  it.each(cases)(
    '%s made %s keeps gluten and isolates within what bakes well, or says that it does not',
    (_, wish, recipe) => {
      const made = adapt(recipe, wish, reference)
      if (!isReached(made) || saysFurther(made)) return
      const flours = groupGrams(made.recipe, /^(?:flour|starch|gluten|protein-powder|fibre)$/)
      if (flours === 0) return
      const keto = wish.includes('keto')
      // What is rounded to a tenth of a gram may pass the limit by that much.
      expect(groupGrams(made.recipe, /^gluten$/) / flours).toBeLessThanOrEqual((keto ? 0.4 : 0.2) + 0.005)
      expect(groupGrams(made.recipe, /^(?:protein-powder|fibre)$/) / flours).toBeLessThanOrEqual(
        (keto ? 0.45 : 0.2) + 0.005,
      )
    },
  )

  it.each(cases)('%s made %s keeps its dip and what seasons its filling', (_, wish, recipe) => {
    const made = adapt(recipe, wish, reference)
    if (!isReached(made) || saysFurther(made)) return
    const after = new Map(allLines(made.recipe).map(({ line }) => [line.id, line]))
    for (const { part, line } of allLines(recipe)) {
      const now = after.get(line.id)
      if (!now || now.foodId !== line.foodId || !line.grams || now.grams === null) continue
      if (part.kind === 'dip') expect(now.grams / line.grams, line.raw).toBeGreaterThan(0.78)
      if (part.kind === 'filling' && /^(?:onion|garlic|ginger|spring-onion)$/.test(line.foodId ?? ''))
        expect(now.grams / line.grams, line.raw).toBeGreaterThan(0.68)
    }
  })

  it('goes further only where nothing else reaches it, and says so', () => {
    const further = cases.map(([, wish, recipe]) => adapt(recipe, wish, reference)).filter(saysFurther)
    for (const made of further) expect(made.compromise).toMatch(/\d %|in its amounts/)
    expect(further.length).toBeLessThan(cases.length / 2)
  })
})
