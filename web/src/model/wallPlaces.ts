// Where a box or a line of holes of a framed wall is put when it is dragged or moved by keys.
import type { WallPlan } from "@/api/walls";

type Span = { readonly begins: number; readonly ends: number };
type Side = "left" | "right";

/** A box on a stud's face, or on the outside of an opening's frame; its height goes to its top. */
export type PlacedOnWall = { stud: number; beside: string; side: Side; height: number };

type PlacedOnFace = Omit<PlacedOnWall, "height">;

type Face = PlacedOnFace & { readonly at: number };

/** What a height is moved by, and dragged to: a step of the tape. */
export const STEP = { in: 0.5, mm: 10 } as const;

/** So near in steps to another height, it is level with that. */
const NEAR = 3;

export function middleOf({ begins, ends }: Span): number {
  return (begins + ends) / 2;
}

/** Every face that a box can stand against, from the left. */
function facesOf(plan: WallPlan): Face[] {
  const found: Face[] = [];
  const sides = (span: Span, stud: number, beside: string) => {
    found.push({ at: span.begins, stud, beside, side: "left" });
    found.push({ at: span.ends, stud, beside, side: "right" });
  };
  for (const stud of plan.studs) {
    if (stud.number > 0) {
      sides(stud, stud.number, "");
    }
  }
  const wide = plan.studs[0] ? 2 * (plan.studs[0].ends - plan.studs[0].begins) : 0;
  for (const { name, begins, ends } of plan.openings) {
    sides({ begins: begins - wide, ends: ends + wide }, 1, name);
  }
  return found.sort((one, other) => one.at - other.at);
}

/** The face that a box whose middle is dragged to a place stands against. */
export function faceAt(plan: WallPlan, box: Span, middle: number): PlacedOnFace {
  const half = (box.ends - box.begins) / 2;
  const off = ({ at, side }: Face) => Math.abs(middle - (side === "left" ? at - half : at + half));
  const faces = facesOf(plan);
  const nearest = faces.reduce((best, face) => (off(face) < off(best) ? face : best));
  return placedAt(nearest);
}

/** Where a new box stands whose top is wanted at a place of the wall. */
export function placedWhere(plan: WallPlan, along: number, up: number): PlacedOnWall {
  const tops = plan.boxes.map(({ top }) => top);
  const face = faceAt(plan, { begins: along, ends: along }, along);
  return { ...face, height: levelled(plan, up, tops) };
}

/** The face that a box stands against. */
export function faceOf(plan: WallPlan, box: Span & { readonly side: string }): PlacedOnFace {
  const own = box.side === "left" ? box.ends : box.begins;
  const here = ({ at, side }: Face) => side === box.side && Math.abs(at - own) < 1e-6;
  return placedAt(facesOf(plan).find(here) ?? { stud: 1, beside: "", side: "right" });
}

/** The next face to the left (-1) or the right (1) of one. */
export function nextFace(plan: WallPlan, from: PlacedOnFace, way: number): PlacedOnFace {
  const faces = facesOf(plan);
  const here = faces.findIndex(
    ({ stud, beside, side }) =>
      side === from.side && beside === from.beside && (beside !== "" || stud === from.stud),
  );
  const next = faces[Math.min(Math.max(here + way, 0), faces.length - 1)];
  return next ? placedAt(next) : from;
}

function placedAt({ stud, beside, side }: PlacedOnFace): PlacedOnFace {
  return { stud, beside, side };
}

/** A height on the tape's step, or level with another that is near. */
export function levelled(plan: WallPlan, height: number, others: readonly number[]): number {
  const step = STEP[plan.units];
  const near = others.find((other) => Math.abs(other - height) < NEAR * step);
  return near ?? Math.round(height / step) * step;
}
