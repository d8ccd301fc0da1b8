// Where a box of a job is shown.
export function boxAddress(jobId: number, name: string): string {
  return `/jobs/${jobId}/box?name=${encodeURIComponent(name)}`;
}
