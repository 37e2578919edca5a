import { describe, expect, it } from 'vitest'
import { reference, recipeOf } from '../../test/helpers'
import { adapt } from './adapt'
import { allLines, foodOf } from '../recipe/lines'
import { foodAgainstDiet } from '../diet/diets'
import { brings } from './brings'

const pockets = recipeOf(
  {
    shell: [
      ['plain-flour', 300],
      ['water', 150],
      ['sunflower-oil', 30],
    ],
    filling: [
      ['minced-beef', 300],
      ['onion', 100],
    ],
  },
  { pieces: 8, servings: 4 },
)

describe('what an adaptation brings unasked', () => {
  it('names allergens that were not there', () => {
    // Kept if it can be, unless the cook says that it need not.
    const { before, evaluation } = adapt(pockets, ['vegan'], reference, { weights: { kept: 0 } })
    const { allergens } = brings(before, evaluation, reference.diets, ['vegan'])
    expect(allergens).toContain('Soybeans')
    expect(allergens).not.toContain('Cereals containing gluten')
  })

  it('names diets that were kept and are no longer, and not those that were asked for', () => {
    const { before, evaluation } = adapt(pockets, ['keto'], reference, { weights: { kept: 0 } })
    const { dietsLost } = brings(before, evaluation, reference.diets, ['keto'])
    const lost = reference.diets.filter(({ name }) => dietsLost.includes(name))
    expect(lost.length).toBeGreaterThan(0)
    for (const diet of lost) {
      expect(before.diets.find((one) => one.diet === diet.id)?.fits, diet.id).toBe(true)
      expect(evaluation.diets.find((one) => one.diet === diet.id)?.fits, diet.id).toBe(false)
    }
    expect(lost.map((diet) => diet.id)).not.toContain('keto')
  })

  it('is nothing where a stand-in keeps what the recipe keeps', () => {
    for (const ids of [['vegan'], ['gluten-free'], ['vegan', 'gluten-free']]) {
      const { before, evaluation, unmet } = adapt(pockets, ids, reference)
      expect(unmet).toEqual([])
      expect(brings(before, evaluation, reference.diets, ids), ids.join()).toEqual({
        allergens: [],
        dietsLost: [],
      })
    }
  })

  it('is nothing where nothing changes', () => {
    const { before } = adapt(pockets, ['vegan'], reference)
    expect(brings(before, before, reference.diets, [])).toEqual({ allergens: [], dietsLost: [] })
  })
})

describe('lines without a weight', () => {
  const open = {
    ...pockets,
    parts: pockets.parts.map((part) =>
      part.kind === 'filling'
        ? {
            ...part,
            lines: [
              ...part.lines,
              { ...part.lines[0]!, id: 'open1', raw: 'some ham', name: 'ham', foodId: 'ham', grams: null },
              {
                ...part.lines[0]!,
                id: 'open2',
                raw: 'surimi',
                name: 'surimi',
                foodId: 'surimi',
                grams: null,
              },
            ],
          }
        : part,
    ),
  }

  it.each([[['vegan', 'high-protein']], [['vegetarian', 'keto']], [['vegan', 'gluten-free']]])(
    'are swapped or reported when the search looks for %s',
    (diets) => {
      const { recipe, unmet, changes } = adapt(open, diets, reference)
      const asked = reference.diets.filter((diet) => diets.includes(diet.id))
      for (const { line } of allLines(recipe)) {
        const food = foodOf(line, reference.foods)
        if (!food || line.grams !== null) continue
        const broken = asked.some((diet) => foodAgainstDiet(food, diet).breaks.length)
        if (broken) expect(unmet.map((one) => one.lineId)).toContain(line.id)
      }
      expect(changes.some((change) => change.lineId === 'open1')).toBe(true)
    },
  )

  it('stay where they are locked', () => {
    const { recipe } = adapt(open, ['vegan', 'high-protein'], reference, { locks: { lineIds: ['open1'] } })
    expect(allLines(recipe).find(({ line }) => line.id === 'open1')?.line.foodId).toBe('ham')
  })
})
