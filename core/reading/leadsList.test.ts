import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const DOUGH = [
  ['200 g flour', 'plain-flour'],
  ['100 ml water', 'water'],
] as const
const FILLING = [
  ['300g chicken mince', 'minced-chicken'],
  ['1 leek', 'leek'],
  ['a thumb of ginger', 'ginger'],
  ['2 cloves garlic', 'garlic'],
] as const
const WORK = 'Knead the dough, rest 30 minutes, mix the filling, cut 24 rounds, fill and boil for 5 minutes.'
const LEADS = ['You need', "You'll need", 'I use', 'Take', 'We need', 'Get', 'So you need'] as const
const JOINED: readonly [name: string, (list: readonly string[]) => string][] = [
  ['commas', (list) => list.join(', ')],
  ['a last "and"', (list) => `${list.slice(0, -1).join(', ')} and ${list.at(-1)!}`],
  ['nothing but "and"', (list) => list.join(' and ')],
]

const idsIn = (text: string, kind: 'shell' | 'filling') =>
  readRecipe(text, foods)
    .recipe.parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId }) => foodId))

describe('a list that a sentence leads', () => {
  describe.each(LEADS)('%s …', (lead) => {
    it.each(JOINED)('joined by %s', (_, join) => {
      const list = join([...DOUGH, ...FILLING].map(([text]) => text))
      for (const text of [
        `Chicken dumplings. ${lead} ${list}. ${WORK}`,
        `Chicken dumplings\n\n${lead} ${list}.\n\n${WORK}`,
      ]) {
        expect(idsIn(text, 'shell')).toEqual(DOUGH.map(([, id]) => id))
        expect(idsIn(text, 'filling')).toEqual(FILLING.map(([, id]) => id))
      }
    })
  })

  it('is none where the work goes on in it', () => {
    const { recipe } = readRecipe(
      'Cheese rolls\n\n300 g flour\n150 ml water\n\n200 g feta\n2 eggs\n\nTake 2 eggs, beat them, add 200 g feta, mix and fill. Bake 20 minutes at 200C.',
      foods,
    )
    expect(recipe.parts.flatMap(({ lines }) => lines)).toHaveLength(4)
    expect(recipe.method[0]).toContain('Take 2 eggs')
  })
})
