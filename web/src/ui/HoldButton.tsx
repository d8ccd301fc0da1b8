// A button that has to be held down, for what can't be taken back: with a finger, a mouse or a key.
import { type ReactNode, useEffect, useRef, useState } from "react";
import { Button } from "./Button";

const HOLD_MS = 700;

type Props = { className?: string; onHeld: () => void; children: ReactNode };

export function HoldButton({ className = "", onHeld, children }: Props) {
  const [held, setHeld] = useState(false);
  const does = useRef(onHeld);
  useEffect(() => {
    does.current = onHeld;
  });
  useEffect(() => {
    if (!held) {
      return;
    }
    const done = setTimeout(() => {
      setHeld(false);
      does.current();
    }, HOLD_MS);
    return () => clearTimeout(done);
  }, [held]);
  const key = (down: boolean) => (event: { key: string; preventDefault: () => void }) => {
    if (event.key === " " || event.key === "Enter") {
      event.preventDefault();
      setHeld(down);
    }
  };
  return (
    <Button
      className={`relative overflow-hidden ${className}`}
      data-held={held}
      onPointerDown={() => setHeld(true)}
      onPointerUp={() => setHeld(false)}
      onPointerLeave={() => setHeld(false)}
      onKeyDown={key(true)}
      onKeyUp={key(false)}
      onBlur={() => setHeld(false)}
      onContextMenu={(event) => event.preventDefault()}
    >
      <span
        aria-hidden="true"
        className="absolute inset-y-0 left-0 bg-accent-soft transition-[width] ease-linear"
        style={{ width: held ? "100%" : 0, transitionDuration: held ? `${HOLD_MS}ms` : "0ms" }}
      />
      <span className="relative">{children}</span>
    </Button>
  );
}
