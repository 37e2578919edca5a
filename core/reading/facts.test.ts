import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const read = (steps: string) =>
  readRecipe(
    `Pork buns\nMakes 12\n\nDough\n300 g flour\n160 g water\n50 g lard\n\nFilling\n300 g minced pork\n1 onion\n\nMethod\n${steps}`,
    foods,
  ).recipe
/** Every time that the steps state, with the part it is of. */
const times = (steps: string) => {
  const recipe = read(steps)
  return recipe.facts
    .filter(({ kind }) => /^(?:rest|chill|rise|knead|rest-before-eating)-minutes$/.test(kind))
    .map(
      ({ kind, low, partId }) =>
        `${kind.replace('-minutes', '')} ${low} ${recipe.parts.find(({ id }) => id === partId)?.kind ?? 'piece'}`,
    )
}
const FOLD = 'Roll, fill, gather and pinch.'

describe('times go to the part that they are of', () => {
  it.each([
    ['Rub the lard into the flour. Fridge 20 min.', ['chill 20 shell']],
    ['Mix the dough till smooth (8 min by hand), rest 10 min.', ['knead 8 shell', 'rest 10 shell']],
    ['Mix the dough, bulk 5 hours at room temperature.', ['rise 300 shell']],
    ['Mix the dough. In the fridge for 30 min.', ['chill 30 shell']],
    ['Knead the dough 8 min. Keep covered 20 min.', ['knead 8 shell', 'rest 20 shell']],
    ['Boil the lard and water, pour on to the flour. Mix and rest 10 min.', ['rest 10 shell']],
    ['Mix the pork and onion. Chill 1 hour.', ['chill 60 filling']],
    ['Mix the pork and onion. Divide into 12, bench rest 15 min.', ['rest 15 shell']],
  ])('%s', (steps, said) => {
    expect(times(`${steps} ${FOLD} Steam.`)).toEqual(said)
  })

  it('is of the pieces once they are closed', () => {
    expect(times(`Knead the dough. ${FOLD} Rest 20 min. Steam 12 min.`)).toEqual(['rest 20 piece'])
  })

  it('is a rest before eating once they are done', () => {
    expect(times(`${FOLD} Steam 12 min. Turn off the heat, leave the lid on 3 min.`)).toEqual([
      'rest-before-eating 3 piece',
    ])
    expect(times(`${FOLD} Bake at 190 °C for 20 min. Stand 10 min.`)).toEqual(['rest-before-eating 10 piece'])
  })

  it.each([
    'Steam 12 min, off the fire, leave 2 min then open the lid.',
    'Steam 12 min, wait 2 min before lifting the lid.',
    'Steam for 12 minutes. Turn off the flame and wait 2 minutes.',
  ])('waits behind the steam: %s', (steps) => {
    expect(times(`${FOLD} ${steps}`)).toEqual(['rest-before-eating 2 piece'])
  })

  it.each([
    ['Salt the onion, 15 minutes, squeeze, mix with the pork.', 'rest 15 filling'],
    ['Toss the onion with salt and let it sit for 20 minutes.', 'rest 20 filling'],
    ['Rub the onion with salt, leave 10 minutes and squeeze out all the water.', 'rest 10 filling'],
    ['Marinate the pork 30 minutes.', 'rest 30 filling'],
  ])('is of the filling: %s', (steps, said) => {
    expect(times(`Knead the dough 8 min. ${steps} ${FOLD} Steam.`)).toEqual(['knead 8 shell', said])
  })

  it('counts a second rest of the same length', () => {
    const steps = 'Knead the dough, rest 30 min. Knead the dough again and rest another 30 min.'
    expect(times(`${steps} ${FOLD} Steam.`)).toEqual(['rest 30 shell', 'rest 30 shell'])
  })

  it('a ball of what goes in is no ball of dough', () => {
    const grams = (steps: string) =>
      read(steps)
        .facts.filter(({ kind }) => /grams/.test(kind))
        .map(({ kind, low }) => `${kind} ${low}`)
    expect(grams(`Roll the pork into 12 balls of 25 g. ${FOLD} Steam.`)).toEqual([
      'filling-grams-per-piece 25',
    ])
    expect(grams(`Roll the dough into 12 balls of 40 g. ${FOLD} Steam.`)).toEqual(['ball-grams 40'])
  })
})
