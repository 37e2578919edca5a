import { projectDatabase } from './lib/postgres.mjs'
import { bin, ensurePackages, runAsync, whoHolds } from './lib/run.mjs'

// Source served as it is edited; the data is the same as that of `npm start`, which must not run meanwhile.
const host = process.env.HOST || '127.0.0.1'
const port = Number(process.env.PORT || 3000)
let held = null
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => undefined)
let code = 1
try {
  const taken = await whoHolds(host, port)
  if (taken) throw new Error(taken)
  ensurePackages()
  const made = process.env.DATABASE_URL
    ? null
    : await projectDatabase('npm run dev', (begun) => (held = begun))
  code = await runAsync(bin('nuxt'), ['dev', '--host', host, '--port', String(port)], {
    env: {
      ...process.env,
      NUXT_TELEMETRY_DISABLED: '1',
      DATABASE_URL: process.env.DATABASE_URL || made.url,
    },
  })
} catch (error) {
  console.error(`\nSwap Pocket could not start: ${error.message}`)
}
held?.cluster.stop()
held?.ownership.release()
process.exit(code)
