// A check's screen: what is there at the left, the answer at the right; one below the other on a phone.
import type { ReactNode } from "react";
import { ScrollArea } from "@/ui/ScrollArea";
import { say } from "@/words/say";

type Props = {
  old: boolean;
  form: ReactNode;
  /** The answer in a few words: on a phone it stays in sight while numbers are typed. */
  brief: ReactNode;
  children: ReactNode;
};

export function SplitPane({ old, form, brief, children }: Props) {
  return (
    <div className="grid gap-x-8 p-4 desk:h-full desk:grid-cols-[25rem_minmax(0,1fr)] desk:p-0">
      <div
        aria-hidden="true"
        data-brief
        className={`sticky top-0 z-10 -mx-4 -mt-4 mb-4 min-h-11 content-center border-b border-line bg-paper px-4 py-2 desk:hidden ${old ? "opacity-50" : ""}`}
      >
        {brief}
      </div>
      <div className="relative grid grid-cols-1 content-start gap-4 desk:overflow-auto desk:border-r desk:border-line desk:bg-paper desk:p-5">
        {form}
      </div>
      <ScrollArea
        label={say("The answer")}
        className={`grid min-w-0 content-start gap-5 py-5 desk:overflow-auto desk:pr-6 ${old ? "opacity-50" : ""}`}
      >
        {children}
      </ScrollArea>
    </div>
  );
}
