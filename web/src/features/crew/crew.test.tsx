import { screen, waitFor } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { RecordEntry } from "@/api/crew";
import { draw, refusal, serve } from "@/testing/page";
import CrewScreen from "./CrewScreen";
import { addressOf, doneInWords } from "./done";

const entry = (did: string, about: Record<string, unknown> = {}): RecordEntry => ({
  id: 1,
  at: "2026-12-01T10:00:00Z",
  who: "Wren",
  did,
  about,
  address: null,
});

const member = (id: number, name: string, more: object = {}) => ({
  id,
  username: name.toLowerCase(),
  name,
  role: "planner",
  there: true,
  last_signed_in: null,
  ...more,
});

const crew = (leads: boolean) => ({
  "GET /api/session": {
    csrf: "t",
    member: {
      username: "wren",
      name: "Wren",
      crew: "Heron",
      role: leads ? "lead" : "planner",
      may: leads ? ["see", "bend", "plan", "lead"] : ["see", "bend", "plan"],
    },
  },
  "GET /api/crew": {
    name: "Heron",
    members: [member(1, "Wren", { role: "lead" }), member(2, "Rook", { there: !leads })],
    invitations: leads
      ? [{ id: 7, role: "bender", email: "", made_by: "Wren", ends_at: "2026-12-08T10:00:00Z" }]
      : [],
  },
  "GET /api/crew/record": [entry("save_run", { run_id: "12" })],
});

it("what was done is a sentence with the thing that it was done to", () => {
  for (const [did, words] of [
    ["save_run", "Changed: a run"],
    ["create_wall", "Made: a wall"],
    ["restore_at_bench", "Took up an earlier version: a piece at the bench"],
    ["bring_back_box", "Brought back: a box"],
    ["remove_site", "Removed: ducts"],
    ["put_out", "Put somebody out of the crew"],
    ["save_snags", "Changed: snags"],
    ["backup", "backup"],
  ] as const) {
    expect(doneInWords(entry(did))).toBe(words);
  }
});

it("leads to what it was done to where that is a screen, and is still there", () => {
  expect(addressOf(entry("save_run", { run_id: "12", piece: "0" }))).toBe("/runs/12");
  expect(addressOf(entry("create_run", { job_id: "3" }))).toBe("/jobs/3");
  expect(addressOf(entry("remove_run", { run_id: "12" }))).toBe("");
  expect(addressOf(entry("invite"))).toBe("");
  expect(addressOf(entry("save_run", { run_id: "1/../2" }))).toBe("");
});

it("a lead changes what people are, lets them in again and withdraws invitations", async () => {
  const asked = serve({
    ...crew(true),
    "POST /api/crew/members/2/bring-back": member(2, "Rook"),
    "DELETE /api/crew/invitations/7": {},
    "PUT /api/crew/members/1": refusal(422, {
      code: "unreadable",
      errors: [{ path: "role", expected: "somebody else who leads the crew first" }],
    }),
  });
  const { user } = draw(<CrewScreen />);
  await user.click(await screen.findByRole("button", { name: "Let in again" }));
  await user.click(screen.getByRole("button", { name: "Withdraw" }));
  await user.click(screen.getByRole("combobox", { name: "What Wren is" }));
  await user.click(await screen.findByRole("option", { name: "Bender" }));
  expect((await screen.findByRole("alert")).textContent).toContain("who leads the crew first");
  const changes = asked.filter(({ method }) => method !== "GET");
  expect(changes.map(({ method, path, body }) => [method, path, body])).toEqual([
    ["POST", "/api/crew/members/2/bring-back", null],
    ["DELETE", "/api/crew/invitations/7", null],
    ["PUT", "/api/crew/members/1", { role: "bender" }],
  ]);
});

it("an invitation is a link to copy, shown once", async () => {
  const asked = serve({
    ...crew(true),
    "POST /api/crew/invitations": Response.json(
      { id: 8, path: "/enter#abc", ends_at: "2026-12-08T10:00:00Z", sent_to: "" },
      { status: 201 },
    ),
  });
  const { user } = draw(<CrewScreen />);
  const copied = vi.spyOn(navigator.clipboard, "writeText");
  await user.click(await screen.findByRole("button", { name: "Invite" }));
  await user.click(await screen.findByRole("radio", { name: /^Inspector/ }));
  await user.click(screen.getByRole("button", { name: "Make the link" }));
  await user.click(await screen.findByRole("button", { name: "Copy" }));
  expect(copied).toHaveBeenCalledWith(`${window.location.origin}/enter#abc`);
  const made = asked.find(({ path }) => path === "/api/crew/invitations");
  expect(made?.body).toEqual({ role: "inspector", email: "" });
});

it("who does not lead sees who is there, and nothing to change", async () => {
  const asked = serve(crew(false));
  draw(<CrewScreen />);
  await screen.findByText("Rook");
  expect(screen.queryByRole("button", { name: "Invite" })).toBeNull();
  expect(screen.queryByRole("combobox")).toBeNull();
  await waitFor(() => expect(asked.length).toBeGreaterThan(1));
  expect(asked.some(({ path }) => path.startsWith("/api/crew/record"))).toBe(false);
});
