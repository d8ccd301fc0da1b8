// A finding in words: how bad, what, where it is written, and its fix one touch away.
import type { ReactNode } from "react";
import { classes } from "./classes";
import { Figures } from "./Figures";

type Level = "error" | "warning" | "note";

type Props = {
  finding: {
    readonly code: string;
    readonly level: Level;
    readonly text: string;
    readonly source: string;
  };
  fix?: ReactNode;
};

const COLOURS = {
  error: "border-brick",
  warning: "border-amber",
  note: "border-strong-line text-soft",
} as const satisfies Record<Level, string>;

export function FindingRow({ finding: { code, level, text, source }, fix }: Props) {
  return (
    <div
      data-finding={code}
      className={classes("mt-1.5 border-l-3 py-0.5 pl-2.5 text-sm leading-snug", COLOURS[level])}
    >
      <p>
        <span className="sr-only">{level}: </span>
        <Figures text={text} />
      </p>
      {fix}
      {source ? <p className="text-xs text-soft">{source}</p> : null}
    </div>
  );
}

export function FixButton({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
      onClick={onClick}
    >
      {label}
    </button>
  );
}
