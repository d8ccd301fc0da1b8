// Someone else saved meanwhile: both documents side by side, and the choice between them.
import { differences } from "@/model/differences";
import { dropDraft } from "@/model/drafts";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { useDocument, usePlanner } from "./PlannerContext";

export function ConflictDialog() {
  const mine = useDocument();
  const saving = usePlanner((state) => state.saving);
  const takeTheirs = usePlanner((state) => state.takeTheirs);
  const keepMine = usePlanner((state) => state.keepMine);
  const runId = usePlanner((state) => state.runId);
  if (saving.state !== "conflict") {
    return null;
  }
  const { theirs, message } = saving;
  const found = differences(mine, theirs.document);
  return (
    <Dialog
      title="Changed by someone else"
      description={`${message} Nothing of either is lost: choose which one goes on.`}
      open
    >
      <table className="mb-4 w-full text-sm">
        <thead className="text-left text-soft">
          <tr>
            <th className="font-normal">Field</th>
            <th className="font-normal">Yours</th>
            <th className="font-normal">Theirs</th>
          </tr>
        </thead>
        <tbody>
          {found.map(({ path, mine: own, theirs: other }) => (
            <tr key={path} className="border-t border-line align-top">
              <td className="py-1 pr-3 text-soft">{told(path)}</td>
              <td className="py-1 pr-3 font-semibold">{own}</td>
              <td className="py-1 font-semibold">{other}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.length === 0 ? <p className="mb-4">Both say the same.</p> : null}
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            takeTheirs(theirs);
            dropDraft(runId);
          }}
        >
          Take theirs
        </Button>
        <Button weight="main" onClick={() => keepMine(theirs.version)}>
          Keep mine as the next version
        </Button>
      </div>
    </Dialog>
  );
}

/** `walk[0].at` as `line 1, at`. */
function told(path: string): string {
  return path
    .replace(/walk\[(\d+)\]/, (_, index: string) => `line ${Number(index) + 1}`)
    .replace(".", ", ")
    .replaceAll("_", " ");
}
