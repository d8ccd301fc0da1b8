// What a site stands on: the lines underneath, its buildings, its trenches, and their names.
import type { SiteWay } from "@/api/sites";
import type { SiteDocument } from "@/model/sites";
import { classes } from "@/ui/classes";
import type { siteLabels } from "./siteLabels";
import { linePoints, type SiteView } from "./siteView";

type GroundProps = { document: SiteDocument; view: SiteView };

export function Ground({ document, view }: GroundProps) {
  return (
    <>
      {(document.backdrop ?? []).map((line, at) => (
        <polyline
          // biome-ignore lint/suspicious/noArrayIndexKey: a line underneath is known by its place
          key={at}
          points={linePoints(view, line)}
          fill="none"
          strokeWidth="1"
          className="stroke-strong-line"
          data-backdrop
        />
      ))}
      {document.places.map(({ name, outline, planned }) =>
        outline && outline.length > 2 ? (
          <polygon
            key={name}
            points={linePoints(view, outline)}
            strokeDasharray={planned ? "6 5" : undefined}
            strokeWidth="1.4"
            className={classes("fill-canvas", planned ? "stroke-soft" : "stroke-ink")}
          />
        ) : null,
      )}
      {document.trenches.map(({ name, line }) => (
        <polyline
          key={name}
          points={linePoints(view, line)}
          fill="none"
          strokeWidth="1"
          strokeDasharray="2 3"
          className="stroke-soft"
        />
      ))}
    </>
  );
}

type WaysProps = { ways: readonly SiteWay[]; view: SiteView };

/** Ways round a cut that are not dug yet. */
export function SecondWays({ ways, view }: WaysProps) {
  return ways.map(({ line, ends, told }) => (
    <polyline
      key={ends.join()}
      points={linePoints(view, line)}
      fill="none"
      strokeWidth="2"
      strokeDasharray="7 6"
      className="stroke-accent opacity-70"
      data-second-way
    >
      <title>{told}</title>
    </polyline>
  ));
}

type NamesProps = { labels: ReturnType<typeof siteLabels> };

export function SiteNames({ labels }: NamesProps) {
  return labels.map(({ key, text, at: [x, y], anchor, named }) => (
    <text
      key={key}
      x={x}
      y={y}
      textAnchor={anchor}
      strokeWidth="4"
      className={classes(
        "pointer-events-none fill-ink stroke-paper font-semibold [paint-order:stroke]",
        named ? "text-sm" : "text-xs",
      )}
    >
      {text}
    </text>
  ));
}
