// A day and a time as people here write them.
export function moment(at: string | number): string {
  return new Date(at).toLocaleString(undefined, { dateStyle: "medium", timeStyle: "short" });
}
