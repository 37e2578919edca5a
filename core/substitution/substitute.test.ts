import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { adapt, dietsByIds } from '../adaptation/adapt'
import { foodAgainstDiet } from '../diet/diets'
import { RecipeProblem } from '../recipe/problem'
import { readRecipe } from '../reading/readRecipe'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { PART_KINDS } from '../recipe/vocabulary'
import { amountOf, candidatesFor, swapsFromRows } from './catalogue'
import { fittingSwaps } from './substitute'
import { swapLine } from './swapLine'
import rows from '../../data/swaps.csv'

const vegan = reference.diets.find((diet) => diet.id === 'vegan')!
const animals = [...foods.values()].filter((one) => foodAgainstDiet(one, vegan).breaks.length > 0)
/** What no plant food stands in for, said plainly. */
const WITHOUT_SUBSTITUTE = ['fish-roe']

const bun = recipeOf(
  {
    shell: [
      ['strong-flour', 500],
      ['milk', 250],
      ['egg', 56],
      ['butter', 60],
      ['honey', 20],
      ['salt', 9],
    ],
    filling: [
      ['bone-broth', 200],
      ['minced-beef', 300],
      ['worcestershire', 6],
      ['parmesan', 40],
      ['onion', 200],
    ],
    finish: [
      ['egg', 50],
      ['milk', 15],
      ['butter', 10],
    ],
    pan: [['lard', 400]],
    dip: [
      ['fish-sauce', 20],
      ['sour-cream', 100],
    ],
  },
  { pieces: 16, servings: 8, way: 'deep-fry' },
)

describe('adapt to vegan', () => {
  const { recipe, changes, evaluation, before, unmet } = adapt(bun, ['vegan'], reference)

  it('leaves nothing that is animal, wherever it hid', () => {
    for (const { line } of allLines(recipe)) expect(food(line.foodId!).origins, line.raw).toEqual([])
    expect(evaluation.diets.find((one) => one.diet === 'vegan')).toMatchObject({
      fits: true,
      verdict: 'fits',
    })
    expect(before.diets.find((one) => one.diet === 'vegan')?.fits).toBe(false)
    expect(unmet).toEqual([])
  })

  it('names a change with reason and amounts for every animal line', () => {
    const swapped = changes.filter((change) => change.kind === 'swap')
    expect(swapped.map((change) => change.part).sort()).toEqual(
      [
        'shell',
        'shell',
        'shell',
        'shell',
        'filling',
        'filling',
        'filling',
        'filling',
        'finish',
        'finish',
        'finish',
        'pan',
        'dip',
        'dip',
      ].sort(),
    )
    for (const change of swapped) {
      expect(change.why.length).toBeGreaterThan(10)
      expect(change.gramsAfter).toBeGreaterThan(0)
      expect(change.source).toBeTruthy()
    }
  })

  it('brings the dough back to its softness and its fat, by a change of water in grams', () => {
    expect(evaluation.dough.softness).toBeCloseTo(before.dough.softness!, 3)
    expect(Math.abs(evaluation.dough.fatPct! - before.dough.fatPct!)).toBeLessThan(1)
    const water = changes.find((change) => change.kind === 'water')!
    expect(water.why).toMatch(/\d+ g (?:more|less) water/)
  })

  it('keeps every original line beside its substitute, and the ids of what stays', () => {
    const flour = allLines(recipe).find(({ line }) => line.foodId === 'strong-flour')!
    expect(flour.line.id).toBe('p1l1')
    const milk = allLines(recipe).find(({ line }) => line.id === 'p1l2')!.line
    expect(milk.cameFrom).toMatchObject({ foodId: 'milk', grams: 250, raw: '250 g milk' })
  })

  // Where nothing else has to be kept, the usual stand-ins come.
  const usual = adapt(bun, ['vegan'], reference, { weights: { kept: 0 } }).changes
  it('names the allergens that arrive', () => {
    expect(usual.find((change) => change.from === food('milk').name)?.allergensAdded).toEqual(['Soybeans'])
  })

  it('matches salt for salt and fat for fat', () => {
    const fishSauce = usual.find((change) => change.from === food('fish-sauce').name)!
    expect(fishSauce.gramsAfter! * food('soy-sauce').per100g.sodiumMg).toBeCloseTo(
      20 * food('fish-sauce').per100g.sodiumMg,
      6,
    )
    const lard = usual.find((change) => change.from === food('lard').name)!
    expect(lard.gramsAfter).toBeCloseTo(400, 6)
  })

  it('changes nothing more when it is adapted again', () => {
    const again = adapt(recipe, ['vegan'], reference)
    expect(again.recipe).toEqual(recipe)
    expect(again.changes.filter((change) => change.kind !== 'check')).toEqual([])
  })

  it('leaves a recipe that fits as it is', () => {
    const plain = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['water', 160],
      ],
      filling: [['leek', 300]],
    })
    const kept = adapt(plain, ['vegan'], reference)
    expect(kept.recipe.parts).toEqual(plain.parts)
    expect(kept.changes).toEqual([])
  })

  it('says plainly when nothing stands in, and leaves the recipe not vegan', () => {
    const roe = adapt(
      recipeOf({
        shell: [
          ['plain-flour', 300],
          ['water', 160],
        ],
        filling: [['fish-roe', 50]],
      }),
      ['vegan'],
      reference,
    )
    expect(roe.changes).toMatchObject([{ kind: 'none', gramsAfter: 50 }])
    expect(roe.unmet[0]?.reason).toMatch(/Nothing in the catalogue/)
    expect(roe.evaluation.diets.find((one) => one.diet === 'vegan')?.fits).toBe(false)
  })

  it('does not call a recipe vegan while a line is not known', () => {
    const open = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['water', 160],
      ],
      filling: [['leek', 50]],
    })
    Object.assign(open.parts[1]!.lines[0]!, { foodId: null, name: 'mystery paste' })
    const adapted = adapt(open, ['vegan'], reference)
    expect(adapted.unmet[0]?.reason).toMatch(/mystery paste/)
    expect(adapted.evaluation.diets.find((one) => one.diet === 'vegan')?.verdict).toBe('cannot tell')
  })

  it('asks to read the packet where egg or milk may hide', () => {
    const bought = adapt(
      recipeOf({ shell: [['dumpling-wrapper', 270]], filling: [['vegetable-stock-cube', 10]] }),
      ['vegan'],
      reference,
    )
    expect(bought.changes.map((change) => change.kind)).toEqual(['check', 'check'])
    expect(bought.changes[0]?.why).toMatch(/packet/)
  })

  it('tells which step of the method still names what is gone', () => {
    const read = readRecipe(
      'Pies\nMakes 4\nDough\n200 g flour\n100 g butter\nFilling\n2 leeks\nMethod\n1. Rub the butter into the flour.\n2. Bake.',
      foods,
    ).recipe
    const notes = adapt(read, ['vegan'], reference).recipe.notes.map((note) => note.text)
    expect(notes.join()).toMatch(/Step 1 says "butter": here it is Plant-based baking block/)
  })

  it('refuses a diet it does not know, naming the field', () => {
    expect(() => dietsByIds(['vegan', 'moon'], reference)).toThrow(RecipeProblem)
    try {
      dietsByIds(['vegan', 'moon'], reference)
    } catch (error) {
      expect((error as RecipeProblem).problems[0]?.field).toBe('diets[1]')
    }
  })
})

describe('hidden animal ingredients are found in text (common practice, no source)', () => {
  it.each([
    ['To finish\n1 egg, beaten', 'egg wash'],
    ['To finish\n1 tbsp milk, for brushing', 'milk wash'],
    ['To finish\n20 g melted butter, to brush', 'butter after baking'],
    ['To finish\n30 g grated parmesan', 'parmesan topping'],
    ['To fry\n500 g lard', 'lard in the pan'],
    ['To fry\n2 tbsp ghee', 'ghee on the griddle'],
    ['Dip\n2 tbsp fish sauce', 'fish sauce in the dip'],
    ['Dip\n100 g sour cream', 'sour cream'],
    ['Dip\n1 tbsp honey', 'honey in the dip'],
    ['Dip\n3 tbsp mayonnaise', 'mayonnaise'],
    ['Filling\n1 tbsp oyster sauce', 'oyster sauce'],
    ['Filling\n1 tsp Worcestershire sauce', 'anchovy in a brown sauce'],
    ['Filling\n300 ml chicken stock', 'stock'],
    ['Filling\n200 ml stock', 'stock of no name'],
    ['Filling\n1 stock cube', 'stock cube'],
    ['Filling\n2 leaves gelatine', 'gelatine'],
    ['Filling\n100 g egg noodles', 'egg noodles'],
    ['Filling\n2 tbsp pesto', 'pesto'],
    ['Filling\n3 anchovy fillets', 'anchovies'],
    ['Filling\n1 tsp shrimp paste', 'shrimp paste'],
    ['Filling\n50 g suet', 'suet'],
    ['Filling\n100 g milk chocolate chips', 'milk chocolate'],
    ['Filling\n80 g lardons', 'lardons'],
    ['Filling\n100 ml buttermilk', 'buttermilk'],
    ['Filling\n30 g whey protein', 'whey'],
    ['Filling\n200 g dahi', 'curd by its Indian name'],
    ['Filling\n200 g keema', 'mince by its Indian name'],
    ['Wrappers\n30 wonton wrappers', 'egg in bought wrappers'],
    ['Wrappers\n1 sheet all-butter puff pastry', 'butter in puff pastry'],
    ['Wrappers\n320 g hot water crust pastry', 'lard in pie pastry'],
  ])('%s', (part, _) => {
    const { recipe } = readRecipe(
      `Pockets\nMakes 10, serves 5\nDough\n250 g flour\n130 g water\n${part}`,
      foods,
    )
    const { before, evaluation, changes } = adapt(recipe, ['vegan'], reference)
    expect(before.diets.find((one) => one.diet === 'vegan')?.fits).toBe(false)
    expect(changes.filter((change) => change.kind === 'swap').length).toBeGreaterThan(0)
    expect(evaluation.diets.find((one) => one.diet === 'vegan')?.fits).toBe(true)
  })
})

describe('the catalogue', () => {
  it.each(animals.filter((one) => !WITHOUT_SUBSTITUTE.includes(one.id)).map((one) => [one.id, one] as const))(
    '%s has a vegan substitute in every part',
    (_, one) => {
      for (const part of PART_KINDS) {
        const swaps = fittingSwaps(
          { food: one, part, standings: new Set(['minor'] as const) },
          recipeOf({ shell: [['plain-flour', 1]] }),
          [vegan],
          reference.swaps,
          foods,
        )
        expect(swaps.length, part).toBeGreaterThan(0)
        for (const target of swaps[0]!.to) {
          const grams = amountOf(target, one, 100, food(target.foodId))
          expect(grams).toBeGreaterThan(0)
          expect(grams).toBeLessThan(2000)
        }
      }
    },
  )

  it('prefers the row for this part over the one for any', () => {
    expect(
      candidatesFor(food('egg'), 'finish', { way: 'bake', shape: 'half-moon' }, reference.swaps)[0]?.id,
    ).toBe('egg-wash')
    expect(
      candidatesFor(food('egg'), 'shell', { way: 'bake', shape: 'half-moon' }, reference.swaps)[0]?.id,
    ).toBe('egg-dough')
    expect(
      candidatesFor(food('greek-yogurt'), 'shell', { way: 'bake', shape: 'half-moon' }, reference.swaps)[0]
        ?.id,
    ).toBe('strained-soy')
  })

  it('never offers to swap a plant food by its group, only by its name', () => {
    for (const one of foods.values()) {
      if (one.origins.length) continue
      for (const swap of candidatesFor(one, 'shell', { way: 'bake', shape: 'half-moon' }, reference.swaps))
        expect(
          [one.id, one.figuresOf].some((id) => swap.foodIds.includes(id!)),
          one.id,
        ).toBe(true)
    }
  })

  it('holds at least 220 rows, each with a reason and a source', () => {
    expect(reference.swaps.length).toBeGreaterThanOrEqual(220)
    for (const swap of reference.swaps) expect(swap.why.length, swap.id).toBeGreaterThan(8)
    expect(new Set(reference.swaps.map((swap) => swap.id)).size).toBe(reference.swaps.length)
  })

  const row = rows[0]!
  it.each([
    [{ ...row, from: 'moon-dust' }, /moon-dust/],
    [{ ...row, from: 'group:moons' }, /moons/],
    [{ ...row, to: 'water' }, /food\*ratio/],
    [{ ...row, to: 'moon-dust*1' }, /moon-dust/],
    [{ ...row, part: 'sky' }, /sky/],
    [{ ...row, roles: 'magic' }, /magic/],
    [{ ...row, why: '' }, /why/],
  ])('names what is wrong in a row', (bad, message) => {
    expect(() => swapsFromRows([bad], foods)).toThrow(message)
  })
})

describe('what stands in first', () => {
  const changed = (lines: [string, number][], diet: string) =>
    adapt(
      recipeOf({ shell: [['plain-flour', 300]], filling: lines }),
      [diet],
      reference,
    ).recipe.parts[1]!.lines.map(({ foodId }) => foodId)

  it('is the same food made otherwise', () => {
    expect(changed([['ricotta', 250]], 'lactose-free')).toEqual(['lactose-free-curd'])
    expect(changed([['beer', 300]], 'vegetarian')).toEqual(['vegan-beer'])
  })

  it('is meat for meat where only pork is left out', () => {
    expect(changed([['char-siu', 300]], 'no-pork')[0]).toMatch(/chicken/)
    expect(changed([['minced-pork', 300]], 'no-pork')).toEqual(['minced-beef'])
  })

  it('leaves nothing to read a packet for where a packet was the doubt', () => {
    // Goat's cheese is not changed for a brined cheese without rennet, which holds as much lactose.
    expect(changed([['goat-cheese', 200]], 'lactose-free')).toEqual(['lactose-free-brined-cheese'])
  })
})

describe('one swap by hand', () => {
  it('puts the dough right when it is in the dough', () => {
    const swap = reference.swaps.find((one) => one.id === 'honey-maple')!
    const { recipe, changes } = swapLine(bun, 'p1l5', swap, foods)!
    expect(changes.map((change) => change.kind)).toEqual(['swap', 'water'])
    expect(adapt(recipe, ['vegetarian'], reference).before.dough.softness).toBeCloseTo(
      adapt(bun, ['vegetarian'], reference).before.dough.softness!,
      3,
    )
  })
  it('finds nothing to do on a line that is not there', () => {
    expect(swapLine(bun, 'nowhere', reference.swaps[0]!, foods)).toBeNull()
  })
})

describe('for every demo recipe and diet', () => {
  const folder = new URL('../../data/demo/', import.meta.url)
  const cases = readdirSync(folder).flatMap((name) =>
    ['vegan', 'vegetarian', 'dairy-free', 'egg-free'].map((diet) => [name, diet] as const),
  )
  it.each(cases)('%s made %s fits and keeps its dough', (name, diet) => {
    const { recipe } = readRecipe(readFileSync(new URL(name, folder), 'utf8'), foods)
    const { evaluation, before } = adapt(recipe, [diet], reference)
    expect(evaluation.diets.find((one) => one.diet === diet)?.fits).toBe(true)
    expect(evaluation.dough.consistency).toBe(before.dough.consistency)
    expect(Math.abs(evaluation.dough.softness! - before.dough.softness!)).toBeLessThan(0.01)
  })
})

describe('laws', () => {
  const lines = fc.array(
    fc.tuple(fc.constantFrom(...foods.keys()), fc.double({ min: 1, max: 500, noNaN: true })),
    { minLength: 1, maxLength: 8 },
  )

  it('an adapted recipe never claims a diet that it breaks, and a second time changes nothing', () => {
    fc.assert(
      fc.property(lines, lines, lines, (shell, filling, finish) => {
        const recipe = recipeOf({ shell: [['plain-flour', 300], ['water', 150], ...shell], filling, finish })
        const first = adapt(recipe, ['vegan'], reference)
        const verdict = first.evaluation.diets.find((one) => one.diet === 'vegan')!
        const broken = allLines(first.recipe).filter(
          ({ line }) => foodAgainstDiet(food(line.foodId!), vegan).breaks.length > 0,
        )
        expect(verdict.fits).toBe(broken.length === 0)
        for (const { line } of allLines(first.recipe)) expect(line.grams!).toBeGreaterThanOrEqual(0)
        expect(adapt(first.recipe, ['vegan'], reference).recipe.parts).toEqual(first.recipe.parts)
      }),
      { numRuns: 150 },
    )
  })
})

it('asks for the liquid of a dough before it adapts, when that has no weight', () => {
  const recipe = recipeOf({
    shell: [
      ['plain-flour', 300],
      ['butter', 100],
      ['milk', 150],
    ],
    filling: [['leek', 300]],
  })
  const open: Recipe = {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.foodId === 'milk' ? { ...line, grams: null } : line)),
    })),
  }
  expect(() => adapt(open, ['vegan'], reference)).toThrow(
    /How much whole milk goes into the dough is not known/,
  )
  expect(() => adapt(recipe, ['vegan'], reference)).not.toThrow()
})
