// A few ways side by side, one of them on: Radix ToggleGroup.
import { ToggleGroup } from "radix-ui";

type Props<T extends string> = {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onChange: (value: T) => void;
};

export function SegmentedControl<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        if (next) {
          onChange(next as T);
        }
      }}
      className="inline-flex overflow-hidden rounded-md border border-line bg-paper"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          className="min-h-9 border-r border-line px-3 whitespace-nowrap text-soft last:border-r-0 hover:text-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-paper pointer-coarse:min-h-11"
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
