// Where the run starts: the fitting, what it is called, and the pipe beyond its face.

import { Findings } from "@/features/walk/Findings";
import { InlineField } from "@/features/walk/fields";
import { setStart } from "@/model/commands";
import { useLastPlan, usePlanner } from "@/state/PlannerContext";
import { BoxNamed } from "./BoxNamed";
import { FittingField, NameField } from "./lineFields";
import { SENTENCE, SUB } from "./sentenceClasses";

export function StartLine() {
  const start = usePlanner((state) => state.history.present.start);
  const change = usePlanner((state) => state.change);
  return (
    <div className="border-b border-line py-2 pr-3 pl-12">
      <NameField
        path="start.label"
        value={start?.label}
        placeholder="Which box?"
        onChange={(label, burst) => change(setStart({ label }), burst)}
      />
      <p className={SENTENCE}>
        Start at a{" "}
        <FittingField
          label="Fitting at the start"
          value={start?.kind ?? "open"}
          onChange={(kind) => change(setStart({ kind }))}
        />
      </p>
      <p className={SUB}>
        pipe beyond its face{" "}
        <InlineField
          path="start.allowance"
          label="Pipe beyond the start's face"
          value={start?.allowance}
          placeholder="by fitting"
          onChange={(text, burst) =>
            change((before) => withoutEmptyAllowance(setStart({ allowance: text })(before)), burst)
          }
        />
      </p>
      <p className={SUB}>
        <BoxNamed
          path="start.box"
          value={start?.box}
          onChange={(box, burst) => change(setStart({ box }), burst)}
        />
      </p>
      <StartFindings />
    </div>
  );
}

function StartFindings() {
  const plan = useLastPlan();
  const findings = plan?.findings.filter(({ path }) => path.startsWith("start")) ?? [];
  return <Findings findings={findings} />;
}

function withoutEmptyAllowance<T extends { start?: { allowance?: string | number } }>(run: T): T {
  if (run.start?.allowance !== "") {
    return run;
  }
  const { allowance: _, ...start } = run.start;
  return { ...run, start };
}
