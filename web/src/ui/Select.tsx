// One of a few: Radix Select, as a quiet word in a sentence or as a field in a bar.
import { Select as Radix } from "radix-ui";
import { useState } from "react";
import { nonce } from "@/ui/nonce";
import { say } from "@/words/say";
import { classes } from "./classes";
import { Icon } from "./Icon";

export type Option = { readonly value: string; readonly label: string; readonly hint?: string };

const LOOKS = {
  word: "border-b-[1.5px] border-strong-line font-semibold hover:border-accent px-0.5 leading-snug pointer-coarse:my-0.5 pointer-coarse:min-h-11 pointer-coarse:rounded-md pointer-coarse:border pointer-coarse:px-2",
  field:
    "border border-line rounded-md bg-paper px-2.5 min-h-9 pointer-coarse:min-h-11 hover:border-strong-line gap-1.5",
} as const;

type Props = {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (value: string) => void;
  look?: keyof typeof LOOKS;
  className?: string;
  /** Where it is in its document, for who is led to it. */
  path?: string;
  /** What was expected instead, where it can't be read. */
  problem?: string | undefined;
};

export function Select(props: Props) {
  const { label, value, options, onChange, look = "field", className, path, problem } = props;
  const chosen = options.find((option) => option.value === value);
  // Radix draws a closed list too, to know its items: a screen has dozens that nobody opens. It is
  // drawn once the control has been reached, so that a letter typed on it still chooses.
  const [reached, setReached] = useState(false);
  return (
    <Radix.Root value={value} onValueChange={onChange} onOpenChange={() => setReached(true)}>
      <Radix.Trigger
        aria-label={problem ? say("{label}: expected {problem}", { label, problem }) : label}
        aria-invalid={problem ? true : undefined}
        title={problem ? say("Expected {expected}", { expected: problem }) : undefined}
        data-path={path || undefined}
        onFocus={() => setReached(true)}
        className={classes(
          "inline-flex items-center whitespace-nowrap align-baseline",
          LOOKS[look],
          problem && "border-brick bg-brick-soft",
          className,
        )}
      >
        <Radix.Value>{chosen?.label ?? value}</Radix.Value>
        {look === "field" ? <Icon name="down" className="size-3.5 text-soft" /> : null}
      </Radix.Trigger>
      {reached ? <List options={options} /> : null}
    </Radix.Root>
  );
}

function List({ options }: { options: readonly Option[] }) {
  return (
    <Radix.Portal>
      <Radix.Content
        position="popper"
        sideOffset={4}
        className="z-50 max-h-[60vh] min-w-(--radix-select-trigger-width) overflow-auto rounded-md border border-line bg-paper p-1 text-ink shadow-lift"
      >
        <Radix.Viewport nonce={nonce}>
          {options.map((option) => (
            <Radix.Item
              key={option.value}
              value={option.value}
              className="flex min-h-8 items-center gap-2 rounded px-2 outline-none select-none data-[highlighted]:bg-accent-soft data-[highlighted]:text-accent pointer-coarse:min-h-11"
            >
              <span className="w-4">
                <Radix.ItemIndicator>
                  <Icon name="check" className="size-4" />
                </Radix.ItemIndicator>
              </span>
              <Radix.ItemText>{option.label}</Radix.ItemText>
              {option.hint ? <span className="ml-auto pl-4 text-soft">{option.hint}</span> : null}
            </Radix.Item>
          ))}
        </Radix.Viewport>
      </Radix.Content>
    </Radix.Portal>
  );
}
