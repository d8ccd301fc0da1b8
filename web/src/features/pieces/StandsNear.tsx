// What else stands near the run: floors, ceilings and walls that a turned piece must not meet.
import { InlineField, WordField } from "@/features/walk/fields";
import { TOWARD } from "@/kinds/words";
import { setNear } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { Button, IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";

const WHAT = { floor: say("floor"), ceiling: say("ceiling"), wall: say("wall") } as const;
type What = keyof typeof WHAT;

export function StandsNear() {
  const near = usePlanner((state) => state.history.present.joints?.near ?? NONE);
  const change = usePlanner((state) => state.change);
  return (
    <ul className="pb-1 text-sm">
      {near.map((each, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: what stands near is known by its place in the list
        <li key={at} className="flex flex-wrap items-baseline gap-x-1.5" data-near={at}>
          <span className="text-soft">{say("The")}</span>
          <WordField
            label={say("What stands near")}
            value={(each.what ?? "floor") as What}
            words={{ ...WHAT, ...(each.what ? { [each.what]: each.what } : {}) }}
            onChange={(what) => change(setNear(at, { what }))}
          />
          <span className="text-soft">{say("is")}</span>
          <InlineField
            path={`joints.near[${at}].off`}
            label={say("How far off")}
            value={each.off}
            onChange={(off, burst) => change(setNear(at, { off }), burst)}
          />
          <WordField
            label={say("On which side")}
            value={each.toward}
            words={TOWARD}
            onChange={(toward) => change(setNear(at, { toward }))}
          />
          <span className="text-soft">{say("of the first leg's centre line")}</span>
          <IconButton
            label={say("Take out the {what}", { what: each.what ?? say("floor") })}
            onClick={() => change(setNear(at, null))}
          >
            <Icon name="close" className="size-4" />
          </IconButton>
        </li>
      ))}
      <li>
        <Button
          weight="quiet"
          className="px-0 text-sm underline underline-offset-3"
          onClick={() => change(setNear(near.length, {}))}
        >
          {say("A floor or a wall stands near")}
        </Button>
      </li>
    </ul>
  );
}

const NONE: readonly never[] = [];
