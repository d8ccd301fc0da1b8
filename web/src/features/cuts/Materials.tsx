// What goes with the sticks, as it stands in hand and as it is to be got; or what lies there unwanted.
import type { CutsOfJob } from "@/api/stock";
import { CountField } from "@/features/wires/CountField";
import { type StockDocument, setInHand } from "@/model/stock";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Props = {
  title: string;
  materials: CutsOfJob["spare"];
  stock: StockDocument;
  problems: ReadonlyMap<string, string>;
  change: (next: (stock: StockDocument) => StockDocument) => void;
};

export function Materials({ title, materials, stock, problems, change }: Props) {
  const things = stock.things ?? [];
  return (
    <>
      <h3 className="mt-3 text-sm font-semibold text-soft">{title}</h3>
      <ul className="max-w-xl text-sm">
        {materials.map(({ what, count, in_hand, to_get }) => {
          const at = things.findIndex((thing) => thing.what === what);
          const problem = problems.get(`things[${at}].count`);
          return (
            <li key={what} className="flex flex-wrap items-center gap-x-2 py-0.5">
              {count > 0 ? <span className="w-8 text-right font-semibold">{count}</span> : null}
              <span className="min-w-0 flex-1">
                <Figures text={what} />
              </span>
              <span className="flex items-center gap-x-1.5 print:hidden">
                <span className="text-soft">{say("in hand")}</span>
                <CountField
                  label={say("{what}: in hand", { what })}
                  value={things[at]?.count ?? 0}
                  least={0}
                  onChange={(next) => change(setInHand(what, next))}
                />
              </span>
              {count > 0 ? (
                <span className="w-20 text-right">
                  {to_get > 0 ? (
                    sayWith("get {toGet}", {
                      toGet: <span className="font-semibold">{to_get}</span>,
                    })
                  ) : (
                    <span className="text-soft">{say("all there")}</span>
                  )}
                </span>
              ) : null}
              <span className="hidden print:inline">
                {in_hand > 0 ? say("{inHand} in hand", { inHand: in_hand }) : ""}
              </span>
              {problem ? (
                <span role="alert" className="w-full text-right text-brick">
                  {say("Expected {expected}", { expected: problem })}
                </span>
              ) : null}
            </li>
          );
        })}
      </ul>
    </>
  );
}
