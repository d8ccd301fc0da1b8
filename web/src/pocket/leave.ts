// What signing out leaves on this device: of what was kept and what still waited, nothing.
import { bringHome } from "./home";
import { forgetKept } from "./keptAnswers";
import { forgetWaiting, titleOf, waitingOf } from "./waiting";

/** What would be lost with it: what is still not home when it was tried once more. */
export async function leftWaiting(member: string): Promise<readonly string[]> {
  try {
    await bringHome();
    return [...new Set((await waitingOf(member)).map(titleOf))];
  } catch {
    return []; // a browser that keeps nothing has nothing to lose
  }
}

export async function forgetAll(member: string): Promise<void> {
  await forgetKept(member);
  await forgetWaiting(member);
}
