// One step, to be read from two metres: the mark and the angle as large figures, the bender as it
// stands, what to turn and what to check.
import type { ReactNode } from "react";
import type { BenchPlan } from "@/api/bench";
import { InBender } from "@/drawing/InBender";
import { TapeOnPiece } from "@/drawing/TapeOnPiece";
import { foundMark, isOnBentPipe } from "@/model/document";
import { classes } from "@/ui/classes";
import { degrees } from "@/ui/degrees";
import { Figures } from "@/ui/Figures";
import { ScrollArea } from "@/ui/ScrollArea";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { BenchChecks } from "./BenchChecks";
import { GaugePanel, type Source } from "./gauge/GaugePanel";
import { LargeReading } from "./LargeReading";
import { MarkStep } from "./MarkStep";
import { OnTheBentPiece } from "./OnTheBentPiece";
import { Warming } from "./Warming";

type Step = BenchPlan["order"]["steps"][number];
type Props = {
  plan: BenchPlan;
  step: Step;
  old: boolean;
  gauge: { source: Source; setSource: (source: Source) => void };
  /** Keeps the angle that stayed in a bend. */
  keepAngle: (bend: number, angle: number) => void;
};

export function BenchStep({ plan, step, old, gauge, keepAngle }: Props) {
  const bend = plan.order.bends.find((each) => each.bend === step.bend);
  const toMark = plan.order.marks.filter(
    (mark) =>
      plan.planned.marking === "flat" || foundMark(plan.order.finding_marks, mark.bend)?.flat,
  );
  return (
    <ScrollArea
      as="main"
      label={say("This step")}
      className={classes(
        "relative min-h-0 flex-1 overflow-auto px-4 py-2 desk:px-7",
        bend && "grid content-start gap-3 desk:grid-cols-[23rem_minmax(0,1fr)] desk:gap-6",
        old && "opacity-60",
      )}
    >
      {bend ? (
        <BendStep plan={plan} step={step} bend={bend} gauge={gauge} keepAngle={keepAngle} />
      ) : (
        <div className="mx-auto grid max-w-4xl gap-4 pt-4 text-2xl desk:pt-6 desk:text-3xl">
          <h2 className="text-lg text-soft">{step.title}</h2>
          {step === plan.order.steps[0] && toMark.length > 0 ? (
            <MarkStep plan={plan} marks={toMark} />
          ) : (
            <p className="leading-snug font-semibold">
              <Figures text={step.do} />
            </p>
          )}
          <Rows step={step} />
        </div>
      )}
    </ScrollArea>
  );
}

type BendProps = Omit<Props, "old"> & { bend: BenchPlan["order"]["bends"][number] };

function BendStep({ plan, step, bend, gauge, keepAngle }: BendProps) {
  const [frame, room] = useSize<HTMLElement>();
  const mark = plan.order.marks.find((each) => each.bend === bend.bend);
  const found = foundMark(plan.order.finding_marks, bend.bend);
  const asYouGo = plan.planned.marking === "as-you-go" ? found : undefined;
  const was = plan.planned.marks.find((each) => each.bend === bend.bend)?.text;
  const work = plan.order.working.find((each) => each.bend === bend.bend);
  const checks = plan.before.find((each) => each.bend === bend.bend)?.checks ?? [];
  const warming = plan.warming.find((each) => each.bend === bend.bend);
  const stays = plan.bends[bend.bend]?.angle ?? 0;
  return (
    <>
      <div className="grid content-start gap-1 max-desk:contents">
        {mark ? (
          <p>
            <span className="text-lg text-soft">
              {asYouGo ? say("mark") : say("{name} on", { name: mark.name })}
            </span>
            <LargeReading text={asYouGo?.at_mark_text ?? mark.text} />
            {asYouGo ? (
              <span className="block text-xl font-semibold" data-where={asYouGo.on}>
                {asYouGo.where}
                <span className="block text-lg font-normal text-soft">
                  {say("{name} there", { name: mark.name })}
                </span>
              </span>
            ) : null}
            {mark.known_to_text && !asYouGo ? (
              <span className="block text-lg text-soft">
                {sayWith("± {knownTo}, as well as this bender is known", {
                  knownTo: <Figures text={mark.known_to_text} />,
                })}
              </span>
            ) : null}
            {was !== undefined && was !== mark.text && (!asYouGo || asYouGo.flat) ? (
              <span className="text-lg font-semibold text-amber" data-moved={was}>
                {sayWith("was {was}: mark it anew, rub that out", { was: <Figures text={was} /> })}
              </span>
            ) : null}
          </p>
        ) : null}
        {!asYouGo && isOnBentPipe(found) ? <OnTheBentPiece found={found} /> : null}
        {work?.gauge ? (
          <p>
            <span className="text-lg text-soft">{say("bend until")}</span>
            <span className="block text-3xl leading-tight font-bold text-accent" data-gauge>
              <Figures text={work.gauge} />
            </span>
            <span className="text-lg text-soft">
              {say("at about {bendTo} on the scale", { bendTo: work.bend_to_text })}
            </span>
          </p>
        ) : work ? (
          <p className="flex flex-wrap items-baseline gap-x-3 text-soft">
            <span className="text-lg">{say("bend to")}</span>
            <span className="text-6xl font-bold text-accent" data-bend-to>
              {work.bend_to_text}
            </span>
            <span className="text-lg">
              {say("stays at {stays}{clicks}", {
                stays: degrees(stays),
                clicks: work.clicks ? say(", {clicks} clicks", { clicks: work.clicks }) : "",
              })}
            </span>
          </p>
        ) : null}
      </div>
      <div className="min-w-0 desk:row-span-2">
        {asYouGo && bend.tape.tape.length > 0 && room.width > 0 ? (
          <figure className="min-w-0 pb-3" data-tape={asYouGo.on}>
            <TapeOnPiece
              bend={bend}
              found={asYouGo}
              plan={plan.planned}
              size={{ width: room.width, height: Math.min(room.width * 0.4, 210) }}
            />
            <figcaption className="pt-1 text-sm text-soft">
              {say("The piece as it is now, and the tape on it")}
            </figcaption>
          </figure>
        ) : null}
        <figure ref={frame} className="min-w-0">
          {room.width > 0 ? (
            <InBender
              bend={bend}
              plan={plan.planned}
              mark={asYouGo ? undefined : mark?.text}
              size={{
                width: room.width,
                height: Math.min(
                  room.width * 0.62,
                  !asYouGo && gauge.source === "none" ? 520 : 300,
                ),
              }}
            />
          ) : null}
          <figcaption className="pt-1 text-sm text-soft">
            {say("In the bender, hook to the right: toward the {hook} of the pipe", {
              hook: bend.hook,
            })}
          </figcaption>
        </figure>
        {work ? (
          <GaugePanel
            key={`gauge ${bend.bend}`}
            {...gauge}
            plan={plan}
            stop={work.bend_to}
            keep={(angle) => keepAngle(bend.bend, angle)}
          />
        ) : null}
      </div>
      <div>
        <p className="border-t border-line py-2 text-lg">
          <Figures text={step.do} />
        </p>
        <BenchChecks key={bend.bend} checks={checks} />
        {warming ? <Warming key={`warm ${bend.bend}`} stages={warming.stages} /> : null}
        <Rows step={step} />
        {bend.meets.map(({ what, text }) => (
          <p key={what} className="mt-2 border-l-3 border-amber pl-2.5">
            <Figures text={text} /> {bend.helps[0]}
          </p>
        ))}
      </div>
    </>
  );
}

function Rows({ step }: { step: Step }) {
  return (
    <dl className="text-lg">
      <Row name={say("Check")}>
        <Figures text={step.check} />
      </Row>
      <Row name={say("Caution")}>{step.caution}</Row>
    </dl>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="flex gap-4 border-t border-line py-2">
      <dt className="w-20 shrink-0 text-soft">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
