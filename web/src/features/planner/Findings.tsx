// Findings in words, each with its fix one touch away.
import { useCatalogue } from "@/api/queries";
import { setAtPath } from "@/model/commands";
import { takeSize } from "@/model/conduit";
import type { Finding } from "@/model/document";
import { classes } from "@/ui/classes";
import { usePlanner } from "./PlannerContext";

const COLOURS = {
  error: "border-brick",
  warning: "border-amber",
  note: "border-strong-line text-soft",
} as const satisfies Record<Finding["level"], string>;

export function Findings({ findings }: { findings: readonly Finding[] }) {
  const change = usePlanner((state) => state.change);
  const benders = useCatalogue().data?.benders;
  return findings.map((finding) => (
    <div
      key={`${finding.code}-${finding.text}`}
      data-finding={finding.code}
      className={classes(
        "mt-1.5 border-l-3 py-0.5 pl-2.5 text-sm leading-snug",
        COLOURS[finding.level],
      )}
    >
      <p>
        <span className="sr-only">{finding.level}: </span>
        {finding.text}
      </p>
      {finding.remedy ? (
        <button
          type="button"
          className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
          onClick={() => {
            const { path, value } = finding.remedy ?? { path: "", value: "" };
            change(
              path === "conduit.size"
                ? takeSize(benders ?? [], String(value))
                : setAtPath(path, value),
            );
          }}
        >
          {finding.remedy.label}
        </button>
      ) : null}
      {finding.source ? <p className="text-xs text-soft">{finding.source}</p> : null}
    </div>
  ));
}
