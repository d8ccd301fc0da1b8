// A sheet of several pages: the first says how many there are.
import { unwrap } from "@/api/client";

export type AskedPage = { data?: string; error?: unknown; response: Response };

export async function everyPage(ask: (page: number) => Promise<AskedPage>): Promise<string[]> {
  const first = await ask(1);
  const count = Number(first.response.headers.get("X-Pages"));
  const others = Array.from({ length: Math.max(count - 1, 0) }, (_, at) => unwrap(ask(at + 2)));
  return [await unwrap(Promise.resolve(first)), ...(await Promise.all(others))];
}
