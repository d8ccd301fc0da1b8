// Another conduit for a run, with a bender whose shoe takes it.
import type { Change } from "./commands";
import type { RunDocument } from "./document";

type Conduit = RunDocument["conduit"];
export type Taking = { readonly id: string; readonly takes: readonly Conduit[] };

export function sameConduit(one: Conduit, other: Conduit): boolean {
  return one.type === other.type && one.size === other.size;
}

export function takes(bender: Pick<Taking, "takes">, conduit: Conduit): boolean {
  return bender.takes.some((taken) => sameConduit(taken, conduit));
}

/** The bender stays where it takes the new conduit; else the first that does. */
export function takeConduit(benders: readonly Taking[], wanted: Conduit): Change {
  return (document) => {
    const fitting = benders.filter((bender) => takes(bender, wanted));
    const stays = fitting.some(({ id }) => id === document.bender);
    const first = fitting[0];
    return { ...document, conduit: wanted, bender: stays || !first ? document.bender : first.id };
  };
}

export function takeSize(benders: readonly Taking[], size: string): Change {
  return (document) => takeConduit(benders, { type: document.conduit.type, size })(document);
}
