// The tests of a bender as they are typed: both legs, and what stayed of what it was bent to.
import { type BenderForm as Form, NO_TEST, type TestRow, TYPED } from "@/model/benders";
import type { Units } from "@/model/document";
import { LANGUAGE_OF, term, type Words, wordFor } from "@/model/wording";
import { classes } from "@/ui/classes";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { sentence } from "@/words/text";

type Props = { form: Form; put: (fields: Partial<Form>) => void; units: Units };

const READ = {
  mark: say("Mark at"),
  stick: say("Stick"),
  stub: term("stub/title"),
  tail: say("Tail"),
  angle: say("Stayed °"),
  commanded: say("Bent to °"),
  clicks: say("Clicks"),
} as const satisfies Record<(typeof TYPED)[number], Words>;

export function TestRows({ form, put, units }: Props) {
  const language = LANGUAGE_OF[units];
  const stub = wordFor(term("stub"), language);
  const fields = TYPED.filter((name) => name !== "clicks" || form.kind === "ratchet");
  const typed = form.tests.flatMap((test, at) => (test.of ? [] : [{ test, at }]));
  const putTest = (at: number, read: Partial<TestRow>) =>
    put({ tests: form.tests.map((test, n) => (n === at ? { ...test, ...read } : test)) });
  return (
    <>
      {typed.map(({ test, at }, number) => (
        <div
          key={at}
          className={classes(
            "grid grid-cols-3 items-end gap-2",
            fields.length > 6 ? "sm:grid-cols-7" : "sm:grid-cols-6",
          )}
        >
          {fields.map((name) => (
            <TextField
              key={name}
              label={`${wordFor(READ[name], language)}${number > 0 ? `, ${number + 1}` : ""}`}
              value={test[name]}
              placeholder={name === "angle" ? "90" : ""}
              autoComplete="off"
              onChange={(event) => putTest(at, { [name]: event.target.value })}
            />
          ))}
        </div>
      ))}
      <p className="text-sm text-soft">
        {say(
          "{stub} and tail to the back of the bend, from either end; the {stub2} on the hook's side. What was not read stays empty; a bend without an angle was made a 90 by the square.",
          { stub: sentence(stub), stub2: stub },
        )}
      </p>
      <button
        type="button"
        onClick={() => put({ tests: [...form.tests, NO_TEST] })}
        className="justify-self-start font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
      >
        {say("Another test bend")}
      </button>
    </>
  );
}
