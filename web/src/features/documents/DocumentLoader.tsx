// A saved document on its way to its screen: asked for once, with what was left of it unsaved.
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { kindOf } from "@/documents/registry";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import type { LeftUnsaved, Target } from "@/model/draft";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { say } from "@/words/say";

type Props<T> = {
  of: Pick<Target, "kind" | "id">;
  queryKey: readonly unknown[];
  load: () => Promise<T>;
  children: (loaded: T, unsaved: LeftUnsaved) => ReactNode;
};

export function DocumentLoader<T>({ of, queryKey, load, children }: Props<T>) {
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
    return <LoadingScreen what={say("Opening {called}", { called: kindOf(of.kind).called })} />;
  }
  return children(query.data, unsaved);
}
