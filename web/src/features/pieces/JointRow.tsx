// A joint that a person put: its leg, what of the coupling was measured to, where; and taking it out.
import { InlineField, WordField } from "@/features/walk/fields";
import { type JointSaid, removeJoint, setJoint } from "@/model/joints";
import { wholeNumber } from "@/model/wholeNumber";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { IconButton } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";

const TO = { near: say("near end"), middle: "middle", far: say("far end") } as const;

export function JointRow({ place, index }: { place: JointSaid; index: number }) {
  const change = usePlanner((state) => state.change);
  const path = `joints.places[${index}]`;
  const name = say("Joint {index}", { index: index + 1 });
  const sum = usePlanState(
    ({ plan }) => plan?.worked.find((each) => each.path === `${path}.at`)?.text ?? "",
  );
  return (
    <li className="relative py-0.5 pr-9 text-sm leading-relaxed" data-joint={index}>
      <span className="font-semibold">{name}</span>
      <span className="text-soft">{say(": on leg")} </span>
      <InlineField
        path={`${path}.leg`}
        label={say("{name}, leg", { name })}
        value={place.leg ?? 1}
        onChange={(leg, burst) => change(setJoint(index, { leg: wholeNumber(leg) }), burst)}
      />
      <span className="text-soft">{say(", its")} </span>
      <WordField
        label={say("{name}, measured to", { name })}
        value={place.to ?? "middle"}
        words={TO}
        onChange={(to) => change(setJoint(index, { to }))}
      />
      <span className="text-soft"> {say("at")} </span>
      <InlineField
        path={`${path}.at`}
        label={say("{name}, place", { name })}
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
        <IconButton
          label={say("Take out {name}", { name })}
          onClick={() => change(removeJoint(index))}
        >
          <Icon name="close" className="size-4" />
        </IconButton>
      </span>
    </li>
  );
}
