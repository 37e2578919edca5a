import { createServer } from 'node:http'
import { chromium } from '@playwright/test'
import { ensureChromium } from '../lib/chromium.mjs'

/** A page of somebody else on this machine, opened in a browser, that tries to write into the kitchen. */
const PAGE = (target) => `<!doctype html><title>Elsewhere</title>
<form id="form" method="post" enctype="text/plain" action="${target}/api/recipes" target="frame">
<input name='{"recipe":{"title":"Smuggled","pieces":4,"servings":2,"parts":[]},"x":"' value='"}'></form>
<iframe name="frame"></iframe>
<script>
  document.getElementById('form').submit()
  fetch('${target}/api/recipes', { method: 'POST', mode: 'no-cors', headers: { 'content-type': 'text/plain' }, body: '{"recipe":{"title":"Smuggled"}}' }).catch(() => 0)
  fetch('${target}/api/recipes').then((answer) => answer.text()).then((text) => (document.title = 'Read ' + text.length)).catch(() => 0)
</script>`

export async function foreignPage(copy) {
  const wrong = []
  const server = createServer((_, answer) => {
    answer.setHeader('content-type', 'text/html')
    answer.end(PAGE(copy.address))
  })
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve))
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-background-networking'],
  })
  try {
    const page = await browser.newPage()
    await page.goto(`http://localhost:${server.address().port}/`)
    await page.waitForTimeout(1500)
    if ((await page.title()).startsWith('Read')) wrong.push('the other page read the shelf')
  } finally {
    await browser.close()
    server.close()
  }
  const { value } = await copy.get('/api/recipes')
  if (value.recipes.some(({ title }) => title === 'Smuggled')) wrong.push('the other page stored a recipe')
  return {
    name: 'a form and scripts of another page, in Chromium',
    did: 'nothing read, nothing stored',
    wrong,
  }
}

/** Names and pages that are not ours. */
export async function strangers(copy, recipe) {
  const wrong = []
  const { request } = await import('node:http')
  const asked = (headers, path = '/api/recipes', method = 'GET') =>
    new Promise((resolve, reject) => {
      const own = request({ host: '127.0.0.1', port: copy.port, path, method, headers }, (answer) => {
        answer.resume()
        resolve(answer)
      })
      own.on('error', reject)
      own.end(method === 'POST' ? JSON.stringify({ recipe }) : undefined)
    })
  const json = { 'content-type': 'application/json' }
  const expect = async (what, status, headers, ...more) => {
    const answer = await asked(headers, ...more)
    if (answer.statusCode !== status) wrong.push(`${what}: ${answer.statusCode}, ${status} is expected`)
    return answer
  }
  const host = `127.0.0.1:${copy.port}`
  await expect('a name somebody else points here', 421, { host: `kitchen.example:${copy.port}` })
  await expect('the page under that name', 421, { host: `kitchen.example:${copy.port}` }, '/')
  await expect(
    'a post from another origin',
    403,
    { host, origin: 'http://kitchen.example', ...json },
    '/api/recipes',
    'POST',
  )
  await expect('a read from another site', 403, { host, 'sec-fetch-site': 'cross-site' })
  await expect('a form', 415, { host, 'content-type': 'text/plain' }, '/api/recipes', 'POST')
  await expect('a wrong address', 404, { host }, '/health')
  await expect('our own page', 200, { host, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' })
  const page = await expect('the page', 200, { host }, '/')
  for (const name of [
    'content-security-policy',
    'x-frame-options',
    'x-content-type-options',
    'referrer-policy',
  ])
    if (!page.headers[name]) wrong.push(`the page has no ${name}`)
  if (
    /unsafe-(?:inline|eval)/.test(
      /script-src [^;]*/.exec(page.headers['content-security-policy'] ?? '')?.[0] ?? '',
    )
  )
    wrong.push('scripts of others may run')
  if (page.headers['x-powered-by']) wrong.push('it says what it is made with')
  return { name: 'other names, other pages, forms', did: 'each turned away', wrong }
}

/** Beyond this machine only with a token. */
export async function locked(newCopy) {
  const wrong = []
  const copy = newCopy()
  try {
    const open = await copy.begin({ HOST: '0.0.0.0' })
    if ((await open.ended) !== 1 || !/SWAP_POCKET_TOKEN/.test(copy.said))
      wrong.push('it started for everybody')
    const token = 'a-token-that-nobody-guesses'
    copy.token = token
    await copy.start({ SWAP_POCKET_TOKEN: token })
    copy.token = null
    const none = await copy.get('/api/recipes')
    const right = await copy.ask('GET', '/api/recipes', undefined, { authorization: `Bearer ${token}` })
    const other = await copy.ask('GET', '/api/recipes', undefined, { authorization: 'Bearer something-else' })
    if (none?.status !== 401 || other?.status !== 401)
      wrong.push(`without the token: ${none?.status}, ${other?.status}`)
    if (right?.status !== 200) wrong.push(`with the token: ${right?.status}`)
  } finally {
    await copy.remove()
  }
  return { name: 'beyond this machine', did: 'refused without a token, locked with one', wrong }
}
