// A part of the page that scrolls on its own, with the keyboard too. What is there for a screen reader
// alone is placed in it, so that it does not make the page longer.
import type { ReactNode } from "react";

type Props = { label: string; className: string; as?: "section" | "main"; children: ReactNode };

export function ScrollArea({ label, className, as: Part = "section", children }: Props) {
  return (
    <Part aria-label={label} tabIndex={0} className={`relative ${className} -outline-offset-2`}>
      {children}
    </Part>
  );
}
