// A job's list of runs as it was asked for, out of the whole one that is kept.
import type { Schemas } from "@/api/client";

type Row = Schemas["RunSummary"];

const STAGES: readonly Row["stage"][] = ["draft", "ready", "bent", "fitted"];

const ORDERS: Record<string, (one: Row, other: Row) => number> = {
  name: (one, other) => one.name.localeCompare(other.name, undefined, { numeric: true }),
  changed: (one, other) => other.updated_at.localeCompare(one.updated_at),
  bends: (one, other) => other.bend_degrees - one.bend_degrees,
  stage: (one, other) => STAGES.indexOf(one.stage) - STAGES.indexOf(other.stage),
};

/** The rows that a question asks for. What the rows don't say (how long) goes by name. */
export function listedAs(rows: readonly Row[], question: URLSearchParams): readonly Row[] {
  const search = (question.get("search") ?? "").toLowerCase();
  const stage = question.get("stage");
  const order = ORDERS[question.get("by") ?? "name"] ?? ORDERS.name;
  return rows
    .filter(({ name }) => name.toLowerCase().includes(search))
    .filter((row) => !stage || row.stage === stage)
    .toSorted(order)
    .slice(Number(question.get("offset") ?? 0));
}
