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
import { say } from "@/words/say";
import { SiteField, SiteNames, SiteNumber, SiteRow } from "./SiteField";
import type { EditingSite } from "./useSite";

const KINDS = [
  { value: "fibre", label: say("fibre") },
  { value: "copper", label: say("copper") },
  { value: "power", label: say("power") },
] as const;
const WAYS = [
  { value: "shortest", label: say("the shortest way") },
  { value: "fewest-bends", label: say("the way with the fewest bends") },
] as const;

export function SiteCables({ editing }: { editing: EditingSite }) {
  const { document, change } = editing;
  const places = document.places.map(({ name }) => name);
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Cables")}</h2>
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
          {say("Add a cable")}
        </Button>
      ) : (
        <p className="text-sm text-soft">
          {say("Two places first: a cable goes from one to the other.")}
        </p>
      )}
      <p className="pt-1">
        <span className="text-soft">{say("Kept for later:")} </span>
        <SiteNumber
          path="future"
          label={say("Kept for later, percent of the ducts in use")}
          value={document.future ?? 100}
          onNumber={(future) => change(setSite({ future: Math.min(Math.max(future, 0), 400) }))}
        />
        <span className="text-soft"> {say("% more ducts than are in use")}</span>
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
  const named = say("{from} to {to}", { from: cable.from, to: cable.to });
  return (
    <SiteRow
      mark={path}
      out={say("Take out the cable {named}", { named })}
      onOut={() => change(removeCable(at))}
    >
      <SiteNumber
        path={`${path}.count`}
        label={say("How many, {named}", { named })}
        value={cable.count ?? 1}
        onNumber={(count) => set({ count: Math.max(Math.round(count), 1) })}
      />
      <span className="text-soft"> × </span>
      <Select
        look="word"
        label={say("Kind of cable {at}", { at: at + 1 })}
        value={cable.kind}
        options={KINDS}
        onChange={(kind) => set({ kind: kind as Cable["kind"] })}
      />
      <span className="text-soft">, </span>
      <SiteField
        editing={editing}
        path={`${path}.diameter`}
        label={say("Diameter of cable {at}", { at: at + 1 })}
        value={cable.diameter}
        onType={(diameter) => set({ diameter })}
      />
      <span className="text-soft"> {say("{units} across,", { units: document.units })} </span>
      <SiteNumber
        path={`${path}.mass`}
        label={say("Mass of cable {at}, kg a metre", { at: at + 1 })}
        value={cable.mass ?? 0.15}
        onNumber={(mass) => set({ mass: Math.max(mass, 0) })}
      />
      <span className="text-soft"> {say("kg/m, from")} </span>
      <Select
        look="word"
        label={say("Cable {at} from", { at: at + 1 })}
        value={cable.from}
        options={places}
        onChange={(from) => set({ from })}
      />
      <span className="text-soft"> {say("to")} </span>
      <Select
        look="word"
        label={say("Cable {at} to", { at: at + 1 })}
        value={cable.to}
        options={places}
        onChange={(to) => set({ to })}
      />
      <span className="text-soft">{say(", by")} </span>
      <Select
        look="word"
        label={say("Way of cable {at}", { at: at + 1 })}
        value={cable.by ?? "shortest"}
        options={WAYS}
        onChange={(by) => set({ by: by as NonNullable<Cable["by"]> })}
      />
      <span className="text-soft">{say(", through")} </span>
      <SiteNames
        path={`${path}.via`}
        label={say("Places that cable {at} is led through, between commas", { at: at + 1 })}
        values={cable.via ?? NOWHERE}
        placeholder={say("nothing said")}
        problem={problemAt(editing.problems, `${path}.via`)}
        onValues={(via) => set({ via })}
      />
      <span className="block">
        <Checkbox checked={cable.second ?? false} onChange={(second) => set({ second })}>
          {say("and a second, by a way that shares no stretch")}
        </Checkbox>
      </span>
    </SiteRow>
  );
}
