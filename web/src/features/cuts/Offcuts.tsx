// The offcuts of one conduit that are in hand: cut from before a new stick is.
import { useState } from "react";
import { isOf, type Offcut, removeOffcut, type StockDocument } from "@/model/stock";
import { Button, IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";

type Props = {
  of: { readonly type: string; readonly size: string };
  /** Of every conduit: the server names them by their places among all. */
  offcuts: readonly Offcut[];
  problems: ReadonlyMap<string, string>;
  change: (next: (stock: StockDocument) => StockDocument) => void;
  /** Adds one; else says what was expected of its length. */
  add: (offcut: Offcut) => Promise<string>;
};

export function Offcuts({ of, offcuts, problems, change, add }: Props) {
  const [length, setLength] = useState("");
  const [name, setName] = useState("");
  const [wrong, setWrong] = useState("");
  const submit = async () => {
    if (!length.trim()) {
      return;
    }
    const where = name.trim() ? { name: name.trim() } : {};
    const expected = await add({ ...of, ...where, length: length.trim() });
    setWrong(expected);
    if (!expected) {
      // What was typed since is the next one.
      setLength((now) => (now === length ? "" : now));
      setName((now) => (now === name ? "" : now));
    }
  };
  const own = offcuts.flatMap((offcut, at) => (isOf(of)(offcut) ? [{ offcut, at }] : []));
  return (
    <div className="mt-3 print:hidden">
      <h3 className="text-sm font-semibold text-soft">{say("Offcuts in hand")}</h3>
      <ul>
        {own.map(({ offcut, at }) => {
          const problem = problems.get(`offcuts[${at}].length`);
          return (
            <li key={at} className="flex flex-wrap items-center gap-x-2 text-sm">
              <span className="font-semibold">
                <Reading text={String(offcut.length)} />
              </span>
              {(offcut.count ?? 1) > 1 ? <span className="text-soft">× {offcut.count}</span> : null}
              <span>{offcut.name}</span>
              <IconButton
                label={say("Take out the offcut of {length}", { length: offcut.length })}
                onClick={() => change(removeOffcut(at))}
              >
                <Icon name="close" className="size-4" />
              </IconButton>
              {problem ? (
                <span role="alert" className="text-brick">
                  {say("Expected {expected}", { expected: problem })}
                </span>
              ) : null}
            </li>
          );
        })}
      </ul>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <TextField
          label={say("Its length")}
          className="w-28"
          value={length}
          {...(wrong ? { problem: say("Expected {expected}", { expected: wrong }) } : {})}
          onChange={(event) => {
            setLength(event.target.value);
            setWrong("");
          }}
        />
        <TextField
          label={say("Where it is")}
          className="w-44"
          maxLength={120}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit">{say("Add it")}</Button>
      </form>
    </div>
  );
}
