// Where the member is signed in, and the way to end that.
import { useEndSession, useSessions } from "@/api/crew";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";
import { deviceInWords } from "./device";

export function SessionsDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const sessions = useSessions(props.open);
  const end = useEndSession();
  const problem = sessions.error ?? end.error;
  const others = sessions.data?.filter((session) => !session.this) ?? [];
  return (
    <Dialog
      title={say("Where you are signed in")}
      description={say("End what you do not know, and change your password then.")}
      {...props}
    >
      {problem ? (
        <p role="alert" className="mb-2 border-l-3 border-brick bg-brick-soft px-3 py-2">
          {problem.message}
        </p>
      ) : null}
      <ul className="divide-y divide-line">
        {sessions.data?.map(({ name, this: own, device, address, begun_at }) => (
          <li key={name} className="flex items-center gap-3 py-2">
            <span className="min-w-0 flex-1">
              <span className="block truncate font-medium" title={device}>
                {deviceInWords(device)}
              </span>
              <span className="block text-sm text-soft">
                {begun_at
                  ? say("since {moment}, from {address}", {
                      moment: moment(begun_at),
                      address: address ?? say("nowhere known"),
                    })
                  : say("since before this was kept")}
              </span>
            </span>
            {own ? (
              <span className="text-sm text-soft">{say("this one")}</span>
            ) : (
              <Button disabled={end.isPending} onClick={() => end.mutate(name)}>
                {say("Sign out there")}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {others.length > 1 ? (
        <Button className="mt-3 px-3" disabled={end.isPending} onClick={() => end.mutate(null)}>
          {say("Sign out everywhere but here")}
        </Button>
      ) : null}
    </Dialog>
  );
}
