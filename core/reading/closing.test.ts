import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

/** What the hands do to close a piece, as it is said. */
const CLOSED = [
  'pinch them shut',
  'pinch all the way round',
  'squash the edges together',
  'stick down the edges',
  'glue shut with a little water',
  'press firmly round the edges',
  'press down with a fork',
  'flute the edges',
  'make a rope edge',
  'fold it in half',
  'fold one side over the other',
  'fold corner to corner',
  'fold in thirds like a letter',
  'flip the other half over',
  'double it over',
  'bend into a half-moon',
  'bring the dough up round the filling',
  'cup the dough round the filling',
  'draw the edges up',
  'gather it up at the top',
  'close into a ball',
  'shut them',
  'roll it up like a carpet',
  'tuck in the ends and roll',
  'wrap them',
  'lay another round on top',
  'cover with a second one',
  'put the tops on',
  'sandwich them together',
] as const

const made = (method: string) =>
  readRecipe(
    `Lamb things\n\nDough\n300 g flour\n150 ml water\n\nFilling\n300 g minced lamb\n2 onions, chopped\n\nMakes 12\n\n${method}`,
    foods,
  ).recipe

describe('what closes a piece', () => {
  it.each(CLOSED)('%s: what follows cooks the pieces, and the filling has had its own', (closed) => {
    const { cooking, parts } = made(
      `Knead the dough. Fry the lamb and onions for 10 minutes. Roll out, cut 12 circles. Put some on each, ${closed}. Fry gently for 8 minutes.`,
    )
    expect([cooking.way, cooking.minutes]).toEqual(['shallow-fry', 8])
    const filling = parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, filling.cookedMinutes]).toEqual(['fry', 10])
  })

  it.each([
    'Press the lamb together with the onions',
    'Turn the lamb over',
    'Squeeze the onions',
    'Roll the lamb in the cumin',
    'Put the onions on top',
  ])('%s: closes nothing', (work) => {
    const { cooking, parts } = made(
      `Knead the dough. ${work}. Fry gently for 8 minutes. Roll out, cut 12 circles, fill and seal. Bake at 200C for 20 minutes.`,
    )
    expect([cooking.way, cooking.minutes]).toEqual(['bake', 20])
    const filling = parts.find(({ kind }) => kind === 'filling')!
    expect([filling.cookedBy, filling.cookedMinutes]).toEqual(['fry', 8])
  })
})
