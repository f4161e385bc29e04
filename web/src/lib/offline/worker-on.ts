/** Sets the worker going that keeps lessons for when there is no network. */
import address from './worker?worker&url';

/**
 * Where the browser lets it (over https, or on this machine) and has room for it; elsewhere the page is as it would be without.
 * `begun` is called once it listens for the first time, since it has heard nothing yet.
 */
export async function workerOn(begun: () => void): Promise<void> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined;
  if (!workers) return;
  const fresh = workers.controller === null;
  if (fresh) workers.addEventListener('controllerchange', begun, { once: true });
  await workers.register(address, { scope: '/' }).catch(() => null);
}
