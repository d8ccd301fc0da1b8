// Reads a step aloud by the browser's own voice, where somebody wants that: off until it is pressed.
import { useEffect, useState } from "react";
import { readStored, writeStored } from "@/model/stored";

const KEY = "yarrow.bench.aloud";
const isWanted = (value: unknown): value is boolean => typeof value === "boolean";

export function useReadAloud(text: string) {
  const can = "speechSynthesis" in window;
  const [on, setOn] = useState(() => can && (readStored(KEY, isWanted) ?? false));
  useEffect(() => {
    if (on && text) {
      speak(text);
    }
  }, [on, text]);
  const turn = (next: boolean) => {
    if (!next) {
      speechSynthesis.cancel();
    }
    writeStored(KEY, next);
    setOn(next);
  };
  return { can, on, turn, repeat: () => (on ? speak(text) : undefined) };
}

function speak(text: string) {
  speechSynthesis.cancel(); // what was begun is of another step
  speechSynthesis.speak(new SpeechSynthesisUtterance(aloud(text)));
}

/** As it is said: signs as words. */
export function aloud(text: string): string {
  return text.replaceAll("°", " degrees").replaceAll('"', " inches").replaceAll("'", " feet");
}
