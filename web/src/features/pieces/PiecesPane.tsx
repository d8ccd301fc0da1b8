// The run in sticks: how it is joined, every piece to scale, and what other ways to part it cost.
import { Findings } from "@/features/walk/Findings";
import { partIt } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { useLookAtPieces, usePieces } from "@/state/usePieces";
import { Button } from "@/ui/Button";
import { say, sayOf } from "@/words/say";
import { GettingIn } from "./GettingIn";
import { HeldUp } from "./HeldUp";
import { JointSettings } from "./JointSettings";
import { PieceBars } from "./PieceBars";
import { WaysTable } from "./WaysTable";

export default function PiecesPane() {
  const joints = usePlanner((state) => state.history.present.joints);
  const change = usePlanner((state) => state.change);
  const made = usePieces((state) => state.made);
  const old = usePieces((state) => state.old);
  useLookAtPieces();
  if (!made) {
    return <p className="p-5 pt-16 text-soft">{say("Parting the run …")}</p>;
  }
  return (
    <div
      data-pieces
      data-current={!old}
      className={`h-full overflow-auto pt-13 pb-4 pointer-coarse:pt-17 ${old ? "opacity-60" : ""}`}
    >
      {joints ? (
        <JointSettings joints={joints} made={made} />
      ) : (
        <div className="flex flex-wrap items-baseline gap-3 px-4 pb-2">
          <p className="text-soft">
            {sayOf(
              made.pieces.length,
              "One piece, of one stick.",
              "One piece is longer than a stick of {stick}. Yarrow would part it like this.",
              { stick: made.stick_text },
            )}
          </p>
          <Button onClick={() => change(partIt())}>{say("Part it")}</Button>
        </div>
      )}
      <div className="px-4">
        <Findings findings={made.findings.filter(({ level }) => level === "error")} />
      </div>
      <PieceBars made={made} />
      <div className="px-4">
        <Findings findings={made.findings.filter(({ level }) => level !== "error")} />
      </div>
      {made.ways_in.length > 0 ? <GettingIn made={made} /> : null}
      {made.ways.length > 1 ? <WaysTable made={made} /> : null}
      <HeldUp made={made} />
    </div>
  );
}
