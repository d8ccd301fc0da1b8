import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Finding } from "@/model/document";
import { drawPlanner, serve } from "@/testing/page";
import { Findings } from "./Findings";

const finding = (remedy: Partial<NonNullable<Finding["remedy"]>> | null): Finding =>
  ({
    ...{ code: "arcs-overlap", level: "error", text: "They overlap.", source: "a table", remedy },
  }) as unknown as Finding;

it("how grave it is, what it is and where that is written", () => {
  drawPlanner(<Findings findings={[finding(null)]} />);
  const row = document.querySelector("[data-finding='arcs-overlap']");
  expect(row?.textContent).toBe("error: They overlap.a table");
  expect(screen.queryByRole("button")).toBeNull();
});

it("its remedy is one touch: the field with the value that mends it", async () => {
  const remedy = { label: "Make it 5", path: "walk[0].rise", value: "5" };
  const { user, document: now } = drawPlanner(<Findings findings={[finding(remedy)]} />);
  await user.click(screen.getByText("Make it 5"));
  expect(now().walk?.[0]).toMatchObject({ kind: "offset", rise: "5", at: "33" });
});

it("another size of conduit brings a bender that takes it", async () => {
  const bender = (id: string, size: string) => ({ id, takes: [{ type: "emt", size }] });
  serve({
    "GET /api/catalogue": {
      benders: [bender("hand-emt-1/2", "1/2"), bender("hand-emt-3/4", "3/4")],
    },
  });
  const remedy = { label: "Take 3/4", path: "conduit.size", value: "3/4" };
  const { user, document: now } = drawPlanner(<Findings findings={[finding(remedy)]} />);
  await user.click(await screen.findByText("Take 3/4"));
  expect(now().conduit).toEqual({ type: "emt", size: "3/4" });
  expect(now().bender).toBe("hand-emt-3/4");
});
