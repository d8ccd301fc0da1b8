// What forms about boxes share: walls, sizes of raceways, letters, units.
import type { Wall } from "@/drawing/boxWalls";
import type { Units } from "@/model/document";
import { Choice } from "@/ui/Choice";
import { Select } from "@/ui/Select";

export const WALLS = [
  { value: "left", label: "left wall" },
  { value: "right", label: "right wall" },
  { value: "top", label: "top wall" },
  { value: "bottom", label: "bottom wall" },
] as const;

const SIZES = {
  in: ["1/2", "3/4", "1", "1-1/4", "1-1/2", "2", "2-1/2", "3", "3-1/2", "4", "5", "6"],
  mm: ["16", "20", "25", "32"],
} as const;

const RACEWAY_SIZES = {
  in: SIZES.in.map((value) => ({ value: value as string, label: value.replace("-", " ") })),
  mm: SIZES.mm.map((value) => ({ value: value as string, label: `${value} mm` })),
};

type SizeAndWall = {
  row: { readonly size: string; readonly wall: Wall };
  units: Units;
  set: (fields: { size?: string; wall?: Wall }) => void;
};

/** How large a raceway is, and the wall that it enters by. */
export function SizeAndWall({ row, units, set }: SizeAndWall) {
  return (
    <>
      <Select
        look="word"
        label="Size"
        value={row.size}
        options={RACEWAY_SIZES[units]}
        onChange={(size) => set({ size })}
      />
      <span className="text-soft">in the</span>
      <Select
        look="word"
        label="Wall"
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
      <Choice
        label="Units"
        value={value}
        options={[
          { value: "in", label: "Inches" },
          { value: "mm", label: "Millimetres" },
        ]}
        onChange={onChange}
      />
    </div>
  );
}
