// Bringing a whole job in, with its progress line by line.
import { type Problem, Refused, tokenHeader, UNEXPECTED, UNREACHED } from "./client";

export type Progress = { readonly done: number; readonly of: number };

type Line = Progress | { readonly job: number } | { readonly problem: Problem };

/** The id of the job that came of an archive. Throws Refused; stopped by its signal, and then
 *  nothing of it is kept. */
export async function bringInJob(
  archive: Blob,
  tell: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<number> {
  const answer = await ask(archive, signal);
  if (!answer.ok || !answer.body) {
    const problem = (await answer.json().catch(() => UNEXPECTED)) as Problem;
    throw new Refused(answer.status, problem.code ? problem : UNEXPECTED);
  }
  for await (const line of lines(answer.body)) {
    if ("job" in line) {
      return line.job;
    }
    if ("problem" in line) {
      throw new Refused(422, line.problem);
    }
    tell(line);
  }
  throw new Refused(0, UNREACHED);
}

async function ask(archive: Blob, signal: AbortSignal): Promise<Response> {
  try {
    return await fetch("/api/jobs/archive/progress", {
      method: "POST",
      body: archive,
      headers: { "Content-Type": "application/zip", ...tokenHeader() },
      signal,
    });
  } catch (error) {
    if (signal.aborted) {
      throw error;
    }
    throw new Refused(0, UNREACHED);
  }
}

/** A stream of JSON, a value a line. */
export async function* lines(stream: ReadableStream<Uint8Array>): AsyncGenerator<Line> {
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    const whole = (rest + decoder.decode(value, { stream: !done })).split("\n");
    rest = done ? "" : (whole.pop() ?? "");
    for (const line of whole.filter(Boolean)) {
      yield JSON.parse(line) as Line;
    }
    if (done) {
      return;
    }
  }
}
