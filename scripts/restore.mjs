import { createReadStream, existsSync } from 'node:fs'
import { createInterface } from 'node:readline/promises'
import { Readable } from 'node:stream'
import { parseArgs } from 'node:util'
import { asked, withKitchen } from './lib/kitchen.mjs'
import { say } from './lib/run.mjs'

// npm run restore -- file [--differing keep|newer|file] [--yes]: shows what would change, asks, and restores.

const RULES = ['keep', 'newer', 'file']

/** What a restore would do to each table, as lines. */
const told = ({ changes }) =>
  changes
    .filter(({ added, same, different }) => added + same + different > 0)
    .map(
      ({ table, added, same, different, newerInFile }) =>
        `  ${table.padEnd(15)} ${String(added).padStart(6)} to add ${String(same).padStart(6)} the same ${String(different).padStart(6)} different${newerInFile ? ` (${newerInFile} newer in the file)` : ''}`,
    )
    .join('\n')

try {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { differing: { type: 'string', default: 'newer' }, yes: { type: 'boolean', default: false } },
  })
  const [file] = positionals
  if (!file) throw new Error('name the file: npm run restore -- my-kitchen.swappocket')
  if (!existsSync(file)) throw new Error(`${file} is not there`)
  if (!RULES.includes(values.differing)) throw new Error(`--differing is one of ${RULES.join(', ')}`)
  await withKitchen('npm run restore', async (address, headers) => {
    const seen = await (
      await asked(`${address}/api/restores`, {
        method: 'POST',
        headers: { ...headers, 'content-type': 'application/octet-stream' },
        body: Readable.toWeb(createReadStream(file)),
        duplex: 'half',
      })
    ).json()
    console.log(`\n${file}, made ${seen.madeAt} by version ${seen.program}:\n${told(seen)}\n`)
    if (!values.yes) {
      const line = createInterface({ input: process.stdin, output: process.stdout })
      const answer = await line.question('Restore it? (yes/no) ')
      line.close()
      if (!/^y(?:es)?$/i.test(answer.trim())) {
        await asked(`${address}/api/restores/${seen.id}`, { method: 'DELETE', headers })
        return say('Nothing was changed')
      }
    }
    await asked(`${address}/api/restores/${seen.id}`, {
      method: 'POST',
      headers: { ...headers, 'content-type': 'application/json' },
      body: JSON.stringify({ differing: values.differing }),
    })
    say('Restored, and every row held against the file')
  })
} catch (error) {
  console.error(`\nNothing was restored: ${error.message}`)
  process.exitCode = 1
}
