// The framed walls of a job, and a new one.
import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { keys } from "@/api/queries";
import { createWall, useWalls } from "@/api/walls";
import { DocumentsOfJob } from "@/features/documents/DocumentsOfJob";
import { newWall } from "@/model/walls";
import { JUST_MADE } from "@/ui/useNamedFirst";

export function JobWalls({ jobId, units }: { jobId: number; units: "in" | "mm" }) {
  const walls = useWalls(jobId).data ?? [];
  const navigate = useNavigate();
  const queries = useQueryClient();
  const add = async () => {
    const wall = await createWall(jobId, newWall(units));
    await queries.invalidateQueries({ queryKey: keys.walls(jobId) });
    await navigate(`/walls/${wall.id}`, JUST_MADE);
  };
  return (
    <DocumentsOfJob
      title="Framed walls"
      another="New wall"
      documents={walls}
      at={(id) => `/walls/${id}`}
      add={add}
    />
  );
}
