// Something that is so or not: Radix Checkbox with its words.
import { Label, Checkbox as Radix } from "radix-ui";
import { type ReactNode, useId } from "react";
import { Icon } from "./Icon";

type Props = { checked: boolean; onChange: (checked: boolean) => void; children: ReactNode };

export function Checkbox({ checked, onChange, children }: Props) {
  const id = useId();
  return (
    <span className="inline-flex items-center gap-2 pointer-coarse:min-h-11">
      <Radix.Root
        id={id}
        checked={checked}
        onCheckedChange={(next) => onChange(next === true)}
        className="grid size-5 shrink-0 place-items-center rounded border border-strong-line bg-paper text-accent data-[state=checked]:border-accent"
      >
        <Radix.Indicator>
          <Icon name="check" className="size-4" />
        </Radix.Indicator>
      </Radix.Root>
      <Label.Root htmlFor={id}>{children}</Label.Root>
    </span>
  );
}
