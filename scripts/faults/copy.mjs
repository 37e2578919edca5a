import { spawn } from 'node:child_process'
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { holderOf } from '../lib/owner.mjs'
import { clusterAt } from '../lib/postgres.mjs'
import { freePort, ROOT } from '../lib/run.mjs'

const LEFT_OUT = new Set(['node_modules', '.git', '.postgres', '.nuxt', 'test-results', 'docs', 'e2e'])

export const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** A copy of the built project in a temporary folder, with a database of its own: what is broken there is broken there. */
export class Copy {
  constructor() {
    this.root = mkdtempSync(join(tmpdir(), 'swap-pocket-faults-'))
    // As root the database runs as another user, who has to reach it.
    chmodSync(this.root, 0o755)
    cpSync(ROOT, this.root, {
      recursive: true,
      filter: (from) => !LEFT_OUT.has(from.slice(ROOT.length + 1).split('/')[0]),
    })
    symlinkSync(join(ROOT, 'node_modules'), join(this.root, 'node_modules'))
    this.home = join(this.root, '.postgres')
    this.starter = null
    /** What is sent with every request, where the copy asks for one. */
    this.token = null
    this.said = ''
  }

  get cluster() {
    return clusterAt(this.home)
  }

  /** The server's own process, as it says itself; null while it does not answer. */
  async serverPid() {
    return (await this.get('/api/live'))?.value?.pid ?? null
  }

  /**
   * From here on: how many megabytes the server grew by at most. What it had taken before, for other work, does not
   * count; writing 5 there begins the kernel's high-water mark anew.
   */
  async growth() {
    const of = `/proc/${await this.serverPid()}`
    const megabytes = (what) =>
      Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`${of}/status`, 'utf8'))[1]) / 1024
    writeFileSync(`${of}/clear_refs`, '5')
    const before = megabytes('VmRSS')
    return () => megabytes('VmHWM') - before
  }

  async get(path, milliseconds = 5000) {
    return this.ask('GET', path, undefined, {}, milliseconds)
  }

  /** What a request is answered with; null when nothing answers. */
  async ask(method, path, body, headers = {}, milliseconds = 15_000) {
    try {
      const answer = await fetch(`${this.address}${path}`, {
        method,
        headers: {
          ...(this.token ? { authorization: `Bearer ${this.token}` } : {}),
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers,
        },
        body: body === undefined || typeof body === 'string' ? body : JSON.stringify(body),
        signal: AbortSignal.timeout(milliseconds),
      })
      const text = await answer.text()
      let value = null
      try {
        value = JSON.parse(text)
      } catch {
        // Not JSON: the caller sees the text.
      }
      return { status: answer.status, type: answer.headers.get('content-type') ?? '', value, text }
    } catch {
      return null
    }
  }

  /** Runs the starter; does not wait for anything. */
  async begin(env = {}) {
    this.port ??= await freePort()
    this.address = `http://127.0.0.1:${this.port}`
    this.said = ''
    const child = spawn(process.execPath, [join(this.root, 'scripts', 'start.mjs')], {
      cwd: this.root,
      env: { ...process.env, HOST: '', DATABASE_URL: '', PORT: String(this.port), ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (piece) => (this.said = (this.said + piece).slice(-4000)))
    child.ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve(code ?? signal)))
    return child
  }

  /** Starts and waits until it is ready. Throws with what was said when it is not. */
  async start(env) {
    this.starter = await this.begin(env)
    await this.ready(60, this.starter)
    return this.starter
  }

  async ready(seconds = 30, starter = null) {
    let code
    void starter?.ended.then((ended) => (code = ended))
    for (const end = Date.now() + seconds * 1000; Date.now() < end;) {
      if (code !== undefined) throw new Error(`it ended with ${code}: ${this.said.trim().slice(-300)}`)
      if ((await this.get('/api/ready', 3000))?.status === 200) return
      await pause(50)
    }
    throw new Error(`it was not ready within ${seconds} s: ${this.said.trim().slice(-300)}`)
  }

  async stop() {
    if (!this.starter) return
    this.starter.kill('SIGTERM')
    await this.starter.ended
    this.starter = null
  }

  /** Processes that are still there of what ran on this copy. */
  left() {
    const holder = existsSync(this.home) ? holderOf(this.home) : null
    const running = existsSync(join(this.home, 'data')) ? this.cluster.running() : null
    return [holder && `starter ${holder.pid}`, running && `database ${running.pid}`].filter(Boolean)
  }

  async remove() {
    await this.stop()
    if (existsSync(join(this.home, 'data'))) this.cluster.stop()
    rmSync(this.root, { recursive: true, force: true })
  }
}

export const DEMO_TEXT = (root) =>
  readFileSync(join(root, 'data', 'demo', '4-steamed-mushroom-buns.txt'), 'utf8')
