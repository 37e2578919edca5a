import { projectDatabase } from './lib/postgres.mjs'
import { ensureBuild, ensurePackages, say, startServer } from './lib/run.mjs'

const host = process.env.HOST || '127.0.0.1'
const port = Number(process.env.PORT || 3000)

let database = null
let server = null
let stopping = false

function stop(code = 0) {
  if (stopping) return
  stopping = true
  if (server) {
    server.child.removeAllListeners('exit')
    server.child.kill('SIGTERM')
  }
  if (database) {
    say('Stopping the database')
    database.cluster.stop()
  }
  process.exit(code)
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0))

try {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`PORT is "${process.env.PORT}"; a number from 1 to 65535 is expected`)
  ensurePackages()
  ensureBuild()
  if (process.env.DATABASE_URL) say('Using the database in DATABASE_URL')
  else {
    say('Starting the database')
    database = await projectDatabase()
  }
  server = await startServer({ host, port, databaseUrl: process.env.DATABASE_URL || database.url })
  server.child.once('exit', (code) => stop(code ?? 1))
  console.log(`\nSwap Pocket is at ${server.address}\nPress Ctrl-C to stop it. What you saved stays.\n`)
} catch (error) {
  console.error(`\nSwap Pocket could not start: ${error.message}`)
  stop(1)
}
