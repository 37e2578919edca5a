/** Whatever else is asked of the API: a problem document, not the page. */
export default defineEventHandler((event) => {
  const known = ROUTES.some((route) =>
    new RegExp(`^${route.path.replace(/\{\w+\}/g, '[^/]+')}$`).test(event.path.split('?')[0]!),
  )
  throw known
    ? problem(
        405,
        'method',
        'This route does not take that method',
        `${event.method} is not used here; see /api/openapi.json`,
      )
    : problem(404, 'not-found', 'There is nothing here', 'See /api/openapi.json for the routes')
})
