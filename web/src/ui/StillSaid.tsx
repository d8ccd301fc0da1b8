// What was said and is not taken yet: in order, and what of it has to be mended first.
import { useState } from "react";
import { say } from "@/words/say";
import { Button } from "./Button";
import { InlineInput } from "./InlineInput";

type Props = {
  waiting: readonly string[];
  stuck: string | null;
  mend: (text: string) => void;
  leaveOut: () => void;
};

export function StillSaid({ waiting, stuck, mend, leaveOut }: Props) {
  const [first = "", ...behind] = waiting;
  const queued = stuck === null ? waiting : behind;
  return (
    <div data-still-said className="grid gap-1 text-sm">
      {stuck === null ? null : (
        <Mend key={first} said={first} why={stuck} mend={mend} leaveOut={leaveOut} />
      )}
      {queued.length > 0 ? (
        <p role="status" className="text-soft">
          {stuck === null ? say("Being read: ") : say("Waiting for that: ")}
          {queued.join(say(", then "))}
        </p>
      ) : null}
    </div>
  );
}

type Stuck = Pick<Props, "mend" | "leaveOut"> & { said: string; why: string };

function Mend({ said, why, mend, leaveOut }: Stuck) {
  const [text, setText] = useState(said);
  return (
    <div role="alert" className="border-l-3 border-brick bg-brick-soft px-2.5 py-1.5">
      <p className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <InlineInput
          label={say("Say it in other words")}
          data-mend-said
          value={text}
          problem={why}
          onType={setText}
          onKeyDown={(event) => {
            if (event.key === "Enter" && text.trim()) {
              mend(text);
            }
          }}
        />
        <Button className="px-2" onClick={() => mend(text)}>
          {say("Read it again")}
        </Button>
        <Button weight="quiet" className="px-2" onClick={leaveOut}>
          {say("Leave it out")}
        </Button>
      </p>
      <p className="pt-0.5">{say("Expected {expected}", { expected: why })}</p>
    </div>
  );
}
