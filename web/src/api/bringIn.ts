// Bringing a whole job in, with its progress line by line.
import { type Progress, withProgress } from "./ndjson";

/** The id of the job that came of an archive. Throws Refused; stopped by its signal, and then
 *  nothing of it is kept. */
export async function bringInJob(
  archive: Blob,
  tell: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<number> {
  const upload = { url: "/api/jobs/archive/progress", body: archive, type: "application/zip" };
  const { job } = await withProgress<{ job: number }>(upload, tell, signal);
  return job;
}
