import { expect, test } from "vitest";
import { createSaidQueue, type Heard } from "./saidQueue";

/** Answers come when a test lets them. */
function line() {
  const taken: string[] = [];
  const answers = new Map<string, (heard: Heard<string> | Error) => void>();
  const queue = createSaidQueue<string>({
    ask: (text) =>
      new Promise((resolve, reject) => {
        answers.set(text, (heard) => (heard instanceof Error ? reject(heard) : resolve(heard)));
      }),
    take: (heard) => taken.push(heard),
  });
  const answer = async (text: string, heard: Heard<string> | Error) => {
    answers.get(text)?.(heard);
    await new Promise((done) => setTimeout(done));
  };
  return { queue, taken, answer, asked: () => [...answers.keys()] };
}

test("what is said is taken in order, however late the first answer comes", async () => {
  const { queue, taken, answer, asked } = line();
  queue.say("pipe 2 3/8 at 41");
  queue.say("left 77 1/2");
  expect(queue.state.getState().waiting).toEqual(["pipe 2 3/8 at 41", "left 77 1/2"]);
  expect(asked()).toEqual(["pipe 2 3/8 at 41"]);
  await answer("pipe 2 3/8 at 41", { taken: "a pipe" });
  expect(taken).toEqual(["a pipe"]);
  await answer("left 77 1/2", { taken: "a turn" });
  expect(taken).toEqual(["a pipe", "a turn"]);
  expect(queue.state.getState()).toEqual({ waiting: [], stuck: null });
});

test("what is no line holds up what was said behind it until it is mended", async () => {
  const { queue, taken, answer } = line();
  queue.say("pip 2 at 41");
  queue.say("left 77");
  await answer("pip 2 at 41", { why: "one of pipe, duct" });
  expect(queue.state.getState()).toEqual({
    waiting: ["pip 2 at 41", "left 77"],
    stuck: "one of pipe, duct",
  });
  queue.say("end 30");
  expect(taken).toEqual([]);
  queue.mend("pipe 2 at 41");
  await answer("pipe 2 at 41", { taken: "a pipe" });
  await answer("left 77", { taken: "a turn" });
  await answer("end 30", { taken: "an end" });
  expect(taken).toEqual(["a pipe", "a turn", "an end"]);
});

test("what is left out lets the rest go on; a lost server holds it up too", async () => {
  const { queue, taken, answer } = line();
  queue.say("dragon");
  queue.say("left 77");
  await answer("dragon", { why: "one of pipe" });
  queue.leaveOut();
  await answer("left 77", new Error("There is no answer."));
  expect(queue.state.getState().stuck).toBe("There is no answer.");
  queue.mend("left 77");
  await answer("left 77", { taken: "a turn" });
  expect(taken).toEqual(["a turn"]);
});
