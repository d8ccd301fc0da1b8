// Changing the password.
import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Refused, unwrap } from "@/api/client";
import { loadSession } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { OwnName } from "./OwnName";

export function PasswordDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const [current, setCurrent] = useState("");
  const [fresh, setFresh] = useState("");
  const change = useMutation({
    mutationFn: () =>
      unwrap(client.PUT("/api/session/password", { body: { current, new: fresh } })),
    onSuccess: async () => {
      await loadSession(); // a new session has a new token
      setCurrent("");
      setFresh("");
      props.onOpenChange(false);
    },
  });
  const problem = (field: string) => {
    const errors = change.error instanceof Refused ? change.error.problem.errors : [];
    const found = errors?.find((error) => error.path === field);
    return found ? { problem: found.expected } : {};
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <Dialog title={say("Change password")} {...props}>
      <form onSubmit={submit} className="grid gap-4">
        <OwnName />
        <TextField
          label={say("Password now")}
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(event) => setCurrent(event.target.value)}
          required
          {...problem("current")}
        />
        <TextField
          label={say("New password")}
          type="password"
          autoComplete="new-password"
          value={fresh}
          onChange={(event) => setFresh(event.target.value)}
          required
          {...problem("new")}
        />
        <Button type="submit" weight="main" disabled={change.isPending}>
          {say("Change password")}
        </Button>
      </form>
    </Dialog>
  );
}
