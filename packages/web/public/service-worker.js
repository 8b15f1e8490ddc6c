// Keeps the application and what it last read at hand when the server is away. Changes are kept by the page itself.
const cacheName = 'snowdrift-1'
/** What is written anew each time, and what a link shows that may be taken back. */
const notKept = /^\/api\/(archive|shared|shares|[a-z]+\.csv)(\/|$)/

self.addEventListener('install', event => {
  event.waitUntil(caches.open(cacheName).then(cache => cache.add('/')))
  self.skipWaiting()
})

self.addEventListener('activate', event => {
  const drop = name => (name === cacheName ? undefined : caches.delete(name))
  event.waitUntil(caches.keys().then(names => Promise.all(names.map(drop))))
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
  if (notKept.test(url.pathname)) return
  if (url.pathname.startsWith('/assets/')) event.respondWith(fromCacheFirst(request))
  else event.respondWith(fromServerFirst(request, request.mode === 'navigate' ? '/' : request))
})

async function fromCacheFirst(request) {
  return (await caches.match(request)) ?? fetchAndKeep(request, request)
}

async function fromServerFirst(request, key) {
  try {
    return await fetchAndKeep(request, key)
  } catch (error) {
    const kept = await caches.match(key)
    if (kept) return kept
    throw error
  }
}

async function fetchAndKeep(request, key) {
  const response = await fetch(request)
  if (response.ok) {
    const cache = await caches.open(cacheName)
    await cache.put(key, response.clone())
  }
  return response
}
