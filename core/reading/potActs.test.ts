import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { PrecookingWay } from '../recipe/precookingWays'
import { newDraft } from './drafts'
import { Pot } from './pot'
import { ACTS, act, type ActName, type Scene } from './potActs'
import { potLinesOf } from './potLines'
import { Objects } from './potStretch'
import { TURNS } from './potWay'
import { MIN_POURED_SHARE } from './potWords'
import { readIngredient } from './readIngredient'

const LINES = [
  '300 g potatoes',
  '1 onion',
  '100 g mushrooms',
  '100 g cheddar',
  '1 egg',
  '300 g beef mince',
  '100 g green beans',
  '50 g peas',
  '1 tbsp parsley, chopped',
  '1 tomato',
  '2 tbsp oil',
  '1 tbsp butter',
  '2 apples',
]

/** What each stretch of a text does, and the pot behind them; with stock among the lines the pot is wet. */
function follow(text: string) {
  const lines = potLinesOf(
    newDraft('filling', {
      lines: [...LINES, ...(/stock/.test(text) ? ['200 ml stock'] : [])].map((line) =>
        readIngredient(line, foods),
      ),
    }),
  )
  const pot = new Pot(lines.pouredShare > MIN_POURED_SHARE)
  const scene: Scene = {
    pot,
    lines,
    objects: new Objects(lines),
    untilDry: false,
    clauseWay: null,
    inPanAlone: false,
    onBoard: [],
  }
  const acts: (ActName | null)[] = []
  const ways: (PrecookingWay | null)[] = []
  for (const sentence of text.split(/(?<=\.) /)) {
    scene.objects.startClause(sentence, sentence, pot.hot !== null)
    scene.clauseWay = null
    for (const stretch of scene.objects.stretchesOf(sentence, sentence, pot)) {
      acts.push(act(stretch, scene))
      ways.push(scene.clauseWay)
    }
  }
  return { acts, ways, pot }
}

describe('what a stretch of a sentence does to the pot', () => {
  it.each(Object.entries(ACTS).map(([name, { says }]) => [says, name]))('%s: %s', (says, name) => {
    expect(follow(says).acts.at(-1)).toBe(name)
  })

  it.each(TURNS.map(({ says, to }) => [says, to]))('%s: %s', (says, to) => {
    expect(follow(says).ways.at(-1)).toBe(to)
  })
})
