// A check's screen: what is there at the left, the answer at the right; one below the other on a phone.
import type { ReactNode } from "react";
import { ScrollArea } from "@/ui/ScrollArea";

type Props = { old: boolean; form: ReactNode; children: ReactNode };

export function SplitPane({ old, form, children }: Props) {
  return (
    <div className="grid gap-x-8 p-4 desk:h-full desk:grid-cols-[25rem_minmax(0,1fr)] desk:p-0">
      <div className="grid content-start gap-4 desk:overflow-auto desk:border-r desk:border-line desk:bg-paper desk:p-5">
        {form}
      </div>
      <ScrollArea
        label="The answer"
        className={`grid min-w-0 content-start gap-5 py-5 desk:overflow-auto desk:pr-6 ${old ? "opacity-50" : ""}`}
      >
        {children}
      </ScrollArea>
    </div>
  );
}
