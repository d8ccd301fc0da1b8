// The inside of a conduit or trunking to scale, with the conductors settled in it, and around it a
// ring that tells how much of it is taken and where the limit is.

import { type ColourBy, partColours } from "@/drawing/colours";
import { usePacking } from "@/drawing/usePacking";
import type { Circle, Container } from "@/geometry/packing";
import type { FillResult, Part } from "@/model/wires";
import { say } from "@/words/say";

type Props = {
  fill: FillResult;
  colourBy: ColourBy;
  width: number;
  height: number;
};

/** Conductors drawn at most: beyond that a picture tells no more than the ring. */
const MOST_DRAWN = 240;
/** Of the inside's radius: the wall, and where the ring lies. */
const WALL = 0.07;
const RING_AT = 1.24;
const RING = 0.1;
const ASIDE = 34;
const ABOVE = 40;
/** Where a limit lies on the ring that is no share of the inside. */
const LIMIT_TURN = 0.5;
const LABEL_FROM = 9;
const FONT = 12;

export function FillDrawing({ fill, colourBy, width, height }: Props) {
  const container = containerOf(fill);
  const drawn = expanded(fill.conductors);
  const packed = usePacking(
    drawn.map(({ radius }) => radius),
    container,
  );
  const colours = partColours(fill.conductors, colourBy, fill.conduit.units === "mm");
  const round = container.kind === "round";
  const reach = round ? container.radius * (RING_AT + RING) : Math.max(container.width, 1) / 2;
  const tall = round ? 2 * reach : container.height;
  const scale = Math.max(
    Math.min((width - 2 * (round ? ASIDE : ABOVE)) / (2 * reach), (height - 2 * ABOVE) / tall),
    0.01,
  );
  const middle = { x: width / 2, y: round ? height / 2 : height / 2 + (tall * scale) / 2 };
  const current = packed && packed.packing.length === drawn.length ? packed.packing : [];
  const out = current.filter((place) => place === null).length;
  return (
    <svg
      role="img"
      aria-label={fillLabel(fill)}
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      data-packed={current.length === drawn.length ? drawn.length - out : undefined}
    >
      <g transform={`translate(${middle.x} ${middle.y}) scale(${scale} ${-scale})`}>
        <Walls container={container} scale={scale} />
        {drawn.map(({ part, key }, at) => {
          const place = current[at];
          return place ? (
            <Wire
              key={key}
              place={place}
              part={fill.conductors[part]}
              colour={colours[part] ?? "var(--wire-1)"}
              scale={scale}
            />
          ) : null;
        })}
      </g>
      {round ? (
        <Ring fill={fill} middle={middle} radius={container.radius * RING_AT * scale} />
      ) : (
        <Level fill={fill} container={container} middle={middle} scale={scale} />
      )}
      <text x={width / 2} y={height - 8} textAnchor="middle" fontSize={FONT} fill="var(--soft)">
        {inside(fill)}
        {out > 0 ? say(" · {out} of {drawn} find no place", { out, drawn: drawn.length }) : ""}
        {fill.count > drawn.length
          ? say(" · {drawn} of {count} drawn", { drawn: drawn.length, count: fill.count })
          : ""}
      </text>
    </svg>
  );
}

function Walls({ container, scale }: { container: Container; scale: number }) {
  const line = { stroke: "var(--strong-line)", strokeWidth: 1.2 / scale };
  if (container.kind === "round") {
    return (
      <>
        <circle r={container.radius * (1 + WALL)} fill="var(--pipe)" {...line} />
        <circle r={container.radius} fill="var(--canvas)" {...line} />
      </>
    );
  }
  const { width, height } = container;
  const wall = Math.max(width, height) * WALL * 0.5;
  return (
    <>
      <rect
        x={-width / 2 - wall}
        y={-wall}
        width={width + 2 * wall}
        height={height + 2 * wall}
        fill="var(--pipe)"
        {...line}
      />
      <rect x={-width / 2} y={0} width={width} height={height} fill="var(--canvas)" {...line} />
    </>
  );
}

type WireProps = { place: Circle; part: Part | undefined; colour: string; scale: number };

function Wire({ place, part, colour, scale }: WireProps) {
  const r = place.r * scale;
  const oval = part?.height && part.diameter ? part.height / part.diameter : 1;
  const label = part?.size ?? "";
  return (
    <g transform={`translate(${place.x} ${place.y})`}>
      <ellipse
        rx={place.r}
        ry={place.r * oval}
        fill={colour}
        stroke="var(--ink)"
        strokeWidth={1 / scale}
      />
      {r > LABEL_FROM && label ? (
        <text
          transform={`scale(${1 / scale} ${-1 / scale})`}
          textAnchor="middle"
          dominantBaseline="central"
          fontSize={Math.min(r * 0.8, FONT + 2)}
          fontWeight={600}
          fill="var(--wire-ink)"
          stroke="var(--wire-halo)"
          strokeWidth={2.5}
          paintOrder="stroke"
        >
          {label}
        </text>
      ) : null}
    </g>
  );
}

type RingProps = { fill: FillResult; middle: { x: number; y: number }; radius: number };

/** How much is taken, clockwise from the top; the limit is a tick across it. */
function Ring({ fill, middle, radius }: RingProps) {
  const limit = limitTurn(fill);
  const used = Math.min(fill.share * limit, 0.999);
  const thick = radius * RING * 0.8;
  const state = fill.passes ? (fill.share > fill.usable / fill.limit ? "amber" : "moss") : "brick";
  const ticks = [{ turn: limit, text: limitText(fill) }];
  if (fill.spare > 0) {
    ticks.push({ turn: (limit * fill.usable) / fill.limit, text: say("spare") });
  }
  return (
    <g transform={`translate(${middle.x} ${middle.y})`}>
      <circle r={radius} fill="none" stroke="var(--line)" strokeWidth={thick} />
      <path
        d={arc(radius, used)}
        fill="none"
        stroke={`var(--${state})`}
        strokeWidth={thick}
        data-used={fill.share.toFixed(3)}
      />
      {ticks.map(({ turn, text }) => {
        const [x, y] = around(turn);
        const from = radius - thick;
        const to = radius + thick;
        const at = radius + thick + 5;
        return (
          <g key={text}>
            <line
              x1={x * from}
              y1={y * from}
              x2={x * to}
              y2={y * to}
              stroke="var(--ink)"
              strokeWidth={2}
            />
            <text
              x={x * at}
              y={y * at}
              textAnchor={Math.abs(x) < 0.25 ? "middle" : x > 0 ? "start" : "end"}
              dominantBaseline={y > 0.25 ? "hanging" : y < -0.25 ? "auto" : "central"}
              fontSize={FONT}
              fill="var(--ink)"
            >
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
}

type LevelProps = {
  fill: FillResult;
  container: Extract<Container, { kind: "box" }>;
  middle: { x: number; y: number };
  scale: number;
};

/** A trunking's limit as the height that so much would stand to. */
function Level({ fill, container, middle, scale }: LevelProps) {
  const share = fill.limit / (container.width * container.height);
  const y = middle.y - container.height * share * scale;
  const half = (container.width / 2) * scale;
  return (
    <g>
      <line
        x1={middle.x - half}
        x2={middle.x + half}
        y1={y}
        y2={y}
        stroke={fill.passes ? "var(--moss)" : "var(--brick)"}
        strokeWidth={1.5}
        strokeDasharray="6 4"
      />
      <text x={middle.x + half - 4} y={y - 5} textAnchor="end" fontSize={FONT} fill="var(--ink)">
        {`limit ${Math.round(fill.limit)} mm²`}
      </text>
    </g>
  );
}

function limitTurn(fill: FillResult): number {
  const { inside: across } = fill.conduit;
  return fill.method === "area" && across
    ? fill.limit / ((Math.PI / 4) * across * across)
    : LIMIT_TURN;
}

function limitText(fill: FillResult): string {
  return fill.method === "area"
    ? say("limit {limitTurn} %", { limitTurn: Math.round(limitTurn(fill) * 100) })
    : `limit ${Math.round(fill.limit)}`;
}

function around(turn: number): readonly [number, number] {
  const angle = turn * 2 * Math.PI - Math.PI / 2;
  return [Math.cos(angle), Math.sin(angle)];
}

function arc(radius: number, turn: number): string {
  const [x, y] = around(turn);
  return `M 0 ${-radius} A ${radius} ${radius} 0 ${turn > 0.5 ? 1 : 0} 1 ${x * radius} ${y * radius}`;
}

function containerOf(fill: FillResult): Container {
  const { inside: across, width, height } = fill.conduit;
  if (width && height) {
    return { kind: "box", width, height };
  }
  return { kind: "round", radius: (across ?? 1) / 2 };
}

function expanded(parts: readonly Part[]) {
  return parts
    .flatMap((part, index) =>
      part.diameter
        ? Array.from({ length: Math.min(part.count, MOST_DRAWN) }, (_, at) => ({
            part: index,
            key: `${index}-${at}`,
            radius: (part.diameter ?? 0) / 2,
          }))
        : [],
    )
    .slice(0, MOST_DRAWN);
}

function inside({ conduit }: FillResult): string {
  const { units, inside: across, width, height } = conduit;
  return across
    ? say("inside {across} {units}", { across, units })
    : `${width} by ${height} ${units}`;
}

function fillLabel(fill: FillResult): string {
  const list = fill.conductors.map(({ count, name }) => `${count} × ${name}`).join(", ");
  return say("{conduit} with {list}: {share} % of what is allowed", {
    conduit: fill.conduit.name,
    list,
    share: Math.round(fill.share * 100),
  });
}
