// An answer of this device's, in the form of the server's.
import { HERE } from "@/api/reaching";
import type { Told } from "@/compute/messages";

export function answerOf({ status, text }: Told): Response {
  return new Response(text, {
    status,
    headers: { "Content-Type": "application/json", [HERE]: "1" },
  });
}

export function json(value: unknown, status = 200): Response {
  return answerOf({ status, text: JSON.stringify(value) });
}
