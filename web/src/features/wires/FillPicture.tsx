// The picture of what goes in, as wide as there is room, and what its colours tell.
import { useState } from "react";
import type { ColourBy } from "@/drawing/colours";
import { FillDrawing } from "@/drawing/FillDrawing";
import type { FillResult } from "@/model/wires";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";

const TALLEST = 380;

export function FillPicture({ fill, tallest = TALLEST }: { fill: FillResult; tallest?: number }) {
  const [colourBy, setColourBy] = useState<ColourBy>("size");
  const [frame, room] = useSize<HTMLDivElement>();
  const height = Math.min(room.width, tallest);
  return (
    <div className="grid min-w-0 justify-items-center gap-2">
      <div ref={frame} className="w-full overflow-hidden">
        {room.width > 0 ? (
          <FillDrawing fill={fill} colourBy={colourBy} width={room.width} height={height} />
        ) : null}
      </div>
      <div className="text-sm">
        <SegmentedControl
          label={say("What the colours tell")}
          value={colourBy}
          options={[
            { value: "size", label: say("By size") },
            { value: "role", label: say("By phase colours") },
          ]}
          onChange={setColourBy}
        />
      </div>
    </div>
  );
}
