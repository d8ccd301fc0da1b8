// Each kind of walk line as a sentence whose numbers and words can be changed where they stand.
import { type ComponentType, memo } from "react";
import { DATUM, FITTING, HOLD, TOWARD } from "@/kinds/words";
import { setLine } from "@/model/commands";
import type { Line, LineKind, LineOf } from "@/model/document";
import { InlineField, numberOrText, WordField } from "./fields";
import { usePlanner } from "./PlannerContext";

type SentenceProps<K extends LineKind> = { line: LineOf<K>; index: number; firstLeg: boolean };

function useFields(index: number) {
  const change = usePlanner((state) => state.change);
  return {
    path: (field: string) => `walk[${index}].${field}`,
    set: (field: string) => (value: unknown, burst?: string) =>
      change(
        setLine(index, { [field]: value === "" && OPTIONAL.has(field) ? undefined : value }),
        burst,
      ),
  };
}

const OPTIONAL = new Set(["label", "allowance"]);

export function LabelField({
  path,
  value,
  placeholder,
  onChange,
}: {
  path: string;
  value: string | undefined;
  placeholder: string;
  onChange: (text: string, burst: string) => void;
}) {
  return (
    <InlineField
      path={path}
      label="What it is"
      numeric={false}
      value={value}
      placeholder={placeholder}
      onChange={onChange}
      className="block w-[calc(100%-2.5rem)] border-transparent font-semibold pointer-coarse:px-0.5"
    />
  );
}

function OffsetSentence({ line, index, firstLeg }: SentenceProps<"offset">) {
  const { path, set } = useFields(index);
  return (
    <>
      <LabelField
        path={path("label")}
        value={line.label}
        placeholder="What is in the way?"
        onChange={set("label")}
      />
      <p className={SENTENCE}>
        Step{" "}
        <WordField label="Toward" value={line.toward} words={TOWARD} onChange={set("toward")} /> by{" "}
        <InlineField path={path("rise")} label="Rise" value={line.rise} onChange={set("rise")} />,{" "}
        <WordField label="Held" value={line.of ?? "full"} words={HOLD} onChange={set("of")} />{" "}
        <InlineField path={path("at")} label="At" value={line.at} onChange={set("at")} />
      </p>
      <p className={SUB}>
        offset at <Angle path={path("angle")} value={line.angle ?? 30} onChange={set("angle")} />
        <From line={line} firstLeg={firstLeg} onChange={set("from")} />
      </p>
    </>
  );
}

function TurnSentence({ line, index, firstLeg }: SentenceProps<"turn">) {
  const { path, set } = useFields(index);
  return (
    <>
      <LabelField
        path={path("label")}
        value={line.label}
        placeholder="Which face or corner?"
        onChange={set("label")}
      />
      <p className={SENTENCE}>
        Turn{" "}
        <WordField label="Toward" value={line.toward} words={TOWARD} onChange={set("toward")} /> at{" "}
        <InlineField path={path("at")} label="At" value={line.at} onChange={set("at")} /> to its{" "}
        <WordField
          label="Measured to"
          value={line.of ?? "back"}
          words={DATUM}
          onChange={set("of")}
        />
      </p>
      <p className={SUB}>
        bend of <Angle path={path("angle")} value={line.angle ?? 90} onChange={set("angle")} />
        <From line={line} firstLeg={firstLeg} onChange={set("from")} />
      </p>
    </>
  );
}

function EndSentence({ line, index, firstLeg }: SentenceProps<"end">) {
  const { path, set } = useFields(index);
  return (
    <>
      <LabelField
        path={path("label")}
        value={line.label}
        placeholder="Which box?"
        onChange={set("label")}
      />
      <p className={SENTENCE}>
        End at a{" "}
        <WordField
          label="Fitting at the end"
          value={line.fitting ?? "open"}
          words={FITTING}
          onChange={set("fitting")}
        />{" "}
        at <InlineField path={path("at")} label="At" value={line.at} onChange={set("at")} />
      </p>
      <p className={SUB}>
        pipe beyond its face{" "}
        <InlineField
          path={path("allowance")}
          label="Pipe beyond the end's face"
          value={line.allowance}
          placeholder="its own"
          onChange={set("allowance")}
        />
        <From line={line} firstLeg={firstLeg} onChange={set("from")} />
      </p>
    </>
  );
}

/** Degrees, typed freely: what is not a number is left for the core to refuse in words. */
function Angle({
  path,
  value,
  onChange,
}: {
  path: string;
  value: number;
  onChange: (value: unknown, burst: string) => void;
}) {
  return (
    <>
      <InlineField
        path={path}
        label="Angle"
        value={value}
        onChange={(text, burst) => onChange(numberOrText(text), burst)}
      />
      °
    </>
  );
}

/** After a turn: which of its surfaces the tape is hooked to. */
function From({
  line,
  firstLeg,
  onChange,
}: {
  line: Line;
  firstLeg: boolean;
  onChange: (value: unknown) => void;
}) {
  if (firstLeg) {
    return null;
  }
  return (
    <>
      , from the{" "}
      <WordField
        label="Measured from"
        value={line.from ?? "back"}
        words={DATUM}
        onChange={onChange}
      />{" "}
      of the turn
    </>
  );
}

export const SENTENCE = "leading-[1.75] pointer-coarse:leading-[3.1rem]";
export const SUB = "text-sm leading-[1.75] pointer-coarse:leading-[3.1rem] text-soft";

const SENTENCES: { [K in LineKind]: ComponentType<SentenceProps<K>> } = {
  offset: OffsetSentence,
  turn: TurnSentence,
  end: EndSentence,
};

type AnySentence = { line: Line; index: number; firstLeg: boolean };

/** Drawn again when its line changes, not whenever there is a new plan: its fields see to that. */
export const Sentence = memo(function Sentence({ line, index, firstLeg }: AnySentence) {
  const Kind = SENTENCES[line.kind] as ComponentType<SentenceProps<LineKind>>;
  return <Kind line={line} index={index} firstLeg={firstLeg} />;
});
