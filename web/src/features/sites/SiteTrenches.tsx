// Trenches as a list: leg by leg, with what they lie under and which ducts they take.
import {
  legsOf,
  movePoint,
  pointOf,
  removeTrench,
  setLeg,
  setOrUsual,
  setTrench,
  type Trench,
} from "@/model/sites";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { FarUnit, SiteFar, SiteField, SiteNumber, SiteRow } from "./SiteField";
import type { EditingSite } from "./useSite";

const SURFACES = [
  { value: "grass", label: say("grass") },
  { value: "paved", label: say("paving") },
  { value: "road", label: say("a road") },
] as const;
/** What stands in a Select for the empty text, which it takes for no choice at all. */
const AS_THE_SITE = "-";
const NONE = "-";

export function SiteTrenches({ editing }: { editing: EditingSite }) {
  const { document } = editing;
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Trenches")}</h2>
      {document.trenches.length === 0 ? (
        <p className="text-sm text-soft">
          {say("Draw one on the plan: Trench, then point by point.")}
        </p>
      ) : null}
      <ul className="grid gap-2">
        {document.trenches.map((trench, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a trench is known by its row while its name is typed
          <TrenchRow key={at} editing={editing} trench={trench} at={at} />
        ))}
      </ul>
    </section>
  );
}

type RowProps = { editing: EditingSite; trench: Trench; at: number };

function TrenchRow({ editing, trench, at }: RowProps) {
  const { document, change, plan } = editing;
  const path = `trenches[${at}]`;
  const sizes = plan?.duct_sizes ?? [document.duct ?? "100"];
  return (
    <SiteRow
      mark={path}
      out={say("Take out trench {name}", { name: trench.name })}
      onOut={() => change(removeTrench(at))}
    >
      <SiteField
        editing={editing}
        path={`${path}.name`}
        label={say("Name of trench {at}", { at: at + 1 })}
        value={trench.name}
        onType={(name) => change(setTrench(at, { name }))}
      />
      <span className="text-soft"> {say("under")} </span>
      <Select
        look="word"
        label={say("Surface over {name}", { name: trench.name })}
        value={trench.surface ?? "grass"}
        options={SURFACES}
        onChange={(surface) =>
          change(setTrench(at, { surface: surface as NonNullable<Trench["surface"]> }))
        }
      />
      <span className="text-soft">{say(", cover")} </span>
      <SiteField
        editing={editing}
        path={`${path}.cover`}
        label={say("Cover of {name}", { name: trench.name })}
        value={trench.cover}
        placeholder={say("as usual")}
        onType={(text) => change(setOrUsual(at, "cover", text))}
      />
      <span className="text-soft">{say(", ducts of")} </span>
      <Select
        look="word"
        label={say("Ducts of {name}", { name: trench.name })}
        value={trench.duct || AS_THE_SITE}
        options={[
          { value: AS_THE_SITE, label: document.duct ?? "100" },
          ...sizes.map((size) => ({ value: size, label: size })),
        ]}
        onChange={(size) => change(setTrench(at, { duct: size === AS_THE_SITE ? "" : size }))}
      />
      <span className="text-soft">{say(", inner ducts")} </span>
      <Select
        look="word"
        label={say("Inner ducts of {name}", { name: trench.name })}
        value={trench.inner || NONE}
        options={[
          { value: NONE, label: say("none") },
          ...sizes.map((size) => ({ value: size, label: size })),
        ]}
        onChange={(size) => change(setTrench(at, { inner: size === NONE ? "" : size }))}
      />
      <span className="text-soft">{say(", swept")} </span>
      <SiteField
        editing={editing}
        path={`${path}.radius`}
        label={say("Radius of the sweeps of {name}", { name: trench.name })}
        value={trench.radius}
        placeholder={say("as usual")}
        onType={(text) => change(setOrUsual(at, "radius", text))}
      />
      <span className="text-soft">{say(", owned by")} </span>
      <SiteField
        editing={editing}
        path={`${path}.owner`}
        label={say("Owner of {name}", { name: trench.name })}
        value={trench.owner}
        text
        placeholder={say("the site")}
        onType={(owner) => change(setTrench(at, { owner }))}
      />
      <Legs editing={editing} trench={trench} at={at} />
    </SiteRow>
  );
}

function Legs({ editing, trench, at }: RowProps) {
  const { change } = editing;
  const path = `trenches[${at}]`;
  const begins = pointOf(trench.line[0] ?? []);
  return (
    <ol
      className="flex flex-wrap gap-x-3 text-sm"
      aria-label={say("Legs of {name}", { name: trench.name })}
    >
      <li>
        <span className="text-soft">{say("from")} </span>
        <SiteFar
          path={`${path}.line[0][0]`}
          label={say("How far east {name} begins", { name: trench.name })}
          value={begins[0]}
          onNumber={(x) => change(movePoint(begins, [x, begins[1]]))}
        />
        <span className="text-soft">, </span>
        <SiteFar
          path={`${path}.line[0][1]`}
          label={say("How far north {name} begins", { name: trench.name })}
          value={begins[1]}
          onNumber={(y) => change(movePoint(begins, [begins[0], y]))}
        />
      </li>
      {legsOf(trench.line).map(({ length, turn }, leg) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a leg is known by its place in its trench
        <li key={leg}>
          <SiteNumber
            path={`${path}.legs[${leg}].turn`}
            label={
              leg === 0
                ? say("Heading of leg 1 of {name}, degrees from east", { name: trench.name })
                : say("Turn before leg {leg} of {name}, degrees to the left", {
                    leg: leg + 1,
                    name: trench.name,
                  })
            }
            value={turn}
            onNumber={(value) => change(setLeg(at, leg, { turn: value }))}
          />
          <span className="text-soft">{say("° for")} </span>
          <SiteFar
            path={`${path}.legs[${leg}].length`}
            label={say("Length of leg {leg} of {name}", { leg: leg + 1, name: trench.name })}
            value={length}
            onNumber={(value) => change(setLeg(at, leg, { length: Math.max(value, 0.1) }))}
          />
          <span className="text-soft">
            {" "}
            <FarUnit />
          </span>
        </li>
      ))}
    </ol>
  );
}
