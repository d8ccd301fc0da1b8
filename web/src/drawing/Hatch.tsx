// A pattern of slanting lines, to fill with: what is told apart by more than its tone.

export function Hatch({ id, size = 6 }: { id: string; size?: number }) {
  return (
    <defs>
      <pattern
        id={id}
        width={size}
        height={size}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line y2={size} className="stroke-strong-line" strokeWidth="1.4" />
      </pattern>
    </defs>
  );
}
