// The boxes of a framed wall as a list: their kind, their stud and side, their height.

import { memo } from "react";
import { useCatalogue } from "@/api/queries";
import { usual } from "@/documents/usual";
import { addBox, type BoxSize, removeBox, setBox, sizeBox, type WallBox } from "@/model/walls";
import { wholeNumber } from "@/model/wholeNumber";
import { Button } from "@/ui/Button";
import { RemoveButton } from "@/ui/RemoveButton";
import { say } from "@/words/say";
import {
  choices,
  useWallChange,
  useWallChecks,
  useWallDocument,
  WallField,
  WallWord,
} from "./WallField";

const SIDES = [
  { value: "left", label: say("left") },
  { value: "right", label: say("right") },
] as const;
const EDGES = [
  { value: "top", label: say("top") },
  { value: "middle", label: say("middle") },
  { value: "bottom", label: say("bottom") },
] as const;

/** None, the same each time. */
const NONE: readonly never[] = [];

export function WallBoxes() {
  const boxes = useWallDocument((wall) => wall.boxes);
  const studs = useWallChecks(({ plan }) => plan?.studs ?? NONE);
  const change = useWallChange();
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Boxes")}</h2>
      <ul className="grid gap-1.5">
        {boxes.map((box, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a box is known by its place while its name is typed
          <BoxRow key={at} box={box} at={at} />
        ))}
      </ul>
      <Button
        weight="quiet"
        className="px-0"
        onClick={() => change(addBox(studs.map(({ number }) => number)))}
      >
        {say("Add a box")}
      </Button>
      <span className="pl-2 text-sm text-soft">{say("or tap the wall where it goes")}</span>
    </section>
  );
}

const BoxRow = memo(function BoxRow({ box, at }: { box: WallBox; at: number }) {
  const change = useWallChange();
  const units = useWallDocument((wall) => wall.units);
  const openings = useWallDocument((wall) => (wall.openings ?? []).map(({ name }) => name));
  const kinds = (useCatalogue().data?.wall_boxes ?? [])
    .filter((kind) => kind.units === units)
    .map(({ id, name }) => ({ value: id, label: name }));
  const set = (fields: Partial<WallBox>) => change(setBox(at, fields));
  const beside = box.beside ?? "";
  return (
    <li className="relative pr-9" data-box={at}>
      <WallField
        path={`boxes[${at}].name`}
        label={say("Name of box {at}", { at: at + 1 })}
        value={box.name}
        onType={(name) => set({ name })}
      />
      <span className="text-soft">, a </span>
      <WallWord
        path={`boxes[${at}].kind`}
        label={say("Kind of {name}", { name: box.name })}
        value={box.kind ?? ""}
        options={[...kinds, { value: "", label: say("box of its own size") }]}
        onChange={(kind) => set({ kind })}
      />
      {box.kind ? null : <OwnSize box={box} at={at} />}
      <span className="text-soft">{say(", on the")} </span>
      <WallWord
        label={say("Side of the stud, {name}", { name: box.name })}
        value={box.side ?? "right"}
        options={SIDES}
        onChange={(side) => set({ side })}
      />
      <span className="text-soft"> {say("of")} </span>
      <WallWord
        path={`boxes[${at}].beside`}
        label={say("What {name} stands beside", { name: box.name })}
        value={beside}
        options={[{ value: "", label: say("stud") }, ...choices(openings)]}
        onChange={(opening) => set({ beside: opening })}
      />{" "}
      {beside ? null : (
        <WallField
          path={`boxes[${at}].stud`}
          label={say("Stud of {name}", { name: box.name })}
          value={box.stud ?? 1}
          onType={(stud) => set({ stud: wholeNumber(stud) })}
        />
      )}
      <span className="text-soft">{say(", its")} </span>
      <WallWord
        label={say("What its height goes to, {name}", { name: box.name })}
        value={box.to ?? "top"}
        options={EDGES}
        onChange={(to) => set({ to })}
      />
      <span className="text-soft"> {say("at")} </span>
      <WallField
        path={`boxes[${at}].height`}
        label={say("Height of {name}", { name: box.name })}
        value={box.height}
        onType={(height) => set({ height })}
      />
      <span className="text-soft">{say(", proud")} </span>
      <WallField
        path={`boxes[${at}].proud`}
        label={say("How far {name} stands proud", { name: box.name })}
        value={box.proud ?? usual("wall", "box", units).proud}
        onType={(proud) => set({ proud })}
      />
      <RemoveButton
        label={say("Take out {name}", { name: box.name })}
        run={() => change(removeBox(at))}
      />
    </li>
  );
});

const SIZES: Record<BoxSize, string> = { width: "wide", tall: "tall", deep: "deep" };

function OwnSize({ box, at }: { box: WallBox; at: number }) {
  const change = useWallChange();
  return (
    <span>
      {" ("}
      {(Object.keys(SIZES) as BoxSize[]).map((size, place) => (
        <span key={size}>
          {place > 0 ? ", " : ""}
          <WallField
            path={`boxes[${at}].${size}`}
            label={say("How {size} {name} is", { size: SIZES[size], name: box.name })}
            value={box[size]}
            placeholder={say("usual")}
            onType={(text) => change(sizeBox(at, size, text))}
          />
          <span className="text-soft"> {SIZES[size]}</span>
        </span>
      ))}
      {")"}
    </span>
  );
}
