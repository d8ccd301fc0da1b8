// A button that asks for a file.
import { type ReactNode, useRef } from "react";
import { Button } from "./Button";
import { FileField } from "./FileField";

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
      <FileField field={field} label={label} accept={accept} onFile={onFile} />
      <Button disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </Button>
    </>
  );
}
