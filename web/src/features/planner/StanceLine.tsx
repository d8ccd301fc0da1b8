// Where the bender is worked, in a sentence: what the half-bent pipe may meet there.

import { InlineField, WordField } from "@/features/walk/fields";
import { placeWords, USUAL } from "@/kinds/placeWords";
import { type Place, setStance } from "@/model/commands";
import { useDocument, usePlanner } from "@/state/PlannerContext";

export function StanceLine({ takes }: { takes: readonly Place[] }) {
  const stance = useDocument().stance;
  const change = usePlanner((state) => state.change);
  const now = stance?.place ?? USUAL;
  return (
    <p className="flex flex-wrap items-baseline gap-x-1.5 px-4 pb-2 text-sm text-soft">
      Bent
      <WordField
        label="Where it is bent"
        value={now}
        words={placeWords("where a good hand would", takes, now)}
        onChange={(next) =>
          change(setStance({ place: next === USUAL ? undefined : next, height: undefined }))
        }
      />
      {now === "stand" || now === "bench" || now === "blocks" ? (
        <>
          , pipe
          <InlineField
            path="stance.height"
            label="How high the pipe lies over the floor"
            value={stance?.height}
            placeholder="usual"
            onChange={(height, burst) => change(setStance({ height: height || undefined }), burst)}
          />
          high
        </>
      ) : null}
      , handle
      <InlineField
        path="stance.handle"
        label="How far the handle reaches from the shoe"
        value={stance?.handle}
        placeholder="usual"
        onChange={(handle, burst) => change(setStance({ handle: handle || undefined }), burst)}
      />
      long
    </p>
  );
}
