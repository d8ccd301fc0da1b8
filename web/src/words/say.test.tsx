import { render, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import { say, sayOf, sayParts, speak } from "./say";
import { sayWith } from "./sayWith";

it("English is spoken where nobody reads another language that there is", async () => {
  expect(await speak(["cs", "en-GB"])).toBe("en");
  expect(say("Piece {number} of {count}", { number: 2, count: 3 })).toBe("Piece 2 of 3");
  expect([1, 4].map((n) => sayOf(n, "{n} clicks once", "{n} clicks", { n }))).toEqual([
    "1 clicks once",
    "4 clicks",
  ]);
});

it("what stands in a sentence is drawn where its name is", () => {
  render(<p>{sayWith("Cut: {was} to {now}.", { was: <b>41</b>, now: 42 })}</p>);
  expect(screen.getByText("41").tagName).toBe("B");
  expect(screen.getByText("41").parentElement?.textContent).toBe("Cut: 41 to 42.");
  expect(sayParts("from {at}, going {side}", { at: 1, side: true })).toEqual([
    "from ",
    1,
    ", going ",
    true,
  ]);
});
