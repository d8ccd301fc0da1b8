// A walk line as a sentence whose numbers and words can be changed where they stand.
import { type ComponentType, memo } from "react";
import type { OwnPart, Part } from "@/kinds/kindSpec";
import { KINDS } from "@/kinds/kinds";
import { isWords, rowIsUsual } from "@/kinds/usual";
import { wordFor } from "@/model/wording";
import { useOfJob } from "@/state/PlannerContext";
import { Angle, EndFitting, From, Length, Name, type OfLine, Side, Word } from "./lineFields";
import { EndBox, FixedEnd, HeldAtEnd, OffsetAngle } from "./ownParts";
import { SENTENCE, SUB } from "./sentenceClasses";

type Props = OfLine & { firstLeg: boolean };
/** `all`: what is as it usually is, too. */
type Shown = Props & { all: boolean };

/** Drawn again when its line changes, not whenever there is a new plan: its fields see to that. */
export const Sentence = memo(function Sentence({ all, ...of }: Shown) {
  const { name, sentence, quiet } = KINDS[of.line.kind];
  const rows = quiet.filter((parts) => all || !rowIsUsual(parts, of.line));
  return (
    <>
      {all || of.line.label ? <Name {...of} placeholder={name} /> : null}
      <p className={SENTENCE}>
        <Parts parts={sentence} {...of} />
      </p>
      {rows.map((parts, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a kind never change their places
        <p key={at} className={SUB}>
          <Parts parts={parts} {...of} />
        </p>
      ))}
    </>
  );
});

function Parts({ parts, ...of }: Props & { parts: readonly Part[] }) {
  // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a kind never change their places
  return parts.map((part, at) => <OnePart key={at} part={part} {...of} />);
}

function OnePart({ part, ...of }: Props & { part: Part }) {
  const { language } = useOfJob();
  if (isWords(part)) {
    return wordFor(part, language);
  }
  if ("length" in part) {
    const { length, label, ...rest } = part;
    return <Length {...of} {...rest} label={wordFor(label, language)} field={length} />;
  }
  if ("word" in part) {
    const { word, ...rest } = part;
    return <Word {...of} {...rest} field={word} />;
  }
  if ("fitting" in part) {
    return <EndFitting {...of} field={part.fitting} label={part.label} />;
  }
  if ("side" in part) {
    return <Side {...of} usual={part.side} />;
  }
  if ("angle" in part) {
    return <Angle {...of} usual={part.angle} />;
  }
  if ("from" in part) {
    return <From {...of} />;
  }
  if ("own" in part) {
    const Own = OWN[part.own];
    return <Own {...of} />;
  }
  const fields: Record<string, unknown> = of.line;
  return String(fields[part.value]);
}

const OWN: Record<OwnPart, ComponentType<OfLine>> = {
  "offset-angle": OffsetAngle,
  "end-box": EndBox,
  "end-held": HeldAtEnd,
  "fixed-end": FixedEnd,
};
