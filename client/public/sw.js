// Keeps the application and the last seen jobs on this device, so that a tablet that wakes without the network goes on where it was.
const shell = 'fb-shell-1'
const seen = 'fb-seen-1'
const kept = /^\/api\/(jobs\/\d+|bench|drawer|boards|blocks)$|^\/api\/jobs\/\d+\/cutting\/\d+\.svg$/

self.addEventListener('install', (e) => {
  e.waitUntil(
    caches
      .open(shell)
      .then((c) => c.add('/'))
      .then(() => self.skipWaiting()),
  )
})
self.addEventListener('activate', (e) => {
  e.waitUntil(self.clients.claim())
})
self.addEventListener('message', (e) => {
  if (Array.isArray(e.data))
    e.waitUntil(
      caches
        .open(shell)
        .then((c) => Promise.all(e.data.map((u) => c.match(u).then((m) => m || c.add(u).catch(() => undefined))))),
    )
})

async function networkFirst(request, cacheName, key) {
  const cache = await caches.open(cacheName)
  try {
    const answer = await fetch(request)
    if (answer.ok) await cache.put(key, answer.clone())
    return answer
  } catch (fault) {
    const old = await cache.match(key)
    if (old) return marked(old)
    throw fault
  }
}

/** An old answer says so: nobody may take the time in it for the time now. */
function marked(old) {
  const headers = new Headers(old.headers)
  headers.set('Kept-On-Device', 'true')
  return new Response(old.body, { status: old.status, statusText: old.statusText, headers })
}

self.addEventListener('fetch', (e) => {
  const url = new URL(e.request.url)
  if (e.request.method !== 'GET' || url.origin !== self.location.origin) return
  if (
    e.request.mode === 'navigate' &&
    !url.pathname.startsWith('/api') &&
    !url.pathname.startsWith('/openapi') &&
    !url.pathname.startsWith('/formats')
  )
    e.respondWith(networkFirst(e.request, shell, '/'))
  else if (url.pathname.startsWith('/assets/'))
    e.respondWith(
      caches.match(e.request).then(
        (m) =>
          m ||
          fetch(e.request).then(async (r) => {
            if (r.ok) await (await caches.open(shell)).put(e.request, r.clone())
            return r
          }),
      ),
    )
  else if (kept.test(url.pathname)) e.respondWith(networkFirst(e.request, seen, e.request))
})
