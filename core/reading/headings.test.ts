import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readHeading } from './headings'
import { readRecipe } from './readRecipe'

describe('readHeading', () => {
  it.each([
    ['Dough', 'shell'],
    ['For the pastry:', 'shell'],
    ['Wrappers', 'shell'],
    ['For the cabbage filling', 'filling'],
    ['Egg wash', 'finish'],
    ['To finish', 'finish'],
    ['Topping:', 'finish'],
    ['To fry', 'pan'],
    ['For frying', 'pan'],
    ['Dipping sauce', 'dip'],
    ['To serve', 'dip'],
    ['Method', 'method'],
    ['Instructions', 'method'],
    ['Cheese layer:', 'unknown'],
    ['Outer layer', 'shell'],
    ['Inside:', 'filling'],
    ['For the gravy', 'component'],
    ['Dry ingredients', 'same'],
    ['For each bowl', 'dip'],
  ])('takes "%s" for %s', (text, kind) => {
    expect(readHeading(text, { next: 'amount', blankBefore: true })?.kind).toBe(kind)
  })
  it.each([
    '500 g bread flour',
    'salt',
    'oil for frying',
    'Bread flour: 300 g',
    '12 wonton wrappers',
    'Fold over and seal.',
    'pastry flour',
  ])('takes "%s" for a line', (text) => {
    expect(readHeading(text)).toBeNull()
  })
})

describe('parts as cooks head them', () => {
  const kinds = (text: string) =>
    readRecipe(text, foods).recipe.parts.map((part) => [part.kind, part.name, part.pieces, part.lines.length])

  it('reads counts in headings, with their lines behind or below', () => {
    expect(
      kinds(
        'Soup\nSkins (makes 30): 300 g flour, 150 g water\nStuffing – makes 30: 250 g pork mince, 100 g chives',
      ),
    ).toEqual([
      ['shell', 'Skins', null, 2],
      ['filling', 'Stuffing', 30, 2],
    ])
    expect(
      kinds(
        'Bread\nBase:\n400 g flour\n260 ml water\nCheese filling – makes 4\n200 g feta\nPotato filling (for 8)\n300 g potatoes\n1 onion',
      ),
    ).toEqual([
      ['shell', 'Base', null, 2],
      ['filling', 'Cheese filling', 4, 1],
      ['filling', 'Potato filling', 8, 2],
    ])
  })

  it('goes on with a part under "Dry" and "Wet"', () => {
    expect(kinds('Pies\nDough\nDry:\n300 g flour\n1 tsp salt\nWet:\n150 g water\nFilling:\n2 leeks')).toEqual(
      [
        ['shell', 'Dough', null, 3],
        ['filling', 'Filling', null, 1],
      ],
    )
  })

  it('takes everything behind the method for method, part names too', () => {
    const { recipe } = readRecipe(
      'Pies\nDough\n300 g flour\n150 g water\nFilling\n2 leeks\nMethod\nDough: mix 300 g flour with the water.\nFilling: fry 2 leeks.\nSprinkle with 1 tsp salt.',
      foods,
    )
    expect(recipe.method).toHaveLength(3)
    expect(recipe.parts.flatMap((part) => part.lines)).toHaveLength(3)
  })

  it('never makes a step of an ingredient line', () => {
    const { recipe } = readRecipe(
      'Pies\nDough\n300 g flour\nwarm water 150 g\noil, 1 tbsp\nFilling\n2 leeks\nsprinkle of mixed herbs\nbrown sugar 10 g\nsqueeze of lemon',
      foods,
    )
    expect(recipe.method).toEqual([])
    expect(recipe.parts.map((part) => part.lines.length)).toEqual([3, 4])
  })

  it('shares out divided oil by the method, and gives the pan what is for frying wherever it stands', () => {
    const { recipe } = readRecipe(
      'Pies\nMakes 8, serves 4\n\nDough\n300 g flour\n150 g water\n\nFilling\n500 g mushrooms\n4 tbsp oil, divided\n\nMethod\nFry the mushrooms in 1 tbsp oil for 10 minutes.\nFill and fold. Shallow fry in the remaining oil, 3 minutes a side.',
      foods,
    )
    const oil = (kind: string) =>
      recipe.parts.find((part) => part.kind === kind)?.lines.find((line) => line.foodId === 'sunflower-oil')
        ?.grams
    expect(oil('filling')! + oil('pan')!).toBeCloseTo(4 * 13.6, 6)
    expect(oil('pan')!).toBeGreaterThan(oil('filling')!)
    const other = readRecipe(
      'Pies\nDough\n300 g flour\n150 g water\noil for deep frying\nFilling\n2 leeks\nMethod\nFill, fry.',
      foods,
    ).recipe
    expect(other.parts.find((part) => part.kind === 'pan')?.lines).toHaveLength(1)
    expect(other.cooking.way).toBe('deep-fry')
  })

  it('says of every line of the text what it became', () => {
    const { rows, recipe } = readRecipe(
      'Pies\nMakes 8\n\nDough\n300 g flour\n150 g water\n\nJump to recipe\nMethod\nMix.',
      foods,
    )
    expect(rows.map((row) => [row.row, row.became, row.lineIds.length])).toEqual([
      [0, 'title', 0],
      [1, 'count', 0],
      [3, 'heading', 0],
      [4, 'ingredient', 1],
      [5, 'ingredient', 1],
      [7, 'left-out', 0],
      [8, 'heading', 0],
      [9, 'step', 0],
    ])
    expect(rows[3]!.lineIds).toEqual([recipe.parts[0]!.lines[0]!.id])
  })
})
