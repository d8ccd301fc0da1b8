// A joint that a person put: its leg, what of the coupling was measured to, where; and taking it out.
import { InlineField, WordField } from "@/features/walk/fields";
import { type JointSaid, removeJoint, setJoint } from "@/model/joints";
import { wholeNumber } from "@/model/wholeNumber";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { IconButton } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";

const TO = { near: "near end", middle: "middle", far: "far end" } as const;

export function JointRow({ place, index }: { place: JointSaid; index: number }) {
  const change = usePlanner((state) => state.change);
  const path = `joints.places[${index}]`;
  const name = `Joint ${index + 1}`;
  const sum = usePlanState(
    ({ plan }) => plan?.worked.find((each) => each.path === `${path}.at`)?.text ?? "",
  );
  return (
    <li className="relative py-0.5 pr-9 text-sm leading-relaxed" data-joint={index}>
      <span className="font-semibold">{name}</span>
      <span className="text-soft">: on leg </span>
      <InlineField
        path={`${path}.leg`}
        label={`${name}, leg`}
        value={place.leg ?? 1}
        onChange={(leg, burst) => change(setJoint(index, { leg: wholeNumber(leg) }), burst)}
      />
      <span className="text-soft">, its </span>
      <WordField
        label={`${name}, measured to`}
        value={place.to ?? "middle"}
        words={TO}
        onChange={(to) => change(setJoint(index, { to }))}
      />
      <span className="text-soft"> at </span>
      <InlineField
        path={`${path}.at`}
        label={`${name}, place`}
        value={place.at}
        onChange={(at, burst) => change(setJoint(index, { at }), burst)}
      />
      {sum ? (
        <span className="text-soft">
          {" "}
          <Figures text={sum} />
        </span>
      ) : null}
      <span className="absolute top-0 right-0">
        <IconButton label={`Take out ${name}`} onClick={() => change(removeJoint(index))}>
          <Icon name="close" className="size-4" />
        </IconButton>
      </span>
    </li>
  );
}
