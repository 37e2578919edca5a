import { readdirSync, readFileSync } from 'node:fs'
import { csvParse } from 'd3-dsv'
import { adapt, dietsByIds } from '../../core/adaptation/adapt'
import { rankSwaps } from '../../core/optimisation/rankSwaps'
import { search } from '../../core/optimisation/search'
import { tradeOff } from '../../core/optimisation/tradeOff'
import { wishesFor } from '../../core/optimisation/wishes'
import { parseTarget } from '../../core/diet/target'
import { evaluate } from '../../core/evaluation/evaluate'
import { referenceFromRows } from '../../core/tables/referenceData'
import { readRecipe } from '../../core/reading/readRecipe'
import type { Recipe } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { corpus } from '../../test/readingCorpus'
import { planDinner } from '../../core/planning/dinner'
import { timesFromRows } from '../../core/planning/times'
import { schedule } from '../../core/schedule/schedule'
import { makeDish } from '../../core/planning/tasks'
import { dinnerOf, ME } from '../../test/dinner'
import { seeded } from '../../test/seeded'
import { pieceGrams } from '../../core/evaluation/pieceGrams'
import { heatBody } from '../../core/simulation/heatBody'
import { heatPiece } from '../../core/simulation/pieceHeat'
import { surfacesFromRows } from '../../core/simulation/surfaces'
import { planPieces } from '../../core/tray/plan'
import { WORST } from '../../test/worstTexts'

const at = (path: string) => readFileSync(new URL(`../../data/${path}`, import.meta.url), 'utf8')
const rows = (name: string) => csvParse(at(`${name}.csv`)) as unknown as Record<string, string>[]
const reference = referenceFromRows({
  foods: rows('foods'),
  standIns: rows('stand-ins'),
  fatSteps: rows('fat-steps'),
  states: rows('states'),
  homemade: rows('homemade'),
  diets: rows('diets'),
  swaps: rows('swaps'),
  formulas: rows('formulas'),
  likeness: rows('likeness'),
  levers: rows('levers'),
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
const recipe: Recipe = readRecipe(text, reference.foods).recipe

/** A ball in boiling water, and one piece of the recipe with its band, from the fridge. */
const heatBall = () =>
  heatBody({
    geometry: 'sphere',
    halfMm: 20,
    conductivityWmK: 0.5,
    densityKgM3: 1050,
    specificHeatJkgK: 3600,
    surfaceWm2K: 1000,
    startC: 5,
    mediumC: 100,
    targetC: 74,
  })
const surfaces = surfacesFromRows(rows('surfaces'))
const heatOnePiece = () =>
  heatPiece(
    recipe,
    { ...pieceGrams(evaluate(recipe, reference)), startC: 5, targetC: null, thickness: 1, warmerC: 0 },
    reference,
    surfaces,
  )

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

/** Times of single calls in milliseconds, sorted. */
function millisecondsOf(works: readonly (() => unknown)[]): number[] {
  return works
    .map((work) => {
      const start = performance.now()
      work()
      return performance.now() - start
    })
    .sort((a, b) => a - b)
}

const demo = readdirSync(new URL('../../data/demo', import.meta.url)).map(
  (name) => readRecipe(at(`demo/${name}`), reference.foods).recipe,
)
const THREE_DIETS = [
  ['vegan', 'high-protein', 'lighter'],
  ['vegan', 'keto', 'nut-free'],
  ['vegetarian', 'whole-grain', 'high-protein'],
  ['dairy-free', 'egg-free', 'high-protein'],
  ['vegan', 'gluten-free', 'soy-free'],
  ['egg-free', 'keto-wide', 'protein-source'],
]
const solves = demo.flatMap((one) =>
  THREE_DIETS.map((ids) => () => search(one, wishesFor(dietsByIds(ids, reference)), reference)),
)
millisecondsOf(solves)
const solveTimes = millisecondsOf(solves)
const carbohydrate = parseTarget('netCarbohydrateG/serving <= 1', 'bench')
const curves = demo.map((one) => () => tradeOff(one, wishesFor([]), carbohydrate, reference, 25))
const curveTimes = millisecondsOf(curves)
const before = evaluate(recipe, reference)
const vegan = dietsByIds(['vegan'], reference)
const rankAll = () =>
  allLines(recipe).map(({ line }) => rankSwaps(recipe, line.id, reference, vegan, before).length)
// Each text once: what was read before is remembered, as between two keys.
const firstTimes = millisecondsOf(corpus().map((one) => () => readRecipe(one.text, reference.foods)))
const worstTimes = millisecondsOf(
  WORST.map(
    ([, worst]) =>
      () =>
        readRecipe(worst, reference.foods),
  ),
)
/** A change on the tray: the plan with its packing, for the recipe that is cut into most. */
const trayPlan = () =>
  planPieces(recipe, before, { method: 'cut-sheet', diameterMm: 60, thicknessMm: 2 }, reference)
/** Three dishes with a filling each, 40 pieces in batches, two cooks: the first plan, and until it is proven. */
const times = timesFromRows(rows('times'))
const dishes = [demo[0]!, demo[3]!, demo[4]!].map((one, at) =>
  makeDish({ ...one, pieces: [14, 14, 12][at]! }, 'fresh', null, reference),
)
const planThree = () => {
  const start = performance.now()
  let first = 0
  const plan = planDinner(
    dinnerOf(dishes, { people: [ME, { ...ME, name: 'You' }], roomC: 22 }),
    reference,
    times,
    {
      expired: () => performance.now() - start > 3000,
      better: () => (first ||= performance.now() - start),
    },
  )
  return { first, whole: performance.now() - start, plan }
}
planThree()
const threePlans = Array.from({ length: 7 }, planThree)
/** Problems of twelve tasks on four scarce things, as `core/schedule` makes them up. */
const twelve = Array.from({ length: 20 }, (_, seed) => {
  const draw = seeded(seed + 1)
  const jobs = Array.from({ length: 12 }, (_, at) => ({
    id: String(at),
    minutes: 1 + Math.floor(draw() * 30),
    uses: Object.fromEntries(
      ['a', 'b', 'c'].flatMap((name) => (draw() < 0.6 ? [[name, 1 + Math.floor(draw() * 2)]] : [])),
    ),
    after:
      at > 2 && draw() < 0.7
        ? [{ id: String(Math.floor(draw() * at)), minMinutes: 0, maxMinutes: draw() < 0.3 ? 90 : null }]
        : [],
  }))
  return () => schedule({ jobs, capacity: { a: 2, b: 2, c: 3 }, away: [], availableMinutes: null })
})
const twelveTimes = millisecondsOf(twelve)
const median = (sorted: readonly number[]) => sorted[sorted.length >> 1]!

const round = (value: number) => Math.round(value * 10) / 10
console.log(
  JSON.stringify({
    lines: allLines(recipe).length,
    evaluateMicroseconds: round(medianMicroseconds(() => evaluate(recipe, reference), 400)),
    adaptMicroseconds: round(medianMicroseconds(() => adapt(recipe, ['vegan'], reference), 40)),
    swapsRanked: rankAll().reduce((sum, own) => sum + own, 0),
    rankAllMilliseconds: round(medianMicroseconds(rankAll, 3, 11) / 1000),
    threeDietSolves: solveTimes.length,
    threeDietSolveMedianMilliseconds: round(median(solveTimes)),
    threeDietSolveWorstMilliseconds: round(solveTimes.at(-1)!),
    tradeOff25PointsMedianMilliseconds: round(median(curveTimes)),
    tradeOff25PointsWorstMilliseconds: round(curveTimes.at(-1)!),
    textsReadFirst: firstTimes.length,
    readFirstMedianMilliseconds: round(median(firstTimes)),
    readFirstWorstMilliseconds: round(firstTimes.at(-1)!),
    readWorstOf30000CharactersMilliseconds: round(worstTimes.at(-1)!),
    heatBodyMilliseconds: round(medianMicroseconds(heatBall, 3, 11) / 1000),
    heatPieceMilliseconds: round(medianMicroseconds(heatOnePiece, 1, 11) / 1000),
    trayPlanMicroseconds: round(medianMicroseconds(trayPlan, 20)),
    dinnerTasks: threePlans[0]!.plan.work.length,
    dinnerFirstPlanMilliseconds: round(median(threePlans.map(({ first }) => first).sort((a, b) => a - b))),
    dinnerProvenMilliseconds: round(median(threePlans.map(({ whole }) => whole).sort((a, b) => a - b))),
    dinnerProven: threePlans.every(({ plan }) => plan.proven),
    twelveTasksMedianMilliseconds: round(median(twelveTimes)),
    twelveTasksWorstMilliseconds: round(twelveTimes.at(-1)!),
    readAgainMicroseconds: round(medianMicroseconds(() => readRecipe(text, reference.foods), 20)),
  }),
)
