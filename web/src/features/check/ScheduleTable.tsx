// A checked schedule: what does not go in first, then the table as it came.
import { useState } from "react";
import type { CheckedRow } from "@/api/schedule";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Icon } from "@/ui/Icon";
import { ScrollArea } from "@/ui/ScrollArea";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";

/** Rows drawn at a time: a long table is paged, so that the page stays quick. */
const PAGE = 100;

type Props = { name: string; rows: readonly CheckedRow[] };

export function ScheduleTable({ name, rows }: Props) {
  const [shown, setShown] = useState<"all" | "full">("all");
  const [most, setMost] = useState(PAGE);
  const full = rows.filter(({ passes }) => !passes);
  const chosen = shown === "all" ? rows : full;
  return (
    <section aria-label={say("The schedule")} className="grid gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <p role="status" className="text-lg font-bold" data-schedule={rows.length}>
          {full.length === 0
            ? say("All {rows} go in", { rows: rows.length })
            : say("{full} of {rows} do not go in", { full: full.length, rows: rows.length })}
          <span className="font-normal text-soft"> · {name}</span>
        </p>
        <SegmentedControl
          label={say("Which rows")}
          value={shown}
          options={[
            { value: "all", label: say("All") },
            { value: "full", label: say("Those that do not") },
          ]}
          onChange={setShown}
        />
      </div>
      <ScrollArea
        label={say("Every row")}
        className="overflow-x-auto rounded-lg border border-line bg-paper"
      >
        <table className="w-full min-w-2xl text-sm">
          <thead className="text-xs text-soft">
            <tr>
              <th className="w-8 py-1.5">
                <span className="sr-only">{say("whether it goes in")}</span>
              </th>
              <th className="text-left font-normal">{say("run")}</th>
              <th className="text-left font-normal">{say("conduit")}</th>
              <th className="text-left font-normal">{say("wires")}</th>
              <th className="text-right font-normal">{say("of what may go in")}</th>
              <th className="px-3 text-right font-normal">{say("smallest")}</th>
            </tr>
          </thead>
          <tbody>
            {chosen.slice(0, most).map((row) => (
              <tr key={row.line} className="border-t border-line" title={row.says || undefined}>
                <td
                  className={classes(
                    "py-1.5 pl-3",
                    row.passes ? (row.says ? "text-amber" : "text-moss") : "text-brick",
                  )}
                >
                  <Icon
                    name={row.passes ? (row.says ? "warn" : "check") : "stop"}
                    className="size-4"
                  />
                  <span className="sr-only">
                    {row.passes ? say("goes in") : say("does not go in")}
                  </span>
                </td>
                <td className="pr-4 font-semibold">{row.name}</td>
                <td className="pr-4 whitespace-nowrap">{row.conduit}</td>
                <td className="pr-4 text-soft">{row.wires}</td>
                <td className="text-right font-semibold">{row.percent.toFixed(0)} %</td>
                <td className="px-3 text-right">
                  {row.smallest?.replace("-", " ") ?? say("none")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollArea>
      {chosen.length > most ? (
        <div>
          <Button onClick={() => setMost(most + PAGE)}>
            {say("Show more: {more} below", { more: chosen.length - most })}
          </Button>
        </div>
      ) : null}
      <p className="text-xs text-soft">
        {say(
          "Fill does not cover ampacity: grouping and derating are checked apart. Local code decides.",
        )}
      </p>
    </section>
  );
}
