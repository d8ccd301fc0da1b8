// What is said with Enter counts in the order that it was said, however late each answer comes. What
// can't be read waits to be mended or left out, and holds up what was said behind it: a line too few
// before another would make that mean something else.
import { createStore, type StoreApi } from "zustand/vanilla";

/** What the core makes of something that was said: what to take, or why not. */
export type Heard<T> = { readonly taken: T } | { readonly why: string };

export type Said = {
  /** What was said and is not taken yet, in order. */
  readonly waiting: readonly string[];
  /** Why the first of them can't be read, where it can't. */
  readonly stuck: string | null;
};

type Ways<T> = {
  ask: (text: string) => Promise<Heard<T>>;
  take: (heard: T) => void;
};

export type SaidQueue = {
  readonly state: StoreApi<Said>;
  say: (text: string) => void;
  /** Says the first one that is stuck in other words. */
  mend: (text: string) => void;
  /** Leaves out the first one that is stuck. */
  leaveOut: () => void;
};

export function createSaidQueue<T>({ ask, take }: Ways<T>): SaidQueue {
  const state = createStore<Said>(() => ({ waiting: [], stuck: null }));
  let running = false;
  async function run() {
    if (running) {
      return;
    }
    running = true;
    for (let first = next(); first !== null; first = next()) {
      const heard = await ask(first).catch((error: Error) => ({ why: error.message }));
      if ("why" in heard) {
        state.setState({ stuck: heard.why });
      } else {
        state.setState(({ waiting }) => ({ waiting: waiting.slice(1) }));
        take(heard.taken);
      }
    }
    running = false;
  }
  const next = () => {
    const { waiting, stuck } = state.getState();
    return stuck === null ? (waiting[0] ?? null) : null;
  };
  const change = (waiting: (before: readonly string[]) => readonly string[]) => {
    state.setState((before) => ({ waiting: waiting(before.waiting), stuck: null }));
    void run();
  };
  return {
    state,
    say: (text) => {
      state.setState(({ waiting }) => ({ waiting: [...waiting, text] }));
      void run();
    },
    mend: (text) => change(([, ...rest]) => [text, ...rest]),
    leaveOut: () => change(([, ...rest]) => rest),
  };
}
