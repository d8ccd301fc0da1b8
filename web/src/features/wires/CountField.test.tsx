import { screen } from "@testing-library/react";
import { useState } from "react";
import { expect, it } from "vitest";
import { draw } from "@/testing/page";
import { CountField } from "./CountField";

const counts: number[] = [];

function Counted({ least }: { least?: number }) {
  const [value, setValue] = useState(3);
  const change = (next: number) => {
    counts.push(next);
    setValue(next);
  };
  return (
    <CountField
      label="How many"
      value={value}
      onChange={change}
      {...(least === undefined ? {} : { least })}
    />
  );
}

function field(least?: number) {
  counts.length = 0;
  const drawn = draw(<Counted {...(least === undefined ? {} : { least })} />);
  return { ...drawn, input: screen.getByRole<HTMLInputElement>("textbox") };
}

it("what is typed counts as soon as it is a whole number", async () => {
  const { user, input } = field();
  await user.click(input);
  await user.keyboard("12");
  expect([counts, input.value]).toEqual([[1, 12], "12"]);
});

it.each(["", "1.5", "x", "-2"])(
  "%j is kept while it stands there, and is no number",
  async (text) => {
    const { user, input } = field();
    await user.clear(input);
    if (text) {
      await user.type(input, text);
    }
    expect(input.value).toBe(text);
    expect(counts.at(-1) ?? 3).toBe(text === "1.5" ? 1 : 3);
    await user.tab();
    expect(input.value).toBe(String(counts.at(-1) ?? 3));
  },
);

it("arrows step it, and not below the least", async () => {
  const { user, input } = field();
  await user.click(input);
  await user.keyboard("{ArrowUp}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}");
  expect(counts).toEqual([4, 3, 2, 1, 1]);
});

it("down to none where none may be", async () => {
  const { user, input } = field(0);
  await user.click(input);
  await user.keyboard("{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}");
  expect(counts.at(-1)).toBe(0);
});
