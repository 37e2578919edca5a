import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { HANDS } from '../../test/hands'
import { corpus, score } from '../../test/readingCorpus'
import { outlineOf } from './outline'
import { readRecipe } from './readRecipe'
import { tidy } from './tidy'

/** Each hand writes every so many-th text of the collection, beginning with another one. */
const EVERY = Number(process.env.EVERY_TEXT ?? 23)

describe('the same recipe from another hand', () => {
  const texts = corpus()
  it.each(HANDS.map((hand, at) => ({ ...hand, at })))('$name', ({ write, percent, at }) => {
    const own = texts.filter((_, index) => index % EVERY === at % EVERY)
    const others = own.flatMap(({ name, text, expect: wanted }) => {
      const { became } = outlineOf(tidy(text), foods)
      const rows = text.split('\n')
      const written = write({ rows, became: (row) => became.get(row) ?? 'left-out' }).join('\n')
      const { recipe } = readRecipe(written, foods)
      // Into how many steps the method falls is the hand's.
      const wrong = score(
        recipe,
        wanted.filter((row) => !row.startsWith('steps ')),
      ).filter(({ right }) => !right)
      return wrong.length ? [`${name}: ${wrong.map(({ says }) => says).join('; ')}`] : []
    })
    expect(others.length, others.join('\n')).toBeLessThanOrEqual(Math.ceil((percent / 100) * own.length))
  })
})
