// One conduit of a job: its sticks to scale, what goes with them, and its offcuts in hand.
import type { CutsOfJob } from "@/api/stock";
import { asIsBest, isOf, type Offcut, putTogether, type StockDocument } from "@/model/stock";
import { Button } from "@/ui/Button";
import { say, sayOf } from "@/words/say";
import { CutBars } from "./CutBars";
import { Materials } from "./Materials";
import { Offcuts } from "./Offcuts";

type Props = {
  conduit: CutsOfJob["conduits"][number];
  stock: StockDocument;
  problems: ReadonlyMap<string, string>;
  change: (next: (stock: StockDocument) => StockDocument) => void;
  addOffcut: (offcut: Offcut) => Promise<string>;
};

export function CutConduit({ conduit, stock, problems, change, addOffcut }: Props) {
  const { name, type, size, cuts, left_out, materials } = conduit;
  const of = { type, size };
  const byHand = (stock.together ?? []).some(isOf(of));
  return (
    <section aria-label={name} className="mt-6 break-inside-avoid-page">
      <h2 className="text-lg font-bold">{name}</h2>
      {cuts ? (
        <CutBars cuts={cuts} together={(names) => change(putTogether(of, names))} />
      ) : (
        <p className="text-soft">{say("Nothing that can be cut yet.")}</p>
      )}
      {byHand ? (
        <p className="mt-1 flex flex-wrap items-baseline gap-x-2 text-sm print:hidden">
          <span>
            {say("Pieces are together as you put them. {cost}", {
              cost:
                cuts && cuts.moved > 0
                  ? sayOf(
                      cuts.moved,
                      "That costs a stick more.",
                      "That costs {moved} sticks more.",
                      { moved: cuts.moved },
                    )
                  : say("That costs no stick more."),
            })}
          </span>
          <Button weight="quiet" className="px-2 text-sm" onClick={() => change(asIsBest(of))}>
            {say("Cut them as is best")}
          </Button>
        </p>
      ) : null}
      {left_out.length > 0 ? (
        <p className="mt-1 border-l-3 border-amber bg-amber-soft px-3 py-1 text-sm">
          {say("Left out, as they can't be made as they are written: {leftOut}.", {
            leftOut: left_out.join(", "),
          })}
        </p>
      ) : null}
      {materials.length > 0 ? (
        <Materials
          title={say("And with them")}
          materials={materials}
          stock={stock}
          problems={problems}
          change={change}
        />
      ) : null}
      <Offcuts
        of={of}
        offcuts={stock.offcuts ?? []}
        problems={problems}
        change={change}
        add={addOffcut}
      />
    </section>
  );
}
