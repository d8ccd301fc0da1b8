// The job's box that a run ends at: runs that name the same one meet there.
import { Link } from "react-router";
import { boxAddress } from "@/features/boxes/boxAddress";
import { InlineField } from "@/features/walk/fields";
import { useOfJob } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Props = {
  path: string;
  value: string | undefined;
  onChange: (text: string, burst: string) => void;
};

export function BoxNamed({ path, value, onChange }: Props) {
  const { id: jobId } = useOfJob();
  return (
    <>
      {sayWith("the job's box {value}{open}", {
        value: (
          <InlineField
            path={path}
            label={say("The job's box there")}
            value={value}
            placeholder={say("none")}
            numeric={false}
            onChange={onChange}
          />
        ),
        open: value?.trim() ? (
          <Link
            to={boxAddress(jobId, value.trim())}
            className="ml-1.5 font-semibold text-accent underline underline-offset-3"
          >
            {say("open")}
          </Link>
        ) : null,
      })}
    </>
  );
}
