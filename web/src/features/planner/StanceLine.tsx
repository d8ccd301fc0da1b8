// Where the bender is worked, in a sentence: what the half-bent pipe may meet there.

import { InlineField, WordField } from "@/features/walk/fields";
import { placeWords, USUAL } from "@/kinds/placeWords";
import { type Place, setStance } from "@/model/commands";
import { useDocument, usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

export function StanceLine({ takes }: { takes: readonly Place[] }) {
  const stance = useDocument().stance;
  const change = usePlanner((state) => state.change);
  const now = stance?.place ?? USUAL;
  return (
    <p className="flex flex-wrap items-baseline gap-x-1.5 px-4 pb-2 text-sm text-soft">
      {sayWith("Bent {now}{pipe}, handle {handle} long", {
        now: (
          <WordField
            label={say("Where it is bent")}
            value={now}
            words={placeWords(say("where a good hand would"), takes, now)}
            onChange={(next) =>
              change(setStance({ place: next === USUAL ? undefined : next, height: undefined }))
            }
          />
        ),
        pipe:
          now === "stand" || now === "bench" || now === "blocks"
            ? sayWith(", pipe {height} high", {
                height: (
                  <InlineField
                    path="stance.height"
                    label={say("How high the pipe lies over the floor")}
                    value={stance?.height}
                    placeholder={say("usual")}
                    onChange={(height, burst) =>
                      change(setStance({ height: height || undefined }), burst)
                    }
                  />
                ),
              })
            : null,
        handle: (
          <InlineField
            path="stance.handle"
            label={say("How far the handle reaches from the shoe")}
            value={stance?.handle}
            placeholder={say("usual")}
            onChange={(handle, burst) => change(setStance({ handle: handle || undefined }), burst)}
          />
        ),
      })}
    </p>
  );
}
