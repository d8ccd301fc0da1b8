// Which trunking: a usual size by its printed factor, or sides of one's own.
import { useCatalogue } from "@/api/queries";
import type { Fields, FillDocument } from "@/model/wires";
import { problemAt } from "@/state/useCheck";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { errorProps } from "./fieldValues";
import { SpareField } from "./SpareField";

type Props = {
  document: FillDocument;
  change: (fields: Fields<FillDocument>) => void;
  problems: ReadonlyMap<string, string>;
};

const OWN = "own";
const CHOOSE = "choose";

export function TrunkingFields({ document, change, problems }: Props) {
  const usual = useCatalogue().data?.trunking ?? [];
  const { width, height, own } = document.trunking ?? {};
  const named = `${width}x${height}`;
  const value = own ? OWN : width === undefined ? CHOOSE : named;
  const choose = (next: string) => {
    const [across = "50", tall = "50"] = next === OWN ? [] : next.split("x");
    change({
      trunking:
        next === CHOOSE
          ? {}
          : { width: across, height: tall, ...(next === OWN ? { own: true } : {}) },
    });
  };
  return (
    <>
      <div>
        <Select
          label={say("Trunking")}
          value={value}
          options={[
            ...usual.map(({ size }) => ({ value: size, label: `${size.replace("x", " × ")} mm` })),
            { value: CHOOSE, label: say("smallest that passes") },
            { value: OWN, label: say("own size, measured inside") },
          ]}
          onChange={choose}
        />
      </div>
      {own ? (
        <div className="grid grid-cols-2 gap-3">
          {(["width", "height"] as const).map((side) => (
            <TextField
              key={side}
              label={side === "width" ? say("Width inside, mm") : say("Height inside, mm")}
              data-path={`trunking.${side}`}
              value={String(document.trunking?.[side] ?? "")}
              onChange={(event) =>
                change({ trunking: { ...document.trunking, [side]: event.target.value } })
              }
              {...errorProps(problemAt(problems, `trunking.${side}`))}
            />
          ))}
        </div>
      ) : null}
      <div className="grid grid-cols-2 gap-3">
        <SpareField
          value={document.spare}
          onChange={(spare) => change({ spare })}
          problem={problemAt(problems, "spare")}
        />
      </div>
    </>
  );
}
