import { z } from 'zod'
import { ROUTES, type Route } from '~~/shared/api/routes'
import * as answers from '~~/shared/api/answers'

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
      schema: { type: 'string' },
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
    const good = route.path.endsWith('.ics') ? 'text/calendar' : 'application/json'
    const type = Number(status) >= 400 ? 'application/problem+json' : good
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
    components: { schemas: { Problem: json(answers.problemAnswer, 'output') } },
  }
}
