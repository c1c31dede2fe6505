/** Browsers keep pages that come over HTTPS, and those of this computer, alone. */
const mayKeep = 'serviceWorker' in navigator;

/** Whether this page can be opened without the network as things stand. */
export function opensOffline(): boolean {
  return mayKeep && navigator.serviceWorker.controller !== null;
}

/** What this page has fetched by now, so that the next time it is there without the network. */
function fetchedParts(): string[] {
  return performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.startsWith(`${location.origin}/assets/`));
}

/** Lets the browser keep the page. What is fetched before that for the first time is handed over. */
export async function keepPage(): Promise<void> {
  if (!mayKeep || !import.meta.env.PROD) return;
  const isNew = navigator.serviceWorker.controller === null;
  await navigator.serviceWorker.register('/service-worker.js');
  const { active } = await navigator.serviceWorker.ready;
  if (isNew)
    active?.postMessage({
      type: 'CACHE_URLS',
      payload: { urlsToCache: [`${location.origin}/`, ...fetchedParts()] },
    });
}
