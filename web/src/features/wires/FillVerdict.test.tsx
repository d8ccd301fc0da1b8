import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { FillResult } from "@/model/wires";
import { draw, said } from "@/testing/page";
import golden from "../../../../contracts/golden/twelves.fill.json";
import { FillDetails, FillVerdict, fillHeadline } from "./FillVerdict";

const FILL = golden as unknown as FillResult;
const finding = (code: string, level: "warning" | "note") => ({ code, level }) as never;
const status = () => said(screen.getByRole("status"));
const facts = () => {
  const words = [...document.querySelectorAll("dt, dd")].map(said);
  return Object.fromEntries(words.flatMap((word, at) => (at % 2 ? [] : [[word, words[at + 1]]])));
};

describe("whether it goes in", () => {
  it("in words, with its share, its areas and the rule that it goes by", () => {
    draw(<FillVerdict fill={FILL} />);
    // Nine 12 thhn of 0.0133 in² each in 40 % of 0.533 in².
    expect(status()).toMatch(/^It goes in56 % of what is allowed in .*: 0.1197 of 0.2132 in²/);
    expect(status()).toMatch(/\(2023\)\. Local code decides\.$/);
  });

  it("a lost spare is a warning that says so, and no green tick", () => {
    const lost = { ...FILL, findings: [finding("spare-not-kept", "warning")] };
    expect(fillHeadline(lost)).toEqual({
      stands: "spare",
      word: "It goes in, the spare is not kept",
    });
  });

  it("another warning stands over it", () => {
    const findings = [finding("spare-not-kept", "warning"), finding("jam", "warning")];
    expect(fillHeadline({ ...FILL, findings })).toEqual({ stands: "warned", word: "It goes in" });
  });

  it("what does not go in is full, whatever else there is to say", () => {
    const findings = [finding("spare-not-kept", "warning")];
    const full = fillHeadline({ ...FILL, passes: false, findings });
    expect(full).toEqual({ stands: "full", word: "It does not go in" });
  });

  it("factors and square millimetres have no places behind the point", () => {
    draw(<FillVerdict fill={{ ...FILL, amount: "factor", used: 271.4, limit: 404 }} />);
    expect(status()).toContain("271 of 404 by factor");
  });
});

describe("the figures", () => {
  it("room left, and what is kept free of it", () => {
    draw(<FillDetails fill={{ ...FILL, left: 0.0935, spare: 20 }} />);
    expect(facts()["Room left"]).toBe("0.0935 in², 20 % kept free");
  });

  it("none where nothing is left", () => {
    draw(<FillDetails fill={{ ...FILL, left: 0, spare: 0 }} />);
    expect(facts()["Room left"]).toBe("none");
  });

  it("the least bend radius, and that of other tools where it is another", () => {
    const conduit = { ...FILL.conduit, least_radius: 4.5, least_radius_other: 5, units: "in" };
    draw(<FillDetails fill={{ ...FILL, conduit } as FillResult} />);
    expect(facts()["Least bend radius"]).toBe("4.5 in, 5 off a one-shot or full shoe");
  });

  it("what the other way says, or why it says nothing", () => {
    const beside = { passes: false, share: 1.204, text: "as 20 mm" } as FillResult["beside"];
    const { unmount } = draw(<FillDetails fill={{ ...FILL, beside }} />);
    expect(facts()["The other way"]).toBe("does not go in, 120 % of what is allowed. as 20 mm.");
    unmount();
    draw(<FillDetails fill={{ ...FILL, beside: { ...beside, passes: null } as never }} />);
    expect(facts()["The other way"]).toBe("as 20 mm");
  });

  it("the smallest that passes of each type; none where none does", () => {
    const by_type = [
      { type: "emt", name: "thin wall", size: "1/2" },
      { type: "rmc", name: "rigid", size: null },
    ];
    draw(<FillDetails fill={{ ...FILL, by_type } as FillResult} />);
    expect(facts()["Smallest that passes"]).toBe("1/2 thin wallnone rigid");
  });
});
