import { HeldByAnother, holderOf } from './lib/owner.mjs'
import { projectDatabase, projectHome } from './lib/postgres.mjs'
import { ensureBuild, ensurePackages, say, startServer, whoHolds } from './lib/run.mjs'

const host = process.env.HOST || '127.0.0.1'
const port = Number(process.env.PORT || 3000)
const token = process.env.SWAP_POCKET_TOKEN || ''

/** How often the database and the server are looked after. */
const LOOK_MILLISECONDS = 1000
/** The server says so when starting it again will not help: the database is of a newer program. */
const EXIT_SCHEMA = 3
/** A server that never gets ready is not started again for ever. */
const MAX_RESTARTS = 5

let held = null
let server = null
let stopping = false

/** Stops what this process started, and only that. */
function stop(code = 0) {
  if (stopping) return
  stopping = true
  server?.kill('SIGTERM')
  if (held) {
    say('Stopping the database')
    held.cluster.stop()
    held.ownership.release()
  }
  process.exit(code)
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0))

const LOOPBACK = /^(?:localhost|127(?:\.\d{1,3}){3}|::1)$/
function refuseOpenDoor() {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`PORT is "${process.env.PORT}"; a number from 1 to 65535 is expected`)
  if (token && token.length < 16) throw new Error('SWAP_POCKET_TOKEN is too short: 16 characters at least')
  if (!LOOPBACK.test(host) && !token)
    throw new Error(
      `HOST is ${host}, which others can reach: everybody there could read and change every recipe. Set SWAP_POCKET_TOKEN to at least 16 characters, or leave HOST out`,
    )
}

/** Starts the server, and again when it ends by itself. */
async function serve(databaseUrl) {
  const once = () => startServer({ host, port, databaseUrl, begun: (child) => (server = child) })
  const watch = () => {
    if (server.exitCode !== null || server.signalCode !== null) void again()
    else server.once('exit', () => void again())
  }
  const again = async () => {
    for (let tries = 1; !stopping; tries++) {
      const code = server.exitCode ?? server.signalCode
      if (code === EXIT_SCHEMA || tries > MAX_RESTARTS) return stop(typeof code === 'number' ? code || 1 : 1)
      say(`The server ended with ${code}; it is started again`)
      try {
        await once()
        return watch()
      } catch (error) {
        if (!stopping) console.error(error.message)
      }
    }
  }
  const started = await once()
  watch()
  return started
}

/** A database that ended, however it ended, is started again on the port that the server knows. */
function lookAfter({ cluster, port: databasePort }) {
  let busy = false
  setInterval(async () => {
    if (busy || stopping || cluster.running()) return
    busy = true
    say('The database ended; it is started again')
    await cluster.start(databasePort).catch((error) => console.error(error.message))
    busy = false
  }, LOOK_MILLISECONDS).unref()
}

try {
  refuseOpenDoor()
  // Who is here already is said before anything is built or started.
  const holder = process.env.DATABASE_URL ? null : holderOf(projectHome())
  if (holder) throw new HeldByAnother(holder)
  const taken = await whoHolds(host, port)
  if (taken) throw new Error(taken)
  ensurePackages()
  ensureBuild()
  let url = process.env.DATABASE_URL
  if (url) say('Using the database in DATABASE_URL')
  else {
    say('Starting the database')
    const made = await projectDatabase('npm start', (begun) => (held = begun))
    url = made.url
    lookAfter(made)
  }
  const { address } = await serve(url)
  held?.ownership.tell({ address })
  const open = LOOPBACK.test(host) ? '' : ` It can be reached from other machines by whoever has the token.`
  const link = token ? `${address}/?token=${encodeURIComponent(token)}` : address
  console.log(`\nSwap Pocket is at ${link}${open}\nPress Ctrl-C to stop it. What you saved stays.\n`)
} catch (error) {
  console.error(`\nSwap Pocket could not start: ${error.message}`)
  stop(1)
}
