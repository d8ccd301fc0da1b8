// What a framed wall is built of, as a list: its size, its studs, its openings, its corners.
import { useState } from "react";
import { usual } from "@/documents/usual";
import { useKeptBenders } from "@/features/benders/useKeptBenders";
import { ConduitOnBender } from "@/features/catalogue/ConduitOnBender";
import {
  addCorner,
  addOpening,
  placeStuds,
  removeCorner,
  removeOpening,
  setCorner,
  setOpening,
  setStuds,
  setWall,
  spaceFrom,
} from "@/model/walls";
import { Button } from "@/ui/Button";
import { RemoveButton } from "@/ui/RemoveButton";
import { useWallChange, useWallDocument, WallField, WallWord } from "./WallField";

const CARRIES = [
  { value: "yes", label: "carry a load" },
  { value: "no", label: "carry none" },
] as const;
const TURNS = [
  { value: "inside", label: "toward the room" },
  { value: "outside", label: "away from the room" },
] as const;

export function WallFrame() {
  return (
    <>
      <Size />
      <Studs />
      <section>
        <h2 className="pb-1 font-semibold text-soft">Doors, windows, corners</h2>
        <ul className="grid gap-1.5">
          <Openings />
          <Corners />
        </ul>
        <AddToWall />
      </section>
    </>
  );
}

function Size() {
  const change = useWallChange();
  const wall = useWallDocument(({ length, height, units, studs, conduit, bender }) => ({
    length,
    height,
    units,
    studs,
    conduit,
    bender,
  }));
  const kept = useKeptBenders(wall.conduit, wall.units);
  return (
    <>
      <p className="text-soft">
        <ConduitOnBender
          conduit={wall.conduit}
          bender={wall.bender}
          kept={kept}
          use={(bent) => change(setWall(bent))}
        />
      </p>
      <p>
        <WallField
          path="length"
          label="Length of the wall"
          value={wall.length}
          onType={(length) => change(setWall({ length }))}
        />{" "}
        long,{" "}
        <WallField
          path="height"
          label="Height of the wall"
          value={wall.height}
          onType={(height) => change(setWall({ height }))}
        />{" "}
        high; studs every{" "}
        <WallField
          path="studs.spacing"
          label="Spacing of the studs"
          value={wall.studs.spacing ?? usual("wall", "studs", wall.units).spacing}
          onType={(spacing) => change(setStuds({ spacing }))}
        />
        , and they{" "}
        <WallWord
          label="What the studs carry"
          value={(wall.studs.bearing ?? true) ? "yes" : "no"}
          options={CARRIES}
          onChange={(carries) => change(setStuds({ bearing: carries === "yes" }))}
        />
        .
      </p>
    </>
  );
}

function Studs() {
  const middles = useWallDocument((wall) => wall.studs.at ?? []);
  const change = useWallChange();
  // As it is typed: what is half typed names no studs yet.
  const [typed, setTyped] = useState(() => middles.join(", "));
  const wall = useWallDocument(({ units, studs, plates }) => ({ units, studs, plates }));
  const stud = usual("wall", "studs", wall.units);
  const plates = usual("wall", "plates", wall.units);
  return (
    <p>
      <span className="text-soft">Studs </span>
      <WallField
        path="studs.width"
        label="How wide a stud is"
        value={wall.studs.width ?? stud.width}
        onType={(width) => change(setStuds({ width }))}
      />
      <span className="text-soft"> by </span>
      <WallField
        path="studs.depth"
        label="How deep a stud is"
        value={wall.studs.depth ?? stud.depth}
        onType={(depth) => change(setStuds({ depth }))}
      />
      <span className="text-soft">, the middle of the first </span>
      <WallField
        path="studs.first"
        label="Where the middle of the first stud is"
        value={wall.studs.first ?? ""}
        placeholder="flush with the end"
        onType={(first) => change(spaceFrom(first))}
      />
      <span className="text-soft">; or their middles one by one: </span>
      <WallField
        path="studs.at"
        label="The middles of the studs, one by one"
        value={typed}
        text
        placeholder="as they are spaced"
        onType={(text) => {
          setTyped(text);
          change(placeStuds(text));
        }}
      />
      <span className="text-soft">. Plates </span>
      <WallField
        path="plates.bottom"
        label="How thick the bottom plate is"
        value={wall.plates?.bottom ?? plates.bottom}
        onType={(bottom) => change(setWall({ plates: { ...wall.plates, bottom } }))}
      />
      <span className="text-soft"> and </span>
      <WallField
        path="plates.top"
        label="How thick the top plates are"
        value={wall.plates?.top ?? plates.top}
        onType={(top) => change(setWall({ plates: { ...wall.plates, top } }))}
      />
      .
    </p>
  );
}

function Openings() {
  const change = useWallChange();
  const wall = useWallDocument(({ units, openings }) => ({ units, openings }));
  return (wall.openings ?? []).map((opening, at) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: an opening is known by its place while its name is typed
    <li key={at} className="relative pr-9" data-opening={at}>
      <WallField
        path={`openings[${at}].name`}
        label={`Name of opening ${at + 1}`}
        value={opening.name}
        onType={(name) => change(setOpening(at, { name }))}
      />
      <span className="text-soft"> from </span>
      <WallField
        path={`openings[${at}].begins`}
        label={`Where ${opening.name} begins`}
        value={opening.begins}
        onType={(begins) => change(setOpening(at, { begins }))}
      />
      <span className="text-soft">, </span>
      <WallField
        path={`openings[${at}].width`}
        label={`Width of ${opening.name}`}
        value={opening.width}
        onType={(width) => change(setOpening(at, { width }))}
      />
      <span className="text-soft"> wide, sill at </span>
      <WallField
        path={`openings[${at}].sill`}
        label={`Sill of ${opening.name}`}
        value={opening.sill ?? 0}
        onType={(sill) => change(setOpening(at, { sill }))}
      />
      <span className="text-soft">, head at </span>
      <WallField
        path={`openings[${at}].head`}
        label={`Head of ${opening.name}`}
        value={opening.head ?? usual("wall", "opening", wall.units).head}
        onType={(head) => change(setOpening(at, { head }))}
      />
      <RemoveButton label={`Take out ${opening.name}`} run={() => change(removeOpening(at))} />
    </li>
  ));
}

function Corners() {
  const change = useWallChange();
  const corners = useWallDocument((wall) => wall.corners);
  return (corners ?? []).map((corner, at) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a corner has no name; its place is what it is
    <li key={at} className="relative pr-9" data-corner={at}>
      <span className="text-soft">A corner at </span>
      <WallField
        path={`corners[${at}].at`}
        label={`Where corner ${at + 1} is`}
        value={corner.at}
        onType={(place) => change(setCorner(at, { at: place }))}
      />
      <span className="text-soft">, </span>
      <WallWord
        label={`Which way corner ${at + 1} turns`}
        value={corner.turns ?? "inside"}
        options={TURNS}
        onChange={(turns) => change(setCorner(at, { turns }))}
      />
      <RemoveButton label={`Take out corner ${at + 1}`} run={() => change(removeCorner(at))} />
    </li>
  ));
}

function AddToWall() {
  const change = useWallChange();
  return (
    <div className="flex gap-4">
      <Button weight="quiet" className="px-0" onClick={() => change(addOpening())}>
        Add an opening
      </Button>
      <Button weight="quiet" className="px-0" onClick={() => change(addCorner())}>
        Add a corner
      </Button>
    </div>
  );
}
