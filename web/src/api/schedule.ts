// A table of runs with their wire, checked row by row.
import type { Schemas } from "./client";
import { type Progress, withProgress } from "./ndjson";

export type CheckedRow = {
  readonly line: number;
  readonly name: string;
  readonly conduit: string;
  readonly wires: string;
  readonly passes: boolean;
  readonly percent: number;
  readonly smallest: string | null;
  readonly says: string;
};

export type Schedule = { readonly rows: readonly CheckedRow[]; readonly csv: string };

/** Every row's answer, and the table with them as CSV. Throws Refused, with every place that can't
 *  be read; then there is no answer at all. */
export function checkSchedule(
  table: Blob,
  units: Schemas["RunDocument"]["units"],
  tell: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<Schedule> {
  const upload = { url: `/api/schedule?units=${units}`, body: table, type: "text/csv" };
  return withProgress<Schedule>(upload, tell, signal);
}
