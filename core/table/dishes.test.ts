import { describe, expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import { recipeSchema } from '../recipe/schema'
import { scaleRecipe } from '../recipe/scale'
import { dishesOf, type KindToMake } from './dishes'

const read = (filling: string, flour = 300) =>
  readRecipe(
    `Half-moons\nMakes 12\nDough\n${flour} g plain flour\n150 ml water\n30 ml oil\nFilling\n${filling}\nMethod\nFry the filling. Bake at 190 C for 25 minutes.`,
    foods,
  ).recipe
const kind = (id: string, filling: string, pieces: number, flour?: number): KindToMake => ({
  id,
  recipe: scaleRecipe(read(filling, flour), pieces / 12),
  pieces,
  name: id,
})

describe('dishes of a table', () => {
  it('are one where only the filling differs: one dough, the fillings with their pieces', () => {
    const kinds = [
      kind('lamb', '400 g minced lamb\n1 onion', 8),
      kind('bean', '400 g cooked white beans\n1 onion', 4),
    ]
    const [dish, ...others] = dishesOf(kinds, 'Half-moons')
    expect(others).toEqual([])
    expect(dish!.kinds).toEqual(['lamb', 'bean'])
    const { recipe } = dish!
    expect(recipeSchema.safeParse(recipe).success).toBe(true)
    expect(recipe.title).toBe('Half-moons, lamb and bean')
    expect(recipe.pieces).toBe(12)
    const shell = recipe.parts.filter((part) => part.kind === 'shell')
    expect(shell).toHaveLength(1)
    expect(shell[0]!.lines[0]!.grams).toBeCloseTo(300, 6)
    const fillings = recipe.parts.filter((part) => part.kind === 'filling')
    expect(fillings.map(({ name, pieces }) => [name, pieces])).toEqual([
      ['Filling, lamb', 8],
      ['Filling, bean', 4],
    ])
    // Together they hold what they held apart.
    const energy = (one: typeof recipe) => evaluate(one, reference).perPiece.energyKcal * one.pieces
    expect(energy(recipe)).toBeCloseTo(energy(kinds[0]!.recipe) + energy(kinds[1]!.recipe), 6)
    const each = evaluate(recipe, reference).fillings
    expect(each.map(({ pieces }) => pieces)).toEqual([8, 4])
    expect(each[0]!.perPiece.energyKcal).toBeCloseTo(
      evaluate(kinds[0]!.recipe, reference).perPiece.energyKcal,
      6,
    )
  })

  it('stay apart where the doughs differ', () => {
    const kinds = [kind('a', '400 g minced lamb', 6), kind('b', '400 g minced lamb', 6, 330)]
    expect(dishesOf(kinds, 'Half-moons').map((dish) => dish.kinds)).toEqual([['a'], ['b']])
  })
})
