// The bar at the top of every screen: where you are, and what can be done here.
import type { ReactNode } from "react";
import { Link } from "react-router";
import { Logo } from "./Logo";
import { usePageTitle } from "./usePageTitle";

type Props = {
  /** What the browser calls the tab. */
  title: string;
  children?: ReactNode;
  actions: ReactNode;
};

export function TopBar({ title, children, actions }: Props) {
  usePageTitle(title);
  return (
    <header className="flex min-h-13 items-center gap-3 border-b border-line bg-paper px-4 py-1.5">
      <Link to="/" aria-label="All jobs" className="rounded p-1">
        <Logo />
      </Link>
      <div className="flex min-w-0 flex-1 items-center gap-2.5">{children}</div>
      <div className="flex items-center gap-1.5">{actions}</div>
    </header>
  );
}
