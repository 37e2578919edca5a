import { pause } from './copy.mjs'

const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))]

/** Times are judged only where a machine is given to nothing else; elsewhere they are told. */
const tooLong = (timed, milliseconds, most, what) =>
  timed && milliseconds >= most && `${what} ${milliseconds.toFixed(0)} ms, under ${most} is asked`

/** Many who save at once; everybody is served. Who is told to come again does, as the interface would. */
export async function parallelSavers(copy, recipe, many, timed) {
  const began = Date.now()
  const save = (title) => copy.ask('POST', '/api/recipes', { recipe: { ...recipe, title } })
  const odd = new Set()
  let accepted = 0
  let waiting = Array.from({ length: many }, (_, at) => `Saver ${at}`)
  let first = null
  for (let round = 0; round < 4 && waiting.length; round++) {
    if (round) await pause(2000)
    const answers = await Promise.all(waiting.map(save))
    for (const answer of answers)
      if (![201, 503].includes(answer?.status)) odd.add(`answered ${answer?.status}`)
    accepted += answers.filter((answer) => answer?.status === 201).length
    waiting = waiting.filter((_, at) => answers[at]?.status === 503)
    first ??= { accepted, took: Date.now() - began }
  }
  return {
    name: `${many} savers at once`,
    did: `${first.accepted} accepted in ${first.took} ms, ${accepted} in all`,
    wrong: [
      ...odd,
      waiting.length && `${waiting.length} were told to come again each time`,
      timed && first.accepted < many && `${many - first.accepted} were told to come again`,
      tooLong(timed, first.took, 5000, 'took'),
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

/** How long /api/health takes while something else is asked, and how long the slowest of that takes. */
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
  let slowest = 0
  const timing = async (request) => {
    const began = Date.now()
    const answer = await request()
    slowest = Math.max(slowest, Date.now() - began)
    return answer
  }
  await work(timing)
  going = false
  await watch
  return { times, slowest }
}

/**
 * What stood in the way of health. Whatever the machine, it never waits for the work to end: a quarter of the
 * slowest request is far from what a server that works on one thing at a time would show.
 */
const stoodStill = ({ times, slowest }, timed) =>
  [
    quantile(times, 0.95) >= Math.max(100, slowest / 4) && `health waited for the work: ${health(times)}`,
    tooLong(timed, quantile(times, 0.5), 20, 'median of health'),
    tooLong(timed, quantile(times, 0.95), 100, '95th percentile of health'),
  ].filter(Boolean)

const health = (times) =>
  `health ${quantile(times, 0.5).toFixed(0)} ms, 95 % under ${quantile(times, 0.95).toFixed(0)} ms`

/** Eight searches at once, again and again for some seconds. */
export async function besideSearches(copy, recipe, seconds, timed) {
  const end = Date.now() + seconds * 1000
  const answered = {}
  const seen = await beside(copy, async (timing) => {
    const one = async () => {
      while (Date.now() < end) {
        const answer = await timing(() =>
          copy.ask('POST', '/api/adapt', { recipe, diets: ['vegan', 'gluten-free', 'high-protein'] }),
        )
        answered[answer?.status] = (answered[answer?.status] ?? 0) + 1
      }
    }
    await Promise.all(Array.from({ length: 8 }, one))
  })
  const wrong = stoodStill(seen, timed)
  const odd = Object.keys(answered).filter((status) => !['200', '429'].includes(status))
  if (odd.length) wrong.push(`searches answered ${odd.join(', ')}`)
  return {
    name: `8 searches at once for ${seconds} s`,
    did: `${health(seen.times)}; ${answered[200] ?? 0} done`,
    wrong,
  }
}

const to = (length, text) => text.repeat(Math.ceil(length / text.length)).slice(0, length)

/** No single request may cost the kitchen more than this; one text or table is a few hundred kilobytes as it is kept. */
const MOST_GROWTH_MB = 400

/** Texts that were made to be slow, as long as a text may be. */
export async function worstTexts(copy, timed) {
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
  const grown = await copy.growth()
  const seen = await beside(copy, async (timing) => {
    for (const text of texts) {
      const answer = await timing(() => copy.ask('POST', '/api/intake', { text }))
      if (![200, 422].includes(answer?.status))
        wrong.push(`"${text.slice(0, 12)}" answered ${answer?.status}`)
    }
  })
  wrong.push(...stoodStill(seen, timed))
  const grownMb = grown()
  if (grownMb > MOST_GROWTH_MB) wrong.push(`the server grew by ${grownMb.toFixed(0)} MB`)
  return {
    name: `${texts.length} texts made to be slow, of up to 190 kB`,
    did: `slowest ${seen.slowest} ms; ${health(seen.times)}; grew by ${grownMb.toFixed(0)} MB at most`,
    wrong,
  }
}

/** A recipe of hundreds of lines with every wish there is. */
export async function hugeSearches(copy, recipe, many, timed) {
  const lines = recipe.parts.flatMap((part) => part.lines).map((line) => ({ ...line, id: '' }))
  const huge = {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: Array.from({ length: 110 }, (_, at) => lines[at % lines.length]),
    })),
  }
  const wrong = []
  const seen = await beside(copy, (timing) =>
    Promise.all(
      Array.from({ length: many }, async () => {
        const answer = await timing(() =>
          copy.ask(
            'POST',
            '/api/adapt',
            { recipe: huge, diets: ['vegan', 'keto', 'high-protein', 'lighter'] },
            {},
            60_000,
          ),
        )
        if (![200, 422, 429].includes(answer?.status)) wrong.push(`answered ${answer?.status}`)
      }),
    ),
  )
  wrong.push(...stoodStill(seen, timed))
  return {
    name: `${many} searches of hundreds of lines and four targets`,
    did: `slowest ${seen.slowest} ms; ${health(seen.times)}`,
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
