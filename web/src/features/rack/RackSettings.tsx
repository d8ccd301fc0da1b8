// A rack in a sentence: how many pipes, to which side, how far apart, and how they take corners.
import { InlineField, WordField } from "@/features/walk/fields";
import { MOST_OFFERED, type Rack, removeRack, setRack } from "@/model/rack";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";

const BETWEEN = { centres: say("from centre to centre"), air: say("of air between them") } as const;
const SIDES = {
  left: say("to the left"),
  right: say("to the right"),
  out: say("further out"),
  in: "further in",
} as const;
const CORNERS = {
  same: say("on the same shoe"),
  concentric: say("about one centre, in shots"),
} as const;

export function RackSettings({ rack }: { rack: Rack }) {
  const change = usePlanner((state) => state.change);
  const counts = Array.from({ length: MOST_OFFERED - 1 }, (_, at) => at + 2);
  const offered = counts.includes(rack.count) ? counts : [...counts, rack.count];
  return (
    <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1 border-b border-line px-4 pb-2">
      <Select
        look="word"
        label={say("How many pipes")}
        value={String(rack.count)}
        options={offered.map((count) => ({ value: String(count), label: String(count) }))}
        onChange={(count) => change(setRack({ count: Number(count) }))}
      />
      <span className="text-soft">{say("pipes, each next one")}</span>
      <InlineField
        path="rack.spacing"
        label={say("Spacing")}
        value={rack.spacing}
        onChange={(spacing, burst) => change(setRack({ spacing }), burst)}
      />
      <WordField
        label={say("What the spacing is")}
        value={rack.between ?? "centres"}
        words={BETWEEN}
        onChange={(between) => change(setRack({ between }))}
      />
      <WordField
        label={say("The side of the rack")}
        value={rack.side}
        words={SIDES}
        onChange={(side) => change(setRack({ side }))}
      />
      <span className="text-soft">{say("; corners")}</span>
      <WordField
        label={say("Corners")}
        value={rack.corners ?? "same"}
        words={CORNERS}
        onChange={(corners) => change(setRack({ corners }))}
      />
      <Button
        weight="quiet"
        className="ml-auto px-2 text-sm"
        onClick={() => change(removeRack(), "")}
      >
        {say("No rack")}
      </Button>
    </div>
  );
}
