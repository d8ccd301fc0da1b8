// Signing out: what is not saved, and what waits for a connection, is asked about first.
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { client, unwrap } from "@/api/client";
import { keys, useSession } from "@/api/queries";
import { rememberSession } from "@/api/token";
import { type OpenDocument, saveAll } from "@/model/savedDocuments";
import { forgetAll, leftWaiting } from "@/pocket/leave";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { say } from "@/words/say";

/** What would be left behind: open documents that stay as drafts, and what goes with the person. */
type Left = { readonly unsaved: readonly OpenDocument[]; readonly waiting: readonly string[] };

type Props = { open: boolean; onOpenChange: (open: boolean) => void };

export function SignOut({ open, onOpenChange }: Props) {
  const queries = useQueryClient();
  const member = useSession().data?.member?.username ?? "";
  const [left, setLeft] = useState<Left | null>(null);
  const [problem, setProblem] = useState("");
  const signOut = async () => {
    try {
      const session = await unwrap(client.DELETE("/api/session"));
      await forgetAll(member).catch(() => undefined);
      // What the next member may see is not what this one has seen.
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
      rememberSession(session);
      queries.setQueryData(keys.session, session);
    } catch (error) {
      setLeft({ unsaved: [], waiting: [] });
      setProblem(error instanceof Error ? error.message : "");
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is looked at once, as it is opened
  useEffect(() => {
    if (!open) {
      setLeft(null);
      setProblem("");
      return;
    }
    void look().then((found) =>
      found.unsaved.length + found.waiting.length > 0 ? setLeft(found) : signOut(),
    );
  }, [open]);
  const look = async (): Promise<Left> => {
    const unsaved = await saveAll();
    return { unsaved, waiting: await leftWaiting(member) };
  };
  return (
    <Dialog
      title={problem ? say("Not signed out") : say("Not everything is saved")}
      description={
        problem ||
        say(
          "It stays on this machine as a draft, for you alone, and is offered when you open it again.",
        )
      }
      open={left !== null}
      onOpenChange={onOpenChange}
    >
      <ul className="mb-4 list-disc pl-5">
        {left?.unsaved.map(({ target }) => (
          <li key={`${target.kind} ${target.id}`}>{target.title}</li>
        ))}
      </ul>
      {left?.waiting.length ? (
        <>
          <p className="font-semibold text-brick">
            {say("These were never told to the server, and go from this device with signing out:")}
          </p>
          <ul className="mb-4 list-disc pl-5">
            {left.waiting.map((title) => (
              <li key={title}>{title}</li>
            ))}
          </ul>
        </>
      ) : null}
      <div className="flex justify-end gap-2">
        <Button onClick={() => onOpenChange(false)}>{say("Stay")}</Button>
        {problem ? null : (
          <Button weight="main" onClick={() => void signOut()}>
            {say("Sign out all the same")}
          </Button>
        )}
      </div>
    </Dialog>
  );
}
