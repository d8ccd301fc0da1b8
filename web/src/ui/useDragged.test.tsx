import { fireEvent, render, screen } from "@testing-library/react";
import { beforeAll, expect, it, vi } from "vitest";
import { useDragged } from "./useDragged";

beforeAll(() => {
  Object.assign(Element.prototype, { setPointerCapture: () => undefined });
});

function Handle({
  drop,
  tap,
}: {
  drop: (off: readonly [number, number]) => void;
  tap: () => void;
}) {
  const { off, handlers } = useDragged(drop, tap);
  return (
    <svg>
      <title>{off.join(" ")}</title>
      <g data-testid="handle" {...handlers} />
    </svg>
  );
}

function dragged(across: number, down: number) {
  const drop = vi.fn();
  const tap = vi.fn();
  const { unmount } = render(<Handle drop={drop} tap={tap} />);
  const handle = screen.getByTestId("handle");
  fireEvent.pointerDown(handle, { clientX: 100, clientY: 50 });
  fireEvent.pointerMove(handle, { clientX: 100 + across, clientY: 50 + down });
  const shown = screen.getByTitle(`${across} ${down}`);
  fireEvent.pointerUp(handle);
  const after = shown.textContent;
  unmount();
  return { drop, tap, after };
}

it("what is dragged says how far it is off, and is dropped there", () => {
  const { drop, tap, after } = dragged(30, -7);
  expect(drop).toHaveBeenCalledExactlyOnceWith([30, -7]);
  expect(tap).not.toHaveBeenCalled();
  expect(after).toBe("0 0");
});

it("what hardly moved was tapped", () => {
  const { drop, tap } = dragged(2, 3);
  expect(tap).toHaveBeenCalledOnce();
  expect(drop).not.toHaveBeenCalled();
});
