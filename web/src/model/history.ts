// Undo and redo: every state that was, with a burst of typing in one field as one step.
export type History<T> = {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What the last change was about; the next change of the same is part of the same step. */
  readonly burst: string;
};

const LONGEST = 200;

export function begin<T>(present: T): History<T> {
  return { past: [], present, future: [], burst: "" };
}

/** The next state. `burst` names a run of changes that is undone as one; "" is a step of its own. */
export function advance<T>(history: History<T>, next: T, burst = ""): History<T> {
  if (next === history.present) {
    return history;
  }
  const joins = burst !== "" && burst === history.burst;
  const past = joins ? history.past : [...history.past, history.present].slice(-LONGEST);
  return { past, present: next, future: [], burst };
}

/** Whatever is typed next is a new step. */
export function settle<T>(history: History<T>): History<T> {
  return history.burst === "" ? history : { ...history, burst: "" };
}

export function undo<T>(history: History<T>): History<T> {
  const previous = history.past.at(-1);
  if (previous === undefined) {
    return history;
  }
  return {
    past: history.past.slice(0, -1),
    present: previous,
    future: [history.present, ...history.future],
    burst: "",
  };
}

export function redo<T>(history: History<T>): History<T> {
  const [next, ...rest] = history.future;
  if (next === undefined) {
    return history;
  }
  return { past: [...history.past, history.present], present: next, future: rest, burst: "" };
}
