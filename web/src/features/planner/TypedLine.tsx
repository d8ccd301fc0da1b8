// A line of the walk typed as it is said: `pipe 1 5/8 at 57 7/8`.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { type TypedLine as ReadLine, readTypedLine } from "@/api/planning";
import { addLine, placeOf } from "@/model/commands";
import { type Line, walkOf } from "@/model/document";
import { usePlanner, usePlannerStore } from "@/state/PlannerContext";
import { StillSaid } from "@/ui/StillSaid";
import { useSaid } from "@/ui/useSaid";
import { say } from "@/words/say";

const SayLine = lazy(async () => ({
  default: (await import("@/features/walk/SayLine")).SayLine,
}));

const EXAMPLE = { in: "pipe 1 5/8 at 57 7/8", mm: "pipe 42 at 1470" } as const;

export function TypedLine() {
  const store = usePlannerStore();
  const units = usePlanner((state) => state.history.present.units);
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const said = useSaid<Line>({
    ask: async (text) => {
      const known = queries.getQueryData<ReadLine>(["line", text, units]);
      const { line, expected } = known ?? (await readTypedLine(text, units));
      return line ? { taken: line } : { why: expected };
    },
    take: (line) => {
      const { history, change, select } = store.getState();
      const place = placeOf(line, walkOf(history.present));
      change(addLine(line));
      select(place);
    },
  });
  const { text, setText } = said;
  const query = useQuery({
    queryKey: ["line", text, units],
    queryFn: ({ signal }) => readTypedLine(text, units, signal),
    enabled: open,
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const read = query.data;
  const isRead = Boolean(text) && query.isSuccess && !query.isPlaceholderData;
  const line = isRead ? read?.line : undefined;
  const trouble = query.isError
    ? say("There is no answer from the server.")
    : (read?.expected ?? "");
  // What is known to be no line stays where it can be mended.
  const enter = () => (isRead && !line ? undefined : said.enter());
  return (
    <div className="px-4 pt-3">
      <StillSaid {...said} />
      <Suspense fallback={<div className="min-h-16 pointer-coarse:min-h-18" />}>
        <SayLine
          label={say("Or type it as you say it")}
          placeholder={EXAMPLE[units]}
          text={text}
          completions={open ? (read?.completions ?? []) : []}
          whole={Boolean(line)}
          onType={setText}
          onEnter={enter}
          onOpen={setOpen}
        />
      </Suspense>
      <p role="status" className="mt-1 min-h-5 text-sm text-soft">
        {!text ? null : line ? (
          <button
            type="button"
            onPointerDown={(event) => event.preventDefault()}
            onClick={said.enter}
            className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
          >
            {say("Add it to the walk")}
          </button>
        ) : open ? (
          say("Still to come: {trouble}", { trouble })
        ) : null}
      </p>
    </div>
  );
}
