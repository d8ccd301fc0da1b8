// Takes the page's files onto this device, once nothing else is waited for.

/** After the first screen stands: what is fetched is a few megabytes. */
const REST_MS = 20_000;

export function installAtRest(): void {
  setTimeout(installNow, REST_MS);
}

/** At once: somebody wants to be without a network soon. */
export function installNow(): void {
  if (import.meta.env.PROD && "serviceWorker" in navigator) {
    void navigator.serviceWorker.register("/sw.js", { type: "module" }).catch(() => undefined);
  }
}
