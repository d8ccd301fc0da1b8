// A request whose answer comes as a value a line, for work that tells how far it is.
import { type Problem, Refused, UNREACHED, unexpected } from "./client";
import { send } from "./token";

export type Progress = { readonly done: number; readonly of: number };

type Upload = { readonly url: string; readonly body: Blob; readonly type: string };

/** The answer's last value; those before it tell how far it is. Throws Refused. */
export async function withProgress<T extends object>(
  upload: Upload,
  tell: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<T> {
  const answer = await ask(upload, signal);
  if (!answer.ok || !answer.body) {
    const problem = (await answer.json().catch(() => null)) as Problem | null;
    throw new Refused(answer.status, problem?.code ? problem : unexpected(answer));
  }
  for await (const line of lines<T | Progress | { problem: Problem }>(answer.body)) {
    if ("problem" in line) {
      throw new Refused(422, line.problem);
    }
    if (!("done" in line)) {
      return line;
    }
    tell(line);
  }
  throw new Refused(0, UNREACHED);
}

async function ask({ url, body, type }: Upload, signal: AbortSignal): Promise<Response> {
  try {
    const headers = { "Content-Type": type };
    return await send(new Request(url, { method: "POST", body, headers, signal }));
  } catch (error) {
    if (signal.aborted) {
      throw error;
    }
    throw new Refused(0, UNREACHED);
  }
}

/** A stream of JSON, a value a line. */
export async function* lines<T>(stream: ReadableStream<Uint8Array>): AsyncGenerator<T> {
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    const whole = (rest + decoder.decode(value, { stream: !done })).split("\n");
    rest = done ? "" : (whole.pop() ?? "");
    for (const line of whole.filter(Boolean)) {
      yield JSON.parse(line) as T;
    }
    if (done) {
      return;
    }
  }
}
