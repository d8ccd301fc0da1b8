import { screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import { type Asked, drawPlanner, serve } from "@/testing/page";
import { TypedLine } from "./TypedLine";

const PIPE = { kind: "round", across: "1 5/8", at: "20" };

/** The core's part: one line is known, `du` could become a duct, all else wants a number. */
function read({ body }: Asked) {
  const { text } = body as { text: string };
  const duct = { text: "duct ", hint: "width x height" };
  return text === "pipe 1 5/8 at 20"
    ? { line: PIPE, expected: "", completions: [] }
    : { line: null, expected: "a length", completions: text === "du" ? [duct] : [] };
}

async function typed() {
  const asked = serve({ "POST /api/line": read });
  const drawn = drawPlanner(<TypedLine />);
  return { ...drawn, asked, field: await screen.findByRole<HTMLInputElement>("combobox") };
}

it("a whole line is taken with Enter, before the end", async () => {
  const { user, field, document, store } = await typed();
  await user.type(field, "pipe 1 5/8 at 20");
  await screen.findByText("Add it to the walk");
  await user.keyboard("{Enter}");
  await waitFor(() => expect(document().walk).toHaveLength(3));
  expect(document().walk?.[1]).toEqual(PIPE);
  expect([field.value, store.getState().selected]).toEqual(["", 1]);
});

it("what is still to come is said, and Enter takes nothing then", async () => {
  const { user, field, document } = await typed();
  await user.type(field, "pipe");
  await screen.findByText("Still to come: a length");
  await user.keyboard("{Enter}");
  expect([document().walk?.length, field.value]).toEqual([2, "pipe"]);
});

it("a completion is taken by Tab, and gone on from", async () => {
  const { user, field } = await typed();
  await user.type(field, "du");
  await screen.findByText("width x height");
  await user.keyboard("{ArrowDown}{Tab}");
  expect([field.value, document.activeElement]).toEqual(["duct ", field]);
});

it("what was said with Enter before it could be read comes back to be mended", async () => {
  const { user, field, document } = await typed();
  await user.type(field, "pipe 9{Enter}");
  await waitFor(() => expect(field.value).toBe("pipe 9"));
  expect(document().walk).toHaveLength(2);
});

it("that the server is not there is said", async () => {
  serve({});
  const { user } = drawPlanner(<TypedLine />);
  await user.type(await screen.findByRole("combobox"), "pipe");
  await screen.findByText("Still to come: There is no answer from the server.");
});
