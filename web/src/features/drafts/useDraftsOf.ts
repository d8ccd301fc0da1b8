// The unsaved drafts of one thing, looked up once when it is opened.
import { useQuery } from "@tanstack/react-query";
import type { Target } from "@/model/draft";
import { takeOver } from "@/model/drafts";
import { openTabs, tabName } from "@/model/tab";
import { useMemberName } from "./useMemberName";

export function useDraftsOf(kind: Target["kind"], id: string) {
  const member = useMemberName();
  return useQuery({
    queryKey: ["drafts", member, kind, id],
    queryFn: async () => {
      const open = await openTabs();
      // A browser that keeps nothing has no drafts.
      const drafts = await takeOver(member, { kind, id }, open).catch(() => []);
      const tabs = new Set(open);
      tabs.delete(tabName());
      return { drafts, tabs };
    },
    gcTime: 0,
    staleTime: Infinity,
    networkMode: "always",
  }).data;
}
