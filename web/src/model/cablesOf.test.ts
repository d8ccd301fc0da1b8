import { expect, test } from "vitest";
import { cablesOf } from "./cablesOf";

const cables = [
  { kind: "fibre", name: "Hall – Kiosk" },
  { kind: "power", name: "Hall – Lock" },
] as Parameters<typeof cablesOf>[0]["cables"];

test("what lies in a duct is told by the site's own cables", () => {
  const duct = {
    cables: [
      [1, 2],
      [0, 12],
    ],
  } as Parameters<typeof cablesOf>[1];
  expect(cablesOf({ cables }, duct)).toEqual(["2 power, Hall – Lock", "12 fibre, Hall – Kiosk"]);
  expect(cablesOf({ cables }, { cables: [] })).toEqual([]);
});
