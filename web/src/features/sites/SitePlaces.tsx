// Buildings and pull points as a list: everything that is drawn is typed here too.
import {
  addPlace,
  movePoint,
  type Place,
  type PlaceKind,
  pointOf,
  removePlace,
  setPlace,
} from "@/model/sites";
import { problemAt } from "@/state/useCheck";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { FarUnit, SiteFar, SiteField, SiteNumber, SitePoints, SiteRow } from "./SiteField";
import type { EditingSite } from "./useSite";

const KINDS: readonly { value: PlaceKind; label: string }[] = [
  { value: "building", label: say("building") },
  { value: "hand-hole", label: say("hand hole") },
  { value: "vault", label: say("vault") },
  { value: "pull-box", label: say("pull box") },
];

const FEEDING: readonly { value: NonNullable<Place["feeding"]>; label: string }[] = [
  { value: "none", label: say("nothing at its corner") },
  { value: "sheave", label: say("a sheave at its corner") },
  { value: "person", label: say("a second person who feeds") },
];

/** None, the same each time. */
const NOTHING: readonly (readonly number[])[] = [];

export function SitePlaces({ editing }: { editing: EditingSite }) {
  const { document, change } = editing;
  return (
    <section>
      <h2 className="pb-1 font-semibold text-soft">{say("Buildings and pull points")}</h2>
      <ul className="grid gap-2">
        {document.places.map((place, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a place is known by its row while its name is typed
          <PlaceRow key={at} editing={editing} place={place} at={at} />
        ))}
      </ul>
      <Button
        weight="quiet"
        className="px-0"
        onClick={() => change(addPlace("hand-hole", beside(document.places)))}
      >
        {say("Add a place")}
      </Button>
    </section>
  );
}

/** Somewhere that is free: beside what is there. */
function beside(places: readonly Place[]): readonly [number, number] {
  const xs = places.map(({ at }) => at[0] ?? 0);
  return places.length > 0 ? [Math.max(...xs) + 20, places[0]?.at[1] ?? 0] : [0, 0];
}

type RowProps = { editing: EditingSite; place: Place; at: number };

function PlaceRow({ editing, place, at }: RowProps) {
  const { change } = editing;
  const point = pointOf(place.at);
  const path = `places[${at}]`;
  const set = (fields: Partial<Place>) => change(setPlace(at, fields));
  return (
    <SiteRow
      mark={path}
      out={say("Take out {name}", { name: place.name })}
      onOut={() => change(removePlace(at))}
    >
      <SiteField
        editing={editing}
        path={`${path}.name`}
        label={say("Name of place {at}", { at: at + 1 })}
        value={place.name}
        onType={(name) => set({ name })}
      />
      <span className="text-soft">, a </span>
      <Select
        look="word"
        label={say("Kind of {name}", { name: place.name })}
        value={place.kind}
        options={KINDS}
        onChange={(kind) => set({ kind: kind as PlaceKind })}
      />
      <span className="text-soft">{say(", at")} </span>
      <SiteFar
        path={`${path}.at[0]`}
        label={say("How far east {name} is", { name: place.name })}
        value={point[0]}
        onNumber={(x) => change(movePoint(point, [x, point[1]]))}
      />
      <span className="text-soft"> {say("east,")} </span>
      <SiteFar
        path={`${path}.at[1]`}
        label={say("How far north {name} is", { name: place.name })}
        value={point[1]}
        onNumber={(y) => change(movePoint(point, [point[0], y]))}
      />
      <span className="text-soft"> {sayWith("{farUnit} north", { farUnit: <FarUnit /> })}</span>
      {place.kind === "building" ? (
        <span className="flex flex-wrap items-center gap-x-3">
          <span>
            <span className="text-soft">{say("ducts rise to floor")} </span>
            <SiteNumber
              path={`${path}.floor`}
              label={say("Floor of {name}", { name: place.name })}
              value={place.floor ?? 0}
              onNumber={(floor) => set({ floor: Math.max(Math.round(floor), 0) })}
            />
          </span>
          <span>
            <span className="text-soft">{say("outline")} </span>
            <SitePoints
              path={`${path}.outline`}
              label={say("Outline of {name}", { name: place.name })}
              values={place.outline ?? NOTHING}
              placeholder={say("none")}
              problem={problemAt(editing.problems, `${path}.outline`)}
              onValues={(outline) => set({ outline: outline.map((point) => [...point]) })}
            />
          </span>
          <span>
            <span className="text-soft">{say("further entries")} </span>
            <SitePoints
              path={`${path}.entries`}
              label={say("Further entries of {name}", { name: place.name })}
              values={place.entries ?? NOTHING}
              placeholder={say("none")}
              problem={problemAt(editing.problems, `${path}.entries`)}
              onValues={(entries) => set({ entries: entries.map((point) => [...point]) })}
            />
          </span>
          <Checkbox checked={place.planned ?? false} onChange={(planned) => set({ planned })}>
            {say("planned")}
          </Checkbox>
        </span>
      ) : (
        <span>
          <span className="text-soft">{say(", pulled past it with")} </span>
          <Select
            look="word"
            label={say("What leads a cable round the corner at {name}", { name: place.name })}
            value={place.feeding ?? "none"}
            options={FEEDING}
            onChange={(feeding) => set({ feeding: feeding as NonNullable<Place["feeding"]> })}
          />
        </span>
      )}
    </SiteRow>
  );
}
