// What there is beside the password, and what is done about it once the password was typed.
import { type FormEvent, useState } from "react";
import type { Schemas } from "@/api/client";
import type { useSecondFactorSteps } from "@/api/crew";
import { canPasskey } from "@/api/passkeys";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { deviceInWords } from "./device";
import { OwnName } from "./OwnName";

type Props = {
  state: Schemas["SecondFactor"];
  steps: ReturnType<typeof useSecondFactorSteps>;
};

export function ByPassword({ state, steps }: Props) {
  const { begin, turnOff, makeKey, takeOff } = steps;
  const { on, shows_codes, passkeys, recovery_codes_left: left } = state;
  const [password, setPassword] = useState("");
  const doing = [begin, turnOff, makeKey, takeOff];
  const error = doing.map((step) => step.error).find(Boolean);
  /** Each button sends the form, and says by its value what it does. */
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const button = (event.nativeEvent as SubmitEvent).submitter as HTMLButtonElement | null;
    const [what, id] = (button?.value ?? "").split(" ");
    for (const step of doing) {
      step.reset();
    }
    if (what === "codes") {
      begin.mutate(password);
    } else if (what === "passkey") {
      makeKey.mutate(password);
    } else if (what === "take-off") {
      takeOff.mutate({ id: Number(id), password });
    } else {
      turnOff.mutate(password);
    }
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <p>
        {on
          ? say("It is on. {left} of your codes on paper are left.", { left })
          : say("It is off: whoever knows your password comes in as you.")}
      </p>
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
      <div className="flex flex-wrap gap-2">
        {canPasskey() ? (
          <Button type="submit" value="passkey" weight={on ? "plain" : "main"}>
            {say("Add a passkey of this device")}
          </Button>
        ) : null}
        {shows_codes ? null : (
          <Button type="submit" value="codes" weight={on || canPasskey() ? "plain" : "main"}>
            {say("Use codes of your phone")}
          </Button>
        )}
        {on ? (
          <Button type="submit" value="off">
            {say("Turn it off")}
          </Button>
        ) : null}
      </div>
      {/* Below the buttons: Enter in the field is the first of a form's. */}
      {passkeys.length > 0 ? (
        <ul aria-label={say("Your passkeys")} className="divide-y divide-line border-y border-line">
          {passkeys.map(({ id, device, made_at, used_at }) => (
            <li key={id} className="flex items-center gap-3 py-2">
              <span className="min-w-0 flex-1">
                <span className="block font-medium" title={device}>
                  {say("Passkey: {device}", { device: deviceInWords(device).toLowerCase() })}
                </span>
                <span className="block text-sm text-soft">
                  {used_at
                    ? say("made {made}, last used {used}", {
                        made: moment(made_at),
                        used: moment(used_at),
                      })
                    : say("made {made}", { made: moment(made_at) })}
                </span>
              </span>
              <Button type="submit" value={`take-off ${id}`}>
                {say("Take off")}
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
    </form>
  );
}
