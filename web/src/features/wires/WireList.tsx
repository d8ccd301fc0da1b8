// What goes in, line by line: conductors, cables and circuits, each with a count to drag.
import { useState } from "react";
import type { Language } from "@/api/planning";
import type { Units } from "@/model/document";
import {
  addedCircuit,
  type Conductor,
  type Part,
  USUAL_CABLE,
  USUAL_CIRCUIT,
  USUAL_CONDUCTOR,
  USUAL_OVAL,
  type WireLists,
  withCircuit,
  withConductor,
  withoutCircuit,
  withoutConductor,
} from "@/model/wires";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { say } from "@/words/say";
import { CircuitRow } from "./CircuitRow";
import { ConductorRow } from "./ConductorRow";
import { SayWires } from "./SayWires";

type Props = {
  wires: WireLists;
  /** Whose words are used. */
  language: Language;
  units: Units;
  /** The answer's parts; those of the listed conductors come first. */
  parts: readonly Part[];
  colours: readonly string[];
  /** What can't be read, by path below this list. */
  problem: (path: string) => string | undefined;
  onChange: (fields: WireLists, burst?: string) => void;
  /** More conductors, which may come after other changes. */
  onAdd: (more: readonly Conductor[]) => void;
  onDone?: () => void;
};

export function WireList(props: Props) {
  const { wires, language, units, parts, colours, problem, onChange, onAdd, onDone } = props;
  const [adding, setAdding] = useState(false);
  const conductors = wires.conductors ?? [];
  const circuits = wires.circuits ?? [];
  return (
    <section aria-label={say("What goes in")} className="grid gap-1">
      <ul className="divide-y divide-line">
        {conductors.map((conductor, at) => (
          <ConductorRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place alone
            key={`conductor-${at}`}
            conductor={conductor}
            part={parts[at]}
            colour={colours[at]}
            problem={problem(`conductors[${at}]`)}
            onChange={(fields) =>
              onChange(withConductor(wires, at, fields), `conductors[${at}].count`)
            }
            onRemove={() => onChange(withoutConductor(wires, at))}
            {...(onDone ? { onDone } : {})}
          />
        ))}
        {circuits.map((circuit, at) => (
          <CircuitRow
            language={language}
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place alone
            key={`circuit-${at}`}
            circuit={circuit}
            problem={problem(`circuits[${at}]`)}
            onChange={(fields) => onChange(withCircuit(wires, at, fields), `circuits[${at}].count`)}
            onRemove={() => onChange(withoutCircuit(wires, at))}
          />
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-2 pt-1">
        <SayWires units={units} onAdd={onAdd} />
        <Menu
          open={adding}
          onOpenChange={setAdding}
          align="start"
          trigger={
            <Button className="px-3">
              <Icon name="add" />
              {say("Add wire")}
            </Button>
          }
          actions={[
            {
              label: say("Conductors"),
              run: () => onAdd([USUAL_CONDUCTOR[units]]),
            },
            {
              label: say("A cable by its diameter"),
              hint: say("multi-conductor, fibre"),
              run: () => onAdd([USUAL_CABLE[units]]),
            },
            {
              label: say("An oval cable"),
              hint: say("counts by its larger side"),
              run: () => onAdd([USUAL_OVAL[units]]),
            },
            {
              label: say("A circuit"),
              hint: say("lighting, ring, radial, three-phase"),
              run: () => onChange(addedCircuit(wires, USUAL_CIRCUIT[units])),
            },
          ]}
        />
      </div>
    </section>
  );
}
