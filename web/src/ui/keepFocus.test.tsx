import { render, screen, waitFor } from "@testing-library/react";
import { afterAll, beforeAll, expect, it } from "vitest";
import { keepFocus } from "./keepFocus";

let end: () => void;

beforeAll(() => {
  // What is drawn at all takes a focus: here nothing is laid out.
  Object.defineProperty(HTMLElement.prototype, "offsetParent", {
    configurable: true,
    get(this: HTMLElement) {
      return this.hidden ? null : this.parentElement;
    },
  });
  end = keepFocus();
});
afterAll(() => end());

const Lines = ({ names, dialog = false }: { names: readonly string[]; dialog?: boolean }) => (
  <main>
    <ul>
      {names.map((name) => (
        <li key={name}>
          <input aria-label={name} />
        </li>
      ))}
    </ul>
    <button type="button">Add</button>
    {dialog ? (
      <div role="dialog">
        <button type="button">Close</button>
      </div>
    ) : null}
  </main>
);

const has = (name: string) =>
  waitFor(() => expect(document.activeElement?.getAttribute("aria-label") ?? "").toBe(name));
const focus = (name: string) => screen.getByLabelText(name).focus();

it("goes to the line that stands where the removed one was", async () => {
  const { rerender } = render(<Lines names={["one", "two", "three"]} />);
  focus("two");
  rerender(<Lines names={["one", "three"]} />);
  await has("three");
});

it("goes to the last line where the last one was removed", async () => {
  const { rerender } = render(<Lines names={["one", "two", "three"]} />);
  focus("three");
  rerender(<Lines names={["one", "two"]} />);
  await has("two");
});

it("goes on to what stands further out where its whole list is gone", async () => {
  const { rerender } = render(<Lines names={["one"]} />);
  focus("one");
  rerender(<Lines names={[]} />);
  await waitFor(() => expect(document.activeElement?.textContent).toBe("Add"));
});

it("goes into a window that is open", async () => {
  const { rerender } = render(<Lines names={["one", "two"]} dialog />);
  focus("two");
  rerender(<Lines names={["one"]} dialog />);
  await waitFor(() => expect(document.activeElement?.textContent).toBe("Close"));
});

it("stays away where somebody gave it up by a press beside everything", async () => {
  const { rerender } = render(<Lines names={["one", "two"]} />);
  focus("two");
  screen.getByLabelText("two").blur();
  await Promise.resolve();
  rerender(<Lines names={["one"]} />);
  await new Promise(requestAnimationFrame);
  expect(document.activeElement).toBe(document.body);
});

it("stays where it is while what has it is there", async () => {
  const { rerender } = render(<Lines names={["one", "two", "three"]} />);
  focus("one");
  rerender(<Lines names={["one", "three"]} />);
  await has("one");
});
