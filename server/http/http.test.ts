import { MAX_TEXT_CHARACTERS, MAX_TEXT_LINES } from '../../core/reading/limits'
import { describe, expect, it } from 'vitest'
import { recipeOf } from '../../test/helpers'
import { openApiDocument } from './openapi'
import { ROUTES } from '~~/shared/api/routes'
import * as requests from '~~/shared/api/requests'
import { unstorableText } from './storableText'

const recipe = recipeOf({
  shell: [
    ['plain-flour', 300],
    ['water', 160],
  ],
})

describe('unstorableText', () => {
  it('names the field that holds what the database cannot keep', () => {
    const bad = structuredClone(recipe)
    bad.title = 'nul \u0000'
    bad.parts[0]!.lines[1]!.raw = 'half \ud800 pair'
    bad.method = ['fine', 'other half \udc00']
    expect(unstorableText(bad, 'recipe').map((one) => one.field)).toEqual([
      'recipe.title',
      'recipe.parts[0].lines[1].raw',
      'recipe.method[1]',
    ])
  })
  it('lets every whole character pass', () => {
    expect(unstorableText({ ...recipe, title: 'Crème brûlée 🥟 餃子 \u202e\t' }, 'recipe')).toEqual([])
    expect(unstorableText(null, 'recipe')).toEqual([])
    expect(unstorableText(5, 'recipe')).toEqual([])
  })
})

describe('the request schemas', () => {
  const issues = (
    schema: {
      safeParse: (value: unknown) => { success: boolean; error?: { issues: { path: PropertyKey[] }[] } }
    },
    value: unknown,
  ) => schema.safeParse(value).error?.issues.map((issue) => issue.path.join('.')) ?? []

  it('take a whole parent or none', () => {
    const id = '7f1c9f0e-8d53-4c1e-9a55-0f8f6f0b9c11'
    expect(issues(requests.createRequest, { recipe })).toEqual([])
    expect(issues(requests.createRequest, { recipe, parentId: id, parentRevision: 2 })).toEqual([])
    expect(issues(requests.createRequest, { recipe, parentId: id })).toEqual(['parentRevision'])
    expect(issues(requests.createRequest, { recipe, parentId: 'x', parentRevision: 1 })).toEqual(['parentId'])
  })

  it('ask for a revision that can be', () => {
    expect(issues(requests.saveRequest, { recipe, revision: 1 })).toEqual([])
    for (const revision of [0, -1, 1.5, '1', null, undefined])
      expect(issues(requests.saveRequest, { recipe, revision })).toEqual(['revision'])
  })

  it('read a text without its NULs and half pairs, and refuse an empty or endless one', () => {
    const parsed = requests.intakeRequest.parse({ text: 'Do\u0000ugh \ud800' })
    expect(parsed.text).toBe('Dough \ufffd')
    expect(issues(requests.intakeRequest, { text: ' \n ' })).toEqual(['text'])
    expect(issues(requests.intakeRequest, { text: '\u0000' })).toEqual(['text'])
    expect(issues(requests.intakeRequest, { text: 'x'.repeat(MAX_TEXT_CHARACTERS + 1) })).toEqual(['text'])
    // Lines that are empty are no lines.
    expect(issues(requests.intakeRequest, { text: 'a\n\r\n\n'.repeat(MAX_TEXT_LINES) })).toEqual([])
    expect(issues(requests.intakeRequest, { text: 'a\n'.repeat(MAX_TEXT_LINES + 1) })).toEqual(['text'])
  })

  it('ask for at least one diet', () => {
    expect(issues(requests.adaptRequest, { recipe, diets: [] })).toEqual(['diets'])
    expect(issues(requests.adaptRequest, { recipe, diets: ['vegan'] })).toEqual([])
  })
})

describe('the OpenAPI document', () => {
  const document = openApiDocument()

  it('has every route with its method, a summary and a problem answer', () => {
    for (const route of ROUTES) {
      const operation = document.paths[route.path]?.[route.method] as {
        summary: string
        responses: Record<string, { description: string }>
      }
      expect(operation.summary.length, route.path).toBeGreaterThan(5)
      expect(operation.responses.default?.description).toMatch(/problem document/)
      for (const status of Object.keys(route.answers))
        expect(operation.responses[status], `${route.path} ${status}`).toBeDefined()
    }
  })

  it('names the parameters of a path', () => {
    const operation = document.paths['/api/recipes/{id}']!.get as {
      parameters: { name: string; in: string; required?: boolean }[]
    }
    expect(operation.parameters).toEqual(
      expect.arrayContaining([expect.objectContaining({ name: 'id', in: 'path', required: true })]),
    )
    expect(operation.parameters.map((one) => one.name)).toContain('revision')
  })

  it('says what a body must hold, and resolves every reference', () => {
    const text = JSON.stringify(document)
    for (const [, name] of text.matchAll(/"#\/components\/schemas\/(\w+)"/g)) {
      expect(Object.keys(document.components.schemas)).toContain(name)
    }
    const body = (
      document.paths['/api/evaluate']!.post as {
        requestBody: { content: Record<string, { schema: { required: string[] } }> }
      }
    ).requestBody
    expect(body.content['application/json']!.schema.required).toEqual(['recipe'])
  })
})
