// What is to be drawn in, as a list that a person edits: functions from list to list.
import type { Schemas } from "@/api/client";
import type { Rules } from "@/api/planning";
import type { Change } from "./commands";
import type { RunDocument, Units } from "./document";
import { withoutEmpty } from "./without";
import { RULEBOOKS } from "./wording";

export type Conductor = Schemas["RunDocument_conductor"];
export type Circuit = Schemas["RunDocument_circuit"];
export type Wires = NonNullable<RunDocument["wires"]>;
export type FillDocument = Schemas["RunDocument_fill_file"];
export type FillResult = Schemas["FillResult"];
export type Part = Schemas["Part"];

/** Fields of a document to change; undefined takes one out. */
export type Fields<T> = { [K in keyof T]?: T[K] | undefined };

/** What both a run's wires and a check without a run hold. */
export type WireLists = {
  readonly conductors?: Conductor[] | undefined;
  readonly circuits?: Circuit[] | undefined;
};

export const USUAL_CONDUCTOR: Readonly<Record<Units, Conductor>> = {
  in: { count: 3, insulation: "thhn", size: "12" },
  mm: { count: 3, csa: 2.5, build: "stranded" },
};

export const USUAL_CIRCUIT: Readonly<Record<Units, Circuit>> = {
  in: { kind: "lighting", insulation: "thhn", size: "12" },
  mm: { kind: "radial", csa: 2.5, build: "stranded" },
};

export const USUAL_CABLE: Readonly<Record<Units, Conductor>> = {
  in: { count: 1, diameter: "0.43" },
  mm: { count: 1, diameter: "11" },
};

export const USUAL_OVAL: Readonly<Record<Units, Conductor>> = {
  in: { count: 1, width: "0.41", height: "0.18" },
  mm: { count: 1, width: "12", height: "6" },
};

export function withConductor(wires: WireLists, index: number, fields: Partial<Conductor>) {
  const conductors = (wires.conductors ?? []).map((each, at) =>
    at === index ? { ...each, ...fields } : each,
  );
  return { conductors };
}

export function withCircuit(wires: WireLists, index: number, fields: Partial<Circuit>) {
  const circuits = (wires.circuits ?? []).map((each, at) =>
    at === index ? { ...each, ...fields } : each,
  );
  return { circuits };
}

export function addedConductors(wires: WireLists, more: readonly Conductor[]) {
  return { conductors: [...(wires.conductors ?? []), ...more] };
}

export function addedCircuit(wires: WireLists, circuit: Circuit) {
  return { circuits: [...(wires.circuits ?? []), circuit] };
}

export function withoutConductor(wires: WireLists, index: number) {
  return { conductors: (wires.conductors ?? []).toSpliced(index, 1) };
}

export function withoutCircuit(wires: WireLists, index: number) {
  return { circuits: (wires.circuits ?? []).toSpliced(index, 1) };
}

/** Another part of a run's wires; what is not said is left out of the document. */
export function setWires(fields: Fields<Wires>): Change {
  return (document) => ({
    ...document,
    wires: withoutEmpty<Wires>({ ...document.wires, ...fields }),
  });
}

/** Nothing said yet, checked by the job's rules. */
export function startWires(rules: Rules): Change {
  return setWires({ conductors: [], ...RULEBOOKS[rules].wires });
}

/** How the wire is pulled. */
export function setPull(fields: Fields<Pull>): Change {
  return (document) => {
    const pull = withoutEmpty<Pull>({ ...document.wires?.pull, ...fields });
    return setWires({ pull: Object.keys(pull).length > 0 ? pull : undefined })(document);
  };
}

type Pull = NonNullable<Wires["pull"]>;

/** A wire size as people say it: 12 AWG, 250 kcmil. */
export function sizeName(size: string): string {
  return size.includes("/") || Number(size) < 100 ? `${size} AWG` : `${size} kcmil`;
}

/** A number that was typed into a field; undefined where there is none yet. */
export function typedNumber(text: string): number | undefined {
  const value = Number(text.trim());
  return text.trim() !== "" && Number.isFinite(value) ? value : undefined;
}
