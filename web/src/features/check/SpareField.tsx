// A share of the room to keep free for later.
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { asNumber, errorProps } from "./fieldValues";

type Props = {
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  problem: string | undefined;
};

export function SpareField({ value, onChange, problem }: Props) {
  return (
    <TextField
      label={say("Spare to keep, %")}
      data-path="spare"
      inputMode="numeric"
      value={String(value ?? "")}
      placeholder="0"
      onChange={(event) => onChange(asNumber(event.target.value))}
      {...errorProps(problem)}
    />
  );
}
