// What a check says beside its verdict, each with its fix and its source.
import type { Finding } from "@/model/document";
import { classes } from "@/ui/classes";

const COLOURS = {
  error: "border-brick",
  warning: "border-amber",
  note: "border-strong-line text-soft",
} as const satisfies Record<Finding["level"], string>;

type Props = {
  findings: readonly Finding[];
  take?: (path: string, value: string) => void;
};

export function FillFindings({ findings, take }: Props) {
  if (findings.length === 0) {
    return null;
  }
  return (
    <div className="grid gap-1.5">
      {findings.map(({ code, level, text, remedy, source }) => (
        <div
          key={`${code}-${text}`}
          data-finding={code}
          className={classes("border-l-3 py-0.5 pl-2.5 text-sm leading-snug", COLOURS[level])}
        >
          <p>
            <span className="sr-only">{level}: </span>
            {text}
          </p>
          {remedy && take ? (
            <button
              type="button"
              className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
              onClick={() => take(remedy.path, String(remedy.value))}
            >
              {remedy.label}
            </button>
          ) : null}
          {source ? <p className="text-xs text-soft">{source}</p> : null}
        </div>
      ))}
    </div>
  );
}
