// Yarrow's own mark: five florets on one stem.
import { classes } from "./classes";

const FLORETS = [
  [3.6, 6.6],
  [7.3, 3.7],
  [11, 2.7],
  [14.7, 3.7],
  [18.4, 6.6],
] as const;

export function Logo({ className = "h-6 w-[22px]" }: { className?: string }) {
  return (
    <svg
      viewBox="0 0 22 24"
      className={classes("shrink-0 text-accent", className)}
      aria-hidden="true"
    >
      <path
        d="M11 23V11M11 15 4.2 7.4M11 15l6.8-7.6M11 11 7.6 4.6M11 11l3.4-6.4M11 11V3.6"
        stroke="currentColor"
        strokeWidth="1.7"
        fill="none"
        strokeLinecap="round"
      />
      {FLORETS.map(([x, y]) => (
        <circle key={x} cx={x} cy={y} r="2.1" fill="currentColor" />
      ))}
    </svg>
  );
}
