// What forms about boxes share: walls, sizes of raceways, letters, units.
import { useCatalogue } from "@/api/queries";
import type { Wall } from "@/drawing/boxWalls";
import type { Units } from "@/model/document";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";

export const WALLS = [
  { value: "left", label: say("left wall") },
  { value: "right", label: say("right wall") },
  { value: "top", label: say("top wall") },
  { value: "bottom", label: say("bottom wall") },
] as const;

type SizeAndWall = {
  row: { readonly size: string; readonly wall: Wall };
  units: Units;
  set: (fields: { size?: string; wall?: Wall }) => void;
};

/** How large a raceway is, and the wall that it enters by. */
export function SizeAndWall({ row, units, set }: SizeAndWall) {
  const raceways = useCatalogue().data?.raceways ?? [];
  return (
    <>
      <Select
        look="word"
        label={say("Size")}
        value={row.size}
        options={raceways
          .filter((raceway) => raceway.units === units)
          .map(({ size }) => ({
            value: size,
            label: units === "mm" ? `${size} mm` : size.replace("-", " "),
          }))}
        onChange={(size) => set({ size })}
      />
      <span className="text-soft">{say("in the")}</span>
      <Select
        look="word"
        label={say("Wall")}
        value={row.wall}
        options={WALLS}
        onChange={(wall) => set({ wall: wall as Wall })}
      />
    </>
  );
}

const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";

/** The first letter that is not taken. */
export function nextLetter(taken: readonly string[]): string {
  const free = [...LETTERS].find((letter) => !taken.includes(letter));
  return free ?? `A${taken.length}`;
}

type Props = { value: Units; onChange: (units: Units) => void };

export function UnitsChoice({ value, onChange }: Props) {
  return (
    <div>
      <SegmentedControl
        label={say("Units")}
        value={value}
        options={[
          { value: "in", label: say("Inches") },
          { value: "mm", label: say("Millimetres") },
        ]}
        onChange={onChange}
      />
    </div>
  );
}
