// What takes longer than somebody waits for: asked for, followed until it ends, stopped.
import { client, type Schemas, unwrap } from "./client";

export type LongWork = Schemas["LongWorkDetail"];
export type AskedWork = Schemas["LongWorkAsked"]["work"];

export function askForWork(jobId: number, work: AskedWork): Promise<LongWork> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/work", {
      params: { path: { job_id: jobId } },
      body: { work },
    }),
  );
}

/** What one asked for on a job, the newest first. */
export function listWork(jobId: number): Promise<LongWork[]> {
  return unwrap(client.GET("/api/jobs/{job_id}/work", { params: { path: { job_id: jobId } } }));
}

export function stopWork(workId: number): Promise<LongWork> {
  return unwrap(client.POST("/api/work/{work_id}/stop", { params: { path: { work_id: workId } } }));
}

export function isUnderWay({ state }: LongWork): boolean {
  return state === "waiting" || state === "under-way";
}

export const workFile = (workId: number) => `/api/work/${workId}/file`;

/** Tells how far it is until it ends; what is returned ends that. The browser asks again by itself
 *  where the stream ends, also of another machine. */
export function followWork(workId: number, tell: (work: LongWork) => void): () => void {
  const stream = new EventSource(`/api/work/${workId}/changes`);
  stream.onmessage = ({ data }: MessageEvent<string>) => {
    const work = JSON.parse(data) as LongWork;
    if (!isUnderWay(work)) {
      stream.close();
    }
    tell(work);
  };
  return () => stream.close();
}

/** The file of work that makes JSON. */
export function loadWorkFile<T>(workId: number): Promise<T> {
  return unwrap(
    client.GET("/api/work/{work_id}/file", {
      params: { path: { work_id: workId } },
      parseAs: "json",
    }),
  ) as Promise<T>;
}
