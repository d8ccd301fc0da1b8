import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { draw, refusal, serve } from "@/testing/page";
import { deviceInWords } from "./device";
import { SecondFactorDialog } from "./SecondFactorDialog";
import { SessionsDialog } from "./SessionsDialog";

const nothing = vi.fn();

it("a device is told by what kind of thing it is", () => {
  expect(deviceInWords("Mozilla/5.0 (X11) Gecko")).toBe("A computer");
  expect(deviceInWords("Mozilla/5.0 (one) Mobile")).toBe("A phone");
  expect(deviceInWords("Mozilla/5.0 (one; Tablet) Mobile")).toBe("A tablet");
  expect(deviceInWords("curl/8")).toBe("Another program");
  expect(deviceInWords("")).toBe("Another program");
});

it("one session is ended, or all but this one", async () => {
  const session = (name: string, own: boolean) => ({
    name,
    this: own,
    device: "Mozilla/5.0 Mobile",
    address: "192.0.2.7",
    begun_at: "2026-12-01T10:00:00Z",
  });
  const asked = serve({
    "GET /api/sessions": [session("a", true), session("b", false), session("c", false)],
    "DELETE /api/sessions/c": {},
    "DELETE /api/sessions": {},
  });
  const { user } = draw(<SessionsDialog open onOpenChange={nothing} />);
  const buttons = await screen.findAllByRole("button", { name: "Sign out there" });
  expect(buttons).toHaveLength(2);
  await user.click(buttons[1] as HTMLElement);
  await user.click(screen.getByRole("button", { name: "Sign out everywhere but here" }));
  const ended = asked.filter(({ method }) => method === "DELETE").map(({ path }) => path);
  expect(ended).toEqual(["/api/sessions/c", "/api/sessions"]);
});

it("a second factor is turned on by password and code, and its codes are shown once", async () => {
  const at = "/api/session/second-factor";
  const asked = serve({
    [`GET ${at}`]: { on: false, shows_codes: false, passkeys: [], recovery_codes_left: 0 },
    [`POST ${at}`]: Response.json({ picture: "<svg/>", secret: "ABCDEFGHIJ" }, { status: 201 }),
    [`PUT ${at}`]: { codes: ["one", "two"] },
  });
  const closed = vi.fn();
  const { user } = draw(<SecondFactorDialog open onOpenChange={closed} />);
  await user.type(await screen.findByLabelText("Password now"), "kestrel");
  await user.click(screen.getByRole("button", { name: "Use codes of your phone" }));
  expect(await screen.findByText("ABCD EFGH IJ")).toBeTruthy();
  await user.type(screen.getByLabelText("Code on your phone"), "123456");
  await user.click(screen.getByRole("button", { name: "Turn it on" }));
  expect(await screen.findByText("two")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "I have them on paper" }));
  expect(closed).toHaveBeenCalledWith(false);
  const sent = asked.filter(({ method }) => method !== "GET").map(({ body }) => body);
  expect(sent).toEqual([{ password: "kestrel" }, { code: "123456" }]);
});

it("what is on is turned off by the password, and a wrong one is told", async () => {
  const at = "/api/session/second-factor";
  serve({
    [`GET ${at}`]: { on: true, shows_codes: true, passkeys: [], recovery_codes_left: 8 },
    [`DELETE ${at}`]: refusal(422, {
      code: "unreadable",
      message: "the password that you signed in with",
    }),
  });
  const { user } = draw(<SecondFactorDialog open onOpenChange={nothing} />);
  expect(await screen.findByText("It is on. 8 of your codes on paper are left.")).toBeTruthy();
  await user.type(screen.getByLabelText("Password now"), "wrong");
  await user.click(screen.getByRole("button", { name: "Turn it off" }));
  expect((await screen.findByRole("alert")).textContent).toContain("the password");
});
