// What was just made is named first: its name is selected, so that the first key writes another.
import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** How to go to something that was just made. */
export const JUST_MADE = { state: { made: true } } as const;

/** For the field of its name. */
export function useNamedFirst() {
  const made = (useLocation().state as { made?: boolean } | null)?.made ?? false;
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (made) {
      field.current?.focus();
      field.current?.select();
      // Once: after a reload it is no longer new.
      history.replaceState({ ...history.state, usr: null }, "");
    }
  }, [made]);
  return field;
}
