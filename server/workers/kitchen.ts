import { parentPort } from 'node:worker_threads'
import { doJob, type Job } from '../services/jobs'

/** Does one job after another, apart from the thread that serves everything else. */
parentPort!.on('message', (job: Job) => parentPort!.postMessage(doJob(job)))
