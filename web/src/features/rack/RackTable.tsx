// Every pipe's marks, how they move from pipe to pipe, its cut, and the air to the next one.
import { useState } from "react";
import type { RackPlan } from "@/api/planning";
import type { Rack } from "@/model/rack";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { degrees } from "@/ui/degrees";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { BuiltDialog } from "./BuiltDialog";
import { PipeConduit } from "./PipeConduit";

type Pipe = RackPlan["pipes"][number];
type Props = {
  plan: RackPlan;
  rack: Rack;
  lit: number | null;
  point: (pipe: number | null) => void;
};

export function RackTable({ plan, rack, lit, point }: Props) {
  const [opened, setOpened] = useState<number | null>(null);
  const built = plan.pipes.find(({ pipe }) => pipe === opened);
  return (
    <>
      <table className="w-full text-sm">
        <thead className="text-left text-xs text-soft">
          <tr>
            <th className="py-1 pl-4 font-normal">{say("pipe")}</th>
            <th className="px-2 text-right font-normal">{say("off")}</th>
            <th className="px-2 font-normal">{say("marks")}</th>
            <th className="px-2 text-right font-normal">{say("cut")}</th>
            <th className="px-2 text-right font-normal whitespace-nowrap">{say("air to next")}</th>
            <th className="pr-4">
              <span className="sr-only">{say("As built")}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {plan.pipes.map((pipe) => {
            const gap = plan.gaps.find((each) => each.pipe === pipe.pipe);
            return (
              <tr
                key={pipe.pipe}
                data-pipe={pipe.pipe}
                onPointerEnter={() => point(pipe.pipe)}
                onPointerLeave={() => point(null)}
                className={classes(
                  "border-t border-line align-baseline",
                  pipe.pipe === lit && "bg-accent-soft",
                )}
              >
                <td className="py-1.5 pl-4 whitespace-nowrap">
                  <span className="pr-2 font-semibold">{pipe.pipe + 1}</span>
                  <PipeConduit pipe={pipe} />
                </td>
                <td className="px-2 text-right text-soft">
                  <Reading text={pipe.offset_text} />
                </td>
                <td className="px-2">
                  <Marks pipe={pipe} />
                </td>
                <td className="px-2 text-right font-semibold">
                  {pipe.marks.length > 0 || pipe.bends.length === 0 ? (
                    <Reading text={pipe.cut_length_text} />
                  ) : (
                    "–"
                  )}
                </td>
                <td className="px-2 text-right">
                  {gap ? (
                    <span
                      title={say("Least along {at}; legs come out {off}", {
                        at: gap.at_text,
                        off: gap.off_text,
                      })}
                    >
                      <Reading text={gap.air_text} />
                    </span>
                  ) : (
                    ""
                  )}
                </td>
                <td className="pr-4 text-right">
                  <Button
                    weight="quiet"
                    className="px-2 text-xs"
                    aria-label={say("Pipe {pipe} as built", { pipe: pipe.pipe + 1 })}
                    onClick={() => setOpened(pipe.pipe)}
                  >
                    {pipe.built_as.length > 0 ? say("Built") : say("As built")}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {built ? <BuiltDialog pipe={built} rack={rack} close={() => setOpened(null)} /> : null}
    </>
  );
}

/** Each mark with how far it has moved from the pipe before; a bend in shots is one entry. */
function Marks({ pipe }: { pipe: Pipe }) {
  if (pipe.marks.length === 0) {
    return (
      <span className="text-soft">
        {pipe.bends.length === 0 ? say("straight") : say("no marks")}
      </span>
    );
  }
  if (pipe.marking === "as-you-go" && pipe.shots.length === 0) {
    return (
      <span className="flex flex-wrap gap-x-4 gap-y-0.5">
        {pipe.finding_marks
          .filter(({ bend }) => typeof bend === "number")
          .map((found) => (
            <span key={found.bend} className="whitespace-nowrap" data-rack-mark>
              <Reading text={found.at_mark_text} className="font-semibold" />
              <span className="text-soft"> {found.where}</span>
            </span>
          ))}
      </span>
    );
  }
  return (
    <span className="flex flex-wrap gap-x-4 gap-y-0.5">
      {pipe.marks.map((mark, at) => {
        const shots = pipe.shots.find(
          ({ bend, count }) => mark.bend >= bend && mark.bend < bend + count,
        );
        if (shots && mark.bend !== shots.bend) {
          return null;
        }
        return (
          <span key={mark.bend} className={shots ? "" : "whitespace-nowrap"} data-rack-mark>
            <Reading text={mark.text} className="font-semibold" />
            {shots ? (
              <span className="text-soft">
                {" "}
                {sayWith("then every {apart}, {count} × {degrees}, radius {radius}", {
                  apart: <Reading text={shots.apart_text} />,
                  count: shots.count,
                  degrees: degrees(shots.degrees),
                  radius: <Reading text={shots.radius_text} />,
                })}
              </span>
            ) : pipe.moved[at] && pipe.moved[at] !== "0" ? (
              <span className="text-soft"> {pipe.moved[at]}</span>
            ) : null}
          </span>
        );
      })}
    </span>
  );
}
