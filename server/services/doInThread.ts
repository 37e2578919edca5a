import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import type { H3Event } from 'h3'
import { RecipeProblem } from '../../core/recipe/problem'
import { doJob, type Job, type JobAnswer } from './jobs'
import { GaveUp, TooBusy, TookTooLong, WorkPool } from './workPool'
import { problem } from '../http/problem'

/** The threads' file stands beside the server's own, where the build puts it; without one the work is done here. */
const file = join(dirname(process.argv[1] ?? '.'), 'kitchen-worker.mjs')

/** One core is left to serve; a search takes most of a second, so a queue of these is a few seconds long. */
const SEARCHERS = Math.max(1, Math.min(4, availableParallelism() - 1))
const MAX_WAITING = { search: 16, quick: 32 }

/** Searches apart from what is over in a moment, so that a text need not wait for eight searches. */
const pools = {
  search: new WorkPool<Job, JobAnswer>(file, SEARCHERS, MAX_WAITING.search),
  quick: new WorkPool<Job, JobAnswer>(file, 1, MAX_WAITING.quick),
}

/** How long each kind of work may take once it is begun; then its thread is ended. */
const MAX_MILLISECONDS: Readonly<Record<Job['kind'], number>> = {
  adapt: 6000,
  schedule: 6000,
  table: 8000,
  evaluate: 4000,
  read: 4000,
  import: 6000,
}
/** The search itself stops before that and takes what it has. */
export const SEARCH_MILLISECONDS = 3000

const tooMuch = () =>
  problem(
    422,
    'too-much',
    'This is too much at once',
    'It was not done within the time that one request may take. Send less: fewer lines, or fewer wishes',
    { errors: [{ field: 'body', message: 'fewer lines, or fewer wishes at once' }] },
  )

const busy = () =>
  problem(429, 'busy', 'Too many are waiting', 'Send it again in a few seconds; Retry-After says when')

/** Ends when the one who asked goes away before the answer. */
function untilGone(event: H3Event): AbortSignal {
  const left = new AbortController()
  const { res } = event.node
  res.once('close', () => {
    if (!res.writableFinished) left.abort()
  })
  return left.signal
}

/**
 * Does a job in a thread of its own: meanwhile the server answers everybody else.
 *
 * Answers 429 when too many wait and 422 when it takes too long.
 *
 * @throws RecipeProblem as the work itself
 */
export async function doInThread<Answer>(event: H3Event, job: Job): Promise<Answer> {
  let answer: JobAnswer
  if (existsSync(file)) {
    try {
      const pool =
        job.kind === 'adapt' || job.kind === 'schedule' || job.kind === 'table' ? pools.search : pools.quick
      answer = await pool.run(job, MAX_MILLISECONDS[job.kind], untilGone(event))
    } catch (error) {
      if (error instanceof TooBusy) throw busy()
      if (error instanceof TookTooLong) throw tooMuch()
      // Nobody reads this one.
      if (error instanceof GaveUp)
        throw problem(499, 'gone', 'Nobody waits', 'The request was given up before it was answered')
      throw error
    }
  } else answer = doJob(job)
  if (answer.problems) throw new RecipeProblem(answer.problems)
  if (answer.outOfTime) throw tooMuch()
  if (answer.failure !== undefined) throw new Error(answer.failure)
  return answer.made as Answer
}
