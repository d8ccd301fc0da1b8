// What a box is and what is in it: wires by what they do there, grounds, devices, clamps.
import { useState } from "react";
import type { Schemas } from "@/api/client";
import { useCatalogue } from "@/api/queries";
import { CountField } from "@/features/wires/CountField";
import { type Fields, sizeName } from "@/model/wires";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say, sayOf } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { asNumber } from "./fieldValues";
import { Rows } from "./Rows";

export type BoxDocument = Schemas["BoxDocument"];
type Wires = NonNullable<BoxDocument["conductors"]>[number];
type Device = NonNullable<BoxDocument["devices"]>[number];

const DOES = {
  ends: say("end or are spliced"),
  passes: say("pass through"),
  loops: say("pass with a loop, 12 in or more"),
  inside: "stay inside",
} as const satisfies Partial<Record<keyof Wires, string>>;

type Does = keyof typeof DOES;

type Props = { document: BoxDocument; change: (fields: Fields<BoxDocument>) => void };

/** `bare`: wires, grounds and terminals come from elsewhere. */

export function BoxFields({ document, change, bare = false }: Props & { bare?: boolean }) {
  return (
    <>
      <WhichBox document={document} change={change} />
      {bare ? null : <WireFields document={document} change={change} />}
      <Rows
        title={say("Devices")}
        add={say("A device")}
        rows={document.devices ?? []}
        fresh={(): Device => ({ size: "12", count: 1 })}
        onChange={(devices) => change({ devices })}
      >
        {(row, set) => (
          <>
            <Counted row={row} set={set} />
            <Select
              look="word"
              label={say("How wide")}
              value={String(row.gangs ?? 1)}
              options={[1, 2, 3].map((gangs) => ({
                value: String(gangs),
                label: sayOf(gangs, "one gang wide", "{gangs} gangs wide", { gangs }),
              }))}
              onChange={(gangs) => set({ gangs: Number(gangs) })}
            />
          </>
        )}
      </Rows>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Checkbox checked={document.clamps ?? false} onChange={(clamps) => change({ clamps })}>
          {say("Cable clamps inside")}
        </Checkbox>
        <span className="flex items-center gap-2">
          {sayWith("{fittings} support fittings", {
            fittings: (
              <CountField
                label={say("Support fittings")}
                least={0}
                value={document.fittings ?? 0}
                onChange={(fittings) => change({ fittings })}
              />
            ),
          })}
        </span>
      </div>
    </>
  );
}

function WireFields({ document, change }: Props) {
  return (
    <>
      <Rows
        title={say("Wires")}
        add={say("Wires")}
        rows={wireRows(document.conductors ?? [])}
        fresh={() => ({ size: "12", does: "ends" as Does, count: 1 })}
        onChange={(rows) => change({ conductors: rows.map(asWires) })}
      >
        {(row, set) => (
          <>
            <Counted row={row} set={set} />
            <Select
              look="word"
              label={say("What they do here")}
              value={row.does}
              options={Object.entries(DOES).map(([value, label]) => ({ value, label }))}
              onChange={(does) => set({ does: does as Does })}
            />
          </>
        )}
      </Rows>
      <Rows
        title={say("Equipment grounds")}
        add={say("Grounds")}
        rows={document.grounds ? [document.grounds] : []}
        fresh={() => ({ size: "12", count: 1 })}
        onChange={(rows) => change({ grounds: rows.at(-1) })}
      >
        {(row, set) => <Counted row={row} set={set} />}
      </Rows>
      <Rows
        title={say("Terminal blocks")}
        add={say("A terminal block")}
        rows={document.terminals ?? []}
        fresh={() => ({ size: "12", count: 1 })}
        onChange={(terminals) => change({ terminals })}
      >
        {(row, set) => <Counted row={row} set={set} />}
      </Rows>
    </>
  );
}

type Counting = { size: string; count: number };

function Counted({ row, set }: { row: Counting; set: (fields: Partial<Counting>) => void }) {
  return (
    <>
      <CountField
        label={say("How many")}
        least={0}
        value={row.count}
        onChange={(count) => set({ count })}
      />
      <Size value={row.size} onChange={(size) => set({ size })} />
    </>
  );
}

/** A wire size that boxes go by volume for. */
export function Size({ value, onChange }: { value: string; onChange: (size: string) => void }) {
  const known = useCatalogue().data?.box_wires ?? [];
  const options = known.map(({ size }) => ({ value: size, label: sizeName(size) }));
  return (
    <Select look="word" label={say("Size")} value={value} options={options} onChange={onChange} />
  );
}

const STAMPED = "stamped";
const BODY = "body";
const STAMPS = [
  ["volume", say("Volume, in³")],
  ["inside", say("Its cross-section, in²")],
  ["conduit", say("Largest conduit, in²")],
] as const;
const NEW_STAMPED = { volume: 24 };
const NEW_BODY = { volume: 12, inside: 0.9, conduit: 0.304 };

function WhichBox({ document, change }: Props) {
  const boxes = useCatalogue().data?.boxes ?? [];
  const { box } = document;
  const standard = boxes.find(({ id }) => id === box);
  return (
    <div className="grid gap-2">
      <div>
        <Select
          label={say("Box")}
          value={typeof box === "string" ? box : box.inside === undefined ? STAMPED : BODY}
          options={[
            ...boxes.map(({ id, name, volume }) => ({
              value: id,
              label: name,
              hint: `${volume} in³`,
            })),
            { value: STAMPED, label: say("volume stamped on it") },
            { value: BODY, label: say("conduit body, stamped") },
          ]}
          onChange={(next) =>
            change({
              box: next === STAMPED ? NEW_STAMPED : next === BODY ? NEW_BODY : next,
              gangs: 1,
            })
          }
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        {typeof box === "string"
          ? null
          : STAMPS.filter(([field]) => box[field] !== undefined).map(([field, label]) => (
              <TextField
                key={field}
                label={label}
                inputMode="decimal"
                value={String(box[field])}
                onChange={(event) =>
                  change({ box: { ...box, [field]: asNumber(event.target.value) ?? 0 } })
                }
              />
            ))}
        {standard?.per_gang ? (
          <TextField
            label={say("Gangs")}
            inputMode="numeric"
            value={String(document.gangs ?? 1)}
            onChange={(event) => change({ gangs: asNumber(event.target.value) ?? 1 })}
          />
        ) : null}
        <RingField document={document} change={change} />
      </div>
    </div>
  );
}

function RingField({ document, change }: Props) {
  const rings = (document.rings ?? []).join(" + ");
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label={say("Rings on it, in³")}
      placeholder={say("none, or 6.5 + 3")}
      value={typed ?? rings}
      onBlur={() => setTyped(null)}
      onChange={(event) => {
        setTyped(event.target.value);
        const rings = event.target.value.split("+").filter((ring) => ring.trim());
        change({ rings: rings.map((ring) => asNumber(ring) ?? 0) });
      }}
    />
  );
}

type WireRow = { size: string; does: Does; count: number };

/** A line for each thing that wires of a size do. */
function wireRows(wires: readonly Wires[]): WireRow[] {
  return wires.flatMap((each) => {
    const rows = (Object.keys(DOES) as Does[])
      .filter((does) => each[does] !== undefined)
      .map((does) => ({ size: each.size, does, count: each[does] ?? 0 }));
    return rows.length > 0 ? rows : [{ size: each.size, does: "ends" as const, count: 0 }];
  });
}

function asWires({ size, does, count }: WireRow): Wires {
  return { size, [does]: count };
}
