// The ways that a run can be parted, side by side: what each takes and costs.
import { memo } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { inOnePiece, takePlaces } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";

export const WaysTable = memo(function WaysTable({ made }: { made: PiecesOfRun }) {
  const change = usePlanner((state) => state.change);
  return (
    <section className="px-4 pt-4">
      <h2 className="pb-1 text-sm font-semibold text-soft">{say("Ways to part it")}</h2>
      <table className="w-full text-sm">
        <thead className="text-right text-xs text-soft">
          <tr>
            <th className="py-1 text-left font-normal">{say("way")}</th>
            <th className="px-2 font-normal">{say("joints")}</th>
            <th className="px-2 font-normal">{say("cuts")}</th>
            <th className="px-2 font-normal">{say("threads")}</th>
            <th className="px-2 font-normal">{say("flips")}</th>
            <th className="px-2 font-normal">{say("left over")}</th>
            <th className="px-2 font-normal">{say("minutes")}</th>
            <th>
              <span className="sr-only">{say("Take it")}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {made.ways.map((way) => (
            <tr
              key={`${way.name} ${way.value.map(({ leg, at }) => `${leg} ${at}`).join()}`}
              className={classes(
                "border-t border-line text-right align-baseline",
                way.taken && "bg-accent-soft",
              )}
            >
              <td className="py-1.5 pl-2 text-left">
                {way.name}
                {way.works ? "" : say(", which can't be bent so")}
              </td>
              <td className="px-2">{way.joints}</td>
              <td className="px-2">{way.cuts}</td>
              <td className="px-2">{way.threads}</td>
              <td className="px-2">{way.flips}</td>
              <td className="px-2">
                <Reading text={way.waste_text} />
              </td>
              <td className="px-2">{way.minutes}</td>
              <td className="pr-2">
                {way.taken ? (
                  say("taken")
                ) : (
                  <Button
                    className="px-2 text-sm"
                    onClick={() =>
                      change(way.value.length > 0 ? takePlaces(way.value) : inOnePiece())
                    }
                  >
                    {say("Take")}
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-xs text-soft">
        {say("Minutes by working figures, bending left out: your crew's own will differ.")}
      </p>
    </section>
  );
});
