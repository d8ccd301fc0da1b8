// Holes in a box's walls to scale, as one looks into it: lock rings and bushes as they stand in,
// and the device with its screws.
import type { Schemas } from "@/api/client";
import { say } from "@/words/say";
import { BoxFrame } from "./BoxFrame";
import { type BoxView, outside, standing } from "./boxWalls";

type Answer = Schemas["EntriesResult"];
type Placed = Answer["entries"][number];

type Props = {
  answer: Answer;
  /** Which entries something is wrong with, and how gravely. */
  wrong: ReadonlyMap<string, "brick" | "amber">;
};

const MARGIN = 68;
const STUB = 0.1;
const RING_THICK = 0.28;

export function EntriesDrawing({ answer, wrong }: Props) {
  const { units, entries, sides, device } = answer;
  return (
    <BoxFrame
      label={`A box ${sides.width} by ${sides.height} ${units} with ${entries.length} holes`}
      sides={sides}
      margin={MARGIN}
    >
      {(view, room) => (
        <>
          {device ? <Device view={view} device={device} /> : null}
          {entries.map((each) => (
            <Hole
              key={each.id}
              placed={each}
              view={view}
              stub={Math.max(sides.width, sides.height) * STUB}
              wrong={wrong.get(each.id)}
            />
          ))}
          <text x={room.width / 2} y={room.height - 8} textAnchor="middle" fill="var(--soft)">
            {say("{width} by {height} {units} inside", {
              width: sides.width,
              height: sides.height,
              units,
            })}
          </text>
        </>
      )}
    </BoxFrame>
  );
}

type DeviceProps = { view: BoxView; device: NonNullable<Answer["device"]> };

function Device({ view, device }: DeviceProps) {
  const wide = device.width * view.scale;
  const high = Math.min(device.height * view.scale, view.height);
  const x = view.left + (view.width - wide) / 2;
  const y = view.top + (view.height - high) / 2;
  const middle = view.top + view.height / 2;
  return (
    <g fill="none" stroke="var(--strong-line)">
      <rect x={x} y={y} width={wide} height={high} strokeDasharray="5 4" />
      {[x, x + wide].map((at) => (
        <circle key={at} cx={at} cy={middle} r={6} fill="var(--canvas)" />
      ))}
    </g>
  );
}

type HoleProps = {
  placed: Placed;
  view: BoxView;
  stub: number;
  wrong: "brick" | "amber" | undefined;
};

function Hole({ placed, view, stub, wrong }: HoleProps) {
  const { wall, along, hole, ring, reach } = placed;
  const pipe = standing(view, wall, along, hole, -stub, 0);
  const nut = standing(view, wall, along, ring, 0, reach * RING_THICK);
  const bush = standing(view, wall, along, hole, reach * RING_THICK, reach);
  const label = outside(view, wall, along, stub);
  const stroke = wrong ? `var(--${wrong})` : "var(--strong-line)";
  const fill = wrong ? `var(--${wrong}-soft)` : "var(--pipe)";
  return (
    <g data-hole={placed.id} stroke={stroke} strokeWidth={wrong ? 2 : 1}>
      <rect {...pipe} fill="var(--pipe)" />
      <rect {...nut} fill={fill} />
      <rect {...bush} fill={fill} />
      <text
        {...label}
        stroke="none"
        fontWeight={700}
        fill={wrong ? `var(--${wrong})` : "var(--ink)"}
      >
        {`${placed.id} ${placed.size.replace("-", " ")}`}
      </text>
    </g>
  );
}
