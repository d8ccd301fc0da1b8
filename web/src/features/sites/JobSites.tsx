// The ducts between buildings of a job, and new ones.
import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { keys } from "@/api/queries";
import { createSite, useSites } from "@/api/sites";
import { DocumentsOfJob } from "@/features/documents/DocumentsOfJob";
import { newSite } from "@/model/sites";
import { JUST_MADE } from "@/ui/useNamedFirst";

export function JobSites({ jobId, units }: { jobId: number; units: "in" | "mm" }) {
  const sites = useSites(jobId).data ?? [];
  const navigate = useNavigate();
  const queries = useQueryClient();
  const add = async () => {
    const site = await createSite(jobId, newSite(units));
    await queries.invalidateQueries({ queryKey: keys.sites(jobId) });
    await navigate(`/sites/${site.id}`, JUST_MADE);
  };
  return (
    <DocumentsOfJob
      title="Ducts between buildings"
      another="New ducts"
      documents={sites}
      at={(id) => `/sites/${id}`}
      add={add}
    />
  );
}
