// Whoever works by keys keeps a place: where what had the focus is taken away (a line, a box, a
// window, the whole screen), it goes to what stands nearest to where that was, never to the page.

const FOCUSABLE =
  "input:not([disabled]), button:not([disabled]), select, textarea, a[href], [tabindex='0']";

/** A box with more than so many of those is the whole screen. */
const MOST_LOOKED_AT = 60;

/** What had the focus: what it was in, from near to far, and how many that take a focus stood before
 * it there. */
type Place = {
  readonly of: Element;
  readonly around: readonly { readonly box: Element; readonly before: number }[];
};

let last: Place | null = null;

/** Begins to look after the focus, once for the page; what ends that again. */
export function keepFocus(): () => void {
  const ended = new AbortController();
  const { signal } = ended;
  addEventListener(
    "focusin",
    ({ target }) => {
      if (target instanceof Element && target !== document.body) {
        last = placeOf(target);
      }
    },
    { signal },
  );
  // A press beside everything gives the focus up on purpose.
  addEventListener(
    "focusout",
    ({ target, relatedTarget }) => {
      queueMicrotask(() => {
        if (relatedTarget === null && target instanceof Node && target.isConnected) {
          last = last?.of === target ? null : last;
        }
      });
    },
    { signal },
  );
  const watcher = new MutationObserver(() => {
    if (last && !last.of.isConnected && isLost()) {
      // A window that closes gives its focus back a moment later: that goes first.
      setTimeout(rescue, 30);
    }
  });
  watcher.observe(document.documentElement, { childList: true, subtree: true });
  return () => {
    ended.abort();
    watcher.disconnect();
  };
}

function isLost(): boolean {
  return document.activeElement === document.body || document.activeElement === null;
}

function rescue(): void {
  if (!last || last.of.isConnected || !isLost()) {
    return;
  }
  const dialog = [...document.querySelectorAll("[role=dialog]")].at(-1);
  const near = last.around.find(({ box }) => box.isConnected && takers(box).length > 0);
  const box = dialog ?? near?.box ?? document.querySelector("main");
  if (!box) {
    return; // a screen that is still on its way: the next change looks again
  }
  const there = takers(box);
  const next = there[Math.min(near?.box === box ? near.before : 0, there.length - 1)];
  next?.focus({ preventScroll: true });
}

function placeOf(of: Element): Place {
  const around = [];
  for (let box = of.parentElement; box && box !== document.body; box = box.parentElement) {
    const there: Element[] = [...box.querySelectorAll(FOCUSABLE)];
    around.push({ box, before: Math.max(there.indexOf(of), 0) });
    if (there.length > MOST_LOOKED_AT) {
      break;
    }
  }
  return { of, around };
}

/** What takes a focus in a box, as it stands there. */
function takers(box: Element): HTMLElement[] {
  return [...box.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(
    (each) => each.offsetParent !== null && each.tabIndex >= 0,
  );
}
