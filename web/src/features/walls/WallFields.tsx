// A framed wall as a list: its size and studs, its boxes, its lines of holes and its feeds.
import type { WallPlan } from "@/api/queries";
import {
  addBox,
  addLine,
  removeBox,
  removeFeed,
  removeLine,
  setBox,
  setFeed,
  setLine,
  setStuds,
  setWall,
  type WallDocument,
} from "@/model/walls";
import { wholeNumber } from "@/model/wholeNumber";
import { Button, IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { InlineInput } from "@/ui/InlineInput";
import { Select } from "@/ui/Select";

type Change = (next: (wall: WallDocument) => WallDocument) => void;

type Props = {
  wall: WallDocument;
  change: Change;
  problems: ReadonlyMap<string, string>;
  plan: WallPlan | null;
};

const SIDES = [
  { value: "left", label: "left" },
  { value: "right", label: "right" },
] as const;
const EDGES = [
  { value: "top", label: "top" },
  { value: "middle", label: "middle" },
  { value: "bottom", label: "bottom" },
] as const;

export function WallFields({ wall, change, problems, plan }: Props) {
  const levels = new Map(plan?.findings.map(({ path, level }) => [path, level]) ?? []);
  const field = (path: string, label: string, value: unknown, put: (text: string) => void) => (
    <InlineInput
      data-path={path}
      label={label}
      value={value === undefined ? "" : String(value)}
      problem={problems.get(path)}
      level={levels.get(path)}
      onType={put}
    />
  );
  const boxes = wall.boxes.map(({ name }) => ({ value: name, label: name }));
  return (
    <div className="grid gap-5 text-sm leading-relaxed">
      <p>
        {field("length", "Length of the wall", wall.length, (length) =>
          change(setWall({ length })),
        )}{" "}
        long,{" "}
        {field("height", "Height of the wall", wall.height, (height) =>
          change(setWall({ height })),
        )}{" "}
        high; studs every{" "}
        {field(
          "studs.spacing",
          "Spacing of the studs",
          wall.studs.spacing ?? USUAL[wall.units],
          (spacing) => change(setStuds({ spacing })),
        )}
        , and they{" "}
        <Select
          look="word"
          label="What the studs carry"
          value={(wall.studs.bearing ?? true) ? "yes" : "no"}
          options={[
            { value: "yes", label: "carry a load" },
            { value: "no", label: "carry none" },
          ]}
          onChange={(carries) => change(setStuds({ bearing: carries === "yes" }))}
        />
        .
      </p>
      <section>
        <h2 className="pb-1 font-semibold text-soft">Boxes</h2>
        <ul className="grid gap-1">
          {wall.boxes.map((box, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a box is known by its place while its name is typed
            <li key={at} className="relative pr-9" data-box={at}>
              {field(`boxes[${at}].name`, `Name of box ${at + 1}`, box.name, (name) =>
                change(setBox(at, { name })),
              )}
              <span className="text-soft">, on the </span>
              <Select
                look="word"
                label={`Side of the stud, ${box.name}`}
                value={box.side ?? "right"}
                options={[...SIDES]}
                onChange={(side) => change(setBox(at, { side: side as "left" }))}
              />
              <span className="text-soft"> of stud </span>
              {field(`boxes[${at}].stud`, `Stud of ${box.name}`, box.stud, (stud) =>
                change(setBox(at, { stud: wholeNumber(stud) })),
              )}
              <span className="text-soft">, its </span>
              <Select
                look="word"
                label={`What its height goes to, ${box.name}`}
                value={box.to ?? "top"}
                options={[...EDGES]}
                onChange={(to) => change(setBox(at, { to: to as "top" }))}
              />
              <span className="text-soft"> at </span>
              {field(`boxes[${at}].height`, `Height of ${box.name}`, box.height, (height) =>
                change(setBox(at, { height })),
              )}
              <Remove label={`Take out ${box.name}`} run={() => change(removeBox(at))} />
            </li>
          ))}
        </ul>
        <Button weight="quiet" className="px-0" onClick={() => change(addBox())}>
          Add a box
        </Button>
      </section>
      <section>
        <h2 className="pb-1 font-semibold text-soft">Lines of holes</h2>
        <ul className="grid gap-1">
          {wall.lines.map((line, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place while its name is typed
            <li key={at} className="relative pr-9" data-hole-line={at}>
              {field(`lines[${at}].name`, `Name of line ${at + 1}`, line.name, (name) =>
                change(setLine(at, { name })),
              )}
              <span className="text-soft"> at </span>
              {field(`lines[${at}].height`, `Height of line ${line.name}`, line.height, (height) =>
                change(setLine(at, { height })),
              )}
              <span className="text-soft">, bored with </span>
              {field(
                `lines[${at}].bit`,
                `Bit of line ${line.name}`,
                line.bit ?? BIT[wall.units],
                (bit) => change(setLine(at, { bit })),
              )}
              <Remove label={`Take out line ${line.name}`} run={() => change(removeLine(at))} />
            </li>
          ))}
        </ul>
        <Button weight="quiet" className="px-0" onClick={() => change(addLine())}>
          Add a line of holes
        </Button>
      </section>
      <section>
        <h2 className="pb-1 font-semibold text-soft">Feeds</h2>
        <p className="pb-1 text-xs text-soft">
          Tap one box of the drawing, then the one that it feeds.
        </p>
        <ul className="grid gap-1">
          {(wall.feeds ?? []).map((feed, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a feed has no name; its place is what it is
            <li key={at} className="relative pr-9" data-feed-line={at}>
              <Select
                look="word"
                label={`Feed ${at + 1} from`}
                value={feed.from}
                options={boxes}
                onChange={(from) => change(setFeed(at, { from }))}
              />
              <span className="text-soft"> to </span>
              <Select
                look="word"
                label={`Feed ${at + 1} to`}
                value={feed.to}
                options={boxes}
                onChange={(to) => change(setFeed(at, { to }))}
              />
              <span className="text-soft"> by line </span>
              <Select
                look="word"
                label={`Line of feed ${at + 1}`}
                value={feed.line || (wall.lines[0]?.name ?? "")}
                options={wall.lines.map(({ name }) => ({ value: name, label: name }))}
                onChange={(line) => change(setFeed(at, { line }))}
              />
              <Remove label={`Take out feed ${at + 1}`} run={() => change(removeFeed(at))} />
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

const USUAL = { in: 16, mm: 400 } as const;
const BIT = { in: 1, mm: 28 } as const;

function Remove({ label, run }: { label: string; run: () => void }) {
  return (
    <span className="absolute top-0 right-0">
      <IconButton label={label} onClick={run}>
        <Icon name="close" className="size-4" />
      </IconButton>
    </span>
  );
}
