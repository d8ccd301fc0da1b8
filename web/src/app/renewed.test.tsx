import { act, screen } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import { draw } from "@/testing/page";

const answer = (page: string | null) =>
  new Response(null, page ? { headers: { "X-Page": page } } : {});

async function fresh() {
  vi.resetModules();
  const [{ noticePage }, { Renewed }] = await Promise.all([
    import("@/api/renewed"),
    import("./Renewed"),
  ]);
  return { noticePage, ...draw(<Renewed />) };
}

let page: Awaited<ReturnType<typeof fresh>>;

beforeEach(async () => {
  page = await fresh();
});

it("the same page, or none that is named, is nothing to tell", () => {
  act(() => {
    for (const name of ["one", "one", null, "one"]) {
      page.noticePage(answer(name));
    }
  });
  expect(screen.queryByRole("status")).toBeNull();
});

it("another page is told once, and can wait", async () => {
  act(() => page.noticePage(answer("one")));
  act(() => page.noticePage(answer("two")));
  expect(screen.getByRole("status").textContent).toContain("was renewed");
  await page.user.click(screen.getByRole("button", { name: "Later" }));
  act(() => page.noticePage(answer("three")));
  expect(screen.queryByRole("status")).toBeNull();
});
