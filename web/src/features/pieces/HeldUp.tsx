// What holds the run up, by whose rule, and what to bring for all of it.
import { memo } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { WordField } from "@/features/walk/fields";
import { legsOf } from "@/kinds/legs";
import { walkOf } from "@/model/document";
import { setUpright } from "@/model/joints";
import { term, wordFor } from "@/model/wording";
import { useOfJob, usePlanner } from "@/state/PlannerContext";
import { Figures } from "@/ui/Figures";
import { Reading } from "@/ui/Reading";
import { say, sayOf } from "@/words/say";
import { sayWith } from "@/words/sayWith";

export const HeldUp = memo(function HeldUp({ made }: { made: PiecesOfRun }) {
  const { supports, materials } = made;
  const strap = wordFor(term("strap"), useOfJob().language);
  if (!supports) {
    return null;
  }
  const count = supports.straps.length;
  return (
    <div className="grid gap-x-6 px-4 pt-4 desk:grid-cols-2">
      <section>
        <h2 className="pb-1 text-sm font-semibold text-soft">{say("Held up")}</h2>
        <p className="text-sm">
          {sayWith(
            "{count}: the first within {first} of every end, then {spacing} from one to the next.",
            {
              count: (
                <span className="font-semibold">
                  {sayOf(count, "{count} {strap}", "{count} {strap}s", { count, strap })}
                </span>
              ),
              first: <Reading text={supports.first_text} />,
              spacing: <Reading text={supports.spacing_text} />,
            },
          )}
        </p>
        {supports.upright_text ? <Upright text={supports.upright_text} /> : null}
        <ol className="flex flex-wrap gap-x-3 pt-1 text-sm">
          {supports.straps.map((strap) => (
            <li key={strap.number} data-strap={strap.number}>
              <span className="text-soft">{say("leg {leg} at", { leg: strap.leg })}</span>{" "}
              <span className="font-semibold">
                <Reading text={strap.at_text} />
              </span>
            </li>
          ))}
        </ol>
        <p className="pt-1 text-xs text-soft">
          {say("{rule}: {source}. Local code decides.", {
            rule: supports.law ? say("Law") : say("Habit, not law"),
            source: supports.source,
          })}
        </p>
      </section>
      <section>
        <h2 className="pb-1 text-sm font-semibold text-soft">{say("To bring")}</h2>
        <ul className="text-sm">
          {materials.map(({ what, count: many }) => (
            <li key={what} className="flex gap-2" data-material>
              <span className="w-6 text-right font-semibold">{many}</span>
              <span>
                <Figures text={what} />
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
});

const STANDS = { across: say("lies across"), upright: say("stands upright") } as const;

/** Which legs stand upright, where the rule holds those up further apart. */
function Upright({ text }: { text: string }) {
  const legs = usePlanner((state) => legsOf(walkOf(state.history.present)));
  const upright = usePlanner((state) => state.history.present.joints?.upright ?? NONE);
  const change = usePlanner((state) => state.change);
  return (
    <p className="pt-1 text-sm">
      <span className="text-soft">
        {sayWith("Upright {text} do.", { text: <Reading text={text} /> })}{" "}
      </span>
      {Array.from({ length: legs }, (_, at) => at + 1).map((leg) => (
        <span key={leg} className="mr-2 whitespace-nowrap">
          {sayWith("leg {leg} {runs}", {
            leg,
            runs: (
              <WordField
                label={say("How leg {leg} runs", { leg })}
                value={upright.includes(leg) ? "upright" : "across"}
                words={STANDS}
                onChange={(runs) => change(setUpright(leg, runs === "upright"))}
              />
            ),
          })}
        </span>
      ))}
    </p>
  );
}

const NONE: readonly number[] = [];
