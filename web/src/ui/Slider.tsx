// A count to drag: Radix Slider.
import { Slider as Radix } from "radix-ui";

type Props = {
  label: string;
  value: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
  onDone?: () => void;
};

export function Slider({ label, value, least, most, onChange, onDone }: Props) {
  return (
    <Radix.Root
      value={[value]}
      min={least}
      max={Math.max(most, value)}
      onValueChange={([next]) => onChange(next ?? value)}
      {...(onDone ? { onValueCommit: onDone } : {})}
      className="relative flex h-6 w-full touch-none items-center select-none pointer-coarse:h-11"
    >
      <Radix.Track className="relative h-1 w-full rounded-full bg-line">
        <Radix.Range className="absolute h-full rounded-full bg-strong-line" />
      </Radix.Track>
      <Radix.Thumb
        aria-label={label}
        className="block size-4 rounded-full border-2 border-accent bg-paper pointer-coarse:size-6"
      />
    </Radix.Root>
  );
}
