// The fields of one walk line: each knows its line and its name, and changes just that.
import { useFittings } from "@/api/benders";
import { useCatalogue } from "@/api/queries";
import { InlineField, numberOrText, WordField } from "@/features/walk/fields";
import { DATUM, TOWARD } from "@/kinds/words";
import { setLine } from "@/model/commands";
import type { FittingKind, Line, Toward } from "@/model/document";
import { inRun } from "@/model/fittings";
import { nameIn } from "@/model/wording";
import { useOfJob, usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

export type OfLine = { line: Line; index: number };

/** Fields that are left out of the document where nothing stands in them. */
const OPTIONAL = new Set(["label", "allowance", "clearance", "margin", "height", "within"]);

function useField({ line, index }: OfLine, field: string) {
  const change = usePlanner((state) => state.change);
  const fields: Record<string, unknown> = line;
  return {
    path: `walk[${index}].${field}`,
    value: fields[field] as string | number | undefined,
    set: (value: unknown, burst?: string) => {
      const kept = value === "" && OPTIONAL.has(field) ? undefined : value;
      change(setLine(index, { [field]: kept }), burst);
    },
  };
}

/** A length as read off a tape. */
export function Length({
  field,
  label,
  placeholder,
  ...of
}: OfLine & { field: string; label: string; placeholder?: string }) {
  const { path, value, set } = useField(of, field);
  return (
    <InlineField
      path={path}
      label={label}
      value={value}
      onChange={set}
      {...(placeholder ? { placeholder } : {})}
    />
  );
}

/** Degrees, typed freely: what is not a number is left for the core to refuse in words. */
export function Angle({ usual, ...of }: OfLine & { usual: number }) {
  const { path, value, set } = useField(of, "angle");
  return (
    <>
      <InlineField
        path={path}
        label={say("Angle")}
        value={value ?? usual}
        onChange={(text, burst) => set(numberOrText(text), burst)}
      />
      °
    </>
  );
}

/** One of a few words. */
export function Word<T extends string>({
  field,
  label,
  words,
  usual,
  ...of
}: OfLine & { field: string; label: string; words: Record<T, string>; usual: T }) {
  const { value, set } = useField(of, field);
  return (
    <WordField
      label={label}
      value={(value as T | undefined) ?? usual}
      words={words}
      onChange={set}
    />
  );
}

/** What the pipe goes into at its end. */
export function EndFitting({ field, label, ...of }: OfLine & { field: string; label: string }) {
  const { value } = useField(of, field);
  const change = usePlanner((state) => state.change);
  const { own } = of.line as { own?: string };
  return (
    <FittingField
      label={label}
      value={String(value ?? "open")}
      own={own}
      onChange={({ kind, ...choice }) => change(setLine(of.index, { [field]: kind, ...choice }))}
    />
  );
}

type FittingChoice = {
  kind: FittingKind;
  allowance: string | number | undefined;
  own: string | undefined;
};

/** A fitting, by its name in the catalogue, or one of the crew's own with where its pipe ends. */
export function FittingField({
  label,
  value,
  own,
  onChange,
}: {
  label: string;
  value: string;
  own: string | undefined;
  onChange: (choice: FittingChoice) => void;
}) {
  const units = usePlanner((state) => state.history.present.units);
  const fittings = useCatalogue().data?.fittings ?? [{ kind: value, names: {} }];
  const { language } = useOfJob();
  const mine = useFittings().data?.document.fittings ?? [];
  const words = Object.fromEntries([
    ...fittings.map(({ kind, names }) => [kind, nameIn(names, language) || "…"]),
    ...mine.map(({ name }) => [`${OWN}${name}`, name]),
    ...(own ? [[`${OWN}${own}`, own]] : []),
  ]);
  const choose = (chosen: string) => {
    const found = mine.find(({ name }) => chosen === `${OWN}${name}`);
    if (found) {
      onChange(inRun(found, units));
    } else if (!chosen.startsWith(OWN)) {
      // What an own fitting said of the pipe's end goes with it.
      const kind = chosen as FittingKind;
      onChange(own ? { kind, allowance: undefined, own: undefined } : ({ kind } as FittingChoice));
    }
  };
  return (
    <WordField label={label} value={own ? `${OWN}${own}` : value} words={words} onChange={choose} />
  );
}

const OWN = "own ";

/** Out, in, left or right. */
export function Side({ usual = "left", ...of }: OfLine & { usual?: Toward }) {
  return <Word {...of} field="toward" label={say("Toward")} words={TOWARD} usual={usual} />;
}

/** What the person calls it. */
export function Name({ placeholder, ...of }: OfLine & { placeholder: string }) {
  const { path, value, set } = useField(of, "label");
  return <NameField path={path} value={value} placeholder={placeholder} onChange={set} />;
}

export function NameField({
  path,
  value,
  placeholder,
  onChange,
}: {
  path: string;
  value: string | number | undefined;
  placeholder: string;
  onChange: (text: string, burst: string) => void;
}) {
  return (
    <InlineField
      path={path}
      label={say("What it is")}
      numeric={false}
      value={value}
      placeholder={placeholder}
      onChange={onChange}
      className="block w-[calc(100%-2.5rem)] border-transparent font-semibold pointer-coarse:-ml-2"
    />
  );
}

/** After a turn: which of its surfaces the tape is hooked to. */
export function From({ firstLeg, ...of }: OfLine & { firstLeg: boolean }) {
  if (firstLeg) {
    return null;
  }
  return (
    <>
      {sayWith(", from the {from} of the turn", {
        from: <Word {...of} field="from" label={say("Measured from")} words={DATUM} usual="back" />,
      })}
    </>
  );
}
