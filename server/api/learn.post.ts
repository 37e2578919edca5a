import { learn } from '../../core/log/learn'
import { learnRequest } from '~~/shared/api/requests'
import { readJson } from '../http/body'

/** Brings a belief up to date with what was seen, as the Notebook does. */
export default defineEventHandler(async (event) => {
  const { prior, observations } = await readJson(event, learnRequest)
  return learn(prior, observations)
})
