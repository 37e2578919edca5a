import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'
import { foodsTold } from './toldFoods'

// Recipes that somebody tells in a few sentences, without a list: what leads up to the foods, what they are, and what is
// done with them are put together from many wordings, and what is in each part has to be found whatever the talk is.

interface Words {
  said: string
  /** The foods by their ids, or how the pieces are cooked. */
  means: string
}
const DOUGHS: readonly Words[] = [
  {
    said: '300g plain flour, 150g cold butter, a pinch of salt and about 5 tbsp cold water',
    means: 'plain-flour butter salt water',
  },
  {
    said: 'two cups of flour, half a teaspoon of salt and three quarters of a cup of hot water',
    means: 'plain-flour salt water',
  },
  { said: '2 cups atta, salt, 1 tbsp oil and water as needed', means: 'atta salt sunflower-oil water' },
  {
    said: 'bread flour (500g), yeast (7g), salt (1 tsp), warm milk (300 ml) and butter (60 g)',
    means: 'strong-flour instant-yeast salt milk butter',
  },
]
const LEADS = [
  'So basically I take ',
  'The dough is ',
  'For the dough I use ',
  'Dough: ',
  'First I mix ',
  'Okay so you take ',
  'I make the dough with ',
  'What I do is take ',
  'We use ',
]
const WORKS = [
  ', kneaded for 5 minutes and rested for half an hour.',
  '. Knead 5 min, rest 30 min.',
  ' and knead that 5 minutes, then let it rest for 30.',
  ' together, knead for 5 minutes and leave covered 30 minutes.',
]
const FILLINGS: readonly Words[] = [
  {
    said: 'fry an onion in 1 tbsp oil, add 300g minced pork, 2 tbsp soy sauce and a teaspoon of ginger and cook 8 minutes',
    means: 'onion sunflower-oil minced-pork soy-sauce ginger',
  },
  {
    said: 'mix 300g raw minced chicken with 2 chopped spring onions, 1 tbsp soy sauce and a grated carrot',
    means: 'minced-chicken spring-onion soy-sauce carrot',
  },
  {
    said: 'wilt 400g spinach, squeeze it out, chop it and mix with 200g feta, an egg and a little nutmeg',
    means: 'spinach feta egg nutmeg',
  },
  {
    said: 'boil 500g potatoes until soft and mash them with 100g grated cheddar and 2 spring onions',
    means: 'potato cheddar spring-onion',
  },
]
const GO_ON = [
  'For the filling ',
  'For the filling I ',
  'Meanwhile ',
  'While that rests ',
  'Then I ',
  'Filling: ',
]
const COOKED: readonly Words[] = [
  { said: 'Bake 20 min at 200C.', means: 'bake 20' },
  { said: 'Steam for 10 minutes.', means: 'steam 10' },
  { said: 'Deep fry at 180C for 4 minutes.', means: 'deep-fry 4' },
  { said: 'Cook on a hot dry pan 2 minutes each side.', means: 'griddle 4' },
]
const TITLES = ['', 'Little parcels\n', 'Little parcels. ', "My aunt's parcels\n\n"]

/** One of each kind of wording, so that each meets most of the others. */
const made = Array.from({ length: 288 }, (_, at) => {
  const pick = <T>(from: readonly T[], turn: number): T => from[(at + Math.floor(at / turn)) % from.length]!
  const dough = pick(DOUGHS, 5)
  const filling = pick(FILLINGS, 7)
  const cooked = pick(COOKED, 11)
  return {
    text: `${pick(TITLES, 13)}${pick(LEADS, 3)}${dough.said}${pick(WORKS, 9)} ${pick(GO_ON, 4)}${filling.said}. Divide the dough into 12, roll out, fill, fold over and seal. ${cooked.said}`,
    dough,
    filling,
    cooked,
  }
})

describe('recipes that are told', () => {
  it.each(made)('$text', ({ text, dough, filling, cooked }) => {
    const { parts, pieces, cooking, facts } = readRecipe(text, foods).recipe
    const idsOf = (kind: string) =>
      parts
        .filter((part) => part.kind === kind)
        .flatMap(({ lines }) => lines.map(({ foodId }) => foodId))
        .filter((id) => kind !== 'filling' || id !== 'salt')
        .sort()
        .join(' ')
    expect(idsOf('shell')).toBe(dough.means.split(' ').sort().join(' '))
    expect(idsOf('filling')).toBe(filling.means.split(' ').sort().join(' '))
    expect(`${cooking.way} ${cooking.minutes}`).toBe(cooked.means)
    expect(pieces).toBe(12)
    expect(facts.map(({ kind, low }) => `${kind} ${low}`).slice(0, 2)).toEqual([
      'knead-minutes 5',
      'rest-minutes 30',
    ])
  })
})

describe('foods that a sentence names', () => {
  it.each([
    ['Brush with 1 egg and a splash of milk.', 'brush 1 egg, brush a splash of milk'],
    ['Put 1 tbsp of filling in the middle and fold.', ''],
    ['Divide the dough into 10 and let them sit 30 minutes.', ''],
    ['Heat 2 tbsp oil in a pan and add the onions.', 'heat 2 tbsp oil'],
    [
      'Add salt, pepper and a good handful of parsley.',
      'add salt to taste, add pepper to taste, add a good handful of parsley',
    ],
    ['Spread 1 lb taco mixture (ground beef and onion).', 'spread 1 lb ground beef, spread onion'],
    ['Bake at 190 for 20 minutes.', ''],
    ['Add the remaining 50 g cheese.', ''],
  ])('%s', (sentence, wanted) => {
    expect(
      foodsTold(sentence, foods)
        .map(({ verb, text }) => `${verb} ${text}`)
        .join(', '),
    ).toBe(wanted)
  })
})

describe('a list that is told with what is done to it', () => {
  it('is a list, and the work is kept', () => {
    const { recipe } = readRecipe(
      `Potato pierogi

For the dough I use 3 cups flour, 1 cup sour cream and 1 egg. Filling is 5 medium potatoes boiled and mashed with 200 g farmer's cheese, salt and pepper, and one onion that I fry in 2 tablespoons butter until golden.
Roll thin and cut 3 inch rounds, fill and pinch shut. You'll get about 4 dozen. Boil them 5 minutes.`,
      foods,
    )
    const [shell, filling] = recipe.parts
    expect(shell!.lines.map(({ foodId }) => foodId)).toEqual(['plain-flour', 'sour-cream', 'egg'])
    expect(filling!.lines.map(({ foodId }) => foodId)).toEqual([
      'boiled-potato',
      'twarog',
      'salt',
      'black-pepper',
      'onion',
      'butter',
    ])
    expect(recipe.method.join(' ')).toContain('boiled and mashed')
    expect(recipe.pieces).toBe(48)
  })

  it('takes what stands in brackets for what it is, and one loaf that is plaited for one', () => {
    const { recipe } = readRecipe(
      `Tex-Mex bread

Use a 1 lb. loaf frozen bread dough, thawed. Roll into 10x14 rectangle. Spread 1 lb browned taco meat (ground beef w/ 1 packet taco seasoning) and 1 1/2 cups shredded cheddar down the center third. Cut strips on both sides and braid over the filling. Bake at 350 degrees 30 mins. Slice, serves 6.`,
      foods,
    )
    expect(recipe.parts[1]!.lines.map(({ foodId, grams }) => [foodId, Math.round(grams!)])).toEqual([
      ['minced-beef', 454],
      ['taco-seasoning', 28],
      ['cheddar', 170],
    ])
    expect([recipe.pieces, recipe.servings, recipe.shape]).toEqual([1, 6, 'roll'])
  })

  it('keeps the work of the dough and its salt out of the filling that was listed before it', () => {
    const { recipe } = readRecipe(
      `you're going to need two cups of flour, half a cup of cold butter, an egg, a third of a cup of cold water and a teaspoon of salt for the dough. for the filling half a pound of ground beef, one small onion, half a teaspoon of cumin and two hard boiled eggs. first cut the butter into the flour and salt, add the egg and water, bring it together and let it chill for an hour. brown the beef with the onion for about eight minutes, add the cumin and cook two more minutes. let it cool and add the chopped eggs. roll the dough out and cut ten circles. fill, fold and crimp and bake at three seventy five for twenty five minutes.`,
      foods,
    )
    const [shell, filling] = recipe.parts
    expect(filling!.lines.map(({ foodId, cookedBy }) => [foodId, cookedBy])).toEqual([
      ['minced-beef', null],
      ['onion', null],
      ['cumin', null],
      ['boiled-egg', 'raw'],
    ])
    expect(recipe.facts.find(({ kind }) => kind === 'chill-minutes')).toMatchObject({
      low: 60,
      partId: shell!.id,
    })
  })
})
