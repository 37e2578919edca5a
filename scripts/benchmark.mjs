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
  execFileSync(bin('tsx'), [join(ROOT, 'scripts', 'benchmark', 'core.ts')], { encoding: 'utf8' }),
)

/** The same recipe as somebody would write it by hand: foods and grams, nothing else. */
const lean = (recipe) => ({
  pieces: recipe.pieces,
  servings: recipe.servings,
  parts: recipe.parts.map(({ kind, lines }) => ({
    kind,
    lines: lines.map(({ foodId, grams }) => ({ foodId, grams })),
  })),
})

/** Requests a second of several routes, measured in turns so that all see the same machine. */
async function compareRoutes(address, recipe) {
  const load = async (path, body, duration = 2) =>
    (
      await autocannon({
        url: `${address}${path}`,
        connections: 10,
        duration,
        ...(body
          ? { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
          : {}),
      })
    ).requests.average
  // The floor reads and answers as much as the route that is held against it.
  const answer = await fetch(`${address}/api/evaluate`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ recipe }),
  })
  const answerBytes = (await answer.text()).length
  const routes = {
    bareGet: ['/api/ping', null],
    bareJsonPost: [`/api/ping?bytes=${answerBytes}`, { recipe }],
    evaluate: ['/api/evaluate', { recipe }],
    evaluateLean: ['/api/evaluate', { recipe: lean(recipe) }],
  }
  const seen = Object.fromEntries(Object.keys(routes).map((name) => [name, []]))
  for (const route of Object.values(routes)) await load(...route, 1)
  for (let turn = 0; turn < 5; turn++)
    for (const [name, route] of Object.entries(routes)) seen[name].push(await load(...route))
  const rate = (name) => median(seen[name])
  return {
    requestsPerSecond: Object.fromEntries(Object.keys(routes).map((name) => [name, round(rate(name), 0)])),
    answerBytes,
    evaluateOverBareGet: round(rate('evaluate') / rate('bareGet'), 2),
    evaluateOverBareJsonPost: round(rate('evaluate') / rate('bareJsonPost'), 2),
    evaluateLeanOverBareGet: round(rate('evaluateLean') / rate('bareGet'), 2),
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
    const names = new Map()
    session.on('Network.requestWillBeSent', ({ requestId, request }) => names.set(requestId, request.url))
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (names.get(requestId)?.endsWith('.js')) scripts += encodedDataLength
    })
    // What comes when the page is idle does not keep anybody waiting.
    await page.exposeFunction('nowUsable', () => (bytes = scripts))
    // Timed by the page itself: asking from outside, over and over, would slow down what is measured.
    await page.addInitScript(() => {
      const look = () => {
        const shown = /\d/.test(document.querySelector('button.opens.big')?.textContent ?? '')
        requestAnimationFrame(
          shown
            ? () =>
                setTimeout(() => {
                  window.usableAt = performance.now()
                  window.nowUsable()
                })
            : look,
        )
      }
      look()
    })
    await page.goto(`${address}/bench/${id}`, { waitUntil: 'commit' })
    await page.waitForTimeout(2500)
    usable.push(await page.evaluate(() => window.usableAt))
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

/** How long the clock's page is blocked while three dishes are planned anew, and until the plan stands. */
async function measureClock(browser, address, recipes) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/clock`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  for (const title of ['Boathouse cabbage and caraway buns', 'Steamed mushroom buns', 'Apple parcels']) {
    const own = recipes.find((one) => one.title.startsWith(title.split(' ')[0]))
    if (!own) continue
    const add = page.getByRole('button', { name: 'Add a dish from the shelf' })
    await add.click()
    await page.getByLabel('Dish from the shelf').selectOption(own.id)
    await page.getByRole('status').filter({ hasText: 'proven' }).waitFor()
  }
  await page.getByRole('button', { name: 'Add a pair of hands' }).click()
  await page.waitForTimeout(1500)
  const blocked = await page.evaluate(async () => {
    const long = []
    new PerformanceObserver((list) =>
      long.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      entryTypes: ['longtask'],
    })
    const field = document.querySelector('input[type="time"].big')
    for (let n = 0; n < 10; n++) {
      field.value = `20:${10 + n}`
      field.dispatchEvent(new Event('change', { bubbles: true }))
      await new Promise((resolve) => setTimeout(resolve, 400))
    }
    return Math.max(0, ...long)
  })
  await page.close()
  return { longestBlockMilliseconds: round(blocked, 0) }
}

const { cluster, url } = await throwawayDatabase()
let server = null
let browser = null
try {
  const port = await freePort()
  const from = performance.now()
  server = await startServer({ port, databaseUrl: url, env: { SWAP_POCKET_NIGHTLY: '0' } })
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
  log('Larder')
  const reference = JSON.parse(
    execFileSync(bin('tsx'), [join(ROOT, 'scripts', 'benchmark', 'foodTable.ts'), server.address], {
      encoding: 'utf8',
    }),
  )
  log('Browser')
  browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking'],
  })
  const { recipes } = await (await fetch(`${server.address}/api/recipes`)).json()
  const id = recipes.find((one) => one.title === 'Curd and leek hand pies, vegan').id
  const page = await measurePage(browser, server.address, id)
  log('Clock')
  const clock = await measureClock(browser, server.address, recipes)
  console.log(
    JSON.stringify(
      {
        node: process.version,
        core,
        routes,
        reference,
        page,
        clock,
        serverStartMilliseconds: round(serverStart, 0),
      },
      null,
      2,
    ),
  )
} finally {
  await browser?.close()
  server?.child.kill('SIGTERM')
  cluster.remove()
}
