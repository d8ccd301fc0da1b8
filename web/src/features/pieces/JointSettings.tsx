// How a run is joined, in a sentence; and every joint that a person put, where it can be moved.
import { memo } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { InlineField, WordField } from "@/features/walk/fields";
import {
  addJoint,
  inOnePiece,
  type Joints,
  setJoints,
  takePlaces,
  whereFound,
} from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { focusField } from "@/ui/focusField";
import { Select } from "@/ui/Select";
import { say, sayOf } from "@/words/say";

const BY = { yarrow: say("where Yarrow says"), hand: say("where you say") } as const;

export const JointSettings = memo(function JointSettings({
  joints,
  made,
}: {
  joints: Joints;
  made: PiecesOfRun;
}) {
  const change = usePlanner((state) => state.change);
  const places = joints.places ?? [];
  const found = whereFound(made.joints);
  return (
    <div className="border-b border-line px-4 pb-2">
      <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1">
        <span className="text-soft">{say("Joined by a")}</span>
        <Select
          look="word"
          label={say("Coupling")}
          value={made.coupling}
          options={made.offered.map(({ kind, name }) => ({ value: kind, label: name }))}
          onChange={(coupling) => change(setJoints({ coupling: coupling as Joints["coupling"] }))}
        />
        <span className="text-soft">{say(", sticks of")}</span>
        <InlineField
          path="joints.stick"
          label={say("Stick")}
          value={joints.stick}
          placeholder={made.stick_text}
          onChange={(stick, burst) => change(setJoints({ stick: stick || undefined }), burst)}
        />
        <span className="text-soft">,</span>
        <WordField
          label={say("Who says where")}
          value={places.length > 0 ? "hand" : "yarrow"}
          words={BY}
          onChange={(by) => change(takePlaces(by === "hand" ? found : null))}
        />
        <Button
          weight="quiet"
          className="ml-auto px-2 text-sm"
          onClick={() => change(inOnePiece(), "")}
        >
          {say("One piece")}
        </Button>
      </div>
      <p className="text-xs text-soft">
        {made.offered.find(({ kind }) => kind === made.coupling)?.source}
      </p>
      {places.length > 0 ? (
        <p className="pt-1 text-sm">
          <span className="text-soft">
            {sayOf(
              places.length,
              "The joint stands in the walk.",
              "All {places} joints stand in the walk.",
              { places: places.length },
            )}
          </span>
          <Button
            weight="quiet"
            className="px-2 text-sm"
            onClick={() => {
              change(addJoint(1));
              focusField(`joints.places[${places.length}].at`);
            }}
          >
            {say("Another joint")}
          </Button>
        </p>
      ) : null}
    </div>
  );
});
