import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { draw } from "@/testing/page";
import { StillSaid } from "./StillSaid";

function said(waiting: string[], stuck: string | null) {
  const mend = vi.fn();
  const leaveOut = vi.fn();
  const of = { waiting, stuck, mend, leaveOut };
  return { mend, leaveOut, ...draw(<StillSaid {...of} />) };
}

it("what is being read is said in order", () => {
  said(["pipe 2", "duct 3 x 4"], null);
  expect(screen.getByRole("status").textContent).toBe("Being read: pipe 2, then duct 3 x 4");
});

it("what is stuck is mended in its own words; what was said behind it waits", async () => {
  const { user, mend } = said(["pype 2", "duct 3 x 4"], "pipe, duct or the like");
  expect(screen.getByText("Waiting for that: duct 3 x 4")).toBeTruthy();
  expect(screen.getByRole("alert").textContent).toContain("Expected pipe, duct or the like");
  const field = screen.getByLabelText<HTMLInputElement>("Say it in other words");
  await user.clear(field);
  await user.keyboard("{Enter}");
  expect(mend).not.toHaveBeenCalled();
  await user.type(field, "pipe 2{Enter}");
  expect(mend.mock.calls).toEqual([["pipe 2"]]);
});

it("or left out", async () => {
  const { user, leaveOut } = said(["pype 2"], "pipe");
  await user.click(screen.getByText("Leave it out"));
  expect(leaveOut).toHaveBeenCalledTimes(1);
});

it("nothing waits, nothing is said", () => {
  said([], null);
  expect(screen.queryByRole("status")).toBeNull();
});
