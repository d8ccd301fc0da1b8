// A plain number in a sentence about the run's wire.
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { InlineInput } from "@/ui/InlineInput";
import { useTyped } from "@/ui/useTyped";

type Props = {
  label: string;
  path: string;
  value: number | undefined;
  placeholder: string;
  onChange: (text: string) => void;
};

export function NumberWord({ label, path, value, placeholder, onChange }: Props) {
  const { text, setTyped, forget } = useTyped(value === undefined ? "" : String(value));
  const settle = usePlanner((state) => state.settle);
  const problem = usePlanState(({ problems }) => problems.get(path));
  return (
    <InlineInput
      data-path={path}
      label={label}
      problem={problem}
      inputMode="decimal"
      value={text}
      placeholder={placeholder}
      onBlur={() => {
        forget();
        settle();
      }}
      onType={(next) => {
        setTyped(next);
        onChange(next);
      }}
    />
  );
}
