import { renderHook, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import type { RunDocument } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { type Asked, RUN, refusal, serve, within } from "@/testing/page";
import { usePlan } from "./usePlan";

const BROKEN: RunDocument = { ...RUN, name: "broken" };
const FULL: RunDocument = { ...RUN, name: "too much" };

function answer({ body }: Asked) {
  const { name } = body as RunDocument;
  const errors = [{ path: "walk[0].at", expected: "a length" }];
  return name === "broken"
    ? refusal(422, { code: "unreadable", errors })
    : name === "too much"
      ? refusal(503, { code: "busy", message: "Ask again." })
      : GOLDEN;
}

function plan(document: RunDocument, language: "en-US" | "en-GB" = "en-US") {
  const asked = serve({ "POST /api/plan": answer });
  const hook = renderHook(({ of }) => usePlan(of, language), {
    initialProps: { of: document },
    wrapper: ({ children }) => within(children),
  });
  return { asked, ...hook, now: () => hook.result.current };
}

it("is asked for in the job's language, and is of the document as it stands", async () => {
  const { now, asked } = plan(RUN, "en-GB");
  expect([now().planned.plan, now().current, now().readable]).toEqual([null, false, null]);
  await waitFor(() => expect(now().current).toBe(true));
  expect(asked[0]).toMatchObject({ path: "/api/plan?language=en-GB", body: RUN });
  expect([now().planned.plan?.cut_length_text, now().readable]).toEqual([
    GOLDEN.cut_length_text,
    true,
  ]);
});

it("what can't be read is said by its path, and the last plan stays, marked as old", async () => {
  const { now, rerender } = plan(RUN);
  await waitFor(() => expect(now().current).toBe(true));
  rerender({ of: BROKEN });
  await waitFor(() => expect(now().readable).toBe(false));
  const { plan: shown, stale, problems, refusal: about } = now().planned;
  expect([shown?.cut_length_text, stale, about]).toEqual([GOLDEN.cut_length_text, true, ""]);
  expect([...problems]).toEqual([["walk[0].at", "a length"]]);
});

it("a refusal of no field is told as it was worded", async () => {
  const { now } = plan(FULL);
  await waitFor(() => expect(now().planned.refusal).toBe("Ask again."));
  expect(now().planned.offline).toBe(false);
});

it("without a server it says so, and that is no refusal", async () => {
  serve({});
  const { result } = renderHook(() => usePlan(RUN, "en-US"), {
    wrapper: ({ children }) => within(children),
  });
  await waitFor(() => expect(result.current.planned.offline).toBe(true));
  expect(result.current.planned.refusal).toBe("");
});
