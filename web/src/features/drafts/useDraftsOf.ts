// The unsaved drafts of one thing, looked up once when it is opened.
import { useQuery } from "@tanstack/react-query";
import type { Target } from "@/model/draft";
import { draftsOf } from "@/model/drafts";
import { openTabs, tabName } from "@/model/tab";
import { useMemberName } from "./useMemberName";

export function useDraftsOf(kind: Target["kind"], id: string) {
  const member = useMemberName();
  return useQuery({
    queryKey: ["drafts", member, kind, id],
    queryFn: async () => {
      // A browser that keeps nothing has no drafts.
      const drafts = await draftsOf(member, { kind, id }).catch(() => []);
      const tabs = new Set(await openTabs());
      tabs.delete(tabName());
      return { drafts, tabs };
    },
    gcTime: 0,
    staleTime: Infinity,
    networkMode: "always",
  }).data;
}
