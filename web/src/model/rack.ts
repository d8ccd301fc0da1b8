// What a person can change of a run's rack, as functions from document to document.
import type { Schemas } from "@/api/client";
import type { Change } from "./commands";
import type { RunDocument } from "./document";

export type Rack = NonNullable<RunDocument["rack"]>;
export type BuiltBend = Schemas["RunDocument_built_bend"];
type Pipe = Schemas["RunDocument_rack_pipe"];

const USUAL = { in: "3", mm: "80" } as const;
export const MOST_OFFERED = 20;

/** Copy the run into a rack of three, or take the rack away. */
export function startRack(): Change {
  return (document) => ({
    ...document,
    rack: { count: 3, side: "left", spacing: USUAL[document.units] },
  });
}

export function removeRack(): Change {
  return ({ rack: _, ...document }) => document;
}

/** Another count, side, spacing …; what is told of pipes that there are no more goes with them. */
export function setRack(fields: Partial<Rack>): Change {
  return withRack((rack) => {
    const next = { ...rack, ...fields };
    const { pipes, built, ...rest } = next;
    const kept = built?.filter(({ pipe }) => pipe < next.count) ?? [];
    const others = pipes?.slice(0, next.count - 1) ?? [];
    return {
      ...rest,
      ...(others.length > 0 ? { pipes: others } : {}),
      ...(kept.length > 0 ? { built: kept } : {}),
    };
  });
}

/** Another conduit for one pipe after the first; those between it and the first stay as they are. */
export function setRackPipe(index: number, pipe: Pipe): Change {
  return (document) =>
    withRack((rack) => {
      const like: Pipe = { conduit: document.conduit, bender: document.bender };
      const pipes = Array.from(
        { length: Math.max(rack.pipes?.length ?? 0, index) },
        (_, at) => rack.pipes?.[at] ?? like,
      );
      return { ...rack, pipes: pipes.with(index - 1, pipe) };
    })(document);
}

/** How one pipe was really built; without bends nothing is told of it. */
export function setBuilt(index: number, bends: readonly BuiltBend[]): Change {
  return withRack(({ built = [], ...rack }) => {
    const others = built.filter(({ pipe }) => pipe !== index);
    const all = bends.length > 0 ? [...others, { pipe: index, bends: [...bends] }] : others;
    return all.length > 0 ? { ...rack, built: all } : rack;
  });
}

function withRack(change: (rack: Rack) => Rack): Change {
  return (document) => (document.rack ? { ...document, rack: change(document.rack) } : document);
}
