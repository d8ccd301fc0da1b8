// The picture under a plan: two of its points, and how far apart they are.
import { pointOf, type SiteDocument, setSite } from "@/model/sites";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { FarUnit, SiteFar, SiteNumber } from "./SiteField";
import type { EditingSite } from "./useSite";

type Laid = NonNullable<SiteDocument["plan"]>;
type Corner = "from" | "to" | "at";

type Props = { editing: EditingSite; measure: () => void };

export function SitePicture({ editing, measure }: Props) {
  const { change, document } = editing;
  const plan = document.plan;
  const set = (fields: Partial<Laid>) =>
    plan ? change(setSite({ plan: { ...plan, ...fields } })) : undefined;
  const takeOut = () =>
    change((site) => {
      const { plan: _, ...others } = site;
      return others;
    });
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("The plan underneath")}</h2>
      <p>
        <span className="text-soft">{say("North is turned")} </span>
        <SiteNumber
          path="north"
          label={say("How far north is turned clockwise from up, degrees")}
          value={document.north ?? 0}
          onNumber={(north) => change(setSite({ north }))}
        />
        <span className="text-soft">{say("° clockwise from up.")}</span>
      </p>
      {document.backdrop?.length ? (
        <p>
          <span className="text-soft">
            {say("{backdrop} lines of a drawing.", { backdrop: document.backdrop.length })}{" "}
          </span>
          <Button weight="quiet" className="px-0" onClick={() => change(setSite({ backdrop: [] }))}>
            {say("Take the drawing away")}
          </Button>
        </p>
      ) : null}
      {plan ? (
        <>
          <p>
            <span className="text-soft">{say("In the picture, from pixel")} </span>
            <Point plan={plan} corner="from" name={say("first point")} set={set} />
            <span className="text-soft"> {say("to")} </span>
            <Point plan={plan} corner="to" name={say("second point")} set={set} />
            <span className="text-soft"> {say("it is")} </span>
            <SiteFar
              path="plan.apart"
              label={say("How far the two points are apart")}
              value={plan.apart}
              onNumber={(apart) => set({ apart })}
            />
            <span className="text-soft">
              {" "}
              {sayWith("{farUnit}. The first lies at", { farUnit: <FarUnit /> })}{" "}
            </span>
            <Point plan={plan} corner="at" name={say("first point on the plan")} far set={set} />
            <span className="text-soft">
              {" "}
              {sayWith("{farUnit}; it is turned", { farUnit: <FarUnit /> })}{" "}
            </span>
            <SiteNumber
              path="plan.turned"
              label={say("How far the picture is turned clockwise, degrees")}
              value={plan.turned ?? 0}
              onNumber={(turned) => set({ turned })}
            />
            <span className="text-soft">°.</span>
          </p>
          <div className="flex flex-wrap gap-x-4">
            <Button weight="quiet" className="px-0" onClick={measure}>
              {say("Tap two points of it")}
            </Button>
            <Button weight="quiet" className="px-0" onClick={takeOut}>
              {say("Take the picture away")}
            </Button>
          </div>
        </>
      ) : null}
    </section>
  );
}

type PointProps = {
  plan: Laid;
  corner: Corner;
  name: string;
  /** Whether it lies on the plan, and not in the picture. */
  far?: boolean;
  set: (fields: Partial<Laid>) => void;
};

function Point({ plan, corner, name, far = false, set }: PointProps) {
  const [x, y] = pointOf(plan[corner] ?? [0, 0]);
  const Field = far ? SiteFar : SiteNumber;
  return (
    <>
      <Field
        path={`plan.${corner}[0]`}
        label={say("Across, {name}", { name })}
        value={x}
        onNumber={(next) => set({ [corner]: [next, y] })}
      />
      <span className="text-soft">, </span>
      <Field
        path={`plan.${corner}[1]`}
        label={say("Down, {name}", { name })}
        value={y}
        onNumber={(next) => set({ [corner]: [x, next] })}
      />
    </>
  );
}
