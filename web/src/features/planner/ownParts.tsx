// Parts of a line's sentence that are more than one field.

import { EndHeld } from "@/features/pieces/EndHeld";
import { InlineField, WordField } from "@/features/walk/fields";
import { setLine } from "@/model/commands";
import { usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { BoxNamed } from "./BoxNamed";
import { Angle, Length, type OfLine } from "./lineFields";

const ANGLE_BY = { given: "at", choose: say("at the best angle"), within: "within" } as const;

/** An offset's angle: given, left to Yarrow, or by the length that it must fit into. */
export function OffsetAngle(props: OfLine) {
  const change = usePlanner((state) => state.change);
  const { line, index } = props;
  if (line.kind !== "offset") {
    return null;
  }
  const by = line.within !== undefined ? "within" : line.angle === "choose" ? "choose" : "given";
  const fields = {
    given: { angle: 30, within: undefined },
    choose: { angle: "choose", within: undefined },
    within: { angle: undefined, within: "" },
  } as const;
  return (
    <>
      <WordField
        label={say("Angle by")}
        value={by}
        words={ANGLE_BY}
        onChange={(next) => change(setLine(index, fields[next]))}
      />{" "}
      {by === "given" ? <Angle {...props} usual={30} /> : null}
      {by === "within" ? <Length {...props} field="within" label={say("Must fit into")} /> : null}
    </>
  );
}

const ENDS = { free: say("the walk ends"), fixed: say("it is fixed") } as const;
const MEETING = ["ahead", "left", "out"] as const;

/** Where both ends are fixed: the face's place, seen from the start. */
export function FixedEnd({ line, index }: OfLine) {
  const change = usePlanner((state) => state.change);
  if (line.kind !== "end") {
    return null;
  }
  const meet = line.meet;
  return (
    <>
      {sayWith("its place is where {ends}{meeting}", {
        ends: (
          <WordField
            label={say("Its place")}
            value={meet ? "fixed" : "free"}
            words={ENDS}
            onChange={(next) =>
              change(setLine(index, { meet: next === "fixed" ? ["", "", ""] : undefined }))
            }
          />
        ),
        meeting: meet
          ? MEETING.map((name, axis) => (
              <span key={name}>
                {axis === 0 ? ": " : ", "}
                <InlineField
                  path={`walk[${index}].meet[${axis}]`}
                  label={say("Fixed {name} of the start", { name })}
                  value={meet[axis]}
                  onChange={(text, burst) =>
                    change(setLine(index, { meet: meet.with(axis, text) }), burst)
                  }
                />{" "}
                {name}
              </span>
            ))
          : null,
      })}
    </>
  );
}

/** How the end is held while the run is put up. */
export function HeldAtEnd({ line }: OfLine) {
  return line.kind === "end"
    ? sayWith("while the run is put up it {endHeld}", { endHeld: <EndHeld end="end" /> })
    : null;
}

/** The box of the job that the end is at. */
export function EndBox({ line, index }: OfLine) {
  const change = usePlanner((state) => state.change);
  return line.kind === "end" ? (
    <BoxNamed
      path={`walk[${index}].box`}
      value={line.box}
      onChange={(box, burst) => change(setLine(index, { box: box || undefined }), burst)}
    />
  ) : null;
}
