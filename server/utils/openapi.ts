import { z } from 'zod'
import * as schemas from './schemas'

interface Route {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
  summary: string
  body?: z.ZodType
  answers: Record<number, [string, z.ZodType]>
  query?: Record<string, string>
}

const stored = schemas.storedAnswer
const withParent = stored.extend({ parent: stored.nullable() })

/** The routes, once: the OpenAPI document is made from this list. */
export const ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Says whether the server and its database answer',
    answers: {
      200: ['All well', z.object({ status: z.literal('ok'), database: z.literal('ok'), foods: z.number() })],
    },
  },
  {
    method: 'get',
    path: '/api/ping',
    summary: 'Answers without touching anything',
    answers: { 200: ['Here', z.object({ ok: z.literal(true) })] },
  },
  {
    method: 'post',
    path: '/api/ping',
    summary: 'Reads a JSON object and throws it away',
    body: z.looseObject({}),
    answers: { 200: ['Here', z.object({ ok: z.literal(true) })] },
  },
  {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'This document',
    answers: { 200: ['OpenAPI 3.1', z.looseObject({ openapi: z.string() })] },
  },
  {
    method: 'get',
    path: '/api/foods',
    summary: 'Foods of the larder, or those that fit a query',
    query: { q: 'name, misspelling or fragment' },
    answers: {
      200: ['Foods', z.object({ foods: z.array(z.looseObject({ id: z.string(), name: z.string() })) })],
    },
  },
  {
    method: 'post',
    path: '/api/intake',
    summary: 'Reads the text of a recipe into a document',
    body: schemas.intakeRequest,
    answers: { 200: ['What was read', schemas.intakeAnswer] },
  },
  {
    method: 'post',
    path: '/api/evaluate',
    summary: 'Figures, dough, filling, diets, allergens and cautions of a recipe',
    body: schemas.evaluateRequest,
    answers: { 200: ['The evaluation', schemas.evaluationAnswer] },
  },
  {
    method: 'post',
    path: '/api/adapt',
    summary: 'Adapts a recipe to diets and puts its dough right',
    body: schemas.adaptRequest,
    answers: { 200: ['The adapted recipe, before and after', schemas.adaptAnswer] },
  },
  {
    method: 'get',
    path: '/api/recipes',
    summary: 'The shelf: recipes that are not deleted',
    answers: { 200: ['Recipes', schemas.listAnswer] },
  },
  {
    method: 'post',
    path: '/api/recipes',
    summary: 'Stores a new recipe, or a variant when a parent is named',
    body: schemas.createRequest,
    answers: { 201: ['Stored as revision 1', stored] },
  },
  {
    method: 'get',
    path: '/api/recipes/{id}',
    summary: 'A recipe with the revision it grew from',
    query: { revision: 'an older revision' },
    answers: { 200: ['The recipe', withParent] },
  },
  {
    method: 'put',
    path: '/api/recipes/{id}',
    summary: 'Saves a new revision; a stale one is answered with 409 and both documents',
    body: schemas.saveRequest,
    answers: {
      200: ['Saved', stored],
      409: ['Stale', schemas.problemAnswer.extend({ yours: z.looseObject({}), stored })],
    },
  },
  {
    method: 'delete',
    path: '/api/recipes/{id}',
    summary: 'Takes a recipe off the shelf; it can be put back',
    answers: { 200: ['Deleted', z.object({ id: z.string(), restore: z.string() })] },
  },
  {
    method: 'post',
    path: '/api/recipes/{id}/restore',
    summary: 'Puts a deleted recipe back',
    answers: { 200: ['Back on the shelf', stored] },
  },
  {
    method: 'post',
    path: '/api/recipes/{id}/variants',
    summary: 'Stores a variant of a revision',
    body: schemas.variantRequest,
    answers: { 201: ['Stored as revision 1 of its own', stored] },
  },
  {
    method: 'get',
    path: '/api/recipes/{id}/revisions',
    summary: 'The revisions of a recipe, the newest first',
    answers: {
      200: [
        'Revisions',
        z.object({
          revisions: z.array(z.object({ revision: z.number(), title: z.string(), savedAt: z.string() })),
        }),
      ],
    },
  },
]

const json = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Record<
    string,
    unknown
  >
  return rest
}

function operation(route: Route) {
  const parameters = [
    ...[...route.path.matchAll(/\{(\w+)\}/g)].map((match) => ({
      name: match[1],
      in: 'path',
      required: true,
      schema: { type: 'string', format: 'uuid' },
    })),
    ...Object.entries(route.query ?? {}).map(([name, description]) => ({
      name,
      in: 'query',
      description,
      schema: { type: 'string' },
    })),
  ]
  const responses: Record<string, unknown> = {
    default: {
      description: 'A problem document that names the field',
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    },
  }
  for (const [status, [description, schema]] of Object.entries(route.answers)) {
    const type = Number(status) >= 400 ? 'application/problem+json' : 'application/json'
    responses[status] = { description, content: { [type]: { schema: json(schema, 'output') } } }
  }
  return {
    summary: route.summary,
    ...(parameters.length ? { parameters } : {}),
    ...(route.body
      ? {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: json(route.body, 'input') } },
          },
        }
      : {}),
    responses,
  }
}

/** The OpenAPI 3.1 document, generated from the schemas that the routes themselves use. */
export function openApiDocument() {
  const paths: Record<string, Record<string, unknown>> = {}
  for (const route of ROUTES) (paths[route.path] ??= {})[route.method] = operation(route)
  return {
    openapi: '3.1.0',
    info: {
      title: 'Swap Pocket',
      version: '1',
      description:
        'Reads, evaluates, adapts and keeps filled-dough recipes. Errors are RFC 9457 problem documents.',
    },
    paths,
    components: { schemas: { Problem: json(schemas.problemAnswer, 'output') } },
  }
}
