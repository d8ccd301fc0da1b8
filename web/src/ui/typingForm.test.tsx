import { screen } from "@testing-library/react";
import { beforeAll, expect, it } from "vitest";
import { draw } from "@/testing/page";
import { typeInFormOfItsOwn } from "./typingForm";

beforeAll(typeInFormOfItsOwn);

it("a field has a form of its own while it is typed in, and none after", async () => {
  const { user } = draw(
    <>
      <input aria-label="one" />
      <input aria-label="two" />
    </>,
  );
  const [one, two] = screen.getAllByRole<HTMLInputElement>("textbox");
  await user.click(one as HTMLInputElement);
  expect(one?.form?.elements).toHaveLength(1);
  await user.click(two as HTMLInputElement);
  expect([one?.form, two?.form?.elements.length]).toEqual([null, 1]);
});

it("a field of a form stays in that", async () => {
  const { user } = draw(
    <form aria-label="sign in">
      <input aria-label="name" />
    </form>,
  );
  await user.click(screen.getByLabelText("name"));
  expect(screen.getByLabelText<HTMLInputElement>("name").form).toBe(screen.getByRole("form"));
});
