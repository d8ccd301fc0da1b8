// What a piece that is scrap can still become: the straight that is left of it, and what of the job is
// cut no longer.
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { type BenchFit, couldBecome } from "@/api/bench";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";

type Props = {
  fit: Pick<BenchFit, "straight_left_mm" | "straight_left_text">;
  runId: number;
};

export function CouldBecome({ fit, runId }: Props) {
  const straight = fit.straight_left_mm;
  const others = useQuery({
    queryKey: ["could-become", runId, Math.floor(straight)],
    queryFn: ({ signal }) => couldBecome(runId, straight, signal),
    retry: false,
    networkMode: "always",
  });
  const found = others.data ?? [];
  return (
    <p data-could-become className="text-base">
      <Figures
        text={say("{straightLeft} of it is straight still.", {
          straightLeft: fit.straight_left_text,
        })}
      />{" "}
      {found.length > 0
        ? say("That is enough for ")
        : say("Nothing else of the job is cut so short.")}
      {found.map(({ id, name, cut_length_text }, at) => (
        <span key={id}>
          {at > 0 ? ", " : ""}
          <Link to={`/runs/${id}`} className="font-semibold text-accent underline">
            {name}
          </Link>{" "}
          (<Figures text={cut_length_text} />)
        </span>
      ))}
      {found.length > 0 ? "." : ""}
    </p>
  );
}
