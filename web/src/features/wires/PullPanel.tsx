// The pull: where to break the run, and what it takes from either end.

import type { Plan } from "@/model/document";
import { setPull, typedNumber, type Wires } from "@/model/wires";
import { usePlanner } from "@/state/PlannerContext";
import { Figures } from "@/ui/Figures";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { FillFindings } from "./FillFindings";
import { NumberWord } from "./NumberWord";

type Planned = NonNullable<Plan["wires"]>;
type PullAnswer = NonNullable<Planned["pull"]>;
type Way = PullAnswer["pull"]["ways"][number];
type Pull = NonNullable<Wires["pull"]>;

const UPS = {
  level: say("the run is level"),
  left: say("up is to the left"),
  right: say("up is to the right"),
  ahead: say("the first leg goes up"),
  back: say("the first leg goes down"),
  out: say("up is out of the wall"),
  in: "up is into the wall",
} as const satisfies Record<NonNullable<Pull["up"]>, string>;

export function PullPanel({ planned, wires }: { planned: Planned; wires: Wires }) {
  const { points, breaks, pull } = planned;
  return (
    <section aria-label={say("The pull")} className="mt-5 border-t border-line px-4 pt-3">
      <h2 className="font-semibold">{say("The pull")}</h2>
      <p className="text-sm">
        {say("{degrees}° of {limit}° between pull points{left}.", {
          degrees: Math.round(points.degrees),
          limit: Math.round(points.limit),
          left: points.left > 0 ? say(", {left}° left", { left: Math.round(points.left) }) : "",
        })}{" "}
        {planned.duct_text
          ? say("{length} of {duct} for an outdoor duct.", {
              length: planned.length_text,
              duct: planned.duct_text,
            })
          : null}
      </p>
      {breaks.map(({ text }) => (
        <p key={text} className="border-l-3 border-amber pl-2.5 text-sm">
          {text}
        </p>
      ))}
      <p className="text-xs text-soft">{points.source}</p>
      {pull ? (
        <>
          <PullSettings pull={wires.pull ?? {}} answer={pull} />
          <p className="pt-1 font-semibold">
            <Figures text={pull.text} />
          </p>
          <Ways answer={pull} />
          <FillFindings findings={pull.findings} />
          <p className="pt-1 text-xs text-soft">
            {say(
              "An estimate by the usual straight and bend equations. A fast or jerky pull takes more.",
            )}
          </p>
        </>
      ) : null}
    </section>
  );
}

function PullSettings({ pull, answer }: { pull: Pull; answer: PullAnswer }) {
  const change = usePlanner((state) => state.change);
  const number =
    (field: "mass" | "friction" | "most_tension" | "most_side_wall") => (text: string) =>
      change(setPull({ [field]: typedNumber(text) }), `wires.pull.${field}`);
  const limit = answer.pull.tension_limit;
  return (
    <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1 pt-2 text-sm">
      <NumberWord
        label={say("Mass of all cables, {perLength}", { perLength: answer.per_length })}
        path="wires.pull.mass"
        value={pull.mass}
        placeholder={answer.mass.toPrecision(3)}
        onChange={number("mass")}
      />
      <span className="text-soft">
        {say("{perLength}{estimated}, pulled", {
          perLength: answer.per_length,
          estimated: answer.mass_estimated ? say(" (estimated)") : "",
        })}
      </span>
      <Select
        look="word"
        label={say("Dry or lubricated")}
        value={pull.state ?? "lubricated"}
        options={[
          { value: "lubricated", label: say("lubricated") },
          { value: "dry", label: say("dry") },
        ]}
        onChange={(state) => change(setPull({ state: state as "dry" | "lubricated" }))}
      />
      <span className="text-soft">{say("at friction")}</span>
      <NumberWord
        label={say("Friction")}
        path="wires.pull.friction"
        value={pull.friction}
        placeholder={String(answer.friction)}
        onChange={number("friction")}
      />
      <span className="text-soft">;</span>
      <Select
        look="word"
        label={say("Where up is")}
        value={pull.up ?? "level"}
        options={Object.entries(UPS).map(([value, label]) => ({ value, label }))}
        onChange={(up) => change(setPull({ up: up as keyof typeof UPS }))}
      />
      <span className="text-soft">{say("; limits")}</span>
      <NumberWord
        label={say("Most tension, {force}", { force: answer.force })}
        path="wires.pull.most_tension"
        value={pull.most_tension}
        placeholder={limit === null ? say("none") : limit.toFixed(0)}
        onChange={number("most_tension")}
      />
      <span className="text-soft">{answer.force},</span>
      <NumberWord
        label={say("Most side-wall pressure, {pressure}", { pressure: answer.pressure })}
        path="wires.pull.most_side_wall"
        value={pull.most_side_wall}
        placeholder={answer.pull.side_wall_limit.toFixed(0)}
        onChange={number("most_side_wall")}
      />
      <span className="text-soft">{answer.pressure}</span>
    </div>
  );
}

function Ways({ answer }: { answer: PullAnswer }) {
  return (
    <table className="mt-2 w-full max-w-xl text-sm">
      <thead className="text-xs text-soft">
        <tr>
          <th className="text-left font-normal">{say("fed in at")}</th>
          <th className="text-right font-normal">
            {say("at the rope, {force}", { force: answer.force })}
          </th>
          <th className="text-right font-normal">
            {say("hardest bend, {pressure}", { pressure: answer.pressure })}
          </th>
          <th className="pl-4 text-left font-normal">{say("along the run")}</th>
        </tr>
      </thead>
      <tbody>
        {answer.pull.ways.map((way) => (
          <tr key={way.feed} className="border-t border-line">
            <td className="py-1">
              {sayWith("the {feed}{easier}", {
                feed: way.feed,
                easier: way.feed === answer.pull.feed_at ? <b> {say("(easier)")}</b> : "",
              })}
            </td>
            <td className="text-right font-semibold">{figure(way.most_tension)}</td>
            <td className="text-right font-semibold">{figure(way.most_side_wall)}</td>
            <td className="py-1 pl-4">
              <Along way={way} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const WIDE = 160;
const TALL = 26;

/** Tension over the length, from the end that it is fed in at. */
function Along({ way }: { way: Way }) {
  const long = way.along.at(-1)?.at ?? 1;
  const most = Math.max(way.most_tension, 1e-9);
  const points = [[0, 0], ...way.along.map(({ at, tension }) => [at / long, tension / most])]
    .map(([x = 0, y = 0]) => `${(x * WIDE).toFixed(1)},${(TALL - y * (TALL - 2)).toFixed(1)}`)
    .join(" ");
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL}`}
      width={WIDE}
      height={TALL}
      role="img"
      aria-label={say("Tension along the run, fed in at the {feed}", { feed: way.feed })}
    >
      <polyline points={points} fill="none" stroke="var(--accent)" strokeWidth={1.6} />
      <line x1={0} x2={WIDE} y1={TALL - 0.5} y2={TALL - 0.5} stroke="var(--line)" />
    </svg>
  );
}

function figure(value: number): string {
  return value < 10 ? value.toFixed(1) : value.toFixed(0);
}
