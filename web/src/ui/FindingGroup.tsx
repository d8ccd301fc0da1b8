// Several findings of one kind as one line, with each of them a touch away.
import { Collapsible } from "radix-ui";
import type { ReactNode } from "react";
import { Icon } from "./Icon";

type Props = {
  /** What all of them say. */
  title: string;
  /** What is done with all of them at once. */
  fix?: ReactNode;
  children: ReactNode;
};

export function FindingGroup({ title, fix, children }: Props) {
  return (
    <Collapsible.Root className="group/findings mt-1.5 border-l-3 border-amber py-0.5 pl-2.5">
      <Collapsible.Trigger className="flex w-full items-baseline gap-1.5 text-left text-sm font-semibold pointer-coarse:min-h-11 pointer-coarse:items-center">
        <Icon
          name="down"
          className="size-3.5 shrink-0 self-center text-soft group-data-[state=closed]/findings:-rotate-90"
        />
        {title}
      </Collapsible.Trigger>
      {fix}
      <Collapsible.Content>{children}</Collapsible.Content>
    </Collapsible.Root>
  );
}
