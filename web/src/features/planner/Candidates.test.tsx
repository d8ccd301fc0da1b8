import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Candidate, Choice, Line, Plan } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { drawPlanner, RUN, said, serve } from "@/testing/page";
import { Candidates } from "./Candidates";

const way = (kind: string, angle: number, more: Partial<Candidate> = {}): Candidate =>
  ({
    ...{ id: `${kind} ${angle}`, kind, angle, bends: 3, degrees: 4 * angle, pull: 1.52 },
    ...{ fits: true, taken: false, usual: true, together: false, reason: `for ${kind} ${angle}` },
    ...{ path: "walk[0].pick", value: `${kind} ${angle}`, room_text: "12", pipe_text: "14" },
    ...{ before_text: "3", after_text: "", air_text: "", shape: [] },
    ...more,
  }) as unknown as Candidate;
const PIPE: Line = { kind: "round", across: "2", at: "30" };

function chosen(
  candidates: Candidate[],
  { plan: planned = {}, ...more }: Partial<Choice> & { plan?: Partial<Plan> } = {},
) {
  const choice = { feature: 0, by: "yarrow", together_with: null, candidates, ...more } as Choice;
  const plan: Plan = { ...GOLDEN, expected: [], ...planned, choices: [choice] };
  const run = { ...RUN, walk: [PIPE, { kind: "end", at: "60" } as Line] };
  return drawPlanner(<Candidates index={0} />, { plan, run });
}
const TAKEN = way("saddle3", 45, { taken: true });

it("what was taken is named, with how many ways there are", () => {
  chosen([TAKEN, way("saddle3", 30), way("saddle4", 30)]);
  expect(said(screen.getByRole("button"))).toBe("3-bend saddle 45°of 3");
  expect(screen.queryByText(/Yarrow's choice/)).toBeNull();
});

it("a way that is not the usual one says why, and who chose it", () => {
  const { unmount } = chosen([{ ...TAKEN, usual: false }, way("saddle4", 30)]);
  expect(screen.getByText(/^Yarrow's choice/).textContent).toContain("for saddle3 45");
  unmount();
  chosen([TAKEN, way("saddle4", 30)], { by: "person" });
  expect(screen.getByText(/^Your pick/)).toBeTruthy();
});

it("another is picked by a touch, where it stands in the document", async () => {
  const { user, document } = chosen([TAKEN, way("saddle4", 30)]);
  await user.click(screen.getByRole("button"));
  await user.click(screen.getAllByRole("radio")[1] as Element);
  expect(document().walk?.[0]).toEqual({ ...PIPE, pick: "saddle4 30" });
});

it("what fits stands first, and what does not says so", async () => {
  const { user } = chosen([way("saddle4", 60, { fits: false }), TAKEN]);
  await user.click(screen.getByRole("button"));
  expect(screen.getAllByRole("radio").map(said)).toEqual([
    "3-bend 45°bends 180°, pull ×1.512, usual",
    "4-bend 60°bends 240°, pull ×1.5does not fit",
  ]);
});

it("a person's pick is given back to Yarrow", async () => {
  const { user, document } = chosen([TAKEN, way("saddle4", 30)], { by: "person" });
  await user.click(screen.getByRole("button"));
  await user.click(screen.getByText("Let Yarrow choose"));
  expect(document().walk?.[0]).toEqual({ ...PIPE, pick: "" });
});

it("what is looked at tells of itself; till then what is taken does", async () => {
  const { user } = chosen([TAKEN, way("saddle4", 30, { after_text: "5", air_text: "1/2" })]);
  await user.click(screen.getByRole("button"));
  const detail = () => said(document.querySelector("p.px-1") as Element);
  expect(detail()).toMatch(/^3-bend saddle 45°\. for saddle3 45 Pipe 14, before 3\.$/);
  await user.hover(screen.getAllByRole("radio")[1] as Element);
  expect(detail()).toMatch(/Pipe 14, before 3, after 5, air 1\/2\.$/);
});

it("one that another line's bends go over leads there", () => {
  chosen([TAKEN], { together_with: 2 });
  expect(screen.getByText(/^Taken in one with line 3\./)).toBeTruthy();
});

it("a single way is not compared", () => {
  chosen([TAKEN]);
  expect(screen.getByRole<HTMLButtonElement>("button").disabled).toBe(true);
});

const LINE = { feature: 0, flat: 0.2, flat_text: "3/16", as_you_go: 0.1, as_you_go_text: "1/8" };
const EXPECTED = [
  { ...LINE, field: "at" },
  { ...LINE, field: "rise", flat: 0.4, flat_text: "7/16" },
  { ...LINE, field: "at", feature: 1, flat: 0.9, flat_text: "15/16" },
];

it("says how far the taken way may come out, and another's once that is looked at", async () => {
  const other = [{ ...LINE, field: "at", flat: 0.5, flat_text: "1/2" }];
  const asked = serve({ "POST /api/plan": { ...GOLDEN, expected: other } });
  const { user } = chosen([TAKEN, way("saddle4", 30), way("saddle4", 60, { fits: false })], {
    plan: { expected: EXPECTED },
  });
  await user.click(screen.getByRole("button"));
  expect(said(screen.getByRole("radiogroup"))).toContain("its rise comes out within ± 7/16.");
  expect(asked).toEqual([]);
  await user.hover(screen.getAllByRole("radio")[1] as Element);
  await screen.findByText(/its place comes out within/);
  expect(said(screen.getByRole("radiogroup"))).toContain("within ± 1/2.");
  expect(asked.map(({ body }) => (body as typeof RUN).walk?.[0])).toEqual([
    { ...PIPE, pick: "saddle4 30" },
  ]);
  await user.hover(screen.getAllByRole("radio")[2] as Element);
  expect(screen.queryByText(/comes out within/)).toBeNull();
});
