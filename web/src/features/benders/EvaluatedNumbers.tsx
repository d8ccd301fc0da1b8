// What a bender's numbers come to, how well they are known, and what would tell more.
import type { UseQueryResult } from "@tanstack/react-query";
import type { Schemas } from "@/api/client";
import { Refused } from "@/api/client";
import type { Units } from "@/model/document";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

const PLACES = { in: 3, mm: 1 } as const;

type Numbers = Schemas["BenderNumbers"];
type Known = Schemas["Calibration"];

export function EvaluatedNumbers({
  query,
  units,
}: {
  query: UseQueryResult<Numbers>;
  units: Units;
}) {
  if (query.error) {
    const errors = query.error instanceof Refused ? (query.error.problem.errors ?? []) : [];
    return (
      <p role="status" className="rounded-md bg-amber-soft px-3 py-2 text-sm">
        {errors[0]
          ? say("Expected {expected}.", { expected: errors[0].expected })
          : query.error.message}
      </p>
    );
  }
  if (!query.data) {
    return null;
  }
  const { take_up_text, gain_text, radius, back_of_bend_text, least_stub_text, tested } =
    query.data;
  const figure = (value: number) => value.toFixed(PLACES[units]);
  return (
    <div role="status" className="rounded-md bg-raised px-3 py-2">
      <dl className="grid grid-cols-2 gap-2 text-sm text-soft sm:grid-cols-5">
        <Figure
          name={say("Take-up")}
          text={take_up_text}
          within={tested ? figure(tested.take_up_known_to) : ""}
          stamped={tested?.stamped.take_up == null ? "" : figure(tested.stamped.take_up)}
        />
        <Figure
          name={say("Radius")}
          text={figure(radius)}
          within={tested ? figure(tested.radius_known_to) : ""}
          stamped={tested?.stamped.radius == null ? "" : figure(tested.stamped.radius)}
        />
        <Figure
          name={say("Gain")}
          text={gain_text}
          within={tested ? figure(tested.gain_known_to) : ""}
        />
        <Figure
          name={say("Star behind arrow")}
          text={back_of_bend_text}
          within={tested ? figure(tested.back_of_bend_known_to) : ""}
        />
        <Figure
          name={say("Least {stub}", { stub: wordFor(term("stub"), LANGUAGE_OF[units]) })}
          text={least_stub_text}
        />
      </dl>
      {tested ? <WhatIsKnown known={tested} units={units} /> : null}
    </div>
  );
}

function WhatIsKnown({ known, units }: { known: Known; units: Units }) {
  const figure = (value: number) => `${value.toFixed(PLACES[units])} ${units}`;
  const small = known.effects.find(({ angle }) => angle === 30);
  const square = known.effects.find(({ angle }) => angle === 90);
  return (
    <div className="grid gap-1.5 pt-1.5 text-sm text-soft">
      {known.bent_to ? (
        <p>
          {say("Bend to")}{" "}
          {known.bent_to
            .filter(({ angle }) => [30, 45, 90].includes(angle))
            .map(({ angle, bend_to, known_to }) => (
              <span key={angle} className="mr-2.5 inline-block">
                {sayWith("{bendTo} ±{knownTo} for {angle}°", {
                  bendTo: <strong className="text-ink">{bend_to.toFixed(1)}°</strong>,
                  knownTo: known_to.toFixed(1),
                  angle,
                })}
              </span>
            ))}
          {known.scale_offset !== null && Math.abs(known.scale_offset) >= 0.25
            ? say(
                known.scale_offset > 0
                  ? "Its scale shows {offset}° ±{knownTo} too much."
                  : "Its scale shows {offset}° ±{knownTo} too little.",
                {
                  offset: Math.abs(known.scale_offset).toFixed(1),
                  knownTo: (known.scale_offset_known_to ?? 0).toFixed(1),
                },
              )
            : null}{" "}
          {known.degrees_per_click
            ? say("A click is {degrees}.", {
                degrees:
                  known.degrees_per_click_known_to === null
                    ? `${known.degrees_per_click.toFixed(2)}°`
                    : `${known.degrees_per_click.toFixed(2)}° ±${known.degrees_per_click_known_to.toFixed(2)}`,
              })
            : null}
        </p>
      ) : null}
      {known.drift ? (
        <p className="text-ink">
          {say(
            "{moved} has moved by {by} {since}: another shoe, wear, or a scale that was knocked. The figures are those of now.",
            {
              moved:
                known.drift.what === "angle" ? say("How far it bends") : say("Where its bends lie"),
              by:
                known.drift.what === "angle"
                  ? `${Math.abs(known.drift.by).toFixed(1)}°`
                  : figure(Math.abs(known.drift.by)),
              since: known.drift.creeps
                ? say("little by little, over {bends} bends", { bends: known.drift.bends })
                : say("since {bends} bends", { bends: known.drift.bends }),
            },
          )}
        </p>
      ) : null}
      {small && square ? (
        <p>
          {say(
            "± holds in 19 of 20 cases. The radius moves a 90 by {square}, a 30 by {small}. {wanted}",
            {
              square: figure(square.by),
              small: figure(small.by),
              wanted: wanted(known.next, figure),
            },
          )}
        </p>
      ) : null}
    </div>
  );
}

const NUMBER = {
  take_up: "take-up",
  radius: "radius",
  springback: say("springback at 45"),
} as const;

/** The one more test that would say most. */
function wanted(next: Known["next"], figure: (value: number) => string): string {
  const of = next.narrows === "springback" ? (n: number) => `${n.toFixed(1)}°` : figure;
  const read = next.read === "legs" ? say("both legs measured") : say("read with a gauge");
  return say("One more {angle}, {read}, would know the {number} to ±{better} instead of ±{now}.", {
    angle: next.angle,
    read,
    number: NUMBER[next.narrows],
    better: of(next.then),
    now: of(next.now),
  });
}

type FigureProps = { name: string; text: string; within?: string; stamped?: string };

function Figure({ name, text, within = "", stamped = "" }: FigureProps) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="text-lg font-bold text-ink">
        <Reading text={text} />
        {within ? <span className="text-sm font-normal text-soft"> ±{within}</span> : null}
      </dd>
      {stamped ? <dd className="text-xs">{say("stamped {stamped}", { stamped })}</dd> : null}
    </div>
  );
}
