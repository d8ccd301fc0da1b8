// Each kind of walk line as a sentence whose numbers and words can be changed where they stand.
import { type ComponentType, memo } from "react";
import { DATUM, FITTING, HOLD } from "@/kinds/words";
import { setLine } from "@/model/commands";
import type { Line, LineKind, LineOf } from "@/model/document";
import { BoxNamed } from "./BoxNamed";
import { InlineField, WordField } from "./fields";
import { Angle, From, Length, Name, Side, Word } from "./lineFields";
import { usePlanner } from "./PlannerContext";

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
        offset <OffsetAngle {...props} />
        <From {...props} />
      </p>
    </>
  );
}

const ANGLE_BY = { given: "at", choose: "at the best angle", within: "within" } as const;

/** Its angle: given, left to Yarrow, or by the length that it must fit into. */
function OffsetAngle(props: SentenceProps<"offset">) {
  const change = usePlanner((state) => state.change);
  const { line, index } = props;
  const by = line.within !== undefined ? "within" : line.angle === "choose" ? "choose" : "given";
  const fields = {
    given: { angle: 30, within: undefined },
    choose: { angle: "choose", within: undefined },
    within: { angle: undefined, within: "" },
  } as const;
  return (
    <>
      <WordField
        label="Angle by"
        value={by}
        words={ANGLE_BY}
        onChange={(next) => change(setLine(index, fields[next]))}
      />{" "}
      {by === "given" ? <Angle {...props} usual={30} /> : null}
      {by === "within" ? <Length {...props} field="within" label="Must fit into" /> : null}
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

function RoundSentence(props: SentenceProps<"round">) {
  return (
    <>
      <Name {...props} placeholder="Which pipe or cable?" />
      <p className={SENTENCE}>
        Something round, <Length {...props} field="across" label="Across" /> across, its middle at{" "}
        <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        pass it <Side {...props} usual="out" /> with{" "}
        <Length {...props} field="clearance" label="Air over it" placeholder="usual" /> air; stands{" "}
        <Length {...props} field="height" label="Height" placeholder="as much" /> high
        <From {...props} />
      </p>
    </>
  );
}

function BlockSentence(props: SentenceProps<"block">) {
  return (
    <>
      <Name {...props} placeholder="Which duct or beam?" />
      <p className={SENTENCE}>
        Something square, <Length {...props} field="width" label="Width" /> wide,{" "}
        <Length {...props} field="height" label="Height" /> high, from{" "}
        <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        pass it <Side {...props} usual="out" /> with{" "}
        <Length {...props} field="clearance" label="Air over it" placeholder="usual" /> air
        <From {...props} />
      </p>
    </>
  );
}

function LedgeSentence(props: SentenceProps<"ledge">) {
  return (
    <>
      <Name {...props} placeholder="Which ledge or plinth?" />
      <p className={SENTENCE}>
        A step of <Length {...props} field="height" label="Height" />, its face at{" "}
        <Length {...props} field="at" label="At" />
      </p>
      <p className={SUB}>
        up it <Side {...props} usual="out" /> and stay, with{" "}
        <Length {...props} field="clearance" label="Air over it" placeholder="no" /> air
        <From {...props} />
      </p>
    </>
  );
}

function WallSentence(props: SentenceProps<"wall">) {
  return (
    <>
      <Name {...props} placeholder="Which wall?" />
      <p className={SENTENCE}>
        A wall at <Length {...props} field="at" label="At" />: go <Side {...props} />
      </p>
      <p className={SUB}>
        turned by <Angle {...props} usual={90} />
        <From {...props} />
      </p>
    </>
  );
}

function HoleSentence(props: SentenceProps<"hole">) {
  return (
    <>
      <Name {...props} placeholder="Which hole?" />
      <p className={SENTENCE}>
        A hole at <Length {...props} field="at" label="At" />, its middle{" "}
        <Length {...props} field="depth" label="Depth" /> <Side {...props} usual="out" />
      </p>
      <p className={SUB}>
        off the line of the pipe
        <From {...props} />
      </p>
    </>
  );
}

function BoxSentence(props: SentenceProps<"box">) {
  return (
    <>
      <Name {...props} placeholder="Which box?" />
      <p className={SENTENCE}>
        The {props.line.where} box has its knockout{" "}
        <Length {...props} field="knockout" label="Knockout off the wall" /> off the wall
      </p>
      <p className={SUB}>
        <Length
          {...props}
          field="margin"
          label="Straight left for the connector"
          placeholder="usual"
        />{" "}
        of straight for the connector
      </p>
    </>
  );
}

const ENDS = { free: "the walk ends", fixed: "it is fixed" } as const;
const MEETING = ["ahead", "left", "out"] as const;

/** Where both ends are fixed: the face's place, seen from the start. */
function FixedEnd({ line, index }: SentenceProps<"end">) {
  const change = usePlanner((state) => state.change);
  const meet = line.meet;
  return (
    <p className={SUB}>
      its place is where{" "}
      <WordField
        label="Its place"
        value={meet ? "fixed" : "free"}
        words={ENDS}
        onChange={(next) =>
          change(setLine(index, { meet: next === "fixed" ? ["", "", ""] : undefined }))
        }
      />
      {meet
        ? MEETING.map((name, axis) => (
            <span key={name}>
              {axis === 0 ? ": " : ", "}
              <InlineField
                path={`walk[${index}].meet[${axis}]`}
                label={`Fixed ${name} of the start`}
                value={meet[axis]}
                onChange={(text, burst) =>
                  change(setLine(index, { meet: meet.with(axis, text) }), burst)
                }
              />{" "}
              {name}
            </span>
          ))
        : null}
    </p>
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
          placeholder="by fitting"
        />
        <From {...props} />
      </p>
      <p className={SUB}>
        <EndBox {...props} />
      </p>
      <FixedEnd {...props} />
    </>
  );
}

function EndBox({ line, index }: SentenceProps<"end">) {
  const change = usePlanner((state) => state.change);
  return (
    <BoxNamed
      path={`walk[${index}].box`}
      value={line.box}
      onChange={(box, burst) => change(setLine(index, { box: box || undefined }), burst)}
    />
  );
}

const SENTENCES: { [K in LineKind]: ComponentType<SentenceProps<K>> } = {
  offset: OffsetSentence,
  saddle3: Saddle3Sentence,
  saddle4: Saddle4Sentence,
  kick: KickSentence,
  box_offset: BoxOffsetSentence,
  turn: TurnSentence,
  round: RoundSentence,
  block: BlockSentence,
  ledge: LedgeSentence,
  wall: WallSentence,
  hole: HoleSentence,
  box: BoxSentence,
  end: EndSentence,
};

type AnySentence = { line: Line; index: number; firstLeg: boolean };

/** Drawn again when its line changes, not whenever there is a new plan: its fields see to that. */
export const Sentence = memo(function Sentence({ line, index, firstLeg }: AnySentence) {
  const Kind = SENTENCES[line.kind] as ComponentType<SentenceProps<LineKind>>;
  return <Kind line={line} index={index} firstLeg={firstLeg} />;
});
