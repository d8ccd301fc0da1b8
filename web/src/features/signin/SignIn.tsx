// The door.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/queries";
import { rememberSession } from "@/api/token";
import { Button } from "@/ui/Button";
import { Logo } from "@/ui/Logo";
import { TextField } from "@/ui/TextField";
import { usePageTitle } from "@/ui/usePageTitle";
import { say } from "@/words/say";
import { CodeField } from "./CodeField";
import { PasskeyButton } from "./PasskeyButton";
import { wantsCode } from "./wantsCode";

export function SignIn() {
  const queries = useQueryClient();
  const [username, setUsername] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const comeIn = (session: Schemas["Session"]) => {
    rememberSession(session);
    queries.setQueryData(keys.session, session);
  };
  const signIn = useMutation({
    mutationFn: () => unwrap(client.POST("/api/session", { body: { username, password, code } })),
    onSuccess: comeIn,
  });
  usePageTitle("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate();
  };
  return (
    <main className="grid min-h-full place-content-center gap-6 p-6">
      <div className="flex items-center gap-3">
        <Logo className="h-11 w-10" />
        <div>
          <h1 className="text-2xl leading-tight font-bold">Yarrow</h1>
          <p className="text-soft">{say("Say what is there. Read off where to bend.")}</p>
        </div>
      </div>
      <form
        onSubmit={submit}
        className="grid w-[min(22rem,88vw)] gap-4 rounded-lg border border-line bg-paper p-5"
      >
        <TextField
          label={say("Name")}
          autoComplete="username"
          autoCapitalize="none"
          value={username}
          onChange={(event) => setUsername(event.target.value)}
          required
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
        <Button type="submit" weight="main" disabled={signIn.isPending}>
          {signIn.isPending ? say("Signing in") : say("Sign in")}
        </Button>
        <PasskeyButton done={comeIn} />
      </form>
    </main>
  );
}
