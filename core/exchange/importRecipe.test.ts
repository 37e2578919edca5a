import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods, reference } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { readRecipe } from '../reading/readRecipe'
import type { RecipeProblem } from '../recipe/problem'
import { recipeSchema } from '../recipe/schema'
import { EXPORT_FORMATS, exportRecipe } from './exportRecipe'
import { isoMinutes, recipesOfHtml } from './htmlRecipe'
import { importRecipes, type ToImport } from './importRecipe'

const LD = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Leek &amp; cheese turnovers',
  image: 'x.jpg',
  recipeYield: ['12', '12 turnovers'],
  prepTime: 'PT40M',
  totalTime: 'PT1H5M',
  recipeIngredient: [
    'For the dough:',
    '300 g plain flour',
    '150 g cold butter',
    '60 ml ice water',
    'For the filling:',
    '300 g leeks, sliced',
    '120 g cheddar, grated',
    '1 egg, beaten, to glaze',
  ],
  recipeInstructions: [
    {
      '@type': 'HowToSection',
      name: 'Dough',
      itemListElement: [
        { '@type': 'HowToStep', text: 'Rub the butter into the flour.<br>Add the water, chill 30 minutes.' },
      ],
    },
    {
      '@type': 'HowToSection',
      name: 'Baking',
      itemListElement: [
        { '@type': 'HowToStep', text: 'Fill 12 rounds, fold, crimp and bake at 200&deg;C for 22 minutes.' },
      ],
    },
  ],
}
const page = (body: string, head = '') =>
  `<!doctype html><html><head><title>x</title>${head}</head><body>${body}</body></html>`
const ld = (value: unknown) => `<script type="application/ld+json">${JSON.stringify(value)}</script>`
const only = (html: string) => {
  const { recipes } = importRecipes({ html }, foods)
  expect(recipes).toHaveLength(1)
  return recipes[0]!
}
const weights = (recipe: {
  parts: { kind: string; lines: { foodId: string | null; grams: number | null }[] }[]
}) =>
  recipe.parts.map(({ kind, lines }) =>
    [kind, ...lines.map(({ foodId, grams }) => `${foodId} ${Math.round(grams ?? 0)}`)].join(' '),
  )

describe('a page comes in', () => {
  const wanted = [
    'shell plain-flour 300 butter 150 water 60',
    'filling leek 300 cheddar 120',
    'finish egg 50',
  ]
  it.each([
    ['its object at the top', ld(LD)],
    ['in an array', ld([{ '@type': 'WebSite' }, LD])],
    [
      'in a graph, by a full address of its type',
      ld({
        '@context': 'https://schema.org',
        '@graph': [{ '@type': 'Person' }, { ...LD, '@type': ['http://schema.org/Recipe', 'NewsArticle'] }],
      }),
    ],
    ['as what another object is about', ld({ '@type': 'WebPage', mainEntity: LD })],
    ['behind a block that is broken', `<script type="application/ld+json">{ oops</script>${ld(LD)}`],
  ])('in JSON-LD, %s', (_, head) => {
    const { recipe, warnings } = only(page('<h1>Advert</h1><p>Subscribe</p>', head))
    expect(recipe.title).toBe('Leek & cheese turnovers')
    expect(recipe.pieces).toBe(12)
    expect(weights(recipe)).toEqual(wanted)
    expect(recipe.cooking).toMatchObject({ way: 'bake', temperatureC: 200, minutes: 22 })
    expect(recipe.method.join(' ')).toContain('Rub the butter into the flour')
    expect(recipe.facts).toContainEqual(expect.objectContaining({ kind: 'total-minutes', low: 65 }))
    expect(warnings).toEqual(['Not kept: image'])
  })

  it('in microdata, with a list of steps', () => {
    const { recipe } = only(
      page(`<div itemscope itemtype="https://schema.org/Recipe"><h2 itemprop="name">Pea pockets</h2>
        <div itemprop="author" itemscope itemtype="https://schema.org/Person"><span itemprop="name">Nobody</span></div>
        <span itemprop="recipeYield">8 pockets</span>
        <ul><li itemprop="recipeIngredient">250 g flour</li><li itemprop="recipeIngredient">125 ml water</li></ul>
        <p>and</p><ul><li itemprop="recipeIngredient">300 g peas</li></ul>
        <ol itemprop="recipeInstructions"><li>Knead the flour and water.</li><li>Fill with the peas. Fry in deep oil at 175 °C for 4 minutes.</li></ol></div>`),
    )
    expect(recipe.title).toBe('Pea pockets')
    expect(recipe.pieces).toBe(8)
    expect(recipe.method).toHaveLength(2)
    expect(recipe.cooking.way).toBe('deep-fry')
  })

  it('as its readable text, without what stands round it', () => {
    const { recipe } = only(
      page(`<nav><a>Home</a><a>Shop</a></nav><script>alert(1)</script><main><h1>Cabbage buns</h1><p>Makes 10</p>
        <h2>Dough</h2><ul><li>300&nbsp;g plain flour</li><li>170 ml water</li><li>5 g instant yeast</li></ul>
        <h2>Filling</h2><ul><li>400 g white cabbage</li></ul><h2>Method</h2><ol><li>Steam 14 minutes.</li></ol></main><footer>All rights 2026</footer>`),
    )
    expect(recipe.pieces).toBe(10)
    expect(weights(recipe)).toEqual([
      'shell plain-flour 300 water 170 instant-yeast 5',
      'filling cabbage 400',
    ])
    expect(JSON.stringify(recipe)).not.toMatch(/alert|Shop|All rights/)
  })

  it('with several recipes gives all', () => {
    const { recipes, report } = importRecipes({ html: page('', ld([LD, { ...LD, name: 'Second' }])) }, foods)
    expect(recipes.map(({ recipe }) => recipe.title)).toEqual(['Leek & cheese turnovers', 'Second'])
    expect(report[0]).toBe('2 recipes read from JSON-LD')
  })

  it('with marks in its words brings none of them along', () => {
    const { recipe } = only(
      page(
        '',
        ld({
          ...LD,
          name: '<img src=x onerror=alert(1)>Pies',
          recipeIngredient: ['<b>300 g</b> plain flour', '<i onclick=bad()>150 g</i> butter'],
        }),
      ),
    )
    expect(recipe.title).toBe('Pies')
    expect(JSON.stringify(recipe.parts)).not.toContain('<')
  })

  it('whatever it is: no exception, a document that passes', () => {
    const bits = fc.constantFrom(
      '<div>',
      '</div>',
      '<script type="application/ld+json">',
      '</script>',
      '{"@type":"Recipe"',
      ',"recipeIngredient":["1 egg"]}',
      '[',
      ']',
      '<li itemprop="recipeIngredient">',
      '300 g flour',
      '&amp;',
      '<',
      '>',
      '"',
      '\n',
      '<table><tr><td>',
      'Bake 20 min',
    )
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 30 }), (parts) => {
        for (const { recipe } of importRecipes({ html: parts.join('') }, foods).recipes)
          expect(recipeSchema.safeParse(recipe).success).toBe(true)
      }),
      { numRuns: 150 },
    )
    expect(recipesOfHtml('<div>'.repeat(5000)).recipes).toHaveLength(1)
  })
})

describe('JSON-LD and our own document', () => {
  it('says what is wrong with it', () => {
    const problem = (given: ToImport) => {
      try {
        importRecipes(given, foods)
      } catch (error) {
        return (error as RecipeProblem).problems
      }
    }
    expect(problem({ jsonld: '{' })).toMatchObject([
      { field: 'jsonld', message: expect.stringContaining('no JSON') },
    ])
    expect(problem({ jsonld: '{"@type":"Person"}' })).toEqual([
      { field: 'jsonld', message: 'there is no object of type Recipe in it' },
    ])
    // A page of more lines than a recipe has is not read for minutes: it is named.
    expect(problem({ html: '<p>a</p>'.repeat(5000) })).toMatchObject([
      { field: 'html', message: expect.stringContaining('5,000 lines are more than a recipe') },
    ])
  })
  it('reads the others where one of several is endless', () => {
    const one = (name: string, recipeIngredient: string[]) => ({ '@type': 'Recipe', name, recipeIngredient })
    const { recipes, report } = importRecipes(
      {
        jsonld: JSON.stringify([
          one(
            'Endless pies',
            Array.from({ length: 4100 }, (_, at) => `${at} g flour`),
          ),
          one('Leek pies', ['200 g flour', '100 g butter']),
        ]),
      },
      foods,
    )
    expect(recipes.map(({ recipe }) => recipe.title)).toEqual(['Leek pies'])
    expect(report).toContainEqual(expect.stringMatching(/^"Endless pies" was not read: 4,1\d\d lines/))
  })
  // ISO 8601-1:2019, 5.5.2: durations.
  it.each([
    ['PT30M', 30],
    ['PT1H30M', 90],
    ['P1DT2H', 1560],
    ['PT90S', 1.5],
    ['PT0.5H', 30],
    ['P', null],
    ['1 hour', null],
    ['', null],
  ])('%s is %s min', (text, minutes) => expect(isoMinutes(text)).toBe(minutes))
})

describe('a recipe goes out and comes back', () => {
  it.each(demo.map(({ name, recipe }) => [name, recipe] as const))('%s', (_, recipe) => {
    const evaluation = evaluate(recipe, reference)
    const out = (format: (typeof EXPORT_FORMATS)[number]) => exportRecipe(recipe, evaluation, foods, format)
    // Our own document: nothing is lost.
    expect(out('json').lost).toEqual([])
    expect(importRecipes({ jsonld: out('json').text }, foods).recipes[0]!.recipe).toEqual(recipe)
    // Text: the same foods and weights, by part.
    const back = readRecipe(out('text').text, foods).recipe
    const total = (one: typeof recipe) => {
      const sum = new Map<string, number>()
      for (const { foodId, grams } of one.parts.flatMap(({ lines }) => lines))
        if (foodId && grams) sum.set(foodId, (sum.get(foodId) ?? 0) + grams)
      return sum
    }
    const [before, after] = [total(recipe), total(back)]
    for (const [foodId, grams] of before) {
      expect(after.get(foodId) ?? 0, foodId).toBeGreaterThan(grams - 0.6)
      expect(after.get(foodId) ?? 0, foodId).toBeLessThan(grams + 0.6)
    }
    expect(back.pieces).toBe(recipe.pieces)
    expect(back.cooking.way).toBe(recipe.cooking.way)
    // JSON-LD: by schema.org's own words, figures with their units, per serving and per piece.
    const form = JSON.parse(out('jsonld').text)
    expect(form['@type']).toBe('Recipe')
    expect(form.nutrition).toMatchObject({
      '@type': 'NutritionInformation',
      calories: `${Math.round(evaluation.perServing.energyKcal)} kcal`,
    })
    expect(form.additionalProperty[0].value.servingSize).toBe('1 piece')
    expect(importRecipes({ jsonld: out('jsonld').text }, foods).recipes[0]!.recipe.title).toBe(recipe.title)
    expect(out('markdown').text).toContain(`# ${recipe.title}`)
    expect(out('csv').text.split('\n')).toHaveLength(
      1 + recipe.parts.flatMap(({ lines }) => lines).length + 3 + 1,
    )
    for (const format of EXPORT_FORMATS)
      if (format !== 'json') expect(out(format).lost.length).toBeGreaterThan(0)
  })

  it('in a table begins no cell with what a spreadsheet would reckon', () => {
    const { recipe } = readRecipe('Pies\nDough\n300 g flour', foods)
    recipe.parts[0]!.lines[0]!.raw = '=HYPERLINK("x")'
    expect(exportRecipe(recipe, null, foods, 'csv').text).toContain("'=HYPERLINK")
  })
})
