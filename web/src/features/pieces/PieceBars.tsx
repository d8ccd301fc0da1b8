// Every piece as the stick that it is cut from, to one scale: bends, threads, what is left over.

import { memo } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { Hatch } from "@/drawing/Hatch";
import { usePlanner } from "@/state/PlannerContext";
import { classes } from "@/ui/classes";
import { Reading } from "@/ui/Reading";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Piece = PiecesOfRun["pieces"][number];

const HEIGHT = 18;
const THREAD = 6;

export const PieceBars = memo(function PieceBars({ made }: { made: PiecesOfRun }) {
  const [frame, { width }] = useSize<HTMLOListElement>();
  const shown = usePlanner((state) => Math.max(state.piece, 1));
  const longest = Math.max(made.stick, ...made.pieces.map(({ plan }) => plan.cut_length));
  const scale = width > 0 ? (width - 32) / longest : 0;
  return (
    <ol ref={frame} className="grid">
      {made.pieces.map((piece, index) => (
        <PieceRow
          key={piece.number}
          piece={piece}
          joint={made.joints[index - 1]}
          scale={scale}
          stick={made.stick}
          lit={shown === piece.number}
        />
      ))}
    </ol>
  );
});

type RowProps = {
  piece: Piece;
  joint: PiecesOfRun["joints"][number] | undefined;
  scale: number;
  stick: number;
  lit: boolean;
};

const PieceRow = memo(function PieceRow({ piece, joint, scale, stick, lit }: RowProps) {
  const look = usePlanner((state) => state.lookAtPiece);
  const { plan, number } = piece;
  return (
    <li>
      {joint ? (
        <p className="px-4 pt-1 text-sm text-soft" data-joint-told={joint.number}>
          {sayWith(
            "Joint {number}, {couplingName}: its middle at {at} along leg {leg}; {takes} go in from either side",
            {
              number: joint.number,
              couplingName: joint.coupling_name,
              at: <Reading text={joint.at_text} />,
              leg: joint.leg,
              takes: <Reading text={joint.takes_text} />,
            },
          )}
        </p>
      ) : null}
      <button
        type="button"
        data-piece={number}
        aria-pressed={lit}
        onClick={() => look(number)}
        className={classes("block w-full px-4 py-1.5 text-left", lit && "bg-accent-soft")}
      >
        <span className="flex flex-wrap items-baseline gap-x-2 text-sm">
          <span className={classes("font-semibold", lit && "text-accent")}>
            {say("Piece {number}", { number })}
          </span>
          <span className="text-soft">{piece.whole ? say("a whole stick") : say("cut")}</span>
          <span className="text-lg font-bold">
            <Reading text={plan.cut_length_text} />
          </span>
          <span className="text-soft">
            {plan.bends.length > 0
              ? `${plan.bends.length} ${plan.bends.length === 1 ? "bend" : "bends"}`
              : say("straight")}
          </span>
          {piece.threads.map((thread, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a piece has no more than two ends
            <span key={at} className="text-soft">
              {sayWith("thread {thread}", { thread: <Reading text={thread} /> })}
            </span>
          ))}
          {piece.spare > 0 ? (
            <span className="ml-auto text-soft">
              {sayWith("{spare} left", { spare: <Reading text={piece.spare_text} /> })}
            </span>
          ) : null}
        </span>
        {scale > 0 ? <Bar piece={piece} scale={scale} stick={stick} lit={lit} /> : null}
      </button>
    </li>
  );
});

function Bar({
  piece,
  scale,
  stick,
  lit,
}: {
  piece: Piece;
  scale: number;
  stick: number;
  lit: boolean;
}) {
  const { plan } = piece;
  const cut = plan.cut_length * scale;
  return (
    <svg
      width={Math.max(cut, stick * scale)}
      height={HEIGHT}
      role="img"
      aria-label={say("Piece {number} on its stick", { number: piece.number })}
    >
      <Hatch id="offcut" />
      <rect
        x={cut}
        y="3"
        width={Math.max(stick * scale - cut, 0)}
        height={HEIGHT - 6}
        fill="url(#offcut)"
        className="stroke-line"
      />
      <rect
        x="0.7"
        y="3"
        width={Math.max(cut - 1.4, 0)}
        height={HEIGHT - 6}
        className={classes("fill-pipe", lit ? "stroke-accent" : "stroke-ink")}
        strokeWidth="1.4"
      />
      {plan.bends.map((bend, at) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: a bend is known by its number along the pipe
          key={at}
          x={bend.arc_start * scale}
          y="3"
          width={(bend.arc_end - bend.arc_start) * scale}
          height={HEIGHT - 6}
          className={lit ? "fill-accent" : "fill-arc"}
        />
      ))}
      {piece.threads.length > 0 ? (
        <path d={`M${cut - THREAD} 3v12M${cut - THREAD / 2} 3v12`} className="stroke-ink" />
      ) : null}
    </svg>
  );
}
