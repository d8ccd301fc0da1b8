// The foot of the bench: back, on, and what came out otherwise.
import type { BenchPlan } from "@/api/bench";
import type { Progress } from "@/model/bench";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";

const FOOT =
  "grid grid-cols-[auto_minmax(0,1fr)] gap-2.5 border-t border-line px-4 py-3 desk:flex desk:px-7";

type MendProps = { old: boolean; back: () => void; mended: () => void; asIs: () => void };

/** While a bend waits to be mended. */
export function MendFooter({ old, back, mended, asIs }: MendProps) {
  return (
    <footer className={FOOT}>
      <Button className="h-16 px-6 text-lg" onClick={back}>
        {say("Back")}
      </Button>
      <Button
        weight="main"
        className="h-16 px-4 text-lg desk:flex-1"
        disabled={old}
        onClick={mended}
      >
        {say("Done: it is mended")}
      </Button>
      <Button className="col-span-2 h-12 px-6 text-lg desk:h-16" disabled={old} onClick={asIs}>
        {say("Leave it so")}
      </Button>
    </footer>
  );
}

type StepProps = {
  steps: BenchPlan["order"]["steps"];
  progress: Progress;
  back: () => void;
  onward: () => void;
  /** It came out different; null where nothing is bent. */
  different: (() => void) | null;
  fits: { readonly isPending: boolean; readonly mutate: () => void };
  doesNotFit: () => void;
};

/** At a step; after the last of them, whether the piece fits. */
export function StepFooter(props: StepProps) {
  const { steps, progress, back, onward, different, fits, doesNotFit } = props;
  const step = steps[progress.at];
  const next = steps[progress.at + 1];
  return (
    <footer className={FOOT}>
      <Button className="h-16 px-6 text-lg" disabled={progress.at === 0} onClick={back}>
        {say("Back")}
      </Button>
      {step ? (
        <Button weight="main" className="h-16 px-4 text-lg desk:flex-1" onClick={onward}>
          {different ? say("Bent") : say("Done")}
          {next
            ? `. ${typeof next.bend === "number" ? say("Next mark") : say("On")}`
            : `. ${say("Offer it up")}`}
        </Button>
      ) : (
        <Button
          weight="main"
          className="h-16 px-4 text-lg desk:flex-1"
          disabled={fits.isPending}
          onClick={() => fits.mutate()}
        >
          {say("It fits")}
        </Button>
      )}
      {step ? null : (
        <Button
          className="col-span-2 h-12 px-6 text-lg desk:h-16"
          aria-pressed={progress.offered === "does-not"}
          onClick={doesNotFit}
        >
          {say("It does not fit")}
        </Button>
      )}
      {different ? (
        <Button className="col-span-2 h-12 px-6 text-lg desk:h-16" onClick={different}>
          {say("It came out different")}
        </Button>
      ) : null}
    </footer>
  );
}
