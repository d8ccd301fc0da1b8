// What a quick bend is made from and with: remembered on this device, as the last run had it.
import { ConduitOnBender } from "@/features/catalogue/ConduitOnBender";
import type { Units } from "@/model/document";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import type { QuickBend } from "./useQuickBend";

export function BentWith({ quick }: { quick: QuickBend }) {
  const { habit, use, sentence, changeUnits } = quick;
  return (
    <p className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1 pt-5 text-soft">
      <ConduitOnBender conduit={habit.conduit} bender={habit.bender} use={use} />
      {say("in")}
      <Select
        look="word"
        label={say("Units")}
        value={sentence.units}
        options={[
          { value: "in", label: say("inches") },
          { value: "mm", label: say("millimetres") },
        ]}
        onChange={(units) => changeUnits(units as Units)}
      />
    </p>
  );
}
