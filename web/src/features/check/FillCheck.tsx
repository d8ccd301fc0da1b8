// Conductors into a conduit or a trunking: three entries, and the answer is there.
import { CHECKS } from "@/api/boxes";
import { partColours } from "@/drawing/colours";
import { FillFindings } from "@/features/wires/FillFindings";
import { FillPicture } from "@/features/wires/FillPicture";
import { FillDetails, FillVerdict, fillHeadline } from "@/features/wires/FillVerdict";
import { WireList } from "@/features/wires/WireList";
import { addedConductors, type Fields, type FillDocument } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { LANGUAGE_OF } from "@/model/wording";
import { problemAt, useCheck } from "@/state/useCheck";
import { Headline } from "@/ui/Verdict";
import { say } from "@/words/say";
import { OfTheRun, WhichConduit } from "./ConduitFields";
import { FIRST } from "./firstFill";
import { SplitPane } from "./SplitPane";
import { TrunkingFields } from "./TrunkingFields";
import { useRemembered } from "./useRemembered";

export function FillCheck({ into }: { into: keyof typeof FIRST }) {
  const [document, setDocument] = useRemembered(into, FIRST[into]);
  const { answer, old, problems, refusal } = useCheck("fill", document, CHECKS.fill);
  const change = (fields: Fields<FillDocument>) =>
    setDocument(withoutEmpty<FillDocument>({ ...document, ...fields }));
  const colours = answer ? partColours(answer.conductors, "size", document.units === "mm") : [];
  const general = refusal || generalProblem(problems);
  return (
    <SplitPane
      old={old}
      brief={answer ? <Headline {...fillHeadline(answer)} /> : null}
      form={
        <>
          {into === "conduit" ? (
            <WhichConduit document={document} setDocument={setDocument} />
          ) : (
            <TrunkingFields document={document} change={change} problems={problems} />
          )}
          <WireList
            language={LANGUAGE_OF[document.units]}
            wires={document}
            units={document.units}
            parts={answer?.conductors ?? []}
            colours={colours}
            problem={(path) => problemAt(problems, path)}
            onChange={change}
            onAdd={(more) =>
              setDocument((now) =>
                withoutEmpty<FillDocument>({ ...now, ...addedConductors(now, more) }),
              )
            }
          />
          {into === "conduit" ? (
            <OfTheRun document={document} setDocument={setDocument} problems={problems} />
          ) : null}
          {general ? (
            <p role="alert" className="text-sm text-brick">
              {general}
            </p>
          ) : null}
        </>
      }
    >
      {answer ? (
        <>
          <FillVerdict fill={answer} />
          <div className="grid gap-6 xl:grid-cols-[minmax(18rem,1fr)_minmax(20rem,1fr)]">
            <FillPicture fill={answer} />
            <div className="grid content-start gap-3">
              <FillDetails fill={answer} />
              <FillFindings
                findings={answer.findings}
                take={(path, value) => change(taken(document, path, value))}
              />
            </div>
          </div>
        </>
      ) : null}
    </SplitPane>
  );
}

/** A remedy's one field: another size of the same kind. */
function taken(document: FillDocument, path: string, value: string): Partial<FillDocument> {
  if (path === "trunking") {
    const [width = "", height = ""] = value.split("x");
    return { trunking: { width, height } };
  }
  return document.conduit ? { conduit: { ...document.conduit, size: value } } : {};
}

/** What is not about a line or a field that has its own place. */
function generalProblem(problems: ReadonlyMap<string, string>): string {
  const found = [...problems].find(
    ([path]) => !/^(conductors\[|circuits\[|length|spare|bends|trunking)/.test(path),
  );
  return found ? say("Expected {expected}", { expected: found[1] }) : "";
}
