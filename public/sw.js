// Keeps the application itself on the device, so that a day that was opened once opens again without a network. It holds the page and the
// built files only; records stay with the application (IndexedDB), and the API is never answered from here.
const SHELL = 'larkspur-shell';
const PAGE = '/field-shell';

async function gather() {
  const cache = await caches.open(SHELL);
  const answer = await fetch('/build/manifest.json', { cache: 'no-store' });
  const manifest = await answer.json();
  const wanted = new Set(['/larkspur.svg']);
  for (const part of Object.values(manifest)) {
    for (const file of [part.file, ...(part.css ?? []), ...(part.assets ?? [])]) wanted.add(`/build/${file}`);
  }
  const held = new Set((await cache.keys()).map((request) => new URL(request.url).pathname));
  const page = await fetch('/', { cache: 'no-store', credentials: 'same-origin' });
  if (page.ok) await cache.put(PAGE, page);
  await Promise.all(
    [...wanted].filter((path) => !held.has(path)).map(async (path) => {
      const file = await fetch(path);
      if (file.ok) await cache.put(path, file);
    }),
  );
  // Files of an older build are of no use any more.
  await Promise.all([...held].filter((path) => path.startsWith('/build/') && !wanted.has(path)).map((path) => cache.delete(path)));
}

self.addEventListener('install', (event) => event.waitUntil(gather().then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('message', (event) => {
  if (event.data === 'gather') event.waitUntil(gather().catch(() => {}));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/api/') || url.pathname.startsWith('/sanctum/')) return;
  if (request.mode === 'navigate') {
    event.respondWith(
      fetch(request).catch(async () => (await caches.match(PAGE)) ?? Response.error()),
    );
  } else if (url.pathname.startsWith('/build/') || url.pathname === '/larkspur.svg') {
    event.respondWith(caches.match(url.pathname).then((held) => held ?? fetch(request)));
  }
});
