// What the run is bent from and with, and how its numbers are read.
import { memo, useState } from "react";
import { useCatalogue } from "@/api/queries";
import { useKeptBenders } from "@/features/benders/useKeptBenders";
import { InlineField } from "@/features/walk/fields";
import { MARKING, WAY } from "@/kinds/words";
import { set } from "@/model/commands";
import { takeConduit, takes } from "@/model/conduit";
import { type Marking, ROUNDINGS, roundingOf, type Units, type Way } from "@/model/document";
import { sameDocument } from "@/model/sameDocument";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { onceOpened } from "@/ui/onceOpened";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { useUnitsChange } from "./useUnitsChange";

const BendersDialog = onceOpened(
  async () => (await import("@/features/benders/BendersDialog")).BendersDialog,
);
const FittingsDialog = onceOpened(
  async () => (await import("@/features/fittings/FittingsDialog")).FittingsDialog,
);

export const SettingsBar = memo(function SettingsBar() {
  const conduit = usePlanner((state) => state.history.present.conduit);
  const chosen = usePlanner((state) => state.history.present.bender);
  const units = usePlanner((state) => state.history.present.units);
  const rounding = usePlanner((state) => state.history.present.round_to);
  const method = usePlanner((state) => state.history.present.method);
  const change = usePlanner((state) => state.change);
  const [changeUnits, unitsProblem] = useUnitsChange();
  const catalogue = useCatalogue().data;
  const conduits = (catalogue?.conduit ?? []).filter((candidate) =>
    catalogue?.benders.some((bender) => takes(bender, candidate)),
  );
  const benders = (catalogue?.benders ?? []).filter((bender) => takes(bender, conduit));
  const kept = useKeptBenders(conduit, units);
  const [listing, setListing] = useState(false);
  const [fittings, setFittings] = useState(false);
  const asKept = kept.find(({ own }) => sameDocument(own, chosen));
  const own = typeof chosen === "string" || asKept ? null : (chosen.name ?? say("own bender"));
  const bender = typeof chosen === "string" ? chosen : (asKept?.id ?? OWN);
  const way = usePlanner((state) => state.history.present.way);
  const standOff = usePlanner((state) => state.history.present.stand_off);
  const usual = usePlanState(({ plan }) => plan?.bender.way);

  const chooseBender = (value: string) => {
    const found = kept.find(({ id }) => id === value);
    if (value !== OWN) {
      change(set("bender", found ? found.own : value));
    }
  };

  const chooseConduit = (value: string) => {
    const [type = "", size = ""] = value.split(" ");
    change(takeConduit(catalogue?.benders ?? [], { type, size }));
  };

  return (
    <section
      aria-label={say("What it is bent from and with")}
      className="flex items-center gap-x-5 gap-y-2 overflow-x-auto border-b border-line bg-raised px-4 py-1.5 text-sm"
    >
      <Setting label={say("Conduit")}>
        <Select
          look="word"
          label={say("Conduit")}
          value={`${conduit.type} ${conduit.size}`}
          options={conduits.map(({ type, size, name }) => ({
            value: `${type} ${size}`,
            label: name,
          }))}
          onChange={chooseConduit}
        />
      </Setting>
      <Setting label={say("Bender")}>
        <Select
          look="word"
          label={say("Bender")}
          value={bender}
          options={[
            ...benders.map(({ id, name }) => ({ value: id, label: name })),
            ...kept.map(({ id, name }) => ({ value: id, label: name, hint: say("yours") })),
            ...(own ? [{ value: OWN, label: own }] : []),
          ]}
          onChange={chooseBender}
        />
        <button
          type="button"
          onClick={() => setListing(true)}
          className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
        >
          {say("My benders")}
        </button>
        <button
          type="button"
          onClick={() => setFittings(true)}
          className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
        >
          {say("My fittings")}
        </button>
        <FittingsDialog open={fittings} onOpenChange={setFittings} />
        <BendersDialog
          open={listing}
          onOpenChange={setListing}
          conduit={conduit}
          units={units}
          use={(next) => change(set("bender", next))}
        />
      </Setting>
      <Setting label={say("Marking")}>
        <Select
          look="word"
          label={say("Marking")}
          value={way ?? usual ?? "mark"}
          options={Object.entries(WAY).map(([value, label]) => ({ value, label }))}
          onChange={(value) => change(set("way", value as Way))}
        />
        <MarkedHow />
      </Setting>
      <Setting label={say("Stand-off")}>
        <InlineField
          path="stand_off"
          label={say("Stand-off from every surface")}
          value={standOff}
          placeholder={say("none")}
          onChange={(text, burst) => change(set("stand_off", text || undefined), burst)}
        />
      </Setting>
      <Setting label={say("Units")}>
        <Select
          look="word"
          label={say("Units")}
          value={units}
          options={[
            { value: "in", label: say("inches") },
            { value: "mm", label: say("millimetres") },
          ]}
          onChange={(value) => void changeUnits(value as Units)}
        />
      </Setting>
      {unitsProblem ? (
        <span role="alert" className="whitespace-nowrap text-brick">
          {unitsProblem}
        </span>
      ) : null}
      {units === "in" ? (
        <Setting label={say("Round to")}>
          <Select
            look="word"
            label={say("Round to")}
            value={roundingOf(units, rounding)}
            options={ROUNDINGS.in.map((value) => ({ value, label: value }))}
            onChange={(value) => change(set("round_to", value))}
          />
        </Setting>
      ) : null}
      <div className="ml-auto">
        <SegmentedControl
          label={say("Method")}
          value={method ?? "exact"}
          options={[
            { value: "exact", label: say("Exact") },
            { value: "table", label: say("Printed table") },
          ]}
          onChange={(value) => change(set("method", value))}
        />
      </div>
    </section>
  );
});

const OWN = "own";

/** All marks on the straight pipe, or each on the piece as it is by then. */
function MarkedHow() {
  const picked = usePlanner((state) => state.history.present.marking);
  const printed = usePlanner((state) => state.history.present.method) === "table";
  const usual = usePlanState(({ plan }) => plan?.marking);
  const change = usePlanner((state) => state.change);
  if (printed) {
    return <span className="text-soft">{say("all flat, as printed tables are")}</span>;
  }
  return (
    <Select
      look="word"
      label={say("Marked")}
      value={picked ?? usual ?? "flat"}
      options={Object.entries(MARKING).map(([value, label]) => ({ value, label }))}
      onChange={(value) => change(set("marking", value as Marking))}
    />
  );
}

function Setting({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <span className="flex items-center gap-1.5 whitespace-nowrap">
      <span className="text-soft">{label}</span>
      {children}
    </span>
  );
}
