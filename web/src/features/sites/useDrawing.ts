// What is being drawn on a plan: with which tool, which points of a trench so far; Enter ends it,
// Backspace takes the last point back, Escape lets it be.
import { useEffect, useState } from "react";
import type { SiteTool } from "@/drawing/site/SiteDrawing";
import {
  addPlace,
  addTrench,
  measurePicture,
  type PlanPoint,
  type SiteChange,
  same,
} from "@/model/sites";

export function useDrawing(change: (next: SiteChange) => void) {
  const [tool, setTool] = useState<SiteTool>("look");
  const [drawn, setDrawn] = useState<readonly PlanPoint[]>([]);
  const finish = () => {
    if (tool === "trench" && drawn.length > 1) {
      change(addTrench(drawn));
    }
    setDrawn([]);
  };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLElement && event.target.closest("input, [role=dialog]")) {
        return;
      }
      if (event.key === "Enter" && drawn.length > 0) {
        finish();
      } else if (event.key === "Escape") {
        setDrawn([]);
        setTool("look");
      } else if (event.key === "Backspace" && drawn.length > 0) {
        setDrawn(drawn.slice(0, -1));
      } else {
        return;
      }
      event.preventDefault();
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  });
  return {
    tool,
    drawn,
    finish,
    take: (next: SiteTool) => {
      finish();
      setTool(next);
    },
    /** A point was tapped: the last one again ends a trench; anything else is one thing. */
    put: (at: PlanPoint) => {
      if (tool === "measure") {
        const [first] = drawn;
        setDrawn(first ? [] : [at]);
        if (first) {
          change(measurePicture(first, at));
          setTool("look");
        }
      } else if (tool === "trench") {
        const last = drawn.at(-1);
        if (last && same(last, at)) {
          finish();
        } else {
          setDrawn([...drawn, at]);
        }
      } else if (tool !== "look") {
        // One after the other, until something else is taken up.
        change(addPlace(tool, at));
      }
    },
  };
}
