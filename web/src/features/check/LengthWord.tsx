// A length in a sentence of a check, as wide as what is in it, typed as read off a tape.
import { asText } from "@/model/document";

type Props = {
  label: string;
  value: string | number | undefined;
  placeholder?: string;
  onChange: (text: string) => void;
};

export function LengthWord({ label, value, placeholder, onChange }: Props) {
  return (
    <input
      aria-label={label}
      title={label}
      value={asText(value)}
      placeholder={placeholder}
      autoComplete="off"
      spellCheck={false}
      onChange={(event) => onChange(event.target.value)}
      className="grows min-w-8 rounded-t-sm border-b-[1.5px] border-strong-line bg-transparent px-0.5 font-semibold focus:border-accent pointer-coarse:min-h-11"
    />
  );
}
