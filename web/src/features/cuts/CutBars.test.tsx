import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { CutsOfJob } from "@/api/stock";
import { draw, said } from "@/testing/page";
import golden from "../../../../contracts/golden/loft.cut-list.json";
import { CutBars } from "./CutBars";

type Cuts = NonNullable<CutsOfJob["conduits"][number]["cuts"]>;
type Bar = Cuts["bars"][number];
const LOFT = golden as unknown as Cuts;

const cut = (piece: number, name: string, begins: number, length: number) => ({
  ...{ piece, name, begins, length, takes: length + 0.0625, text: `${length}` },
});
const bar = (cuts: ReturnType<typeof cut>[], more: Partial<Bar> = {}): Bar => ({
  ...{ source: "stick", offcut: null, name: "", length: 120, length_text: "10'", kept: false },
  ...{ left: 10, left_text: "10", room: 120.0625, cuts },
  ...more,
});
const listed = () => [...document.querySelectorAll("[data-bar] > p:first-child")].map(said);
const puts = async (bars: Bar[], at: number) => {
  const together = vi.fn();
  const { user } = draw(<CutBars cuts={{ ...LOFT, findings: [], bars }} together={together} />);
  const menus = screen.queryAllByLabelText("Put another piece on this one");
  const menu = menus[at];
  if (menu) {
    await user.click(menu);
  }
  const names = screen.queryAllByRole("menuitem").map(({ textContent }) => textContent);
  return { user, together, names, menus };
};

it("sticks are counted, an offcut is called by its name, with what is left and worth keeping", () => {
  const bars = [
    bar([cut(0, "a", 0, 110)], { kept: true }),
    bar([cut(1, "b", 0, 120)], { left: 0 }),
    bar([cut(2, "c", 0, 30)], { source: "offcut", name: "by the door", length_text: "40 1/2" }),
  ];
  draw(<CutBars cuts={{ ...LOFT, findings: [], bars }} together={() => undefined} />);
  expect(listed()).toEqual([
    "Stick 1 of 210'10 left, keep it",
    "Stick 2 of 210'nothing left",
    "Offcut, by the door40 1/210 left",
  ]);
});

it("bars are to one scale: the longest as wide as there is room", () => {
  const bars = [bar([cut(0, "a", 30, 60)]), bar([cut(1, "b", 0, 30)], { length: 60 })];
  const { container } = draw(<CutBars cuts={{ ...LOFT, bars }} together={() => undefined} />);
  const wide = [...container.querySelectorAll("svg[role=img]")].map((svg) =>
    Number(svg.getAttribute("width")),
  );
  expect(wide).toEqual([800, 400]);
  const [first] = container.querySelectorAll("svg[role=img] g rect");
  // 30 of 120 from its beginning, 60 of 120 long.
  expect([first?.getAttribute("x"), first?.getAttribute("width")]).toEqual(["200", "400"]);
});

it("what has no room in its bar stands below, by its number", () => {
  const bars = [bar([cut(0, "long enough", 0, 100), cut(1, "a very short one", 100, 8)])];
  draw(<CutBars cuts={{ ...LOFT, bars }} together={() => undefined} />);
  const below = screen.getAllByRole("listitem").filter((item) => !item.hasAttribute("data-bar"));
  expect(below.map(said)).toEqual(["28a very short one"]);
});

it("a piece of another bar is put on one with those of its own that there is room for then", async () => {
  const bars = [
    bar([cut(0, "a", 0, 60), cut(1, "b", 60, 40), cut(2, "c", 100, 15)]),
    bar([cut(3, "d", 0, 50)]),
  ];
  const { user, together, names } = await puts(bars, 0);
  expect(names).toEqual([expect.stringContaining("d")]);
  await user.click(screen.getByRole("menuitem"));
  // 120 less 50 is 70: 60 goes beside it; of the rest neither 40 nor 15 does.
  expect(together).toHaveBeenCalledWith(["a", "d"]);
});

it("between two pieces there is a cut", async () => {
  const [half, less] = [cut(0, "a", 0, 60), cut(1, "b", 0, 60)];
  expect((await puts([bar([half]), bar([less])], 0)).menus).toEqual([]);
  const just = bar([cut(2, "c", 0, 59.9375)]);
  expect((await puts([bar([half]), just], 0)).names).toEqual([expect.stringContaining("c")]);
});

it("nothing is offered that no piece of this bar has room beside", async () => {
  const bars = [bar([cut(0, "a", 0, 100)]), bar([cut(1, "b", 0, 90)])];
  expect((await puts(bars, 0)).menus).toEqual([]);
});

it("nor a piece that is called as one of its own is", async () => {
  const bars = [bar([cut(0, "a", 0, 40)]), bar([cut(1, "a", 0, 40), cut(2, "b", 40, 20)])];
  const { names } = await puts(bars, 0);
  expect(names).toEqual([expect.stringContaining("b")]);
});
