// A job's cut list: what every piece is cut from, conduit by conduit, and the offcuts in hand.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { Refused } from "@/api/client";
import { type CutsAsked, type CutsOfJob, cutsOfJob, useJob } from "@/api/queries";
import { type Offcut, readOffcuts, writeOffcuts } from "@/model/offcuts";
import { Button, ButtonLink } from "@/ui/Button";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { Select } from "@/ui/Select";
import { TopBar } from "@/ui/TopBar";
import { CutBars } from "./CutBars";
import { Offcuts } from "./Offcuts";

const SAWS = [
  { value: "saw", label: "a saw" },
  { value: "wheel", label: "a wheel cutter" },
] as const;
type Saw = (typeof SAWS)[number]["value"];

/** How long looking for fewer sticks than the first answer has may take. */
const LOOK_S = 4;

export default function CutsScreen() {
  const jobId = Number(useParams().jobId);
  const navigate = useNavigate();
  const job = useJob(jobId);
  const [offcuts, setOffcuts] = useState<readonly Offcut[]>(() => readOffcuts(jobId));
  const [saw, setSaw] = useState<Saw>("saw");
  const [stopped, setStopped] = useState(false);
  const keep = (next: readonly Offcut[]) => {
    setOffcuts(next);
    setStopped(false);
    writeOffcuts(jobId, next);
  };
  const asked: Omit<CutsAsked, "seconds"> = {
    offcuts: offcuts.map((offcut) => ({ ...offcut, count: 1 })),
    saw: { kerf: saw === "wheel" ? "0" : "", end: "", keep: "" },
  };
  const first = useQuery({
    queryKey: ["cuts", jobId, asked],
    queryFn: ({ signal }) => cutsOfJob(jobId, { ...asked, seconds: 0 }, signal),
    retry: false,
    gcTime: 0,
    placeholderData: keepPreviousData,
  });
  // What was cut stays in sight while an offcut can't be read.
  const [last, setLast] = useState<CutsOfJob | undefined>();
  if (first.data && first.data !== last) {
    setLast(first.data);
  }
  const open = first.data?.conduits.some(({ cuts }) => cuts?.how === "first-fit") ?? false;
  const better = useQuery({
    queryKey: ["fewer sticks", jobId, asked],
    queryFn: ({ signal }) => cutsOfJob(jobId, { ...asked, seconds: LOOK_S }, signal),
    enabled: open && !stopped && !first.isPlaceholderData,
    retry: false,
    gcTime: 0,
  });
  if (job.isError) {
    return <LoadingScreen what={job.error.message} retry={() => void navigate("/")} />;
  }
  const shown = (stopped ? null : better.data) ?? first.data ?? last;
  const problems =
    first.error instanceof Refused
      ? new Map(first.error.problem.errors.map(({ path, expected }) => [path, expected]))
      : new Map<string, string>();
  return (
    <div className="flex min-h-full flex-col print:block">
      <div className="print:hidden">
        <TopBar
          actions={
            <>
              <Button onClick={() => window.location.assign(`/api/jobs/${jobId}/materials.csv`)}>
                Materials as CSV
              </Button>
              <Button weight="main" onClick={() => window.print()}>
                Print
              </Button>
            </>
          }
        >
          <ButtonLink to={`/jobs/${jobId}`} weight="quiet">
            <Icon name="back" />
            <span className="max-desk:sr-only">Back to the job</span>
          </ButtonLink>
        </TopBar>
      </div>
      <main className="mx-auto w-full max-w-4xl flex-1 p-4 desk:p-8">
        <h1 className="text-2xl font-bold">Cut list</h1>
        <p className="text-soft">{job.data?.name}</p>
        <div className="flex flex-wrap items-baseline gap-x-1.5 pt-2 print:hidden">
          <span className="text-soft">Cut with</span>
          <Select
            look="word"
            label="Cut with"
            value={saw}
            options={[...SAWS]}
            onChange={(next) => setSaw(next as Saw)}
          />
          {better.isFetching && !stopped ? (
            <span role="status" className="flex items-baseline gap-2 text-sm text-soft">
              Looking for fewer sticks …
              <Button className="px-2 text-sm" onClick={() => setStopped(true)}>
                Stop
              </Button>
            </span>
          ) : null}
        </div>
        {first.isError && problems.size === 0 ? (
          <p role="alert" className="my-3 border-l-3 border-brick bg-brick-soft px-3 py-2">
            {first.error.message}
          </p>
        ) : null}
        {first.isPending ? <p className="py-6 text-soft">Working out every piece …</p> : null}
        {shown?.conduits.length === 0 ? (
          <p className="py-6 text-soft">No runs yet, so nothing to cut.</p>
        ) : null}
        {shown?.conduits.map((conduit) => (
          <Conduit
            key={`${conduit.type} ${conduit.size}`}
            conduit={conduit}
            offcuts={offcuts}
            problems={problems}
            keep={keep}
          />
        ))}
      </main>
    </div>
  );
}

type ConduitProps = {
  conduit: CutsOfJob["conduits"][number];
  offcuts: readonly Offcut[];
  problems: ReadonlyMap<string, string>;
  keep: (offcuts: readonly Offcut[]) => void;
};

function Conduit({ conduit, offcuts, problems, keep }: ConduitProps) {
  const { name, type, size, cuts, left_out, materials } = conduit;
  return (
    <section aria-label={name} className="mt-6 break-inside-avoid-page">
      <h2 className="text-lg font-bold">{name}</h2>
      {cuts ? <CutBars cuts={cuts} /> : <p className="text-soft">Nothing that can be cut yet.</p>}
      {left_out.length > 0 ? (
        <p className="mt-1 border-l-3 border-amber bg-amber-soft px-3 py-1 text-sm">
          Left out, as they can't be made as they are written: {left_out.join(", ")}.
        </p>
      ) : null}
      {materials.length > 0 ? (
        <>
          <h3 className="mt-3 text-sm font-semibold text-soft">And with them</h3>
          <ul className="text-sm">
            {materials.map(({ what, count }) => (
              <li key={what} className="flex gap-2">
                <span className="w-6 text-right font-semibold">{count}</span>
                <span>
                  <Figures text={what} />
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      <Offcuts type={type} size={size} offcuts={offcuts} problems={problems} keep={keep} />
    </section>
  );
}
