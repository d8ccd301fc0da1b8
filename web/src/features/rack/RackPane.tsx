// The run as a rack: what it is copied into, every pipe drawn together, and every pipe's marks.
import { useState } from "react";
import { RackDrawing } from "@/drawing/RackDrawing";
import { Findings } from "@/features/walk/Findings";
import { rackView } from "@/geometry/views";
import { type Rack, startRack } from "@/model/rack";
import { useLastPlan, usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { RackSettings } from "./RackSettings";
import { RackTable } from "./RackTable";
import { useRack } from "./useRack";

export default function RackPane() {
  const rack = usePlanner((state) => state.history.present.rack);
  const change = usePlanner((state) => state.change);
  if (!rack) {
    return (
      <div className="grid h-full place-items-center p-8 pt-14">
        <div className="grid max-w-sm gap-4 text-center text-soft">
          <p>
            {say(
              "Copy this run side by side: every pipe gets marks of its own, so that all of them stay parallel round the corners.",
            )}
          </p>
          <div>
            <Button weight="main" onClick={() => change(startRack())}>
              {say("Make a rack of it")}
            </Button>
          </div>
        </div>
      </div>
    );
  }
  return <Racked rack={rack} />;
}

function Racked({ rack }: { rack: Rack }) {
  const plan = useLastPlan();
  const { plan: racked, old } = useRack();
  const [lit, setLit] = useState<number | null>(null);
  const [frame, room] = useSize<HTMLDivElement>();
  const view = plan ? rackView(plan, rack.side) : undefined;
  return (
    <div className="flex h-full flex-col pt-13 pointer-coarse:pt-17">
      <RackSettings rack={rack} />
      <div className={`flex min-h-0 flex-1 flex-col ${old ? "opacity-60" : ""}`}>
        <div ref={frame} className="min-h-40 flex-1 overflow-hidden">
          {racked && view && room.width > 0 ? (
            <RackDrawing
              plan={racked}
              view={view}
              width={room.width}
              height={room.height}
              lit={lit}
              point={setLit}
            />
          ) : null}
        </div>
        {racked ? (
          <div className="max-h-[48%] overflow-auto border-t border-line bg-paper pb-2">
            <div className="px-4">
              <Findings findings={racked.findings} />
            </div>
            <RackTable plan={racked} rack={rack} lit={lit} point={setLit} />
          </div>
        ) : null}
      </div>
    </div>
  );
}
