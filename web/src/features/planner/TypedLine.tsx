// A line typed as it is said: `pipe 1 5/8 at 57 7/8`. What it means is read by the core.
import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, useEffect, useId, useRef, useState } from "react";
import { readTypedLine } from "@/api/queries";
import { addLine, placeOf } from "@/model/commands";
import { walkOf } from "@/model/document";
import { usePlanner } from "@/state/PlannerContext";
import { classes } from "@/ui/classes";

const SHOWN = 6;

export function TypedLine() {
  const units = usePlanner((state) => state.history.present.units);
  const walk = usePlanner((state) => walkOf(state.history.present));
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const [text, setText] = useState("");
  const [lit, setLit] = useState(-1);
  const [open, setOpen] = useState(false);
  const list = useId();
  const frame = useRef<HTMLDivElement>(null);
  const query = useQuery({
    queryKey: ["line", text, units],
    queryFn: ({ signal }) => readTypedLine(text, units, signal),
    enabled: open,
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const read = query.data;
  const offered = open ? (read?.completions ?? []).slice(0, SHOWN) : [];
  const line = text && !query.isPlaceholderData ? read?.line : undefined;
  const trouble = query.isError ? "There is no answer from the server." : (read?.expected ?? "");

  useEffect(() => {
    // What it is answered with stands below it, and may be past the end of the pane.
    if (open && (offered.length > 0 || trouble)) {
      frame.current?.scrollIntoView({ block: "nearest" });
    }
  }, [open, offered.length, trouble]);

  const type = (next: string) => {
    setText(next);
    setLit(-1);
    setOpen(true);
  };
  const add = () => {
    if (!line) {
      return;
    }
    const at = placeOf(line, walk);
    change(addLine(line));
    select(at);
    type("");
    setOpen(false);
  };
  const keys = (event: KeyboardEvent) => {
    const chosen = offered[lit];
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      const step = event.key === "ArrowDown" ? 1 : -1;
      setLit((now) => Math.min(Math.max(now + step, -1), offered.length - 1));
    } else if ((event.key === "Enter" || event.key === "Tab") && chosen) {
      type(chosen.text);
    } else if (event.key === "Enter") {
      add();
    } else if (event.key === "Escape" && open) {
      event.stopPropagation();
      setOpen(false);
    } else {
      return;
    }
    event.preventDefault();
  };

  return (
    <div ref={frame} className="px-4 pt-3">
      <label htmlFor={`${list}-typed`} className="text-sm text-soft">
        Or type it as you say it
      </label>
      <input
        id={`${list}-typed`}
        data-typed-line
        role="combobox"
        aria-expanded={offered.length > 0}
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={lit >= 0 ? `${list}-${lit}` : undefined}
        value={text}
        placeholder="pipe 1 5/8 at 57 7/8"
        autoComplete="off"
        spellCheck={false}
        onFocus={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={keys}
        onChange={(event) => type(event.target.value)}
        className={classes(
          "mt-0.5 min-h-9 w-full rounded-md border bg-paper px-2.5 font-semibold placeholder:font-normal placeholder:text-soft pointer-coarse:min-h-11",
          line ? "border-moss" : "border-line",
        )}
      />
      <div
        id={list}
        role="listbox"
        aria-label="Suggestions"
        className={classes(
          "mt-1 rounded-md border border-line bg-paper p-1",
          offered.length === 0 && "hidden",
        )}
      >
        {offered.map((completion, at) => (
          // biome-ignore lint/a11y/useKeyWithClickEvents: the combobox above has the keys
          <div
            key={completion.text}
            id={`${list}-${at}`}
            role="option"
            tabIndex={-1}
            aria-selected={at === lit}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => type(completion.text)}
            className={classes(
              "flex min-h-8 items-center gap-3 rounded px-2 pointer-coarse:min-h-11",
              at === lit && "bg-accent-soft text-accent",
            )}
          >
            <span className="font-semibold">{completion.text}</span>
            <span className="ml-auto text-right text-xs text-soft">{completion.hint}</span>
          </div>
        ))}
      </div>
      <p role="status" className="mt-1 min-h-5 text-sm text-soft">
        {!text || !open ? null : line ? (
          <button
            type="button"
            onPointerDown={(event) => event.preventDefault()}
            onClick={add}
            className="font-semibold text-accent underline underline-offset-3 pointer-coarse:min-h-11"
          >
            Add it to the walk
          </button>
        ) : (
          `Still to come: ${trouble}`
        )}
      </p>
    </div>
  );
}
