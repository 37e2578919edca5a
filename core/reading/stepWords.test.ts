import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { startsLikeStep } from './stepWords'

/** Verbs that are as often a food, a cut or an amount. */
const VERBS =
  'Skin|Core|Stone|Pit|Bone|Top and tail|Shell|Zest|Dice|Mince|Purée|Sieve|Salt|Dot|Parboil|Defrost|Strip|Butter|Deseed|De-stem|Finely chop|Thinly slice|Caramelise|Bung|Squash|Scrunch|Massage|Drizzle|Slash|Shred|Brown|Flake'.split(
    '|',
  )
const LIST =
  'Sausage and apple parcels\n\n300 g flour\n150 ml water\n\n6 sausages\n1 apple\n1 tsp dried sage\n1 onion'

describe('work that begins with a word that may be a food', () => {
  it.each(VERBS)('%s the …: is done, and nothing of it is bought again', (verb) => {
    const { recipe } = readRecipe(
      `${LIST}\n\n${verb} the sausages, mash with the apple, sage and onion.\nFill the rounds, seal and bake at 200C for 25 minutes. Makes 8.`,
      foods,
    )
    expect(recipe.parts.flatMap(({ lines }) => lines)).toHaveLength(6)
    expect(recipe.method[0]).toContain(`${verb} the sausages`)
  })

  it.each([
    'Close with a fork',
    'Distribute the filling',
    'Share the cheese between the rounds',
    'Save a little of the cheese',
    'Split the dough into 8',
    'Secure the edges with water',
    'Tie the ends',
    'Wait until it has risen',
    'Encase it all',
  ])('%s: is done', (step) => {
    expect(startsLikeStep(step)).toBe(true)
  })

  it.each([
    'butter',
    'salt and pepper',
    'brown onions, 2',
    'diced ham',
    'stone ground flour 300 g',
    'squash, 1 small',
    'slice of ham',
    'pinch of salt',
    'drizzle of oil',
    'zest of 1 lemon',
    'skin-on chicken thighs',
    'split peas, 200 g',
    'double cream 100 ml',
    'clear honey',
    'string cheese, 4',
    'smooth peanut butter',
    'open mushrooms, 4',
    'mark 4 flour',
  ])('%s: is bought', (line) => {
    expect(startsLikeStep(line)).toBe(false)
  })
})
