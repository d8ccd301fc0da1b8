// A saved document that is open on its screen: its store, and the document as it stands.
import { useMemo } from "react";
import { useStore } from "zustand";
import { useMemberName } from "@/features/drafts/useMemberName";
import type { Draft } from "@/model/draft";
import type { OpenDocument } from "@/model/savedDocuments";
import { type DocumentStore, openedStore } from "@/model/savedStore";

export type Opened<D> = OpenDocument<D, DocumentStore<D>>;

/** `rest`: what it is, and how it is saved. */
export function useOpened<D>(
  loaded: { readonly document: D; readonly version: number },
  drafts: readonly Draft[],
  rest: Pick<Opened<D>, "target" | "send" | "done">,
): { readonly each: Opened<D>; readonly document: D } {
  const member = useMemberName();
  // biome-ignore lint/correctness/useExhaustiveDependencies: opened once, with what there was then
  const each = useMemo(
    (): Opened<D> => ({ store: openedStore<D>(loaded, drafts), member, ...rest }),
    [loaded, member],
  );
  return { each, document: useStore(each.store, (state) => state.current()) };
}
