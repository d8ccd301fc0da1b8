// What a document that is saved by version is called, in the bar of its screen: its job, its name to be
// typed, how saving stands.
import type { Saving } from "@/model/saving";
import { InlineInput } from "@/ui/InlineInput";
import { useNamedFirst } from "@/ui/useNamedFirst";
import { TitleInJob } from "./TitleInJob";

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
    <TitleInJob job={job} saving={saving} kept={kept}>
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
    </TitleInJob>
  );
}
