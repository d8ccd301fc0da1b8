// The page's buttons, in three weights.
import type { ButtonHTMLAttributes, ReactNode } from "react";
import { Link } from "react-router";
import { classes } from "./classes";

const WEIGHTS = {
  main: "bg-accent text-on-accent border-accent font-semibold hover:opacity-90",
  plain: "bg-paper text-ink border-line font-medium hover:border-strong-line",
  quiet: "border-transparent text-soft hover:text-ink hover:bg-raised",
} as const;

const SHAPE =
  "inline-flex items-center justify-center gap-2 rounded-md border min-h-9 pointer-coarse:min-h-11 " +
  "whitespace-nowrap transition-colors motion-reduce:transition-none disabled:opacity-40 disabled:pointer-events-none";

type Weight = keyof typeof WEIGHTS;
type Props = ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight };

export function Button({ weight = "plain", className, type = "button", ...rest }: Props) {
  return (
    <button
      type={type}
      className={classes(SHAPE, WEIGHTS[weight], className ?? "px-3")}
      {...rest}
    />
  );
}

/** A square button with an icon; its label is read out and shown on hover. */
export function IconButton({
  label,
  className,
  ...rest
}: Omit<Props, "aria-label"> & { label: string }) {
  return (
    <Button
      weight="quiet"
      aria-label={label}
      title={label}
      className={classes("w-9 shrink-0 pointer-coarse:w-11", className)}
      {...rest}
    />
  );
}

export function ButtonLink({
  to,
  weight = "plain",
  children,
}: {
  to: string;
  weight?: Weight;
  children: ReactNode;
}) {
  return (
    <Link to={to} className={classes(SHAPE, WEIGHTS[weight], "px-3")}>
      {children}
    </Link>
  );
}
