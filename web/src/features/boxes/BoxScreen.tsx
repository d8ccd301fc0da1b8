// A box of a job as a whole: every run that meets there, its volume, its size, its holes.
import { useQuery } from "@tanstack/react-query";
import { Link, useParams, useSearchParams } from "react-router";
import { type JobBox, keys, loadBox } from "@/api/queries";
import { AccountMenu } from "@/features/account/AccountMenu";
import { Scrolls } from "@/ui/Scrolls";
import { TopBar } from "@/ui/TopBar";
import { Waiting } from "@/ui/Waiting";
import { BoxAnswers } from "./BoxAnswers";
import { SiteBoxFields } from "./SiteBoxFields";
import { useSiteBox } from "./useSiteBox";

export default function BoxScreen() {
  const jobId = Number(useParams().jobId);
  const name = useSearchParams()[0].get("name") ?? "";
  const box = useQuery({
    queryKey: keys.box(jobId, name),
    queryFn: () => loadBox(jobId, name),
    // The screen holds the box from here on; opening it again asks again.
    gcTime: 0,
    staleTime: Infinity,
  });
  if (box.isError) {
    return <Waiting what={box.error.message} retry={() => void box.refetch()} />;
  }
  if (box.isPending) {
    return <Waiting what="Opening the box" />;
  }
  return <Opened key={name} box={box.data} />;
}

const SAVING = {
  saved: "Saved",
  waiting: "Not saved yet",
  saving: "Saving …",
} as const;

function Opened({ box }: { box: JobBox }) {
  const { document, change, answer, old, problems, refusal, saving } = useSiteBox(box);
  return (
    <div className="flex h-full flex-col">
      <TopBar actions={<AccountMenu />}>
        <Link to={`/jobs/${box.job_id}`} className="truncate text-soft hover:text-ink">
          {box.job_name}
        </Link>
        <span className="text-soft">/</span>
        <h1 className="truncate font-semibold">{box.name}</h1>
        <span
          role="status"
          className={`text-sm ${saving in SAVING ? "text-moss" : "text-brick"}`}
          data-saving={saving}
        >
          {SAVING[saving as keyof typeof SAVING] ?? saving}
        </span>
      </TopBar>
      <main className="grid min-h-0 flex-1 overflow-auto desk:grid-cols-[25rem_minmax(0,1fr)]">
        <div className="grid content-start gap-5 border-r border-line bg-paper p-4 desk:overflow-auto desk:p-5">
          <SiteBoxFields
            jobId={box.job_id}
            document={document}
            change={change}
            answer={answer}
            problems={problems}
            refusal={refusal}
          />
        </div>
        <Scrolls
          label="The box as a whole"
          className={`grid min-w-0 content-start gap-8 p-4 desk:overflow-auto desk:p-6 ${old ? "opacity-60" : ""}`}
        >
          <BoxAnswers answer={answer} />
        </Scrolls>
      </main>
    </div>
  );
}
