// Keys that work anywhere in the planner, beside those of UndoButtons.
import { useEffect } from "react";
import type { PlannerStore } from "@/model/store";
import { say } from "@/words/say";

export const SHORTCUTS = [
  ["A", say("Add what comes next")],
  [say("Alt Up, Alt Down"), say("Move the line that you are in")],
  [say("Alt Backspace"), say("Remove the line that you are in")],
  [say("Enter"), say("To the next number")],
  [say("Escape"), say("Take a field back to what it was")],
  [say("Ctrl Z"), say("Undo")],
  [say("Ctrl Shift Z"), say("Redo")],
  ["Tab", say("To the next number or word")],
  ["W", say("The wires, and back to the shape")],
  ["?", say("This list")],
] as const;

export function useShortcuts(store: PlannerStore, help: () => void, add: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      const { shown, show } = store.getState();
      const wires = () => show(shown === "wires" ? "flat" : "wires");
      const action = { "?": help, a: add, w: wires }[event.key.toLowerCase()];
      if (action) {
        event.preventDefault();
        action();
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [store, help, add]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches("input, textarea, select") ||
      target.closest("[role=dialog], [role=listbox]") !== null)
  );
}
