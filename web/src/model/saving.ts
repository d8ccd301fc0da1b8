// How saving a document stands, and what an answer of the server makes of that.
import { Refused, type Schemas } from "@/api/client";
import { say } from "@/words/say";

/** Someone else's version of the same document. */
export type Theirs<D> = { readonly document: D; readonly version: number };

export type Saving<D> =
  | { readonly state: "saved" }
  | { readonly state: "waiting" }
  | { readonly state: "saving" }
  | { readonly state: "unreadable"; readonly message: string }
  | { readonly state: "offline" }
  | { readonly state: "failed"; readonly message: string }
  | { readonly state: "signed-out" }
  | { readonly state: "gone"; readonly message: string }
  | { readonly state: "refused"; readonly message: string }
  | { readonly state: "conflict"; readonly theirs: Theirs<D>; readonly message: string };

/** The states in which what is here is not on the server, and saving goes on by itself. */
export const TRIED_AGAIN: readonly Saving<unknown>["state"][] = ["waiting", "offline", "failed"];

export function outcome<D>(error: unknown): Saving<D> {
  if (!(error instanceof Refused)) {
    return { state: "failed", message: say("This could not be saved. What you typed is kept.") };
  }
  const { status, message, problem } = error;
  if (status === 0) {
    return { state: "offline" };
  }
  if (status === 401) {
    return { state: "signed-out" };
  }
  if (status === 404 || status === 410) {
    return { state: "gone", message: say("This was removed, or is no longer yours to change.") };
  }
  if (status === 409) {
    const { theirs } = problem as Schemas["ConflictProblem"];
    return { state: "conflict", theirs: theirs as unknown as Theirs<D>, message };
  }
  if (status >= 500 || status === 429) {
    return { state: "failed", message };
  }
  if (problem.code === "not-for-role") {
    // As short as there is room for beside the name, also on a phone.
    return { state: "refused", message: say("Not yours to save") };
  }
  return status === 422
    ? { state: "unreadable", message }
    : { state: "refused", message: say("{message} What you typed is kept.", { message }) };
}
