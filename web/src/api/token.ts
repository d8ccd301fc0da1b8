// Who this page belongs to and the token that its changes carry, said with every request.
import { reach } from "./reaching";
import { noticePage } from "./renewed";
import type { components } from "./schema";

type Session = components["schemas"]["Session"];

let token = "";
let member = "";
/** How often this page was signed in. */
let signedIn = 0;

/** Whose page this is; empty, where nobody is signed in. */
export function memberName(): string {
  return member;
}

/** Whose page this is from now on. */
export function rememberSession(session: Session): void {
  token = session.csrf;
  member = session.member?.username ?? "";
  signedIn += 1;
}

/** Another token for the same page: signing in, also in another tab, makes the old one void. */
export async function refreshToken(): Promise<void> {
  const response = await fetch("/api/session");
  token = ((await response.json()) as Session).csrf;
}

/**
 * Sends a request as this page's. Where another tab has made its token void it is sent once more with
 * a fresh one; where someone else has signed in there, the server answers it as signed out. What was
 * under way while the person signed in again, and was answered as signed out, is sent once more too.
 */
export async function send(request: Request): Promise<Response> {
  const again = request.clone();
  const before = signedIn;
  const response = await reach(marked(request));
  noticePage(response);
  if (response.status === 401 && before !== signedIn) {
    return reach(marked(again));
  }
  if (response.status !== 403 || !(await saysStale(response.clone()))) {
    return response;
  }
  await refreshToken();
  return reach(marked(again));
}

function marked(request: Request): Request {
  if (request.method !== "GET") {
    request.headers.set("X-CSRFToken", token);
  }
  if (member) {
    request.headers.set("X-Member", encodeURIComponent(member));
  }
  return request;
}

async function saysStale(response: Response): Promise<boolean> {
  const problem: unknown = await response.json().catch(() => null);
  return (problem as { code?: unknown } | null)?.code === "stale-token";
}
