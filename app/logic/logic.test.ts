import { describe, expect, it } from 'vitest'
import { food, foods, recipeOf } from '../../test/helpers'
import { allLines } from '../../core/recipe/lines'
import type { ListedRecipe } from '~~/shared/api/answers'
import { addLine, rewriteLine, setFood } from '~~/core/reading/rewrite'
import { addPart, removeLine, setEaten, setGrams } from '~~/core/recipe/edit'
import { moveFlour } from './moveFlour'
import { familiesOf, filterFamilies } from './families'
import { showChange, showFigure, showGrams, showMicro, showMicroChange } from './format'
import { differingLines, differingAdvice } from './compare'
import { sortFoods } from './larderTable'
import { typedWeight } from './typedWeight'

const recipe = recipeOf({
  shell: [
    ['plain-flour', 500],
    ['water', 280],
  ],
  filling: [['leek', 400]],
})
const lineOf = (of: typeof recipe, id: string) => allLines(of).find(({ line }) => line.id === id)?.line

describe('editing', () => {
  it('takes a typed weight and settles the doubts about it', () => {
    const doubtful = structuredClone(recipe)
    doubtful.parts[1]!.lines[0]!.notes = [
      { code: 'unit-weight', level: 'note', text: 'x' },
      { code: 'stand-in', level: 'note', text: 'y' },
    ]
    const next = lineOf(setGrams(doubtful, 'p2l1', 350), 'p2l1')!
    expect(next).toMatchObject({ grams: 350, gramsLow: 350, gramsHigh: 350 })
    expect(next.notes.map((note) => note.code)).toEqual(['stand-in'])
  })

  it('weighs a line when its food becomes known', () => {
    const open = addLine(recipe, 'p2', '2 zzwortle', foods)
    const added = open.parts[1]!.lines.at(-1)!
    expect(added).toMatchObject({ foodId: null, grams: null })
    expect(lineOf(setFood(open, added.id, 'leek', foods), added.id)).toMatchObject({
      foodId: 'leek',
      grams: 300,
    })
  })

  it('reads a rewritten line again and keeps its place and id', () => {
    const next = rewriteLine(recipe, 'p1l2', '300 g milk', foods)
    expect(next.parts[0]!.lines.map((line) => [line.id, line.foodId, line.grams])).toEqual([
      ['p1l1', 'plain-flour', 500],
      ['p1l2', 'milk', 300],
    ])
  })

  it('makes two lines of two ingredients, each with an id of its own', () => {
    const next = addLine(recipe, 'p2', '1 egg beaten with 1 tbsp milk', foods)
    expect(next.parts[1]!.lines.map((line) => line.foodId)).toEqual(['leek', 'egg', 'milk'])
    expect(new Set(allLines(next).map(({ line }) => line.id)).size).toBe(5)
  })

  it('takes a line out and leaves the rest alone', () => {
    expect(allLines(removeLine(recipe, 'p1l2')).map(({ line }) => line.id)).toEqual(['p1l1', 'p2l1'])
  })
})

it('adds a part in its place, with an id of its own', () => {
  const next = addPart(addPart(recipe, 'dip', 'Dip'), 'finish', 'To finish')
  expect(next.parts.map((part) => part.kind)).toEqual(['shell', 'filling', 'finish', 'dip'])
  expect(new Set(next.parts.map((part) => part.id)).size).toBe(4)
})

it('keeps what was weighed of the oil, and gives it back to the model', () => {
  expect(lineOf(setEaten(recipe, 'p1l2', 12), 'p1l2')?.eatenGrams).toBe(12)
  expect(lineOf(setEaten(setEaten(recipe, 'p1l2', 12), 'p1l2', null), 'p1l2')?.eatenGrams).toBeNull()
})

describe('typedWeight', () => {
  it.each([
    ['250', 250],
    ['250 g', 250],
    ['1,5', 1.5],
    ['4 oz', 113.4],
    ['1 cup', 125],
    ['½ cup', 62.5],
    ['2 tbsp', 16],
    ['0', 0],
  ])('reads "%s" of flour', (text, grams) => {
    const read = typedWeight(text, food('plain-flour'))
    expect('grams' in read && read.grams).toBeCloseTo(grams, 1)
  })
  it.each(['', 'some', '-5', '99999999'])('says what to type instead of "%s"', (text) => {
    expect(typedWeight(text, food('plain-flour'))).toHaveProperty('problem')
  })
  it('reads plain grams without a food', () => {
    expect(typedWeight('30 g', undefined)).toEqual({ grams: 30 })
  })
})

describe('families', () => {
  const listed = (id: string, parentId: string | null, title: string): ListedRecipe => ({
    id,
    parentId,
    parentRevision: parentId ? 1 : null,
    revision: 1,
    title,
    diets: parentId ? ['vegan'] : [],
    summary: null,
    savedAt: '',
  })
  const shelf = [
    listed('v', 'a', 'Pies, vegan'),
    listed('a', null, 'Pies'),
    listed('w', 'v', 'Pies, vegan, lighter'),
    listed('o', 'gone', 'Orphan'),
  ]

  it('gathers a recipe with everything that grew from it', () => {
    expect(familiesOf(shelf).map((family) => [family.root.id, family.variants.map((one) => one.id)])).toEqual(
      [
        ['a', ['v', 'w']],
        ['o', []],
      ],
    )
  })
  it('searches titles and diets, every word', () => {
    expect(filterFamilies(familiesOf(shelf), 'pies vegan')).toHaveLength(1)
    expect(filterFamilies(familiesOf(shelf), 'plum')).toHaveLength(0)
    expect(filterFamilies(familiesOf(shelf), '')).toHaveLength(2)
  })
})

describe('the larder table', () => {
  const all = [...foods.values()]

  it('sorts by name or by a figure, either way, and leaves the order alone otherwise', () => {
    const protein = sortFoods(all, { by: 'proteinG', down: true })
    expect(protein[0]!.per100g.proteinG).toBe(Math.max(...all.map((one) => one.per100g.proteinG)))
    expect(sortFoods(all, { by: 'proteinG', down: false })[0]!.per100g.proteinG).toBe(0)
    const names = sortFoods(all, { by: 'name', down: false }).map((one) => one.name)
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)))
    expect(sortFoods(all, null)).toEqual(all)
  })
})

describe('figures in words', () => {
  it('rounds as a cook reads', () => {
    expect([0, 0.01, 4.26, 12.4, -3.2].map(showGrams)).toEqual(['0', '<0.1', '4.3', '12', '−3.2'])
    expect(showFigure('energyKcal', 261.4)).toBe('261')
    expect(showFigure('saltG', 0.904)).toBe('0.90')
  })
  it('writes minerals and vitamins to two digits', () => {
    expect([112.6, 9.96, 0.456, 0].map(showMicro)).toEqual(['113', '10', '0.46', '0'])
    expect([-0.7, 12, 0.001].map(showMicroChange)).toEqual(['−0.7', '+12', 'same'])
  })
  it('writes a change with its sign, and "same" when it rounds to nothing', () => {
    expect(showChange('proteinG', 1.26)).toBe('+1.3')
    expect(showChange('energyKcal', -32)).toBe('−32')
    expect(showChange('energyKcal', 0.3)).toBe('same')
  })
})

describe('recipes side by side', () => {
  const one = recipeOf({
    shell: [['plain-flour', 300]],
    filling: [
      ['leek', 200],
      ['cheddar', 100],
    ],
  })
  const other = recipeOf({
    shell: [['plain-flour', 300]],
    filling: [
      ['leek', 250],
      ['firm-tofu', 100],
    ],
  })

  it('differ in the lines that differ, with the grams of each', () => {
    expect(differingLines([one, other], foods).map(({ name, grams }) => [name, grams])).toEqual([
      ['Leek', [200, 250]],
      ['Cheddar', [100, null]],
      [food('firm-tofu').name, [null, 100]],
    ])
    expect(differingLines([one, one], foods)).toEqual([])
  })

  it('differ in the method where not all say the same', () => {
    const [first, second] = differingAdvice([['Rest 30 min', 'Press the tofu'], ['Rest 30 min']])
    expect(first).toEqual(['Press the tofu'])
    expect(second).toEqual([])
  })
})

describe('a flour blend', () => {
  const mixed = recipeOf({
    shell: [
      ['plain-flour', 300],
      ['wholemeal-flour', 100],
      ['water', 240],
    ],
  })
  const [first, second, water] = mixed.parts[0]!.lines
  const made = moveFlour(mixed, first!.id, second!.id, 0.25, foods)
  const gramsOf = (id: string) => made.parts[0]!.lines.find((line) => line.id === id)!.grams!

  it('keeps the sum of the flours and the feel of the dough', () => {
    expect(gramsOf(first!.id)).toBeCloseTo(100, 9)
    expect(gramsOf(second!.id)).toBeCloseTo(300, 9)
    // Wholemeal drinks more: 0.04 g a gram, on 200 g that changed places, times the softness.
    expect(gramsOf(water!.id)).toBeGreaterThan(240)
  })
})
