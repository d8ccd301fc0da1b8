// Holes in a box: where raceways enter, whether lock rings meet, and how far apart a row has to be.
import { CHECKS } from "@/api/boxes";
import type { Schemas } from "@/api/client";
import { EntriesDrawing } from "@/drawing/EntriesDrawing";
import { FillFindings } from "@/features/wires/FillFindings";
import { asText } from "@/model/document";
import type { Fields } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { useCheck } from "@/state/useCheck";
import { Checkbox } from "@/ui/Checkbox";
import { InlineInput } from "@/ui/InlineInput";
import { TextField } from "@/ui/TextField";
import { Headline, standing, Verdict } from "@/ui/Verdict";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import { Problems } from "./Problems";
import { Rows } from "./Rows";
import { SplitPane } from "./SplitPane";
import { useRemembered } from "./useRemembered";
import { nextLetter, SizeAndWall } from "./walls";

type EntriesDocument = Schemas["EntriesDocument"];
type EntriesResult = Schemas["EntriesResult"];
type Entry = EntriesDocument["entries"][number];

/** A place that is left empty is the core's to find. */
function withLength(field: "at" | "deep", text: string): Partial<Entry> {
  return { [field]: text === "" ? undefined : text };
}

const FIRST: EntriesDocument = {
  format: "yarrow.entries/1",
  units: "in",
  box: { width: "4", height: "4", depth: "2 1/8" },
  device: true,
  entries: [
    { id: say("A"), wall: "top", size: "1/2" },
    { id: say("B"), wall: "top", size: "1/2" },
    { id: say("C"), wall: "left", at: "2", size: "1/2" },
  ],
};

export default function EntriesCheck() {
  const [document, setDocument] = useRemembered("entries", FIRST);
  const { answer, old, problems, refusal } = useCheck("entries", document, CHECKS.entries);
  const change = (fields: Fields<EntriesDocument>) =>
    setDocument(withoutEmpty<EntriesDocument>({ ...document, ...fields }));
  const { box, units, entries, device = false } = document;
  return (
    <SplitPane
      old={old}
      brief={answer ? <Headline {...holesHeadline(answer as EntriesResult)} /> : null}
      form={
        <>
          <div className="grid grid-cols-3 gap-3">
            {(["width", "height", "depth"] as const).map((side) => (
              <TextField
                key={side}
                label={`${sentence(side)}, ${units}`}
                value={String(box[side])}
                onChange={(event) => change({ box: { ...box, [side]: event.target.value } })}
              />
            ))}
          </div>
          <Checkbox checked={device} onChange={(next) => change({ device: next })}>
            {say("A device in the middle")}
          </Checkbox>
          <Rows
            title={say("Holes")}
            add={say("A hole")}
            rows={entries}
            fresh={(): Entry => ({
              id: nextLetter(entries.map(({ id }) => id)),
              wall: "bottom",
              size: "1/2",
            })}
            onChange={(next) => change({ entries: next })}
          >
            {(row, set) => (
              <>
                <b className="w-5">{row.id}</b>
                <SizeAndWall row={row} units={units} set={set} />
                <span className="text-soft">{say("at")}</span>
                <InlineInput
                  label={say("From the wall's left or lower end to the middle")}
                  value={asText(row.at)}
                  placeholder={answer?.entries.find(({ id }) => id === row.id)?.along_text ?? ""}
                  onType={(at) => set(withLength("at", at))}
                />
                <span className="text-soft">{say("and")}</span>
                <InlineInput
                  label={say("From the back to the middle")}
                  value={asText(row.deep)}
                  placeholder={say("middle")}
                  onType={(deep) => set(withLength("deep", deep))}
                />
                <span className="text-soft">{say("off the back")}</span>
              </>
            )}
          </Rows>
          <Problems problems={problems} refusal={refusal} />
        </>
      }
    >
      {answer ? <EntriesAnswer answer={answer as EntriesResult} /> : null}
    </SplitPane>
  );
}

function holesHeadline({ passes, findings }: EntriesResult) {
  const word = passes ? say("The holes go together") : say("The holes do not go together");
  return { stands: standing(passes, findings), word };
}

export function EntriesAnswer({ answer }: { answer: EntriesResult }) {
  const wrong = new Map(
    answer.findings.toReversed().map(({ path, level }) => {
      const at = /^entries\[(\d+)\]/.exec(path)?.[1];
      const id = at === undefined ? "" : (answer.entries[Number(at)]?.id ?? "");
      return [id, level === "error" ? "brick" : "amber"] as const;
    }),
  );
  return (
    <>
      <Verdict
        passes={answer.passes}
        findings={answer.findings}
        word={holesHeadline(answer).word}
        rule={answer.rule}
      >
        <span className="text-soft">
          {say("{ringsAndBushes} to scale; from middle to middle along a wall.", {
            ringsAndBushes: wordFor(term("rings-and-bushes"), LANGUAGE_OF[answer.units]),
          })}
        </span>
      </Verdict>
      <div className="grid gap-6 xl:grid-cols-[minmax(22rem,1fr)_minmax(18rem,0.8fr)]">
        <EntriesDrawing answer={answer} wrong={wrong} />
        <div className="grid content-start gap-4">
          {answer.spacings.length > 0 ? (
            <table className="w-full text-sm">
              <thead className="text-xs text-soft">
                <tr>
                  <th className="text-left font-normal">{say("side by side")}</th>
                  <th className="text-right font-normal">
                    {say("now, {units}", { units: answer.units })}
                  </th>
                  <th className="text-right font-normal">{say("at least")}</th>
                </tr>
              </thead>
              <tbody>
                {answer.spacings.map(({ between, is_now, least }) => (
                  <tr key={between.join()} className="border-t border-line">
                    <td className="py-1">{between.join(" to ")}</td>
                    <td className="text-right font-semibold">{is_now.toFixed(2)}</td>
                    <td className="text-right">{least.toFixed(2)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : null}
          <FillFindings findings={answer.findings} />
        </div>
      </div>
    </>
  );
}
