// A length as it stands on a tape: whole figures and a built fraction. The face has ready-made
// fractions for quarters alone, so every fraction is built the same way here.
import { parted, RAISED, SMALL } from "./reading";

const THIN = "\u200a";
const SLASH = "\u2044";

export function Reading({ text, className = "" }: { text: string; className?: string }) {
  const { whole, over, under, tail } = parted(text);
  const outer = `whitespace-nowrap ${className}`;
  if (!over) {
    return (
      <span className={outer} data-reading={text}>
        {text}
      </span>
    );
  }
  const apart = whole.endsWith("'") ? "ml-[0.3em]" : "ml-[0.08em]";
  return (
    <span className={outer} data-reading={text}>
      <span className="sr-only">{text}</span>
      <span aria-hidden="true">
        {whole}
        <span className={`figure relative -top-[0.34em] ${apart}`}>{over}</span>
        {SLASH}
        <span className="figure">{under}</span>
        {tail}
      </span>
    </span>
  );
}

/** The same within an SVG text of a size in pixels. */
export function ReadingSpan({ text, size }: { text: string; size: number }) {
  const { whole, over, under, tail } = parted(text);
  if (!over) {
    return <>{whole}</>;
  }
  const lift = size * RAISED;
  return (
    <>
      {whole}
      {whole.endsWith("'") ? "\u2005" : whole ? THIN : ""}
      <tspan fontSize={size * SMALL} dy={-lift}>
        {over}
      </tspan>
      <tspan dy={lift}>{SLASH}</tspan>
      <tspan fontSize={size * SMALL}>{under}</tspan>
      {tail}
    </>
  );
}
