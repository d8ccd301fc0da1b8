// Wire as it is said, read by the core: `9 x 12 thhn, 1 x 12 bare` and Enter.
import { useState } from "react";
import { readWires } from "@/api/boxes";
import { Refused } from "@/api/client";
import type { Units } from "@/model/document";
import type { Conductor } from "@/model/wires";
import { StillSaid } from "@/ui/StillSaid";
import { useSaid } from "@/ui/useSaid";
import { say } from "@/words/say";

const LIKE = { in: "9 x 12 thhn, 1 x 12 bare", mm: "6 x 2.5, 3 x 1.5 solid" } as const;

type Props = { units: Units; onAdd: (more: readonly Conductor[]) => void };

export function SayWires({ units, onAdd }: Props) {
  const [refused, setRefused] = useState<{ readonly text: string; readonly why: string }>();
  const said = useSaid<readonly Conductor[]>({
    ask: (text) =>
      readWires(text, units).then(
        ({ conductors }) => ({ taken: conductors }),
        (error: Error) => {
          const [about] = error instanceof Refused ? error.problem.errors : [];
          const why = about?.expected ?? error.message;
          setRefused({ text, why });
          return { why };
        },
      ),
    take: onAdd,
  });
  const why = refused && refused.text === said.text ? refused.why : "";
  return (
    <div className="min-w-52 flex-1">
      <input
        aria-label={say("Say what goes in, then Enter")}
        data-path="say"
        value={said.text}
        placeholder={LIKE[units]}
        autoComplete="off"
        spellCheck={false}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            said.enter();
          }
        }}
        onChange={(event) => said.setText(event.target.value)}
        aria-invalid={why ? true : undefined}
        className="min-h-9 w-full rounded-md border border-strong-line bg-paper px-2.5 pointer-coarse:min-h-11"
      />
      {why ? (
        <p role="alert" className="pt-1 text-sm text-brick">
          {say("Expected {expected}", { expected: why })}
        </p>
      ) : null}
      <StillSaid {...said} />
    </div>
  );
}
