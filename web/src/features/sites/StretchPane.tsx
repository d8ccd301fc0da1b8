// The stretch under the finger: what it uses of its limit, its ducts, who depends on it, and what is
// ticked before it is filled in.
import type { SitePlan, SiteStretch } from "@/api/sites";
import { SectionDrawing } from "@/drawing/site/SectionDrawing";
import { cablesOf } from "@/model/cablesOf";
import { setTick } from "@/model/sites";
import { Checkbox } from "@/ui/Checkbox";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";
import type { EditingSite } from "./useSite";

type Props = {
  plan: SitePlan;
  stretch: SiteStretch;
  editing: EditingSite;
  most: number;
  member: string;
};

export function StretchPane({ plan, stretch, editing, most, member }: Props) {
  const { change } = editing;
  const checklist = plan.checklist.map((check) => {
    const seen = stretch.seen.find(({ item }) => item === check.item);
    return { ...check, by: seen?.by ?? "", at: seen?.at ?? "" };
  });
  return (
    <section
      aria-label={say("Stretch {name}", { name: stretch.name })}
      className="grid gap-3"
      data-stretch-pane={stretch.name}
    >
      <h2 className="text-lg font-bold">
        {stretch.name}, {stretch.length_text}
      </h2>
      <p className={classes(stretch.no_way_round.length > 0 && "font-semibold text-brick")}>
        {stretch.cut}
        {stretch.no_way_round.length > 0 ? say(" There is no way round.") : ""}
      </p>
      <Gauge share={stretch.degrees / most} text={stretch.turns} />
      <Gauge
        share={stretch.longest_m > 0 ? stretch.length_m / stretch.longest_m : 9}
        text={stretch.uses}
      />
      <ul className="text-sm text-soft">
        {stretch.lies.map((text) => (
          <li key={text}>
            <Figures text={text} />
          </li>
        ))}
      </ul>
      <SectionDrawing stretch={stretch} />
      <table className="w-full text-sm">
        <caption className="sr-only">{say("Ducts")}</caption>
        <tbody>
          {stretch.ducts.map((duct) => (
            <tr key={duct.label} className="border-t border-line align-top">
              <th scope="row" className="py-1.5 pr-3 text-left font-semibold whitespace-nowrap">
                {duct.label}
              </th>
              <td className="py-1.5">
                {duct.inner_text ? (
                  <span className="text-soft">
                    {say("{inner} inside:", { inner: duct.inner_text })}{" "}
                  </span>
                ) : null}
                {duct.cables.length > 0 ? (
                  <>
                    {cablesOf(plan, duct).join("; ")}
                    <span className="text-soft">
                      {say(", {used} of what goes in", { used: duct.used_text })}
                    </span>
                  </>
                ) : (
                  <span className="text-soft">{duct.kind}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <h3 className="pb-1 font-semibold">{say("Before filling in")}</h3>
        <ul className="grid gap-1">
          {checklist.map(({ item, name, by, at }) => (
            <li key={item} className="flex flex-wrap items-baseline gap-x-2">
              <Checkbox
                checked={by !== ""}
                onChange={(seen) =>
                  change(
                    setTick(
                      {
                        stretch: stretch.name,
                        item: item as "rope",
                        by: member,
                        at: new Date().toISOString(),
                      },
                      seen,
                    ),
                  )
                }
              >
                {name}
              </Checkbox>
              {by ? (
                <span className="text-xs text-soft">
                  {by}, {moment(at)}
                </span>
              ) : null}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

/** How much of a limit is used: the bar, and in words. */
function Gauge({ share, text }: { share: number; text: string }) {
  const over = share > 1 + 1e-9;
  return (
    <div>
      <p className={classes(over && "font-semibold text-brick")}>
        <Figures text={text} />
        {over ? say(": over it") : ""}
      </p>
      <svg
        viewBox="0 0 100 2.4"
        preserveAspectRatio="none"
        className="mt-1 h-2 w-full rounded bg-line"
        aria-hidden="true"
      >
        <rect
          width={Math.min(share, 1) * 100}
          height="2.4"
          className={over ? "fill-brick" : "fill-moss"}
        />
      </svg>
    </div>
  );
}
