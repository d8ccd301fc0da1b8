// A plain number in a sentence, as wide as it is; what is half typed stays as it was typed.
import { useState } from "react";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { classes } from "@/ui/classes";

type Props = {
  label: string;
  path: string;
  value: number | undefined;
  placeholder: string;
  onChange: (text: string) => void;
};

export function NumberWord({ label, path, value, placeholder, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const settle = usePlanner((state) => state.settle);
  const problem = usePlanState(({ problems }) => problems.get(path));
  return (
    <input
      data-path={path}
      aria-label={label}
      title={problem ? `Expected ${problem}` : label}
      aria-invalid={problem ? true : undefined}
      inputMode="decimal"
      autoComplete="off"
      value={typed ?? (value === undefined ? "" : String(value))}
      placeholder={placeholder}
      onBlur={() => {
        setTyped(null);
        settle();
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(event.target.value);
      }}
      className={classes(
        "grows min-w-8 rounded-t-sm border-b-[1.5px] bg-transparent px-0.5 font-semibold focus:border-accent pointer-coarse:min-h-11",
        problem ? "border-brick bg-brick-soft" : "border-strong-line",
      )}
    />
  );
}
