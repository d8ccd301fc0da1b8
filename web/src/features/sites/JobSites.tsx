// The ducts between buildings of a job, and new ones.
import { useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { keys } from "@/api/queries";
import { createSite, useSites } from "@/api/sites";
import { newSite } from "@/model/sites";
import { Button } from "@/ui/Button";

export function JobSites({ jobId, units }: { jobId: number; units: "in" | "mm" }) {
  const sites = useSites(jobId).data ?? [];
  const navigate = useNavigate();
  const queries = useQueryClient();
  const add = async () => {
    const site = await createSite(jobId, newSite(units));
    await queries.invalidateQueries({ queryKey: keys.sites(jobId) });
    await navigate(`/sites/${site.id}`);
  };
  return (
    <section aria-label="Ducts between buildings" className="mt-8">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="text-lg font-bold">Ducts between buildings</h2>
        <Button className="text-sm" onClick={() => void add()}>
          New ducts
        </Button>
      </div>
      {sites.length > 0 ? (
        <ul className="divide-y divide-line overflow-hidden rounded-lg border border-line bg-paper">
          {sites.map(({ id, name }) => (
            <li key={id}>
              <Link
                to={`/sites/${id}`}
                className="block px-4 py-3 font-semibold hover:bg-accent-soft"
              >
                {name}
              </Link>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
