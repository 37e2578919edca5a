import { tasksOf } from '../planning/tasksOf'
import { makeDish, type Task, type TaskKind } from '../planning/tasks'
import { timeOf, type UsualTimes } from '../planning/times'
import { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import { hostOf } from '../recipe/lines'
import { MAX_PIECES } from '../recipe/vocabulary'
import { scaleRecipe } from '../recipe/scale'
import type { ReferenceData } from '../tables/referenceData'

/** Minutes of hands: so many for having it at all, and so many for each piece. */
export interface Minutes {
  fixed: number
  perPiece: number
}

/** The work of hands at one kind of piece, apart by what two kinds may share. */
export interface Handwork {
  dough: Minutes
  filling: Minutes
  /** Dividing, closing, washing, loading and cooking, a dip: each kind has its own. */
  pieces: Minutes
}

/** A usual kitchen: only hands are counted here, and they take as long in any room. */
const AROUND = { roomC: 22, burnerW: 2000 }
const NONE: Minutes = { fixed: 0, perPiece: 0 }

const AT_THE_PIECE: ReadonlySet<TaskKind> = new Set([
  'divide',
  'shape',
  'proof',
  'coat',
  'load',
  'cook',
  'dip',
  'freeze',
])

function partOf(task: Task, recipe: Recipe): keyof Handwork {
  const part = recipe.parts.find(({ id }) => id === task.partId)
  if (!part || AT_THE_PIECE.has(task.kind)) return 'pieces'
  const { kind } = hostOf(recipe, part)
  if (kind === 'shell') return 'dough'
  return kind === 'filling' ? 'filling' : 'pieces'
}

/** Minutes of hands by the Clock's own tasks. */
function handsOf(
  recipe: Recipe,
  reference: ReferenceData,
  times: UsualTimes,
): Record<keyof Handwork, number> {
  const { tasks } = tasksOf(makeDish(recipe, 'fresh', null, reference), 0, AROUND, reference, times)
  const sums = { dough: 0, filling: 0, pieces: 0 }
  for (const task of tasks) if (task.hands) sums[partOf(task, recipe)] += task.minutes
  return sums
}

/**
 * The work of hands at a recipe as the Clock reckons it: its own tasks at two sizes give what has to be done at all
 * and what each piece adds.
 *
 * @param pieces about how many are made, 1 or more
 * @returns null for a recipe that the Clock cannot plan
 */
export function handworkOf(
  recipe: Recipe,
  pieces: number,
  reference: ReferenceData,
  times: UsualTimes,
): Handwork | null {
  const few = Math.max(1, Math.min(pieces, Math.floor(MAX_PIECES / 2)))
  try {
    const [at, twice] = [few, 2 * few].map((count) =>
      handsOf(scaleRecipe(recipe, count / recipe.pieces), reference, times),
    )
    const line = (key: keyof Handwork): Minutes => {
      const perPiece = Math.max(0, (twice![key] - at![key]) / few)
      return { perPiece, fixed: Math.max(0, at![key] - perPiece * few) }
    }
    return { dough: line('dough'), filling: line('filling'), pieces: line('pieces') }
  } catch (error) {
    if (error instanceof RecipeProblem) return null
    throw error
  }
}

export const NO_HANDWORK: Handwork = { dough: NONE, filling: NONE, pieces: NONE }

/** Board, pins and hands, before the next kind comes on them. */
export const cleaningMinutes = (times: UsualTimes): number => timeOf(times, 'clean').minutes
