import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { withPastTold } from './pastTold'
import { readRecipe } from './readRecipe'
import { tidy } from './tidy'

const told = (text: string) =>
  withPastTold(tidy(text))
    .map((row) => row.text)
    .join('\n')

describe('work that is told afterwards', () => {
  it.each([
    [
      'I chopped the leeks and fried them 8 min. Then I rolled out the pastry.',
      /^I chop the leeks and fry them/,
    ],
    ['Kneaded it well, rested it 30 min. Rolled it thin.', /^Knead it well, rest it 30 min\. Roll it thin/],
    [
      'then i rolled out the dough cut rounds filled them folded them and baked them',
      /fill them fold them and bake/,
    ],
    ['I made the dough. Stirred in chopped dill.', /Stir in chopped dill/],
    ['I fried the onion until softened and browned. Mixed it in.', /until softened and browned/],
    ['I mixed the butter that I had softened. Rested it an hour.', /that I had softened/],
    ['I rolled it out and cut circles. Pressed the edges. Got 14.', /Got 14/],
    [
      'I fried onions, added left over lamb and ground beef for 5 min. Rolled it out.',
      /add left over lamb and ground beef/,
    ],
    ['I rolled it out. Pressed the edges. Served 4 with yogurt.', /Served 4/],
  ])('%s', (text, wanted) => {
    expect(told(text)).toMatch(wanted)
  })

  it.each([
    'Fried onions 50 g\nMixed spice 1 tsp\nChopped dill',
    'Baked samosas\n250 g flour\nMix the flour. Rest it. Bake.',
    // A story above a method.
    'I rolled these with my aunt. We filled them with leeks.\n250 g flour\nMix the flour with water. Knead it. Rest 20 min. Roll it out. Fill, fold. Bake 20 min.',
  ])('leaves alone what is no work that was done: %s', (text) => {
    expect(told(text)).toBe(text)
  })

  it('reads a recipe told so as one that tells what to do, and keeps its words', () => {
    const { recipe } = readRecipe(
      `Leek pies
250 g flour
125 g butter
60 ml water
300 g leeks
20 g butter

I rubbed the butter into the flour, added the water and rested the dough for 30 minutes. I softened the leeks in the butter for 10 minutes and cooled them. Rolled it out, cut 8 circles, filled them and folded them. Baked at 200 C for 25 minutes.`,
      foods,
    )
    expect(recipe.pieces).toBe(8)
    expect(recipe.cooking).toMatchObject({ way: 'bake', temperatureC: 200, minutes: 25 })
    expect(recipe.parts.find(({ kind }) => kind === 'filling')).toMatchObject({
      cookedBy: 'fry',
      cookedMinutes: 10,
    })
    expect(recipe.facts.map(({ kind, low }) => `${kind} ${low}`)).toContain('rest-minutes 30')
    expect(recipe.method.join(' ')).toContain('I rubbed the butter into the flour')
  })
})
