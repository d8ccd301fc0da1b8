// What was removed, newest first, each with the way back.
import { useState } from "react";
import type { RemovedThing } from "@/api/history";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";

type Props = {
  title: string;
  things: readonly RemovedThing[];
  bringBack: (thing: RemovedThing) => Promise<void>;
};

export function RemovedList({ title, things, bringBack }: Props) {
  const [problem, setProblem] = useState("");
  if (things.length === 0) {
    return null;
  }
  const attempt = (thing: RemovedThing) => {
    setProblem("");
    bringBack(thing).catch((error: unknown) => {
      setProblem(error instanceof Error ? error.message : say("That did not work. Try again."));
    });
  };
  return (
    <section aria-label={title} className="mt-4">
      <h3 className="font-semibold">{title}</h3>
      {problem ? (
        <p role="alert" className="my-2 border-l-3 border-brick bg-brick-soft px-3 py-2">
          {problem}
        </p>
      ) : null}
      <ul className="divide-y divide-line">
        {things.map((thing) => (
          <li key={thing.id} className="flex items-center gap-3 py-2">
            <span className="min-w-0 flex-1">
              <span className="block truncate">{thing.name}</span>
              <span className="block text-sm text-soft">
                {say("version {version}, removed {moment}", {
                  version: thing.version,
                  moment: moment(thing.removed_at),
                })}
              </span>
            </span>
            <Button
              aria-label={say("Restore {name}", { name: thing.name })}
              onClick={() => attempt(thing)}
            >
              {say("Restore")}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
