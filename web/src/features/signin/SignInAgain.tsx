// The session has ended: signed in again in place, and what was being saved goes on.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/queries";
import { rememberSession } from "@/api/token";
import { signedInAgain } from "@/model/savedDocuments";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { CodeField } from "./CodeField";
import { PasskeyButton } from "./PasskeyButton";
import { wantsCode } from "./wantsCode";

type Props = { open: boolean; member: string; done: () => void };

export function SignInAgain({ open, ...rest }: Props) {
  return open ? <Again {...rest} /> : null;
}

function Again({ member, done }: Omit<Props, "open">) {
  const queries = useQueryClient();
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const comeBack = (session: Schemas["Session"]) => {
    if (session.member?.username !== member) {
      // Their passkey was another's: what was typed here stays with whose it is.
      window.location.assign("/");
      return;
    }
    rememberSession(session);
    queries.setQueryData(keys.session, session);
    done();
    signedInAgain();
    void queries.invalidateQueries({ predicate: ({ state }) => state.status === "error" });
  };
  const signIn = useMutation({
    mutationFn: () =>
      unwrap(client.POST("/api/session", { body: { username: member, password, code } })),
    onSuccess: comeBack,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate();
  };
  return (
    <Dialog
      title={say("Sign in again")}
      description={say(
        "Your session has ended. What you typed is kept here, and is saved as soon as you are back.",
      )}
      open
    >
      <form onSubmit={submit} className="grid gap-4">
        <TextField
          label={say("Name")}
          value={member}
          autoComplete="username"
          readOnly
          tabIndex={-1}
        />
        <TextField
          label={say("Password")}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          required
          {...(signIn.error && !wantsCode(signIn.error) ? { problem: signIn.error.message } : {})}
        />
        <CodeField error={signIn.error} code={code} onChange={setCode} />
        <PasskeyButton done={comeBack} />
        <div className="flex justify-end gap-2">
          <Button weight="quiet" onClick={() => window.location.assign("/")}>
            {say("Sign in as someone else")}
          </Button>
          <Button type="submit" weight="main" disabled={signIn.isPending}>
            {say("Sign in")}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
