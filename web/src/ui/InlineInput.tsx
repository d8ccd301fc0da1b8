// A value typed where it stands in a sentence, as wide as it is. What is wrong with it is said to
// assistive technology too.
import { type InputHTMLAttributes, type Ref, useId } from "react";
import { say } from "@/words/say";
import { classes } from "./classes";

type Look = "number" | "text" | "boxed";

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, "value" | "onChange"> & {
  label: string;
  value: string;
  onType: (text: string) => void;
  /** What was expected instead, where it can't be read. */
  problem?: string | undefined;
  /** How grave what is found of it is, where it can be read. */
  level?: string | undefined;
  look?: Look;
  ref?: Ref<HTMLInputElement>;
};

const UNDERLINED = "grows max-w-full rounded-t-sm border-b-[1.5px] bg-transparent px-0.5";

const LOOKS: Record<Look, string> = {
  number: `${UNDERLINED} font-semibold`,
  text: UNDERLINED,
  boxed: "w-12 rounded-md border bg-paper px-1.5 py-0.5 text-right font-semibold",
};

export function InlineInput(props: Props) {
  const { label, value, onType, problem, level, look = "number", className, ...rest } = props;
  const id = useId();
  return (
    <>
      <input
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? id : undefined}
        title={problem ? say("Expected {expected}", { expected: problem }) : label}
        autoComplete="off"
        spellCheck={false}
        value={value}
        onChange={(event) => onType(event.target.value)}
        {...rest}
        className={classes(
          LOOKS[look],
          "pointer-coarse:min-h-11 pointer-coarse:my-0.5 pointer-coarse:rounded-md pointer-coarse:border pointer-coarse:px-2",
          value === "" && "min-w-12",
          problem && value === ""
            ? "border-amber bg-amber-soft"
            : problem
              ? "border-brick bg-brick-soft"
              : level === "error"
                ? "border-brick"
                : level === "warning"
                  ? "border-amber bg-amber-soft"
                  : "border-strong-line hover:border-accent focus:border-accent",
          className,
        )}
      />
      {problem ? (
        <span id={id} className="sr-only">
          {say("Expected {expected}", { expected: problem })}
        </span>
      ) : null}
    </>
  );
}
