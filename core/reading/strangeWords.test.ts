import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { recipeSchema } from '../recipe/schema'
import { readRecipe } from './readRecipe'

// Words that every object of the language knows are words like any other where a cook writes them.

const WORDS = ['constructor', 'valueOf', 'toString', '__proto__', 'hasOwnProperty']
const linesWith = (word: string) => [
  `100 g ${word}`,
  `100 g feta ${word}`,
  `100 g ${word} cheese`,
  `${word} 100 g`,
  `2 ${word} flour`,
  `1 cup ${word} or ${word} milk`,
  `1 onion, ${word} (${word})`,
  `vegan ${word}`,
  `100 g ${word}-free milk`,
  `a ${word} of ${word}`,
  `200 g canned ${word}`,
]

describe.each(WORDS)('"%s"', (word) => {
  it.each(linesWith(word))('%s', (line) => {
    const { recipe } = readRecipe(
      `Pockets ${word}\n\nDough ${word}\n200 g flour\n100 ml water\n\nFilling\n${line}\n\nMethod\nFry the ${word} in ${word}. Fold, and bake at 200C for 20 ${word}.`,
      foods,
    )
    expect(recipeSchema.safeParse(recipe).success).toBe(true)
    // Underscores are marks, as in "__Dough__".
    expect(JSON.stringify(recipe)).toContain(word.replaceAll('_', ''))
  })
})
