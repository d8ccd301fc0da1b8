// A gauge while a bend is made: the angle climbs, it says stop, and what stayed is kept with one touch.
import { useEffect, useState } from "react";
import type { BenchPlan } from "@/api/bench";
import { Button } from "@/ui/Button";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { LivePipe } from "./LivePipe";
import { PairGauge } from "./PairGauge";
import { AT_REST_MS, halfDegrees, type Settling, settling } from "./settled";
import { type Gauged, useInstrument } from "./useInstrument";
import { usePhone } from "./usePhone";

export type Source = "none" | "instrument" | "phone";
type Props = {
  source: Source;
  setSource: (source: Source) => void;
  plan: BenchPlan;
  /** What its scale is to show before it is let go, degrees. */
  stop: number;
  keep: (angle: number) => void;
};

type Quiet = Exclude<Gauged["state"], "reading">;

/** Degrees before the stop at which a hand has to let go. */
const LEAD = 0.5;
/** Degrees under which nothing is bent yet. */
const STRAIGHT = 3;

export function GaugePanel({ source, setSource, plan, stop, keep }: Props) {
  const [paired, setPaired] = useState(0);
  const instrument = useInstrument(source === "instrument", paired);
  const phone = usePhone(source === "phone");
  const [off, setOff] = useState(0);
  const reading = source === "phone" ? phone.reading : instrument;
  const angle = reading.angle - (source === "phone" ? 0 : off);
  const stayed = useStayed(reading, angle);
  const says = reading.state !== "reading" ? SAYS[source][reading.state] : "";
  return (
    <section
      aria-label={say("Gauge")}
      data-gauge={source}
      className="mt-2 border-t border-line py-2"
    >
      <SegmentedControl
        label={say("What is read with")}
        value={source}
        options={[
          { value: "none", label: say("No gauge") },
          { value: "instrument", label: say("Gauge") },
          { value: "phone", label: say("This phone") },
        ]}
        onChange={setSource}
      />
      {source === "none" ? null : reading.state === "unpaired" ? (
        <PairGauge done={() => setPaired(paired + 1)} />
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 pt-2">
          <LivePipe
            angle={angle}
            stop={stop}
            radius={plan.bends[0]?.radius ?? 1}
            thickness={plan.planned.conduit.diameter}
          />
          <div className="grid justify-items-end gap-2">
            <p aria-live="polite" className="leading-none font-semibold">
              {says ? (
                <span className="text-lg font-normal text-soft">{says}</span>
              ) : reading.loaded && angle >= stop - LEAD ? (
                <span className="text-6xl text-brick desk:text-8xl">{say("Stop")}</span>
              ) : (
                <span className="text-6xl tabular-nums desk:text-8xl">{degreesText(angle)}°</span>
              )}
            </p>
            {stayed !== null ? (
              <Button weight="main" className="min-h-12 px-4" onClick={() => keep(stayed)}>
                {say("It stayed at {stayed}°: keep it", { stayed })}
              </Button>
            ) : null}
            <Button
              className="min-h-11 px-4"
              disabled={reading.state !== "reading"}
              onClick={() => (source === "phone" ? phone.zero() : setOff(reading.angle))}
            >
              {say("Zero")}
            </Button>
          </div>
        </div>
      )}
      {source === "phone" ? (
        <p className="pt-1 text-sm text-soft">
          {say("Lay the phone along one leg, press Zero, then lay it along the other.")}
        </p>
      ) : null}
    </section>
  );
}

const SAYS: Readonly<Record<Source, Readonly<Record<Quiet, string>>>> = {
  none: { silent: "", absent: "", unpaired: "" },
  instrument: {
    silent: say("The gauge says nothing. Read by hand, and go on."),
    absent: say("There is no gauge. Read by hand, and go on."),
    unpaired: "",
  },
  phone: {
    silent: "",
    absent: say("This device does not tell how it lies. Read by hand."),
    unpaired: "",
  },
};

function degreesText(angle: number): string {
  return `${angle < -0.05 ? "−" : ""}${Math.abs(angle).toFixed(1)}`;
}

/** What stayed, in half degrees, once the pipe is free and at rest; null until then. */
function useStayed(reading: Gauged, angle: number): number | null {
  const [settled, setSettled] = useState<Settling | null>(null);
  const counts = reading.state === "reading" && !reading.loaded && angle > STRAIGHT;
  const [rested, setRested] = useState<Settling | null>(null);
  useEffect(() => {
    setSettled((before) => (counts ? settling(before, angle) : null));
  }, [counts, angle]);
  // A sensor that lies still says nothing more: the time has to pass by itself.
  useEffect(() => {
    const waits = setTimeout(() => setRested(settled), AT_REST_MS);
    return () => clearTimeout(waits);
  }, [settled]);
  return counts && settled && rested === settled ? halfDegrees(angle) : null;
}
