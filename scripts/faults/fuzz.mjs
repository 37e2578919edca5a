/** A sequence of numbers that looks random and can be had again. */
function generator(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

const ODD = [
  null,
  true,
  false,
  0,
  -1,
  1,
  0.5,
  1e-320,
  1e308,
  -1e308,
  2 ** 53,
  1e21,
  '',
  ' ',
  '"',
  'timeout',
  'terminat',
  '08006',
  '57P01',
  'ECONNREFUSED',
  'timeout-flour',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '🥟',
  '%',
  '%E0%A4%A',
  '../../etc/passwd',
  "'; drop table recipes; --",
  '<script>alert(1)</script>',
  'x'.repeat(600),
  'x'.repeat(30_000),
  [],
  {},
  [[]],
  [null],
  { a: { b: { c: 1 } } },
  '1',
  '2020-01-01',
  '__proto__',
  'constructor',
  '00000000-0000-0000-0000-000000000000',
  '7f1c9f0e-8d53-4c1e-9a55-0f8f6f0b9c11',
  'plain-flour',
  'group:flour',
  'shell',
  'vegan',
]
const RAW = [
  '',
  '"',
  '{',
  '{"recipe":"',
  '[]',
  'null',
  'timeout',
  '{"recipe":{"title":"\\ud800"}}',
  '\u0000',
  '{"text":1e999}',
  '{"__proto__":{"a":1}}',
  `${'['.repeat(5000)}`,
]
const PATHS = [
  '%',
  '%E0%A4%A',
  '%00',
  '..%2f..',
  'x'.repeat(300),
  '08006',
  'timeout',
  '7f1c9f0e-8d53-4c1e-9a55-0f8f6f0b9c11',
  'plain-flour',
  'own-x',
  '%F0%9F%A5%9F',
  "'",
  ' ',
]

/** A value that a JSON schema asks for, or something near it. */
function valueOf(schema, random, definitions, depth = 0) {
  if (!schema || depth > 7 || random() < 0.04) return ODD[Math.floor(random() * ODD.length)]
  if (schema.$ref) return valueOf(definitions[schema.$ref.split('/').at(-1)], random, definitions, depth + 1)
  const choices = schema.anyOf ?? schema.oneOf
  if (choices) return valueOf(choices[Math.floor(random() * choices.length)], random, definitions, depth + 1)
  if (schema.const !== undefined) return schema.const
  if (schema.enum) return schema.enum[Math.floor(random() * schema.enum.length)]
  switch (Array.isArray(schema.type) ? schema.type[0] : schema.type) {
    case 'object': {
      const made = {}
      const needed = new Set(schema.required ?? [])
      for (const [key, own] of Object.entries(schema.properties ?? {}))
        if (random() < (needed.has(key) ? 0.97 : 0.5))
          made[key] = valueOf(own, random, definitions, depth + 1)
      if (random() < 0.1) made[`odd${Math.floor(random() * 9)}`] = ODD[Math.floor(random() * ODD.length)]
      return made
    }
    case 'array':
      return Array.from({ length: Math.floor(random() * 4) }, () =>
        valueOf(schema.items, random, definitions, depth + 1),
      )
    case 'integer':
      return Math.floor(random() * 40)
    case 'number':
      return random() * 500
    case 'boolean':
      return random() < 0.5
    case 'string':
      return ['leek', 'plain-flour', 'Dough\n500 g flour\n250 g water', 'Ada', '2026-01-01'][
        Math.floor(random() * 5)
      ]
    default:
      return null
  }
}

/** A value as a query holds it: half a letter cannot be sent, and what is cut is no longer a letter. */
const inQuery = (value) => encodeURIComponent(String(value).toWellFormed().slice(0, 300))

/** A value of a document put to something odd, somewhere. */
function mutated(document, random) {
  const copy = structuredClone(document)
  let at = copy
  for (let depth = 0; depth < 8; depth++) {
    const keys = Object.keys(at)
    if (!keys.length) break
    const key = keys[Math.floor(random() * keys.length)]
    if (at[key] === null || typeof at[key] !== 'object' || random() < 0.15) {
      if (random() < 0.1) delete at[key]
      else at[key] = ODD[Math.floor(random() * ODD.length)]
      break
    }
    at = at[key]
  }
  return copy
}

/** Requests over every route of the OpenAPI document; most are nearly right. */
export async function fuzz(copy, recipe, many, seed = 20_261_126) {
  const random = generator(seed)
  const { value: api } = await copy.get('/api/openapi.json')
  const definitions = api.components?.schemas ?? {}
  const routes = Object.entries(api.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method: method.toUpperCase(), operation })),
  )
  const counts = {}
  const wrong = new Map()
  const note = (text, example) => {
    if (!wrong.has(text)) wrong.set(text, example)
  }
  const one = async () => {
    const { path, method, operation } = routes[Math.floor(random() * routes.length)]
    const schema = operation.requestBody?.content?.['application/json']?.schema
    const filled = path.replace(/\{\w+\}/g, () => PATHS[Math.floor(random() * PATHS.length)])
    const query = (operation.parameters ?? [])
      .filter((own) => own.in === 'query' && random() < 0.6)
      .map((own) => `${own.name}=${inQuery(ODD[Math.floor(random() * ODD.length)])}`)
    const asks = random()
    let body
    if (method !== 'GET' && method !== 'DELETE') {
      const near = schema ? valueOf(schema, random, definitions) : {}
      const holds = near && typeof near === 'object' && 'recipe' in near
      body =
        asks < 0.06
          ? RAW[Math.floor(random() * RAW.length)]
          : JSON.stringify(holds && asks < 0.75 ? mutated({ ...near, recipe }, random) : near)
    }
    let address = filled
    if (query.length) address += `?${query.join('&')}`
    let answer
    try {
      answer = await copy.ask(method, address, body, {}, 20_000)
    } catch {
      return
    }
    counts[answer?.status ?? 'none'] = (counts[answer?.status ?? 'none'] ?? 0) + 1
    const example = `${method} ${address.slice(0, 80)} ${String(body).slice(0, 200)}`
    if (!answer) note(`${method} ${path} was not answered`, example)
    else if (answer.status === 500 || answer.status === 503)
      note(`${method} ${path} answered ${answer.status}`, example)
    else if (answer.status >= 400 && !/problem\+json/.test(answer.type))
      note(`${method} ${path} answered ${answer.status} without a problem document`, example)
    else if (answer.status < 400 && /\bNaN\b|undefined/.test(answer.text.slice(0, 2000)))
      note(`${method} ${path} answered NaN or undefined`, example)
  }
  const hands = async (share) => {
    for (let n = 0; n < share; n++) await one()
  }
  await Promise.all(Array.from({ length: 6 }, () => hands(Math.ceil(many / 6))))
  const ready = (await copy.get('/api/ready'))?.status === 200
  if (!ready) note('it was not ready afterwards', '')
  for (const [text, example] of wrong) console.error(`  ${text}: ${example}`)
  return {
    name: `${many} requests over ${routes.length} routes`,
    did: Object.entries(counts)
      .map(([status, count]) => `${count} × ${status}`)
      .join(', '),
    wrong: [...wrong.keys()],
  }
}
