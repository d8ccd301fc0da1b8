// What a site comes to: what is wrong, its pull points and why no fewer, second ways, cables, amounts.
import { memo } from "react";
import type { SitePlan } from "@/api/sites";
import { addPlace, pointOf, type SiteDocument, setSite } from "@/model/sites";
import { Figures } from "@/ui/Figures";
import { FindingGroup } from "@/ui/FindingGroup";
import { FindingRow, FixButton } from "@/ui/FindingRow";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { FarUnit, SiteFar, SiteNumber } from "./SiteField";
import type { EditingSite } from "./useSite";

type Props = {
  plan: SitePlan;
  /** The site's own figures of pulling, where it has some. */
  rules: SiteDocument["rules"];
  change: EditingSite["change"];
};

type Finding = SitePlan["findings"][number];

/** What many of a site's findings say alike, by how many there are. */
const TOGETHER: Readonly<Record<string, (count: number) => string>> = {
  "pull-point-wanted": (count) => say("{count} pull points that Yarrow puts", { count }),
  "one-cut-takes-down": (count) => say("{count} places that one cut takes down", { count }),
  "ducts-too-small-for-building": (count) =>
    say("{count} buildings with fewer ducts than is the habit", { count }),
};

/** So many alike are told as one. */
const FROM = 3;

export const SiteAnswers = memo(function SiteAnswers({ plan, rules, change }: Props) {
  const put = plan.stops.filter(({ place, kind }) => place === null && kind !== "loose-end");
  const fix = (point: unknown) => {
    const stop = put.find(({ name }) => name === point);
    return stop ? (
      <FixButton
        label={say("Set {name} there", { name: stop.name })}
        onClick={() => change(addPlace("hand-hole", pointOf(stop.at), stop.name))}
      />
    ) : null;
  };
  const setAll = () =>
    change((site) =>
      put.reduce((now, stop) => addPlace("hand-hole", pointOf(stop.at), stop.name)(now), site),
    );
  const row = (finding: Finding, at: number, of: readonly Finding[]) => (
    <FindingRow
      key={`${finding.code} ${finding.path} ${finding.text}`}
      // Of several with one source, the last says it.
      finding={finding.source === of[at + 1]?.source ? { ...finding, source: "" } : finding}
      fix={finding.code === "pull-point-wanted" ? fix(finding.values.point) : null}
    />
  );
  const groups = Object.entries(TOGETHER).flatMap(([code, title]) => {
    const alike = plan.findings.filter((finding) => finding.code === code);
    return alike.length >= FROM ? [{ code, title: title(alike.length), alike }] : [];
  });
  const single = plan.findings.filter(({ code }) => !groups.some((group) => group.code === code));
  return (
    <div className="grid gap-5 text-sm">
      <div>
        {single.map(row)}
        {groups.map(({ code, title, alike }) => (
          <FindingGroup
            key={code}
            title={title}
            fix={
              code === "pull-point-wanted" && put.length > 0 ? (
                <FixButton label={say("Set them all there")} onClick={setAll} />
              ) : null
            }
          >
            {alike.map(row)}
          </FindingGroup>
        ))}
      </div>
      <section>
        <h2 className="pb-1 font-semibold text-soft">{say("Pull points")}</h2>
        <p>{plan.points.told}</p>
        <ul>
          {plan.points.why.map((text) => (
            <li key={text}>
              <Figures text={text} />
            </li>
          ))}
        </ul>
        <ul className="pt-1">
          {plan.stops
            .filter(({ dark }) => dark.length > 0)
            .map(({ number, name, dark }) => (
              <li key={number}>
                <span className="font-semibold">{name}</span>
                <span className="text-soft">
                  {" "}
                  {say("lost: no way left to {dark}", { dark: dark.join(", ") })}
                </span>
              </li>
            ))}
        </ul>
        <Rules plan={plan} rules={rules} change={change} />
      </section>
      {plan.second_ways.length > 0 ? (
        <section>
          <h2 className="pb-1 font-semibold text-soft">{say("Second ways, the shortest first")}</h2>
          <ol className="list-inside list-decimal">
            {plan.second_ways.map(({ told, ends }) => (
              <li key={ends.join()}>
                <Figures text={told} />
              </li>
            ))}
          </ol>
        </section>
      ) : null}
      {plan.cables.length > 0 ? (
        <section>
          <h2 className="pb-1 font-semibold text-soft">{say("Cables on their way")}</h2>
          <ul className="grid gap-1.5">
            {plan.cables.map((cable) => (
              <li key={cable.number}>
                <span className="font-semibold">
                  {cable.count} {cable.kind}, {cable.name}
                </span>
                {cable.length_text ? (
                  <span className="text-soft">
                    {say(": {length} each, through {through}", {
                      length: cable.length_text,
                      through: cable.through.join(", "),
                    })}
                  </span>
                ) : null}
                {cable.pull ? <p className="text-soft">{cable.pull}</p> : null}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <section>
        <h2 className="pb-1 font-semibold text-soft">{say("What it takes")}</h2>
        <table className="w-full">
          <caption className="sr-only">{say("What it takes")}</caption>
          <tbody>
            {plan.quantities.map(({ what, text }) => (
              <tr key={what} className="border-t border-line">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {what}
                </th>
                <td className="py-1 text-right font-semibold whitespace-nowrap">{text}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <p className="text-xs text-soft">
        {say(
          "A plan, for those who are licensed to check. Before digging, have what lies there located. Local rules decide on depth and distances. {rules}",
          { rules: plan.rules },
        )}
      </p>
    </div>
  );
});

/** Whose habit is followed, and its figures, which can be changed. */
function Rules({ plan, rules = {}, change }: Props) {
  const usual = plan.schools[0];
  const now = {
    most_straight_m: rules.most_straight_m ?? usual?.most_straight_m ?? 0,
    less_per_quarter_m: rules.less_per_quarter_m ?? usual?.less_per_quarter_m ?? 0,
    most_degrees: rules.most_degrees ?? usual?.most_degrees ?? 0,
  };
  const school = plan.schools.find(
    (each) =>
      each.most_straight_m === now.most_straight_m &&
      each.less_per_quarter_m === now.less_per_quarter_m &&
      each.most_degrees === now.most_degrees,
  );
  const set = (fields: Partial<typeof now>) => change(setSite({ rules: { ...now, ...fields } }));
  return (
    <div className="pt-2">
      <Select
        look="word"
        label={say("Whose habit of pulling")}
        value={school?.name ?? OWN}
        options={[
          ...plan.schools.map(({ name }) => ({ value: name, label: name })),
          { value: OWN, label: OWN },
        ]}
        onChange={(name) => {
          const found = plan.schools.find((each) => each.name === name);
          if (found) {
            const { most_straight_m, less_per_quarter_m, most_degrees } = found;
            set({ most_straight_m, less_per_quarter_m, most_degrees });
          }
        }}
      />
      <p>
        <SiteFar
          path="rules.most_straight_m"
          label={say("Most between pull points when straight")}
          value={now.most_straight_m}
          onNumber={(most_straight_m) => set({ most_straight_m })}
        />
        <span className="text-soft">
          {" "}
          {sayWith("{farUnit} when straight,", { farUnit: <FarUnit /> })}{" "}
        </span>
        <SiteFar
          path="rules.less_per_quarter_m"
          label={say("Less for each quarter bend")}
          value={now.less_per_quarter_m}
          onNumber={(less_per_quarter_m) => set({ less_per_quarter_m })}
        />
        <span className="text-soft">
          {" "}
          {sayWith("{farUnit} less for each 90°, never over", { farUnit: <FarUnit /> })}{" "}
        </span>
        <SiteNumber
          path="rules.most_degrees"
          label={say("Most degrees between pull points")}
          value={now.most_degrees}
          onNumber={(most_degrees) => set({ most_degrees })}
        />
        <span className="text-soft">°</span>
      </p>
      {school ? <p className="text-xs text-soft">{school.source}</p> : null}
    </div>
  );
}

const OWN = say("Figures of our own");
