import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Finding, Line, Plan, RunDocument } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { drawPlanner, RUN } from "@/testing/page";
import { WalkLine } from "./WalkLine";

const WALK: Line[] = [
  { kind: "offset", at: "33", rise: "4 3/8", toward: "left", angle: 30 },
  { kind: "turn", at: "70", toward: "left" },
  { kind: "end", at: "60" },
];
const of = (walk: Line[]): RunDocument => ({ ...RUN, walk });

function lineAt(index: number, more: Parameters<typeof drawPlanner>[1] = {}, walk = WALK) {
  const line = walk[index] as Line;
  const place = {
    index,
    last: index === walk.length - 1,
    nextToEnd: index === walk.length - 2,
    firstLeg: true,
  };
  return drawPlanner(<WalkLine line={line} {...place} />, { run: of(walk), ...more });
}
const kinds = (document: RunDocument) => document.walk?.map(({ kind }) => kind);

describe("moved by keys", () => {
  it.each([
    [1, "{Alt>}{ArrowUp}{/Alt}", ["turn", "offset", "end"], 0],
    [0, "{Alt>}{ArrowDown}{/Alt}", ["turn", "offset", "end"], 1],
    [0, "{Alt>}{Backspace}{/Alt}", ["turn", "end"], 0],
  ] as const)("line %i, %s", async (index, keys, walk, selected) => {
    const { user, document, store } = lineAt(index);
    await user.click(screen.getAllByRole("textbox")[0] as Element);
    await user.keyboard(keys);
    expect(kinds(document())).toEqual(walk);
    expect(store.getState().selected).toBe(selected);
  });

  it("not without Alt, and not the end", async () => {
    const one = lineAt(0);
    await one.user.click(screen.getAllByRole("textbox")[0] as Element);
    await one.user.keyboard("{ArrowDown}");
    expect(kinds(one.document())).toEqual(["offset", "turn", "end"]);
    one.unmount();
    const end = lineAt(2);
    await end.user.click(screen.getAllByRole("textbox")[0] as Element);
    await end.user.keyboard("{Alt>}{Backspace}{/Alt}");
    expect(kinds(end.document())).toEqual(["offset", "turn", "end"]);
  });
});

describe("its menu", () => {
  const names = () => screen.getAllByRole("menuitem").map((item) => item.textContent);
  const open = async (index: number) => {
    const drawn = lineAt(index);
    await drawn.user.click(screen.getByLabelText(`Line ${index + 1}: move, repeat, remove`));
    return drawn;
  };

  it("moves neither the first up nor what stands before the end down", async () => {
    const first = await open(0);
    expect(screen.getByText("Move up").closest("[role=menuitem]")).toHaveProperty(
      "ariaDisabled",
      "true",
    );
    first.unmount();
    await open(1);
    const down = screen.getByText("Move down").closest("[role=menuitem]");
    expect(down?.getAttribute("aria-disabled")).toBe("true");
  });

  it("neither moves, repeats nor removes the end", async () => {
    await open(2);
    expect(names().filter((name) => /Move|Duplicate|Remove/.test(name ?? ""))).toEqual([]);
  });

  it("repeats a line behind itself", async () => {
    const { user, document } = await open(0);
    await user.click(screen.getByText("Duplicate"));
    expect(kinds(document())).toEqual(["offset", "offset", "turn", "end"]);
  });

  it("lets a number float, and holds it again", async () => {
    const { user, document } = await open(0);
    await user.click(screen.getByText(/^Let its place float/));
    expect(document().walk?.[0]).toMatchObject({ loose: ["at"] });
  });
});

describe("what is said under it", () => {
  it("what nobody has measured yet, in the order of its sentence", () => {
    const line = { kind: "offset", at: "", rise: "", toward: "left" } as Line;
    lineAt(0, {}, [line, { kind: "end", at: "60" }]);
    expect(screen.getByRole("status").textContent).toBe("Still to be measured: how high, where");
  });

  it("what can't be read, by its field, where all is measured", () => {
    lineAt(0, { problems: { "walk[0].rise": "a length", "walk[1].at": "a number" } });
    expect(screen.getByText("Rise: expected a length")).toBeTruthy();
    expect(screen.queryByText(/expected a number/)).toBeNull();
  });

  it("what is found of it and of no other line", () => {
    const found = (feature: number, text: string): Finding => ({
      ...(GOLDEN.findings[0] as Finding),
      ...{ feature, text, level: "warning", path: "", source: "", remedy: null },
    });
    const plan: Plan = { ...GOLDEN, findings: [found(0, "too near"), found(1, "too far")] };
    lineAt(0, { plan });
    expect(screen.getByText("too near")).toBeTruthy();
    expect(screen.queryByText("too far")).toBeNull();
  });

  it("what its sums come to", () => {
    const plan: Plan = {
      ...GOLDEN,
      worked: [
        { path: "walk[0].at", text: "30 + 3 = 33" },
        { path: "walk[1].at", text: "60 + 10 = 70" },
      ] as Plan["worked"],
    };
    lineAt(0, { plan });
    expect(screen.getByText(/30 \+ 3/)).toBeTruthy();
    expect(screen.queryByText(/60 \+ 10/)).toBeNull();
  });

  it("what a number that floats became", () => {
    const line = { ...WALK[0], loose: ["at"] } as Line;
    const solved = [{ feature: 0, field: "at", became_text: "31 1/2" }] as Plan["solved"];
    lineAt(0, { plan: { ...GOLDEN, solved } }, [line, ...WALK.slice(1)]);
    expect(screen.getByText(/its place floats/).textContent).toContain("31 1/2");
  });
});

it("it is lit while it is worked on, and while its bend is pointed at", async () => {
  const { container, store, user } = lineAt(1, { plan: GOLDEN });
  const lit = () => container.querySelector("li")?.className.includes("border-l-accent");
  expect(lit()).toBe(false);
  await user.hover(container);
  store.getState().point(2);
  await screen.findByText("2");
  expect([lit(), GOLDEN.bends[2]?.feature]).toEqual([true, 1]);
});
