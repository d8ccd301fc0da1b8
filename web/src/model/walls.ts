// What a person can change of a framed wall, as functions from document to document.
import type { Schemas } from "@/api/client";

export type WallDocument = Schemas["WallDocument"];
export type WallBox = WallDocument["boxes"][number];
export type HoleLine = WallDocument["lines"][number];
export type Feed = NonNullable<WallDocument["feeds"]>[number];
type Change = (wall: WallDocument) => WallDocument;

/** A wall to begin with: as framed walls usually are, with nothing in it. */
export function newWall(units: "in" | "mm"): WallDocument {
  const us = units === "in";
  return {
    format: "yarrow.wall/1",
    name: "New wall",
    units,
    conduit: us ? { type: "emt", size: "1/2" } : { type: "plastic", size: "20" },
    bender: us ? "hand-emt-1/2" : "heat-form-metric",
    length: us ? "16'" : 4800,
    height: us ? "8'" : 2400,
    studs: {},
    boxes: [],
    lines: [{ name: "A", height: us ? 40 : 1000 }],
    feeds: [],
  };
}

export function setWall(fields: Partial<WallDocument>): Change {
  return (wall) => ({ ...wall, ...fields });
}

export function setStuds(fields: Partial<WallDocument["studs"]>): Change {
  return (wall) => ({ ...wall, studs: { ...wall.studs, ...fields } });
}

export function addBox(): Change {
  return (wall) => {
    const box = {
      name: unused("Box", wall.boxes),
      stud: 2,
      height: wall.units === "in" ? 16 : 400,
    };
    return { ...wall, boxes: [...wall.boxes, box] };
  };
}

export function setBox(at: number, fields: Partial<WallBox>): Change {
  return (wall) => {
    const before = wall.boxes[at];
    const boxes = wall.boxes.map((box, place) => (place === at ? { ...box, ...fields } : box));
    // A feed goes with the box that it names.
    const feeds = (wall.feeds ?? []).map((feed) =>
      fields.name !== undefined && before
        ? {
            ...feed,
            from: feed.from === before.name ? fields.name : feed.from,
            to: feed.to === before.name ? fields.name : feed.to,
          }
        : feed,
    );
    return { ...wall, boxes, feeds };
  };
}

export function removeBox(at: number): Change {
  return (wall) => {
    const gone = wall.boxes[at]?.name;
    const feeds = (wall.feeds ?? []).filter(({ from, to }) => from !== gone && to !== gone);
    return { ...wall, boxes: wall.boxes.toSpliced(at, 1), feeds };
  };
}

export function addLine(): Change {
  return (wall) => {
    const line = { name: unused("Line", wall.lines), height: wall.units === "in" ? 72 : 1800 };
    return { ...wall, lines: [...wall.lines, line] };
  };
}

export function setLine(at: number, fields: Partial<HoleLine>): Change {
  return (wall) => {
    const before = wall.lines[at];
    const lines = wall.lines.map((line, place) => (place === at ? { ...line, ...fields } : line));
    const feeds = (wall.feeds ?? []).map((feed) =>
      fields.name !== undefined && before && feed.line === before.name
        ? { ...feed, line: fields.name }
        : feed,
    );
    return { ...wall, lines, feeds };
  };
}

export function removeLine(at: number): Change {
  return (wall) => ({ ...wall, lines: wall.lines.toSpliced(at, 1) });
}

export function addFeed(from: string, to: string): Change {
  return (wall) => ({
    ...wall,
    feeds: [...(wall.feeds ?? []), { from, to, line: wall.lines[0]?.name ?? "" }],
  });
}

export function setFeed(at: number, fields: Partial<Feed>): Change {
  return (wall) => ({
    ...wall,
    feeds: (wall.feeds ?? []).map((feed, place) => (place === at ? { ...feed, ...fields } : feed)),
  });
}

export function removeFeed(at: number): Change {
  return (wall) => ({ ...wall, feeds: (wall.feeds ?? []).toSpliced(at, 1) });
}

/** ``Box 3``: a name that none has yet. */
function unused(word: string, named: readonly { readonly name: string }[]): string {
  let number = named.length + 1;
  while (named.some(({ name }) => name === `${word} ${number}`)) {
    number += 1;
  }
  return `${word} ${number}`;
}
