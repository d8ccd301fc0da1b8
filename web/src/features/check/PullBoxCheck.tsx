// A pull box: raceways, what is pulled, and the least box, drawn to scale.
import { CHECKS } from "@/api/boxes";
import type { Schemas } from "@/api/client";
import { useCatalogue } from "@/api/queries";
import { PullBoxDrawing } from "@/drawing/PullBoxDrawing";
import { CountField } from "@/features/wires/CountField";
import { FillFindings } from "@/features/wires/FillFindings";
import { type Fields, sizeName } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { useCheck } from "@/state/useCheck";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { Headline, standing, Verdict } from "@/ui/Verdict";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import { Problems } from "./Problems";
import { Rows } from "./Rows";
import { SplitPane } from "./SplitPane";
import { useRemembered } from "./useRemembered";
import { nextLetter, SizeAndWall, UnitsChoice } from "./walls";

type PullBoxDocument = Schemas["PullboxDocument"];
type PullBoxResult = Schemas["PullBoxResult"];
type Entry = PullBoxDocument["entries"][number];

const FIRST: PullBoxDocument = {
  format: "yarrow.pullbox/1",
  units: "in",
  entries: [
    { id: say("A"), wall: "left", row: 1, size: "3" },
    { id: say("B"), wall: "bottom", row: 1, size: "2" },
  ],
  pulls: [[say("A"), say("B")]],
};

const USUAL_SIZE = { in: "2", mm: "32" } as const;

export default function PullBoxCheck() {
  const [document, setDocument] = useRemembered("pullbox", FIRST);
  const { answer, old, problems, refusal } = useCheck("pullbox", document, CHECKS.pullbox);
  const change = (fields: Fields<PullBoxDocument>) =>
    setDocument(withoutEmpty<PullBoxDocument>({ ...document, ...fields }));
  const { units, entries, pulls = [] } = document;
  const raceway = wordFor(term("raceway"), LANGUAGE_OF[units]);
  const ids = entries.map(({ id }) => ({ value: id, label: id }));
  const keep = (next: Entry[]) => {
    const known = new Set(next.map(({ id }) => id));
    change({ entries: next, pulls: pulls.filter((pull) => pull.every((end) => known.has(end))) });
  };
  return (
    <SplitPane
      old={old}
      brief={answer ? <Headline {...pullBoxHeadline(answer as PullBoxResult)} /> : null}
      form={
        <>
          <UnitsChoice
            value={units}
            onChange={(next) =>
              change({
                units: next,
                entries: entries.map((each) => ({ ...each, size: USUAL_SIZE[next] })),
                have: undefined,
              })
            }
          />
          <Rows
            title={say("{raceway}s", { raceway: sentence(raceway) })}
            add={`A ${raceway}`}
            rows={entries}
            fresh={(): Entry => ({
              id: nextLetter(entries.map(({ id }) => id)),
              wall: "right",
              row: 1,
              size: USUAL_SIZE[units],
            })}
            onChange={keep}
          >
            {(row, set) => (
              <>
                <b className="w-6">{row.id}</b>
                <SizeAndWall row={row} units={units} set={set} />
                <span className="text-soft">{say("row")}</span>
                <CountField
                  label={say("Row")}
                  value={row.row ?? 1}
                  onChange={(next) => set({ row: next })}
                />
              </>
            )}
          </Rows>
          <Rows
            title={say("Pulled")}
            add={say("A pull")}
            rows={pulls.map(([from = "", to = ""]) => ({ from, to }))}
            fresh={() => ({ from: entries[0]?.id ?? "", to: entries.at(-1)?.id ?? "" })}
            onChange={(next) => change({ pulls: next.map(({ from, to }) => [from, to]) })}
          >
            {(row, set) => (
              <>
                <span className="text-soft">{say("from")}</span>
                <Select
                  look="word"
                  label={say("From")}
                  value={row.from}
                  options={ids}
                  onChange={(from) => set({ from })}
                />
                <span className="text-soft">{say("to")}</span>
                <Select
                  look="word"
                  label={say("To")}
                  value={row.to}
                  options={ids}
                  onChange={(to) => set({ to })}
                />
              </>
            )}
          </Rows>
          <Have document={document} change={change} />
          <Body document={document} change={change} />
          <Problems problems={problems} refusal={refusal} />
        </>
      }
    >
      {answer ? <PullBoxAnswer answer={answer as PullBoxResult} /> : null}
    </SplitPane>
  );
}

type HaveProps = {
  document: PullBoxDocument;
  change: (fields: Fields<PullBoxDocument>) => void;
};

/** The box at hand, if there is one. */
function Have({ document, change }: HaveProps) {
  const { width = "", height = "" } = document.have ?? {};
  const set = (next: { width: string; height: string }) =>
    change({ have: next.width || next.height ? next : undefined });
  return (
    <fieldset>
      <legend className="font-semibold">{say("The box at hand, if there is one")}</legend>
      <div className="grid grid-cols-2 gap-3 pt-1">
        <TextField
          label={say("Width inside, {units}", { units: document.units })}
          value={String(width)}
          onChange={(event) => set({ width: event.target.value, height: String(height) })}
        />
        <TextField
          label={say("Height inside, {units}", { units: document.units })}
          value={String(height)}
          onChange={(event) => set({ width: String(width), height: event.target.value })}
        />
      </div>
    </fieldset>
  );
}

const BODY = {
  marked: { count: 3, size: "2" },
  conductors: { count: 3, size: "2" },
} as const;

const SAID = { marked: say("It is marked for"), conductors: say("Through it go") } as const;

/** A conduit body in place of a box, by what its maker has marked it for. */
function Body({ document, change }: HaveProps) {
  const known = useCatalogue().data?.conductors ?? [];
  const sizes = known
    .filter(({ insulation }) => insulation === "thhn")
    .map(({ size }) => ({ value: size, label: sizeName(size) }));
  const { body } = document;
  return (
    <div className="grid gap-1">
      <Checkbox
        checked={body !== undefined}
        onChange={(is) => change({ body: is ? { ...BODY } : undefined })}
      >
        {say("A marked {conduitBody}", {
          conduitBody: wordFor(term("conduit-body"), LANGUAGE_OF[document.units]),
        })}
      </Checkbox>
      {body
        ? (["marked", "conductors"] as const).map((part) => (
            <span key={part} className="flex items-center gap-2">
              <span className="text-soft">{SAID[part]}</span>
              <CountField
                label={say("{said}, how many", { said: SAID[part] })}
                value={body[part].count}
                onChange={(count) =>
                  change({ body: { ...body, [part]: { ...body[part], count } } })
                }
              />
              <Select
                look="word"
                label={say("{said}, size", { said: SAID[part] })}
                value={body[part].size}
                options={sizes}
                onChange={(size) => change({ body: { ...body, [part]: { ...body[part], size } } })}
              />
            </span>
          ))
        : null}
    </div>
  );
}

function pullBoxHeadline({ least, units, passes, findings }: PullBoxResult) {
  const word =
    passes === null
      ? say("At least {width} by {height} {units}", {
          width: least.width || say("any"),
          height: least.height || say("any"),
          units,
        })
      : passes
        ? say("It is large enough")
        : say("It is too small");
  return { stands: standing(passes ?? true, findings), word };
}

export function PullBoxAnswer({ answer }: { answer: PullBoxResult }) {
  const { least, units, have, passes } = answer;
  return (
    <>
      <Verdict
        passes={passes ?? true}
        findings={answer.findings}
        word={pullBoxHeadline(answer).word}
        rule={answer.rule}
      >
        <span className="text-soft">
          {have
            ? say("{width} by {height} {units} at hand, {leastWidth} by {leastHeight} needed.", {
                width: have.width,
                height: have.height,
                units,
                leastWidth: least.width,
                leastHeight: least.height,
              })
            : say("Width by height inside, by the rule, as one looks into the box.")}
        </span>
      </Verdict>
      <div className="grid gap-6 xl:grid-cols-[minmax(22rem,1fr)_minmax(18rem,0.8fr)]">
        <PullBoxDrawing answer={answer} />
        <div className="grid content-start gap-4">
          <table className="w-full text-sm">
            <thead className="text-xs text-soft">
              <tr>
                <th className="text-left font-normal">{say("why")}</th>
                <th className="text-left font-normal">{say("side")}</th>
                <th className="text-right font-normal">{units}</th>
              </tr>
            </thead>
            <tbody>
              {answer.reasons.map((reason) => (
                <tr key={`${reason.text} ${reason.side}`} className="border-t border-line">
                  <td className="py-1">{sentence(reason.text)}</td>
                  <td>{reason.side}</td>
                  <td className="text-right font-semibold">{reason.length}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <FillFindings findings={answer.findings} />
        </div>
      </div>
    </>
  );
}
