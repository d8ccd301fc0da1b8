// The service worker: the page's own files are here without a network. What the server answers is not
// its business. A newer page waits until every tab of the old one is closed.
import { matchPrecache, precacheAndRoute } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";

type Activation = Event & { waitUntil(done: Promise<unknown>): void };

/** What of a service worker's world is used here: the page's own types know none. */
declare const self: {
  readonly __WB_MANIFEST: { url: string; revision: string | null }[];
  readonly clients: { claim(): Promise<void> };
  addEventListener(what: "activate", then: (event: Activation) => void): void;
};

/** How long a page that is opened waits for the server before it opens the kept one. */
const PATIENCE_MS = 4000;

precacheAndRoute(self.__WB_MANIFEST, { cleanURLs: false });

self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

registerRoute(
  new NavigationRoute(
    async ({ request }) =>
      (await fromServer(request as Request)) ?? (await matchPrecache("/kept")) ?? Response.error(),
    { denylist: [/^\/api\//, /^\/static\//] },
  ),
);

/** The server's own page; null where it is away, or where something between answers for it. */
async function fromServer(request: Request): Promise<Response | null> {
  try {
    const response = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
    const own = response.headers.has("X-Page") || response.type === "opaqueredirect";
    return own ? response : null;
  } catch {
    return null;
  }
}
