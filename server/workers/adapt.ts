import { parentPort } from 'node:worker_threads'
import { adapt, type AdaptOptions } from '../../core/adapt'
import { withFoods, withSwaps } from '../../core/larder'
import { RecipeProblem } from '../../core/recipe/problem'
import { larder } from '../../data/larder'
import type { AdaptAnswer, AdaptQuestion } from '../utils/adaptInWorker'

/** Answers one search after another, apart from the thread that serves everything else. */
parentPort!.on('message', ({ id, recipe, diets, foods, swaps, options }: AdaptQuestion) => {
  const say = (answer: AdaptAnswer) => parentPort!.postMessage(answer)
  try {
    const prices: AdaptOptions['prices'] = new Map(options.prices)
    const own = withSwaps(withFoods(larder, foods), swaps)
    say({ id, made: adapt(recipe, diets, own, { ...options, prices }) })
  } catch (error) {
    if (error instanceof RecipeProblem) say({ id, problems: error.problems })
    else say({ id, failure: error instanceof Error ? (error.stack ?? error.message) : String(error) })
  }
})
