// Conductors that are alike: how many, of what, and how many more would go in.
import { useCatalogue } from "@/api/queries";
import { asText } from "@/model/document";
import { type Conductor, type Part, sizeName } from "@/model/wires";
import { IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { InlineInput } from "@/ui/InlineInput";
import { Select } from "@/ui/Select";
import { Slider } from "@/ui/Slider";
import { say } from "@/words/say";
import { CountField } from "./CountField";

type Props = {
  conductor: Conductor;
  part: Part | undefined;
  colour: string | undefined;
  problem: string | undefined;
  onChange: (fields: Partial<Conductor>) => void;
  onRemove: () => void;
  onDone?: () => void;
};

/** What a count can be dragged to where it is not known what goes in. */
const DRAG_TO = 20;

export function ConductorRow(props: Props) {
  const { conductor, part, colour, problem, onChange, onRemove, onDone } = props;
  const most = part ? Math.max(part.count + part.room, Math.ceil(part.most * 1.2), 3) : DRAG_TO;
  return (
    <li className="py-1.5">
      <div className="flex items-center gap-2">
        <span
          aria-hidden="true"
          className="size-3.5 shrink-0 rounded-full border border-ink"
          style={{ background: colour ?? "transparent" }}
        />
        <CountField
          label={say("How many")}
          value={conductor.count}
          onChange={(count) => onChange({ count })}
        />
        <span className="text-soft">×</span>
        <span className="flex min-w-0 flex-1 flex-wrap items-center gap-x-2">
          <Kind conductor={conductor} onChange={onChange} />
        </span>
        <IconButton label={say("Remove")} onClick={onRemove}>
          <Icon name="close" className="size-4" />
        </IconButton>
      </div>
      <div className="flex items-center gap-3 pr-2 pl-5.5">
        <Slider
          label={say("How many, to drag: {name}", { name: part?.name ?? say("conductors") })}
          value={conductor.count}
          least={1}
          most={most}
          onChange={(count) => onChange({ count })}
          {...(onDone ? { onDone } : {})}
        />
        <span className="w-32 shrink-0 text-right text-xs text-soft">
          {part
            ? part.room > 0
              ? say("{room} more go in", { room: part.room })
              : say("no more go in")
            : ""}
        </span>
      </div>
      {problem ? (
        <p role="alert" className="pl-5.5 text-sm text-brick">
          {say("Expected {expected}", { expected: problem })}
        </p>
      ) : null}
    </li>
  );
}

const COVERS = ["thermoplastic", "thermosetting"] as const;

function Kind({ conductor, onChange }: Pick<Props, "conductor" | "onChange">) {
  const known = useCatalogue().data?.conductors ?? [];
  if (conductor.diameter !== undefined || conductor.width !== undefined) {
    return <Across conductor={conductor} onChange={onChange} />;
  }
  if (conductor.csa !== undefined) {
    const build = conductor.build ?? "stranded";
    return (
      <>
        <Select
          look="word"
          label={say("Cross-section")}
          value={String(conductor.csa)}
          options={known
            .filter((each) => each.csa !== null && each.build === build)
            .map(({ csa }) => ({ value: String(csa), label: `${csa} mm²` }))}
          onChange={(csa) => onChange({ csa: Number(csa) })}
        />
        <Select
          look="word"
          label={say("Build")}
          value={build}
          options={["stranded", "solid"].map((value) => ({ value, label: value }))}
          onChange={(next) => onChange({ build: next as "solid" | "stranded" })}
        />
        <Select
          look="word"
          label={say("Cover")}
          value={conductor.cover ?? "thermoplastic"}
          options={COVERS.map((value) => ({ value, label: value }))}
          onChange={(next) => onChange({ cover: next as (typeof COVERS)[number] })}
        />
      </>
    );
  }
  const insulation = conductor.insulation ?? "thhn";
  return (
    <>
      <Select
        look="word"
        label={say("Size")}
        value={conductor.size ?? "12"}
        options={known
          .filter((each) => each.insulation === insulation)
          .map(({ size }) => ({ value: size, label: sizeName(size) }))}
        onChange={(size) => onChange({ size })}
      />
      <Select
        look="word"
        label={say("Insulation")}
        value={insulation}
        options={[...new Set(known.map((each) => each.insulation))]
          .filter(Boolean)
          .map((value) => ({
            value,
            label: value === "bare" ? value : value.toUpperCase(),
          }))}
        onChange={(next) => onChange({ insulation: next })}
      />
    </>
  );
}

/** A cable by its diameter, or an oval one by both sides. */
function Across({ conductor, onChange }: Pick<Props, "conductor" | "onChange">) {
  const oval = conductor.diameter === undefined;
  const fields = oval ? (["width", "height"] as const) : (["diameter"] as const);
  return (
    <span className="flex items-baseline gap-1.5">
      <span className="text-soft">{oval ? say("oval cable") : say("cable ⌀")}</span>
      {fields.map((field) => (
        <InlineInput
          key={field}
          label={
            field === "diameter"
              ? say("Diameter")
              : field === "width"
                ? say("Width")
                : say("Height")
          }
          value={asText(conductor[field])}
          onType={(next) => onChange({ [field]: next })}
        />
      ))}
    </span>
  );
}
