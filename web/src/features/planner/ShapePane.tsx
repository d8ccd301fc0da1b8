// The run's shape, in one of three ways: flat with its numbers, in space, or exact against printed.
import { lazy, memo, Suspense } from "react";
import { Shape } from "@/drawing/Shape";
import { ACROSS } from "@/geometry/views";
import { hasWebGL } from "@/space/hasWebGL";
import { useLastPlan, usePlanner } from "@/state/PlannerContext";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { StepPictures } from "./StepPictures";

const Space = lazy(() => import("@/space/Space"));

const WiresPane = lazy(() => import("@/features/wires/WiresPane"));
const PiecesPane = lazy(() => import("@/features/pieces/PiecesPane"));
const RackPane = lazy(() => import("@/features/rack/RackPane"));

const IN_SPACE_FLAT = [ACROSS];

export const ShapePane = memo(function ShapePane() {
  const plan = useLastPlan();
  const shown = usePlanner((state) => state.shown);
  const setShown = usePlanner((state) => state.show);
  const comparable = (plan?.beside?.path.length ?? 0) > 0 && (plan?.comes_out_as.length ?? 0) > 0;
  const steps = usePlanner((state) => state.steps !== null);
  const now = shown === "both" && !comparable ? "flat" : shown;
  if (steps) {
    return <StepPictures />;
  }
  return (
    <>
      {now === "wires" ? (
        <Suspense fallback={<p className="p-5 text-soft">{say("Opening the wires …")}</p>}>
          <WiresPane />
        </Suspense>
      ) : now === "pieces" ? (
        <Suspense fallback={<p className="p-5 text-soft">{say("Opening the pieces …")}</p>}>
          <PiecesPane />
        </Suspense>
      ) : now === "rack" ? (
        <Suspense fallback={<p className="p-5 text-soft">{say("Opening the rack …")}</p>}>
          <RackPane />
        </Suspense>
      ) : now === "space" ? (
        hasWebGL() ? (
          <Suspense
            fallback={<p className="p-5 text-soft">{say("Opening the shape in space …")}</p>}
          >
            <Space />
          </Suspense>
        ) : (
          <Shape views={IN_SPACE_FLAT} both={false} />
        )
      ) : (
        <Shape both={now === "both"} />
      )}
      <div className="absolute top-2 right-2 text-sm">
        <SegmentedControl
          label={say("How to show the shape")}
          value={now}
          options={[
            { value: "flat", label: say("Flat") },
            { value: "space", label: say("In space") },
            { value: "rack", label: say("Rack") },
            { value: "pieces", label: say("Pieces") },
            { value: "wires", label: say("Wires") },
            ...(comparable ? [{ value: "both" as const, label: say("Exact and printed") }] : []),
          ]}
          onChange={setShown}
        />
      </div>
    </>
  );
});
