// The lines of holes, the ways out and the feeds of a framed wall as lists.

import { memo } from "react";
import { usual } from "@/documents/usual";
import {
  addFeed,
  addLine,
  addWayOut,
  type Feed,
  placeWayOut,
  removeFeed,
  removeLine,
  removeWayOut,
  setFeed,
  setLine,
  setWayOut,
  type WallDocument,
} from "@/model/walls";
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

/** None, the same each time. */
const NONE: readonly never[] = [];
const PLATES = [
  { value: "top", label: say("top") },
  { value: "bottom", label: say("bottom") },
] as const;

export function WallLines() {
  const change = useWallChange();
  const wall = useWallDocument(({ lines, ways_out, units }) => ({ lines, ways_out, units }));
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Lines of holes, ways out")}</h2>
      <ul className="grid gap-1.5">
        {wall.lines.map((line, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place while its name is typed
          <li key={at} className="relative pr-9" data-hole-line={at}>
            <WallField
              path={`lines[${at}].name`}
              label={say("Name of line {at}", { at: at + 1 })}
              value={line.name}
              onType={(name) => change(setLine(at, { name }))}
            />
            <span className="text-soft"> {say("at")} </span>
            <WallField
              path={`lines[${at}].height`}
              label={say("Height of line {name}", { name: line.name })}
              value={line.height}
              onType={(height) => change(setLine(at, { height }))}
            />
            <span className="text-soft">{say(", bored with")} </span>
            <WallField
              path={`lines[${at}].bit`}
              label={say("Bit of line {name}", { name: line.name })}
              value={line.bit ?? usual("wall", "line", wall.units).bit}
              onType={(bit) => change(setLine(at, { bit }))}
            />
            <span className="text-soft">, </span>
            <WallField
              path={`lines[${at}].setback`}
              label={say("How deep line {name} is", { name: line.name })}
              value={line.setback ?? usual("wall", "line", wall.units).setback}
              onType={(setback) => change(setLine(at, { setback }))}
            />
            <span className="text-soft"> {say("behind the face")}</span>
            <RemoveButton
              label={say("Take out line {name}", { name: line.name })}
              run={() => change(removeLine(at))}
            />
          </li>
        ))}
        {(wall.ways_out ?? []).map((out, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a way out is known by its place while its name is typed
          <li key={at} className="relative pr-9" data-way-out={at}>
            <WallField
              path={`ways_out[${at}].name`}
              label={say("Name of way out {at}", { at: at + 1 })}
              value={out.name}
              onType={(name) => change(setWayOut(at, { name }))}
            />
            <span className="text-soft">{say(", through the")} </span>
            <WallWord
              label={say("Plate of {name}", { name: out.name })}
              value={out.plate ?? "top"}
              options={PLATES}
              onChange={(plate) => change(setWayOut(at, { plate }))}
            />
            <span className="text-soft"> {say("plate at")} </span>
            <WallField
              path={`ways_out[${at}].at`}
              label={say("Where {name} is along the wall", { name: out.name })}
              value={out.at}
              placeholder={say("its box")}
              onType={(place) => change(placeWayOut(at, place))}
            />
            <RemoveButton
              label={say("Take out {name}", { name: out.name })}
              run={() => change(removeWayOut(at))}
            />
          </li>
        ))}
      </ul>
      <div className="flex gap-4">
        <Button weight="quiet" className="px-0" onClick={() => change(addLine())}>
          {say("Add a line of holes")}
        </Button>
        <Button weight="quiet" className="px-0" onClick={() => change(addWayOut())}>
          {say("Add a way out")}
        </Button>
      </div>
    </section>
  );
}

/** What a feed can go to, by name. */
function placesOf({ boxes, ways_out }: WallDocument): string[] {
  return [...boxes, ...(ways_out ?? [])].map(({ name }) => name);
}

export function WallFeeds() {
  const change = useWallChange();
  const feeds = useWallDocument((wall) => wall.feeds ?? NONE);
  const places = useWallDocument(placesOf);
  const fed = new Set(feeds.map(({ to }) => to));
  const unfed = places.slice(1).find((name) => !fed.has(name));
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Feeds")}</h2>
      <p className="pb-1 text-xs text-soft">
        {say("Tap one box of the drawing, then the one that it feeds.")}
      </p>
      <ul className="grid gap-1.5">
        {feeds.map((feed, at) => (
          <FeedRow key={feed.key || at} feed={feed} at={at} />
        ))}
      </ul>
      {places.length > 1 ? (
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => change(addFeed(places[0] ?? "", unfed ?? places[1] ?? ""))}
        >
          {say("Add a feed")}
        </Button>
      ) : null}
    </section>
  );
}

const FeedRow = memo(function FeedRow({ feed, at }: { feed: Feed; at: number }) {
  const change = useWallChange();
  const outs = useWallDocument((wall) => wall.ways_out ?? NONE);
  const lines = useWallDocument((wall) => wall.lines.map(({ name }) => name));
  const places = choices(useWallDocument(placesOf));
  const set = (fields: Partial<Feed>) => change(setFeed(at, fields));
  const straight = outs.some(
    ({ name, at: along }) => (name === feed.to || name === feed.from) && along === undefined,
  );
  return (
    <li className="relative pr-9" data-feed-line={at}>
      <WallWord
        path={`feeds[${at}].from`}
        label={say("Feed {at} from", { at: at + 1 })}
        value={feed.from}
        options={places}
        onChange={(from) => set({ from, from_knockout: "" })}
      />
      <Knockout end="from" feed={feed} at={at} />
      <span className="text-soft"> {say("to")} </span>
      <WallWord
        path={`feeds[${at}].to`}
        label={say("Feed {at} to", { at: at + 1 })}
        value={feed.to}
        options={places}
        onChange={(to) => set({ to, to_knockout: "" })}
      />
      <Knockout end="to" feed={feed} at={at} />
      {straight ? null : (
        <>
          <span className="text-soft"> {say("by line")} </span>
          <WallWord
            path={`feeds[${at}].line`}
            label={say("Line of feed {at}", { at: at + 1 })}
            value={feed.line || (lines[0] ?? "")}
            options={choices(lines)}
            onChange={(line) => set({ line })}
          />
        </>
      )}
      <span className="text-soft">{say(", with")} </span>
      <WallField
        path={`feeds[${at}].wires`}
        label={say("What is drawn into feed {at}", { at: at + 1 })}
        value={feed.wires}
        text
        placeholder={say("2 x 12 thhn")}
        onType={(wires) => set({ wires })}
      />
      <RemoveButton
        label={say("Take out feed {at}", { at: at + 1 })}
        run={() => change(removeFeed(at))}
      />
    </li>
  );
});

/** The knockout at an end of a feed: the one that Yarrow takes, or another by its name. */
function Knockout({ end, feed, at }: { end: "from" | "to"; feed: Feed; at: number }) {
  const change = useWallChange();
  const box = feed[end];
  const named = useWallChecks(
    ({ plan }) => plan?.boxes.find(({ name }) => name === box)?.knockouts ?? NONE,
  );
  const taken = useWallChecks(
    ({ plan }) => plan?.feeds.find(({ number }) => number === at)?.[`${end}_knockout`] ?? "",
  );
  const chosen = feed[`${end}_knockout`] ?? "";
  if (named.length === 0) {
    return null;
  }
  return (
    <span className="text-soft">
      {" ("}
      <WallWord
        path={`feeds[${at}].${end}_knockout`}
        label={say("Knockout of {feed}, feed {at}", { feed: feed[end], at: at + 1 })}
        value={chosen}
        options={[
          { value: "", label: chosen || !taken ? say("as Yarrow takes it") : taken },
          ...choices(named),
        ]}
        onChange={(name) => change(setFeed(at, { [`${end}_knockout`]: name }))}
      />
      {")"}
    </span>
  );
}
