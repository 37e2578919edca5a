import { spawn } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pause } from './copy.mjs'

/** A start that must come up, and go down without leaving anything. */
async function upAndDown(copy, wrong, when) {
  try {
    await copy.start()
    await copy.stop()
  } catch (error) {
    wrong.push(`${when}: ${error.message}`)
    await copy.stop()
  }
  const left = copy.left()
  if (left.length) wrong.push(`${when}: left ${left.join(', ')}`)
}

/** Signals while it starts, for a copy that was never started: some in the middle of making the database. */
export async function firstStarts(newCopy, rounds) {
  const wrong = []
  for (const signal of ['SIGKILL', 'SIGTERM']) {
    for (let round = 0; round < rounds; round++) {
      const copy = newCopy()
      try {
        const child = await copy.begin()
        await pause(200 + (round * 1900) / Math.max(1, rounds - 1) + Math.random() * 100)
        child.kill(signal)
        await child.ended
        await pause(200)
        if (signal === 'SIGTERM' && copy.left().length)
          wrong.push(`${signal}: left ${copy.left().join(', ')}`)
        await upAndDown(copy, wrong, `after ${signal} in the first start`)
      } finally {
        await copy.remove()
      }
    }
  }
  return { name: `signals in the first start, 2 × ${rounds}`, did: 'each start after it', wrong }
}

/** Who is there already, and what a second start does. */
export async function secondStarts(copy, timed) {
  const wrong = []
  const first = copy.starter
  for (const env of [{}, { PORT: String(copy.port + 1) }]) {
    const began = Date.now()
    const child = await copy.begin(env)
    copy.starter = first
    const code = await Promise.race([child.ended, pause(30_000).then(() => 'still running')])
    if (code === 'still running') child.kill('SIGKILL')
    copy.address = `http://127.0.0.1:${copy.port}`
    if (code !== 1) wrong.push(`a second start ended with ${code}`)
    if (!/runs (?:already|there already)/.test(copy.said))
      wrong.push(`it said: ${copy.said.trim().slice(-120)}`)
    if (timed && Date.now() - began > 5000) wrong.push(`it took ${Date.now() - began} ms to say so`)
    if ((await copy.get('/api/ready'))?.status !== 200) wrong.push('the first one was not ready afterwards')
  }
  return { name: 'a second start, same port and another', did: 'says who is there', wrong }
}

/** The starter killed, and the next one started. */
export async function killedStarters(copy, rounds) {
  const wrong = []
  for (let round = 0; round < rounds; round++) {
    copy.starter.kill('SIGKILL')
    await copy.starter.ended
    const began = Date.now()
    while ((await copy.get('/api/live', 500)) && Date.now() - began < 20_000) await pause(50)
    if (await copy.get('/api/live', 500)) wrong.push('the server outlived its starter by 20 s')
    try {
      await copy.start()
    } catch (error) {
      wrong.push(error.message)
      break
    }
  }
  return {
    name: `kill -9 of the starter, ${rounds} rounds`,
    did: 'the server goes, the next start works',
    wrong,
  }
}

/** A pid file whose number belongs to somebody else by now. */
export async function stalePid(copy) {
  const wrong = []
  await copy.stop()
  const file = join(copy.home, 'data', 'postmaster.pid')
  if (existsSync(file)) wrong.push('the database left its pid file')
  writeFileSync(file, `${process.pid}\n${join(copy.home, 'data')}\n1\n5432\n\n127.0.0.1\n\nready\n`)
  writeFileSync(
    join(copy.home, 'owner.json'),
    JSON.stringify({ pid: process.pid, started: '1', instance: 'x', what: 'x' }),
  )
  try {
    await copy.start()
  } catch (error) {
    wrong.push(error.message)
  }
  if (readFileSync(file, 'utf8').startsWith(`${process.pid}\n`)) wrong.push('the stale file is still there')
  return { name: 'stale pid and lock files', did: 'started all the same', wrong }
}

/** npm itself told to stop: what it started stops with it. */
export async function killedNpm(copy) {
  const wrong = []
  await copy.stop()
  const npm = spawn('npm', ['start', '--silent'], {
    cwd: copy.root,
    env: { ...process.env, HOST: '', DATABASE_URL: '', PORT: String(copy.port) },
    stdio: 'ignore',
  })
  const ended = new Promise((resolve) => npm.once('exit', resolve))
  await copy.ready(60)
  npm.kill('SIGTERM')
  await ended
  for (
    const until = Date.now() + 30_000;
    Date.now() < until && (copy.left().length || (await copy.get('/api/live', 500)));
  )
    await pause(100)
  if (copy.left().length) wrong.push(`left ${copy.left().join(', ')}`)
  if (await copy.get('/api/live', 500)) wrong.push('the server is still there')
  await copy.start()
  return { name: 'npm told to stop', did: 'server and database stop with it', wrong }
}
