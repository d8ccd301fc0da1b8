// A run's wires in another unit: what was typed keeps its meaning.
import type { RunDocument, Units } from "./document";

type Wires = NonNullable<RunDocument["wires"]>;
type Pull = NonNullable<Wires["pull"]>;

const LENGTHS = ["diameter", "width", "height"] as const;

/** Of lb/ft, lbf and lbf/ft in kg/m, N and N/m. */
const METRIC_OF = { mass: 1.488164, most_tension: 4.448222, most_side_wall: 14.5939 } as const;

const FIGURES = 6;

export function keptWires(wires: Wires, from: Units, keep: (value: unknown) => unknown): Wires {
  const conductors = wires.conductors?.map((conductor) => {
    const kept = LENGTHS.filter((field) => conductor[field] !== undefined).map((field) => [
      field,
      keep(conductor[field]),
    ]);
    return { ...conductor, ...Object.fromEntries(kept) };
  });
  return {
    ...wires,
    ...(conductors ? { conductors } : {}),
    ...(wires.pull ? { pull: keptPull(wires.pull, from) } : {}),
  };
}

function keptPull(pull: Pull, from: Units): Pull {
  const kept = Object.entries(METRIC_OF).flatMap(([field, factor]) => {
    const value = pull[field as keyof typeof METRIC_OF];
    const next = value === undefined ? 0 : from === "in" ? value * factor : value / factor;
    return value === undefined ? [] : [[field, Number(next.toPrecision(FIGURES))]];
  });
  return { ...pull, ...Object.fromEntries(kept) };
}
