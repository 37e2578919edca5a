import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium } from './lib/chromium.mjs'
import { throwawayDatabase } from './lib/postgres.mjs'
import { bin, ensureBuild, ensurePackages, freePort, ROOT, runAsync, say, startServer } from './lib/run.mjs'

const RESULTS = join(ROOT, 'test-results')
// The number all random tests of this run are made from: SEED=… makes them again.
const SEED = process.env.SEED ?? String(Date.now() % 2 ** 31)
const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1', CI: process.env.CI ?? '1', SEED }
let passed = 0
let failed = 0
/** What is said again at the very end, where it is not scrolled away. */
const toSay = []

/** Runs a check that has no tests of its own to count: it counts as one. */
async function check(name, command, args) {
  say(name)
  const code = await runAsync(command, args, { env })
  if (code === 0) passed++
  else {
    failed++
    console.error(`✕ ${name} failed`)
  }
}

/** Adds up what a runner wrote; a runner that wrote nothing has failed. */
function count(file, read, code) {
  if (!existsSync(file)) {
    failed++
    return
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')))
  passed += good
  failed += bad
  // A runner can fail without a failing test: a file that does not load, an error between tests.
  if (code !== 0 && bad === 0) failed++
}

async function unitTests() {
  say('Unit tests')
  const file = join(RESULTS, 'unit.json')
  const code = await runAsync(
    bin('vitest'),
    ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${file}`],
    { env },
  )
  count(file, (report) => [report.numPassedTests, report.numFailedTests], code)
  if (code !== 0) toSay.push(`Unit tests with SEED=${SEED}`, ...notPassed(file))
}

/** The unit tests that failed, and those that a worker which died left undone: the first of a file is what it died in. */
function notPassed(file) {
  if (!existsSync(file)) return []
  return JSON.parse(readFileSync(file, 'utf8')).testResults.flatMap(({ name, assertionResults, message }) => {
    const left = assertionResults.filter(({ status }) => status === 'failed' || status === 'pending')
    const said = left.slice(0, 5).map(({ status, fullName }) => `  ${status}: ${fullName}`)
    return left.length || message ? [`${name}: ${left.length} did not pass ${message ?? ''}`, ...said] : []
  })
}

async function browserTests() {
  const chromium = ensureChromium()
  say('Starting a throwaway database')
  const { cluster, port: databasePort, url } = await throwawayDatabase()
  let server = null
  try {
    const port = await freePort()
    server = await startServer({
      port,
      databaseUrl: url,
      env: { SWAP_POCKET_COPIES: join(RESULTS, 'copies'), SWAP_POCKET_NIGHTLY: '0' },
    })
    say(`Browser tests against ${server.address}`)
    const file = join(RESULTS, 'e2e.json')
    const code = await runAsync(bin('playwright'), ['test', ...process.argv.slice(2)], {
      env: {
        ...env,
        CHROMIUM: chromium,
        SWAP_POCKET_URL: server.address,
        SWAP_POCKET_CLUSTER: cluster.home,
        SWAP_POCKET_CLUSTER_PORT: String(databasePort),
        PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
      },
    })
    count(file, ({ stats }) => [stats.expected + stats.flaky, stats.unexpected], code)
  } finally {
    server?.child.kill('SIGTERM')
    cluster.remove()
  }
}

try {
  rmSync(RESULTS, { recursive: true, force: true })
  ensurePackages()
  await check('Preparing types', bin('nuxt'), ['prepare', '--logLevel', 'silent'])
  // Each of the two lanes waits for a processor of its own, and neither for what the other writes.
  await Promise.all([
    (async () => {
      await check('Format', bin('prettier'), ['--check', '.', '--log-level', 'warn'])
      await check('Lint', bin('eslint'), ['.'])
    })(),
    (async () => {
      await check('Types of the core', bin('tsc'), ['-p', 'core/tsconfig.json'])
      // The core knows neither page nor file; its tests read files.
      await check('Types of its tests', bin('tsc'), ['-p', 'core/tsconfig.tests.json'])
      await check('Types of the application', bin('nuxt'), ['typecheck'])
    })(),
  ])
  ensureBuild()
  passed++
  // One after the other: beside the unit tests one story of 153 once waited in vain for its page.
  await unitTests()
  await browserTests()
  // What goes wrong on purpose, in short; the whole of it is `npm run faults`.
  await check('Faults', process.execPath, [join(ROOT, 'scripts', 'faults.mjs'), '--short'])
} catch (error) {
  failed++
  console.error(error)
}

if (toSay.length) console.error(`\n${toSay.join('\n')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
