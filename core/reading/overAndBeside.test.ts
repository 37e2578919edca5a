import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readRecipe } from './readRecipe'

const DOUGH = '250 g plain flour\n120 ml water\n1/2 tsp salt'

/** Every part but the dough, with its foods. */
const parts = (list: string, steps: string, head = 'Dumplings\nMakes 20') =>
  readRecipe(`${head}\n\n${DOUGH}\n\n${list}\n\n${steps}`, foods)
    .recipe.parts.filter(({ kind }) => kind !== 'shell')
    .map(({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`)

describe('what stands below a blank line behind the filling', () => {
  const MEAT = '300 g minced lamb\n1 onion, grated\n2 tbsp parsley'
  const STEPS = 'Knead, rest 30 min. Roll, cut squares, fill, pinch the corners up. Boil 10 minutes.'

  it('is a sauce, where the method pours it over the cooked pieces', () => {
    expect(
      parts(
        `${MEAT}\n\n500 g thick yogurt\n2 cloves garlic\n\n50 g butter\n1 tbsp tomato paste`,
        `${STEPS} Beat the yogurt with the garlic and pour over. Melt the butter with the tomato paste and drizzle on top.`,
      ),
    ).toEqual([
      'filling: minced-lamb onion parsley',
      'finish: butter tomato-puree',
      'dip: greek-yogurt garlic',
    ])
  })

  it('goes in, where the method says so before it closes a piece', () => {
    expect(
      parts(
        `${MEAT}\n\n200 g thick yogurt\n2 cloves garlic`,
        'Knead, rest 30 min. Stir the yogurt and garlic into the meat. Roll, cut squares, fill, pinch the corners up. Boil 10 minutes. Serve hot over rice.',
      ),
    ).toEqual(['filling: minced-lamb onion parsley greek-yogurt garlic'])
  })
})

describe('what is named alone once the pieces are closed', () => {
  const list = '300 g minced pork\n1 onion\n1 egg\n1 tsp sesame seeds'
  it.each([
    'Mix the pork and onion. Fill, fold, crimp, egg, two holes. Sesame. Bake 180C 25 min.',
    'Mix the pork and onion. Fill, fold, crimp. Egg, sesame. Bake 180C 25 min.',
  ])('goes on top: %s', (steps) => {
    expect(parts(list, steps)).toEqual(['filling: minced-pork onion', 'finish: egg sesame-seed'])
  })

  it('is the honey that is eaten with them', () => {
    expect(
      parts(
        '250 g ricotta\n100 g honey',
        'Fill with ricotta, fold and seal. Bake 180C 20 min. Warm honey on top.',
      ),
    ).toEqual(['filling: ricotta', 'finish: honey'])
  })

  it('stays inside where it is mashed in', () => {
    expect(
      parts(
        '200 g feta\n100 g ricotta\n1 egg',
        'Mash feta, ricotta, egg. Fill, fold and seal. Bake 180C 20 min.',
      ),
    ).toEqual(['filling: feta ricotta egg'])
  })
})

describe('a wash', () => {
  it('is found below a sauce', () => {
    const { recipe } = readRecipe(
      `Chicken pockets\nMakes 10\n\nDough\n${DOUGH}\n\nFilling\n300 g cooked chicken\n\nGarlic sauce\n100 g mayonnaise\n2 cloves garlic\n\n1 egg yolk + 1 tbsp milk\nblack sesame\n\nKnead. Fill, fold and seal. Brush with the yolk, sesame. Bake 200C 15 min.`,
      foods,
    )
    expect(recipe.parts.find(({ kind }) => kind === 'finish')?.lines.map(({ foodId }) => foodId)).toEqual([
      'egg-yolk',
      'milk',
      'sesame-seed',
    ])
  })

  it("leaves the dough's own egg in the dough", () => {
    const { recipe } = readRecipe(
      'Custard buns\nMakes 9\n\nDough - 400 g bread flour, 7 g yeast, 200 ml milk, 1 egg, 60 g butter\nCustard - 200 ml milk, 2 yolks, 40 g sugar\n\nDough: mix, knead 10 mins, adding butter last.\nCustard: heat milk, whisk yolks and sugar, pour on milk.\nShape 9 balls, fill with the custard. Egg wash the edges. 180C 18 mins.',
      foods,
    )
    expect(recipe.parts.find(({ kind }) => kind === 'shell')?.lines.map(({ foodId }) => foodId)).toContain(
      'egg',
    )
  })
})

describe('what the method uses by the hand', () => {
  const unlisted = (list: string, steps: string) =>
    readRecipe(
      `Pasties\nMakes 4\n\nPastry\n${DOUGH}\n\nFilling\n${list}\n\n${steps}`,
      foods,
    ).recipe.notes.find(({ code }) => code === 'unlisted')?.text ?? ''

  it('is said where no line lists it', () => {
    expect(
      unlisted(
        '300 g beef\n300 g potatoes\n1 tsp salt',
        'Layer beef and potatoes, a knob of butter on top. Fold, crimp. Bake 200C 40 min.',
      ),
    ).toContain('knob of butter')
  })

  it('is not said of what is listed, by whatever name', () => {
    expect(
      unlisted('200 g feta\n1 tsp salt', 'A dollop of cheese on each. Fold, crimp. Bake 200C 40 min.'),
    ).toBe('')
  })

  it('is the salt of a filling, where only the dough has any', () => {
    const said = unlisted(
      '300 g beef\n300 g potatoes',
      'Mix the beef and potatoes, season well. Fold, crimp. Bake 200C 40 min.',
    )
    expect(said).toContain('salt in “Filling”')
    expect(unlisted('300 g beef\nsalt', 'Mix the beef, season well. Fold, crimp. Bake 200C 40 min.')).toBe('')
  })
})
