import { randomUUID } from 'node:crypto'
import { pause } from './copy.mjs'

/** Kills a process and, for a database, all that it forked. */
const kill = (pid) => {
  try {
    process.kill(pid, 'SIGKILL')
  } catch {
    // Gone already.
  }
}

/** Savers who write until they are told to stop, and remember what was acknowledged. */
function savers(copy, recipe, many, acknowledged) {
  let going = true
  const one = async () => {
    while (going) {
      const title = `Crash ${randomUUID()}`
      const key = randomUUID()
      const made = await copy.ask(
        'POST',
        '/api/recipes',
        { recipe: { ...recipe, title } },
        { 'idempotency-key': key },
        4000,
      )
      if (made?.status !== 201) {
        await pause(20)
        continue
      }
      acknowledged.set(made.value.id, { title, revision: 1 })
      const again = await copy.ask(
        'PUT',
        `/api/recipes/${made.value.id}`,
        { recipe: { ...recipe, title: `${title} b` }, revision: 1 },
        {},
        4000,
      )
      if (again?.status === 200) acknowledged.set(made.value.id, { title: `${title} b`, revision: 2 })
    }
  }
  const all = Promise.all(Array.from({ length: many }, one))
  return async () => {
    going = false
    await all
  }
}

/** What of the acknowledged saves is not there, or not whole. */
async function missing(copy, acknowledged) {
  const wrong = []
  for (const [id, { title, revision }] of acknowledged) {
    const found = await copy.get(`/api/recipes/${id}`, 30_000)
    const is = found?.value
    // A later save may have been kept without its answer arriving: more than was promised is no loss.
    const kept = found?.status === 200 && is.revision >= revision && is.recipe.parts.length > 0
    if (!kept || (is.revision === revision && is.recipe.title !== title)) wrong.push(id)
  }
  return wrong
}

/** Rounds of kill -9 while recipes are saved. */
export async function crashes(copy, recipe, rounds) {
  const rows = []
  for (const what of ['application', 'database', 'both']) {
    let saves = 0
    const lost = []
    let notUp = 0
    for (let round = 0; round < rounds; round++) {
      const acknowledged = new Map()
      const finish = savers(copy, recipe, 4, acknowledged)
      await pause(250 + Math.random() * 500)
      // A machine that is busy with something else may need longer for the first save.
      for (const end = Date.now() + 20_000; !acknowledged.size && Date.now() < end;) await pause(50)
      const server = await copy.serverPid()
      const database = copy.cluster.running()?.pid
      if (what !== 'database' && server) kill(server)
      if (what !== 'application' && database) kill(database)
      await pause(150)
      await finish()
      try {
        await copy.ready(40)
      } catch (error) {
        notUp++
        console.error(error.message)
        break
      }
      lost.push(...(await missing(copy, acknowledged)))
      saves += acknowledged.size
    }
    rows.push({
      name: `kill -9 of ${what}, ${rounds} rounds`,
      did: `${saves} recipes acknowledged`,
      wrong: [
        lost.length && `${lost.length} lost`,
        notUp && 'not ready again',
        !saves && 'nothing was saved',
      ].filter(Boolean),
    })
  }
  return rows
}
