// What the run is bent from and with, and how its numbers are read.
import { memo } from "react";
import { useCatalogue } from "@/api/queries";
import { set, setUnits } from "@/model/commands";
import { ROUNDINGS, type RunDocument, type Units } from "@/model/document";
import { Choice } from "@/ui/Choice";
import { Select } from "@/ui/Select";
import { usePlanner } from "./PlannerContext";

export const SettingsBar = memo(function SettingsBar() {
  const conduit = usePlanner((state) => state.history.present.conduit);
  const chosen = usePlanner((state) => state.history.present.bender);
  const units = usePlanner((state) => state.history.present.units);
  const rounding = usePlanner((state) => state.history.present.round_to);
  const method = usePlanner((state) => state.history.present.method);
  const change = usePlanner((state) => state.change);
  const catalogue = useCatalogue().data;
  const conduits = (catalogue?.conduit ?? []).filter((candidate) =>
    catalogue?.benders.some((bender) => takes(bender, candidate)),
  );
  const benders = (catalogue?.benders ?? []).filter((bender) => takes(bender, conduit));
  const own = typeof chosen === "string" ? null : (chosen.name ?? "own bender");
  const bender = typeof chosen === "string" ? chosen : OWN;

  const chooseConduit = (value: string) => {
    const [type = "", size = ""] = value.split(" ");
    const wanted = { type, size };
    const fitting = catalogue?.benders.filter((candidate) => takes(candidate, wanted)) ?? [];
    const stays = fitting.some((candidate) => candidate.id === chosen);
    const first = fitting[0];
    change((before) => ({
      ...before,
      conduit: wanted,
      bender: stays || !first ? before.bender : first.id,
    }));
  };

  return (
    <section
      aria-label="What it is bent from and with"
      className="flex items-center gap-x-5 gap-y-2 overflow-x-auto border-b border-line bg-raised px-4 py-1.5 text-sm"
    >
      <Setting label="Conduit">
        <Select
          look="word"
          label="Conduit"
          value={`${conduit.type} ${conduit.size}`}
          options={conduits.map(({ type, size, name }) => ({
            value: `${type} ${size}`,
            label: name,
          }))}
          onChange={chooseConduit}
        />
      </Setting>
      <Setting label="Bender">
        <Select
          look="word"
          label="Bender"
          value={bender}
          options={[
            ...benders.map(({ id, name }) => ({ value: id, label: name })),
            ...(own ? [{ value: OWN, label: own }] : []),
          ]}
          onChange={(value) => {
            if (value !== OWN) {
              change(set("bender", value));
            }
          }}
        />
      </Setting>
      <Setting label="Units">
        <Select
          look="word"
          label="Units"
          value={units}
          options={[
            { value: "in", label: "inches" },
            { value: "mm", label: "millimetres" },
          ]}
          onChange={(value) => change(setUnits(value as Units))}
        />
      </Setting>
      {units === "in" ? (
        <Setting label="Round to">
          <Select
            look="word"
            label="Round to"
            value={String(rounding ?? "1/16")}
            options={ROUNDINGS.in.map((value) => ({ value, label: value }))}
            onChange={(value) => change(set("round_to", value))}
          />
        </Setting>
      ) : null}
      <div className="ml-auto">
        <Choice
          label="Method"
          value={method ?? "exact"}
          options={[
            { value: "exact", label: "Exact" },
            { value: "table", label: "Printed table" },
          ]}
          onChange={(value) => change(set("method", value))}
        />
      </div>
    </section>
  );
});

const OWN = "own";

type Conduit = RunDocument["conduit"];

function takes(bender: { takes: readonly Conduit[] }, conduit: Conduit): boolean {
  return bender.takes.some(({ type, size }) => type === conduit.type && size === conduit.size);
}

function Setting({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <span className="flex items-center gap-1.5 whitespace-nowrap">
      <span className="text-soft">{label}</span>
      {children}
    </span>
  );
}
