import { createHash, createHmac, timingSafeEqual } from 'node:crypto'
import { isIP } from 'node:net'

/** Names under which a browser on this machine finds it. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]', '::1'])

export const isLoopback = (host: string): boolean => LOOPBACK.has(host) || /^127(?:\.\d{1,3}){3}$/.test(host)

/** Who may come in, from the environment: where it listens, under which other names, and with which token. */
export interface Door {
  host: string
  names: ReadonlySet<string>
  token: string | null
}

export function doorFrom(env: Readonly<Record<string, string | undefined>>): Door {
  const names = (env.SWAP_POCKET_HOSTS ?? '').split(',').map((name) => name.trim().toLowerCase())
  return {
    host: env.NITRO_HOST || env.HOST || '127.0.0.1',
    names: new Set(names.filter(Boolean)),
    token: env.SWAP_POCKET_TOKEN || null,
  }
}

/** A token shorter than this can be guessed. */
export const MIN_TOKEN = 16

/** Why a server must not start like this; null when it may. */
export function refusalToStart({ host, token }: Door): string | null {
  if (token !== null && token.length < MIN_TOKEN)
    return `SWAP_POCKET_TOKEN is too short: ${MIN_TOKEN} characters at least`
  if (isLoopback(host) || token !== null) return null
  return `HOST is ${host}, which others can reach: everybody there could read and change every recipe. Set SWAP_POCKET_TOKEN to at least ${MIN_TOKEN} characters, or leave HOST out`
}

/** The host of a `Host` header, without its port; null for what is none. */
export function hostName(header: string | undefined): string | null {
  const match = /^(\[[0-9a-f:.]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(header ?? '')
  return match ? match[1]!.toLowerCase() : null
}

/**
 * Whether a request names a host under which this kitchen is known. A name that somebody else points at this machine is
 * none, so that a page of theirs does not become one of ours.
 */
export function knowsHost(header: string | undefined, { host, names }: Door): boolean {
  const name = hostName(header)
  if (name === null) return false
  if (LOOPBACK.has(name) || names.has(name) || name === host.toLowerCase()) return true
  return !isLoopback(host) && isIP(name.replace(/^\[|\]$/g, '')) !== 0
}

/** The headers of a request that say from which page it comes. */
export interface Provenance {
  host: string | undefined
  origin: string | undefined
  /** `Sec-Fetch-Site`, which no page can set. */
  site: string | undefined
}

/** Whether a request to the API comes from a page of ours, or from no page at all. */
export function isOurs({ host, origin, site }: Provenance): boolean {
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false
  if (origin === undefined) return true
  try {
    return new URL(origin).host === host
  } catch {
    return false
  }
}

/** What the cookie holds: not the token itself, which opens the door anywhere. */
export const cookieOf = (token: string): string =>
  createHmac('sha256', token).update('swap-pocket door').digest('base64url')

/** Compares in a time that does not tell how much was right. */
export function isSame(given: string, right: string): boolean {
  const digest = (text: string) => createHash('sha256').update(text).digest()
  return timingSafeEqual(digest(given), digest(right))
}
