// Each kind of walk line as a sentence whose numbers and words can be changed where they stand.
import { type ComponentType, memo } from "react";
import { DATUM, FITTING, HOLD } from "@/kinds/words";
import type { Line, LineKind, LineOf } from "@/model/document";
import { Angle, From, Length, Name, Side, Word } from "./lineFields";

type SentenceProps<K extends LineKind> = { line: LineOf<K>; index: number; firstLeg: boolean };

export const SENTENCE = "leading-[1.75] pointer-coarse:leading-[3.1rem]";
export const SUB = "text-sm leading-[1.75] pointer-coarse:leading-[3.1rem] text-soft";

function OffsetSentence(props: SentenceProps<"offset">) {
  return (
    <>
      <Name {...props} placeholder="What is in the way?" />
      <p className={SENTENCE}>
        Step <Side {...props} /> by <Length {...props} field="rise" label="Rise" />,{" "}
        <Word {...props} field="of" label="Held" words={HOLD} usual="full" />{" "}
        <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        offset at <Angle {...props} usual={30} />
        <From {...props} />
      </p>
    </>
  );
}

function Saddle3Sentence(props: SentenceProps<"saddle3">) {
  return (
    <>
      <Name {...props} placeholder="Which pipe is to be crossed?" />
      <p className={SENTENCE}>
        Over <Length {...props} field="rise" label="Rise" /> across, at{" "}
        <Length {...props} field="at" label="At" />, going <Side {...props} />
      </p>
      <p className={SUB}>
        3-bend saddle at <Angle {...props} usual={45} />, <Air {...props} />
        <From {...props} />
      </p>
    </>
  );
}

function Saddle4Sentence(props: SentenceProps<"saddle4">) {
  return (
    <>
      <Name {...props} placeholder="What is to be crossed?" />
      <p className={SENTENCE}>
        Over <Length {...props} field="rise" label="Rise" /> high,{" "}
        <Length {...props} field="width" label="Width" /> wide, from{" "}
        <Length {...props} field="at" label="At" />, going <Side {...props} />
      </p>
      <p className={SUB}>
        4-bend saddle at <Angle {...props} usual={30} />, <Air {...props} />
        <From {...props} />
      </p>
    </>
  );
}

function Air(props: SentenceProps<"saddle3" | "saddle4">) {
  return (
    <>
      <Length {...props} field="clearance" label="Air over it" placeholder="no" /> air
    </>
  );
}

function KickSentence(props: SentenceProps<"kick">) {
  return (
    <>
      <Name {...props} placeholder="What is it to reach?" />
      <p className={SENTENCE}>
        Lean <Side {...props} /> by <Length {...props} field="rise" label="Rise" />, starting at{" "}
        <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        kick, until what comes next
        <From {...props} />
      </p>
    </>
  );
}

function BoxOffsetSentence(props: SentenceProps<"box_offset">) {
  return (
    <>
      <Name {...props} placeholder="Knockout off the wall" />
      <p className={SENTENCE}>
        Step <Side {...props} /> by <Length {...props} field="rise" label="Rise" /> at the{" "}
        {props.line.where} box
      </p>
      <p className={SUB}>
        box offset at <Angle {...props} usual={10} />,{" "}
        <Length
          {...props}
          field="margin"
          label="Straight left for the connector"
          placeholder="usual"
        />{" "}
        of straight
      </p>
    </>
  );
}

function TurnSentence(props: SentenceProps<"turn">) {
  return (
    <>
      <Name {...props} placeholder="Which face or corner?" />
      <p className={SENTENCE}>
        Turn <Side {...props} /> at <Length {...props} field="at" label="At" /> to its{" "}
        <Word {...props} field="of" label="Measured to" words={DATUM} usual="back" />
      </p>
      <p className={SUB}>
        bend of <Angle {...props} usual={90} />
        <From {...props} />
      </p>
    </>
  );
}

function EndSentence(props: SentenceProps<"end">) {
  return (
    <>
      <Name {...props} placeholder="Which box?" />
      <p className={SENTENCE}>
        End at a{" "}
        <Word {...props} field="fitting" label="Fitting at the end" words={FITTING} usual="open" />{" "}
        at <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        pipe beyond its face{" "}
        <Length
          {...props}
          field="allowance"
          label="Pipe beyond the end's face"
          placeholder="its own"
        />
        <From {...props} />
      </p>
    </>
  );
}

const SENTENCES: { [K in LineKind]: ComponentType<SentenceProps<K>> } = {
  offset: OffsetSentence,
  saddle3: Saddle3Sentence,
  saddle4: Saddle4Sentence,
  kick: KickSentence,
  box_offset: BoxOffsetSentence,
  turn: TurnSentence,
  end: EndSentence,
};

type AnySentence = { line: Line; index: number; firstLeg: boolean };

/** Drawn again when its line changes, not whenever there is a new plan: its fields see to that. */
export const Sentence = memo(function Sentence({ line, index, firstLeg }: AnySentence) {
  const Kind = SENTENCES[line.kind] as ComponentType<SentenceProps<LineKind>>;
  return <Kind line={line} index={index} firstLeg={firstLeg} />;
});
