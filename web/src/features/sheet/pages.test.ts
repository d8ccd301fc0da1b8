import { expect, test } from "vitest";
import { type AskedPage, everyPage } from "./pages";

/** A sheet of so many pages, and which of them were asked for. */
function sheet(count: string | null) {
  const asked: number[] = [];
  const ask = async (page: number): Promise<AskedPage> => {
    asked.push(page);
    const response = new Response(null, count ? { headers: { "X-Pages": count } } : {});
    return { data: `page ${page}`, response };
  };
  return { asked, ask };
}

test("every page is asked for once, in order", async () => {
  const { asked, ask } = sheet("3");
  expect(await everyPage(ask)).toEqual(["page 1", "page 2", "page 3"]);
  expect(asked).toEqual([1, 2, 3]);
});

test("a sheet of one page, or that does not say, has one", async () => {
  expect(await everyPage(sheet("1").ask)).toEqual(["page 1"]);
  expect(await everyPage(sheet(null).ask)).toEqual(["page 1"]);
});

test("a page that is refused refuses the sheet", async () => {
  const ask = async (page: number): Promise<AskedPage> =>
    page === 2
      ? {
          error: { code: "not-found", message: "Gone.", errors: [] },
          response: new Response(null, { status: 404 }),
        }
      : sheet("2").ask(page);
  await expect(everyPage(ask)).rejects.toThrow("Gone.");
});
