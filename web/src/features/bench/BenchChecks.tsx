// What is looked at before a bend, each with a yes: none holds anybody up.
import { useState } from "react";
import { Checkbox } from "@/ui/Checkbox";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

export function BenchChecks({ checks }: { checks: readonly string[] }) {
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const put = (check: string, yes: boolean) =>
    setSeen(new Set(yes ? [...seen, check] : [...seen].filter((each) => each !== check)));
  return (
    <section aria-labelledby="before-you-bend" className="border-t border-line py-2">
      <h2 id="before-you-bend" className="flex justify-between text-soft">
        {sayWith("Before you bend{size}", {
          size: (
            <span data-checked>
              {say("{size} of {checks}", { size: seen.size, checks: checks.length })}
            </span>
          ),
        })}
      </h2>
      <ul>
        {checks.map((check) => (
          <li key={check} className="py-1">
            <Checkbox checked={seen.has(check)} onChange={(yes) => put(check, yes)}>
              <Figures text={check} />
            </Checkbox>
          </li>
        ))}
      </ul>
    </section>
  );
}
