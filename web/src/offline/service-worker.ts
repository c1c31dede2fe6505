import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

/** Seconds until a page that does not come is taken from this browser. */
const PATIENCE = 4;
/** More parts than one version of the application has. */
const PARTS = 400;

clientsClaim();

/** The page is the same at every address; nothing of anybody is in it. */
const page = new NetworkFirst({
  cacheName: 'green-beam page',
  networkTimeoutSeconds: PATIENCE,
  plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve(new URL('/', location.origin).href) }],
});
registerRoute(
  ({ request, url, sameOrigin }) =>
    sameOrigin && !url.pathname.startsWith('/api/') && (request.mode === 'navigate' || url.pathname === '/'),
  page,
);

/** Scripts, styles and letters never change: what has come once is not fetched again. */
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'),
  new CacheFirst({ cacheName: 'green-beam parts', plugins: [new ExpirationPlugin({ maxEntries: PARTS })] }),
);
