import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { adapt } from '../../core/adaptation/adapt'
import { evaluate } from '../../core/evaluation/evaluate'
import { summaryOf } from '../../core/evaluation/summary'
import { demo } from '../../test/demo'
import { reference } from '../../test/helpers'
import { lean, leanAdaptation } from '../../server/services/lean'
import { scheduleFor } from '../../server/services/scheduleFor'
import { everyFewOfCorpus } from '../../test/readCorpus'
import { listedAnswer } from './answers'
import { foodAnswer } from './foods'
import { adaptAnswer, adaptWithWorkingAnswer } from './adaptation'
import { intakeAnswer } from './intake'
import { evaluationAnswer, evaluationWithWorkingAnswer } from './evaluation'
import { scheduleRequest } from './requests'
import { ROUTES } from './routes'
import { scheduleAnswer } from './schedule'

const folder = fileURLToPath(new URL('../../server/api/', import.meta.url))

/** "get /api/foods/{id}" of every file under server/api, by the framework's own naming. */
function routesOnDisk(at = folder, path = '/api'): string[] {
  return readdirSync(at, { withFileTypes: true }).flatMap((entry) => {
    const named = entry.name.replace(/\[(\w+)\]/, '{$1}')
    if (entry.isDirectory()) return routesOnDisk(join(at, entry.name), `${path}/${named}`)
    const [, name, method] = /^(.+)\.(get|post|put|delete)\.ts$/.exec(named) ?? []
    return [`${method} ${name === 'index' ? path : `${path}/${name}`}`]
  })
}

describe('the routes', () => {
  it('are those that the contract lists, no more and no fewer', () => {
    expect(routesOnDisk().sort()).toEqual(ROUTES.map(({ method, path }) => `${method} ${path}`).sort())
  })
})

describe('what is answered', () => {
  // The schemas are strict: a field that the contract does not name fails, and so does one that is missing.
  it.each(demo)('of $name is what the contract says', ({ recipe }) => {
    const evaluation = evaluate(recipe, reference)
    expect(evaluationWithWorkingAnswer.parse(evaluation)).toEqual(evaluation)
    expect(evaluationAnswer.parse(lean(evaluation))).toEqual(lean(evaluation))
    const summary = summaryOf(recipe, reference)
    expect(listedAnswer.shape.summary.parse(summary)).toEqual(summary)
    for (const diets of [['vegan'], ['gluten-free', 'high-protein'], ['keto']]) {
      const made = adapt(recipe, diets, reference)
      expect(adaptWithWorkingAnswer.parse(made)).toEqual(made)
      expect(adaptAnswer.parse(leanAdaptation(made))).toEqual(leanAdaptation(made))
    }
  })

  it('of a text is what the contract says', () => {
    for (const { intake } of everyFewOfCorpus()) {
      expect(intakeAnswer.parse(intake)).toEqual(intake)
    }
  })

  it('of a schedule is what the contract says, with a plan and without', () => {
    const asked = (more: object) =>
      scheduleRequest.parse({ serveAt: '2026-11-26T19:30', recipes: [{ recipe: demo[0]!.recipe }], ...more })
    for (const one of [
      asked({}),
      asked({ from: '2026-11-26T18:00' }),
      asked({ hands: 2, keepApart: true }),
    ]) {
      const answer = scheduleFor(one, reference, () => false)
      expect(scheduleAnswer.parse(answer)).toEqual(answer)
    }
  })

  it('of every food of the tables is what the contract says', () => {
    for (const food of reference.foods.values()) {
      const shelved = { ...food, shelf: 'table' as const }
      expect(foodAnswer.parse(shelved)).toEqual(shelved)
    }
  })
})
