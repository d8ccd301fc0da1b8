// Hears commands by the browser's own recognition of speech, where somebody wants that: off until it
// is pressed.
import { useEffect, useRef, useState } from "react";
import { type Heard, heard } from "./heard";

type Recognition = {
  continuous: boolean;
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  onerror: (() => void) | null;
  start: () => void;
  stop: () => void;
};

type Hearing = {
  SpeechRecognition?: new () => Recognition;
  webkitSpeechRecognition?: new () => Recognition;
};

export function useVoice(act: (command: Heard) => void) {
  const { SpeechRecognition, webkitSpeechRecognition } = window as unknown as Hearing;
  const Recognition = SpeechRecognition ?? webkitSpeechRecognition;
  const [on, setOn] = useState(false);
  const acts = useRef(act);
  useEffect(() => {
    acts.current = act;
  });
  useEffect(() => {
    if (!on || !Recognition) {
      return;
    }
    const listens = new Recognition();
    listens.continuous = true;
    listens.onresult = ({ results }) => {
      const command = heard(results[results.length - 1]?.[0]?.transcript ?? "");
      if (command) {
        acts.current(command);
      }
    };
    listens.onerror = () => setOn(false);
    // It stops by itself after a silence.
    listens.onend = () => listens.start();
    listens.start();
    return () => {
      listens.onend = null;
      listens.stop();
    };
  }, [on, Recognition]);
  return { can: Recognition !== undefined, on, turn: setOn };
}
