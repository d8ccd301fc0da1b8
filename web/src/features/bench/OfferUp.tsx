// The last step: how each leg will lie, what to do about it, and whether the piece fits.
import type { BenchFit, BenchPlan } from "@/api/bench";
import { NO_LEG } from "@/model/bench";
import { Button } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { HoldButton } from "@/ui/HoldButton";
import { ScrollArea } from "@/ui/ScrollArea";
import { Headline } from "@/ui/Verdict";
import { say, sayOf } from "@/words/say";
import { CouldBecome } from "./CouldBecome";

const VERDICTS = {
  fits: { stands: "fits", word: say("It comes to lie as planned") },
  gives: { stands: "spare", word: say("It fits, and gives way somewhere") },
  scrap: { stands: "full", word: say("It does not come to lie as planned") },
} as const;

/** What a bench's answer says of the fit, whichever of the two it is. */
type Fit = Pick<BenchFit, "verdict" | "told">;

export function Verdict({ fit }: { fit: Fit }) {
  const { stands, word } = VERDICTS[fit.verdict];
  return (
    <div role="status" data-verdict={fit.verdict}>
      <p className="text-xl">
        <Headline stands={stands} word={word} />
      </p>
      <ul className="grid gap-1 pt-2">
        {fit.told.map((text) => (
          <li key={text}>
            <Figures text={text} />
          </li>
        ))}
      </ul>
    </div>
  );
}

type Props = {
  plan: BenchPlan;
  runId: number;
  held: number;
  hold: (leg: number) => void;
  anew: () => void;
  /** What the crew's own bender was told; null where it is none. */
  telling: { name: string; bends: number; refused: boolean } | null;
};

export function OfferUp({ plan, runId, held, hold, anew, telling }: Props) {
  return (
    <ScrollArea
      as="main"
      label={say("Offer it up")}
      className="relative min-h-0 flex-1 overflow-auto px-4 py-4 desk:px-7"
    >
      <div className="mx-auto grid max-w-3xl gap-4 text-lg">
        <h2 className="text-2xl font-semibold">{say("Offer it up")}</h2>
        <Verdict fit={plan} />
        {plan.verdict === "scrap" ? <CouldBecome fit={plan} runId={runId} /> : null}
        <Legs plan={plan} held={held} hold={hold} />
        <p className="text-soft">
          {say(
            "With the clips off it lies off the wall by what they will pull in; offer it up at both ends before any is fixed.",
          )}
        </p>
        <p className="border-t border-line pt-3 text-base text-soft">{benderSentence(telling)}</p>
        <HoldButton className="min-h-12 justify-self-start px-4" onHeld={anew}>
          {say("Hold to begin another like it")}
        </HoldButton>
      </div>
    </ScrollArea>
  );
}

function benderSentence(telling: Props["telling"]): string {
  if (!telling) {
    return say(
      "This bender is none of the crew's own, and learns nothing. One that is kept learns from every bend that was measured.",
    );
  }
  if (telling.refused) {
    return say("{name} took no readings: they can't be of one bender. Look at them once more.", {
      name: telling.name,
    });
  }
  return telling.bends === 0
    ? say("Nothing was measured: {name} has learnt nothing of this piece.", { name: telling.name })
    : sayOf(
        telling.bends,
        "{name} has learnt from {bends} bend of this piece.",
        "{name} has learnt from {bends} bends of this piece.",
        { name: telling.name, bends: telling.bends },
      );
}

type LegsProps = { plan: BenchPlan; held: number; hold: (leg: number) => void };

/** How far each leg comes to lie off, and the one that somebody wants to hold. */
export function Legs({ plan, held, hold }: LegsProps) {
  const legs = plan.legs.filter(({ matters }) => matters);
  return (
    <ul
      aria-label={say("How its legs come to lie")}
      className="divide-y divide-line border-y border-line"
    >
      {legs.map(({ leg, name, off_text, holds }) => (
        <li key={leg} className="flex min-h-11 items-center gap-3">
          <span className="flex-1">{name}</span>
          <span className={holds ? "text-moss" : "font-semibold text-amber"}>
            {holds ? (
              say("where it was to be")
            ) : (
              <Figures text={say("{off} off", { off: off_text })} />
            )}
          </span>
          <Button
            weight="quiet"
            className="px-2 text-sm"
            aria-pressed={held === leg}
            onClick={() => hold(held === leg ? NO_LEG : leg)}
          >
            {held === leg ? say("Held") : say("Hold")}
          </Button>
        </li>
      ))}
    </ul>
  );
}
