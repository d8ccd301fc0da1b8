// A saved document on its way to its screen: asked for once, with what was left of it unsaved.
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
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
  /** What else can be done where it can't be had; asked for again, where nothing is said. */
  failed?: () => void;
  children: (loaded: T, unsaved: LeftUnsaved) => ReactNode;
};

export function Opening<T>({ of, what, queryKey, load, failed, children }: Props<T>) {
  const query = useQuery({
    queryKey,
    queryFn: load,
    // The screen holds it from here on; opening it again asks again.
    gcTime: 0,
    staleTime: Infinity,
  });
  const unsaved = useDraftsOf(of.kind, of.id);
  if (query.isError) {
    const again = failed ?? (() => void query.refetch());
    return <LoadingScreen what={query.error.message} retry={again} />;
  }
  if (query.isPending || !unsaved) {
    return <LoadingScreen what={`Opening ${what}`} />;
  }
  return children(query.data, unsaved);
}
