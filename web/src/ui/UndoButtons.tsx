// A step back and a step forward again, by buttons and by keys.
import { useEffect } from "react";
import { type StoreApi, useStore } from "zustand";
import type { History } from "@/model/history";
import { say } from "@/words/say";
import { IconButton } from "./Button";
import { Icon } from "./Icon";

type Undone = {
  readonly history: Pick<History<unknown>, "past" | "future">;
  undo(): void;
  redo(): void;
};

export function UndoButtons({ store }: { store: StoreApi<Undone> }) {
  const canUndo = useStore(store, ({ history }) => history.past.length > 0);
  const canRedo = useStore(store, ({ history }) => history.future.length > 0);
  const { undo, redo } = store.getState();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z") {
        event.preventDefault();
        (event.shiftKey ? redo : undo)();
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [undo, redo]);
  return (
    <>
      <IconButton label={say("Undo (Ctrl Z)")} onClick={undo} disabled={!canUndo}>
        <Icon name="undo" />
      </IconButton>
      <IconButton label={say("Redo (Ctrl Shift Z)")} onClick={redo} disabled={!canRedo}>
        <Icon name="redo" />
      </IconButton>
    </>
  );
}
