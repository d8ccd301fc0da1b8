import { beforeEach, expect, it, vi } from "vitest";
import { downloadJson } from "./downloadJson";

const saved: { name: string; blob: Blob }[] = [];
let last: Blob;

beforeEach(() => {
  saved.length = 0;
  URL.createObjectURL = (blob: Blob) => {
    last = blob;
    return "blob:1";
  };
  URL.revokeObjectURL = () => undefined;
  vi.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(function (
    this: HTMLAnchorElement,
  ) {
    saved.push({ name: this.download, blob: last });
  });
});
const text = (blob: Blob | undefined) =>
  new Promise((done) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result);
    reader.readAsText(blob as Blob);
  });

it("a document is written to be read, under a name that any disk takes", async () => {
  downloadJson({ walk: [] }, "Feed: bay 2/3");
  expect(saved[0]?.name).toBe("Feed-bay-2-3.json");
  expect(await text(saved[0]?.blob)).toBe('{\n  "walk": []\n}\n');
});

it("what is text already stays as it is", async () => {
  downloadJson('{"walk": [}', "half typed");
  expect(await text(saved[0]?.blob)).toBe('{"walk": [}');
});

it("one without a name is a draft", () => {
  downloadJson({}, "");
  expect(saved[0]?.name).toBe("draft.json");
});
