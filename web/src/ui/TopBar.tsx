// The bar at the top of every screen: where you are, and what can be done here.
import type { ReactNode } from "react";
import { Link } from "react-router";
import { say } from "@/words/say";
import { classes } from "./classes";
import { Logo } from "./Logo";
import { usePageTitle } from "./usePageTitle";

type Props = {
  /** What the browser calls the tab. */
  title: string;
  /** On a phone: the name of what is open in a row of its own, where it can be read. */
  named?: boolean;
  children?: ReactNode;
  actions: ReactNode;
};

export function TopBar({ title, named = false, children, actions }: Props) {
  usePageTitle(title);
  return (
    <header className="flex min-h-13 flex-wrap items-center gap-x-3 border-b border-line bg-paper px-4 py-1.5">
      <Link to="/" aria-label={say("All jobs")} className="rounded p-1">
        <Logo />
      </Link>
      <div
        className={classes(
          "flex min-w-0 flex-1 items-center gap-2.5",
          named && "max-desk:order-last max-desk:basis-full",
        )}
      >
        {children}
      </div>
      <div className="ml-auto flex items-center gap-1.5">{actions}</div>
    </header>
  );
}
