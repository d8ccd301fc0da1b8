// The documents of one kind that a job has, and a new one.
import { Link } from "react-router";
import { Button } from "@/ui/Button";

type Props = {
  title: string;
  another: string;
  documents: readonly { readonly id: number; readonly name: string }[];
  at: (id: number) => string;
  add: () => Promise<void>;
};

export function DocumentsOfJob({ title, another, documents, at, add }: Props) {
  return (
    <section aria-label={title} className="mt-8">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="text-lg font-bold">{title}</h2>
        <Button className="px-3 text-sm" onClick={() => void add()}>
          {another}
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
