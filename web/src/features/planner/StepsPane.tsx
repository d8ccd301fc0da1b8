// The work in order: each step with its two pictures, what the half-bent pipe meets, and what helps.
import { memo } from "react";
import type { Order } from "@/api/planning";
import { OnWall } from "@/drawing/HalfBent";
import { InBender } from "@/drawing/InBender";
import { Findings } from "@/features/walk/Findings";
import { WordField } from "@/features/walk/fields";
import { placeWords, USUAL } from "@/kinds/placeWords";
import { type Place, setBendStance, takeOrder } from "@/model/commands";
import type { Plan } from "@/model/document";
import { useDocument, usePlanner } from "@/state/PlannerContext";
import { useHandling } from "@/state/useHandling";
import { useShownPiece } from "@/state/usePieces";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say, sayOf } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { sentence } from "@/words/text";
import { StanceLine } from "./StanceLine";

export const StepsPane = memo(function StepsPane() {
  const { plan, bendsBefore, before, after } = useShownPiece();
  const { orders, findings, order, takes, pending, old } = useHandling();
  const showSteps = usePlanner((state) => state.showSteps);
  const change = usePlanner((state) => state.change);
  if (!order || !plan) {
    return (
      <p className="px-4 py-2 text-soft">
        {pending
          ? say("Working out the order …")
          : say("No steps: there is nothing to bend, or the run can't be made as it is written.")}
      </p>
    );
  }
  const better = orders.find(({ chosen }) => chosen);
  return (
    <div className={old ? "opacity-60" : ""}>
      {orders.length > 1 ? (
        <div className="flex items-center gap-2 px-4 pb-2 text-sm">
          <span className="text-soft">{say("Begin at")}</span>
          <SegmentedControl
            label={say("Begin at")}
            value={order.name}
            options={orders.map(({ name }) => ({ value: name, label: SHORT[name] ?? name }))}
            onChange={(name) => showSteps({ order: name, bend: null })}
          />
        </div>
      ) : null}
      <StanceLine takes={takes} />
      <div className="px-4">
        <Findings findings={findings} />
      </div>
      <p className="px-4 pb-2 text-sm text-soft">
        <Figures text={order.reason} /> {inAll(order).join(", ")}.{" "}
        {order.taken && better && better !== order
          ? say("{name} costs less.", { name: sentence(better.name) })
          : null}
      </p>
      {order.taken ? null : (
        <div
          role="status"
          className="mx-4 mb-2 border-l-3 border-amber bg-amber-soft px-2.5 py-1.5 text-sm text-ink"
        >
          <p className="pb-1.5">
            {say(
              "This order has marks of its own: those in its first step, not the ones on the stick.",
            )}
          </p>
          <Button
            onClick={() => {
              change(takeOrder(order.chosen ? undefined : order.value));
              showSteps({ order: "", bend: null });
            }}
          >
            {say("Bend it in this order")}
          </Button>
        </div>
      )}
      <ol>
        <Others steps={before} />
        {order.steps.map((step) => (
          <Step
            key={step.number}
            step={step}
            order={order}
            plan={plan}
            takes={takes}
            before={bendsBefore}
          />
        ))}
        <Others steps={after} />
      </ol>
    </div>
  );
});

/** What is done to a piece besides bending it: threads, and its joint. */
function Others({ steps }: { steps: Plan["steps"] }) {
  return steps.map((step) => (
    <li key={step.number} className="border-t border-line px-4 py-2">
      <p className="font-semibold">{step.title}</p>
      <p className="text-sm">
        <Figures text={step.do} />
      </p>
      <p className="text-sm text-soft">
        {sayWith("Check: {check}", { check: <Figures text={step.check} /> })}
      </p>
      <p className="mt-1 text-xs text-soft">{step.caution}</p>
    </li>
  ));
}

const SHORT: Readonly<Record<string, string>> = {
  "from the start": say("Start"),
  "from the end": say("End"),
  "from both ends": say("Both"),
  "as marked": say("As marked"),
};

const SMALL = { width: 160, height: 150 };

type StepProps = {
  step: Order["steps"][number];
  order: Order;
  plan: Plan;
  takes: readonly Place[];
  /** How many bends of the run come before this piece's. */
  before: number;
};

/** Drawn again where it is shown large, or no longer: turning over the pages leaves the others. */
const Step = memo(function Step({ step, order, plan, takes, before }: StepProps) {
  const point = usePlanner((state) => state.point);
  const wanted = usePlanner(({ steps }) => steps?.order ?? "");
  const showSteps = usePlanner((state) => state.showSteps);
  const bend = order.bends.find((each) => each.step === step.number);
  const shown = usePlanner(
    ({ steps }) => bend !== undefined && (steps?.bend ?? order.bends[0]?.bend) === bend.bend,
  );
  return (
    <li
      data-step={step.number}
      onPointerEnter={() => point(bend ? before + bend.bend : null)}
      onPointerLeave={() => point(null)}
      className={classes("border-t border-line px-4 py-2", shown && "bg-accent-soft")}
    >
      <div className="flex items-center justify-between">
        <p className="font-semibold">
          {step.number}. {step.title}
        </p>
        {bend && !shown ? (
          <Button
            weight="quiet"
            className="px-2 text-sm max-desk:hidden"
            aria-label={say("Show {title} large", { title: step.title })}
            onClick={() => showSteps({ order: wanted, bend: bend.bend })}
          >
            {say("Show")}
          </Button>
        ) : null}
      </div>
      <p className="text-sm">
        <Figures text={step.do} />
      </p>
      <p className="text-sm text-soft">
        {sayWith("Check: {check}", { check: <Figures text={step.check} /> })}
      </p>
      {bend && takes.length > 1 ? <BendStance bend={bend.bend} takes={takes} /> : null}
      {bend ? <SmallPictures bend={bend} plan={plan} mark={order.marks[bend.bend]?.text} /> : null}
      {bend?.meets.map((collision) => (
        <div
          key={collision.what}
          data-meets={collision.what}
          className="mt-1.5 border-l-3 border-amber pl-2.5 text-sm"
        >
          <p>
            <Figures text={collision.text} />
          </p>
        </div>
      ))}
      {bend && bend.helps.length > 0 ? (
        <ul className="mt-1 list-disc pl-7 text-sm text-soft">
          {bend.helps.map((help) => (
            <li key={help}>{help}</li>
          ))}
        </ul>
      ) : null}
      <p className="mt-1 text-xs text-soft">{step.caution}</p>
    </li>
  );
});

type Pictured = { bend: Order["bends"][number]; plan: Plan; mark: string | undefined };

/** For a phone, where the large ones have no room beside the steps. */
const SmallPictures = memo(function SmallPictures({ bend, plan, mark }: Pictured) {
  return (
    <div className="mt-1 grid grid-cols-2 gap-2 text-xs text-soft desk:hidden">
      <figure>
        <OnWall bend={bend} plan={plan} size={SMALL} />
        <figcaption>{say("On the wall, from the front")}</figcaption>
      </figure>
      <figure>
        <InBender bend={bend} plan={plan} mark={mark} size={SMALL} />
        <figcaption>{say("In the bender, hook right")}</figcaption>
      </figure>
    </div>
  );
});

/** Where one bend is made, where that is not as the rest of the piece. */
function BendStance({ bend, takes }: { bend: number; takes: readonly Place[] }) {
  const place = useDocument().stances?.find((each) => each.bend === bend)?.place ?? USUAL;
  const change = usePlanner((state) => state.change);
  return (
    <p className="text-sm text-soft">
      {sayWith("Made {place}", {
        place: (
          <WordField
            label={say("Where bend {bend} is made", { bend: bend + 1 })}
            value={place}
            words={placeWords(say("as usual"), takes, place)}
            onChange={(next) => change(setBendStance(bend, next === USUAL ? undefined : next))}
          />
        ),
      })}
    </p>
  );
}

/** What an order asks for besides bending. */
function inAll({ turns, flips, changes }: Order): string[] {
  return [
    sayOf(turns, "{turns} turn", "{turns} turns", { turns }),
    sayOf(flips, "{flips} flip end for end", "{flips} flips end for end", { flips }),
    ...(changes > 0
      ? [sayOf(changes, "{changes} change of stance", "{changes} changes of stance", { changes })]
      : []),
  ];
}
