import { cookieOf, doorFrom, isOurs, isSame, knowsHost, refusalToStart } from '../http/door'
import { problem } from '../http/problem'

const door = doorFrom(process.env)
const refusal = refusalToStart(door)

const COOKIE = 'swap_pocket_door'
const A_YEAR = 31_536_000

/** What a body may be. A form of another page can send neither without asking first. */
const BODY_TYPES = /^application\/(?:json|octet-stream)\s*(?:;|$)/i

/** A page by itself: it holds nothing, and nothing may be loaded into it. */
function plainPage(
  event: Parameters<typeof setResponseHeader>[0],
  status: number,
  head: string,
  text: string,
) {
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'text/html; charset=utf-8')
  setResponseHeader(event, 'content-security-policy', "default-src 'none'; frame-ancestors 'none'")
  setResponseHeader(event, 'cache-control', 'no-store')
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">${head}<title>Swap Pocket</title><p>${text}</p></html>`
}

/**
 * Who may come in: only under a name of this kitchen, only from its own pages, and, where a token is asked for, only
 * with it. Everything else is turned away before anything is read.
 */
export default defineEventHandler((event) => {
  if (refusal) throw problem(503, 'closed', 'The door is closed', refusal)
  const host = getHeader(event, 'host')
  if (!knowsHost(host, door))
    throw problem(
      421,
      'unknown-host',
      'This kitchen is not known under that name',
      'Open it under the address that it printed when it started, or name the host in SWAP_POCKET_HOSTS',
    )
  const { pathname, searchParams } = getRequestURL(event)
  const isApi = pathname.startsWith('/api')
  const from = { host, origin: getHeader(event, 'origin'), site: getHeader(event, 'sec-fetch-site') }
  if (isApi && !isOurs(from))
    throw problem(
      403,
      'another-page',
      'Another page asks',
      'Only pages of this kitchen may use it; nothing was read or kept',
    )
  const type = getHeader(event, 'content-type')
  if (isApi && type !== undefined && !BODY_TYPES.test(type))
    throw problem(
      415,
      'content-type',
      'The body is of a kind that is not read here',
      'Send JSON with the content type application/json',
      { errors: [{ field: 'Content-Type', message: 'application/json is expected' }] },
    )
  if (door.token === null || pathname === '/api/live') return
  const given = searchParams.get('token')
  if (given !== null && !isApi) {
    if (!isSame(given, door.token))
      return plainPage(event, 401, '', 'This link does not open the door: its token is another one.')
    setCookie(event, COOKIE, cookieOf(door.token), {
      httpOnly: true,
      sameSite: 'strict',
      path: '/',
      maxAge: A_YEAR,
    })
    // Led on by a page of ours: the cookie is not sent where another site's link leads directly.
    return plainPage(event, 200, '<meta http-equiv="refresh" content="0;url=/">', '<a href="/">Come in</a>')
  }
  const bearer = /^Bearer (.+)$/.exec(getHeader(event, 'authorization') ?? '')?.[1]
  const cookie = getCookie(event, COOKIE)
  if (cookie && isSame(cookie, cookieOf(door.token))) return
  if (bearer && isSame(bearer, door.token)) return
  if (isApi)
    throw problem(
      401,
      'no-token',
      'The door is locked',
      'Send the token as "Authorization: Bearer …", or open the link with the token in a browser',
    )
  return plainPage(
    event,
    401,
    '',
    'The door is locked. Open the link with the token that was printed at the start.',
  )
})
