// Plastic, stage by stage: what to do, a timer that can be heard, what to look for, and what comes of
// too little.
import { useEffect, useState } from "react";
import type { BenchPlan } from "@/api/bench";
import { Button } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";

type Stage = BenchPlan["warming"][number]["stages"][number];

const SECOND_MS = 1000;

export function Warming({ stages }: { stages: readonly Stage[] }) {
  const [running, setRunning] = useState<{ stage: number; ends: number } | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (!running) {
      return;
    }
    const tick = setInterval(() => setNow(performance.now()), SECOND_MS / 4);
    const rings = setTimeout(ring, running.ends - performance.now());
    return () => {
      clearInterval(tick);
      clearTimeout(rings);
    };
  }, [running]);
  const start = (stage: number, seconds: number) => {
    const at = performance.now();
    setNow(at);
    setRunning({ stage, ends: at + seconds * SECOND_MS });
  };
  return (
    <section aria-label={say("Warming")} className="border-t border-line py-2">
      <ol className="divide-y divide-line">
        {stages.map(({ name, do: does, seconds, looks, too_little }, at) => {
          const left = running?.stage === at ? Math.ceil((running.ends - now) / SECOND_MS) : null;
          return (
            <li key={name} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 py-2">
              <p>
                <strong>{name}.</strong> <Figures text={does} />
                <span className="block text-sm text-soft">
                  {looks} {too_little}
                </span>
              </p>
              <Button
                className="min-h-14 min-w-24 self-start text-xl tabular-nums"
                aria-label={say("{name}, {seconds} seconds", { name, seconds })}
                aria-pressed={left !== null}
                data-left={left ?? ""}
                onClick={() => (left === null ? start(at, seconds) : setRunning(null))}
              >
                {left === null ? clock(seconds) : left > 0 ? clock(left) : say("Look")}
              </Button>
            </li>
          );
        })}
      </ol>
      <p className="text-xs text-soft">
        {say(
          "The times are working figures: they say when to look. What the pipe looks like decides.",
        )}
      </p>
    </section>
  );
}

function clock(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}

/** Three short tones, where the browser lets a page be heard. */
function ring() {
  try {
    const context = new AudioContext();
    for (const at of [0, 0.3, 0.6]) {
      const tone = context.createOscillator();
      tone.frequency.value = 880;
      tone.connect(context.destination);
      tone.start(context.currentTime + at);
      tone.stop(context.currentTime + at + 0.15);
    }
  } catch {
    // It can be seen.
  }
}
