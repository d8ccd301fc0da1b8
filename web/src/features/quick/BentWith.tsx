// What a quick bend is made from and with: remembered on this device, as the last run had it.
import { useCatalogue } from "@/api/queries";
import { sameConduit, takes } from "@/model/conduit";
import type { Units } from "@/model/document";
import { Select } from "@/ui/Select";
import type { QuickBend } from "./useQuickBend";

export function BentWith({ quick }: { quick: QuickBend }) {
  const { habit, use, sentence, changeUnits } = quick;
  const catalogue = useCatalogue().data;
  const benders = catalogue?.benders ?? [];
  const conduits = (catalogue?.conduit ?? []).filter((conduit) =>
    benders.some((bender) => takes(bender, conduit)),
  );
  const fitting = benders.filter((bender) => takes(bender, habit.conduit));
  const chooseConduit = (value: string) => {
    const [type = "", size = ""] = value.split(" ");
    const conduit = conduits.find((each) => sameConduit(each, { type, size }));
    const stays = benders.find(
      (bender) => bender.id === habit.bender && conduit && takes(bender, conduit),
    );
    const bender = stays ?? benders.find((each) => conduit && takes(each, conduit));
    if (conduit && bender) {
      use({ conduit: { type: conduit.type, size: conduit.size }, bender: bender.id });
    }
  };
  return (
    <p className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1 pt-5 text-soft">
      <Select
        look="word"
        label="Conduit"
        value={`${habit.conduit.type} ${habit.conduit.size}`}
        options={conduits.map(({ type, size, name }) => ({
          value: `${type} ${size}`,
          label: name,
        }))}
        onChange={chooseConduit}
      />
      on
      <Select
        look="word"
        label="Bender"
        value={habit.bender}
        options={fitting.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(bender) => use({ ...habit, bender })}
      />
      in
      <Select
        look="word"
        label="Units"
        value={sentence.units}
        options={[
          { value: "in", label: "inches" },
          { value: "mm", label: "millimetres" },
        ]}
        onChange={(units) => changeUnits(units as Units)}
      />
    </p>
  );
}
