// The crew's jobs.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, unwrap } from "@/api/client";
import { useMay } from "@/api/crew";
import { forgetLists, useJobs, useSession } from "@/api/queries";
import { AccountMenu } from "@/features/account/AccountMenu";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { LeftDrafts } from "@/features/drafts/LeftDrafts";
import type { Units } from "@/model/document";
import { Button, ButtonLink } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { Icon } from "@/ui/Icon";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { TextField } from "@/ui/TextField";
import { TopBar } from "@/ui/TopBar";
import { say, sayOf } from "@/words/say";
import { ImportJob } from "./ImportJob";

export default function JobsScreen() {
  const jobs = useJobs();
  const crew = useSession().data?.member?.crew;
  const plans = useMay("plan");
  const [adding, setAdding] = useState(false);
  if (jobs.isError) {
    return <CouldNotOpen error={jobs.error} again={() => void jobs.refetch()} />;
  }
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={say("Jobs")} actions={<AccountMenu />}>
        <span className="truncate text-soft">{crew}</span>
      </TopBar>
      <main className="mx-auto w-full max-w-4xl flex-1 p-4 desk:p-8">
        <div className="mb-4 flex flex-wrap items-center justify-between gap-4">
          <h1 className="text-2xl font-bold">{say("Jobs")}</h1>
          <div className="flex flex-wrap gap-2">
            <ButtonLink to="/quick">{say("Quick bend")}</ButtonLink>
            <ButtonLink to="/check">{say("Quick check")}</ButtonLink>
            {plans ? (
              <>
                <ImportJob />
                <Button weight="main" onClick={() => setAdding(true)}>
                  <Icon name="add" />
                  {say("New job")}
                </Button>
              </>
            ) : null}
          </div>
        </div>
        {jobs.data?.length === 0 ? (
          <p className="rounded-lg border border-dashed border-strong-line p-8 text-center text-soft">
            {say("A job is a place that you work at. Make the first one, then walk its first run.")}
          </p>
        ) : null}
        <ul className="grid grid-cols-1 gap-3">
          {jobs.data?.map((job) => (
            <li key={job.id}>
              <Link
                to={`/jobs/${job.id}`}
                className="flex items-center gap-4 rounded-lg border border-line bg-paper p-4 hover:border-accent"
              >
                <span className="min-w-0 flex-1">
                  <span className="block truncate text-lg font-semibold">{job.name}</span>
                  <span className="block truncate text-soft">{job.place}</span>
                </span>
                <span className="text-soft max-desk:hidden">
                  {job.units === "in" ? say("inches") : say("millimetres")}
                </span>
                <span className="w-16 text-right font-semibold">
                  {job.run_count} {sayOf(job.run_count, "run", "runs")}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        <LeftDrafts jobs={jobs.data ?? []} />
      </main>
      <NewJob open={adding} onOpenChange={setAdding} />
    </div>
  );
}

function NewJob(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const [place, setPlace] = useState("");
  const [units, setUnits] = useState<Units>("in");
  const create = useMutation({
    mutationFn: () => unwrap(client.POST("/api/jobs", { body: { name, place, units } })),
    onSuccess: (job) => {
      forgetLists(queries);
      void navigate(`/jobs/${job.id}`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    create.mutate();
  };
  return (
    <Dialog title={say("New job")} {...props}>
      <form onSubmit={submit} className="grid gap-4">
        <TextField
          label={say("Name")}
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
          required
          {...(create.error ? { problem: create.error.message } : {})}
        />
        <TextField
          label={say("Where on it")}
          value={place}
          maxLength={200}
          onChange={(event) => setPlace(event.target.value)}
        />
        <div className="grid justify-items-start gap-1">
          <span className="text-sm font-medium">{say("Measured in")}</span>
          <SegmentedControl
            label={say("Measured in")}
            value={units}
            onChange={setUnits}
            options={[
              { value: "in", label: say("Inches") },
              { value: "mm", label: say("Millimetres") },
            ]}
          />
        </div>
        <Button type="submit" weight="main" disabled={create.isPending}>
          {say("Make the job")}
        </Button>
      </form>
    </Dialog>
  );
}
