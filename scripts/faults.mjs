import { Copy, DEMO_TEXT } from './faults/copy.mjs'
import { crashes } from './faults/crash.mjs'
import { diskFull, frozen, locked as lockedTable } from './faults/database.mjs'
import { foreignPage, locked as lockedDoor, strangers } from './faults/door.mjs'
import { fuzz } from './faults/fuzz.mjs'
import {
  besideSearches,
  conflicts,
  emptyRows,
  hugeSearches,
  parallelSavers,
  worstTexts,
} from './faults/load.mjs'
import { firstStarts, killedNpm, killedStarters, secondStarts, stalePid } from './faults/startStop.mjs'
import { otherVersions } from './faults/versions.mjs'
import { ensureBuild, ensurePackages, ROOT, say } from './lib/run.mjs'

// What goes wrong on purpose, on a copy in a temporary folder and on loopback only; a table at the end.
// The whole of it also judges times; `--short`, which `npm test` runs on any machine, only tells them.
const short = process.argv.includes('--short')
const only = process.argv.find((one) => one.startsWith('--only='))?.slice(7)
const sizes = short
  ? { crash: 1, first: 1, killed: 1, savers: 200, conflicts: 2, fuzz: 600, seconds: 2, huge: 1 }
  : { crash: 60, first: 8, killed: 6, savers: 200, conflicts: 50, fuzz: 20_000, seconds: 20, huge: 4 }

ensurePackages()
ensureBuild()
const copies = new Set()
const newCopy = () => {
  const made = new Copy()
  copies.add(made)
  return made
}
const rows = []
const copy = newCopy()
const began = Date.now()
try {
  await copy.start()
  const read = await copy.ask('POST', '/api/intake', { text: DEMO_TEXT(ROOT) })
  const { recipe } = read.value
  const cases = {
    strangers: () => strangers(copy, recipe),
    foreign: () => foreignPage(copy),
    savers: () => parallelSavers(copy, recipe, sizes.savers, !short),
    conflicts: () => conflicts(copy, recipe, sizes.conflicts),
    searches: () => besideSearches(copy, recipe, sizes.seconds, !short),
    texts: () => worstTexts(copy, !short),
    huge: () => hugeSearches(copy, recipe, sizes.huge, !short),
    rows: () => emptyRows(copy),
    fuzz: () => fuzz(copy, recipe, sizes.fuzz),
    frozen: () => frozen(copy, recipe, !short),
    lockedTable: () => lockedTable(copy, recipe, !short),
    crash: () => crashes(copy, recipe, sizes.crash),
    second: () => secondStarts(copy, !short),
    killed: () => killedStarters(copy, sizes.killed),
    stale: () => stalePid(copy),
    versions: () => otherVersions(copy, recipe),
    npm: () => killedNpm(copy),
    disk: () => diskFull(newCopy, recipe),
    door: () => lockedDoor(newCopy),
    first: () => firstStarts(newCopy, sizes.first),
  }
  for (const [name, run] of Object.entries(cases)) {
    if (only && !only.split(',').includes(name)) continue
    say(`Faults: ${name}`)
    try {
      rows.push(...[await run()].flat())
    } catch (error) {
      rows.push({ name, did: '', wrong: [error.message] })
      await copy.ready(30).catch(() => undefined)
    }
  }
} finally {
  for (const one of copies) await one.remove().catch(() => undefined)
}

console.log(`\n| What was done | What happened | Wrong |\n| --- | --- | --- |`)
for (const { name, did, wrong } of rows) console.log(`| ${name} | ${did} | ${wrong.join('; ') || '—'} |`)
const failed = rows.filter(({ wrong }) => wrong.length).length
console.log(
  `\nFaults in ${Math.round((Date.now() - began) / 1000)} s: ${rows.length - failed} held, ${failed} did not`,
)
process.exit(failed ? 1 : 0)
