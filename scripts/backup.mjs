import { createWriteStream, existsSync } from 'node:fs'
import { rename } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { asked, withKitchen } from './lib/kitchen.mjs'
import { say } from './lib/run.mjs'

// npm run backup [-- file]: everything that was put in, in one file.

try {
  const given = process.argv[2]
  if (given && existsSync(given)) throw new Error(`${given} is there already; choose another name`)
  await withKitchen('npm run backup', async (address, headers) => {
    say('Making the copy')
    const copy = await (await asked(`${address}/api/copies`, { method: 'POST', headers })).json()
    if (copy.wrong) throw new Error(`The copy could not be read back: ${copy.wrong}`)
    const file = given || copy.name
    const answer = await asked(`${address}/api/copies/${copy.name}`, { headers })
    await pipeline(Readable.fromWeb(answer.body), createWriteStream(`${file}.part`, { mode: 0o600 }))
    await rename(`${file}.part`, file)
    say(`${copy.rows} rows, ${Math.ceil(copy.bytes / 1000)} kB, read back and checked: ${file}`)
  })
} catch (error) {
  console.error(`\nNo backup was made: ${error.message}`)
  process.exitCode = 1
}
