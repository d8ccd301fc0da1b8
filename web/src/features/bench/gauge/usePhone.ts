// This phone as a gauge: laid along one leg and set to zero, then along the other.
import { useEffect, useRef, useState } from "react";
import { type Orientation, turned } from "./turned";
import type { Gauged } from "./useInstrument";

type Asking = { requestPermission?: () => Promise<"granted" | "denied"> };

const NOTHING: Gauged = { state: "absent", angle: 0, loaded: false };

export function usePhone(on: boolean): { reading: Gauged; zero: () => void } {
  const [now, setNow] = useState<Orientation | null>(null);
  const [from, setFrom] = useState<Orientation | null>(null);
  const last = useRef<Orientation | null>(null);
  useEffect(() => {
    if (!on) {
      return;
    }
    const take = ({ alpha, beta, gamma }: DeviceOrientationEvent) => {
      if (alpha !== null && beta !== null && gamma !== null) {
        last.current = { alpha, beta, gamma };
        setNow(last.current);
        setFrom((zero) => zero ?? last.current);
      }
    };
    // Some phones ask their owner first.
    void (DeviceOrientationEvent as unknown as Asking).requestPermission?.();
    addEventListener("deviceorientation", take);
    return () => {
      removeEventListener("deviceorientation", take);
      setNow(null);
      setFrom(null);
    };
  }, [on]);
  const reading: Gauged =
    now && from ? { state: "reading", angle: turned(from, now), loaded: false } : NOTHING;
  return { reading, zero: () => setFrom(last.current) };
}
