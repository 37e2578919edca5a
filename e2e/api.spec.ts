import type { APIResponse } from '@playwright/test'
import type { Evaluation } from '../core/evaluation/evaluate'
import { listAnswer, storedAnswer } from '~~/shared/api/answers'
import { adaptAnswer } from '~~/shared/api/adaptation'
import { intakeAnswer } from '~~/shared/api/intake'
import { evaluationAnswer } from '~~/shared/api/evaluation'
import { expect, read, store, SUPPER, test } from './support'

const json = { 'content-type': 'application/json' }

async function expectProblem(answer: APIResponse, status: number, field: string) {
  expect(answer.status(), await answer.text()).toBe(status)
  expect(answer.headers()['content-type']).toContain('application/problem+json')
  const problem = (await answer.json()) as {
    status: number
    title: string
    errors: { field: string; message: string }[]
  }
  expect(problem.status).toBe(status)
  expect(problem.errors.map((error) => error.field).join()).toContain(field)
  for (const error of problem.errors) expect(error.message.length).toBeGreaterThan(8)
}

test.describe('the API answers as its own document says', () => {
  test('health, list, intake, evaluate and adapt', async ({ request }) => {
    expect(await (await request.get('/api/health')).json()).toMatchObject({ status: 'ok', database: 'ok' })
    listAnswer.parse(await (await request.get('/api/recipes')).json())
    const intake = intakeAnswer.parse(
      await (await request.post('/api/intake', { data: { text: SUPPER } })).json(),
    )
    expect(intake.recipe).toMatchObject({ pieces: 16, servings: 8 })
    const evaluation = evaluationAnswer.parse(
      await (await request.post('/api/evaluate', { data: { recipe: intake.recipe } })).json(),
    )
    expect(evaluation.allergens).toContain('Cereals containing gluten')
    const adapted = adaptAnswer.parse(
      await (await request.post('/api/adapt', { data: { recipe: intake.recipe, diets: ['vegan'] } })).json(),
    )
    expect(adapted.evaluation.diets.find((one) => one.diet === 'vegan')?.fits).toBe(true)
    expect(adapted.before.perPiece).toEqual(evaluation.perPiece)
  })

  test('the OpenAPI document lists every route with its schemas', async ({ request }) => {
    const document = (await (await request.get('/api/openapi.json')).json()) as {
      openapi: string
      paths: Record<string, Record<string, { requestBody?: unknown }>>
    }
    expect(document.openapi).toBe('3.1.0')
    for (const path of [
      '/api/health',
      '/api/intake',
      '/api/evaluate',
      '/api/adapt',
      '/api/recipes',
      '/api/recipes/{id}',
    ])
      expect(document.paths).toHaveProperty([path])
    expect(document.paths['/api/intake']!.post!.requestBody).toBeTruthy()
  })

  test('foods are found by name and misspelling', async ({ request }) => {
    const { foods } = (await (await request.get('/api/foods?q=parmsan')).json()) as {
      foods: { id: string }[]
    }
    expect(foods[0]?.id).toBe('parmesan')
  })
})

test.describe('bad input is answered with the field that is wrong', () => {
  const cases: [string, string, (recipe: Record<string, unknown>) => unknown, string][] = [
    [
      'an unknown food',
      '/api/evaluate',
      (recipe) => ({ recipe: withLine(recipe, { foodId: 'moon-dust' }) }),
      'recipe.parts[0].lines[0].foodId',
    ],
    [
      'a negative weight',
      '/api/evaluate',
      (recipe) => ({ recipe: withLine(recipe, { grams: -5 }) }),
      'recipe.parts[0].lines[0].grams',
    ],
    [
      'an absurd weight',
      '/api/evaluate',
      (recipe) => ({ recipe: withLine(recipe, { grams: 1e300 }) }),
      'recipe.parts[0].lines[0].grams',
    ],
    [
      'a weight in words',
      '/api/evaluate',
      (recipe) => ({ recipe: withLine(recipe, { grams: 'much' }) }),
      'recipe.parts[0].lines[0].grams',
    ],
    ['no pieces', '/api/evaluate', (recipe) => ({ recipe: { ...recipe, pieces: 0 } }), 'recipe.pieces'],
    [
      'no dough',
      '/api/evaluate',
      (recipe) => ({
        recipe: {
          ...recipe,
          parts: (recipe.parts as { kind: string }[]).filter((part) => part.kind !== 'shell'),
        },
      }),
      'recipe.parts',
    ],
    ['no recipe', '/api/evaluate', () => ({}), 'recipe'],
    ['an array', '/api/evaluate', () => [], 'body'],
    ['an unknown diet', '/api/adapt', (recipe) => ({ recipe, diets: ['moon'] }), 'diets[0]'],
    ['no diet', '/api/adapt', (recipe) => ({ recipe, diets: [] }), 'diets'],
    ['an empty text', '/api/intake', () => ({ text: '  \n ' }), 'text'],
    ['a text that is none', '/api/intake', () => ({ text: 5 }), 'text'],
    ['too long a text', '/api/intake', () => ({ text: 'flour\n'.repeat(60_000) }), 'text'],
    ['2 MB of text', '/api/intake', () => ({ text: 'x'.repeat(2_000_000) }), 'body'],
    [
      'half a parent',
      '/api/recipes',
      (recipe) => ({ recipe, parentId: '00000000-0000-4000-8000-000000000000' }),
      'parentRevision',
    ],
    [
      'a title that cannot be stored',
      '/api/recipes',
      (recipe) => ({ recipe: { ...recipe, title: 'a\u0000b' } }),
      'recipe.title',
    ],
  ]
  function withLine(recipe: Record<string, unknown>, line: Record<string, unknown>) {
    const copy = structuredClone(recipe) as { parts: { lines: Record<string, unknown>[] }[] }
    Object.assign(copy.parts[0]!.lines[0]!, line)
    return copy
  }
  for (const [name, path, body, field] of cases) {
    test(name, async ({ request }) => {
      const recipe = (await read(request, SUPPER)) as unknown as Record<string, unknown>
      await expectProblem(
        await request.post(path, { data: body(recipe), headers: json }),
        name === '2 MB of text' ? 413 : 422,
        field,
      )
    })
  }

  test('bytes that are not UTF-8, and text that is not JSON', async ({ request }) => {
    for (const path of ['/api/intake', '/api/evaluate', '/api/adapt', '/api/recipes']) {
      await expectProblem(
        await request.post(path, { data: Buffer.from([0x7b, 0xff, 0xfe, 0x7d]), headers: json }),
        400,
        'body',
      )
      await expectProblem(
        await request.post(path, { data: Buffer.from('{"text": '), headers: json }),
        400,
        'body',
      )
      await expectProblem(await request.post(path, { data: Buffer.alloc(0), headers: json }), 400, 'body')
    }
  })

  test('unknown recipes, revisions, routes and methods', async ({ request }) => {
    const id = '00000000-0000-4000-8000-000000000000'
    const recipe = await read(request, SUPPER)
    await expectProblem(await request.get(`/api/recipes/${id}`), 404, 'id')
    await expectProblem(await request.get('/api/recipes/robert%27);drop'), 404, 'id')
    await expectProblem(await request.put(`/api/recipes/${id}`, { data: { recipe, revision: 1 } }), 404, 'id')
    await expectProblem(await request.delete(`/api/recipes/${id}`), 404, 'id')
    await expectProblem(await request.post(`/api/recipes/${id}/restore`), 404, 'id')
    await expectProblem(
      await request.post(`/api/recipes/${id}/variants`, { data: { recipe, revision: 1 } }),
      404,
      'id',
    )
    const stored = await store(request, SUPPER)
    await expectProblem(await request.get(`/api/recipes/${stored.id}?revision=x`), 422, 'revision')
    expect((await request.get(`/api/recipes/${stored.id}?revision=9`)).status()).toBe(404)
    expect((await request.get('/api/nothing')).status()).toBe(404)
    expect((await request.patch('/api/recipes')).status()).toBe(405)
    expect((await request.get('/api/evaluate')).status()).toBe(405)
  })

  test('no text, however odd, ends in a 500 or loses a line', async ({ request }) => {
    const odd = [
      'Dough',
      '\u202e500 g flour',
      '½½ cups flour',
      '1/0 kg flour',
      '-5 g salt',
      '9'.repeat(400),
      '(((',
      '💥 2 eggs',
      'Filling:',
      '1e309 g beef',
      'NaN g leek',
      '\ud83d',
      '0 g water',
    ]
    const answer = await request.post('/api/intake', { data: { text: odd.join('\n') } })
    expect(answer.status()).toBe(200)
    const text = await answer.text()
    expect(text).not.toMatch(/NaN,|Infinity|:null,"gramsLow":NaN/)
    for (const part of ['(((', '2 eggs', 'beef', 'leek']) expect(text).toContain(part)
    const { recipe } = JSON.parse(text) as { recipe: unknown }
    const evaluated = await request.post('/api/evaluate', { data: { recipe } })
    expect(evaluated.status()).toBeLessThan(500)
  })
})

test.describe('storage', () => {
  test('keeps revisions, variants and what is deleted', async ({ request }) => {
    const stored = storedAnswer.parse(await store(request, SUPPER))
    expect(stored.revision).toBe(1)
    const saved = await (
      await request.put(`/api/recipes/${stored.id}`, {
        data: { recipe: { ...stored.recipe, title: 'Second' }, revision: 1 },
      })
    ).json()
    expect(saved).toMatchObject({ revision: 2, recipe: { title: 'Second' } })

    const stale = await request.put(`/api/recipes/${stored.id}`, {
      data: { recipe: { ...stored.recipe, title: 'Late' }, revision: 1 },
    })
    expect(stale.status()).toBe(409)
    expect(await stale.json()).toMatchObject({
      yours: { title: 'Late' },
      stored: { revision: 2, recipe: { title: 'Second' } },
    })

    const old = await (await request.get(`/api/recipes/${stored.id}?revision=1`)).json()
    expect(old).toMatchObject({ revision: 1, recipe: { title: 'Supper turnovers' } })

    const variant = await request.post(`/api/recipes/${stored.id}/variants`, {
      data: { recipe: { ...stored.recipe, title: 'Vegan' }, revision: 1 },
    })
    expect(variant.status()).toBe(201)
    const { id } = (await variant.json()) as { id: string }
    expect(await (await request.get(`/api/recipes/${id}`)).json()).toMatchObject({
      parentId: stored.id,
      parent: { revision: 1, recipe: { title: 'Supper turnovers' } },
    })

    expect((await request.delete(`/api/recipes/${id}`)).status()).toBe(200)
    expect((await request.get(`/api/recipes/${id}`)).status()).toBe(404)
    expect((await request.post(`/api/recipes/${id}/restore`)).status()).toBe(200)
    expect((await request.get(`/api/recipes/${id}`)).status()).toBe(200)
  })

  test('two saves at once: one wins, the other is told', async ({ request }) => {
    const stored = await store(request, SUPPER)
    const saves = await Promise.all(
      ['A', 'B', 'C', 'D'].map((title) =>
        request.put(`/api/recipes/${stored.id}`, {
          data: { recipe: { ...stored.recipe, title }, revision: 1 },
        }),
      ),
    )
    expect(saves.map((answer) => answer.status()).sort()).toEqual([200, 409, 409, 409])
  })

  test('what is stored evaluates to the same figures', async ({ request }) => {
    const stored = await store(request, SUPPER)
    const evaluate = async (recipe: unknown) =>
      ((await (await request.post('/api/evaluate', { data: { recipe } })).json()) as Evaluation).perPiece
    const back = (await (await request.get(`/api/recipes/${stored.id}`)).json()) as { recipe: unknown }
    expect(await evaluate(back.recipe)).toEqual(await evaluate(await read(request, SUPPER)))
  })
})
