import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { expect, test } from "vitest";
import { Dialog } from "./Dialog";

function Page() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <input aria-label="First on the page" />
      <button type="button" onClick={() => setOpen(true)}>
        My benders
      </button>
      <Dialog title="The crew's benders" open={open} onOpenChange={setOpen}>
        <input aria-label="Name" />
      </Dialog>
    </>
  );
}

test("a window begins in its first field and gives the focus back to what opened it", async () => {
  const user = userEvent.setup();
  render(<Page />);
  const opens = screen.getByRole("button", { name: "My benders" });
  await user.click(opens);
  const first = await screen.findByLabelText("Name");
  await waitFor(() => expect(document.activeElement).toBe(first));
  await user.keyboard("{Escape}");
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(document.activeElement).toBe(opens);
});
