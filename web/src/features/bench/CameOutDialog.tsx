// What was measured of the bend that was just made, and what becomes of the piece with it, before it
// is kept.
import { type FormEvent, useState } from "react";
import type { BenchFit, BenchPlan, BenchRun } from "@/api/bench";
import { Refused } from "@/api/client";
import type { CameOut, Readings } from "@/model/bench";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { Figures } from "@/ui/Figures";
import { HoldButton } from "@/ui/HoldButton";
import { say } from "@/words/say";
import { CouldBecome } from "./CouldBecome";
import { MendLine } from "./MendStep";
import { Verdict } from "./OfferUp";
import { ReadingField } from "./ReadingField";
import { READINGS, type Reading, readingsOf } from "./readings";
import { useBenchFit } from "./useBench";

type Typed = Readonly<Partial<Record<Reading, string>>>;
/** What was typed of each bend and not kept, by its number: a window that is closed loses nothing. */
export type Drafts = Map<number, Typed>;

type Props = {
  drafts: Drafts;
  open: boolean;
  close: () => void;
  run: BenchRun;
  piece: number;
  plan: BenchPlan;
  /** The bend, along the pipe. */
  bend: number;
  kept: Readings;
  tried: (bend: number, readings: Readings) => CameOut;
  keep: (readings: Readings) => void;
};

const WRONG_WAY = "180";

export function CameOutDialog(props: Props) {
  const { drafts, open, close, run, piece, plan, bend, kept, tried, keep } = props;
  const [typed, type] = useState<Typed>(
    () =>
      drafts.get(bend) ??
      Object.fromEntries(
        Object.entries(kept).flatMap(([name, value]) =>
          typeof value === "boolean" ? [] : [[name, String(value)]],
        ),
      ),
  );
  const setTyped = (next: Typed) => {
    drafts.set(bend, next);
    type(next);
  };
  const [mended, setMended] = useState(kept.mended ?? false);
  const readings = { ...readingsOf(typed), ...(mended ? { mended } : {}) };
  const reading = open && Object.keys(readings).length > 0 ? tried(bend, readings) : null;
  const there = useBenchFit({ run, piece }, reading);
  const problems = there.error instanceof Refused ? there.error.problem.errors : [];
  const planned = plan.planned.bends[bend];
  // What makes a pipe scrap is not kept by a touch in passing.
  const scrap = reading !== null && !there.error && there.data?.verdict === "scrap";
  const keepIt = () => {
    drafts.delete(bend);
    keep(readings);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (problems.length === 0 && !scrap) {
      keepIt();
    }
  };
  return (
    <Dialog
      title={say("Bend {bend} came out different", { bend: bend + 1 })}
      description={say(
        "What you measured of it. What is left is worked out anew, so that it still fits.",
      )}
      open={open}
      onOpenChange={(next) => (next ? undefined : close())}
    >
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid grid-cols-2 items-end gap-3">
          {READINGS.filter((name) => plan.bends[bend]?.readings.includes(name)).map((name) => (
            <ReadingField
              key={name}
              name={name}
              of={{ language: run.job_language, units: run.document.units, angle: planned?.angle }}
              typed={typed[name] ?? ""}
              problem={problems.find(({ path }) => path.endsWith(`.${name}`))?.expected}
              type={(text) => setTyped({ ...typed, [name]: text })}
            />
          ))}
        </div>
        <div className="flex flex-wrap gap-2">
          <Button
            className="px-3"
            aria-pressed={typed.twist === WRONG_WAY}
            onClick={() =>
              setTyped({ ...typed, twist: typed.twist === WRONG_WAY ? "" : WRONG_WAY })
            }
          >
            {say("It was bent the wrong way round")}
          </Button>
          <Button className="px-3" aria-pressed={mended} onClick={() => setMended(!mended)}>
            {say("I have bent it on or opened it since")}
          </Button>
        </div>
        {reading && there.data && !there.error ? (
          <Tried fit={there.data} old={there.isPlaceholderData} bend={bend} runId={run.id} />
        ) : null}
        {there.error && problems.length === 0 ? (
          <p role="alert" className="text-sm text-brick">
            {there.error.message}
          </p>
        ) : null}
        <div className="flex gap-2">
          {scrap ? (
            <HoldButton className="min-h-12 px-4" onHeld={keepIt}>
              {say("Hold to keep it, though it is scrap")}
            </HoldButton>
          ) : (
            <Button type="submit" weight="main" className="min-h-12 px-4">
              {reading ? say("Keep it, and go on") : say("It came out as planned")}
            </Button>
          )}
          <Button weight="quiet" onClick={close}>
            {say("Back")}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

type TriedProps = { fit: BenchFit; old: boolean; bend: number; runId: number };

/** What becomes of the piece with what is being typed. */
function Tried({ fit, old, bend, runId }: TriedProps) {
  return (
    <div className={old ? "opacity-60" : ""} data-tried data-current={!old}>
      {fit.mend
        .filter((mend) => mend.bend === bend)
        .map((mend) => (
          <div key={mend.how} className="grid gap-1 pb-3">
            <MendLine mend={mend} />
            <p>
              <Figures text={mend.told} />
            </p>
          </div>
        ))}
      <Verdict fit={fit} />
      {fit.verdict === "scrap" ? <CouldBecome fit={fit} runId={runId} /> : null}
    </div>
  );
}
