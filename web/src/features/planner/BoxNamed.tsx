// The job's box that a run ends at: runs that name the same one meet there.
import { Link } from "react-router";
import { boxAddress } from "@/features/boxes/boxAddress";
import { InlineField } from "@/features/walk/fields";
import { useOfJob } from "@/state/PlannerContext";

type Props = {
  path: string;
  value: string | undefined;
  onChange: (text: string, burst: string) => void;
};

export function BoxNamed({ path, value, onChange }: Props) {
  const { id: jobId } = useOfJob();
  return (
    <>
      the job's box{" "}
      <InlineField
        path={path}
        label="The job's box there"
        value={value}
        placeholder="none"
        numeric={false}
        onChange={onChange}
      />
      {value?.trim() ? (
        <Link
          to={boxAddress(jobId, value.trim())}
          className="ml-1.5 font-semibold text-accent underline underline-offset-3"
        >
          open
        </Link>
      ) : null}
    </>
  );
}
