// The pipe in the shoe as the gauge has it now, beside where it is to be stopped.
import { say } from "@/words/say";

type Props = { angle: number; stop: number; radius: number; thickness: number };

const WIDE = 240;
const HIGH = 150;
const LEG = 96;
const ARC = 34;

export function LivePipe({ angle, stop, radius, thickness }: Props) {
  const scale = ARC / radius;
  const pipe = Math.max(thickness * scale, 5);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="h-36 w-full max-w-sm desk:h-44"
      role="img"
      aria-label={say("The pipe at {angle} degrees, to be stopped at {stop} degrees", {
        angle: angle.toFixed(1),
        stop,
      })}
      data-live-angle={angle.toFixed(1)}
    >
      <path d={bent(stop)} fill="none" className="stroke-accent" strokeDasharray="4 4" />
      <path d={bent(angle)} fill="none" className="stroke-ink" strokeWidth={pipe + 2.4} />
      <path d={bent(angle)} fill="none" className="stroke-pipe" strokeWidth={pipe} />
    </svg>
  );
}

/** The centreline: a leg along the floor, the arc, and the leg that comes up. */
function bent(degrees: number): string {
  const theta = (Math.min(Math.max(degrees, 0), 150) * Math.PI) / 180;
  const [x, y] = [LEG, HIGH - 16];
  const [end, up] = [x + ARC * Math.sin(theta), y - ARC * (1 - Math.cos(theta))];
  const [far, high] = [end + LEG * Math.cos(theta), up - LEG * Math.sin(theta)];
  return `M6 ${y}H${x}A${ARC} ${ARC} 0 0 0 ${end} ${up}L${far} ${high}`;
}
