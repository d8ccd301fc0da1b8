// How far something is, with a way to stop it: Radix Progress.
import { Progress as Radix } from "radix-ui";
import { say } from "@/words/say";
import { Button } from "./Button";

type Props = {
  label: string;
  far: { readonly done: number; readonly of: number } | null;
  /** What is counted: runs, rows. */
  what: string;
  /** It has not begun: others are before it. */
  waits?: boolean;
  /** Left out where there is nothing to stop. */
  stop?: () => void;
};

export function ProgressBar({ label, far, what, waits, stop }: Props) {
  const of = far?.of || 1;
  return (
    <div className="flex items-center gap-3">
      <Radix.Root
        aria-label={label}
        value={far?.done ?? null}
        max={of}
        className="h-2 w-40 overflow-hidden rounded bg-line"
      >
        <Radix.Indicator asChild>
          <svg
            viewBox="0 0 100 1"
            preserveAspectRatio="none"
            className="h-full w-full"
            aria-hidden="true"
          >
            <rect width={far ? (100 * far.done) / of : 0} height="1" className="fill-accent" />
          </svg>
        </Radix.Indicator>
      </Radix.Root>
      <span className="text-sm text-soft tabular-nums">
        {far
          ? say("{done} of {of} {what}", { done: far.done, of: far.of, what })
          : waits
            ? say("Waits for its turn …")
            : say("Begun …")}
      </span>
      {stop ? <Button onClick={stop}>{say("Stop")}</Button> : null}
    </div>
  );
}
