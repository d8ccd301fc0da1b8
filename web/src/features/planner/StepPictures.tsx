// One bend at a time, large: the piece as it belongs on the wall, beside it as it lies in the bender.
import type { Order } from "@/api/planning";
import { OnWall } from "@/drawing/HalfBent";
import { InBender } from "@/drawing/InBender";
import { Shape } from "@/drawing/Shape";
import { usePlanner } from "@/state/PlannerContext";
import { useHandling } from "@/state/useHandling";
import { useShownPiece } from "@/state/usePieces";
import { IconButton } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { ordinal } from "@/ui/ordinal";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

const GAP = 12;
const SIDE = 16;
const WORDS = 176;
/** Of the room: what the piece on the wall takes; the bender takes the rest. */
const WALL = 0.4;
/** Where the room is at least so wide for its height, the pictures stand beside each other. */
const WIDE = 1.1;

/** The pictures; the shape itself where there is nothing to bend, or it can't be made. */
export function StepPictures() {
  const { order } = useHandling();
  return order ? <Pictures order={order} /> : <Shape both={false} />;
}

function Pictures({ order }: { order: Order }) {
  const { plan, bendsBefore } = useShownPiece();
  const { old } = useHandling();
  const steps = usePlanner((state) => state.steps);
  const showSteps = usePlanner((state) => state.showSteps);
  const point = usePlanner((state) => state.point);
  const [frame, room] = useSize<HTMLDivElement>();
  const at = Math.max(
    order.bends.findIndex(({ bend }) => bend === steps?.bend),
    0,
  );
  const bend = order.bends[at];
  const step = order.steps.find(({ number }) => number === bend?.step);
  const beside = room.width > (room.height - WORDS) * WIDE;
  const wide = room.width - 2 * SIDE - GAP;
  const high = room.height - WORDS;
  const size = beside
    ? { width: wide * WALL, height: high }
    : { width: room.width - 2 * SIDE, height: (high - GAP) * WALL };
  const large = beside
    ? { width: wide * (1 - WALL), height: high }
    : { width: room.width - 2 * SIDE, height: (high - GAP) * (1 - WALL) };
  const go = (to: number) => {
    const next = order.bends[to]?.bend;
    if (next !== undefined && steps) {
      showSteps({ ...steps, bend: next });
      point(bendsBefore + next);
    }
  };
  return (
    <div ref={frame} className="flex h-full flex-col overflow-hidden" data-step-pictures>
      {plan && bend && step && size.width > 0 && size.height > 0 ? (
        <>
          <div className="flex items-center gap-2 px-4 pt-2">
            <IconButton
              label={say("The bend before")}
              disabled={at === 0}
              onClick={() => go(at - 1)}
            >
              <Icon name="back" />
            </IconButton>
            <h2 className="font-semibold">
              {sayWith("Bend {bend} {inWords}", {
                bend: bend.bend + 1,
                inWords: (
                  <span className="font-normal text-soft">
                    {say("{inWords} of {bends}", {
                      inWords: inWords(at + 1),
                      bends: order.bends.length,
                    })}
                  </span>
                ),
              })}
            </h2>
            <IconButton
              label={say("The next bend")}
              disabled={at === order.bends.length - 1}
              onClick={() => go(at + 1)}
            >
              <Icon name="next" />
            </IconButton>
          </div>
          <div
            className={classes(
              "grid gap-3 px-4 pt-1",
              beside && "grid-cols-[2fr_3fr]",
              old && "opacity-60",
            )}
          >
            <figure>
              <figcaption className="pb-1 text-sm text-soft">
                {say("On the wall, seen from the front")}
              </figcaption>
              <OnWall bend={bend} plan={plan} size={size} />
            </figure>
            <figure>
              <figcaption className="pb-1 text-sm text-soft">
                {say("In the bender, hook to the right")}
              </figcaption>
              <InBender
                bend={bend}
                plan={plan}
                mark={plan.marking === "flat" ? order.marks[bend.bend]?.text : undefined}
                size={large}
              />
            </figure>
          </div>
          <p className="px-4 pt-2 text-sm">
            <Figures text={step.do} />
          </p>
          {bend.meets.map(({ what, text }) => (
            <p key={what} className="mx-4 mt-1.5 border-l-3 border-amber pl-2.5 text-sm">
              {text} {bend.helps[0]}
            </p>
          ))}
        </>
      ) : null}
    </div>
  );
}

const ORDINALS = ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"];

function inWords(place: number): string {
  return ORDINALS[place - 1] ?? ordinal(place);
}
