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
import { say } from "@/words/say";
import { useWallChange, useWallDocument, WallField, WallWord } from "./WallField";

const CARRIES = [
  { value: "yes", label: say("carry a load") },
  { value: "no", label: say("carry none") },
] as const;
const TURNS = [
  { value: "inside", label: say("toward the room") },
  { value: "outside", label: say("away from the room") },
] as const;

export function WallFrame() {
  return (
    <>
      <Size />
      <Studs />
      <section>
        <h2 className="pb-1 font-semibold text-soft">{say("Doors, windows, corners")}</h2>
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
          label={say("Length of the wall")}
          value={wall.length}
          onType={(length) => change(setWall({ length }))}
        />{" "}
        {say("long,")}{" "}
        <WallField
          path="height"
          label={say("Height of the wall")}
          value={wall.height}
          onType={(height) => change(setWall({ height }))}
        />{" "}
        {say("high; studs every")}{" "}
        <WallField
          path="studs.spacing"
          label={say("Spacing of the studs")}
          value={wall.studs.spacing ?? usual("wall", "studs", wall.units).spacing}
          onType={(spacing) => change(setStuds({ spacing }))}
        />
        {say(", and they")}{" "}
        <WallWord
          label={say("What the studs carry")}
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
      <span className="text-soft">{say("Studs")} </span>
      <WallField
        path="studs.width"
        label={say("How wide a stud is")}
        value={wall.studs.width ?? stud.width}
        onType={(width) => change(setStuds({ width }))}
      />
      <span className="text-soft"> {say("by")} </span>
      <WallField
        path="studs.depth"
        label={say("How deep a stud is")}
        value={wall.studs.depth ?? stud.depth}
        onType={(depth) => change(setStuds({ depth }))}
      />
      <span className="text-soft">{say(", the middle of the first")} </span>
      <WallField
        path="studs.first"
        label={say("Where the middle of the first stud is")}
        value={wall.studs.first ?? ""}
        placeholder={say("flush with the end")}
        onType={(first) => change(spaceFrom(first))}
      />
      <span className="text-soft">{say("; or their middles one by one:")} </span>
      <WallField
        path="studs.at"
        label={say("The middles of the studs, one by one")}
        value={typed}
        text
        placeholder={say("as they are spaced")}
        onType={(text) => {
          setTyped(text);
          change(placeStuds(text));
        }}
      />
      <span className="text-soft">{say(". Plates")} </span>
      <WallField
        path="plates.bottom"
        label={say("How thick the bottom plate is")}
        value={wall.plates?.bottom ?? plates.bottom}
        onType={(bottom) => change(setWall({ plates: { ...wall.plates, bottom } }))}
      />
      <span className="text-soft"> {say("and")} </span>
      <WallField
        path="plates.top"
        label={say("How thick the top plates are")}
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
        label={say("Name of opening {at}", { at: at + 1 })}
        value={opening.name}
        onType={(name) => change(setOpening(at, { name }))}
      />
      <span className="text-soft"> {say("from")} </span>
      <WallField
        path={`openings[${at}].begins`}
        label={say("Where {name} begins", { name: opening.name })}
        value={opening.begins}
        onType={(begins) => change(setOpening(at, { begins }))}
      />
      <span className="text-soft">, </span>
      <WallField
        path={`openings[${at}].width`}
        label={say("Width of {name}", { name: opening.name })}
        value={opening.width}
        onType={(width) => change(setOpening(at, { width }))}
      />
      <span className="text-soft"> {say("wide, sill at")} </span>
      <WallField
        path={`openings[${at}].sill`}
        label={say("Sill of {name}", { name: opening.name })}
        value={opening.sill ?? 0}
        onType={(sill) => change(setOpening(at, { sill }))}
      />
      <span className="text-soft">{say(", head at")} </span>
      <WallField
        path={`openings[${at}].head`}
        label={say("Head of {name}", { name: opening.name })}
        value={opening.head ?? usual("wall", "opening", wall.units).head}
        onType={(head) => change(setOpening(at, { head }))}
      />
      <RemoveButton
        label={say("Take out {name}", { name: opening.name })}
        run={() => change(removeOpening(at))}
      />
    </li>
  ));
}

function Corners() {
  const change = useWallChange();
  const corners = useWallDocument((wall) => wall.corners);
  return (corners ?? []).map((corner, at) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a corner has no name; its place is what it is
    <li key={at} className="relative pr-9" data-corner={at}>
      <span className="text-soft">{say("A corner at")} </span>
      <WallField
        path={`corners[${at}].at`}
        label={say("Where corner {at} is", { at: at + 1 })}
        value={corner.at}
        onType={(place) => change(setCorner(at, { at: place }))}
      />
      <span className="text-soft">, </span>
      <WallWord
        label={say("Which way corner {at} turns", { at: at + 1 })}
        value={corner.turns ?? "inside"}
        options={TURNS}
        onChange={(turns) => change(setCorner(at, { turns }))}
      />
      <RemoveButton
        label={say("Take out corner {at}", { at: at + 1 })}
        run={() => change(removeCorner(at))}
      />
    </li>
  ));
}

function AddToWall() {
  const change = useWallChange();
  return (
    <div className="flex gap-4">
      <Button weight="quiet" className="px-0" onClick={() => change(addOpening())}>
        {say("Add an opening")}
      </Button>
      <Button weight="quiet" className="px-0" onClick={() => change(addCorner())}>
        {say("Add a corner")}
      </Button>
    </div>
  );
}
