// In by a passkey: no name and no password are typed.
import { useMutation } from "@tanstack/react-query";
import type { Schemas } from "@/api/client";
import { canPasskey, signInByPasskey } from "@/api/passkeys";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";

export function PasskeyButton({ done }: { done: (session: Schemas["Session"]) => void }) {
  const passkey = useMutation({ mutationFn: signInByPasskey, onSuccess: done });
  if (!canPasskey()) {
    return null;
  }
  return (
    <div className="grid gap-2">
      <Button disabled={passkey.isPending} onClick={() => passkey.mutate()}>
        {say("Sign in with a passkey")}
      </Button>
      {passkey.error ? (
        <p role="alert" className="text-sm text-brick">
          {passkey.error.message}
        </p>
      ) : null}
    </div>
  );
}
