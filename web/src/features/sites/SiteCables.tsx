// What each place needs: cables as a list, and how much is kept free for later.
import {
  addCable,
  type Cable,
  removeCable,
  type SiteDocument,
  setCable,
  setSite,
} from "@/model/sites";
import { problemAt } from "@/state/useCheck";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { SiteField, SiteNames, SiteNumber, SiteRow } from "./SiteField";
import type { EditingSite } from "./useSite";

const KINDS = [
  { value: "fibre", label: "fibre" },
  { value: "copper", label: "copper" },
  { value: "power", label: "power" },
] as const;
const WAYS = [
  { value: "shortest", label: "the shortest way" },
  { value: "fewest-bends", label: "the way with the fewest bends" },
] as const;

export function SiteCables({ editing }: { editing: EditingSite }) {
  const { document, change } = editing;
  const places = document.places.map(({ name }) => name);
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">Cables</h2>
      <ul className="grid gap-2">
        {(document.cables ?? []).map((cable, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a need is known by its row
          <CableRow key={at} editing={editing} cable={cable} at={at} />
        ))}
      </ul>
      {places.length > 1 ? (
        <Button
          weight="quiet"
          className="px-0"
          onClick={() => change(addCable(unfed(document), hubOf(document)))}
        >
          Add a cable
        </Button>
      ) : (
        <p className="text-sm text-soft">Two places first: a cable goes from one to the other.</p>
      )}
      <p className="pt-1">
        <span className="text-soft">Kept for later: </span>
        <SiteNumber
          path="future"
          label="Kept for later, percent of the ducts in use"
          value={document.future ?? 100}
          onNumber={(future) => change(setSite({ future: Math.min(Math.max(future, 0), 400) }))}
        />
        <span className="text-soft"> % more ducts than are in use</span>
      </p>
    </section>
  );
}

/** None, the same each time. */
const NOWHERE: readonly string[] = [];

/** Where most cables lead, else the first building. */
function hubOf(site: SiteDocument): string {
  const first = (site.cables ?? [])[0]?.to;
  return first ?? site.places[0]?.name ?? "";
}

/** A building that no cable begins at yet. */
function unfed(site: SiteDocument): string {
  const hub = hubOf(site);
  const fed = new Set((site.cables ?? []).map(({ from }) => from));
  const free = site.places.filter(({ name }) => name !== hub);
  return (
    free.find(({ kind, name }) => kind === "building" && !fed.has(name))?.name ??
    free[0]?.name ??
    ""
  );
}

type RowProps = { editing: EditingSite; cable: Cable; at: number };

function CableRow({ editing, cable, at }: RowProps) {
  const { document, change } = editing;
  const path = `cables[${at}]`;
  const places = document.places.map(({ name }) => ({ value: name, label: name }));
  const set = (fields: Partial<Cable>) => change(setCable(at, fields));
  const named = `${cable.from} to ${cable.to}`;
  return (
    <SiteRow mark={path} out={`Take out the cable ${named}`} onOut={() => change(removeCable(at))}>
      <SiteNumber
        path={`${path}.count`}
        label={`How many, ${named}`}
        value={cable.count ?? 1}
        onNumber={(count) => set({ count: Math.max(Math.round(count), 1) })}
      />
      <span className="text-soft"> × </span>
      <Select
        look="word"
        label={`Kind of cable ${at + 1}`}
        value={cable.kind}
        options={KINDS}
        onChange={(kind) => set({ kind: kind as Cable["kind"] })}
      />
      <span className="text-soft">, </span>
      <SiteField
        editing={editing}
        path={`${path}.diameter`}
        label={`Diameter of cable ${at + 1}`}
        value={cable.diameter}
        onType={(diameter) => set({ diameter })}
      />
      <span className="text-soft"> {document.units} across, </span>
      <SiteNumber
        path={`${path}.mass`}
        label={`Mass of cable ${at + 1}, kg a metre`}
        value={cable.mass ?? 0.15}
        onNumber={(mass) => set({ mass: Math.max(mass, 0) })}
      />
      <span className="text-soft"> kg/m, from </span>
      <Select
        look="word"
        label={`Cable ${at + 1} from`}
        value={cable.from}
        options={places}
        onChange={(from) => set({ from })}
      />
      <span className="text-soft"> to </span>
      <Select
        look="word"
        label={`Cable ${at + 1} to`}
        value={cable.to}
        options={places}
        onChange={(to) => set({ to })}
      />
      <span className="text-soft">, by </span>
      <Select
        look="word"
        label={`Way of cable ${at + 1}`}
        value={cable.by ?? "shortest"}
        options={WAYS}
        onChange={(by) => set({ by: by as NonNullable<Cable["by"]> })}
      />
      <span className="text-soft">, through </span>
      <SiteNames
        path={`${path}.via`}
        label={`Places that cable ${at + 1} is led through, between commas`}
        values={cable.via ?? NOWHERE}
        placeholder="nothing said"
        problem={problemAt(editing.problems, `${path}.via`)}
        onValues={(via) => set({ via })}
      />
      <span className="block">
        <Checkbox checked={cable.second ?? false} onChange={(second) => set({ second })}>
          and a second, by a way that shares no stretch
        </Checkbox>
      </span>
    </SiteRow>
  );
}
