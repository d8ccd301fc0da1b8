// What a document that is saved by version is called, in the bar of its screen: its job, its name to be
// typed, how saving stands.
import { Link } from "react-router";
import type { Saving } from "@/model/saving";
import { InlineInput } from "@/ui/InlineInput";
import { SavingState } from "@/ui/SavingState";
import { useNamedFirst } from "@/ui/useNamedFirst";

type Props = {
  job: { id: number; name: string };
  label: string;
  name: string;
  onName: (name: string) => void;
  saving: Saving<unknown>;
  kept: boolean;
};

export function DocumentTitle({ job, label, name, onName, saving, kept }: Props) {
  const field = useNamedFirst();
  return (
    <>
      <Link to={`/jobs/${job.id}`} className="truncate text-soft hover:text-ink max-desk:hidden">
        {job.name}
      </Link>
      <span className="text-soft max-desk:hidden">/</span>
      <div className="flex min-w-0 flex-1 items-center gap-x-3">
        <h1 className="text-lg">
          <InlineInput
            ref={field}
            label={label}
            data-path="name"
            maxLength={120}
            value={name}
            onType={onName}
          />
        </h1>
        <SavingState saving={saving} kept={kept} />
      </div>
    </>
  );
}
