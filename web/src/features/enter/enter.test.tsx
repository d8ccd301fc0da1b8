import { screen } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import { draw, refusal, serve } from "@/testing/page";
import EnterScreen from "./EnterScreen";

const opened = (more: object = {}) => ({
  invites: true,
  crew: "Heron",
  role: "bender",
  username: "",
  email: "",
  ends_at: "2026-12-08T10:00:00Z",
  ...more,
});

beforeEach(() => window.history.replaceState(null, "", "/enter#the-key"));

it("an invitation says into what and as what, and is sent with what was typed", async () => {
  const asked = serve({
    "POST /api/link": opened(),
    "POST /api/link/join": Response.json({ csrf: "t", member: null }, { status: 201 }),
  });
  const done = vi.fn();
  const { user } = draw(<EnterScreen done={done} />);
  expect(await screen.findByRole("heading", { name: "Come into Heron" })).toBeTruthy();
  expect(screen.getByText(/^As bender\./)).toBeTruthy();
  await user.type(screen.getByLabelText("Your name, as the crew sees it"), "Dunlin Ashe");
  await user.type(screen.getByLabelText("Name to sign in with"), "dunlin");
  await user.type(screen.getByLabelText("New password"), "sedge-warbler-9");
  await user.click(screen.getByRole("button", { name: "Come in" }));
  await vi.waitFor(() => expect(done).toHaveBeenCalled());
  expect(asked.at(-1)?.body).toEqual({
    key: "the-key",
    username: "dunlin",
    name: "Dunlin Ashe",
    password: "sedge-warbler-9",
  });
});

it("a password link knows whose it is, and asks for the code where one is wanted", async () => {
  let tries = 0;
  const asked = serve({
    "POST /api/link": opened({ invites: false, username: "rook" }),
    "POST /api/link/password": () =>
      tries++ === 0
        ? refusal(403, { code: "second-factor", message: "Type the six digits." })
        : { csrf: "t", member: null },
  });
  const done = vi.fn();
  const { user } = draw(<EnterScreen done={done} />);
  const name = await screen.findByLabelText("Name to sign in with");
  expect((name as HTMLInputElement).value).toBe("rook");
  expect((name as HTMLInputElement).readOnly).toBe(true);
  await user.type(screen.getByLabelText("New password"), "sedge-warbler-9");
  expect(screen.queryByLabelText("Code on your phone")).toBeNull();
  await user.click(screen.getByRole("button", { name: "Take this password" }));
  const code = await screen.findByLabelText("Code on your phone");
  expect(document.activeElement).toBe(code);
  await user.keyboard("123456");
  await user.click(screen.getByRole("button", { name: "Take this password" }));
  await vi.waitFor(() => expect(done).toHaveBeenCalled());
  expect(asked.at(-1)?.body).toEqual({
    key: "the-key",
    password: "sedge-warbler-9",
    code: "123456",
  });
});

it("a link that lets nobody in says why, and leads to the door", async () => {
  const asked = serve({
    "POST /api/link": refusal(403, { code: "link-ended", message: "This link has ended." }),
  });
  const done = vi.fn();
  const { user } = draw(<EnterScreen done={done} />);
  expect((await screen.findByRole("alert")).textContent).toBe("This link has ended.");
  expect(asked.at(-1)?.body).toEqual({ key: "the-key" });
  window.location.hash = "another";
  await vi.waitFor(() => expect(asked.at(-1)?.body).toEqual({ key: "another" }));
  await user.click(screen.getByRole("button", { name: "To the door" }));
  expect(done).toHaveBeenCalled();
});
