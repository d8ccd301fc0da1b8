// The kinds of saved documents, a row each.
import { bender } from "./bender";
import { box } from "./box";
import { fittings } from "./fittings";
import type { DocumentKind } from "./kind";
import { run } from "./run";
import { site } from "./site";
import { stock } from "./stock";
import { wall } from "./wall";

export const DOCUMENTS = { run, box, wall, site, stock, bender, fittings } as const;

export type Kind = keyof typeof DOCUMENTS;

export const KINDS = Object.keys(DOCUMENTS) as readonly Kind[];

/** Those that a job has some of, each with a name, as its page lists them. */
export type InJob = {
  [K in Kind]: (typeof DOCUMENTS)[K] extends { inJob: unknown } ? K : never;
}[Kind];

export const IN_JOB = KINDS.filter((kind): kind is InJob => "inJob" in DOCUMENTS[kind]);

export function kindOf(name: Kind): DocumentKind {
  return DOCUMENTS[name];
}
