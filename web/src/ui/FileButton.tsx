// A button that asks for a file.
import { type ReactNode, useRef } from "react";
import { Button } from "./Button";

type Props = {
  /** What the file is, for those who do not see the button. */
  label: string;
  accept: string;
  disabled?: boolean;
  onFile: (file: File) => void;
  children: ReactNode;
};

export function FileButton({ label, accept, disabled = false, onFile, children }: Props) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) {
            onFile(chosen);
          }
        }}
      />
      <Button disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </Button>
    </>
  );
}
