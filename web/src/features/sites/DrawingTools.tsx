// What is drawn with, over the plan, and what to do next.
import type { SiteTool } from "@/drawing/site/SiteDrawing";
import { Button } from "@/ui/Button";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import type { useDrawing } from "./useDrawing";

const TOOLS: readonly { value: SiteTool; label: string }[] = [
  { value: "look", label: say("Look") },
  { value: "trench", label: say("Trench") },
  { value: "hand-hole", label: say("Hand hole") },
  { value: "building", label: say("Building") },
];

const NEXT: Record<SiteTool, string> = {
  look: "",
  trench: say("Tap point by point, along walks and verges."),
  "hand-hole": say("Tap where it is, one after the other; Look when that was all."),
  building: say("Tap where the ducts come in, one after the other; Look when that was all."),
  measure: say("Tap two points of the picture whose distance you know."),
};

export function DrawingTools({ drawing }: { drawing: ReturnType<typeof useDrawing> }) {
  const { tool, drawn, take, finish } = drawing;
  const begun = tool === "trench" && drawn.length > 0;
  const next = begun ? say("Tap the last point again, or Enter, to end it.") : NEXT[tool];
  return (
    <div className="absolute top-3 left-3 grid justify-items-start gap-2">
      <SegmentedControl label={say("What is drawn")} value={tool} options={TOOLS} onChange={take} />
      {next ? (
        <p className="rounded-md border border-line bg-paper px-3 py-1.5 text-sm">
          {next}
          {begun && drawn.length > 1 ? (
            <Button className="ml-2 px-2" onClick={finish}>
              {say("Done")}
            </Button>
          ) : null}
        </p>
      ) : null}
    </div>
  );
}
