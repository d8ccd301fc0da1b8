// What is on this device: the jobs that are kept, how much room they take, and what waits.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "@/api/client";
import { useJobs } from "@/api/queries";
import { useAway } from "@/api/reaching";
import { keepJob, letGoOfJob } from "@/pocket/keptJobs";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { moment } from "@/ui/moment";
import { say, sayOf } from "@/words/say";
import { useKeptJobs, useWaiting } from "./usePocket";

export function PocketDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog
      title={say("On this device")}
      description={say(
        "A job that is kept here opens, plans and benches without a connection. What is kept is yours alone, and goes with signing out.",
      )}
      {...props}
    >
      <Jobs />
      <Waiting />
      <Room />
    </Dialog>
  );
}

function Jobs() {
  const jobs = useJobs();
  const kept = useKeptJobs();
  return (
    <ul className="divide-y divide-line">
      {jobs.data?.map(({ id, name }) => (
        <Job key={id} id={id} name={name} kept={kept.data?.find((each) => each.id === id)} />
      ))}
    </ul>
  );
}

type Kept = NonNullable<ReturnType<typeof useKeptJobs>["data"]>[number];

function Job({ id, name, kept }: { id: number; name: string; kept: Kept | undefined }) {
  const queries = useQueryClient();
  const away = useAway();
  const [share, setShare] = useState("");
  const change = useMutation({
    mutationFn: () =>
      kept ? letGoOfJob(id) : keepJob(id, (done, of) => setShare(`${done} / ${of}`)),
    onSettled: () => {
      setShare("");
      void queries.invalidateQueries({ queryKey: ["kept"] });
    },
  });
  return (
    <li className="flex items-center gap-3 py-2">
      <span className="min-w-0 flex-1">
        <span className="block truncate font-medium">{name}</span>
        <span className="block text-sm text-soft">
          {kept
            ? `${kept.runs} ${sayOf(kept.runs, "run", "runs")}, ${moment(kept.at)}`
            : say("what was opened last")}
        </span>
        {change.error ? (
          <span role="alert" className="block text-sm text-brick">
            {change.error instanceof Refused
              ? change.error.message
              : say("This device has no room for all of it.")}
          </span>
        ) : null}
      </span>
      <Button disabled={change.isPending || (away && !kept)} onClick={() => change.mutate()}>
        {share || (kept ? say("Let go") : say("Keep here"))}
      </Button>
    </li>
  );
}

function Waiting() {
  const waiting = useWaiting();
  if (waiting.length === 0) {
    return null;
  }
  return (
    <section className="mt-4">
      <h3 className="font-semibold">{say("Waits for a connection")}</h3>
      <ul className="list-disc pl-5">
        {waiting.map(({ title, problem }, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two may have one title, and none moves
          <li key={at}>
            {title}
            {problem ? <span className="block text-sm text-brick">{problem}</span> : null}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Room() {
  const room = useQuery({
    queryKey: ["kept", "room"],
    queryFn: async () => (await navigator.storage?.estimate?.())?.usage ?? 0,
    refetchInterval: 2000, // the page itself may still be coming
  });
  const megabytes = ((room.data ?? 0) / 1e6).toFixed(1);
  return (
    <p className="mt-4 text-sm text-soft">
      {say("Takes {megabytes} MB here, with the page itself.", { megabytes })}
    </p>
  );
}
