// What a framed wall is built of, as it is seen from the front: plates, studs, openings, corners.
import { memo } from "react";
import type { WallPlan } from "@/api/walls";
import { middleOf } from "@/model/wallPlaces";
import { say } from "@/words/say";
import { type OnPaper, onPaper } from "./wallOnPaper";

type Props = Pick<WallPlan, "studs" | "openings" | "corners" | "plates" | "length" | "height"> & {
  width: number;
};

export const WallFrameDrawing = memo(function WallFrameDrawing(wall: Props) {
  const paper = onPaper(wall, wall.width);
  const { scale, x, y } = paper;
  const [bottom, top] = wall.plates;
  const long = wall.length * scale;
  const first = wall.studs[0];
  const rests = first ? (first.ends - first.begins) * scale : 0;
  return (
    <>
      <Timber left={x(0)} top={y(bottom)} wide={long} tall={bottom * scale} />
      <Timber left={x(0)} top={y(wall.height)} wide={long} tall={top * scale} />
      {wall.studs.map((stud) => (
        <g key={stud.begins}>
          {stud.parts.map(([low = 0, high = 0]) => (
            <Timber
              key={low}
              left={x(stud.begins)}
              top={y(high)}
              wide={(stud.ends - stud.begins) * scale}
              tall={(high - low) * scale}
            />
          ))}
          {stud.number ? (
            <text
              x={x(middleOf(stud))}
              y={y(0) + 18}
              textAnchor="middle"
              className="fill-soft text-xs"
            >
              {stud.number}
            </text>
          ) : null}
        </g>
      ))}
      {wall.openings.map((opening) => (
        <Opening key={opening.name} opening={opening} rests={rests} paper={paper} />
      ))}
      {wall.corners.map((at) => (
        <g key={at} data-wall-corner={at}>
          <line
            x1={x(at)}
            x2={x(at)}
            y1={y(wall.height) - 10}
            y2={y(0) + 6}
            strokeDasharray="7 4"
            className="stroke-ink"
          />
          <text x={x(at)} y={y(wall.height) - 14} textAnchor="middle" className="fill-ink text-xs">
            {say("corner")}
          </text>
        </g>
      ))}
    </>
  );
});

type OpeningProps = { opening: WallPlan["openings"][number]; rests: number; paper: OnPaper };

/** A door or a window: left clear, with the timber over it, which rests on the frame's inner studs. */
function Opening({ opening, rests, paper }: OpeningProps) {
  const { name, begins, ends, sill, head, header } = opening;
  const { scale, x, y } = paper;
  return (
    <g data-wall-opening={name}>
      <Timber
        left={x(begins) - rests}
        top={y(head + header)}
        wide={(ends - begins) * scale + 2 * rests}
        tall={header * scale}
      />
      <rect
        x={x(begins)}
        y={y(head)}
        width={(ends - begins) * scale}
        height={(head - sill) * scale}
        className="fill-paper stroke-strong-line"
      />
      {sill > 0 ? (
        <line
          x1={x(begins)}
          x2={x(ends)}
          y1={y(sill)}
          y2={y(sill)}
          strokeWidth="3"
          className="stroke-strong-line"
        />
      ) : null}
      <text
        x={x((begins + ends) / 2)}
        y={y((head + sill) / 2)}
        textAnchor="middle"
        className="fill-soft text-xs"
      >
        {name}
      </text>
    </g>
  );
}

type TimberProps = { left: number; top: number; wide: number; tall: number };

function Timber({ left, top, wide, tall }: TimberProps) {
  return <rect x={left} y={top} width={wide} height={tall} className="fill-raised stroke-line" />;
}
