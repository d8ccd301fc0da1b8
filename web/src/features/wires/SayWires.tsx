// Wire as it is said, read by the core: `9 x 12 thhn, 1 x 12 bare` and Enter.
import { useMutation } from "@tanstack/react-query";
import { type KeyboardEvent, useState } from "react";
import { readWires } from "@/api/boxes";
import type { Units } from "@/model/document";
import type { Conductor } from "@/model/wires";

const LIKE = { in: "9 x 12 thhn, 1 x 12 bare", mm: "6 x 2.5, 3 x 1.5 solid" } as const;

type Props = { units: Units; onAdd: (more: readonly Conductor[]) => void };

export function SayWires({ units, onAdd }: Props) {
  const [text, setText] = useState("");
  const read = useMutation({
    mutationFn: () => readWires(text, units),
    onSuccess: ({ conductors }) => {
      onAdd(conductors);
      setText("");
    },
  });
  const keys = (event: KeyboardEvent) => {
    if (event.key === "Enter" && text.trim()) {
      read.mutate();
    }
  };
  return (
    <div className="min-w-52 flex-1">
      <input
        aria-label="Say what goes in, then Enter"
        data-path="say"
        value={text}
        placeholder={LIKE[units]}
        autoComplete="off"
        spellCheck={false}
        onKeyDown={keys}
        onChange={(event) => {
          setText(event.target.value);
          read.reset();
        }}
        aria-invalid={read.isError ? true : undefined}
        className="min-h-9 w-full rounded-md border border-strong-line bg-paper px-2.5 pointer-coarse:min-h-11"
      />
      {read.isError ? (
        <p role="alert" className="pt-1 text-sm text-brick">
          {read.error.message.replace(/^text: e/, "E")}
        </p>
      ) : null}
    </div>
  );
}
