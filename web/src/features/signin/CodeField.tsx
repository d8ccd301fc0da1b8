// The code of the second factor: asked for once the password was the right one.
import { useEffect, useRef } from "react";
import { Refused } from "@/api/client";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { wantsCode } from "./wantsCode";

type Props = { error: Error | null; code: string; onChange: (code: string) => void };

export function CodeField({ error, code, onChange }: Props) {
  const asked = useRef(false);
  const field = useRef<HTMLDivElement>(null);
  const wanted = wantsCode(error);
  asked.current ||= wanted;
  useEffect(() => {
    if (wanted) {
      field.current?.querySelector("input")?.focus();
    }
  }, [wanted]);
  if (!asked.current) {
    return null;
  }
  const wrong = error instanceof Refused && wanted && code !== "" ? error.message : "";
  return (
    <div ref={field} className="grid gap-1">
      <TextField
        label={say("Code on your phone")}
        inputMode="text"
        autoComplete="one-time-code"
        autoCapitalize="none"
        maxLength={40}
        value={code}
        onChange={(event) => onChange(event.target.value)}
        required
        {...(wrong ? { problem: wrong } : {})}
      />
      <p className="text-sm text-soft">{say("Or one of the codes that you have on paper.")}</p>
    </div>
  );
}
