// A framed wall as a list: its frame, its boxes, its lines of holes and its feeds.
import { memo } from "react";
import { WallBoxes } from "./WallBoxes";
import { WallFeeds, WallLines } from "./WallFeeds";
import { type Editing, EditingWall } from "./WallField";
import { WallFrame } from "./WallFrame";

export const WallFields = memo(function WallFields({ editing }: { editing: Editing }) {
  return (
    <EditingWall value={editing}>
      <div className="grid gap-5 text-sm leading-relaxed">
        <WallFrame />
        <WallBoxes />
        <WallLines />
        <WallFeeds />
      </div>
    </EditingWall>
  );
});
