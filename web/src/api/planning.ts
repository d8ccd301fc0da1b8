// What the core makes of a run that is on the screen: nothing of it is saved.
import { client, type Schemas, unwrap } from "./client";

/** Whose code holds on a job. */
export type Rules = Schemas["JobDetail"]["rules"];

/** One that answers are told in. */
export type Language = Schemas["RunDetail"]["job_language"];

/** The plan of a document, unsaved, in the words of a language. */
export async function planRun(
  document: Schemas["RunDocument"],
  language: Language | null,
  signal: AbortSignal,
): Promise<Schemas["WrittenPlan"]> {
  const plan = await unwrap(
    client.POST("/api/plan", { params: { query: { language } }, body: document, signal }),
  );
  // The client's own types widen a point to a list of numbers; the contract has three.
  return plan as Schemas["WrittenPlan"];
}

/** The same run in the other unit. */
export function convertRun(
  document: Schemas["RunDocument"],
  to: Schemas["RunDocument"]["units"],
): Promise<Schemas["RunDocument"]> {
  return unwrap(client.POST("/api/convert", { body: { document, to } }));
}

export type TypedLine = Schemas["TypedLineShape"];

export function readTypedLine(
  text: string,
  units: Schemas["RunDocument"]["units"],
  signal: AbortSignal | null = null,
): Promise<TypedLine> {
  return unwrap(client.POST("/api/line", { body: { text, units }, signal }));
}

/** A bend by itself, as it is said, as a run to plan. */
export function quickBend(
  document: Schemas["RunDocument_quick_file"],
  signal: AbortSignal,
): Promise<Schemas["QuickBendShape"]> {
  return unwrap(client.POST("/api/quick", { body: document, signal }));
}

/** The orders of a run as one piece, or of its pieces' one, counted from 1. */
export function handleRun(
  document: Schemas["RunDocument"],
  language: Language,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/handle", { params: { query: { language, piece } }, body: document, signal }),
  );
}

export type PiecesOfRun = Schemas["PiecesOfRun"];

export async function partRun(
  document: Schemas["RunDocument"],
  language: Language,
  signal: AbortSignal,
): Promise<PiecesOfRun> {
  const request = { params: { query: { language } }, body: document, signal };
  return (await unwrap(client.POST("/api/pieces", request))) as PiecesOfRun;
}

export type PlanInPieces = { readonly plan: Schemas["WrittenPlan"]; readonly pieces: PiecesOfRun };

/** The plan of a run as one, and its pieces, in one answer. */
export async function planInPieces(
  document: Schemas["RunDocument"],
  language: Language,
  signal: AbortSignal,
): Promise<PlanInPieces> {
  const request = { params: { query: { language } }, body: document, signal };
  return (await unwrap(client.POST("/api/plan-in-pieces", request))) as PlanInPieces;
}

export type OrderOfWork = Schemas["OrderOfWork"];

export async function orderOfWork(
  document: Schemas["RunDocument"],
  language: Language,
  signal: AbortSignal,
): Promise<OrderOfWork> {
  const request = { params: { query: { language } }, body: document, signal };
  return (await unwrap(client.POST("/api/work", request))) as OrderOfWork;
}

export async function planRack(
  document: Schemas["RunDocument"],
  language: Language,
  signal: AbortSignal,
): Promise<RackPlan> {
  const rack = client.POST("/api/rack", {
    params: { query: { language } },
    body: document,
    signal,
  });
  return (await unwrap(rack)) as RackPlan;
}

export type RackPlan = Schemas["RackPlan"];

export type Order = Awaited<ReturnType<typeof handleRun>>["orders"][number];

export type BendHandling = Order["bends"][number];
