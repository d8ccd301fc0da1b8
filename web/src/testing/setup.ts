// What a browser has and the pretended one has not.
import { cleanup } from "@testing-library/react";
import { afterEach, vi } from "vitest";

// Requests by their path alone, as a page makes them: Node's own ask for a whole address.
const Whole = globalThis.Request;
globalThis.Request = class extends Whole {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === "string" ? new URL(input, "http://yarrow.test") : input, init);
  }
};

// Nothing is laid out: everything is as large as the window.
class Watcher implements ResizeObserver {
  readonly #tell: ResizeObserverCallback;
  constructor(tell: ResizeObserverCallback) {
    this.#tell = tell;
  }
  observe(): void {
    this.#tell([], this);
  }
  unobserve(): void {}
  disconnect(): void {}
}
window.ResizeObserver = Watcher;
Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 800, 600);
window.CSS ??= { escape: (text: string) => text.replace(/[^\w-]/g, "\\$&") } as typeof CSS;
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.hasPointerCapture = () => false;
Element.prototype.setPointerCapture = () => undefined;

// A press with a place and a finger of its own.
window.PointerEvent = class extends MouseEvent {
  readonly pointerId: number;
  constructor(type: string, init: PointerEventInit = {}) {
    super(type, init);
    this.pointerId = init.pointerId ?? 1;
  }
} as unknown as typeof PointerEvent;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
