// How a threaded run is got in: how its ends are held, what closes it, what each way takes.
import { memo } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { takeClosing } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";
import { EndHeld } from "./EndHeld";
import { StandsNear } from "./StandsNear";

export const GettingIn = memo(function GettingIn({ made }: { made: PiecesOfRun }) {
  const change = usePlanner((state) => state.change);
  return (
    <section className="px-4 pt-4" aria-label={say("Getting it in")}>
      <h2 className="pb-1 text-sm font-semibold text-soft">{say("Getting it in")}</h2>
      <p className="flex flex-wrap items-baseline gap-x-4 pb-1">
        {(["start", "end"] as const).map((end) => (
          <span key={end} className="flex items-baseline gap-x-1.5">
            <span className="text-soft">{end === "start" ? say("The start") : say("the end")}</span>
            <EndHeld end={end} />
          </span>
        ))}
      </p>
      <StandsNear />
      <ul>
        {made.ways_in.map((way) => (
          <li
            key={`${way.by} ${way.at} ${way.more}`}
            data-way-in={way.by}
            className={classes(
              "grid grid-cols-[1fr_auto_auto] items-baseline gap-x-3 border-t border-line px-2 py-1.5 text-sm",
              way.taken && "bg-accent-soft",
            )}
          >
            <span className={classes("first-letter:uppercase", way.works && "font-semibold")}>
              {way.name}
            </span>
            <span className="text-right text-soft">
              {way.works ? say("{minutes} min", { minutes: way.minutes }) : say("does not go")}
            </span>
            <span className="w-16 text-right">
              {way.taken ? (
                say("taken")
              ) : (
                <Button
                  className="px-2 text-sm"
                  onClick={() =>
                    change(takeClosing({ by: way.by as "union", at: way.at }, way.places))
                  }
                >
                  {say("Take")}
                </Button>
              )}
            </span>
            {way.taken || !way.works ? (
              <span className="col-span-2 text-soft">
                <Figures text={way.turned.join(" ")} />
              </span>
            ) : null}
          </li>
        ))}
      </ul>
      <p className="pt-1 text-xs text-soft">
        {say(
          "A turn is looked at against the surfaces that the run lies on, the things on its walk, its rack, the pipe that hangs already and what you say stands near. Minutes by working figures.",
        )}
      </p>
    </section>
  );
});
