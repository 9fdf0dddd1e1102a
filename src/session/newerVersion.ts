/** What of a service worker's registration is looked at: those that are being fetched, waiting and at work. */
export type Followed = Pick<
  ServiceWorkerRegistration,
  'installing' | 'waiting' | 'active' | 'addEventListener'
>;

/**
 * Calls `waits` whenever a newer version waits to be taken, also one that waited, or was already being fetched, when it was first asked: on
 * a slow machine the browser finds it before the page does.
 */
export const followNewer = (registration: Followed, waits: () => void): void => {
  // The first of all waits for nobody: none is at work yet.
  const look = (): void => void (registration.waiting && registration.active && waits());
  const watch = (): void => registration.installing?.addEventListener('statechange', look);
  registration.addEventListener('updatefound', watch);
  watch();
  look();
};
