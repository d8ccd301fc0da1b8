// A bend that came out different and can be mended: what to do to it, before anything else.
import type { BenchPlan } from "@/api/bench";
import { Figures } from "@/ui/Figures";
import { ScrollArea } from "@/ui/ScrollArea";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { Verdict } from "./OfferUp";

export type Mend = BenchPlan["mend"][number];

const TITLES: Record<Mend["how"], string> = {
  "bend-on": say("Bend it on"),
  open: say("Open it"),
  "press-flat": say("Press it flat"),
};

/** What is done, and to what, in a line. */
export function MendLine({ mend }: { mend: Mend }) {
  return (
    <p className="text-3xl leading-tight font-bold desk:text-5xl" data-mend={mend.how}>
      {TITLES[mend.how]}
      {mend.how === "bend-on"
        ? sayWith(": to {bendTo} on the scale", {
            bendTo: <span className="text-accent">{mend.bend_to_text}</span>,
          })
        : null}
      {mend.how === "open"
        ? sayWith(": to {to} between the legs", {
            to: <span className="text-accent">{degrees(mend.to)}</span>,
          })
        : null}
    </p>
  );
}

export function MendStep({ plan, mend }: { plan: BenchPlan; mend: Mend }) {
  return (
    <ScrollArea
      as="main"
      label={say("Mend it first")}
      className="relative min-h-0 flex-1 overflow-auto px-4 py-4 desk:px-7"
    >
      <div className="mx-auto grid max-w-3xl gap-5 pt-4 text-xl desk:pt-12">
        <h2 className="text-lg text-soft">
          {say("Bend {bend}, before anything else", { bend: mend.bend + 1 })}
        </h2>
        <MendLine mend={mend} />
        <p className="leading-snug">
          <Figures text={mend.told} />
        </p>
        <div className="border-t border-line pt-4 text-lg">
          <p className="pb-2 text-soft">{say("Once that is done:")}</p>
          <Verdict fit={plan} />
        </div>
      </div>
    </ScrollArea>
  );
}

function degrees(angle: number): string {
  return `${Number(angle.toFixed(1))}°`;
}
