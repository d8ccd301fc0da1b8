// A field in which things are said with Enter, one after the other, without waiting for an answer.
import { useEffect, useRef, useState } from "react";
import { useStore } from "zustand";
import { createSaidQueue, type Heard } from "@/model/saidQueue";

type Ways<T> = {
  ask: (text: string) => Promise<Heard<T>>;
  take: (heard: T) => void;
};

export function useSaid<T>(ways: Ways<T>) {
  const now = useRef(ways);
  now.current = ways;
  const [queue] = useState(() =>
    createSaidQueue<T>({
      ask: (text) => now.current.ask(text),
      take: (heard) => now.current.take(heard),
    }),
  );
  const [text, setText] = useState("");
  const said = useStore(queue.state);
  const [first] = said.waiting;
  // Where nothing else was typed since, it comes back to where it was typed.
  const comesBack = said.stuck !== null && said.waiting.length === 1 && text === "";
  useEffect(() => {
    if (comesBack && first) {
      setText(first);
      queue.leaveOut();
    }
  }, [comesBack, first, queue]);
  return {
    ...said,
    text,
    setText,
    enter: () => {
      if (text.trim()) {
        queue.say(text);
        setText("");
      }
    },
    mend: queue.mend,
    leaveOut: queue.leaveOut,
  };
}

export type SaidField = ReturnType<typeof useSaid>;
