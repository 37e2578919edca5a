import { readFileSync } from 'node:fs'
import { csvParse } from 'd3-dsv'
import { adapt } from '../../core/adapt'
import { evaluate } from '../../core/evaluate'
import { larderFromRows } from '../../core/larder'
import { readRecipe } from '../../core/recipe/readRecipe'
import { allLines, type Recipe } from '../../core/recipe/document'

const at = (path: string) => readFileSync(new URL(`../../data/${path}`, import.meta.url), 'utf8')
const rows = (name: string) => csvParse(at(`${name}.csv`)) as unknown as Record<string, string>[]
const larder = larderFromRows({
  foods: rows('foods'),
  diets: rows('diets'),
  swaps: rows('swaps'),
  aminoAcids: rows('amino-acids'),
  yields: rows('yields'),
  retention: rows('retention'),
  strength: rows('strength'),
  needs: rows('needs'),
})

/** A demo recipe with a few lines more, so that it has exactly 25. */
const text = at('demo/3-curd-leek-hand-pies.txt').replace(
  'For the filling',
  'For the filling\n50 g walnuts\n30 g raisins\n1 bunch dill\n2 tbsp breadcrumbs\n1 potato\n1 carrot\n50 g bacon\n1 tsp caraway seeds\n1 tbsp cornflour',
)
const recipe: Recipe = readRecipe(text, larder.foods).recipe

/** Median time of one call in microseconds, over `rounds` rounds of `calls` calls each. */
function medianMicroseconds(work: () => unknown, calls: number, rounds = 31): number {
  for (let n = 0; n < calls * 3; n++) work()
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    const start = performance.now()
    for (let n = 0; n < calls; n++) work()
    times.push(((performance.now() - start) / calls) * 1000)
  }
  return times.sort((a, b) => a - b)[rounds >> 1]!
}

const round = (value: number) => Math.round(value * 10) / 10
console.log(
  JSON.stringify({
    lines: allLines(recipe).length,
    evaluateMicroseconds: round(medianMicroseconds(() => evaluate(recipe, larder), 400)),
    adaptMicroseconds: round(medianMicroseconds(() => adapt(recipe, ['vegan'], larder), 40)),
    readRecipeMicroseconds: round(medianMicroseconds(() => readRecipe(text, larder.foods), 20)),
  }),
)
