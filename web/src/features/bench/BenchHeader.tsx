// The head of the bench: the piece, how far it is, what is heard and said, and what went wrong.
import { Link } from "react-router";
import type { BenchPlan, BenchRun } from "@/api/bench";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { say } from "@/words/say";
import type { useBench } from "./useBench";
import type { useReadAloud } from "./useReadAloud";
import type { useVoice } from "./useVoice";

const ON_DISK = {
  keeping: say("The marks are as they were before."),
  kept: say("Your readings are kept here; the marks are as they were before."),
  refused: say("This device keeps nothing: leave the page open, or your readings are gone."),
} as const;

type NoticesProps = {
  bench: ReturnType<typeof useBench>;
  /** The run was changed since the piece was begun, and nobody has seen that yet. */
  fresh: boolean;
  seen: () => void;
  /** Why it is not kept that the piece fits. */
  unkept: Error | null;
};

type Props = NoticesProps & {
  run: BenchRun;
  piece: number;
  at: number;
  steps: BenchPlan["order"]["steps"];
  aloud: ReturnType<typeof useReadAloud>;
  voice: ReturnType<typeof useVoice>;
};

export function BenchHeader({ run, piece, at, steps, aloud, voice, ...notices }: Props) {
  const step = steps[at];
  return (
    <header className="border-b border-line px-4 py-2 desk:px-7">
      <div className="flex items-center gap-3 max-desk:flex-wrap max-desk:gap-y-1">
        <h1 className="min-w-0 truncate font-semibold max-desk:basis-full">{run.name}</h1>
        <span className="shrink-0 text-soft">
          {piece ? say("piece {piece}, ", { piece }) : ""}
          {step ? say("{at} of {steps}", { at: at + 1, steps: steps.length }) : say("offer it up")}
        </span>
        <Aloud aloud={aloud} />
        <Listens voice={voice} />
        <Link
          to={`/runs/${run.id}`}
          className="inline-flex min-h-11 items-center rounded-md border border-line px-4 font-medium"
        >
          {say("Leave")}
        </Link>
      </div>
      <StepsSoFar steps={steps} at={at} />
      <Notices {...notices} />
    </header>
  );
}

function Aloud({ aloud }: Pick<Props, "aloud">) {
  return aloud.can ? (
    <Button
      className="ml-auto min-h-11 px-3 max-desk:text-sm"
      aria-pressed={aloud.on}
      onClick={() => aloud.turn(!aloud.on)}
    >
      {aloud.on ? say("Reading aloud") : say("Read aloud")}
    </Button>
  ) : (
    <span className="ml-auto text-sm text-soft">{say("This browser has no voice.")}</span>
  );
}

function Listens({ voice }: Pick<Props, "voice">) {
  return voice.can ? (
    <Button
      className="min-h-11 px-3 max-desk:text-sm"
      aria-pressed={voice.on}
      onClick={() => voice.turn(!voice.on)}
    >
      {voice.on ? say("Listening") : say("Listen")}
    </Button>
  ) : (
    <span className="text-sm text-soft">{say("It can’t hear.")}</span>
  );
}

function Notices({ bench, fresh, seen, unkept }: NoticesProps) {
  return (
    <>
      {fresh ? (
        <p role="status" className="flex items-center gap-3 pt-2 text-sm">
          {say(
            "The run was changed since this piece was begun: its marks are new, and it begins anew.",
          )}
          <Button onClick={seen}>{say("Good")}</Button>
        </p>
      ) : null}
      {bench.elsewhere ? (
        <div
          role="status"
          data-elsewhere
          className="flex flex-wrap items-center gap-2 border-l-3 border-amber pt-1 pl-2.5 text-sm"
        >
          <span>
            {say("{who} has this piece at step {at} on another device.", {
              who: bench.elsewhere.who,
              at: bench.elsewhere.progress.at + 1,
            })}
          </span>
          <Button className="min-h-11 px-3" onClick={bench.takeOver}>
            {say("Take over from there")}
          </Button>
          <Button className="min-h-11 px-3" onClick={bench.goOnHere}>
            {say("Go on here")}
          </Button>
        </div>
      ) : null}
      {unkept ? (
        <p role="alert" className="pt-2 text-sm text-brick">
          {say("{message} That it fits is not kept yet.", { message: unkept.message })}
        </p>
      ) : null}
      {bench.error ? (
        <p role="alert" className="flex items-center gap-3 pt-2 text-sm text-brick">
          {bench.error.message} {ON_DISK[bench.onDisk]}
          <Button onClick={bench.retry}>{say("Try again")}</Button>
        </p>
      ) : null}
    </>
  );
}

type StepsProps = { steps: BenchPlan["order"]["steps"]; at: number };

function StepsSoFar({ steps, at }: StepsProps) {
  return (
    <ol aria-label={say("Steps")} className="flex gap-1 pt-2">
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
