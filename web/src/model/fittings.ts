// A crew's own fittings, and one of them as a run carries it.
import type { Schemas } from "@/api/client";
import type { FittingKind, Units } from "./document";

export type FittingsDocument = Schemas["FittingsDocument"];
export type OwnFitting = NonNullable<FittingsDocument["fittings"]>[number];

export function addFitting(units: Units): (list: FittingsDocument) => FittingsDocument {
  return (list) => ({
    ...list,
    fittings: [...(list.fittings ?? []), { name: "", like: "hub", units, beyond: "" }],
  });
}

export function setFitting(
  at: number,
  fields: Partial<OwnFitting>,
): (list: FittingsDocument) => FittingsDocument {
  return (list) => ({
    ...list,
    fittings: (list.fittings ?? []).map((each, place) =>
      place === at ? { ...each, ...fields } : each,
    ),
  });
}

export function removeFitting(at: number): (list: FittingsDocument) => FittingsDocument {
  return (list) => ({ ...list, fittings: (list.fittings ?? []).toSpliced(at, 1) });
}

/** What a run says of an end that has it, in the run's units. */
export function inRun(fitting: OwnFitting, units: Units) {
  const { name, like, beyond } = fitting;
  const allowance = fitting.units === units ? beyond : `${beyond} ${fitting.units}`;
  return { kind: like as FittingKind, allowance, own: name };
}
