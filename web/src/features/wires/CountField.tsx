// A whole number in a line, typed; what is half typed is kept here until it is one.
import { useState } from "react";

type Props = {
  label: string;
  value: number;
  least?: number;
  onChange: (value: number) => void;
};

export function CountField({ label, value, least = 1, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      aria-label={label}
      inputMode="numeric"
      autoComplete="off"
      value={typed ?? String(value)}
      onFocus={(event) => event.target.select()}
      onBlur={() => setTyped(null)}
      onKeyDown={(event) => {
        const step = { ArrowUp: 1, ArrowDown: -1 }[event.key];
        if (step) {
          event.preventDefault();
          setTyped(null);
          onChange(Math.max(value + step, least));
        }
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        if (/^\d{1,9}$/.test(event.target.value.trim())) {
          onChange(Number(event.target.value));
        }
      }}
      className="w-12 rounded-md border border-strong-line bg-paper px-1.5 py-0.5 text-right font-semibold pointer-coarse:min-h-11"
    />
  );
}
