// Keeps what was loaded once, so that the shopping list opens in a shop without a net. Registered by the list alone.
const NAME = 'swap-pocket-shell-1'

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(NAME).then((cache) => cache.add('/list')))
  self.skipWaiting()
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

// The page tells which of its files it had loaded before this worker was there.
self.addEventListener('message', (event) => {
  const files = event.data.filter((url) => new URL(url).pathname.startsWith('/_nuxt/'))
  event.waitUntil(
    caches
      .open(NAME)
      .then((cache) =>
        Promise.all(files.map((url) => cache.match(url).then((own) => own ?? cache.add(url)))),
      ),
  )
})

/** What the net gives, kept for when it gives nothing. */
async function fresh(request, key) {
  const cache = await caches.open(NAME)
  try {
    const answer = await fetch(request)
    if (answer.ok) await cache.put(key, answer.clone())
    return answer
  } catch (error) {
    const kept = await cache.match(key)
    if (kept) return kept
    throw error
  }
}

/** Files whose name changes with what is in them. */
async function kept(request) {
  const cache = await caches.open(NAME)
  const own = await cache.match(request)
  if (own) return own
  const answer = await fetch(request)
  if (answer.ok) await cache.put(request, answer.clone())
  return answer
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/api/')) return
  // Every page is the same shell.
  if (request.mode === 'navigate') event.respondWith(fresh(request, '/list'))
  else if (pathname.startsWith('/_nuxt/')) event.respondWith(kept(request))
})
