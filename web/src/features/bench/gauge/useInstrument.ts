// The gauge at the bender, as the server passes it on: asked for while it is looked at.
import { useEffect, useState } from "react";
import type { Schemas } from "@/api/client";

export type Gauged = Schemas["GaugeReading"];

const NOTHING_YET: Gauged = { state: "silent", angle: 0, loaded: false };

export function useInstrument(on: boolean): Gauged {
  const [reading, setReading] = useState(NOTHING_YET);
  useEffect(() => {
    if (!on) {
      return;
    }
    const stream = new EventSource("/api/gauge");
    stream.onmessage = ({ data }) => setReading(JSON.parse(data) as Gauged);
    stream.onerror = () => setReading((last) => ({ ...last, state: "absent" }));
    return () => {
      stream.close();
      setReading(NOTHING_YET);
    };
  }, [on]);
  return reading;
}
