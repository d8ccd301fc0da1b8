import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { draw, rows } from "@/testing/page";
import golden from "../../../../contracts/golden/four-square.box.json";
import { BoxSum } from "./BoxSum";
import type { BoxResult } from "./boxResult";

const BOX = golden as unknown as BoxResult;

it("every allowance is a row, and they add up to what is needed", () => {
  draw(<BoxSum answer={BOX} />);
  // Nine 12s and a device of two of them: 11 of 2.25 in³.
  expect(rows().slice(1)).toEqual([
    expect.stringMatching(/\| 9 \| .*12.* \| 2\.25 \| 20\.25$/),
    expect.stringMatching(/\| 2 \| .*12.* \| 2\.25 \| 4\.50$/),
    "Needed | 24.75",
  ]);
});

it("one that is too small offers the smallest of its shape, else the smallest of all", async () => {
  const take = vi.fn();
  const small = {
    ...BOX,
    passes: false,
    smallest: "A",
    smallest_name: "Box A",
    smallest_alike: "B",
  };
  const { user, unmount } = draw(<BoxSum answer={small} take={take} />);
  await user.click(screen.getByRole("button", { name: "Take B" }));
  expect(take).toHaveBeenCalledWith("B");
  unmount();
  draw(<BoxSum answer={{ ...small, smallest_alike: null }} take={take} />);
  expect(screen.getByRole("button", { name: "Take A" })).toBeTruthy();
});

it("one that does is not changed for another", () => {
  draw(<BoxSum answer={{ ...BOX, passes: true, smallest: "A" }} take={() => undefined} />);
  expect(screen.queryByRole("button")).toBeNull();
});

it("that no standard box is large enough is said", () => {
  const none = { ...BOX, passes: false, smallest: null, smallest_name: "", smallest_alike: null };
  draw(<BoxSum answer={none} take={() => undefined} />);
  expect(screen.getByText("none is large enough")).toBeTruthy();
});

it("what would make it do is a list", () => {
  draw(<BoxSum answer={{ ...BOX, to_pass: ["a ring", "an extension"] }} />);
  expect(screen.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual([
    "a ring",
    "an extension",
  ]);
});
