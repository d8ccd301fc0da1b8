// The joints of one leg, where the walk comes to them: a person's own to be changed, Yarrow's to be
// seen and taken over.
import { takePlaces, whereFound } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { usePieces } from "@/state/usePieces";
import { Button } from "@/ui/Button";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { JointRow } from "./JointRow";

/** ``leg`` is counted from 1. */
export function JointLines({ leg }: { leg: number }) {
  const joints = usePlanner((state) => state.history.present.joints);
  const made = usePieces((state) => state.made);
  const change = usePlanner((state) => state.change);
  if (!joints) {
    return null;
  }
  const own = (joints.places ?? []).map((place, index) => ({ place, index }));
  if (own.length > 0) {
    const here = own.filter(({ place }) => (place.leg ?? 1) === leg);
    return here.length > 0 ? (
      <li className="border-b border-line bg-canvas py-1.5 pr-3 pl-11">
        <ol>
          {here.map(({ place, index }) => (
            <JointRow key={index} place={place} index={index} />
          ))}
        </ol>
      </li>
    ) : null;
  }
  const found = made?.joints.filter((joint) => joint.leg === leg) ?? [];
  return found.length > 0 ? (
    <li className="border-b border-line bg-canvas py-1.5 pr-3 pl-11 text-sm">
      {found.map((joint) => (
        <p key={joint.number}>
          <span className="font-semibold">{say("Joint {number}", { number: joint.number })}</span>
          <span className="text-soft">
            {sayWith(": a {couplingName}, its middle at {at}, where Yarrow says.", {
              couplingName: joint.coupling_name,
              at: <Reading text={joint.at_text} />,
            })}{" "}
          </span>
          <Button
            weight="quiet"
            className="px-1 text-sm underline underline-offset-3"
            aria-label={say("Put joint {number} yourself", { number: joint.number })}
            onClick={() => change(takePlaces(whereFound(made?.joints ?? [])))}
          >
            {say("Put it yourself")}
          </Button>
        </p>
      ))}
    </li>
  ) : null;
}
