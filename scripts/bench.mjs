import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium } from './lib/chromium.mjs'
import { throwawayDatabase } from './lib/postgres.mjs'
import { bin, ensureBuild, ensurePackages, freePort, ROOT, startServer } from './lib/run.mjs'

// Prints one JSON document: medians, and ratios measured in the same run. Progress goes to standard error.
const log = (text) => console.error(`· ${text}`)
const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1]
const round = (value, digits = 1) => Number(value.toFixed(digits))

ensurePackages()
const executablePath = ensureChromium()
ensureBuild()
const { default: autocannon } = await import('autocannon')
const { chromium } = await import('@playwright/test')

log('Core')
const core = JSON.parse(
  execFileSync(bin('tsx'), [join(ROOT, 'scripts', 'bench', 'core.ts')], { encoding: 'utf8' }),
)

/** Requests a second of two routes, measured in turns so that both see the same machine. */
async function compareRoutes(address, recipe) {
  const load = async (path, options) =>
    (await autocannon({ url: `${address}${path}`, connections: 10, duration: 3, ...options })).requests
      .average
  const evaluate = {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ recipe }),
  }
  await load('/api/ping', { duration: 1 })
  await load('/api/evaluate', { ...evaluate, duration: 2 })
  const bare = []
  const evaluated = []
  for (let turn = 0; turn < 3; turn++) {
    bare.push(await load('/api/ping', {}))
    evaluated.push(await load('/api/evaluate', evaluate))
  }
  return {
    bareRequestsPerSecond: round(median(bare), 0),
    evaluateRequestsPerSecond: round(median(evaluated), 0),
    evaluateOverBare: round(median(evaluated) / median(bare), 2),
  }
}

/** First load of the bench, and the time from a key to the new figures. */
async function measurePage(browser, address, id) {
  const usable = []
  let bytes = 0
  for (let turn = 0; turn < 7; turn++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const session = await page.context().newCDPSession(page)
    await session.send('Network.enable')
    let scripts = 0
    const kinds = new Map()
    session.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type))
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (kinds.get(requestId) === 'Script') scripts += encodedDataLength
    })
    const start = performance.now()
    await page.goto(`${address}/bench/${id}`, { waitUntil: 'commit' })
    await page.getByRole('button', { name: /^Energy/ }).waitFor()
    usable.push(performance.now() - start)
    await page.waitForTimeout(200)
    bytes = scripts
    await page.close()
  }

  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/bench/${id}`)
  await page.getByRole('button', { name: /^Energy/ }).waitFor()
  const keyToFigure = await page.evaluate(async () => {
    const field = document.querySelector('input[aria-label^="Grams of"]')
    const energy = [...document.querySelectorAll('button.opens')].find((one) => one.classList.contains('big'))
    const times = []
    field.focus()
    for (let n = 0; n < 31; n++) {
      const before = energy.textContent
      const start = performance.now()
      field.value = String(300 + n * 20)
      field.dispatchEvent(new Event('input', { bubbles: true }))
      await new Promise((resolve) => {
        const look = () =>
          energy.textContent === before ? requestAnimationFrame(look) : setTimeout(resolve, 0)
        requestAnimationFrame(look)
      })
      times.push(performance.now() - start)
    }
    return times
  })
  await page.close()
  return {
    benchScriptKilobytes: round(bytes / 1000, 0),
    benchUsableMilliseconds: round(median(usable), 0),
    keyToFigureMilliseconds: round(median(keyToFigure), 1),
  }
}

const { cluster, url } = await throwawayDatabase()
let server = null
let browser = null
try {
  const port = await freePort()
  const from = performance.now()
  server = await startServer({ port, databaseUrl: url })
  const serverStart = performance.now() - from
  const text = readFileSync(join(ROOT, 'data', 'demo', '3-curd-leek-hand-pies.txt'), 'utf8')
  const { recipe } = await (
    await fetch(`${server.address}/api/intake`, {
      method: 'POST',
      body: JSON.stringify({ text }),
      headers: { 'content-type': 'application/json' },
    })
  ).json()
  log('Routes')
  const routes = await compareRoutes(server.address, recipe)
  log('Browser')
  browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking'],
  })
  const { recipes } = await (await fetch(`${server.address}/api/recipes`)).json()
  const id = recipes.find((one) => one.title === 'Curd and leek hand pies, vegan').id
  const page = await measurePage(browser, server.address, id)
  console.log(
    JSON.stringify(
      { node: process.version, core, routes, page, serverStartMilliseconds: round(serverStart, 0) },
      null,
      2,
    ),
  )
} finally {
  await browser?.close()
  server?.child.kill('SIGTERM')
  cluster.remove()
}
