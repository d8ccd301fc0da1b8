// What a person can change of a job's stock, as functions from document to document.
import type { Schemas } from "@/api/client";

export type StockDocument = Schemas["JobstockDocument"];
export type Offcut = NonNullable<StockDocument["offcuts"]>[number];
type Conduit = { readonly type: string; readonly size: string };
type Change = (stock: StockDocument) => StockDocument;

export function addOffcut(offcut: Offcut): Change {
  return (stock) => ({ ...stock, offcuts: [...(stock.offcuts ?? []), offcut] });
}

export function removeOffcut(at: number): Change {
  return (stock) => ({ ...stock, offcuts: (stock.offcuts ?? []).toSpliced(at, 1) });
}

/** How many of something lie there, by its name on the list of materials; 0: none. */
export function setInHand(what: string, count: number): Change {
  return ({ things = [], ...stock }) => {
    const others = things.filter((thing) => thing.what !== what);
    return { ...stock, things: count > 0 ? [...others, { what, count }] : others };
  };
}

/** What each cut takes: of a wheel cutter nothing, of a saw the usual. */
export function cutWith(saw: "saw" | "wheel"): Change {
  return ({ kerf: _, ...stock }) => (saw === "wheel" ? { ...stock, kerf: "0" } : stock);
}

/** A piece is put to those of another bar; what any of them was put to before is let go. */
export function putTogether(of: Conduit, names: readonly string[]): Change {
  return (stock) => {
    const others = (stock.together ?? []).filter(
      (each) => !isOf(of)(each) || !each.names.some((name) => names.includes(name)),
    );
    return { ...stock, together: [...others, { ...of, names: [...names] }] };
  };
}

/** The pieces of a conduit are cut as is best again. */
export function asIsBest(of: Conduit): Change {
  return ({ together = [], ...stock }) => {
    const others = together.filter((each) => !isOf(of)(each));
    return others.length > 0 ? { ...stock, together: others } : stock;
  };
}

export function isOf(conduit: Conduit): (each: Conduit) => boolean {
  return ({ type, size }) => type === conduit.type && size === conduit.size;
}
