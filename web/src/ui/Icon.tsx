// The page's icons: drawn here, on a grid of 20, in the colour of the text beside them.
const PATHS = {
  add: "M10 4v12M4 10h12",
  bend: "M2.5 14.5h3.2c4 0 4.6-9 8.6-9h3.2",
  back: "M12.5 4 6.5 10l6 6",
  next: "M7.5 4l6 6-6 6",
  check: "M4 10.5 8.2 15 16 5.5",
  down: "M4.5 7.5 10 13l5.5-5.5",
  earlier: "M10 16V4M5 9l5-5 5 5",
  later: "M10 4v12M5 11l5 5 5-5",
  close: "M5 5l10 10M15 5 5 15",
  more: "M4 10h.01M10 10h.01M16 10h.01",
  redo: "M16 4v5h-5M15.6 9A6.2 6.2 0 1 0 16 12.5",
  undo: "M4 4v5h5M4.4 9A6.2 6.2 0 1 1 4 12.5",
  warn: "M10 3 2.5 16.5h15zM10 8.2v4M10 14.6h.01",
  stop: "M6.7 2.5h6.6l4.2 4.2v6.6l-4.2 4.2H6.7l-4.2-4.2V6.7zM10 6v5M10 14h.01",
  note: "M10 3a7 7 0 1 0 0 14 7 7 0 0 0 0-14zM10 9v5M10 6.2h.01",
  sheet: "M5 2.5h7l3.5 3.5v11.5H5zM12 2.5V6h3.5M7.5 10h5.5M7.5 13h5.5",
  person:
    "M10 10.5a3.4 3.4 0 1 0 0-6.8 3.4 3.4 0 0 0 0 6.8zM3.5 17c.8-3.2 3.3-4.6 6.5-4.6s5.7 1.4 6.5 4.6",
} as const;

export type IconName = keyof typeof PATHS;

export function Icon({ name, className = "size-5" }: { name: IconName; className?: string }) {
  return (
    <svg
      viewBox="0 0 20 20"
      className={className}
      fill="none"
      stroke="currentColor"
      strokeWidth={name === "more" ? 2.6 : 1.6}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d={PATHS[name]} />
    </svg>
  );
}
