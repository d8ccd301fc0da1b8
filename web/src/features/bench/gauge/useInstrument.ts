// The gauge at the bender, as the server passes it on: paired once by the code that it shows, asked
// for while it is looked at.
import { useEffect, useState } from "react";
import type { Schemas } from "@/api/client";

export type Gauged = Schemas["GaugeReading"];

const NOTHING_YET: Gauged = { state: "silent", angle: 0, loaded: false };

/** `paired` counts how often it was paired: then it is asked for again. */
export function useInstrument(on: boolean, paired: number): Gauged {
  const [reading, setReading] = useState(NOTHING_YET);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once it is paired, it is asked again
  useEffect(() => {
    if (!on) {
      return;
    }
    const stream = new EventSource("/api/gauge");
    stream.onmessage = ({ data }) => {
      const heard = JSON.parse(data) as Gauged;
      setReading(heard);
      if (heard.state === "unpaired") {
        stream.close();
      }
    };
    stream.onerror = () => setReading((last) => ({ ...last, state: "absent" }));
    return () => {
      stream.close();
      setReading(NOTHING_YET);
    };
  }, [on, paired]);
  return reading;
}
