/** The service worker keeps the reader's pages on the device. It is not there while the pages are being developed. */
export function startWorker() {
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}

/** Sounds and pictures of a reader's texts leave a shared device with them. */
export const forgetFiles = async () => {
  if ('caches' in window) for (const name of ['dc-sounds', 'dc-pictures']) await caches.delete(name);
};
