// A code beside the password: turned on in three steps, and off by the password.
import { type FormEvent, type ReactNode, useState } from "react";
import type { Schemas } from "@/api/client";
import { useSecondFactor, useSecondFactorSteps } from "@/api/crew";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { OwnName } from "./OwnName";

type Props = { open: boolean; onOpenChange: (open: boolean) => void };

export function SecondFactorDialog({ open, onOpenChange }: Props) {
  const state = useSecondFactor(open);
  const { begin, confirm, turnOff } = useSecondFactorSteps();
  const close = (next: boolean) => {
    onOpenChange(next);
    for (const step of [begin, confirm, turnOff]) {
      step.reset();
    }
  };
  const { on, recovery_codes_left: left } = state.data ?? { on: false, recovery_codes_left: 0 };
  const error = state.error ?? turnOff.error ?? confirm.error ?? begin.error;
  return (
    <Dialog
      title={say("Second factor")}
      description={say("A code that your phone shows, beside your password.")}
      open={open}
      onOpenChange={close}
    >
      {confirm.data ? (
        <OnPaper codes={confirm.data.codes} done={() => close(false)} />
      ) : begin.data ? (
        <OnPhone begun={begin.data} error={error} take={(code) => confirm.mutate(code)} />
      ) : state.isSuccess ? (
        <ByPassword
          words={
            on
              ? say("It is on. {left} of your codes on paper are left.", { left })
              : say("It is off: whoever knows your password comes in as you.")
          }
          error={error}
          take={(password) => (on ? turnOff.mutate(password) : begin.mutate(password))}
        >
          {on ? say("Turn it off") : say("Turn it on")}
        </ByPassword>
      ) : error ? (
        <p role="alert">{error.message}</p>
      ) : null}
    </Dialog>
  );
}

type ByPasswordProps = {
  words: string;
  error: Error | null;
  take: (password: string) => void;
  children: ReactNode;
};

function ByPassword({ words, error, take, children }: ByPasswordProps) {
  const [password, setPassword] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    take(password);
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <p>{words}</p>
      <OwnName />
      <TextField
        label={say("Password now")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        required
        {...(error ? { problem: error.message } : {})}
      />
      <Button type="submit" weight="main">
        {children}
      </Button>
    </form>
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
          "It is on. Write these codes down: each lets you in once where the phone is lost. They are shown here only now.",
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
