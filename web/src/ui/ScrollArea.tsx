// A part of the page that scrolls on its own, with the keyboard too.
import type { ReactNode } from "react";

type Props = { label: string; className: string; children: ReactNode };

export function ScrollArea({ label, className, children }: Props) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by the keyboard
    <section aria-label={label} tabIndex={0} className={`${className} -outline-offset-2`}>
      {children}
    </section>
  );
}
