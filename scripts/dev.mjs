import { projectDatabase } from './lib/postgres.mjs'
import { bin, ensurePackages, runAsync } from './lib/run.mjs'

// Source served as it is edited; the data is the same as that of `npm start`.
ensurePackages()
const database = process.env.DATABASE_URL ? null : await projectDatabase()
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => undefined)
const code = await runAsync(
  bin('nuxt'),
  ['dev', '--host', process.env.HOST || '127.0.0.1', '--port', process.env.PORT || '3000'],
  {
    env: {
      ...process.env,
      NUXT_TELEMETRY_DISABLED: '1',
      DATABASE_URL: process.env.DATABASE_URL || database.url,
    },
  },
)
database?.cluster.stop()
process.exit(code)
