// The offcuts that are in hand for a job, remembered by this browser.
import { readStored, writeStored } from "./stored";

export type Offcut = {
  readonly type: string;
  readonly size: string;
  readonly name: string;
  readonly length: string;
};

const key = (jobId: number) => `yarrow.offcuts.${jobId}`;

export function readOffcuts(jobId: number): readonly Offcut[] {
  return readStored(key(jobId), areOffcuts) ?? [];
}

export function writeOffcuts(jobId: number, offcuts: readonly Offcut[]): void {
  writeStored(key(jobId), offcuts);
}

function areOffcuts(value: unknown): value is readonly Offcut[] {
  return Array.isArray(value) && value.every(isOffcut);
}

function isOffcut(value: unknown): boolean {
  const fields = ["type", "size", "name", "length"];
  return (
    typeof value === "object" &&
    value !== null &&
    fields.every((field) => typeof (value as Record<string, unknown>)[field] === "string")
  );
}
