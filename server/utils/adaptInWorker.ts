import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { adapt, type Adaptation, type AdaptOptions } from '../../core/adapt'
import type { Price } from '../../core/cost/costOf'
import type { Food } from '../../core/food/food'
import { withFoods, withSwaps } from '../../core/larder'
import { RecipeProblem, type FieldProblem } from '../../core/recipe/problem'
import type { Recipe } from '../../core/recipe/document'
import type { OwnSwap } from '../../core/swap/catalogue'
import { larder } from '../../data/larder'

/** A search as it is sent to the worker. */
export interface AdaptQuestion {
  id: number
  recipe: Recipe
  diets: string[]
  /** Foods beside those of the tables. */
  foods: Food[]
  swaps: OwnSwap[]
  options: Omit<AdaptOptions, 'prices' | 'progress'> & { prices: [string, Price][] }
}

export interface AdaptAnswer {
  id: number
  made?: Adaptation
  problems?: FieldProblem[]
  failure?: string
}

/** The worker stands beside the server's own file, where the build puts it; without one the search runs here. */
const file = join(dirname(process.argv[1] ?? '.'), 'adapt-worker.mjs')

interface Waiting {
  resolve: (made: Adaptation) => void
  reject: (error: Error) => void
}
const waiting = new Map<number, Waiting>()
let worker: Worker | null = null
let last = 0

function started(): Worker {
  if (worker) return worker
  const own = new Worker(file)
  own.unref()
  own.on('message', ({ id, made, problems, failure }: AdaptAnswer) => {
    const one = waiting.get(id)
    waiting.delete(id)
    if (made) one?.resolve(made)
    else one?.reject(problems ? new RecipeProblem(problems) : new Error(failure))
  })
  // A worker that ends takes its questions with it; the next one starts anew.
  const lost = (error: Error) => {
    worker = null
    for (const one of waiting.values()) one.reject(error)
    waiting.clear()
  }
  own.on('error', lost)
  own.on('exit', (code) => {
    if (worker === own) lost(new Error(`The search ended with ${code}`))
  })
  worker = own
  return own
}

/**
 * Adapts a recipe in a thread of its own: a search may take most of a second, in which the server would answer
 * nobody else.
 *
 * @throws RecipeProblem as `adapt`
 */
export function adaptInWorker(question: Omit<AdaptQuestion, 'id'>): Promise<Adaptation> {
  if (!existsSync(file)) {
    const { recipe, diets, foods, swaps, options } = question
    const own = withSwaps(withFoods(larder, foods), swaps)
    return Promise.resolve(adapt(recipe, diets, own, { ...options, prices: new Map(options.prices) }))
  }
  return new Promise((resolve, reject) => {
    const id = ++last
    waiting.set(id, { resolve, reject })
    started().postMessage({ ...question, id } satisfies AdaptQuestion)
  })
}
