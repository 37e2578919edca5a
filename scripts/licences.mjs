import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ROOT } from './lib/run.mjs'

/** Packages of the lock file with their versions and licences, those that run with the product before those that build it. */
export function licensedPackages() {
  const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'))
  const seen = new Map()
  for (const [path, { version, license, dev, optional, devOptional }] of Object.entries(packages)) {
    if (!path) continue
    const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
    const key = `${name} ${version}`
    const made = {
      name,
      version,
      licence: license ?? 'not stated',
      builds: Boolean(dev || devOptional),
      optional: Boolean(optional),
    }
    const before = seen.get(key)
    seen.set(key, before ? { ...made, builds: before.builds && made.builds } : made)
  }
  return [...seen.values()].sort(
    (a, b) => Number(a.builds) - Number(b.builds) || a.name.localeCompare(b.name),
  )
}

/** The list as it stands in `docs/licences.md`. */
export function licenceList() {
  const all = licensedPackages()
  const table = (rows) =>
    rows.map(({ name, version, licence }) => `- ${name} ${version}: ${licence}`).join('\n')
  return `# Licences of what the product uses

The product itself is under the MIT licence, see \`LICENSE\`. Written by \`node scripts/licences.mjs\` from the lock file; a test says when it is out of date.

## Installed with the product

${table(all.filter(({ builds }) => !builds))}

## Only to build and test it

${table(all.filter(({ builds }) => builds))}
`
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  writeFileSync(join(ROOT, 'docs', 'licences.md'), licenceList())
