import { describe, expect, it } from 'vitest'
import { brokenLaws } from '../../test/adaptLaws'
import { anyRecipe, RANDOM_FROM, RANDOM_RECIPES } from '../../test/anyRecipe'

describe('any recipe with any diets', () => {
  it(
    'is adapted or refused in words, claims nothing that is not so, and weighs what can be',
    () => {
      for (let seed = RANDOM_FROM; seed < RANDOM_FROM + RANDOM_RECIPES; seed++) {
        const { recipe, diets } = anyRecipe(seed)
        expect(brokenLaws(recipe, diets), `seed ${seed}, ${diets.join(', ')}`).toEqual([])
      }
    },
    60_000 + 100 * RANDOM_RECIPES,
  )
})
