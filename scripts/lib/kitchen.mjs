import { holderOf } from './owner.mjs'
import { projectDatabase, projectHome } from './postgres.mjs'
import { ensureBuild, ensurePackages, freePort, startServer } from './run.mjs'

/**
 * Works with the kitchen that runs, or with one started for the work alone and stopped after it.
 *
 * @param what the command, as others are told who holds the database
 * @param work given the address and the headers that open the door
 */
export async function withKitchen(what, work) {
  const token = process.env.SWAP_POCKET_TOKEN
  const headers = token ? { authorization: `Bearer ${token}` } : {}
  const holder = process.env.DATABASE_URL ? null : holderOf(projectHome())
  if (holder?.address) return work(holder.address, headers)
  ensurePackages()
  ensureBuild()
  let held = null
  let server = null
  const stop = () => {
    server?.child.kill('SIGTERM')
    if (!held) return
    held.cluster.stop()
    held.ownership.release()
    held = null
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      stop()
      process.exit(1)
    })
  try {
    const databaseUrl =
      process.env.DATABASE_URL || (await projectDatabase(what, (begun) => (held = begun))).url
    server = await startServer({
      port: await freePort(),
      databaseUrl,
      env: { SWAP_POCKET_NIGHTLY: '0', SWAP_POCKET_DEMO: '0' },
    })
    return await work(server.address, headers)
  } finally {
    stop()
  }
}

/** The answer of the kitchen, or its problem in words. */
export async function asked(url, options = {}) {
  const answer = await fetch(url, options)
  if (answer.ok) return answer
  const { detail, title } = await answer.json().catch(() => ({}))
  throw new Error(detail?.replace(/^file: /, '') || title || `The kitchen answered ${answer.status}`)
}
