// A conduit of the catalogue and a bender that takes it, as words of a sentence.
import { useCatalogue } from "@/api/queries";
import { sameConduit, takes } from "@/model/conduit";
import { Select } from "@/ui/Select";

type BentFrom = { conduit: { type: string; size: string }; bender: string };

type Props = BentFrom & { use: (next: BentFrom) => void };

export function ConduitOnBender({ conduit, bender, use }: Props) {
  const catalogue = useCatalogue().data;
  const benders = catalogue?.benders ?? [];
  const conduits = (catalogue?.conduit ?? []).filter((each) =>
    benders.some((one) => takes(one, each)),
  );
  const chooseConduit = (value: string) => {
    const wanted = conduits.find(({ type, size }) => `${type} ${size}` === value);
    const fitting = benders.filter((each) => wanted && takes(each, wanted));
    // The bender stays where it takes the new conduit too.
    const next = fitting.find(({ id }) => id === bender) ?? fitting[0];
    if (wanted && next) {
      use({ conduit: { type: wanted.type, size: wanted.size }, bender: next.id });
    }
  };
  return (
    <>
      <Select
        look="word"
        label="Conduit"
        value={
          conduits.some((each) => sameConduit(each, conduit))
            ? `${conduit.type} ${conduit.size}`
            : ""
        }
        options={conduits.map(({ type, size, name }) => ({
          value: `${type} ${size}`,
          label: name,
        }))}
        onChange={chooseConduit}
      />{" "}
      on{" "}
      <Select
        look="word"
        label="Bender"
        value={bender}
        options={benders
          .filter((each) => takes(each, conduit))
          .map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(next) => use({ conduit, bender: next })}
      />
    </>
  );
}
