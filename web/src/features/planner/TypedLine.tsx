// A line of the walk typed as it is said: `pipe 1 5/8 at 57 7/8`.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { readTypedLine } from "@/api/planning";
import { SayLine } from "@/features/walk/SayLine";
import { addLine, placeOf } from "@/model/commands";
import { walkOf } from "@/model/document";
import { usePlanner } from "@/state/PlannerContext";

const EXAMPLE = { in: "pipe 1 5/8 at 57 7/8", mm: "pipe 42 at 1470" } as const;

export function TypedLine() {
  const units = usePlanner((state) => state.history.present.units);
  const walk = usePlanner((state) => walkOf(state.history.present));
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  const query = useQuery({
    queryKey: ["line", text, units],
    queryFn: ({ signal }) => readTypedLine(text, units, signal),
    enabled: open,
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const read = query.data;
  const line = text && !query.isPlaceholderData ? read?.line : undefined;
  const trouble = query.isError ? "There is no answer from the server." : (read?.expected ?? "");
  const add = () => {
    if (line) {
      change(addLine(line));
      select(placeOf(line, walk));
      setText("");
    }
  };
  return (
    <div className="px-4 pt-3">
      <SayLine
        label="Or type it as you say it"
        placeholder={EXAMPLE[units]}
        text={text}
        completions={open ? (read?.completions ?? []) : []}
        whole={Boolean(line)}
        onType={setText}
        onEnter={add}
        onOpen={setOpen}
      />
      <p role="status" className="mt-1 min-h-5 text-sm text-soft">
        {!text ? null : line ? (
          <button
            type="button"
            onPointerDown={(event) => event.preventDefault()}
            onClick={add}
            className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
          >
            Add it to the walk
          </button>
        ) : open ? (
          `Still to come: ${trouble}`
        ) : null}
      </p>
    </div>
  );
}
