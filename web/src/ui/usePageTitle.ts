// What the browser calls the tab: what is open, and by whom.
import { useEffect } from "react";
import { say } from "@/words/say";

export function usePageTitle(of: string): void {
  useEffect(() => {
    document.title = of ? say("{of} · Yarrow", { of }) : "Yarrow";
  }, [of]);
}
