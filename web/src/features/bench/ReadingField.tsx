import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { type Reading, type ReadOf, typingOf } from "./readings";

type Props = {
  name: Reading;
  of: ReadOf;
  typed: string;
  /** What was expected instead of what is typed. */
  problem: string | undefined;
  type: (text: string) => void;
};

/** A field for what was read of a bend. */
export function ReadingField({ name, of, typed, problem, type }: Props) {
  const { label, placeholder, degrees } = typingOf(name);
  return (
    <TextField
      label={label(of)}
      data-path={`read.${name}`}
      value={typed}
      placeholder={placeholder(of)}
      inputMode={degrees ? "decimal" : "text"}
      autoComplete="off"
      {...(problem ? { problem: say("Expected {expected}", { expected: problem }) } : {})}
      onChange={({ target }) => type(target.value)}
    />
  );
}
