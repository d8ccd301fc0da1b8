// A window over the page: Radix Dialog with Yarrow's title and close.

import { Dialog as Radix } from "radix-ui";
import { type ReactNode, useRef } from "react";
import { say } from "@/words/say";
import { IconButton } from "./Button";
import { classes } from "./classes";
import { Icon } from "./Icon";

type Props = {
  title: string;
  description?: string;
  open: boolean;
  /** Left out where the person has to choose before going on. */
  onOpenChange?: (open: boolean) => void;
  /** Wider, for rows of fields. */
  wide?: boolean;
  children: ReactNode;
};

export function DialogWindow({ title, description, open, onOpenChange, wide, children }: Props) {
  const openedFrom = useRef<Element | null>(null);
  return (
    <Radix.Root open={open} {...(onOpenChange ? { onOpenChange } : {})}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[rgb(10_14_18/0.45)]" />
        <Radix.Content
          className={classes(
            "fixed top-1/2 left-1/2 z-50 max-h-[88vh] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-lg border border-line bg-paper p-5 shadow-lift",
            wide ? "w-[min(46rem,94vw)]" : "w-[min(34rem,94vw)]",
          )}
          onOpenAutoFocus={(event) => {
            openedFrom.current = document.activeElement;
            toFirstField(event);
          }}
          onCloseAutoFocus={(event) => {
            const before = openedFrom.current;
            if (before instanceof HTMLElement && before.isConnected) {
              event.preventDefault();
              before.focus({ preventScroll: true });
            }
          }}
          {...(description ? {} : { "aria-describedby": undefined })}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="text-lg font-semibold">{title}</Radix.Title>
            {onOpenChange ? (
              <Radix.Close asChild>
                <IconButton label={say("Close")} className="-mt-1.5 -mr-2">
                  <Icon name="close" />
                </IconButton>
              </Radix.Close>
            ) : null}
          </div>
          {description ? (
            <Radix.Description className="mb-4 text-soft">{description}</Radix.Description>
          ) : null}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

const FIELD = "input:not([type=file]):not([type=hidden]):not(:disabled), textarea";

/** The cursor begins in the first field, so that Enter doesn't close what is to be filled in. */
function toFirstField(event: Event) {
  const content = event.currentTarget;
  const field = content instanceof HTMLElement ? content.querySelector<HTMLElement>(FIELD) : null;
  if (field) {
    event.preventDefault();
    field.focus();
  }
}
