// A piece at the bench: the step that is next, large, with its picture; back, on, and "it came out
// different". Every key that a foot switch or a glove can reach does the same.
import { useRef, useState } from "react";
import type { BenchPlan, BenchRun } from "@/api/bench";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { begunBefore, type KeptHere } from "@/model/bench";
import { foundMark } from "@/model/document";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { usePageTitle } from "@/ui/usePageTitle";
import { say } from "@/words/say";
import { MendFooter, StepFooter } from "./BenchFooter";
import { BenchHeader } from "./BenchHeader";
import { BenchStep } from "./BenchStep";
import { CameOutDialog, type Drafts } from "./CameOutDialog";
import type { Source } from "./gauge/GaugePanel";
import { MendStep } from "./MendStep";
import { movesOf } from "./moves";
import { OfferUp } from "./OfferUp";
import { useBench } from "./useBench";
import { useBenchKeys } from "./useBenchKeys";
import { useItFits } from "./useItFits";
import { useReadAloud } from "./useReadAloud";
import { useTellBender } from "./useTellBender";
import { useVoice } from "./useVoice";

type Props = { run: BenchRun; piece: number; here: KeptHere };

export function Bench({ run, piece, here }: Props) {
  const bench = useBench({ run, piece, here });
  const [source, setSource] = useState<Source>("none");
  const [different, setDifferent] = useState(false);
  const [fresh, setFresh] = useState(() => begunBefore(here, run.version));
  const { plan, progress } = bench;
  const telling = useTellBender({ run, piece, progress, plan, old: bench.old });
  const fits = useItFits({ run, piece, offered: bench.offered });
  const { steps, step, mend, bend, mended, onward, back } = movesOf(bench);
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
  const close = () => {
    setDifferent(false);
    setSpokenAngle(null);
  };
  usePageTitle(say("{name}, bench", { name: run.name }));
  useBenchKeys(!different, {
    onward,
    back,
    repeat: aloud.repeat,
    different: bend === null ? null : () => setDifferent(true),
  });

  if (!plan) {
    return bench.error ? (
      <CouldNotOpen error={bench.error} again={bench.retry} />
    ) : (
      <LoadingScreen what={say("Opening the bench")} />
    );
  }
  return (
    <div className="flex h-dvh flex-col bg-paper" data-bench data-current={!bench.old}>
      <BenchHeader
        run={run}
        piece={piece}
        at={progress.at}
        steps={steps}
        bench={bench}
        aloud={aloud}
        voice={voice}
        fresh={fresh}
        seen={() => setFresh(false)}
        unkept={fits.error}
      />
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
        <MendFooter
          old={bench.old}
          back={back}
          mended={onward}
          asIs={() => mended({ as_is: true })}
        />
      ) : (
        <StepFooter
          steps={steps}
          progress={progress}
          back={back}
          onward={onward}
          different={bend === null ? null : () => setDifferent(true)}
          fits={fits}
          doesNotFit={() => void bench.offered("does-not")}
        />
      )}
      {bend === null ? null : (
        <CameOutDialog
          key={`${bend} ${different}`}
          drafts={drafts.current}
          open={different}
          close={close}
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
            close();
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
  const found = foundMark(plan.order.finding_marks, step.bend ?? null);
  if (!mark || !work) {
    return step.do;
  }
  const until = work.gauge
    ? say("Bend until {gauge}.", { gauge: work.gauge })
    : say("Bend to {bendTo}.", { bendTo: work.bend_to_text });
  const put = { name: mark.name, hook: mark.hook, until, check: step.check };
  return found && plan.planned.marking === "as-you-go"
    ? say("{told} {name} there, hook to the {hook}. {until} {check}", { told: found.told, ...put })
    : say("{name} on {mark}, hook to the {hook}. {until} {check}", { mark: mark.text, ...put });
}
