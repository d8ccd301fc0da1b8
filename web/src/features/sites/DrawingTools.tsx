// What is drawn with, over the plan, and what to do next.
import type { SiteTool } from "@/drawing/site/SiteDrawing";
import { Button } from "@/ui/Button";
import { SegmentedControl } from "@/ui/SegmentedControl";
import type { useDrawing } from "./useDrawing";

const TOOLS: readonly { value: SiteTool; label: string }[] = [
  { value: "look", label: "Look" },
  { value: "trench", label: "Trench" },
  { value: "hand-hole", label: "Hand hole" },
  { value: "building", label: "Building" },
];

const NEXT: Record<SiteTool, string> = {
  look: "",
  trench: "Tap point by point, along walks and verges.",
  "hand-hole": "Tap where it is, one after the other; Look when that was all.",
  building: "Tap where the ducts come in, one after the other; Look when that was all.",
  measure: "Tap two points of the picture whose distance you know.",
};

export function DrawingTools({ drawing }: { drawing: ReturnType<typeof useDrawing> }) {
  const { tool, drawn, take, finish } = drawing;
  const begun = tool === "trench" && drawn.length > 0;
  const next = begun ? "Tap the last point again, or Enter, to end it." : NEXT[tool];
  return (
    <div className="absolute top-3 left-3 grid justify-items-start gap-2">
      <SegmentedControl label="What is drawn" value={tool} options={TOOLS} onChange={take} />
      {next ? (
        <p className="rounded-md border border-line bg-paper px-3 py-1.5 text-sm">
          {next}
          {begun && drawn.length > 1 ? (
            <Button className="ml-2 px-2" onClick={finish}>
              Done
            </Button>
          ) : null}
        </p>
      ) : null}
    </div>
  );
}
