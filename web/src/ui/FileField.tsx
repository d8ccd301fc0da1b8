// The field that a file is chosen by: out of sight, opened by a button or a menu.
import type { RefObject } from "react";

type Props = {
  field: RefObject<HTMLInputElement | null>;
  /** What the file is, for those who do not see what opens it. */
  label: string;
  accept: string;
  onFile: (file: File) => void;
};

export function FileField({ field, label, accept, onFile }: Props) {
  return (
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
  );
}
