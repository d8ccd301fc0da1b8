// Takes the page's files onto this device, once nothing else is waited for.

/** After the first screen stands: what is fetched is a few megabytes. */
const REST_MS = 20_000;

export function installAtRest(): void {
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) {
    return;
  }
  setTimeout(() => {
    void navigator.serviceWorker.register("/sw.js", { type: "module" }).catch(() => undefined);
  }, REST_MS);
}
