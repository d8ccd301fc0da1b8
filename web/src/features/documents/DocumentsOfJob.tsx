// The documents of one kind that a job has, and a new one.
import { useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { createDocument, useDocuments } from "@/api/documents";
import { keys } from "@/api/queries";
import { DOCUMENTS, type InJob } from "@/documents/registry";
import { Button } from "@/ui/Button";
import { JUST_MADE } from "@/ui/useNamedFirst";
import { BLANK } from "./blank";

type Props = { kind: InJob; jobId: number; units: "in" | "mm" };

export function DocumentsOfJob({ kind, jobId, units }: Props) {
  const { inJob, path } = DOCUMENTS[kind];
  const documents = useDocuments(kind, jobId).data ?? [];
  const navigate = useNavigate();
  const queries = useQueryClient();
  const at = (id: number) => path.replace(":id", String(id));
  const add = async () => {
    const made = await createDocument(kind, jobId, BLANK[kind](units));
    await queries.invalidateQueries({ queryKey: keys.documents(kind, jobId) });
    await navigate(at(made.id), JUST_MADE);
  };
  return (
    <section aria-label={inJob.title} className="mt-8">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="text-lg font-bold">{inJob.title}</h2>
        <Button className="px-3 text-sm" onClick={() => void add()}>
          {inJob.another}
        </Button>
      </div>
      {documents.length > 0 ? (
        <ul className="divide-y divide-line overflow-hidden rounded-lg border border-line bg-paper">
          {documents.map(({ id, name }) => (
            <li key={id}>
              <Link to={at(id)} className="block px-4 py-3 font-semibold hover:bg-accent-soft">
                {name}
              </Link>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
