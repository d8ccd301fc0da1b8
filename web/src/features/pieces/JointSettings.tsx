// How a run is joined, in a sentence; and every joint that a person put, where it can be moved.
import type { PiecesOfRun } from "@/api/queries";
import { InlineField, WordField } from "@/features/walk/fields";
import {
  addJoint,
  inOnePiece,
  type JointSaid,
  type Joints,
  removeJoint,
  setJoint,
  setJoints,
  takePlaces,
} from "@/model/joints";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { Button, IconButton } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { Select } from "@/ui/Select";

const BY = { yarrow: "where Yarrow says", hand: "where you say" } as const;
const TO = { near: "near end", middle: "middle", far: "far end" } as const;

export function JointSettings({ joints, made }: { joints: Joints; made: PiecesOfRun }) {
  const change = usePlanner((state) => state.change);
  const places = joints.places ?? [];
  const found = made.joints.map(({ leg, at_text }) => ({ leg, at: at_text }));
  return (
    <div className="border-b border-line px-4 pb-2">
      <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1">
        <span className="text-soft">Joined by a</span>
        <Select
          look="word"
          label="Coupling"
          value={made.coupling}
          options={made.offered.map(({ kind, name }) => ({ value: kind, label: name }))}
          onChange={(coupling) => change(setJoints({ coupling: coupling as Joints["coupling"] }))}
        />
        <span className="text-soft">, sticks of</span>
        <InlineField
          path="joints.stick"
          label="Stick"
          value={joints.stick}
          placeholder={made.stick_text}
          onChange={(stick, burst) => change(setJoints({ stick: stick || undefined }), burst)}
        />
        <span className="text-soft">,</span>
        <WordField
          label="Who says where"
          value={places.length > 0 ? "hand" : "yarrow"}
          words={BY}
          onChange={(by) => change(takePlaces(by === "hand" ? found : null))}
        />
        <Button
          weight="quiet"
          className="ml-auto px-2 text-sm"
          onClick={() => change(inOnePiece(), "")}
        >
          One piece
        </Button>
      </div>
      <p className="text-xs text-soft">
        {made.offered.find(({ kind }) => kind === made.coupling)?.source}
      </p>
      {places.length > 0 ? (
        <ol className="pt-1">
          {places.map((place, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a joint is known by its number along the run
            <JointRow key={index} place={place} index={index} />
          ))}
          <li className="pt-1">
            <Button weight="quiet" className="px-2 text-sm" onClick={() => change(addJoint())}>
              Another joint
            </Button>
          </li>
        </ol>
      ) : null}
    </div>
  );
}

function JointRow({ place, index }: { place: JointSaid; index: number }) {
  const change = usePlanner((state) => state.change);
  const path = `joints.places[${index}]`;
  const name = `Joint ${index + 1}`;
  const sum = usePlanState(
    ({ plan }) => plan?.worked.find((each) => each.path === `${path}.at`)?.text ?? "",
  );
  return (
    <li className="flex flex-wrap items-baseline gap-x-1.5 text-sm" data-joint={index}>
      <span className="font-semibold">{name}</span>
      <span className="text-soft">: on leg</span>
      <InlineField
        path={`${path}.leg`}
        label={`${name}, leg`}
        value={place.leg ?? 1}
        onChange={(leg, burst) => {
          const number = Number(leg);
          change(
            setJoint(index, { leg: Number.isInteger(number) && leg ? number : (leg as never) }),
            burst,
          );
        }}
      />
      <span className="text-soft">, its</span>
      <WordField
        label={`${name}, measured to`}
        value={place.to ?? "middle"}
        words={TO}
        onChange={(to) => change(setJoint(index, { to }))}
      />
      <span className="text-soft">at</span>
      <InlineField
        path={`${path}.at`}
        label={`${name}, place`}
        value={place.at}
        onChange={(at, burst) => change(setJoint(index, { at }), burst)}
      />
      {sum ? (
        <span className="text-soft">
          <Figures text={sum} />
        </span>
      ) : null}
      <IconButton label={`Take out ${name}`} onClick={() => change(removeJoint(index))}>
        <Icon name="close" className="size-4" />
      </IconButton>
    </li>
  );
}
