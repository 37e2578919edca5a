import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { SAID_BEHIND } from './behindWork'
import { readRecipe } from './readRecipe'

const LIST = `Beef empanadas

Dough:
3 cups flour
1 tsp salt
1/2 cup lard
3/4 cup water

Filling:
1 lb ground beef
1 onion, chopped
2 tbsp olive oil
`
const WORK = `Mix the dough and rest 30 minutes. Cook the onion in the oil 5 minutes, add the beef and cook 10 minutes. Divide into 12 balls, roll to 5 inch rounds, fill with 2 tbsp each and crimp. Bake at 400F for 20 minutes.`
const read = (text: string) => readRecipe(text, foods).recipe
/** What is made, how many and how: all but what is remarked. */
const heart = (text: string) => {
  const { pieces, servings, cooking, shape, parts, method } = read(text)
  return {
    pieces,
    servings,
    cooking,
    shape,
    steps: method.length,
    lines: parts.map(({ kind, lines }) => [kind, lines.map(({ foodId, grams }) => [foodId, grams])]),
  }
}
const HEADED = `${LIST}\nMethod\n${WORK}`
const BARE = `${LIST}\n${WORK}`

describe('what is said behind the work', () => {
  it.each(SAID_BEHIND.map(({ like }) => like))('"%s" changes nothing of the dish, and is kept', (like) => {
    for (const text of [HEADED, BARE]) {
      const with_ = `${text}\n\n${like}`
      expect(heart(with_)).toEqual(heart(text))
      expect(
        read(with_)
          .notes.map((note) => note.text)
          .join(' '),
      ).toContain(like.replace(/\.$/, ''))
    }
  })

  it.each(['Posted in baking, snacks', 'These are best eaten warm.', 'So good!'])(
    '"%s" below a list and its work is no food',
    (row) => {
      expect(heart(`${BARE}\n\n${row}`).lines).toEqual(heart(BARE).lines)
    },
  )

  it.each(['Make ahead', 'To freeze', 'Storage', 'Notes'])('"%s" leads remarks', (heading) => {
    const text = `${HEADED}\n\n${heading}\nBake from frozen at 180°C for 35 minutes.`
    expect(heart(text)).toEqual(heart(HEADED))
  })

  it.each([
    ['Serve with a green salad.', 1],
    ['Brush with melted butter when they come out.', 1],
    ['Bake for another 5 minutes if they are pale.', 1],
  ])('"%s" is work all the same', (row, more) => {
    expect(read(`${HEADED}\n\n${row}`).method.length - read(HEADED).method.length).toBe(more)
  })

  it('keeps in mind that they can be frozen', () => {
    const { facts } = read(`${HEADED}\n\nFreezes well for up to 3 months.`)
    expect(facts.map(({ kind }) => kind)).toContain('freezes')
  })
})
