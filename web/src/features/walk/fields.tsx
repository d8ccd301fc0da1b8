// The fields of a walk line: typed as read off a tape, never reworded, each with its own word for
// what is wrong with it.
import { type KeyboardEvent, useRef } from "react";
import { asText } from "@/model/document";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { classes } from "@/ui/classes";
import { InlineInput } from "@/ui/InlineInput";
import { Select } from "@/ui/Select";

type FieldProps = {
  /** Where the field is in the document: `walk[1].rise`. */
  path: string;
  label: string;
  value: string | number | undefined;
  onChange: (text: string, burst: string) => void;
  placeholder?: string;
  numeric?: boolean;
  className?: string;
};

/** A field in a sentence, as wide as what is in it. */
export function InlineField(props: FieldProps) {
  const { path, label, value, onChange, placeholder, numeric = true, className } = props;
  const settle = usePlanner((state) => state.settle);
  const problem = usePlanState(({ problems }) => problems.get(path));
  const level = usePlanState(
    ({ plan }) => plan?.findings.find((each) => each.path === path)?.level,
  );
  const began = useRef("");
  const text = asText(value);

  const keys = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") {
      nextField(event.currentTarget)?.focus();
    }
    if (event.key === "Escape" && text !== began.current) {
      event.stopPropagation();
      onChange(began.current, path);
    }
  };

  return (
    <InlineInput
      data-path={path}
      label={label}
      problem={problem}
      level={problem ? undefined : level}
      look={numeric ? "number" : "text"}
      value={text}
      placeholder={placeholder}
      inputMode={numeric ? "text" : undefined}
      onFocus={() => {
        began.current = text;
      }}
      onBlur={settle}
      onKeyDown={keys}
      onType={(next) => onChange(next, path)}
      className={classes(
        "leading-snug pointer-coarse:rounded-md pointer-coarse:border pointer-coarse:px-2.5",
        className,
      )}
    />
  );
}

/** The number after this one, down the walk. */
function nextField(field: HTMLInputElement): HTMLInputElement | undefined {
  const fields = [...document.querySelectorAll<HTMLInputElement>("input[data-path]")];
  return fields[fields.indexOf(field) + 1];
}

/** A word in a sentence that can be another. */
export function WordField<T extends string>({
  label,
  value,
  words,
  onChange,
}: {
  label: string;
  value: T;
  words: Record<T, string>;
  onChange: (value: T) => void;
}) {
  const options = (Object.keys(words) as T[]).map((word) => ({ value: word, label: words[word] }));
  return (
    <Select
      look="word"
      label={label}
      value={value}
      options={options}
      onChange={(next) => onChange(next as T)}
    />
  );
}

/** What was typed as a number where it is one; else the text, for the core to refuse in words. */
export function numberOrText(text: string): number | string {
  const trimmed = text.trim();
  const value = Number(trimmed);
  return trimmed !== "" && Number.isFinite(value) && String(value) === trimmed ? value : text;
}
