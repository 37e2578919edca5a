import { pause } from './copy.mjs'

const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))]

/** Many who save at once; everybody is served, and soon. */
export async function parallelSavers(copy, recipe, many) {
  const began = Date.now()
  const answers = await Promise.all(
    Array.from({ length: many }, (_, at) =>
      copy.ask('POST', '/api/recipes', { recipe: { ...recipe, title: `Saver ${at}` } }),
    ),
  )
  const took = Date.now() - began
  const bad = answers.filter((answer) => answer?.status !== 201).map((answer) => answer?.status)
  return {
    name: `${many} savers at once`,
    did: `${many - bad.length} accepted in ${took} ms`,
    wrong: [
      bad.length && `answered ${[...new Set(bad)].join(', ')}`,
      took > 5000 && `took ${took} ms`,
    ].filter(Boolean),
  }
}

/** Savers of one recipe: one wins each time, every other is told with both documents. */
export async function conflicts(copy, recipe, rounds) {
  const { value } = await copy.ask('POST', '/api/recipes', { recipe: { ...recipe, title: 'Contested' } })
  const wrong = []
  let revision = 1
  let told = 0
  for (let round = 0; round < rounds; round++) {
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, at) =>
        copy.ask('PUT', `/api/recipes/${value.id}`, {
          recipe: { ...recipe, title: `Round ${round} by ${at}` },
          revision,
        }),
      ),
    )
    const won = answers.filter((answer) => answer?.status === 200)
    const lost = answers.filter(
      (answer) => answer?.status === 409 && answer.value.stored && answer.value.yours,
    )
    told += lost.length
    if (won.length !== 1 || lost.length !== 7)
      wrong.push(`round ${round}: ${answers.map((answer) => answer?.status).join(' ')}`)
    revision++
  }
  return { name: `8 savers of one recipe, ${rounds} rounds`, did: `${told} told`, wrong }
}

/** How long /api/health takes while something else is asked. */
async function beside(copy, work) {
  const times = []
  let going = true
  const watch = (async () => {
    while (going) {
      const began = performance.now()
      const answer = await copy.get('/api/health', 20_000)
      times.push(answer?.status === 200 ? performance.now() - began : Infinity)
      await pause(10)
    }
  })()
  const made = await work()
  going = false
  await watch
  return { made, times }
}

const health = (times) =>
  `health ${quantile(times, 0.5).toFixed(0)} ms, 95 % under ${quantile(times, 0.95).toFixed(0)} ms`

/** Eight searches at once, again and again for some seconds. */
export async function besideSearches(copy, recipe, seconds) {
  const end = Date.now() + seconds * 1000
  const answered = {}
  const { times } = await beside(copy, async () => {
    const one = async () => {
      while (Date.now() < end) {
        const answer = await copy.ask('POST', '/api/adapt', {
          recipe,
          diets: ['vegan', 'gluten-free', 'high-protein'],
        })
        answered[answer?.status] = (answered[answer?.status] ?? 0) + 1
      }
    }
    await Promise.all(Array.from({ length: 8 }, one))
  })
  const wrong = []
  if (quantile(times, 0.5) >= 20)
    wrong.push(`median ${quantile(times, 0.5).toFixed(0)} ms, under 20 is asked`)
  if (quantile(times, 0.95) >= 100)
    wrong.push(`95th percentile ${quantile(times, 0.95).toFixed(0)} ms, under 100 is asked`)
  const odd = Object.keys(answered).filter((status) => !['200', '429'].includes(status))
  if (odd.length) wrong.push(`searches answered ${odd.join(', ')}`)
  return {
    name: `8 searches at once for ${seconds} s`,
    did: `${health(times)}; ${answered[200] ?? 0} done`,
    wrong,
  }
}

const to = (length, text) => text.repeat(Math.ceil(length / text.length)).slice(0, length)

/** No single request may cost the kitchen more than this; one text or table is a few hundred kilobytes as it is kept. */
const MOST_GROWTH_MB = 400

/** Texts that were made to be slow, as long as a text may be. */
export async function worstTexts(copy) {
  const texts = [
    'a',
    'flour-',
    '- ',
    '(a)',
    '1/2 ',
    '"a',
    'a, ',
    'flour ',
    '500 g flour\n',
    '| a | b |\n',
    'A: b\n',
    'Mix. ',
    '\n',
    '🥟 ',
    '2 to 3 ',
  ]
    .map((text) => to(190_000, text))
    // As many lines as a text may have.
    .concat(['500 g flour\n', 'A: b\n', '| a | b |\n'].map((text) => text.repeat(3999)))
  const wrong = []
  let slowest = 0
  const grown = await copy.growth()
  const { times } = await beside(copy, async () => {
    for (const text of texts) {
      const began = Date.now()
      const answer = await copy.ask('POST', '/api/intake', { text })
      slowest = Math.max(slowest, Date.now() - began)
      if (![200, 422].includes(answer?.status))
        wrong.push(`"${text.slice(0, 12)}" answered ${answer?.status}`)
    }
  })
  if (quantile(times, 0.95) >= 100)
    wrong.push(`health took ${quantile(times, 0.95).toFixed(0)} ms at the 95th percentile`)
  const grownMb = grown()
  if (grownMb > MOST_GROWTH_MB) wrong.push(`the server grew by ${grownMb.toFixed(0)} MB`)
  return {
    name: `${texts.length} texts made to be slow, of up to 190 kB`,
    did: `slowest ${slowest} ms; ${health(times)}; grew by ${grownMb.toFixed(0)} MB at most`,
    wrong,
  }
}

/** A recipe of hundreds of lines with every wish there is. */
export async function hugeSearches(copy, recipe, many) {
  const lines = recipe.parts.flatMap((part) => part.lines).map((line) => ({ ...line, id: '' }))
  const huge = {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: Array.from({ length: 110 }, (_, at) => lines[at % lines.length]),
    })),
  }
  const wrong = []
  let slowest = 0
  const { times } = await beside(copy, () =>
    Promise.all(
      Array.from({ length: many }, async () => {
        const began = Date.now()
        const answer = await copy.ask(
          'POST',
          '/api/adapt',
          { recipe: huge, diets: ['vegan', 'keto', 'high-protein', 'lighter'] },
          {},
          60_000,
        )
        slowest = Math.max(slowest, Date.now() - began)
        if (![200, 422, 429].includes(answer?.status)) wrong.push(`answered ${answer?.status}`)
      }),
    ),
  )
  if (quantile(times, 0.95) >= 100)
    wrong.push(`health took ${quantile(times, 0.95).toFixed(0)} ms at the 95th percentile`)
  return {
    name: `${many} searches of hundreds of lines and four targets`,
    did: `slowest ${slowest} ms; ${health(times)}`,
    wrong,
  }
}

/** Eight megabytes of line breaks as a piece of a table. */
export async function emptyRows(copy) {
  const wrong = []
  const made = await copy.ask('POST', '/api/imports', { source: 'faults', who: 'faults' })
  const grown = await copy.growth()
  const answer = await copy.ask(
    'POST',
    `/api/imports/${made.value.id}/rows?file=food&offset=0`,
    '\n'.repeat(7_900_000),
    { 'content-type': 'application/octet-stream' },
    30_000,
  )
  const grownMb = grown()
  if (![200, 422].includes(answer?.status)) wrong.push(`answered ${answer?.status}`)
  if (grownMb > MOST_GROWTH_MB) wrong.push(`the server grew by ${grownMb.toFixed(0)} MB`)
  return {
    name: '8 MB of line breaks as a table',
    did: `answered ${answer?.status}, grew by ${grownMb.toFixed(0)} MB at most`,
    wrong,
  }
}
