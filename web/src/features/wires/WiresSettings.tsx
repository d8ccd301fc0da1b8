// By which rule, what to keep free, and how far a run may bend: in a sentence.
import { useCatalogue } from "@/api/queries";
import { setWires, typedNumber, type Wires } from "@/model/wires";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { NumberWord } from "./NumberWord";

const METHODS = [
  { value: "area", label: say("by area (US)") },
  { value: "factor", label: say("by drawing-in factors (UK)") },
];

export function WiresSettings({ wires }: { wires: Wires }) {
  const change = usePlanner((state) => state.change);
  const type = usePlanner((state) => state.history.present.conduit.type);
  const fill = usePlanState(({ plan }) => plan?.wires?.fill);
  const catalogue = useCatalogue().data;
  const metric = catalogue?.conduit.find((each) => each.type === type)?.units === "mm";
  if (!catalogue) {
    return null;
  }
  const limits = catalogue.pull_points;
  const method = wires.method ?? fill?.method ?? (metric ? "factor" : "area");
  const usual = String(wires.duct ? limits.duct : limits.usual);
  const habits = [
    {
      value: String(limits.usual),
      label: say("{usual}° between pull points", { usual: limits.usual }),
    },
    {
      value: String(limits.stricter),
      label: say("{stricter}°, the stricter habit", { stricter: limits.stricter }),
    },
  ];
  const degrees = String(wires.most_degrees ?? usual);
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-line px-4 pb-2 text-sm">
      <span className="text-soft">{say("Checked")}</span>
      <Select
        look="word"
        label={say("By which rule")}
        value={method}
        options={metric ? METHODS : METHODS.slice(0, 1)}
        onChange={(next) => change(setWires({ method: next as "area" | "factor" }))}
      />
      <span className="text-soft">{say(", spare")}</span>
      <NumberWord
        label={say("Spare to keep, percent")}
        path="wires.spare"
        value={wires.spare}
        placeholder="0"
        onChange={(text) => change(setWires({ spare: typedNumber(text) }), "wires.spare")}
      />
      <span className="text-soft">%,</span>
      <Select
        look="word"
        label={say("Most degrees between pull points")}
        value={degrees}
        options={
          habits.some(({ value }) => value === degrees)
            ? habits
            : [
                ...habits,
                { value: degrees, label: say("{degrees}° between pull points", { degrees }) },
              ]
        }
        onChange={(next) =>
          change(setWires({ most_degrees: next === usual ? undefined : Number(next) }))
        }
      />
      <Checkbox
        checked={wires.duct ?? false}
        onChange={(duct) => change(setWires({ duct: duct || undefined }))}
      >
        {say("outdoor duct")}
      </Checkbox>
      {metric ? null : (
        <Checkbox
          checked={wires.nipple ?? false}
          onChange={(nipple) => change(setWires({ nipple: nipple || undefined }))}
        >
          {say("nipple")}
        </Checkbox>
      )}
      <Button
        weight="quiet"
        className="ml-auto px-2 text-sm"
        onClick={() => change(({ wires: _, ...document }) => document)}
      >
        {say("No wires")}
      </Button>
    </div>
  );
}
