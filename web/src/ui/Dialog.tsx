// A window over the page, a file of its own: nothing that is seen first is in one.
import { onceOpened } from "./onceOpened";

export const Dialog = onceOpened(async () => (await import("./DialogWindow")).DialogWindow);
