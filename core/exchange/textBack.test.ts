import { describe, expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import { everyFewOfCorpus } from '../../test/readCorpus'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import { exportRecipe } from './exportRecipe'

/** Weights go out in grams, and tenths below a hundred: nothing else may be lost. */
const KEPT_TO_GRAMS = 0.6
const KEPT_TO_SHARE = 0.005

describe('a recipe of any hand, out as text and in again', () => {
  it('keeps every gram', () => {
    const lost: string[] = []
    for (const { name, intake } of everyFewOfCorpus()) {
      const { recipe } = intake
      const { text: out } = exportRecipe(recipe, evaluate(recipe, reference), foods, 'text')
      const back = readRecipe(out, foods).recipe
      const total = (one: typeof recipe) => {
        const sum = new Map<string, number>()
        for (const { foodId, grams } of one.parts.flatMap(({ lines }) => lines))
          if (foodId && grams) sum.set(foodId, (sum.get(foodId) ?? 0) + grams)
        return sum
      }
      const [before, after] = [total(recipe), total(back)]
      for (const [id, grams] of before)
        if (Math.abs((after.get(id) ?? 0) - grams) > KEPT_TO_GRAMS + KEPT_TO_SHARE * grams)
          lost.push(`${name}: ${id} ${grams.toFixed(1)} -> ${(after.get(id) ?? 0).toFixed(1)}`)
      if (back.pieces !== recipe.pieces) lost.push(`${name}: pieces ${recipe.pieces} -> ${back.pieces}`)
    }
    expect(lost).toEqual([])
  })
})
