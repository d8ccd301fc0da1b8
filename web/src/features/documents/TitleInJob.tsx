// What is open of a job, in the bar of its screen: the way back to the job, its name, how saving stands.
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Saving } from "@/model/saving";
import { SavingState } from "@/ui/SavingState";

type Props = {
  job: { readonly id: number; readonly name: string };
  saving: Saving<unknown>;
  kept: boolean;
  /** Its name, as a heading. */
  children: ReactNode;
};

export function TitleInJob({ job, saving, kept, children }: Props) {
  return (
    <>
      <Link to={`/jobs/${job.id}`} className="truncate text-soft hover:text-ink max-desk:hidden">
        {job.name}
      </Link>
      <span className="text-soft max-desk:hidden">/</span>
      <div className="flex min-w-0 flex-1 items-center gap-x-3">
        {children}
        <SavingState saving={saving} kept={kept} />
      </div>
    </>
  );
}
