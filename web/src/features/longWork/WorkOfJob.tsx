// What is made of a whole job, and takes its time: its file, and the sheets of all its runs.
import { workFile } from "@/api/work";
import { PAPERS } from "@/documents/papers";
import { Button } from "@/ui/Button";
import { Menu } from "@/ui/Menu";
import { say } from "@/words/say";
import { useLongWork } from "./useLongWork";
import { WorkRows } from "./WorkRows";

const KINDS = ["archive", "sheets"] as const;

/** The buttons, and the rows of what was asked for, which stand below the job's heading. */
export function useWorkOfJob(jobId: number, anyRuns: boolean) {
  const long = useLongWork(jobId, KINDS, ({ id }) => window.location.assign(workFile(id)));
  const { ask, asking } = long;
  return {
    buttons: (
      <>
        {anyRuns ? (
          <Menu
            trigger={<Button disabled={asking}>{say("All sheets")}</Button>}
            actions={PAPERS.map(({ value, label }) => ({
              label,
              run: () => ask({ kind: "sheets", paper: value }),
            }))}
          />
        ) : null}
        <Button disabled={asking} onClick={() => ask({ kind: "archive" })}>
          {say("Export the job")}
        </Button>
      </>
    ),
    rows: <WorkRows {...long} />,
  };
}
