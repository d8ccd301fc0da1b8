// A menu of actions: Radix DropdownMenu.
import { DropdownMenu as Radix } from "radix-ui";
import { type ReactNode, useRef } from "react";
import { focusField } from "./focusField";

export type Action = {
  readonly label: string;
  readonly run: () => void;
  /** The field, by its path, that gets the cursor afterwards. */
  readonly cursor?: string;
  readonly hint?: string;
  /** The heading of the group that this action begins. */
  readonly group?: string;
  readonly key?: string;
  readonly disabled?: boolean;
};

type Props = {
  trigger: ReactNode;
  actions: readonly Action[];
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  align?: "start" | "end";
};

export function Menu({ trigger, actions, open, onOpenChange, align = "end" }: Props) {
  const cursor = useRef("");
  const controlled = open === undefined ? {} : { open };
  return (
    <Radix.Root {...controlled} {...(onOpenChange ? { onOpenChange } : {})}>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          align={align}
          onCloseAutoFocus={(event) => {
            if (cursor.current) {
              event.preventDefault();
              focusField(cursor.current);
              cursor.current = "";
            }
          }}
          sideOffset={6}
          className="z-50 max-h-(--radix-dropdown-menu-content-available-height) min-w-52 overflow-auto rounded-md border border-line bg-paper p-1 text-ink shadow-lift"
        >
          {actions.flatMap((action) => [
            action.group ? (
              <Radix.Label
                key={action.group}
                className="px-2.5 pt-2 pb-0.5 text-xs font-semibold text-soft"
              >
                {action.group}
              </Radix.Label>
            ) : null,
            <Radix.Item
              key={action.label}
              disabled={action.disabled ?? false}
              onSelect={() => {
                action.run();
                cursor.current = action.cursor ?? "";
              }}
              className="flex min-h-9 items-center gap-3 rounded px-2.5 outline-none select-none data-[disabled]:opacity-40 data-[highlighted]:bg-accent-soft data-[highlighted]:text-accent pointer-coarse:min-h-11"
            >
              <span className="flex flex-col py-1">
                {action.label}
                {action.hint ? <span className="text-xs text-soft">{action.hint}</span> : null}
              </span>
              {action.key ? <Key>{action.key}</Key> : null}
            </Radix.Item>,
          ])}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

/** A key on the keyboard. */
export function Key({ children }: { children: ReactNode }) {
  return (
    <kbd className="ml-auto rounded border border-line px-1.5 font-sans text-xs font-semibold text-soft">
      {children}
    </kbd>
  );
}
