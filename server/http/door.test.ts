import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { contentSecurityPolicy } from './contentSecurityPolicy'
import { cookieOf, doorFrom, hostName, isOurs, isSame, knowsHost, refusalToStart } from './door'
import { isPage } from './pages'

const here = doorFrom({})
const wide = doorFrom({
  HOST: '0.0.0.0',
  SWAP_POCKET_TOKEN: 'a-long-enough-token',
  SWAP_POCKET_HOSTS: 'kitchen.lan',
})

describe('the door', () => {
  it.each(['localhost', 'localhost:3000', '127.0.0.1:3000', '[::1]:3000', 'LOCALHOST:1'])(
    'knows %s',
    (host) => expect(knowsHost(host, here)).toBe(true),
  )
  it.each([
    undefined,
    '',
    'kitchen.example',
    'localhost.kitchen.example',
    '127.0.0.1.nip.example:3000',
    '192.168.1.5',
    'a b',
    'localhost:99999999',
  ])('does not know %s', (host) => expect(knowsHost(host, here)).toBe(false))
  it('knows addresses and names that it was given, once it listens to others', () => {
    expect(knowsHost('192.168.1.5:3000', wide)).toBe(true)
    expect(knowsHost('[fe80::1]:3000', wide)).toBe(true)
    expect(knowsHost('kitchen.lan', wide)).toBe(true)
    expect(knowsHost('kitchen.example', wide)).toBe(false)
    expect(hostName('Kitchen.LAN:80')).toBe('kitchen.lan')
  })
  it.each([
    [{}, true],
    [{ site: 'same-origin', origin: 'http://localhost:3000' }, true],
    [{ site: 'none' }, true],
    [{ site: 'cross-site' }, false],
    [{ site: 'same-site' }, false],
    [{ origin: 'http://localhost:3001' }, false],
    [{ origin: 'null' }, false],
    [{ origin: 'http://kitchen.example' }, false],
  ])('takes a request with %o for ours: %s', (from, ours) =>
    expect(isOurs({ host: 'localhost:3000', origin: undefined, site: undefined, ...from })).toBe(ours),
  )
  it('stays shut beyond this machine without a token', () => {
    expect(refusalToStart(here)).toBeNull()
    expect(refusalToStart(doorFrom({ HOST: '0.0.0.0' }))).toMatch(/SWAP_POCKET_TOKEN/)
    expect(refusalToStart(doorFrom({ HOST: '0.0.0.0', SWAP_POCKET_TOKEN: 'short' }))).toMatch(/too short/)
    expect(refusalToStart(wide)).toBeNull()
  })
  it('keeps the token itself out of the cookie', () => {
    expect(cookieOf('a-long-enough-token')).not.toContain('token')
    expect(cookieOf('a-long-enough-token')).not.toBe(cookieOf('a-long-enough-tokem'))
    expect(isSame('one', 'one')).toBe(true)
    expect(isSame('one', 'onf')).toBe(false)
  })
  it('has pages where there is something to show', () => {
    for (const path of [
      '/',
      '/paste',
      '/bench',
      '/bench/',
      '/bench/7f1c',
      '/larder',
      '/larder/x',
      '/compare',
    ])
      expect(isPage(path), path).toBe(true)
    for (const path of ['/health', '/bench/a/b', '/recipes', '/.env', '/paste/x'])
      expect(isPage(path), path).toBe(false)
  })
})

describe('what a page may load', () => {
  it('is its own files and the scripts that stand in it, by their sums', () => {
    const script = 'window.a = 1'
    const policy = contentSecurityPolicy(
      `<script>${script}</script><script type="application/json">{"b":1}</script><script src="/x.js"></script>`,
    )
    const scripts = /script-src ([^;]*)/.exec(policy)![1]!.split(' ')
    expect(scripts).toEqual(["'self'", `'sha256-${createHash('sha256').update(script).digest('base64')}'`])
  })
})
