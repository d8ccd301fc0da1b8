// Every version that was saved, and the way back to each.
import { useQueryClient } from "@tanstack/react-query";
import { client, Refused, type Schemas, unwrap } from "@/api/client";
import { forgetLists, keys, useRevisions } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { usePlanner } from "./PlannerContext";

export function HistoryDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const runId = usePlanner((state) => state.runId);
  const baseVersion = usePlanner((state) => state.baseVersion);
  const takeTheirs = usePlanner((state) => state.takeTheirs);
  const setSaving = usePlanner((state) => state.setSaving);
  const unsaved = usePlanner((state) => state.saving.state !== "saved");
  const queries = useQueryClient();
  const revisions = useRevisions(runId, props.open);

  const restore = async (version: number) => {
    try {
      const run = await unwrap(
        client.POST("/api/runs/{run_id}/revisions/{version}/restore", {
          params: { path: { run_id: runId, version } },
          body: { base_version: baseVersion },
        }),
      );
      takeTheirs(run);
      props.onOpenChange(false);
      forgetLists(queries);
      await queries.invalidateQueries({ queryKey: keys.revisions(runId) });
    } catch (error) {
      if (error instanceof Refused && error.status === 409) {
        const { theirs } = error.problem as Schemas["ConflictProblem"];
        setSaving({ state: "conflict", theirs, message: error.message });
        props.onOpenChange(false);
      }
    }
  };

  return (
    <Dialog title="History" description="Every version that was saved, newest first." {...props}>
      <ol className="divide-y divide-line">
        {revisions.data?.map((revision) => (
          <li key={revision.version} className="flex items-center gap-3 py-2">
            <span className="w-8 font-semibold">{revision.version}</span>
            <span className="flex-1">
              {new Date(revision.saved_at).toLocaleString()}
              <span className="block text-sm text-soft">
                {revision.saved_by}
                {revision.restored_from ? `, brought back from ${revision.restored_from}` : ""}
              </span>
            </span>
            {revision.version === baseVersion ? (
              <span className="text-sm text-soft">this one</span>
            ) : (
              <Button disabled={unsaved} onClick={() => void restore(revision.version)}>
                Bring back
              </Button>
            )}
          </li>
        ))}
      </ol>
    </Dialog>
  );
}
