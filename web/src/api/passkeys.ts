// Passkeys: made by this device, shown at the door, taken off. What speaks with devices is fetched
// once somebody touches it.
import { say } from "@/words/say";
import { client, Refused, type Schemas, unwrap } from "./client";

/** Devices keep passkeys by a name, and not where the page is reached by a number. */
export function canPasskey(): boolean {
  return (
    typeof window.PublicKeyCredential === "function" &&
    !/^[\d.]+$|^\[/.test(window.location.hostname)
  );
}

/** Makes one on this device. Codes on paper come with the first. */
export async function makePasskey(password: string): Promise<Schemas["RecoveryCodes"]> {
  const { options } = await unwrap(client.POST("/api/session/passkeys", { body: { password } }));
  const credential = await ofDevice(({ startRegistration }) =>
    startRegistration({ optionsJSON: options as never }),
  );
  return unwrap(client.PUT("/api/session/passkeys", { body: { credential } }));
}

export async function signInByPasskey(): Promise<Schemas["Session"]> {
  const { options } = await unwrap(client.POST("/api/session/passkey"));
  const credential = await ofDevice(({ startAuthentication }) =>
    startAuthentication({ optionsJSON: options as never }),
  );
  return unwrap(client.PUT("/api/session/passkey", { body: { credential } }));
}

export function takeOffPasskey(id: number, password: string): Promise<unknown> {
  return unwrap(
    client.DELETE("/api/session/passkeys/{passkey_id}", {
      params: { path: { passkey_id: id } },
      body: { password },
    }),
  );
}

type Devices = typeof import("@simplewebauthn/browser");

/** What a device answers. Throws Refused with no status where it gave nothing, for which browsers
 *  tell no reason. */
async function ofDevice(ask: (devices: Devices) => Promise<object>) {
  try {
    return (await ask(await import("@simplewebauthn/browser"))) as Record<string, never>;
  } catch {
    throw new Refused(0, { code: "no-passkey", message: NOTHING, errors: [] });
  }
}

const NOTHING = say("Your device gave no passkey. Try again, or go on with your password.");
