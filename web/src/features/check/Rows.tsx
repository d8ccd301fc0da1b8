// A list of lines in a form, each with a way to take it out, and a way to add one.
import type { ReactNode } from "react";
import { Button, IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";

type Props<T> = {
  title: string;
  add: string;
  rows: readonly T[];
  fresh: () => T;
  onChange: (rows: T[]) => void;
  children: (row: T, set: (fields: Partial<T>) => void, at: number) => ReactNode;
};

export function Rows<T>({ title, add, rows, fresh, onChange, children }: Props<T>) {
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">{title}</legend>
      {rows.map((row, at) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place alone
          key={at}
          className="flex items-center gap-2"
        >
          <div className="flex flex-1 flex-wrap items-center gap-x-2 gap-y-1">
            {children(
              row,
              (fields) =>
                onChange(rows.map((old, index) => (index === at ? { ...old, ...fields } : old))),
              at,
            )}
          </div>
          <IconButton label={say("Remove")} onClick={() => onChange(rows.toSpliced(at, 1))}>
            <Icon name="close" className="size-4" />
          </IconButton>
        </div>
      ))}
      <div>
        <Button
          weight="quiet"
          className="px-1 text-sm"
          onClick={() => onChange([...rows, fresh()])}
        >
          <Icon name="add" className="size-4" />
          {add}
        </Button>
      </div>
    </fieldset>
  );
}
