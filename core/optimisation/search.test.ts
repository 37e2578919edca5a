import { describe, expect, it } from 'vitest'
import { demo, demoRecipe, diets } from '../../test/demo'
import { foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { parseTarget } from '../diet/target'
import { lacksAnew } from '../dough/abilities'
import { evaluate } from '../evaluation/evaluate'
import { allLines } from '../recipe/lines'
import { search } from './search'
import { tradeOff } from './tradeOff'
import { NO_LOCKS, USUAL_WEIGHTS, wishesFor } from './wishes'

const pies = demoRecipe('curd-leek')

describe('the nearest recipe', () => {
  const combinations = [
    ['keto'],
    ['keto-wide'],
    ['high-protein'],
    ['protein-source'],
    ['whole-grain'],
    ['lighter'],
    ['less-fat'],
    ['gluten-free'],
    ['vegan', 'whole-grain'],
    ['vegan', 'high-protein'],
    ['vegan', 'keto-wide'],
    ['vegan', 'gluten-free'],
    ['vegetarian', 'lighter'],
    ['dairy-free', 'high-protein'],
    ['egg-free', 'whole-grain', 'protein-source'],
    ['nut-free', 'soy-free', 'vegan'],
  ]
  /** Whether one was found, for each of the cases below. */
  const outcomes: boolean[] = []
  it.each(
    demo.flatMap(({ name, recipe }) =>
      combinations.map((ids) => [name, ids.join(', '), recipe, ids] as const),
    ),
  )(
    'of %s for %s keeps what it claims, its pieces and its dough, or says what stands in the way',
    (_, __, recipe, ids) => {
      const {
        evaluation,
        before,
        unmet,
        conflict,
        compromise,
        changes,
        recipe: made,
      } = adapt(recipe, ids, reference)
      const verdicts = evaluation.diets.filter((one) => ids.includes(one.diet))
      outcomes.push(!conflict.length && !unmet.length)
      if (conflict.length || unmet.length) {
        // What stands in the way is a wish that was asked for, or a line that breaks one.
        const asked = [...ids, 'dough', 'weight', 'Nothing'].join('|')
        for (const text of [...conflict, ...unmet.map((one) => one.reason)])
          expect(text.toLowerCase()).toMatch(new RegExp(asked.toLowerCase()))
        return
      }
      for (const verdict of verdicts) expect(verdict.verdict, verdict.reasons.join()).not.toBe('does not fit')
      expect(made.pieces).toBe(recipe.pieces)
      // A shell may be a quarter thinner, the filling taking what it loses; a bought sheet has a weight of its own.
      if (!before.dough.ready && !/of the dough is left/.test(compromise))
        expect(evaluation.dough.gramsPerPiece / before.dough.gramsPerPiece).toBeGreaterThan(0.7)
      // Another formula is as soft as it can be; a dough that stays itself stays as soft as it was.
      const formed = changes.some((change) => change.kind === 'formula')
      if (!formed && !before.dough.ready && before.dough.softness !== null)
        expect(Math.abs(evaluation.dough.softness! - before.dough.softness)).toBeLessThan(0.035)
      // What the shape asks and the dough had, it still has, unless it is said.
      const lost = lacksAnew(before, evaluation)
      if (lost.length) expect(compromise).toContain(lost[0]!.text)
      for (const { line } of allLines(made)) {
        expect(line.grams === null || (Number.isFinite(line.grams) && line.grams >= 0)).toBe(true)
        if (line.foodId) expect(foods.has(line.foodId)).toBe(true)
      }
    },
  )

  it('is found for most of them', () => {
    expect(outcomes).toHaveLength(demo.length * combinations.length)
    expect(outcomes.filter((found) => !found).length).toBeLessThanOrEqual(0.1 * outcomes.length)
  })

  it('of one that already fits is itself', () => {
    const fitting = demo.flatMap(({ recipe }) =>
      evaluate(recipe, reference)
        .diets.filter(({ diet, fits }) => fits && /keto-wide|whole-grain|protein/.test(diet))
        .map(({ diet }) => ({ recipe, diet })),
    )
    expect(fitting.length).toBeGreaterThan(2)
    for (const { recipe, diet } of fitting) {
      const { best } = search(recipe, wishesFor(diets(diet)), reference)
      expect(best!.distance).toBeCloseTo(0, 6)
      expect(best!.changes).toEqual([])
      expect(best!.recipe.parts).toEqual(recipe.parts)
    }
  })

  it('says when the time was up before it was sure that none is nearer', () => {
    const hurried = demo.map(({ recipe }) =>
      adapt(recipe, ['vegan', 'lighter', 'high-protein'], reference, { timeoutMilliseconds: 0 }),
    )
    const easy = adapt(pies, ['whole-grain'], reference, { timeoutMilliseconds: 5000 })
    expect(hurried.some(({ proven, conflict }) => !proven || conflict.length > 0)).toBe(true)
    expect(easy.proven).toBe(true)
    expect(adapt(pies, ['vegan'], reference).proven).toBe(true)
  })

  it('does not depend on the order of the diets', () => {
    const one = search(pies, wishesFor(diets('vegan', 'high-protein')), reference).best!
    const other = search(pies, wishesFor(diets('high-protein', 'vegan')), reference).best!
    expect(other.distance).toBeCloseTo(one.distance, 3)
  })

  it('adapted twice changes nothing more', () => {
    // "Lighter" is held against the recipe it grew from: a second time it would ask for less again.
    for (const id of ['keto', 'high-protein', 'whole-grain']) {
      const first = adapt(pies, [id], reference)
      const second = search(first.recipe, wishesFor(diets(id)), reference)
      expect(second.best!.distance, id).toBeLessThan(0.6)
    }
  })

  it('is farther the more is asked', () => {
    const at = (limit: number) =>
      search(
        pies,
        wishesFor([], { targets: [parseTarget(`netCarbohydrateG/serving <= ${limit}`, '')] }),
        reference,
      ).best!.distance
    const distances = [40, 30, 20, 12].map(at)
    for (let n = 1; n < distances.length; n++)
      expect(distances[n]!).toBeGreaterThanOrEqual(distances[n - 1]! - 0.2)
  })

  it('reaches a target the cook states, per piece, serving and 100 g, to the figure that is shown', () => {
    for (const text of [
      'proteinG/piece >= 10',
      'saltG/100g <= 0.7',
      'energyKcal/serving <= 420',
      'fibreG/piece >= 3',
    ]) {
      const target = parseTarget(text, 'test')
      const { best, conflict } = search(pies, wishesFor([], { targets: [target] }), reference)
      expect(conflict, text).toEqual([])
      const value = evaluate(best!.recipe, reference).measures[target.per!][target.figure as 'proteinG']
      if (target.comparison === 'at-least') expect(value, text).toBeGreaterThanOrEqual(target.limit - 1e-6)
      else expect(value, text).toBeLessThanOrEqual(target.limit + 1e-6)
    }
  })

  it('keeps what is locked', () => {
    const cheddar = allLines(pies).find(({ line }) => line.foodId === 'cheddar')!.line
    const { best } = search(
      pies,
      wishesFor(diets('lighter'), { locks: { ...NO_LOCKS, lineIds: [cheddar.id] } }),
      reference,
    )
    expect(allLines(best!.recipe).find(({ line }) => line.id === cheddar.id)!.line.grams).toBe(cheddar.grams)
  })

  it('makes no more swaps than allowed, and refuses what was refused', () => {
    const swaps = (locks: object) => {
      const { best } = search(pies, wishesFor(diets('keto'), { locks: { ...NO_LOCKS, ...locks } }), reference)
      return best?.changes.filter(({ kind }) => kind === 'swap' || kind === 'formula') ?? null
    }
    expect(swaps({ maxSwaps: 1 })!.length).toBeLessThanOrEqual(1)
    const first = swaps({})![0]!.swapId
    expect(swaps({ refused: [first] })!.map((change) => change.swapId)).not.toContain(first)
  })

  it('brings in nothing that is not at hand', () => {
    const have = [
      'vital-wheat-gluten',
      'oat-fibre',
      'pea-protein',
      'lupin-flour',
      'ground-almonds',
      'coconut-flour',
      'psyllium-husk',
    ]
    const { best } = search(pies, wishesFor(diets('keto'), { locks: { ...NO_LOCKS, have } }), reference)
    const had = new Set([...allLines(pies).map(({ line }) => line.foodId), ...have, 'water'])
    for (const { line } of allLines(best!.recipe)) expect(had, line.raw).toContain(line.foodId)
  })

  it('weighs what the cook weighs: with swaps made dear it makes fewer', () => {
    const count = (swaps: number) =>
      search(
        pies,
        wishesFor(diets('lighter'), {
          weights: { ...USUAL_WEIGHTS, swaps },
        }),
        reference,
      ).best!.changes.filter((change) => change.kind === 'swap').length
    expect(count(8)).toBeLessThan(count(0))
  })

  it('offers clearly different ways, each of which reaches it too', () => {
    const { best, alternatives } = search(pies, wishesFor(diets('keto')), reference)
    expect(alternatives.length).toBeGreaterThan(0)
    const key = (one: typeof best) =>
      one!.changes
        .filter((change) => change.kind === 'swap' || change.kind === 'formula')
        .map((change) => change.swapId)
        .sort()
        .join()
    for (const one of alternatives) {
      expect(key(one)).not.toBe(key(best))
      expect(one.distance).toBeGreaterThanOrEqual(best!.distance - 0.3)
      expect(one.evaluation.diets.find((verdict) => verdict.diet === 'keto')!.fits).toBe(true)
    }
  })

  it('says which limit binds and what loosening it would buy', () => {
    const { binding } = search(pies, wishesFor(diets('keto')), reference)
    expect(binding[0]!.text).toMatch(
      /^1\.0 g net carbohydrate a serving more .* would bring it \d+\.\d nearer/,
    )
  })
})

describe('when it cannot be', () => {
  it('names the smallest set of wishes that contradict one another', () => {
    const { best, conflict } = search(
      pies,
      wishesFor([], {
        targets: [
          parseTarget('netCarbohydrateG/serving <= 5', ''),
          parseTarget('carbohydrateG/serving >= 60', ''),
        ],
      }),
      reference,
    )
    expect(best).toBeNull()
    expect(conflict.length).toBeGreaterThan(0)
  })

  it('explains a target of no carbohydrate at all, and loses nothing', () => {
    const { recipe, conflict } = adapt(pies, ['vegetarian'], reference, {
      targets: [parseTarget('carbohydrateG/piece <= 0', '')],
    })
    expect(conflict.join()).toMatch(/at most 0 g carbohydrate a piece/)
    expect(recipe.parts.length).toBe(pies.parts.length)
  })

  it('explains a lock that makes it infeasible', () => {
    const flour = allLines(pies).find(({ line }) => line.foodId === 'plain-flour')!.line
    const { conflict } = adapt(pies, ['gluten-free'], reference, { locks: { lineIds: [flour.id] } })
    expect(conflict).toEqual(expect.arrayContaining(['Gluten-free', 'keeping the plain wheat flour']))
  })

  it('takes a recipe of one line', () => {
    const one = recipeOf({ shell: [['plain-flour', 500]] })
    for (const id of ['keto', 'high-protein', 'vegan', 'gluten-free', 'lighter'])
      expect(() => adapt(one, [id], reference)).not.toThrow()
  })

  it('names a lock on a line that is not there', () => {
    expect(() => adapt(pies, ['keto'], reference, { locks: { lineIds: ['nowhere'] } })).toThrow(/nowhere/)
  })
})

describe('the trade-off', () => {
  it('runs from the recipe as it is to the furthest that can be reached, ever farther', () => {
    const points = tradeOff(
      pies,
      wishesFor([]),
      parseTarget('netCarbohydrateG/serving <= 1', ''),
      reference,
      9,
    )
    expect(points.length).toBeGreaterThanOrEqual(7)
    expect(points[0]!.distance).toBeCloseTo(0, 6)
    for (let n = 1; n < points.length; n++) {
      expect(points[n]!.value).toBeLessThan(points[n - 1]!.value + 1e-6)
      expect(points[n]!.distance).toBeGreaterThanOrEqual(points[n - 1]!.distance - 0.5)
      expect(points[n]!.value).toBeLessThanOrEqual(points[n]!.limit + 1e-6)
    }
  })
})

describe('doughs from common practice keep their class when they are adapted (no source)', () => {
  const DOUGHS: readonly (readonly [string, readonly (readonly [string, number])[]])[] = [
    [
      'olive oil dough',
      [
        ['plain-flour', 500],
        ['water', 200],
        ['olive-oil', 90],
        ['salt', 6],
      ],
    ],
    [
      'fried cone',
      [
        ['plain-flour', 250],
        ['sunflower-oil', 14],
        ['water', 140],
      ],
    ],
    [
      'griddle bread with yogurt',
      [
        ['atta', 125],
        ['yogurt', 122],
        ['sunflower-oil', 9],
      ],
    ],
    [
      'dumpling dough',
      [
        ['plain-flour', 300],
        ['water', 150],
      ],
    ],
    [
      'egg dumpling dough',
      [
        ['plain-flour', 300],
        ['egg', 112],
        ['water', 40],
      ],
    ],
    [
      'enriched bun',
      [
        ['strong-flour', 500],
        ['milk', 280],
        ['egg', 56],
        ['butter', 60],
      ],
    ],
    [
      'bread',
      [
        ['strong-flour', 500],
        ['water', 320],
        ['salt', 9],
      ],
    ],
    [
      'short crust',
      [
        ['plain-flour', 250],
        ['butter', 125],
        ['water', 50],
      ],
    ],
    [
      'lard crust',
      [
        ['plain-flour', 250],
        ['lard', 100],
        ['water', 70],
      ],
    ],
    [
      'curd dough',
      [
        ['plain-flour', 250],
        ['quark', 150],
        ['butter', 60],
        ['egg', 50],
      ],
    ],
    [
      'sour cream dough',
      [
        ['plain-flour', 300],
        ['sour-cream', 150],
        ['butter', 60],
      ],
    ],
    [
      'steamed bun',
      [
        ['plain-flour', 350],
        ['milk', 175],
        ['sugar', 25],
        ['lard', 13],
      ],
    ],
    [
      'buttermilk griddle dough',
      [
        ['self-raising-flour', 250],
        ['buttermilk', 150],
        ['butter', 20],
      ],
    ],
    [
      'potato dough',
      [
        ['plain-flour', 200],
        ['boiled-potato', 250],
        ['egg', 50],
      ],
    ],
    [
      'spelt dough',
      [
        ['spelt-flour', 400],
        ['water', 220],
        ['sunflower-oil', 20],
      ],
    ],
    [
      'rye and wheat',
      [
        ['rye-flour', 150],
        ['strong-flour', 250],
        ['water', 260],
      ],
    ],
  ]
  const cases = DOUGHS.flatMap(([name, lines]) =>
    (['vegan', 'whole-grain', 'high-protein', 'dairy-free', 'egg-free'] as const).map(
      (diet) => [name, diet, lines] as const,
    ),
  )
  const piesOf = (shell: (typeof cases)[number][2]) =>
    recipeOf({ shell, filling: [['leek', 300]] }, { pieces: 10 })

  it('nearly all of them can be made any of these', () => {
    const cannot = cases.filter(([, diet, shell]) => adapt(piesOf(shell), [diet], reference).conflict.length)
    expect(cannot.length).toBeLessThanOrEqual(0.05 * cases.length)
  })

  it.each(cases)('%s made %s', (_, diet, shell) => {
    const recipe = piesOf(shell)
    const { evaluation, before, conflict, changes } = adapt(recipe, [diet], reference)
    if (conflict.length) {
      expect(conflict.join().toLowerCase()).toMatch(new RegExp(`${diet}|dough|weight`))
      return
    }
    // Within the slack of the search of what it was, unless it is another dough.
    if (!changes.some((change) => change.kind === 'formula'))
      expect(Math.abs(evaluation.dough.softness! - before.dough.softness!)).toBeLessThan(0.035)
    expect(evaluation.diets.find((one) => one.diet === diet)!.verdict).not.toBe('does not fit')
  })
})

describe('what stands in for a part of a line', () => {
  it('is weighed with what stays of it: no dough lists its flour twice', () => {
    for (const { recipe } of demo) {
      const { recipe: made } = adapt(recipe, ['high-protein'], reference)
      const shell = made.parts.find(({ kind }) => kind === 'shell')!
      const flours = shell.lines.filter((line) => foods.get(line.foodId ?? '')?.group === 'flour')
      expect(new Set(flours.map(({ foodId, prep }) => `${foodId} ${prep.join()}`)).size).toBe(flours.length)
    }
  })
})

describe('a dough of wheat', () => {
  it('stays one where nobody asks for less of it', () => {
    const bread = recipeOf(
      {
        shell: [
          ['plain-flour', 250],
          ['yogurt', 120],
          ['water', 40],
          ['salt', 4],
        ],
        filling: [
          ['paneer', 250],
          ['onion', 80],
        ],
        pan: [['butter', 40]],
      },
      { way: 'griddle', pieces: 6 },
    )
    for (const ids of [['whole-grain'], ['whole-grain', 'lighter'], ['high-protein']]) {
      const { evaluation } = adapt(bread, ids, reference)
      expect(evaluation.allergens, ids.join()).toContain('Cereals containing gluten')
    }
  })
})
