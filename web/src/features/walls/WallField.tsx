// A value of a framed wall where it is typed, with what is wrong with it.
import { createContext, useContext } from "react";
import type { StoreApi } from "zustand";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { WallPlan } from "@/api/walls";
import type { DocumentStore } from "@/model/savedStore";
import type { WallDocument } from "@/model/walls";
import { InlineInput } from "@/ui/InlineInput";
import { Select } from "@/ui/Select";

export type WallChange = (next: (wall: WallDocument) => WallDocument) => void;

/** What is found of a wall as it stands. */
export type WallChecks = {
  /** What can't be read, by its path in the document. */
  readonly problems: ReadonlyMap<string, string>;
  readonly plan: WallPlan | null;
};

export type Editing = {
  readonly documents: DocumentStore<WallDocument>;
  readonly checks: StoreApi<WallChecks>;
  readonly change: WallChange;
};

export const EditingWall = createContext<Editing | null>(null);

function useEditing(): Editing {
  const editing = useContext(EditingWall);
  if (!editing) {
    throw new Error("outside of a wall");
  }
  return editing;
}

export function useWallChange(): WallChange {
  return useEditing().change;
}

/** A part of the wall: what shows it is drawn again when that part is another. */
export function useWallDocument<T>(choose: (wall: WallDocument) => T): T {
  return useStore(
    useEditing().documents,
    useShallow((state) => choose(state.history.present)),
  );
}

export function useWallChecks<T>(choose: (checks: WallChecks) => T): T {
  return useStore(useEditing().checks, useShallow(choose));
}

type FieldProps = {
  path: string;
  label: string;
  value: string | number | undefined;
  onType: (text: string) => void;
  text?: boolean;
  placeholder?: string;
};

export function WallField({ path, label, value, onType, text, placeholder }: FieldProps) {
  const problem = useWallChecks(({ problems }) => problems.get(path));
  const level = useWallChecks(
    ({ plan }) => plan?.findings.find((finding) => finding.path === path)?.level,
  );
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={value === undefined ? "" : String(value)}
      problem={problem}
      level={level}
      look={text ? "text" : "number"}
      placeholder={placeholder}
      onType={onType}
    />
  );
}

type WordProps<T extends string> = {
  /** Of a word that may be one that can't be read: the box, the line that it names is gone. */
  path?: string;
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onChange: (value: T) => void;
};

/** What stands in a Select for the empty text, which it takes for no choice at all. */
const EMPTY = "-";

export function WallWord<T extends string>(props: WordProps<T>) {
  const { path = "", label, value, options, onChange } = props;
  const problem = useWallChecks(({ problems }) => problems.get(path));
  return (
    <Select
      look="word"
      path={path}
      problem={problem}
      label={label}
      value={value || EMPTY}
      options={options.map((option) => ({ ...option, value: option.value || EMPTY }))}
      onChange={(next) => onChange((next === EMPTY ? "" : next) as T)}
    />
  );
}

/** Named alike and for the choice of one: ``{ value, label }``. */
export function choices(names: readonly string[]): { value: string; label: string }[] {
  return names.map((name) => ({ value: name, label: name }));
}
