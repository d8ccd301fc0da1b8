// What the browser calls the tab: what is open, and by whom.
import { useEffect } from "react";

export function usePageTitle(of: string): void {
  useEffect(() => {
    document.title = of ? `${of} · Yarrow` : "Yarrow";
  }, [of]);
}
