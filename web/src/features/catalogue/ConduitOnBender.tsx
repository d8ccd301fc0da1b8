// A conduit of the catalogue and a bender that takes it, as words of a sentence.
import { useCatalogue } from "@/api/queries";
import type { KeptBender } from "@/model/benders";
import { sameConduit, takes } from "@/model/conduit";
import { sameDocument } from "@/model/sameDocument";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Own = KeptBender["own"];

type Props<B extends string | Own> = {
  conduit: { type: string; size: string };
  bender: B;
  /** The crew's own, where one can be taken. */
  kept?: readonly KeptBender[];
  use: (next: { conduit: { type: string; size: string }; bender: B }) => void;
};

export function ConduitOnBender<B extends string | Own>(props: Props<B>) {
  const { conduit, bender, kept = [], use } = props;
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
      use({ conduit: { type: wanted.type, size: wanted.size }, bender: next.id as B });
    }
  };
  const asKept = kept.find(({ own }) => sameDocument(own, bender));
  return (
    <>
      {sayWith("{conduit} on {bender}", {
        conduit: (
          <Select
            look="word"
            label={say("Conduit")}
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
          />
        ),
        bender: (
          <Select
            look="word"
            label={say("Bender")}
            value={asKept ? asKept.id : typeof bender === "string" ? bender : OWN}
            options={[
              ...benders
                .filter((each) => takes(each, conduit))
                .map(({ id, name }) => ({ value: id, label: name })),
              ...kept.map(({ id, name }) => ({ value: id, label: name, hint: say("yours") })),
              ...(typeof bender === "string" || asKept
                ? []
                : [{ value: OWN, label: bender.name ?? say("own bender") }]),
            ]}
            onChange={(value) => {
              const own = kept.find(({ id }) => id === value)?.own;
              if (value !== OWN) {
                use({ conduit, bender: (own ?? value) as B });
              }
            }}
          />
        ),
      })}
    </>
  );
}

/** A bender of one's own that the crew does not keep. */
const OWN = "own";
