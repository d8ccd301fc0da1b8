// A sentence with the fractions in it built as on a tape. Its text stays as it was, for who hears
// it read, copies it or looks for it.
import { Fragment } from "react";

const MIXED = /(\d+ )?(\d+)\/(\d+)/;
const GROUPS = 4;
/** Larger than beside a large reading: in running text the small figures are still to be read. */
const FIGURE = "text-[0.8em] leading-none font-medium";

export function Figures({ text }: { text: string }) {
  const parts = text.split(MIXED);
  // Words stand at every fourth place; a whole number, an upper and a lower figure follow them.
  const words = parts.filter((_, at) => at % GROUPS === 0);
  return words.map((part, number) => {
    const [whole, over, under] = parts.slice(number * GROUPS + 1, (number + 1) * GROUPS);
    return (
      // biome-ignore lint/suspicious/noArrayIndexKey: a part of a sentence is known by its place
      <Fragment key={number}>
        {part}
        {over ? (
          <span className="whitespace-nowrap [word-spacing:-0.18em]">
            {whole}
            <span className={`${FIGURE} relative -top-[0.25em]`}>{over}</span>
            <span className="-mx-[0.05em]">/</span>
            <span className={FIGURE}>{under}</span>
          </span>
        ) : null}
      </Fragment>
    );
  });
}
