import { expect, it } from "vitest";
import { lines } from "./ndjson";

function stream(...chunks: string[]): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    start(controller) {
      for (const chunk of chunks) {
        controller.enqueue(encoder.encode(chunk));
      }
      controller.close();
    },
  });
}

it("reads a value a line, wherever the stream is cut", async () => {
  const found = [];
  for await (const line of lines(
    stream('{"done":0,"of":2}\n{"do', 'ne":2,"of":2}\n', '{"job":7}'),
  )) {
    found.push(line);
  }
  expect(found).toEqual([{ done: 0, of: 2 }, { done: 2, of: 2 }, { job: 7 }]);
});
