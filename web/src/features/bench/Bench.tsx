// A piece at the bench: the step that is next, large, with its picture; back, on, and "it came out
// different". Every key that a foot switch or a glove can reach does the same.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { BenchPlan, BenchRun } from "@/api/bench";
import { forgetLists, putStage } from "@/api/queries";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { begunBefore, type KeptHere } from "@/model/bench";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { usePageTitle } from "@/ui/usePageTitle";
import { BenchStep } from "./BenchStep";
import { CameOutDialog, type Drafts } from "./CameOutDialog";
import type { Source } from "./gauge/GaugePanel";
import { MendStep } from "./MendStep";
import { OfferUp } from "./OfferUp";
import { useBench } from "./useBench";
import { useReadAloud } from "./useReadAloud";
import { useTellBender } from "./useTellBender";
import { useVoice } from "./useVoice";

const ON_DISK = {
  keeping: "The marks are as they were before.",
  kept: "Your readings are kept here; the marks are as they were before.",
  refused: "This device keeps nothing: leave the page open, or your readings are gone.",
} as const;

type Props = { run: BenchRun; piece: number; here: KeptHere };

export function Bench({ run, piece, here }: Props) {
  const bench = useBench({ run, piece, here });
  const [source, setSource] = useState<Source>("none");
  const [different, setDifferent] = useState(false);
  const [fresh, setFresh] = useState(() => begunBefore(here, run.version));
  const { plan, progress, go } = bench;
  const telling = useTellBender({ run, piece, progress, plan, old: bench.old });
  const queries = useQueryClient();
  const navigate = useNavigate();
  const fits = useMutation({
    // A run of several pieces is bent when the last of them is: who bends them says so.
    mutationFn: async () => {
      await bench.offered("fits");
      return piece ? null : putStage(run.id, "bent");
    },
    onSuccess: () => {
      forgetLists(queries);
      void navigate(`/runs/${run.id}`);
    },
    networkMode: "always",
  });
  const steps = plan?.order.steps ?? [];
  const step = steps[progress.at];
  const mend = plan?.mend[0];
  // While a bend waits to be mended, nothing can be said of the next one.
  const bend = !mend && typeof step?.bend === "number" ? step.bend : null;
  /** What was read of the bend that is to be mended, and what a person says of that. */
  const mended = (of: { done: true } | { as_is: true }) => {
    // Told once: a second tap would be of what comes next.
    if (mend && !bench.old) {
      bench.read(mend.bend, { ...progress.readings[String(mend.bend)], ...of });
    }
  };
  const onward = () => (mend ? mended({ done: true }) : go(progress.at + 1));
  const back = () =>
    go(mend ? steps.findIndex((each) => each.bend === mend.bend) : progress.at - 1);
  const drafts = useRef<Drafts>(new Map());
  const [spokenAngle, setSpokenAngle] = useState<number | null>(null);
  const voice = useVoice((command) => {
    if (command.word === "next") {
      onward();
    } else if (command.word === "back") {
      back();
    } else if (command.word === "repeat") {
      aloud.repeat();
    } else if (command.word === "angle" && bend !== null) {
      drafts.current.delete(bend);
      setSpokenAngle(command.degrees);
      setDifferent(true);
    }
  });
  const now = mend?.told ?? (plan && step ? spoken(plan, step) : "");
  const aloud = useReadAloud(bench.old ? "" : now);
  usePageTitle(`${run.name}, bench`);

  const moves = useRef({ onward, back });
  moves.current = { onward, back };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest("input, dialog");
      if (different || typing || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      if (event.key === "ArrowRight" || event.key === "PageDown") {
        moves.current.onward();
      } else if (event.key === "ArrowLeft" || event.key === "PageUp") {
        moves.current.back();
      } else if (event.key === "r") {
        aloud.repeat();
      } else if (event.key === "d" && bend !== null) {
        setDifferent(true);
      } else {
        return;
      }
      event.preventDefault();
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  }, [different, bend, aloud.repeat]);

  if (!plan) {
    return bench.error ? (
      <CouldNotOpen error={bench.error} again={bench.retry} />
    ) : (
      <LoadingScreen what="Opening the bench" />
    );
  }
  const next = steps[progress.at + 1];
  return (
    <div className="flex h-dvh flex-col bg-paper" data-bench data-current={!bench.old}>
      <header className="border-b border-line px-4 py-2 desk:px-7">
        <div className="flex items-center gap-3 max-desk:flex-wrap max-desk:gap-y-1">
          <h1 className="min-w-0 truncate font-semibold max-desk:basis-full">{run.name}</h1>
          <span className="shrink-0 text-soft">
            {piece ? `piece ${piece}, ` : ""}
            {step ? `${progress.at + 1} of ${steps.length}` : "offer it up"}
          </span>
          {aloud.can ? (
            <Button
              className="ml-auto min-h-11 px-3 max-desk:text-sm"
              aria-pressed={aloud.on}
              onClick={() => aloud.turn(!aloud.on)}
            >
              {aloud.on ? "Reading aloud" : "Read aloud"}
            </Button>
          ) : (
            <span className="ml-auto text-sm text-soft">This browser has no voice.</span>
          )}
          {voice.can ? (
            <Button
              className="min-h-11 px-3 max-desk:text-sm"
              aria-pressed={voice.on}
              onClick={() => voice.turn(!voice.on)}
            >
              {voice.on ? "Listening" : "Listen"}
            </Button>
          ) : (
            <span className="text-sm text-soft">It can’t hear.</span>
          )}
          <Link
            to={`/runs/${run.id}`}
            className="inline-flex min-h-11 items-center rounded-md border border-line px-4 font-medium"
          >
            Leave
          </Link>
        </div>
        <StepsSoFar steps={steps} at={progress.at} />
        {fresh ? (
          <p role="status" className="flex items-center gap-3 pt-2 text-sm">
            The run was changed since this piece was begun: its marks are new, and it begins anew.
            <Button onClick={() => setFresh(false)}>Good</Button>
          </p>
        ) : null}
        {bench.elsewhere ? (
          <div
            role="status"
            data-elsewhere
            className="flex flex-wrap items-center gap-2 border-l-3 border-amber pt-1 pl-2.5 text-sm"
          >
            <span>
              {bench.elsewhere.who} has this piece at step {bench.elsewhere.progress.at + 1} on
              another device.
            </span>
            <Button className="min-h-11 px-3" onClick={bench.takeOver}>
              Take over from there
            </Button>
            <Button className="min-h-11 px-3" onClick={bench.goOnHere}>
              Go on here
            </Button>
          </div>
        ) : null}
        {fits.error ? (
          <p role="alert" className="pt-2 text-sm text-brick">
            {fits.error.message} That it fits is not kept yet.
          </p>
        ) : null}
        {bench.error ? (
          <p role="alert" className="flex items-center gap-3 pt-2 text-sm text-brick">
            {bench.error.message} {ON_DISK[bench.onDisk]}
            <Button onClick={bench.retry}>Try again</Button>
          </p>
        ) : null}
      </header>
      {mend ? (
        <MendStep plan={plan} mend={mend} />
      ) : step ? (
        <BenchStep
          plan={plan}
          step={step}
          old={bench.old}
          gauge={{ source, setSource }}
          keepAngle={(of, angle) => bench.read(of, { ...progress.readings[String(of)], angle })}
        />
      ) : (
        <OfferUp
          runId={run.id}
          plan={plan}
          held={progress.held}
          hold={bench.hold}
          anew={bench.anew}
          telling={telling}
        />
      )}
      {mend ? (
        <footer
          key="mend"
          className="grid grid-cols-[auto_minmax(0,1fr)] gap-2.5 border-t border-line px-4 py-3 desk:flex desk:px-7"
        >
          <Button className="h-16 px-6 text-lg" onClick={back}>
            Back
          </Button>
          <Button
            weight="main"
            className="h-16 px-4 text-lg desk:flex-1"
            disabled={bench.old}
            onClick={onward}
          >
            Done: it is mended
          </Button>
          <Button
            className="col-span-2 h-12 px-6 text-lg desk:h-16"
            disabled={bench.old}
            onClick={() => mended({ as_is: true })}
          >
            Leave it so
          </Button>
        </footer>
      ) : (
        <footer
          key="step"
          className="grid grid-cols-[auto_minmax(0,1fr)] gap-2.5 border-t border-line px-4 py-3 desk:flex desk:px-7"
        >
          <Button className="h-16 px-6 text-lg" disabled={progress.at === 0} onClick={back}>
            Back
          </Button>
          {step ? (
            <Button weight="main" className="h-16 px-4 text-lg desk:flex-1" onClick={onward}>
              {bend === null ? "Done" : "Bent"}
              {next ? `. ${typeof next.bend === "number" ? "Next mark" : "On"}` : ". Offer it up"}
            </Button>
          ) : (
            <Button
              weight="main"
              className="h-16 px-4 text-lg desk:flex-1"
              disabled={fits.isPending}
              onClick={() => fits.mutate()}
            >
              It fits
            </Button>
          )}
          {step ? null : (
            <Button
              className="col-span-2 h-12 px-6 text-lg desk:h-16"
              aria-pressed={progress.offered === "does-not"}
              onClick={() => void bench.offered("does-not")}
            >
              It does not fit
            </Button>
          )}
          {bend === null ? null : (
            <Button
              className="col-span-2 h-12 px-6 text-lg desk:h-16"
              onClick={() => setDifferent(true)}
            >
              It came out different
            </Button>
          )}
        </footer>
      )}
      {bend === null ? null : (
        <CameOutDialog
          key={`${bend} ${different}`}
          drafts={drafts.current}
          open={different}
          close={() => {
            setDifferent(false);
            setSpokenAngle(null);
          }}
          run={run}
          piece={piece}
          plan={plan}
          bend={bend}
          kept={{
            ...progress.readings[String(bend)],
            ...(spokenAngle === null ? {} : { angle: spokenAngle }),
          }}
          tried={bench.tried}
          keep={(readings) => {
            bench.read(bend, readings);
            setDifferent(false);
            setSpokenAngle(null);
          }}
        />
      )}
    </div>
  );
}

/** A step as it is read aloud: of a bend its figures, of anything else what to do. */
function spoken(plan: BenchPlan, step: BenchPlan["order"]["steps"][number]): string {
  const mark = plan.order.marks.find(({ bend }) => bend === step.bend);
  const work = plan.order.working.find(({ bend }) => bend === step.bend);
  return mark && work
    ? `${mark.name} on ${mark.text}, hook to the ${mark.hook}. Bend to ${work.bend_to_text}. ${step.check}`
    : step.do;
}

type StepsProps = { steps: BenchPlan["order"]["steps"]; at: number };

function StepsSoFar({ steps, at }: StepsProps) {
  return (
    <ol aria-label="Steps" className="flex gap-1 pt-2">
      {steps.map(({ number, title }, place) => (
        <li
          key={number}
          title={title}
          aria-current={place === at ? "step" : undefined}
          className={classes(
            "h-1.5 flex-1 rounded-full",
            place < at ? "bg-moss" : place === at ? "bg-accent" : "bg-line",
          )}
        >
          <span className="sr-only">{title}</span>
        </li>
      ))}
    </ol>
  );
}
