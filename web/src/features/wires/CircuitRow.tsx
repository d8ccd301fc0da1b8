// So many circuits of a kind, in a sentence; the core makes conductors of them.
import type { Language } from "@/api/planning";
import { useCatalogue } from "@/api/queries";
import { type Circuit, sizeName } from "@/model/wires";
import { term, wordFor } from "@/model/wording";
import { IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import { CountField } from "./CountField";

const YES_NO = (what: string) => [
  { value: "yes", label: say("with {what}", { what }) },
  { value: "no", label: say("no {what}", { what }) },
];

type Props = {
  language: Language;
  circuit: Circuit;
  problem: string | undefined;
  onChange: (fields: Partial<Circuit>) => void;
  onRemove: () => void;
};

export function CircuitRow({ language, circuit, problem, onChange, onRemove }: Props) {
  const earth = wordFor(term("earth"), language);
  const catalogue = useCatalogue().data;
  const known = catalogue?.conductors ?? [];
  const kinds = catalogue?.circuits ?? [];
  const metric = circuit.csa !== undefined;
  const usual = kinds.find(({ kind }) => kind === circuit.kind)?.neutral ?? false;
  const neutral = circuit.neutral ?? usual;
  return (
    <li className="py-1.5">
      <div className="flex items-start gap-2">
        <div className="flex flex-1 flex-wrap items-center gap-x-2 gap-y-1">
          <CountField
            label={say("How many circuits")}
            value={circuit.count ?? 1}
            onChange={(count) => onChange({ count })}
          />
          <Select
            look="word"
            label={say("Kind of circuit")}
            value={circuit.kind}
            options={kinds.map(({ kind, name }) => ({ value: kind, label: name }))}
            onChange={(kind) => onChange({ kind: kind as Circuit["kind"] })}
          />
          <span className="text-soft">{say("in")}</span>
          {metric ? (
            <Select
              look="word"
              label={say("Cross-section")}
              value={String(circuit.csa)}
              options={known
                .filter((each) => each.csa !== null && each.build === "stranded")
                .map(({ csa }) => ({ value: String(csa), label: `${csa} mm²` }))}
              onChange={(csa) => onChange({ csa: Number(csa) })}
            />
          ) : (
            <Select
              look="word"
              label={say("Size")}
              value={circuit.size ?? "12"}
              options={known
                .filter((each) => each.insulation === (circuit.insulation ?? "thhn"))
                .map(({ size }) => ({ value: size, label: sizeName(size) }))}
              onChange={(size) => onChange({ size })}
            />
          )}
          <Select
            look="word"
            label={say("Neutral")}
            value={neutral ? "yes" : "no"}
            options={YES_NO("neutral")}
            onChange={(next) => onChange({ neutral: next === "yes" })}
          />
          <Select
            look="word"
            label={sentence(earth)}
            value={(circuit.earth ?? true) ? "yes" : "no"}
            options={YES_NO(earth)}
            onChange={(next) => onChange({ earth: next === "yes" })}
          />
          <Select
            look="word"
            label={say("Travellers")}
            value={String(circuit.travellers ?? 0)}
            options={[0, 1, 2, 3, 4].map((count) => ({
              value: String(count),
              label: count === 0 ? say("no travellers") : say("{count} travellers", { count }),
            }))}
            onChange={(count) => onChange({ travellers: Number(count) })}
          />
        </div>
        <IconButton label={say("Remove this circuit")} onClick={onRemove}>
          <Icon name="close" className="size-4" />
        </IconButton>
      </div>
      {problem ? (
        <p role="alert" className="text-sm text-brick">
          {say("Expected {expected}", { expected: problem })}
        </p>
      ) : null}
    </li>
  );
}
