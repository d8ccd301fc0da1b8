// The runs, boxes, walls and ducts that were removed from a job: a window that is asked for.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { bringBack, loadRemoved } from "@/api/history";
import { forgetLists, keys } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { RemovedList } from "./RemovedList";

export function RemovedDialog({ jobId }: { jobId: number }) {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const removed = useQuery({
    queryKey: keys.removed(jobId),
    queryFn: () => loadRemoved(jobId),
    enabled: open,
  });
  const { runs = [], boxes = [], walls = [], sites = [] } = removed.data ?? {};
  const there = async (broughtBack: Promise<void>) => {
    await broughtBack;
    forgetLists(queries);
  };
  return (
    <>
      <Button weight="quiet" className="mt-6 px-1 text-sm" onClick={() => setOpen(true)}>
        What was removed
      </Button>
      <Dialog
        title="What was removed"
        description="Nothing that was saved is thrown away."
        open={open}
        onOpenChange={setOpen}
      >
        {removed.isError ? <p role="alert">{removed.error.message}</p> : null}
        {removed.isSuccess && [runs, boxes, walls, sites].every((each) => each.length === 0) ? (
          <p className="text-soft">Nothing was removed from this job.</p>
        ) : null}
        <RemovedList
          title="Runs"
          things={runs}
          bringBack={({ id }) => there(bringBack("run", id))}
        />
        <RemovedList
          title="Boxes"
          things={boxes}
          bringBack={({ name }) => there(bringBack("box", jobId, name))}
        />
        <RemovedList
          title="Walls"
          things={walls}
          bringBack={({ id }) => there(bringBack("wall", id))}
        />
        <RemovedList
          title="Ducts"
          things={sites}
          bringBack={({ id }) => there(bringBack("site", id))}
        />
      </Dialog>
    </>
  );
}
