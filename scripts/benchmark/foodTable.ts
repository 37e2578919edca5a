import { TABLE_FILE_KEYS } from '../../core/exchange/openTable'
import { inventedName, writeTable } from '../../test/openTable'

/** Takes in a table of many foods by the API and searches among them; prints one JSON object. */
const address = process.argv[2]!
const FOODS = Number(process.argv[3] ?? 100_000)
const CHUNK_BYTES = 2_000_000

async function answered(path: string, request: RequestInit = {}): Promise<Record<string, unknown>> {
  const answer = await fetch(`${address}${path}`, request)
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
  return (await answer.json()) as Record<string, unknown>
}
const post = (path: string, body: unknown) =>
  answered(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })

const table = writeTable(FOODS)
const start = performance.now()
const { id } = (await post('/api/imports', { source: 'Bench table', who: 'bench' })) as { id: string }
for (const file of TABLE_FILE_KEYS) {
  const bytes = Buffer.from(table[file])
  for (let from = 0; from < bytes.length; from += CHUNK_BYTES) {
    const piece = bytes.subarray(from, from + CHUNK_BYTES)
    const last = from + piece.length >= bytes.length
    await answered(`/api/imports/${id}/rows?file=${file}&offset=${from}&last=${last}`, {
      method: 'POST',
      body: new Uint8Array(piece),
    })
  }
}
const sent = performance.now()
await post(`/api/imports/${id}/finish`, {})
for (;;) {
  const { state } = await answered(`/api/imports/${id}`)
  if (state === 'done') break
  if (state !== 'merging') throw new Error(`the import is ${state}`)
  await new Promise((done) => setTimeout(done, 100))
}
const stored = performance.now()

/** What cooks type: names, fragments, misspellings, two words, and names among a hundred thousand alike. */
const QUERIES = [
  'cheddar',
  'chedar',
  'plain flour',
  'mushrom',
  'tofu',
  'leek',
  'parm',
  'oat drink',
  'yogrt',
  'paneer',
  'spinach frozen',
  'ched',
  'butter',
  'wheat',
  'pumpkin',
  'dumpling',
  'smoked trout',
  'chestnut roasted',
  'turnip',
  'fl',
  inventedName(777).toLowerCase(),
  inventedName(54_321 % FOODS).toLowerCase(),
]
const times: Record<string, number[]> = {}
const bare: number[] = []
const timed = async (path: string, into: number[]) => {
  const from = performance.now()
  await (await fetch(`${address}${path}`)).arrayBuffer()
  into.push(performance.now() - from)
}
for (let turn = 0; turn < 11; turn++) {
  for (const query of QUERIES) {
    await timed('/api/ping', bare)
    await timed(`/api/foods?q=${encodeURIComponent(query)}`, (times[query] ??= []))
  }
}
const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!
const round = (value: number) => Math.round(value * 10) / 10
const medians = Object.fromEntries(QUERIES.map((query) => [query, round(median(times[query]!))]))
console.log(
  JSON.stringify({
    foods: FOODS,
    amountRows: table.amountRows,
    sendSeconds: round((sent - start) / 1000),
    mergeSeconds: round((stored - sent) / 1000),
    importAmountRowsPerSecond: Math.round((table.amountRows / (stored - start)) * 1000),
    searchMedianMilliseconds: round(median(Object.values(times).flat())),
    searchSlowestMedianMilliseconds: Math.max(...Object.values(medians)),
    bareGetMilliseconds: round(median(bare)),
    searchMedians: medians,
  }),
)
