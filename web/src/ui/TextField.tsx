// A labelled field in a form, with what is wrong with it below.
import { Label } from "radix-ui";
import { type InputHTMLAttributes, useId } from "react";
import { classes } from "./classes";

type Props = InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  problem?: string;
  "data-path"?: string;
};

export function TextField({ label, problem, className, ...rest }: Props) {
  const id = useId();
  return (
    <div className={classes("grid gap-1", className)}>
      <Label.Root htmlFor={id} className="text-sm font-medium">
        {label}
      </Label.Root>
      <input
        id={id}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        className={classes(
          "min-h-9 w-full rounded-md border bg-paper px-3 pointer-coarse:min-h-11",
          problem ? "border-brick" : "border-strong-line",
        )}
        {...rest}
      />
      {problem ? (
        <p id={`${id}-problem`} role="alert" className="text-sm text-brick">
          {problem}
        </p>
      ) : null}
    </div>
  );
}
