import { ROUTES } from '~~/shared/api/routes'
import { isPage } from '../http/pages'
import { problem } from '../http/problem'

const patterns = ROUTES.map((route) => ({
  method: route.method.toUpperCase(),
  pattern: new RegExp(`^${route.path.replace(/\./g, '\\.').replace(/\{\w+\}/g, '[^/]+')}/?$`),
}))

/** Whatever the API does not have is answered with a problem document instead of the page. */
export default defineEventHandler((event) => {
  const path = event.path.split('?')[0]!
  if (!path.startsWith('/api')) {
    // The page answers where it has something to show; "/health" under a wrong address is not it.
    if (import.meta.dev || isPage(path)) return
    throw problem(
      404,
      'not-found',
      'There is nothing here',
      'Whether it is well says /api/health; the rest is on /',
    )
  }
  const known = patterns.filter((one) => one.pattern.test(path))
  const method = event.method === 'HEAD' ? 'GET' : event.method
  if (known.some((one) => one.method === method)) return
  if (!known.length)
    throw problem(404, 'not-found', 'There is nothing here', 'See /api/openapi.json for the routes')
  setResponseHeader(event, 'allow', known.map((one) => one.method).join(', '))
  throw problem(
    405,
    'method',
    'This route does not take that method',
    `${event.method} is not used here; see /api/openapi.json`,
  )
})
