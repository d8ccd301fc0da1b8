// Something beside the password: a code of the phone, or a passkey of a device.
import { type FormEvent, useState } from "react";
import type { Schemas } from "@/api/client";
import { useSecondFactor, useSecondFactorSteps } from "@/api/crew";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { ByPassword } from "./ByPassword";

type Props = { open: boolean; onOpenChange: (open: boolean) => void };

export function SecondFactorDialog({ open, onOpenChange }: Props) {
  const state = useSecondFactor(open);
  const steps = useSecondFactorSteps();
  const { begin, confirm, makeKey } = steps;
  const close = (next: boolean) => {
    onOpenChange(next);
    for (const step of Object.values(steps)) {
      step.reset();
    }
  };
  const codes = confirm.data?.codes ?? makeKey.data?.codes ?? [];
  return (
    <Dialog
      title={say("Second factor")}
      description={say("Something beside your password: a code of your phone, or a passkey.")}
      open={open}
      onOpenChange={close}
    >
      {codes.length > 0 ? (
        <OnPaper codes={codes} done={() => close(false)} />
      ) : begin.data ? (
        <OnPhone begun={begin.data} error={confirm.error} take={(code) => confirm.mutate(code)} />
      ) : state.isSuccess ? (
        <ByPassword state={state.data} steps={steps} />
      ) : state.error ? (
        <p role="alert">{state.error.message}</p>
      ) : null}
    </Dialog>
  );
}

type OnPhoneProps = {
  begun: Schemas["NewSecondFactor"];
  error: Error | null;
  take: (code: string) => void;
};

function OnPhone({ begun, error, take }: OnPhoneProps) {
  const [code, setCode] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    take(code);
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <p>
        {say(
          "Hold a program for such codes before this picture, or type the word beneath into it. Then type the code that it shows.",
        )}
      </p>
      <img
        src={`data:image/svg+xml;base64,${btoa(begun.picture)}`}
        alt={say("The secret as a picture, for the phone")}
        className="mx-auto size-48 rounded-md bg-white"
      />
      <p className="text-center font-medium break-all tabular-nums select-all">
        {inFours(begun.secret)}
      </p>
      <TextField
        label={say("Code on your phone")}
        inputMode="numeric"
        autoComplete="one-time-code"
        maxLength={12}
        value={code}
        onChange={(event) => setCode(event.target.value)}
        required
        {...(error ? { problem: error.message } : {})}
      />
      <Button type="submit" weight="main">
        {say("Turn it on")}
      </Button>
    </form>
  );
}

/** As it is typed off a screen: four letters at a time. */
const inFours = (secret: string) => secret.replace(/.{4}(?=.)/g, "$& ");

function OnPaper({ codes, done }: { codes: readonly string[]; done: () => void }) {
  return (
    <div className="grid gap-4">
      <p role="status">
        {say(
          "It is on. Write these codes down: each lets you in once where your phone or device is lost. They are shown here only now.",
        )}
      </p>
      <ul className="grid grid-cols-2 gap-2 rounded-md border border-line p-3 text-center font-medium tabular-nums select-all">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button weight="main" onClick={done}>
        {say("I have them on paper")}
      </Button>
    </div>
  );
}
