import { existsSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { licensedPackages, licenceList } from './licences.mjs'

/** Licences that ask for no more than to be named, and the font's. Weak copyleft only for what builds or is used as it is. */
const ALLOWED =
  /^\(?(?:MIT|ISC|0BSD|BSD-2-Clause|BSD-3-Clause|Apache-2\.0|BlueOak-1\.0\.0|CC0-1\.0|CC-BY-[34]\.0|OFL-1\.1|Python-2\.0|MPL-2\.0|Zlib)(?: (?:OR|AND) [\w.-]+)*\)?$/
/** Says it in its README (zlib) and not in a field that can be read. */
const SAYS_ELSEWHERE = new Set(['tosource'])

describe('licences', () => {
  it('of every package allow what is done with it', () => {
    const odd = licensedPackages().filter(
      ({ name, licence }) => !ALLOWED.test(licence) && !SAYS_ELSEWHERE.has(name),
    )
    expect(odd.map(({ name, licence }) => `${name}: ${licence}`)).toEqual([])
    expect(licensedPackages().length).toBeGreaterThan(200)
  })
  it('are listed as the lock file has them', () => {
    expect(readFileSync('docs/licences.md', 'utf8'), 'run node scripts/licences.mjs').toBe(licenceList())
  })
  it('of the product is a file of its own', () => {
    expect(existsSync('LICENSE')).toBe(true)
    expect((JSON.parse(readFileSync('package.json', 'utf8')) as { license: string }).license).toBe('MIT')
  })
})
