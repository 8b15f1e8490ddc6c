// Keeps the application and what it last read at hand when the server is away. Changes are kept by the page itself.
const cacheName = 'snowdrift-2'
/** Where an answer says for whom it may be kept; what does not say so is not. */
const keptForHeader = 'Snowdrift-Kept-For'
const answersOf = account => `snowdrift-answers ${account}`
const areAnswers = name => name.startsWith('snowdrift-answers ')

self.addEventListener('install', event => {
  event.waitUntil(caches.open(cacheName).then(cache => cache.add('/')))
  self.skipWaiting()
})

self.addEventListener('activate', event => {
  event.waitUntil(dropCaches(name => name !== cacheName && !areAnswers(name)))
  event.waitUntil(self.clients.claim())
})

// The page names the files that it loaded before this worker was there to see them.
self.addEventListener('message', event => {
  const { keep } = event.data ?? {}
  if (Array.isArray(keep)) event.waitUntil(caches.open(cacheName).then(cache => cache.addAll(keep)))
})

self.addEventListener('fetch', event => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (url.pathname === '/api/live') return
  if (url.pathname.startsWith('/api/')) event.respondWith(fromServerFirst(request, request, keepAnswer))
  else if (url.pathname.startsWith('/assets/')) event.respondWith(fromCacheFirst(request))
  else if (request.mode === 'navigate') event.respondWith(fromServerFirst(request, '/', keepFile))
  else event.respondWith(fromServerFirst(request, request, keepFile))
})

async function fromCacheFirst(request) {
  return (await caches.match(request)) ?? fetchAndKeep(request, request, keepFile)
}

async function fromServerFirst(request, key, keep) {
  try {
    return await fetchAndKeep(request, key, keep)
  } catch (error) {
    const kept = await caches.match(key)
    if (kept) return kept
    throw error
  }
}

async function fetchAndKeep(request, key, keep) {
  const response = await fetch(request)
  await keep(key, response)
  return response
}

async function keepFile(key, response) {
  if (response.ok) await put(cacheName, key, response)
}

/** An answer belongs to one account: with the first of another, and where none is let in, what was kept goes. */
async function keepAnswer(key, response) {
  const account = response.headers.get(keptForHeader)
  if (response.status === 401) await dropCaches(areAnswers)
  if (!response.ok || account === null) return
  await dropCaches(name => areAnswers(name) && name !== answersOf(account))
  await put(answersOf(account), key, response)
}

async function put(name, key, response) {
  const cache = await caches.open(name)
  await cache.put(key, response.clone())
}

async function dropCaches(isDropped) {
  for (const name of await caches.keys()) if (isDropped(name)) await caches.delete(name)
}
