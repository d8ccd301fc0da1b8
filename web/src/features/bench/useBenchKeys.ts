// The keys of the bench: what a foot switch, a clicker or a glove can reach.
import { useEffect, useRef } from "react";

type Moves = {
  readonly onward: () => void;
  readonly back: () => void;
  readonly repeat: () => void;
  /** Null where nothing is bent. */
  readonly different: (() => void) | null;
};

/** Listens to the keys that move the bench, except while something is typed. */
export function useBenchKeys(listens: boolean, moves: Moves): void {
  const now = useRef(moves);
  now.current = moves;
  useEffect(() => {
    if (!listens) {
      return;
    }
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest("input, dialog");
      if (typing || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      const move = moveOf(event.key, now.current);
      if (move) {
        move();
        event.preventDefault();
      }
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  }, [listens]);
}

function moveOf(key: string, moves: Moves): (() => void) | null | undefined {
  const by: Record<string, (() => void) | null> = {
    ArrowRight: moves.onward,
    PageDown: moves.onward,
    ArrowLeft: moves.back,
    PageUp: moves.back,
    r: moves.repeat,
    d: moves.different,
  };
  return by[key];
}
