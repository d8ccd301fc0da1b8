// A line typed as it is said, with how it could go on beneath: the keys and what is read out are the
// combobox's own; what it means is read by the core.
import { useCombobox } from "downshift";
import { useEffect, useRef } from "react";
import type { Schemas } from "@/api/client";
import { classes } from "@/ui/classes";
import { say } from "@/words/say";

const SHOWN = 6;

type Completion = Schemas["CompletionShape"];

type Props = {
  label: string;
  placeholder: string;
  text: string;
  completions: readonly Completion[];
  /** Whether what stands there is a whole line. */
  whole: boolean;
  onType: (text: string) => void;
  onEnter: (field: HTMLInputElement) => void;
  onOpen?: (open: boolean) => void;
  className?: string;
};

export function SayLine(props: Props) {
  const { label, placeholder, text, whole, onType, onEnter, onOpen, className } = props;
  const offered = props.completions.slice(0, SHOWN);
  const frame = useRef<HTMLDivElement>(null);
  const box = useCombobox<Completion>({
    items: [...offered],
    inputValue: text,
    itemToString: (item) => item?.text ?? "",
    selectedItem: null,
    onIsOpenChange: ({ isOpen }) => onOpen?.(isOpen),
    // A completion that was taken is gone on from: the list stays open for what comes next.
    stateReducer: (_, { type, changes }) =>
      type === useCombobox.stateChangeTypes.InputKeyDownEnter ||
      type === useCombobox.stateChangeTypes.ItemClick
        ? { ...changes, isOpen: true, highlightedIndex: -1 }
        : changes,
    onSelectedItemChange: ({ selectedItem }) => selectedItem && onType(selectedItem.text),
  });
  const shown = box.isOpen && offered.length > 0;
  useEffect(() => {
    // What it is answered with stands below it, and may be past the end of the pane.
    if (shown) {
      frame.current?.scrollIntoView({ block: "nearest" });
    }
  }, [shown]);
  const lit = offered[box.highlightedIndex];
  const { htmlFor, id } = box.getLabelProps();
  return (
    <div ref={frame} className={className}>
      <label htmlFor={htmlFor} id={id} className="text-sm text-soft">
        {label}
      </label>
      <input
        {...box.getInputProps({
          placeholder,
          autoComplete: "off",
          spellCheck: false,
          onChange: (event) => onType(event.currentTarget.value),
          onFocus: () => box.openMenu(),
          onKeyDown: (event) => {
            if (event.key === "Tab" && lit) {
              event.preventDefault();
              onType(lit.text);
            } else if (event.key === "Enter" && !lit) {
              event.preventDefault();
              onEnter(event.currentTarget);
            } else if (event.key === "Escape" && box.isOpen) {
              event.stopPropagation();
            }
          },
        })}
        data-typed-line
        className={classes(
          "mt-0.5 min-h-9 w-full rounded-md border bg-paper px-2.5 font-semibold placeholder:font-normal placeholder:text-soft pointer-coarse:min-h-11",
          whole ? "border-moss" : "border-line",
        )}
      />
      <ul
        {...box.getMenuProps({ "aria-label": say("Suggestions") })}
        className={classes(
          "mt-1 rounded-md border border-line bg-paper p-1",
          shown ? "" : "hidden",
        )}
      >
        {shown
          ? offered.map((completion, index) => (
              <li
                key={completion.text}
                {...box.getItemProps({ item: completion, index })}
                className={classes(
                  "flex min-h-8 items-center gap-3 rounded px-2 pointer-coarse:min-h-11",
                  index === box.highlightedIndex && "bg-accent-soft text-accent",
                )}
              >
                <span className="font-semibold">{completion.text}</span>
                <span className="ml-auto text-right text-xs text-soft">{completion.hint}</span>
              </li>
            ))
          : null}
      </ul>
    </div>
  );
}
