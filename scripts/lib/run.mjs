import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
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

/** Waits until a web address answers; throws after `seconds`. */
export async function waitFor(url, seconds = 30) {
  const end = Date.now() + seconds * 1000
  while (Date.now() < end) {
    try {
      const answer = await fetch(url)
      if (answer.ok) return
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 60))
  }
  throw new Error(`${url} did not answer within ${seconds} s`)
}

/** Starts the built server and resolves when it and its database answer. */
export async function startServer({ host = '127.0.0.1', port, databaseUrl, env = {} }) {
  const child = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      DATABASE_URL: databaseUrl,
      ...env,
    },
  })
  const ended = new Promise((_, reject) =>
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}; is port ${port} taken?`))),
  )
  ended.catch(() => undefined)
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`
  await Promise.race([waitFor(`${address}/api/health`), ended])
  return { child, address }
}
