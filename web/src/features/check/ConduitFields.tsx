// What the conduit is, by which country's rule, and what of the run that rule asks for.
import { useCatalogue } from "@/api/queries";
import type { Fields, FillDocument } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { problemAt } from "@/state/useCheck";
import { Checkbox } from "@/ui/Checkbox";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { asNumber, errorProps } from "./fieldValues";
import { FIRST } from "./firstFill";
import { SpareField } from "./SpareField";

type Props = {
  document: FillDocument;
  setDocument: (document: FillDocument) => void;
};

const BY_FACTOR: FillDocument = {
  format: "yarrow.fill/1",
  method: "factor",
  units: "mm",
  conduit: { type: "steel", size: "20" },
  length: "4200",
  bends: 2,
  conductors: [{ count: 6, csa: 2.5, build: "stranded" }],
};

/** By which rule, which conduit, which size. */
export function WhichConduit({ document, setDocument }: Props) {
  const catalogue = useCatalogue().data;
  const conduits = catalogue?.conduit ?? [];
  const byFactor = document.method === "factor";
  const units = byFactor ? "mm" : "in";
  const own = conduits.filter((conduit) => conduit.units === units);
  const { type = "", size = "" } = document.conduit ?? {};
  const change = (fields: Fields<FillDocument>) =>
    setDocument(withoutEmpty<FillDocument>({ ...document, ...fields }));
  const types = [
    ...new Map(own.map((each) => [each.type, each.name.replace(/ \S+( \d\/\d)?$/, "")])),
  ];
  const sizes = [
    ...new Set([
      ...own.filter((each) => each.type === type).map((each) => each.size),
      ...(byFactor ? (catalogue?.factor_sizes ?? []) : []),
    ]),
  ];
  return (
    <>
      <div>
        <SegmentedControl
          label={say("By which rule")}
          value={byFactor ? "factor" : "area"}
          options={[
            { value: "area", label: say("By area (US)") },
            { value: "factor", label: say("By factors (UK)") },
          ]}
          onChange={(method) => setDocument(method === "factor" ? BY_FACTOR : FIRST.conduit)}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <Select
          label={say("Conduit")}
          value={type}
          options={types.map(([value, label]) => ({ value, label }))}
          onChange={(next) => change({ conduit: { type: next, ...(size ? { size } : {}) } })}
        />
        <Select
          label={say("Size")}
          value={size || CHOOSE}
          options={[
            ...sizes.map((value) => ({ value, label: value.replace("-", " ") })),
            { value: CHOOSE, label: say("smallest that passes") },
          ]}
          onChange={(next) =>
            change({ conduit: next === CHOOSE ? { type } : { type, size: next } })
          }
        />
      </div>
    </>
  );
}

/** What of the run the rule asks for, and what to keep free. */
export function OfTheRun({
  document,
  setDocument,
  problems,
}: Props & { problems: ReadonlyMap<string, string> }) {
  const byFactor = document.method === "factor";
  const change = (fields: Fields<FillDocument>) =>
    setDocument(withoutEmpty<FillDocument>({ ...document, ...fields }));
  return (
    <div className="grid grid-cols-2 items-end gap-3 border-t border-line pt-4">
      <TextField
        label={byFactor ? say("Length of the run, mm") : say("Length, if known")}
        data-path="length"
        value={String(document.length ?? "")}
        onChange={(event) => change({ length: event.target.value || undefined })}
        {...errorProps(problemAt(problems, "length"))}
      />
      <TextField
        label={say("Right-angle bends")}
        data-path="bends"
        inputMode="numeric"
        value={String(document.bends ?? "")}
        onChange={(event) => change({ bends: asNumber(event.target.value) })}
        {...errorProps(problemAt(problems, "bends"))}
      />
      <SpareField
        value={document.spare}
        onChange={(spare) => change({ spare })}
        problem={problemAt(problems, "spare")}
      />
      {byFactor ? null : (
        <div className="pb-2">
          <Checkbox
            checked={document.nipple ?? false}
            onChange={(nipple) => change({ nipple: nipple || undefined })}
          >
            {say("Nipple, 24 in or less")}
          </Checkbox>
        </div>
      )}
    </div>
  );
}

const CHOOSE = "choose";
