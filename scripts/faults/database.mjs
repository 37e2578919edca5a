import { spawn, spawnSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { pause } from './copy.mjs'

/** A process and all that it forked. */
function family(pid) {
  const all = readdirSync('/proc').filter((name) => /^\d+$/.test(name))
  const parentOf = (one) => {
    try {
      const stat = readFileSync(`/proc/${one}/stat`, 'utf8')
      return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1])
    } catch {
      return 0
    }
  }
  return [pid, ...all.map(Number).filter((one) => parentOf(one) === pid)]
}

/** When a word is due; judged on a quiet machine only. */
const MAX_MILLISECONDS = 5500

const seconds = (milliseconds) => (milliseconds / 1000).toFixed(1)

/** Stopped in the middle, the database answers nothing at all; a clear word is due within five seconds. */
export async function frozen(copy, recipe, timed) {
  const wrong = []
  let took = 0
  const processes = family(copy.cluster.running().pid)
  for (const pid of processes) process.kill(pid, 'SIGSTOP')
  try {
    const began = Date.now()
    const answers = await Promise.all([
      copy.ask('POST', '/api/recipes', { recipe }),
      copy.get('/api/recipes', 15_000),
      copy.get('/api/prices', 15_000),
      copy.get('/api/ready', 15_000),
    ])
    took = Date.now() - began
    for (const answer of answers)
      if (answer?.status !== 503 || !/problem\+json/.test(answer.type))
        wrong.push(`answered ${answer?.status}`)
    if (timed && took > MAX_MILLISECONDS) wrong.push(`took ${took} ms`)
    const plain = await copy.ask('POST', '/api/evaluate', { recipe })
    if (plain?.status !== 200) wrong.push(`evaluating answered ${plain?.status}`)
  } finally {
    for (const pid of processes)
      try {
        process.kill(pid, 'SIGCONT')
      } catch {
        // A backend that gave up meanwhile.
      }
  }
  try {
    await copy.ready(20)
  } catch (error) {
    wrong.push(error.message)
  }
  return { name: 'frozen database', did: `503 after ${seconds(took)} s, and on as before`, wrong }
}

/** A table locked by somebody else. */
export async function locked(copy, recipe, timed) {
  const wrong = []
  const { cluster } = copy
  const { port } = cluster.running()
  spawn(
    `${cluster.bin}/psql`,
    [
      '-X',
      '-q',
      '-h',
      '127.0.0.1',
      '-p',
      String(port),
      '-U',
      'swap_pocket',
      'swap_pocket',
      '-c',
      'begin; lock table revisions in access exclusive mode; select pg_sleep(6); commit',
    ],
    { env: cluster.env('password'), stdio: 'ignore' },
  )
  await pause(700)
  const began = Date.now()
  const saved = await copy.ask('POST', '/api/recipes', { recipe })
  if (saved?.status !== 503) wrong.push(`answered ${saved?.status}`)
  const took = Date.now() - began
  if (timed && took > MAX_MILLISECONDS) wrong.push(`took ${took} ms`)
  await pause(6500)
  if ((await copy.ask('POST', '/api/recipes', { recipe }))?.status !== 201) wrong.push('not saved afterwards')
  return { name: 'locked table', did: `503 after ${seconds(took)} s`, wrong }
}

/** A disk without room: only where a small one can be mounted. */
export async function diskFull(newCopy, recipe) {
  const name = 'full disk'
  const copy = newCopy()
  const mounted = () => spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=150m,mode=0700', 'tmpfs', copy.home])
  try {
    spawnSync('mkdir', ['-p', copy.home])
    if (process.getuid?.() !== 0 || mounted().status !== 0)
      return { name, did: 'not tried: no disk can be mounted here', wrong: [] }
    const wrong = []
    try {
      await copy.start()
      spawnSync('sh', ['-c', `head -c 200M /dev/zero > '${copy.home}/ballast' 2>/dev/null`])
      const big = {
        ...recipe,
        method: Array.from({ length: 50 }, (_, at) => `${at} ${Math.random()} ${'x'.repeat(900)}`),
      }
      const answers = []
      for (let n = 0; n < 40; n++)
        answers.push((await copy.ask('POST', '/api/recipes', { recipe: big }))?.status)
      const odd = answers.filter((status) => status !== 201 && status !== 503)
      if (odd.length) wrong.push(`answered ${[...new Set(odd)].join(', ')}`)
      const acknowledged = answers.filter((status) => status === 201).length
      spawnSync('rm', ['-f', `${copy.home}/ballast`])
      await copy.ready(40)
      const listed = (await copy.get('/api/recipes')).value.recipes.filter(
        ({ title }) => title === recipe.title,
      ).length
      if (listed < acknowledged) wrong.push(`${acknowledged - listed} of ${acknowledged} lost`)
      return { name, did: `${acknowledged} of 40 kept, the others told`, wrong }
    } catch (error) {
      return { name, did: 'started on a disk of 150 MB', wrong: [error.message] }
    }
  } finally {
    await copy.stop()
    copy.cluster.stop()
    spawnSync('umount', ['-l', copy.home])
    await copy.remove()
  }
}
