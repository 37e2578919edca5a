import { spawn, spawnSync } from 'node:child_process'
import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
const STAMPS = join(ROOT, '.stamps')

/** Prints one line of progress. */
export const say = (text) => console.log(`· ${text}`)

/** Runs a command with its output shown; throws with the command's name when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
  if (error) throw error
  if (status !== 0) throw new Error(`${command} ${args.slice(0, 2).join(' ')} ended with ${status}`)
}

/** Runs a command quietly and returns what it did. */
export function quiet(command, args, options = {}) {
  return spawnSync(command, args, { cwd: ROOT, encoding: 'utf8', ...options })
}

/** Runs a command in the background of this process and resolves with its exit status. */
export function runAsync(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
    child.on('error', reject)
    child.on('exit', (code) => resolve(code ?? 1))
  })
}

/** The path of a program in node_modules/.bin. */
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name)

/** A port on loopback that nobody uses at the moment. */
export function freePort(host = '127.0.0.1') {
  return new Promise((resolve, reject) => {
    const server = createServer()
    server.once('error', reject)
    server.listen(0, host, () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
}

/** Installs Debian packages when apt can be used; throws with what to do by hand otherwise. */
export function installDebianPackages(names, what) {
  const asRoot = process.getuid?.() === 0
  const sudo = !asRoot && quiet('sudo', ['-n', 'true']).status === 0
  if (quiet('apt-get', ['--version']).status !== 0 || (!asRoot && !sudo)) {
    throw new Error(`${what} is missing. Install it with: sudo apt-get install ${names.join(' ')}`)
  }
  say(`Installing ${what} from Debian's packages (${names.join(' ')}); this takes a minute or two`)
  const apt = (args) =>
    sudo
      ? run('sudo', ['-n', 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args])
      : run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  apt(['update', '-qq'])
  apt(['install', '-y', '-qq', '--no-install-recommends', ...names])
}

function readStamp(name) {
  const file = join(STAMPS, name)
  return existsSync(file) ? readFileSync(file, 'utf8') : ''
}

export function writeStamp(name, value) {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

const digest = (text) => createHash('sha256').update(text).digest('hex')

/** Installs npm packages when they are missing or the lock file has changed since. */
export function ensurePackages() {
  const lock = digest(readFileSync(join(ROOT, 'package-lock.json')))
  if (existsSync(join(ROOT, 'node_modules', 'nuxt')) && readStamp('packages') === lock) return
  say('Installing npm packages; this takes a minute or two')
  run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'])
  writeStamp('packages', lock)
}

function filesBelow(folder) {
  if (!existsSync(folder)) return []
  if (!statSync(folder).isDirectory()) return [folder]
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => filesBelow(join(folder, entry.name)))
}

/** A digest of everything a build is made from. */
function sourceDigest() {
  const hash = createHash('sha256')
  for (const place of ['app', 'core', 'data', 'public', 'server', 'nuxt.config.ts', 'package-lock.json']) {
    for (const file of filesBelow(join(ROOT, place)).sort()) {
      if (file.endsWith('.test.ts')) continue
      hash.update(file.slice(ROOT.length)).update(readFileSync(file))
    }
  }
  return hash.digest('hex')
}

/** Builds the application when there is no build or its sources have changed since. */
export function ensureBuild() {
  const now = sourceDigest()
  if (existsSync(join(ROOT, '.output', 'server', 'index.mjs')) && readStamp('build') === now) return
  say('Building; this takes about a minute')
  run(bin('nuxt'), ['build', '--logLevel', 'silent'], {
    env: { ...process.env, NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' },
  })
  writeStamp('build', now)
}

const addressOf = (host, port) => `http://${host.includes(':') ? `[${host}]` : host}:${port}`
/** Where a server that listens everywhere is asked from here. */
const askedAt = (host, port) =>
  addressOf(host === '0.0.0.0' ? '127.0.0.1' : host === '::' ? '::1' : host, port)

async function json(url, milliseconds, headers = {}) {
  try {
    const answer = await fetch(url, { headers, signal: AbortSignal.timeout(milliseconds) })
    return { status: answer.status, value: await answer.json() }
  } catch {
    return null
  }
}

/** Whether a port can be had; otherwise who has it, in words. */
export async function whoHolds(host, port) {
  const error = await new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', resolve)
    probe.listen(port, host, () => probe.close(() => resolve(null)))
  })
  if (!error) return null
  if (error.code === 'EACCES') return `port ${port} may not be used by this user; choose one above 1023`
  if (error.code === 'EADDRNOTAVAIL') return `this machine has no address ${host}`
  if (error.code !== 'EADDRINUSE') return `port ${port} cannot be used: ${error.code}`
  const live = await json(`${askedAt(host, port)}/api/live`, 1500)
  return live?.value?.product === 'swap-pocket'
    ? `Swap Pocket runs there already, process ${live.value.pid}, at ${addressOf(host, port)}`
    : `port ${port} is used by another program; choose another with PORT=${port + 1}`
}

/** How long a server may take to be ready: a first start writes a thousand foods. */
const READY_SECONDS = 90

/**
 * Starts the built server and resolves when it is ready: when a save would be kept.
 *
 * @param begun called with the process as soon as there is one, so that a signal can stop it
 */
export async function startServer({
  host = '127.0.0.1',
  port,
  databaseUrl,
  env = {},
  begun = () => undefined,
}) {
  const instance = randomUUID()
  const child = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    cwd: ROOT,
    // Over the last one it learns when this process is gone, however it went.
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      DATABASE_URL: databaseUrl,
      SWAP_POCKET_INSTANCE: instance,
      ...env,
    },
  })
  begun(child)
  let ended = null
  child.once('exit', (code, signal) => (ended = `The server ended with ${code ?? signal}`))
  const token = env.SWAP_POCKET_TOKEN ?? process.env.SWAP_POCKET_TOKEN
  const headers = token ? { authorization: `Bearer ${token}` } : {}
  const at = askedAt(host, port)
  for (const end = Date.now() + READY_SECONDS * 1000; Date.now() < end;) {
    if (ended) throw new Error(ended)
    const live = await json(`${at}/api/live`, 1000)
    if (live?.value?.instance === instance) {
      const ready = await json(`${at}/api/ready`, 5000, headers)
      if (ready?.status === 200) return { child, address: addressOf(host, port) }
    }
    await new Promise((resolve) => setTimeout(resolve, 60))
  }
  child.kill('SIGKILL')
  throw new Error(`The server was not ready within ${READY_SECONDS} s; its words stand above`)
}
