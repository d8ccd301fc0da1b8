// The marks as a table, what they add up to, and what holds for the run as a whole.
import { lazy, memo, Suspense } from "react";
import { BenderMoved } from "@/features/benders/BenderMoved";
import { PiecePager } from "@/features/pieces/PiecePager";
import { Findings } from "@/features/walk/Findings";
import {
  canBeMade,
  type FoundMark,
  foundMark,
  isOnBentPipe,
  type Mark,
  onBentPipe,
  type Plan,
  workingMarks,
} from "@/model/document";
import { usePlanner } from "@/state/PlannerContext";
import { useShownPiece } from "@/state/usePieces";
import { classes } from "@/ui/classes";
import { degrees } from "@/ui/degrees";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { Comparison } from "./Comparison";

const StepsPane = lazy(async () => ({ default: (await import("./StepsPane")).StepsPane }));
const WorkPane = lazy(() => import("@/features/work/WorkPane"));

export const MarksPane = memo(function MarksPane() {
  const { plan, stale, offline, problems, refusal, number, count, bendsBefore } = useShownPiece();
  const shown = usePlanner(({ steps, work }) => (steps ? "steps" : work ? "work" : "marks"));
  const showWork = usePlanner((state) => state.showWork);
  const showSteps = usePlanner((state) => state.showSteps);
  const look = usePlanner((state) => state.lookAtPiece);
  const notice = offline
    ? say("No connection. What you see is from before your last change.")
    : refusal ||
      outsideTheWalk(problems) ||
      (problems.size > 0 ? say("A line can't be read yet. What you see is from before it.") : "");
  return (
    <div className={classes("py-3.5", stale && "text-soft")}>
      <h2 className="sr-only">{say("Marks and steps")}</h2>
      <div className="px-4 pb-2 text-sm">
        <SegmentedControl
          label={say("What to read off")}
          value={shown}
          options={[
            { value: "marks", label: say("Marks") },
            { value: "steps", label: say("Steps") },
            { value: "work", label: say("Work") },
          ]}
          onChange={(next) =>
            next === "work"
              ? showWork()
              : showSteps(next === "steps" ? { order: "", bend: null } : null)
          }
        />
      </div>
      {number && shown !== "work" ? (
        <div className="px-2 pb-1">
          <PiecePager number={number} count={count} look={look} />
        </div>
      ) : null}
      {notice ? (
        <p
          role="status"
          className="mx-4 mb-2 border-l-3 border-amber bg-amber-soft px-2.5 py-1 text-sm text-ink"
        >
          {notice}
        </p>
      ) : null}
      <BenderMoved />
      {plan && shown === "steps" ? (
        <Suspense fallback={null}>
          <StepsPane />
        </Suspense>
      ) : null}
      {plan && shown === "work" ? (
        <Suspense fallback={null}>
          <WorkPane />
        </Suspense>
      ) : null}
      {plan && shown === "marks" ? (
        <>
          <MarksTable plan={plan} before={bendsBefore} />
          <Totals plan={plan} />
          <div className="px-4">
            <Findings
              findings={plan.findings.filter(
                (finding) => finding.feature == null && !finding.path.startsWith("start"),
              )}
            />
          </div>
          <Comparison plan={plan} />
          <p className="px-4 pt-4 text-xs text-soft">
            {say("A plan, for a licensed electrician to check. Local code decides.")}
          </p>
        </>
      ) : null}
    </div>
  );
});

/** A word on what can't be read and has no line of the walk to say it at. */
function outsideTheWalk(problems: ReadonlyMap<string, string>): string {
  const found = [...problems].find(
    ([path]) => !path.startsWith("walk") && !path.startsWith("start"),
  );
  const named = found ? (SETTINGS[found[0].split(/[.[]/)[0] ?? ""] ?? found[0]) : "";
  return found ? say("{named}: expected {found}", { named, found: found[1] }) : "";
}

const SETTINGS: Readonly<Record<string, string>> = {
  stand_off: say("Stand-off"),
  round_to: say("Rounding"),
  wires: say("Wires"),
};

/** ``before``: how many bends of the run come before those of this plan. */
function MarksTable({ plan, before }: { plan: Plan; before: number }) {
  const selected = usePlanner((state) => state.selected);
  const pointed = usePlanner((state) => state.pointed);
  const marks = workingMarks(plan);
  if (marks.length === 0) {
    return (
      <p className="px-4 py-2 text-soft">
        {plan.bends.length === 0 && canBeMade(plan)
          ? say(
              "A straight piece so far, with nothing to mark but the cut. Add what the tape meets next.",
            )
          : say(
              "No marks: this run can't be made as it is written. The line in question says why.",
            )}
      </p>
    );
  }
  return (
    <table className="w-full">
      <thead className="text-xs text-soft">
        <tr>
          <th className="w-9 pl-4">
            <span className="sr-only">{say("Bend")}</span>
          </th>
          <th className="pr-2 text-right font-normal">{say("mark")}</th>
          <th className="text-left font-normal">{say("put it on")}</th>
          <th className="px-2 font-normal">{say("hook")}</th>
          <th className="text-right font-normal">{say("bend")}</th>
          <th className="pr-4 pl-2 text-right font-normal">{say("roll")}</th>
        </tr>
      </thead>
      <tbody>
        {inOrder(plan, marks).map((mark) => {
          const { feature, angle = 0, roll = 0 } = plan.bends[mark.bend] ?? {};
          const lit = feature === selected || before + mark.bend === pointed;
          const row = plan.working[mark.bend];
          const found = foundMark(plan.finding_marks, mark.bend);
          return (
            <MarkRow
              key={mark.bend}
              mark={mark}
              found={found}
              asYouGo={plan.marking === "as-you-go"}
              of={before + mark.bend}
              feature={feature ?? null}
              angle={row ? angleOf(row, angle) : degrees(angle)}
              roll={roll}
              lit={lit}
              detail={row && (lit || plan.bender.way !== "mark") ? handling(plan, row) : ""}
            />
          );
        })}
      </tbody>
    </table>
  );
}

/** Marks as they are put on: from the pipe's start, or, as you go, as their bends are made. */
function inOrder(plan: Plan, marks: readonly Mark[]): readonly Mark[] {
  return plan.marking === "flat"
    ? marks
    : plan.finding_marks.flatMap(({ bend }) => marks.filter((mark) => mark.bend === bend));
}

type RowProps = {
  mark: Mark;
  found: FoundMark | undefined;
  asYouGo: boolean;
  /** The bend, counted along the run. */
  of: number;
  feature: number | null;
  angle: string;
  roll: number;
  lit: boolean;
  detail: string;
};

const MarkRow = memo(function MarkRow(props: RowProps) {
  const { mark, found, asYouGo, of, feature, angle, roll, lit, detail } = props;
  const where = found && (asYouGo || (lit && isOnBentPipe(found)));
  const select = usePlanner((state) => state.select);
  const point = usePlanner((state) => state.point);
  return (
    <>
      <tr
        data-mark={mark.bend}
        onPointerEnter={() => point(of)}
        onPointerLeave={() => point(null)}
        onClick={() => select(feature)}
        className={classes("border-t border-line", lit && "bg-accent-soft text-accent")}
      >
        <td className="py-1 pl-4 text-sm text-soft">
          <button
            type="button"
            aria-label={say("Bend {bend}, show its line", { bend: mark.bend + 1 })}
            onFocus={() => point(of)}
            onBlur={() => point(null)}
          >
            {mark.bend + 1}
          </button>
        </td>
        <td className="py-1 pr-2 text-right text-xl font-bold">
          <Reading text={asYouGo && found ? found.at_mark_text : mark.text} />
          {mark.known_to_text && !asYouGo ? (
            <span className="block text-xs font-normal text-soft" data-known-to>
              ± <Reading text={mark.known_to_text} />
            </span>
          ) : null}
        </td>
        <td className="py-1 text-sm">{shortName(mark.name)}</td>
        <td
          className="px-1 py-1"
          title={say("hook toward the {hook} of the pipe", { hook: mark.hook })}
        >
          <Icon name={mark.hook === "end" ? "next" : "back"} className="mx-auto size-4" />
          <span className="sr-only">{say("hook toward the {hook}", { hook: mark.hook })}</span>
        </td>
        <td className="py-1 text-right font-semibold whitespace-nowrap">{angle}</td>
        <td className="py-1 pr-4 pl-2 text-right text-sm text-soft">
          {mark.bend === 0 ? "–" : rolled(roll)}
        </td>
      </tr>
      {where || detail ? (
        <tr className={classes(lit && "bg-accent-soft")}>
          <td />
          <td colSpan={5} className="pr-4 pb-1 text-xs text-soft">
            <div className="flex flex-wrap justify-between gap-x-3">
              {where ? (
                <span data-found={found.on}>
                  {asYouGo ? found.where : <Figures text={onBentPipe(found)} />}
                </span>
              ) : null}
              <span className="ml-auto text-right">{detail}</span>
            </div>
          </td>
        </tr>
      ) : null}
    </>
  );
});

/** The angle that has to stay; of one that no scale has, about which. */
function angleOf(row: Plan["working"][number], angle: number): string {
  return degrees(angle) === row.angle_text ? row.angle_text : `≈ ${row.angle_text}`;
}

/** How this bend is worked, in a line: by the way of working, what to bend to, and the clicks. */
function handling(plan: Plan, row: Plan["working"][number]): string {
  return [
    row.warm_from
      ? say("warm {warmFrom} to {warmTo}", { warmFrom: row.warm_from, warmTo: row.warm_to })
      : "",
    plan.bender.way === "chart"
      ? say("from {startOfBend} to {endOfBend}, hook {hookAt}, {between} to the bend before", {
          startOfBend: row.start_of_bend,
          endOfBend: row.end_of_bend,
          hookAt: row.hook_at,
          between: row.between,
        })
      : "",
    plan.bender.way === "bench" && row.depth ? say("gauge {depth}", { depth: row.depth }) : "",
    row.gauge
      ? say("until {gauge}", { gauge: row.gauge })
      : say("bend to {bendTo}", { bendTo: row.bend_to_text }),
    row.clicks ? say("{clicks} clicks", { clicks: row.clicks }) : "",
  ]
    .filter(Boolean)
    .join(" · ");
}

/** The bender's own name of a mark, without the word that the heading says already. */
function shortName(name: string): string {
  return name.replace(/ mark$/, "");
}

function Totals({ plan }: { plan: Plan }) {
  const { bend_degrees: bent, limit_degrees: limit } = plan.totals;
  const over = bent > limit;
  const marks = workingMarks(plan);
  const cut = foundMark(plan.finding_marks, null);
  return (
    <dl className="grid grid-cols-[1fr_auto] items-baseline gap-y-1 px-4 py-3">
      <dt>{say("Cut")}</dt>
      <dd className="text-right text-xl font-bold" data-cut>
        <Reading text={canBeMade(plan) ? plan.cut_length_text : "–"} />
      </dd>
      {cut && isOnBentPipe(cut) && plan.marking === "as-you-go" ? (
        <dd className="col-span-2 text-right text-sm text-soft" data-found="cut">
          <Figures
            text={say("found last, {reads} {where}", {
              reads: cut.at_mark_text,
              where: cut.where,
            })}
          />
        </dd>
      ) : null}
      {marks.length > 0 ? (
        <>
          <dt className="text-sm text-soft">{say("Rounded by at most")}</dt>
          <dd className="text-right text-sm text-soft">
            {Math.max(...marks.map(({ moved }) => Math.abs(moved))).toFixed(
              plan.units === "in" ? 3 : 1,
            )}{" "}
            {plan.units}
          </dd>
        </>
      ) : null}
      <dt>{say("Bends")}</dt>
      <dd className={classes("text-right font-semibold", over && "text-amber")}>
        {say("{bent} of {limit}", { bent: degrees(bent), limit: degrees(limit) })}
      </dd>
      <dd
        className="col-span-2 mt-0.5 h-2 overflow-hidden rounded-full bg-ground"
        aria-hidden="true"
      >
        <svg
          viewBox="0 0 100 1"
          preserveAspectRatio="none"
          className="block h-full w-full"
          aria-hidden="true"
        >
          <rect
            width={Math.min((100 * bent) / limit, 100)}
            height="1"
            className={over ? "fill-amber" : "fill-moss"}
          />
        </svg>
      </dd>
      <WiresLine plan={plan} />
    </dl>
  );
}

/** How full the run is of its wire, beside its bends; touched, the wires themselves. */
function WiresLine({ plan }: { plan: Plan }) {
  const show = usePlanner((state) => state.show);
  const fill = plan.wires?.fill;
  if (!fill) {
    return null;
  }
  return (
    <>
      <dt>
        <button
          type="button"
          onClick={() => show("wires")}
          className="text-accent underline underline-offset-3 pointer-coarse:min-h-11"
        >
          {say("Wires")}
        </button>
      </dt>
      <dd className={classes("text-right font-semibold", !fill.passes && "text-brick")} data-fill>
        {say("{share} % of what may go in", { share: Math.round(fill.share * 100) })}
      </dd>
    </>
  );
}

/** The roll in the words that are used at the bender. */
function rolled(roll: number): string {
  const size = Math.abs(roll);
  if (size < 0.05) {
    return say("same");
  }
  if (Math.abs(size - 180) < 0.05) {
    return say("over");
  }
  return `${roll > 0 ? "+" : "−"}${degrees(size)}`;
}
