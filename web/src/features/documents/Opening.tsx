// A saved document on its way to its screen: asked for once, with what was left of it unsaved.
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import type { Draft, Target } from "@/model/draft";
import { LoadingScreen } from "@/ui/LoadingScreen";

/** What was left unsaved of a document, and the tabs that are open. */
export type LeftUnsaved = {
  readonly drafts: readonly Draft[];
  readonly tabs: ReadonlySet<string>;
};

type Props<T> = {
  of: Pick<Target, "kind" | "id">;
  /** What a person calls it. */
  what: string;
  queryKey: readonly unknown[];
  load: () => Promise<T>;
  children: (loaded: T, unsaved: LeftUnsaved) => ReactNode;
};

export function Opening<T>({ of, what, queryKey, load, children }: Props<T>) {
  const query = useQuery({
    queryKey,
    queryFn: load,
    // The screen holds it from here on; opening it again asks again.
    gcTime: 0,
    staleTime: Infinity,
  });
  const unsaved = useDraftsOf(of.kind, of.id);
  if (query.isError) {
    return <CouldNotOpen error={query.error} again={() => void query.refetch()} />;
  }
  if (query.isPending || !unsaved) {
    return <LoadingScreen what={`Opening ${what}`} />;
  }
  return children(query.data, unsaved);
}
