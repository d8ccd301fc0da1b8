// A box by volume: what is in it, the sum worked out line by line, and what would do.
import { CHECKS } from "@/api/boxes";
import { BoxDrawing } from "@/drawing/BoxDrawing";
import { FillFindings } from "@/features/wires/FillFindings";
import type { Fields } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { useCheck } from "@/state/useCheck";
import { Headline, standing, Verdict } from "@/ui/Verdict";
import { say } from "@/words/say";
import { trimmed } from "@/words/text";
import { type BoxDocument, BoxFields } from "./BoxFields";
import { BoxSum } from "./BoxSum";
import type { BoxResult } from "./boxResult";
import { Problems } from "./Problems";
import { SplitPane } from "./SplitPane";
import { useRemembered } from "./useRemembered";

const FIRST: BoxDocument = {
  format: "yarrow.box/1",
  box: "square-4-1-1/2",
  clamps: false,
  conductors: [{ size: "12", ends: 4, passes: 2 }],
  grounds: { size: "12", count: 3 },
  devices: [{ size: "12", count: 1 }],
};

export default function BoxCheck() {
  const [document, setDocument] = useRemembered("box", FIRST);
  const { answer, old, problems, refusal } = useCheck("box", document, CHECKS.box);
  const change = (fields: Fields<BoxDocument>) =>
    setDocument(withoutEmpty<BoxDocument>({ ...document, ...fields }));
  return (
    <SplitPane
      old={old}
      brief={answer ? <Headline {...boxHeadline(answer)} /> : null}
      form={
        <>
          <BoxFields document={document} change={change} />
          <Problems problems={problems} refusal={refusal} />
        </>
      }
    >
      {answer ? <BoxAnswer answer={answer} take={(box) => change({ box, gangs: 1 })} /> : null}
    </SplitPane>
  );
}

function boxHeadline({ passes, findings }: BoxResult) {
  const word = passes ? say("The box is large enough") : say("The box is too small");
  return { stands: standing(passes, findings), word };
}

type AnswerProps = { answer: BoxResult; take?: (box: string) => void };

export function BoxAnswer({ answer, take }: AnswerProps) {
  return (
    <>
      <Verdict
        passes={answer.passes}
        findings={answer.findings}
        word={boxHeadline(answer).word}
        rule={answer.rule}
      >
        <span className="text-2xl font-bold">{trimmed(answer.needed)} in³</span>{" "}
        <span className="text-soft">
          {say("needed, {volume} in³ there: {name}", {
            volume: trimmed(answer.volume),
            name: answer.name,
          })}
        </span>
      </Verdict>
      <div className="grid gap-6 xl:grid-cols-[minmax(15rem,0.8fr)_minmax(22rem,1fr)]">
        <BoxDrawing answer={answer} />
        <div className="grid content-start gap-4">
          <BoxSum answer={answer} {...(take ? { take } : {})} />
          <FillFindings findings={answer.findings} />
        </div>
      </div>
    </>
  );
}
