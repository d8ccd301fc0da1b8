// The bench: one step at a time, for gloves and two metres away; of a run, or of one of its pieces.
import { useQuery } from "@tanstack/react-query";
import { useParams, useSearchParams } from "react-router";
import { keys, loadRun } from "@/api/queries";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { benchHere } from "@/model/bench";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { say } from "@/words/say";
import { Bench } from "./Bench";

export default function BenchScreen() {
  const runId = Number(useParams().runId);
  const [query] = useSearchParams();
  const run = useQuery({ queryKey: keys.run(runId), queryFn: () => loadRun(runId) });
  const wanted = Number(query.get("piece"));
  const piece = run.data?.document.joints ? Math.max(wanted, 1) : 0;
  const here = useQuery({
    queryKey: ["bench-here", runId, piece, run.data?.version],
    queryFn: () => benchHere(runId, piece),
    enabled: run.isSuccess,
    networkMode: "always",
    gcTime: 0,
    staleTime: Infinity,
  });
  if (run.isError) {
    return <CouldNotOpen error={run.error} again={() => void run.refetch()} />;
  }
  if (run.isPending || !here.data) {
    return <LoadingScreen what={say("Opening the bench")} />;
  }
  return (
    <Bench key={`${run.data.version} ${piece}`} run={run.data} piece={piece} here={here.data} />
  );
}
