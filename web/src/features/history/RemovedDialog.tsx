// What was removed from a job, kind by kind: a window that is asked for.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { bringBack, loadRemoved, type RemovedThing } from "@/api/history";
import { forgetLists, keys } from "@/api/queries";
import { DOCUMENTS, KINDS, type Kind } from "@/documents/registry";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { say } from "@/words/say";
import { RemovedList } from "./RemovedList";

export function RemovedDialog({ jobId }: { jobId: number }) {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const removed = useQuery({
    queryKey: keys.removed(jobId),
    queryFn: () => loadRemoved(jobId),
    enabled: open,
  });
  const lists = KINDS.flatMap((kind) => {
    const at = DOCUMENTS[kind].removed;
    return at ? [{ kind, title: at.title, things: removed.data?.[at.list] ?? [] }] : [];
  });
  const there = async (broughtBack: Promise<void>) => {
    await broughtBack;
    forgetLists(queries);
  };
  return (
    <>
      <Button weight="quiet" className="mt-6 px-1 text-sm" onClick={() => setOpen(true)}>
        {say("What was removed")}
      </Button>
      <Dialog
        title={say("What was removed")}
        description={say("Nothing that was saved is thrown away.")}
        open={open}
        onOpenChange={setOpen}
      >
        {removed.isError ? <p role="alert">{removed.error.message}</p> : null}
        {removed.isSuccess && lists.every(({ things }) => things.length === 0) ? (
          <p className="text-soft">{say("Nothing was removed from this job.")}</p>
        ) : null}
        {lists.map(({ kind, title, things }) => (
          <RemovedList
            key={kind}
            title={title}
            things={things}
            bringBack={(thing) => there(bringBack(kind, ...namedInJob(kind, jobId, thing)))}
          />
        ))}
      </Dialog>
    </>
  );
}

/** A box is known by its job and its name, all else by a number. */
function namedInJob(kind: Kind, jobId: number, { id, name }: RemovedThing): [number, string] {
  return DOCUMENTS[kind].at.includes("{job_id}") ? [jobId, name] : [id, ""];
}
