import { expect, test } from "vitest";
import { expectedInWords, placeInWords } from "./inWords";

const WALL = {
  boxes: [{ name: "Sink" }, { name: "" }],
  feeds: [{ from: "Sink", to: "Panel", line: "low" }],
};

test("a row is called by its name, by its ends, or by its number", () => {
  expect(placeInWords("boxes[0].stud", WALL)).toBe("Box Sink, stud");
  expect(placeInWords("boxes[1].stud", WALL)).toBe("Box 2, stud");
  expect(placeInWords("feeds[0].line", WALL)).toBe("Feed Sink to Panel, its line");
  expect(placeInWords("boxes[0].stud")).toBe("Box 1, stud");
  expect(placeInWords("lines[2].height", {})).toBe("Line of holes 3, height");
});

test("what has words of its own has those", () => {
  expect(expectedInWords("archive", "a zip file that is whole")).toBe(
    "The job's file: expected a zip file that is whole",
  );
  expect(expectedInWords("text", "a wire")).toBe("Expected a wire");
  expect(placeInWords("studs.first")).toBe("Studs, first");
});
