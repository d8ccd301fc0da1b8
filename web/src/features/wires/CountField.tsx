// A whole number in a line, typed or stepped; what is half typed is kept until it is one.
import { InlineInput } from "@/ui/InlineInput";
import { useTyped } from "@/ui/useTyped";

type Props = {
  label: string;
  value: number;
  least?: number;
  onChange: (value: number) => void;
};

export function CountField({ label, value, least = 1, onChange }: Props) {
  const { text, setTyped, forget } = useTyped(String(value));
  return (
    <InlineInput
      label={label}
      look="boxed"
      inputMode="numeric"
      value={text}
      onFocus={(event) => event.target.select()}
      onBlur={forget}
      onKeyDown={(event) => {
        const step = { ArrowUp: 1, ArrowDown: -1 }[event.key];
        if (step) {
          event.preventDefault();
          forget();
          onChange(Math.max(value + step, least));
        }
      }}
      onType={(next) => {
        setTyped(next);
        if (/^\d{1,9}$/.test(next.trim())) {
          onChange(Number(next));
        }
      }}
    />
  );
}
