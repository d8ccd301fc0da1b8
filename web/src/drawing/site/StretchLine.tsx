// A stretch of ducts on the plan, which is chosen by a tap or by the keys.
import { type KeyboardEvent, memo } from "react";
import type { SiteStretch } from "@/api/sites";
import { linePoints, type SiteView } from "./siteView";

type StretchProps = {
  stretch: SiteStretch;
  view: SiteView;
  chosen: boolean;
  choose: (name: string) => void;
  deaf: boolean;
};

/** A stretch as wide as it has ducts; one that is over its limit is barred, besides its colour. */
export const StretchLine = memo(function StretchLine(props: StretchProps) {
  const { stretch, view, chosen, choose, deaf } = props;
  const points = linePoints(view, stretch.line);
  const wide = Math.min(3 + stretch.ducts.length, 11);
  const press = (event: KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      choose(stretch.name);
    }
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing can't be a button
    <g
      role="button"
      tabIndex={deaf ? -1 : 0}
      aria-pressed={chosen}
      aria-label={`${stretch.name}, ${stretch.length_text}, ${stretch.ducts_text}. ${stretch.cut}`}
      data-stretch={stretch.name}
      className={deaf ? "pointer-events-none" : "cursor-pointer outline-offset-4"}
      onPointerDown={(event) => event.stopPropagation()}
      onClick={() => choose(stretch.name)}
      onKeyDown={press}
    >
      <polyline points={points} fill="none" strokeWidth="22" stroke="transparent" />
      {chosen ? (
        <polyline
          points={points}
          fill="none"
          strokeWidth={wide + 8}
          strokeLinejoin="round"
          className="stroke-accent-soft"
        />
      ) : null}
      <polyline
        points={points}
        fill="none"
        strokeWidth={wide}
        strokeLinejoin="round"
        className={stretch.kept ? (chosen ? "stroke-accent" : "stroke-soft") : "stroke-brick"}
      />
      {stretch.kept ? null : (
        <polyline
          points={points}
          fill="none"
          strokeWidth={wide + 7}
          strokeDasharray="2 9"
          className="stroke-brick"
        />
      )}
      {stretch.no_way_round.length > 0 ? (
        <polyline
          points={points}
          fill="none"
          strokeWidth={1.6}
          strokeDasharray="5 5"
          className="stroke-paper"
        />
      ) : null}
    </g>
  );
});
