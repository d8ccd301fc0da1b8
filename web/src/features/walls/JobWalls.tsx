// The framed walls of a job, and a new one.
import { useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { createWall, keys, useWalls } from "@/api/queries";
import { newWall } from "@/model/walls";
import { Button } from "@/ui/Button";

export function JobWalls({ jobId, units }: { jobId: number; units: "in" | "mm" }) {
  const walls = useWalls(jobId).data ?? [];
  const navigate = useNavigate();
  const queries = useQueryClient();
  const add = async () => {
    const wall = await createWall(jobId, newWall(units));
    await queries.invalidateQueries({ queryKey: keys.walls(jobId) });
    await navigate(`/walls/${wall.id}`);
  };
  return (
    <section aria-label="Framed walls" className="mt-8">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="text-lg font-bold">Framed walls</h2>
        <Button className="text-sm" onClick={() => void add()}>
          New wall
        </Button>
      </div>
      {walls.length > 0 ? (
        <ul className="divide-y divide-line overflow-hidden rounded-lg border border-line bg-paper">
          {walls.map(({ id, name }) => (
            <li key={id}>
              <Link
                to={`/walls/${id}`}
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
