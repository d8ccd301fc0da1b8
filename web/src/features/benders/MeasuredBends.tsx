// Every bend that was measured on a bender beside what is known of it now: which are left out, and
// that a person may leave one out or put one back.
import type { Schemas } from "@/api/client";
import { type BenderForm as Form, isRead, type TestRow } from "@/model/benders";
import type { Units } from "@/model/document";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { ScrollArea } from "@/ui/ScrollArea";
import { say, sayOf } from "@/words/say";

type BendOff = Schemas["BendOff"];
type Props = {
  form: Form;
  put: (fields: Partial<Form>) => void;
  bends: readonly BendOff[];
  units: Units;
};

const PLACES = { in: 2, mm: 1 } as const;

export function MeasuredBends({ form, put, bends, units }: Props) {
  const rows = form.tests.flatMap((row, at) => (isRead(row) ? [{ row, at }] : []));
  const use = (at: number, how: NonNullable<TestRow["use"]>) =>
    put({ tests: form.tests.map((row, n) => (n === at ? { ...row, use: how } : row)) });
  return (
    <div>
      <h3 className="pb-1 text-sm font-semibold">
        {sayOf(
          bends.length,
          "The bend beside what is known now",
          "{bends} bends beside what is known now",
          { bends: bends.length },
        )}
      </h3>
      <ScrollArea label={say("Measured bends")} className="max-h-56 overflow-auto">
        <table className="w-full text-sm">
          <thead className="text-left text-xs text-soft">
            <tr>
              <th className="py-1 pr-2 font-normal">{say("bend")}</th>
              <th className="pr-2 text-right font-normal">
                {wordFor(term("stub"), LANGUAGE_OF[units])}, {units}
              </th>
              <th className="pr-2 text-right font-normal">
                {say("both legs, {units}", { units })}
              </th>
              <th className="pr-2 text-right font-normal">{say("angle, °")}</th>
              <th>
                <span className="sr-only">{say("whether it counts")}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {bends.map((off) => {
              const { row, at } = rows[off.bend] ?? {};
              return row && at !== undefined ? (
                <tr
                  key={off.bend}
                  data-left-out={off.left_out}
                  className={classes(
                    "border-t border-line",
                    off.left_out && "text-soft line-through",
                  )}
                >
                  <td className="py-1 pr-2">
                    {row.angle || 90}°{row.when ? `, ${day(row.when)}` : ""}
                    {row.who ? `, ${row.who}` : ""}
                    {off.impossible ? (
                      <span className="inline-block text-brick no-underline">
                        {WHY_LEFT_OUT[off.impossible]}
                      </span>
                    ) : null}
                  </td>
                  <td className="pr-2 text-right">{figure(off.stub, PLACES[units])}</td>
                  <td className="pr-2 text-right">{figure(off.legs, PLACES[units])}</td>
                  <td className="pr-2 text-right">{figure(off.angle, 1)}</td>
                  <td className="text-right">
                    <Button
                      weight="quiet"
                      className="px-2 text-xs"
                      onClick={() => use(at, off.left_out ? "put-back" : "left-out")}
                    >
                      {off.left_out ? say("Put back") : say("Leave out")}
                      <span className="sr-only">
                        {say(", bend {bend}", { bend: off.bend + 1 })}
                      </span>
                    </Button>
                  </td>
                </tr>
              ) : null;
            })}
          </tbody>
        </table>
      </ScrollArea>
    </div>
  );
}

const WHY_LEFT_OUT = {
  "stub-under-mark": say("left out: its stub ends before the mark"),
  "gain-too-small": say("left out: its legs are no longer than the stick"),
  "tells-nothing": say("left out: nothing was measured"),
} as const;

const DAY = new Intl.DateTimeFormat("en", { day: "numeric", month: "short" });

function day(when: string): string {
  const date = new Date(`${when}T12:00:00`);
  return Number.isNaN(date.getTime()) ? when : DAY.format(date);
}

/** A difference with its sign; a dash where nothing was read. */
function figure(off: number | null, places: number): string {
  if (off === null) {
    return "–";
  }
  const text = Math.abs(off).toFixed(places);
  return Number(text) === 0 ? "0" : `${off > 0 ? "+" : "−"}${text}`;
}
