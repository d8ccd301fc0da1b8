// Where everything on the stick goes: its pages, its scale, and its labels, none colliding.
import { spread } from "@/geometry/spread";
import { canBeMade, type Mark, type Plan, workingMarks } from "@/model/document";
import { widthOf } from "@/ui/reading";

export const READING_SIZE = 19;
const TAG_SIZE = 12;
const GAP = 16;
const MARGIN = 20;

export type StickPage = {
  readonly from: number;
  readonly to: number;
  readonly marks: readonly Mark[];
};

export type Placed = {
  readonly mark: Mark;
  /** Where the mark is on the pipe, and where its label stands, in pixels. */
  readonly x: number;
  readonly label: number;
};

export type StickLayout = {
  readonly x: (position: number) => number;
  readonly scale: number;
  readonly left: number;
  readonly right: number;
  readonly placed: readonly Placed[];
  /** Where the cut is told; null where the pipe's end is on another page. */
  readonly cut: { readonly x: number; readonly label: number } | null;
};

function tagOf(plan: Plan, mark: Mark): string {
  return `${mark.bend + 1} · ${Math.round(plan.bends[mark.bend]?.angle ?? 0)}° ·`;
}

function labelWidth(plan: Plan, mark: Mark): number {
  return (
    Math.max(widthOf(mark.text, READING_SIZE), tagOf(plan, mark).length * TAG_SIZE * 0.6) + GAP
  );
}

/** The stick in as few pages as leave every label its room. */
export function stickPages(plan: Plan, width: number): StickPage[] {
  const room = width - 2 * MARGIN;
  const marks = workingMarks(plan).toSorted((a, b) => a.position - b.position);
  const cutRoom = widthOf(plan.cut_length_text, READING_SIZE) + GAP;
  const pages: Mark[][] = [[]];
  let used = 0;
  marks.forEach((mark, index) => {
    const own = labelWidth(plan, mark) + (index === marks.length - 1 ? cutRoom : 0);
    if (used + own > room && used > 0) {
      pages.push([]);
      used = 0;
    }
    pages.at(-1)?.push(mark);
    used += own;
  });
  let from = 0;
  return pages.map((own, index) => {
    const last = own.at(-1);
    const next = pages[index + 1]?.[0];
    const to = last && next ? (last.position + next.position) / 2 : plan.cut_length;
    const page = { from, to, marks: own };
    from = to;
    return page;
  });
}

export function layOutStick(plan: Plan, page: StickPage, width: number): StickLayout {
  const left = MARGIN;
  const right = width - MARGIN;
  const scale = (right - left) / Math.max(page.to - page.from, 1e-6);
  const x = (position: number) => left + (position - page.from) * scale;
  // Of a run that can't be made, no length is told to cut to.
  const showsEnd = page.to >= plan.cut_length && canBeMade(plan);
  const wanted = page.marks.map((mark) => x(mark.position));
  const widths = page.marks.map((mark) => labelWidth(plan, mark));
  if (showsEnd) {
    const own = widthOf(plan.cut_length_text, READING_SIZE) + GAP;
    wanted.push(right - own / 2);
    widths.push(own);
  }
  const centres = spread(wanted, widths, 4, width - 4);
  const placed = page.marks.map((mark, index) => ({
    mark,
    x: wanted[index] ?? 0,
    label: centres[index] ?? 0,
  }));
  const cut = showsEnd ? { x: right, label: centres.at(-1) ?? right } : null;
  return { x, scale, left, right, placed, cut };
}
