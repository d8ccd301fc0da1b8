// The frame of a drawing of a box: its walls to scale in the room that there is.
import type { ReactNode } from "react";
import { useSize } from "@/ui/useSize";
import { type BoxView, boxView } from "./boxWalls";

type Props = {
  label: string;
  sides: { readonly width: number; readonly height: number };
  margin: number;
  /** What is drawn on and in it, in a picture so wide and high. */
  children: (view: BoxView, room: { readonly width: number; readonly height: number }) => ReactNode;
};

const TALLEST = 400;
const TALL = 0.85;
const FONT = 13;

export function BoxFrame({ label, sides, margin, children }: Props) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  const height = Math.min(width * TALL, TALLEST);
  const view = boxView(sides, { width, height }, margin);
  return (
    <div ref={frame} className="w-full">
      {width > 0 ? (
        <svg
          role="img"
          aria-label={label}
          viewBox={`0 0 ${width} ${height}`}
          width={width}
          height={height}
          fontSize={FONT}
        >
          <rect
            x={view.left}
            y={view.top}
            width={view.width}
            height={view.height}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={2}
          />
          {children(view, { width, height })}
        </svg>
      ) : null}
    </div>
  );
}
