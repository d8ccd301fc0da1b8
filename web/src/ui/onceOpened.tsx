// A window that is a file of its own: fetched when the page is at rest, or when it is first opened.
import { type ComponentType, lazy, Suspense, useState } from "react";

type Openable = { open: boolean };

/** A window that is there from when it is first opened on; its props say whether it is open. */
export function onceOpened<P extends Openable>(load: () => Promise<ComponentType<P>>) {
  const Window = lazy(async () => ({ default: await load() }));
  atRest(() => void load().catch(() => undefined));
  return function OnceOpened(props: P) {
    const [wanted, setWanted] = useState(props.open);
    if (props.open && !wanted) {
      setWanted(true);
    }
    return wanted ? (
      <Suspense fallback={null}>
        <Window {...props} />
      </Suspense>
    ) : null;
  };
}

function atRest(work: () => void): void {
  if ("requestIdleCallback" in globalThis) {
    requestIdleCallback(work);
  }
}
