// Where the run starts: the fitting, what it is called, and the pipe beyond its face.

import { useState } from "react";
import { EndHeld } from "@/features/pieces/EndHeld";
import { Findings } from "@/features/walk/Findings";
import { InlineField } from "@/features/walk/fields";
import { setStart } from "@/model/commands";
import { useLastPlan, usePlanner, usePlanState } from "@/state/PlannerContext";
import { IconButton } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { BoxNamed } from "./BoxNamed";
import { FittingField, NameField } from "./lineFields";
import { SENTENCE, SUB } from "./sentenceClasses";

export function StartLine() {
  const start = usePlanner((state) => state.history.present.start);
  const trouble = usePlanState(
    ({ plan, problems }) =>
      [...problems.keys()].some((path) => path.startsWith("start")) ||
      (plan?.findings.some(({ path }) => path.startsWith("start")) ?? false),
  );
  const [opened, setOpened] = useState(false);
  const all = opened || trouble;
  const change = usePlanner((state) => state.change);
  return (
    <div className="relative border-b border-line py-1.5 pr-10 pl-12">
      {all || start?.label ? (
        <NameField
          path="start.label"
          value={start?.label}
          placeholder={say("Which box?")}
          onChange={(label, burst) => change(setStart({ label }), burst)}
        />
      ) : null}
      <p className={SENTENCE}>
        {sayWith("Start at a {kind}", {
          kind: (
            <FittingField
              label={say("Fitting at the start")}
              value={start?.kind ?? "open"}
              own={start?.own}
              onChange={(choice) => change(setStart(choice))}
            />
          ),
        })}
      </p>
      {all || start?.allowance !== undefined ? (
        <p className={SUB}>
          {sayWith("pipe beyond its face {allowance}", {
            allowance: (
              <InlineField
                path="start.allowance"
                label={say("Pipe beyond the start's face")}
                value={start?.allowance}
                placeholder={say("by fitting")}
                onChange={(text, burst) =>
                  change(
                    (before) => withoutEmptyAllowance(setStart({ allowance: text })(before)),
                    burst,
                  )
                }
              />
            ),
          })}
        </p>
      ) : null}
      {all || start?.box ? (
        <p className={SUB}>
          <BoxNamed
            path="start.box"
            value={start?.box}
            onChange={(box, burst) => change(setStart({ box }), burst)}
          />
        </p>
      ) : null}
      {all && start && start.kind !== "open" ? (
        <p className={SUB}>
          {sayWith("while the run is put up it {endHeld}", { endHeld: <EndHeld end="start" /> })}
        </p>
      ) : null}
      <StartFindings />
      <div className="absolute top-0.5 right-1">
        <IconButton
          label={say("Start: {shown}", {
            shown: all ? say("only what was said") : say("all that it has"),
          })}
          aria-expanded={all}
          data-all="start"
          onClick={() => setOpened(!opened)}
        >
          <Icon
            name="down"
            className={classes("size-4 transition-transform", all && "rotate-180")}
          />
        </IconButton>
      </div>
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
