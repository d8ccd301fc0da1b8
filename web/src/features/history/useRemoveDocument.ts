// Putting away what is open: it is saved no more, its draft goes, and the job is shown.
import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { forgetLists } from "@/api/queries";
import { drop, type OpenDocument } from "@/model/savedDocuments";
import { outcome } from "@/model/saving";

export function useRemoveDocument(each: OpenDocument, jobId: number, remove: () => Promise<void>) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return async () => {
    const { setSaving } = each.store.getState();
    try {
      await remove();
    } catch (error) {
      setSaving(outcome(error));
      return;
    }
    setSaving({ state: "saved" }); // what is put away is not saved once more
    await drop(each);
    forgetLists(queries);
    await navigate(`/jobs/${jobId}`);
  };
}
