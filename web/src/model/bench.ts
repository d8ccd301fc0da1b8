// How far a piece has come at the bench, and what was read of its bends: kept on the device's own disk,
// so that a reload, a killed browser or a lost server takes nothing away.
import type { Schemas } from "@/api/client";
import type { MeasuredBend } from "./benders";
import { keepOnDevice, onDevice } from "./onDevice";
import { isLike, readStored } from "./stored";

export type CameOut = Schemas["BenchDocument"];
export type Readings = Omit<NonNullable<CameOut["made"]>[number], "bend">;

export type Progress = {
  /** Of the run, that the piece is bent by: of another, it is begun anew. */
  readonly version: number;
  /** The step that is shown, counted from 0. */
  readonly at: number;
  /** What was read, by the bend's number along the pipe; none of one that came out as planned. */
  readonly readings: Readonly<Record<string, Readings>>;
  /** The leg that is to hold before the others. */
  readonly held: number;
  /** When it was begun, in milliseconds: which of several like it this one is. */
  readonly begun?: number;
  /** What came of offering it up: then it is the piece as built. */
  readonly offered?: "fits" | "does-not";
};

export const NO_LEG = -1;

export function begun(version: number): Progress {
  return { ...AT_FIRST, version, begun: Date.now() };
}

const AT_FIRST: Progress = { version: 0, at: 0, readings: {}, held: NO_LEG };

/** A piece as this device has it: where it was left, null where nobody was, and the version on the
 * server that was seen last of it, 0 for none. */
export type KeptHere = { readonly progress: Progress | null; readonly seen: number };

const NEVER: KeptHere = { progress: null, seen: 0 };
const key = (runId: number, piece: number) => `${runId}.${piece}`;
const isProgress = isLike(AT_FIRST);
const isVersion = (value: unknown): value is number => typeof value === "number";
const known = new Map<string, KeptHere>();

/** What this device has of a piece; nothing where its store can't be read. */
export async function benchHere(runId: number, piece: number): Promise<KeptHere> {
  const at = key(runId, piece);
  const stored = await onDevice()
    .then((store) => store.get("bench", at))
    .catch(() => undefined);
  const here = asKeptHere(stored) ?? asItWasKept(at);
  known.set(at, here);
  return here;
}

/** Keeps a part of what this device has of a piece: on its disk when this resolves. */
export function keepBench(runId: number, piece: number, part: Partial<KeptHere>): Promise<void> {
  const at = key(runId, piece);
  const next = { ...(known.get(at) ?? NEVER), ...part };
  known.set(at, next);
  return keepOnDevice("bench", at, { shape: 1, ...next });
}

function asKeptHere(stored: unknown): KeptHere | null {
  if (!isLike({ shape: 1, seen: 0 })(stored) || stored.shape !== 1) {
    return null;
  }
  const { progress } = stored as { progress?: unknown };
  return { progress: isProgress(progress) ? progress : null, seen: stored.seen };
}

/** As it was kept before it was kept with the drafts. */
function asItWasKept(at: string): KeptHere {
  return {
    progress: readStored(`yarrow.bench.${at}`, isProgress),
    seen: readStored(`yarrow.bench.${at}.seen`, isVersion) ?? 0,
  };
}

/** Where a piece was left, of the version that the run has now. */
export function progressOf({ progress }: KeptHere, version: number): Progress {
  return progress?.version === version ? progress : begun(version);
}

/** Whether somebody has begun a piece by a version that the run no longer has. */
export function begunBefore({ progress }: KeptHere, version: number): boolean {
  return progress !== null && progress.version !== version && progress.at > 0;
}

type Step = { readonly bend?: number | null };

/**
 * What came out so far: the bends of the steps that are behind, to the last that was read. Those
 * made since came out as they had to, and change nothing.
 */
export function cameOut(
  progress: Progress,
  steps: readonly Step[],
  units: CameOut["units"],
): CameOut {
  const made = steps
    .slice(0, progress.at)
    .flatMap(({ bend }) =>
      typeof bend === "number" ? [{ bend, ...progress.readings[String(bend)] }] : [],
    );
  const read = made.findLastIndex(({ bend }) => progress.readings[String(bend)]);
  return {
    format: "yarrow.bench/1",
    units,
    made: made.slice(0, read + 1),
    ...(progress.held === NO_LEG ? {} : { held: progress.held }),
  };
}

/** A piece as it is kept on the server: what came out so far, and how far it is. */
export function asKept(
  progress: Progress,
  steps: readonly Step[],
  units: CameOut["units"],
): CameOut {
  const bends = steps
    .slice(0, progress.at)
    .flatMap(({ bend }) => (typeof bend === "number" ? [bend] : []));
  const ahead = Object.keys(progress.readings)
    .map(Number)
    .filter((bend) => !bends.includes(bend));
  return {
    format: "yarrow.bench/1",
    units,
    made: [...bends, ...ahead].map((bend) => ({ bend, ...progress.readings[String(bend)] })),
    step: progress.at,
    run_version: progress.version,
    ...(progress.begun ? { begun: progress.begun } : {}),
    ...(progress.offered ? { offered: progress.offered } : {}),
    ...(progress.held === NO_LEG ? {} : { held: progress.held }),
  };
}

/** The way back: a piece as another device left it. */
export function fromKept(kept: CameOut): Progress {
  const read = (kept.made ?? []).flatMap(({ bend, ...readings }) =>
    Object.keys(readings).length > 0 ? [[String(bend), readings]] : [],
  );
  return {
    version: kept.run_version ?? 0,
    at: kept.step ?? 0,
    readings: Object.fromEntries(read),
    held: kept.held ?? NO_LEG,
    ...(kept.begun ? { begun: kept.begun } : {}),
    ...(kept.offered ? { offered: kept.offered } : {}),
  };
}

/** Another device: whose, and how far it is. */
export type Elsewhere = { readonly who: string; readonly progress: Progress };

/**
 * What another device has of a piece and nobody has looked at here; null where there is none.
 *
 * Args: there, the piece as the server has it; seen, the version of it that this device saw last;
 * runVersion, of the run that is bent here: a piece of another one is begun anew anyhow.
 */
export function elsewhereOf(
  there: Pick<Schemas["AtBenchDetail"], "document" | "version" | "updated_by"> | undefined,
  seen: number,
  runVersion: number,
): Elsewhere | null {
  if (!there?.document || there.version === seen) {
    return null;
  }
  const progress = fromKept(there.document);
  return progress.version === runVersion ? { who: there.updated_by, progress } : null;
}

type BendForBender = Schemas["BendForBender"];

/** What a piece's readings tell of its bender, as that keeps them: each bend of each piece once. */
export function forTheBender(
  told: readonly BendForBender[],
  units: CameOut["units"],
  piece: string,
): MeasuredBend[] {
  return told.map(({ bend, mark, stick, stub, tail, angle, commanded, clicks }) => {
    const lengths = Object.entries({ mark, stick, stub, tail })
      .filter(([, value]) => value !== null)
      .map(([name, value]) => [name, `${value} ${units}`]);
    const numbers = Object.entries({ angle, commanded, clicks }).filter(
      ([, value]) => value !== null,
    );
    return {
      ...(Object.fromEntries([...lengths, ...numbers]) as MeasuredBend),
      of: `${piece}, bend ${bend + 1}`,
    };
  });
}

/** With what was read of a bend; as planned where that is nothing. */
export function withReadings(progress: Progress, bend: number, read: Readings): Progress {
  const { [String(bend)]: _before, ...others } = progress.readings;
  const readings = Object.keys(read).length > 0 ? { ...others, [String(bend)]: read } : others;
  return { ...progress, readings };
}
