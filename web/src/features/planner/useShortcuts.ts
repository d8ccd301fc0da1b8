// Keys that work anywhere in the planner, beside those of UndoButtons.
import { useEffect } from "react";
import type { PlannerStore } from "@/model/store";

export const SHORTCUTS = [
  ["A", "Add what comes next"],
  ["Alt Up, Alt Down", "Move the line that you are in"],
  ["Alt Backspace", "Remove the line that you are in"],
  ["Enter", "To the next number"],
  ["Escape", "Take a field back to what it was"],
  ["Ctrl Z", "Undo"],
  ["Ctrl Shift Z", "Redo"],
  ["Tab", "To the next number or word"],
  ["W", "The wires, and back to the shape"],
  ["?", "This list"],
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
